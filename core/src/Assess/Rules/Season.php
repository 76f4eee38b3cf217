<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Assess\RestsOnSchool;
use Thicket\Calendar\Day;
use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\Window;
use Thicket\Catalogue\WindowGrade;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Timing\SeasonWindows;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * The season table of handbook 4 and rulings J11-J12, read from windows.yaml and moved to the ground; what was seen
 * goes before the calendar for windows of that stage (J43), green leaves for suckerers (J42), and keeping bare asks no
 * root stream (J50).
 */
final readonly class Season implements RestsOnSchool, ChangesWithSeason
{
    /** Grounds that are kept bare unless somebody says that roots are to die (rulings J50). */
    private const KEPT_BARE = ['bed-lawn-paving'];
    /** Leaves that still carry, for stems; leaf sprays want more than half green (rulings J42). */
    private const STILL_GREEN = ['more-than-half', 'about-half'];

    public function school(Situation $situation, Option $option): ?string
    {
        return SeasonWindows::schoolFor($option, $situation->target);
    }

    public function evaluate(Situation $situation, Option $option): array
    {
        if ($situation->target === null || !$option->method->isFor($situation->target)) {
            return [];
        }
        $windows = SeasonWindows::for($situation, $option);
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

        return $this->openedOtherwise($situation, $option, $windows, $stage) ??
            $this->closed($situation, $option, $windows);
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
        Option $option,
        SeasonWindows $windows,
        ?string $stage,
    ): ?array {
        if ($stage !== null && $windows->openedBy($stage) !== null) {
            return [
                Finding::withCare('season.seen-stage', 'rulings-J43', ['stage' => $stage], null, Certainty::Observed),
            ];
        }
        if ($this->isStillGreen($situation, $option)) {
            return [Finding::withCare('season.still-green', 'rulings-J42', [], null, Certainty::Observed)];
        }
        if ($windows->keepDown && $this->keepsDown($situation, $option)) {
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
    private function isStillGreen(Situation $situation, Option $option): bool
    {
        $green = $situation->word(FactName::GreenLeaf);
        $opens = $situation->phenology()?->local('07-01', Day::year($situation->day));
        $winter = $situation->phenology()?->local('12-31', Day::year($situation->day));

        return $situation->target?->isRootSuckering() === true &&
            $opens !== null &&
            $winter !== null &&
            $situation->day >= $opens &&
            $situation->day <= $winter &&
            ($option->isLeafSpray() ? $green === 'more-than-half' : in_array($green, self::STILL_GREEN, true));
    }

    /** Leaf sprays only, and nothing systemic on a woody suckerer (rulings J50). */
    private function keepsDown(Situation $situation, Option $option): bool
    {
        $purpose =
            $situation->word(FactName::Purpose) ??
            ($option->method->isInRows() || in_array($situation->word(FactName::Setting), self::KEPT_BARE, true)
                ? 'keep-down'
                : 'kill-root');

        return $purpose === 'keep-down' &&
            $option->isLeafSpray() &&
            !(
                $situation->target?->isRootSuckering() === true &&
                $option->anyActive(static fn(Active $a): bool => $a->isSystemic())
            );
    }

    /** @return list<Finding> */
    private function closed(Situation $situation, Option $option, SeasonWindows $windows): array
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

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $days = [];
        foreach (SeasonWindows::for($situation->onDay(Day::of($year, 7, 1)), $option)->windows ?? [] as $window) {
            $days = [...$days, $window->first, $window->last->modify('+1 day')];
        }

        return $days;
    }
}
