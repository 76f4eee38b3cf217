<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\Finding;
use Thicket\Methods\RestsOnSchool;
use Thicket\Methods\SeasonWindows;
use Thicket\Methods\Situation;
use Thicket\Methods\TurnsWithTheYear;
use Thicket\Timing\Day;
use Thicket\Timing\WindowGrade;

/** The season table of handbook 4 and rulings J11-J12, read from windows.yaml and moved to the ground. */
final readonly class Season implements RestsOnSchool, TurnsWithTheYear
{
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
        if ($window === null || $window->grade === WindowGrade::Avoid) {
            $opens = $windows->opensAfter($situation->day);
            $values = ['why' => $window === null ? 'out-of-window' : $window->reason];
            if ($opens === null) {
                return [Finding::notNow('season.closed', $windows->source, $values, null, null, Certainty::Estimated)];
            }

            return [Finding::notNow('season.opens', $windows->source, $values + ['opens' => $opens->first, 'closes' => $opens->last], $opens->first, 'change.wait-till', Certainty::Estimated)];
        }
        $values = ['why' => $window->reason, 'from' => $window->first, 'to' => $window->last];

        return [$window->grade === WindowGrade::WithCare
            ? Finding::withCare('season.with-care', $windows->source, $values, null, Certainty::Estimated)
            : Finding::fits($window->grade === WindowGrade::Best ? 'season.best' : 'season.workable', $windows->source, $values, Certainty::Estimated)];
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
