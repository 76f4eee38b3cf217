<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\RestsOnSchool;
use Thicket\Assess\TurnsWithTheYear;
use Thicket\Calendar\Day;
use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\Window;
use Thicket\Catalogue\WindowGrade;
use Thicket\Situation\Candidate;
use Thicket\Situation\Situation;
use Thicket\Timing\SeasonWindows;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * The season table of handbook 4 and rulings J11-J12, read from windows.yaml and moved to the ground; what was seen
 * goes before the calendar for windows of that stage (J43), green leaves for suckerers (J42), and keeping bare asks no
 * root stream (J50).
 */
final readonly class Season implements RestsOnSchool, TurnsWithTheYear
{
    /** Grounds that are kept bare unless somebody says that roots are to die (rulings J50). */
    private const KEPT_BARE = ['bed-lawn-paving'];
    /** Leaves that still carry, for stems; leaf sprays want more than half green (rulings J42). */
    private const STILL_GREEN = ['more-than-half', 'about-half'];

    public function school(Situation $situation, Candidate $candidate): ?string
    {
        return SeasonWindows::schoolFor($candidate, $situation->target);
    }

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if ($situation->target === null || !$candidate->method->isFor($situation->target)) {
            return [];
        }
        $windows = SeasonWindows::for($situation, $candidate);
        if ($windows === null) {
            return [];
        }
        if (!$situation->shift->isTrusted) {
            return [Finding::unknown('local-season', 'rulings-J13', true)];
        }
        $window = $windows->on($situation->day);
        $window = $window?->grade === WindowGrade::Avoid ? null : $window;
        $stage = $situation->stageSeen();
        if ($window !== null && $stage !== null && in_array($stage, $window->closedBy, true)) {
            $opens = $windows->opensAfter($situation->day);

            return [
                $opens === null
                    ? Finding::notNow(
                        'season.closed',
                        'rulings-J43',
                        ['why' => $window->reason],
                        null,
                        null,
                        Certainty::Observed,
                    )
                    : Finding::notNow(
                        'season.past-its-stage',
                        'rulings-J43',
                        ['stage' => $stage, 'opens' => $opens->first, 'closes' => $opens->last],
                        $opens->first,
                        'change.wait-till',
                        Certainty::Observed,
                    ),
            ];
        }
        if ($window !== null) {
            return [$this->open($window, $windows)];
        }

        return $this->openedOtherwise($situation, $candidate, $windows, $stage) ??
            $this->closed($situation, $candidate, $windows);
    }

    private function open(Window $window, SeasonWindows $windows): Finding
    {
        $values = ['why' => $window->reason, 'from' => $window->first, 'to' => $window->last];

        return $window->grade === WindowGrade::WithCare
            ? Finding::withCare('season.with-care', $windows->source, $values, null, Certainty::Estimated)
            : Finding::fits(
                $window->grade === WindowGrade::Best ? 'season.best' : 'season.workable',
                $windows->source,
                $values,
                Certainty::Estimated,
            );
    }

    /** @return list<Finding>|null what opens a row that the calendar shuts */
    private function openedOtherwise(
        Situation $situation,
        Candidate $candidate,
        SeasonWindows $windows,
        ?string $stage,
    ): ?array {
        if ($stage !== null && $windows->openedBy($stage) !== null) {
            return [
                Finding::withCare('season.seen-stage', 'rulings-J43', ['stage' => $stage], null, Certainty::Observed),
            ];
        }
        if ($this->isStillGreen($situation, $candidate)) {
            return [Finding::withCare('season.still-green', 'rulings-J42', [], null, Certainty::Observed)];
        }
        if ($windows->keepDown && $this->keepsDown($situation, $candidate)) {
            return [
                Finding::withCare(
                    'season.keep-down',
                    'rulings-J50',
                    [],
                    'change.kill-root-season',
                    Certainty::Estimated,
                ),
            ];
        }

        return null;
    }

    /** A suckerer whose leaves were seen green enough after 1 July, past its calendar. */
    private function isStillGreen(Situation $situation, Candidate $candidate): bool
    {
        $green = $situation->word(FactName::GreenLeaf);
        $opens = $situation->phenology()?->local('07-01', Day::year($situation->day));
        $winter = $situation->phenology()?->local('12-31', Day::year($situation->day));

        return $situation->target?->isRootSuckering() === true &&
            $opens !== null &&
            $winter !== null &&
            $situation->day >= $opens &&
            $situation->day <= $winter &&
            ($candidate->isLeafSpray() ? $green === 'more-than-half' : in_array($green, self::STILL_GREEN, true));
    }

    /** Leaf sprays only, and nothing systemic on a woody suckerer (rulings J50). */
    private function keepsDown(Situation $situation, Candidate $candidate): bool
    {
        $purpose =
            $situation->word(FactName::Purpose) ??
            ($candidate->method->isInRows() || in_array($situation->word(FactName::Setting), self::KEPT_BARE, true)
                ? 'keep-down'
                : 'kill-root');

        return $purpose === 'keep-down' &&
            $candidate->isLeafSpray() &&
            !(
                $situation->target?->isRootSuckering() === true &&
                $candidate->anyActive(static fn(Active $a): bool => $a->isSystemic())
            );
    }

    /** @return list<Finding> */
    private function closed(Situation $situation, Candidate $candidate, SeasonWindows $windows): array
    {
        $on = $windows->on($situation->day);
        $opens = $windows->opensAfter($situation->day);
        $values = ['why' => $on === null ? 'out-of-window' : $on->reason];
        if ($opens === null) {
            return [Finding::notNow('season.closed', $windows->source, $values, null, null, Certainty::Estimated)];
        }
        $values += ['opens' => $opens->first, 'closes' => $opens->last];
        $findings = [
            Finding::notNow(
                'season.opens',
                $windows->source,
                $values,
                $opens->first,
                'change.wait-till',
                Certainty::Estimated,
            ),
        ];
        $best = $opens->grade === WindowGrade::Best ? null : $windows->bestAfter($situation->day);
        if ($best !== null) {
            // the poorer part comes first: both are named
            $findings[] = Finding::fits(
                'season.best-later',
                $windows->source,
                ['from' => $best->first, 'to' => $best->last],
                Certainty::Estimated,
            );
        }
        $tops = $windows->topKillBefore($situation->day, $opens->first);
        if ($tops !== null) {
            $findings[] = Finding::fits(
                'season.tops-only',
                $windows->source,
                ['from' => $tops->first, 'to' => $tops->last],
                Certainty::Estimated,
            );
        }
        if ($situation->target?->isRootSuckering() === true && $situation->flow() === 'still') {
            $findings[] = Finding::fits('season.schools-differ', 'handbook-8', [], Certainty::Typical);
        }

        return $findings;
    }

    public function turns(Situation $situation, Candidate $candidate, int $year): array
    {
        $days = [];
        foreach (SeasonWindows::for($situation->onDay(Day::of($year, 7, 1)), $candidate)->windows ?? [] as $window) {
            $days = [...$days, $window->first, $window->last->modify('+1 day')];
        }

        return $days;
    }
}
