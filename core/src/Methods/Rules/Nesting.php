<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\Finding;
use Thicket\Methods\Situation;
use Thicket\Methods\TurnsWithTheYear;
use Thicket\Timing\Day;

/** Nests are looked for before hedges and trees are cut or girdled (rulings J20). The season is our guess, moved to the ground; local law may name another. */
final readonly class Nesting implements TurnsWithTheYear
{
    private const FROM = '04-01';
    private const TO = '07-31';

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $target = $situation->target;
        if ($target === null || !$target->isWoody() || !in_array($candidate->method->work(), ['cutting', 'machine'], true) || !$candidate->method->isFor($target)) {
            return [];
        }
        $year = Day::year($situation->day);
        $from = $situation->phenology()?->local(self::FROM, $year);
        $to = $situation->phenology()?->local(self::TO, $year);
        if ($from === null || $to === null || $situation->day < $from || $situation->day > $to) {
            return [];
        }

        return [Finding::withCare('nest.look-first', 'rulings-J20', ['from' => $from, 'to' => $to], 'change.after-nesting', Certainty::Estimated)];
    }

    public function turns(Situation $situation, Candidate $candidate, int $year): array
    {
        if ($situation->target?->isWoody() !== true || !in_array($candidate->method->work(), ['cutting', 'machine'], true)) {
            return [];
        }

        return array_values(array_filter([$situation->phenology()?->local(self::FROM, $year), $situation->phenology()?->local(self::TO, $year)->modify('+1 day')]));
    }
}
