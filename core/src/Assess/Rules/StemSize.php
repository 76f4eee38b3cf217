<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\RestsOnSchool;
use Thicket\Measure\Quantity;
use Thicket\Situation\Option;
use Thicket\Situation\ServedStems;
use Thicket\Situation\Situation;
use Thicket\Survey\StemGroup;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Stems against the reach of the method (handbook 2, rulings B11, J56). None within: does not suit. Some beyond: with
 * care, with both counts. A limit inside a size class: with care, and the class is to be split. Stems left out on
 * purpose are not spoken of.
 */
final readonly class StemSize implements RestsOnSchool
{
    public function school(Situation $situation, Option $option): ?string
    {
        return match (true) {
            $option->goesOn('bark') => 'basal-size',
            $option->how('lever') && $situation->target?->isDeepRooted() === true => 'deep-roots',
            default => null,
        };
    }

    public function evaluate(Situation $situation, Option $option): array
    {
        $method = $option->method;
        if ($situation->target === null || !$situation->target->isWoody() || !$method->isFor($situation->target)) {
            return [];
        }
        $most = ServedStems::most($situation, $option);
        $least = $option->limit('stemLeast');
        if ($most === null && $least === null) {
            return [];
        }
        if ($situation->stems === []) {
            return $option->how('pull', 'lever', 'dig')
                ? []
                : [Finding::unknown('stem-diameter', $method->source(), true)];
        }
        $findings = [];
        if ($most !== null) {
            $inclusive = ServedStems::mostIsInclusive($option);
            $code = $most->equals($option->limit('stemMost') ?? $most) ? 'size.too-thick' : 'size.beyond-reach';
            $findings = [
                ...$findings,
                ...$this->judge(
                    $situation,
                    $option,
                    $most,
                    fn(StemGroup $g): string => $g->against($most, $inclusive),
                    $code,
                ),
            ];
        }
        if ($least !== null) {
            // 'within' an exclusive lower bound means too thin
            $tooThin = static fn(StemGroup $g): string => match ($g->against($least, false)) {
                'within' => 'beyond',
                'beyond' => 'within',
                default => 'split',
            };
            $findings = [...$findings, ...$this->judge($situation, $option, $least, $tooThin, 'size.too-thin')];
        }
        $served = ServedStems::of($situation, $option);
        if (
            $served->count() === 0 &&
            array_filter(
                $findings,
                static fn(Finding $f): bool => $f->outcome === \Thicket\Verdict\Outcome::DoesNotSuit,
            ) === []
        ) {
            $findings[] = Finding::doesNotSuit(
                'size.serves-none',
                'rulings-J56',
                ['all' => $situation->stemCount()],
                'change.other-method-for-rest',
            );
        }
        if ($option->how('lever') && $served->count() > 0 && $situation->target->isDeepRooted() === true) {
            $findings[] = Finding::withCare(
                'size.deep-roots-try',
                'rulings-J56',
                [],
                'change.loosen-first',
                Certainty::Typical,
            );
        }

        return $findings;
    }

    /**
     * @param \Closure(StemGroup): string $stand within, beyond or split
     *
     * @return list<Finding>
     */
    private function judge(Situation $situation, Option $option, Quantity $limit, \Closure $stand, string $code): array
    {
        $counts = ['within' => 0, 'beyond' => 0, 'split' => 0];
        $estimated = false;
        foreach ($situation->stems as $group) {
            if (ServedStems::isLeftOut($group, $situation, $option)) {
                continue;
            }
            $counts[$stand($group)] += $group->count;
            $estimated = $estimated || $group->estimated;
        }
        $values = [
            'limit' => $limit,
            'fitting' => $counts['within'],
            'others' => $counts['beyond'],
            'unclear' => $counts['split'],
            'all' => array_sum($counts),
        ];
        $rest = $estimated ? Certainty::Estimated : Certainty::Measured;
        $source = $option->method->source();
        if ($counts['split'] > 0) {
            return [Finding::withCare('size.split-class', $source, $values, 'change.split-class', $rest)];
        }
        if ($counts['beyond'] === 0) {
            return [Finding::fits($code . '-none', $source, $values, $rest)];
        }

        return $counts['within'] === 0
            ? [
                Finding::doesNotSuit(
                    $code,
                    $source,
                    $values,
                    $code === 'size.too-thin' ? 'change.thicker-stems' : 'change.thinner-stems',
                    $rest,
                ),
            ]
            : [Finding::withCare($code . '-some', $source, $values, 'change.other-method-for-rest', $rest)];
    }
}
