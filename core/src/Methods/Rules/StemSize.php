<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Measure\Quantity;
use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\Finding;
use Thicket\Methods\RestsOnSchool;
use Thicket\Methods\Situation;
use Thicket\Methods\StemGroup;

/**
 * Stems against the reach of the method (handbook 2, rulings B11). All beyond: does not suit. Some beyond: with care,
 * with both counts. A limit inside a size class: with care, and the class is to be split.
 */
final readonly class StemSize implements RestsOnSchool
{
    public function school(Situation $situation, Candidate $candidate): ?string
    {
        return match (true) {
            $candidate->is('basal-bark') => 'basal-size',
            $candidate->is('lever-pull') && $situation->target?->isDeepRooted() === true => 'deep-roots',
            default => null,
        };
    }

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $method = $candidate->method;
        if ($situation->target === null || !$situation->target->isWoody() || !$method->isFor($situation->target)) {
            return [];
        }
        $most = $method->limit('stemMost');
        $least = $method->limit('stemLeast');
        if ($most === null && $least === null) {
            return [];
        }
        if ($situation->stems === []) {
            return $candidate->is('hand-pull', 'lever-pull', 'dig') ? [] : [Finding::unknown('stem-diameter', $method->source(), true)];
        }
        $findings = [];
        if ($most !== null) {
            $inclusive = $method->limitIsInclusive('stemMost');
            $code = 'size.too-thick';
            if ($candidate->is('basal-bark')) {
                $inclusive = $candidate->schools->choice('basal-size') === 'six-or-less';
            }
            if ($candidate->is('lever-pull')) {
                $most = $this->leverReach($situation, $candidate, $most);
                $code = $most->equals($method->limit('stemMost') ?? $most) ? $code : 'size.beyond-reach';
            }
            $findings = [...$findings, ...$this->judge($situation, $candidate, $most, fn (StemGroup $g): string => $g->against($most, $inclusive), $code)];
        }
        if ($least !== null) {
            // 'within' an exclusive lower bound means too thin
            $tooThin = static fn (StemGroup $g): string => match ($g->against($least, false)) {
                'within' => 'beyond', 'beyond' => 'within', default => 'split',
            };
            $findings = [...$findings, ...$this->judge($situation, $candidate, $least, $tooThin, 'size.too-thin')];
        }

        return $findings;
    }

    private function leverReach(Situation $situation, Candidate $candidate, Quantity $most): Quantity
    {
        $jaw = $candidate->shed->leverJaw;
        $reach = $jaw !== null && $jaw->isLessThan($most) ? $jaw : $most;
        if ($situation->target?->isDeepRooted() === true && $candidate->schools->choice('deep-roots') === 'thumb-size') {
            $limit = $candidate->schools->values('deep-roots')->quantity('limit');
            $reach = $limit !== null && $limit->isLessThan($reach) ? $limit : $reach;
        }

        return $reach;
    }

    /**
     * @param \Closure(StemGroup): string $stand within, beyond or split
     *
     * @return list<Finding>
     */
    private function judge(Situation $situation, Candidate $candidate, Quantity $limit, \Closure $stand, string $code): array
    {
        $counts = ['within' => 0, 'beyond' => 0, 'split' => 0];
        $estimated = false;
        foreach ($situation->stems as $group) {
            $counts[$stand($group)] += $group->count;
            $estimated = $estimated || $group->estimated;
        }
        $values = ['limit' => $limit, 'fitting' => $counts['within'], 'others' => $counts['beyond'], 'unclear' => $counts['split'], 'all' => array_sum($counts)];
        $rest = $estimated ? Certainty::Estimated : Certainty::Measured;
        $source = $candidate->method->source();
        if ($counts['split'] > 0) {
            return [Finding::withCare('size.split-class', $source, $values, 'change.split-class', $rest)];
        }
        if ($counts['beyond'] === 0) {
            return [Finding::fits($code . '-none', $source, $values, $rest)];
        }

        return $counts['within'] === 0
            ? [Finding::doesNotSuit($code, $source, $values, $code === 'size.too-thin' ? 'change.thicker-stems' : 'change.thinner-stems', $rest)]
            : [Finding::withCare($code . '-some', $source, $values, 'change.other-method-for-rest', $rest)];
    }
}
