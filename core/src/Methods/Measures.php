<?php

declare(strict_types=1);

namespace Thicket\Methods;

use Brick\Math\RoundingMode;
use Thicket\Knowledge\Node;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * The figures by which rows are weighed: expected control of one pass in its window, harm step, hands-on minutes
 * (handbook 9). Our guesses until the crew's records say otherwise; ranges always shown (rulings B10).
 */
final readonly class Measures
{
    private function __construct(
        /** Percent of plants dead at the judge date, low, use and high; null where not known. */
        public ?int $controlLow,
        public ?int $controlUse,
        public ?int $controlHigh,
        /** 1 least to 5 most. */
        public int $harm,
        /** Minutes with hands on the plants, walking apart; null without a tally. */
        public ?Quantity $minutes,
        /** Weeks until it shows, latest; null where nobody knows. */
        public ?int $weeksLow,
        public ?int $weeksHigh,
        /** 1 none expected to 5 loss. */
        public int $keepInjury,
    ) {
    }

    public static function of(Situation $situation, Candidate $candidate): self
    {
        $control = self::control($situation, $candidate);
        $harm = $candidate->active?->harm($candidate->method->id()) ?? ($candidate->method->data->has('harm') ? $candidate->method->data->int('harm') : 3);

        $weeks = self::weeks($candidate);

        return new self($control[0] ?? null, $control[1] ?? null, $control[2] ?? null, $harm, self::minutes($situation, $candidate), $weeks[0] ?? null, $weeks[1] ?? null, KeepInjury::of($situation, $candidate));
    }

    /** @return list<int> first and last week in which it shows; the method's own word goes before the active's */
    private static function weeks(Candidate $candidate): array
    {
        $own = $candidate->method->data->strings('showWeeks');
        if ($own !== []) {
            return array_map(intval(...), $own);
        }
        $symptoms = $candidate->active?->data->nodeOrEmpty('symptoms');
        $days = array_map(static fn (string $end): ?Quantity => $symptoms?->quantity($end), ['from', 'to']);

        return $days[0] === null || $days[1] === null ? [] : array_map(static fn (Quantity $q): int => $q->in(Unit::Day)->dividedBy(7)->toScale(0, RoundingMode::UP)->toInt(), $days);
    }

    /** @return list<int> low, use, high; empty where not known */
    private static function control(Situation $situation, Candidate $candidate): array
    {
        $table = $candidate->method->data->nodeOrEmpty('control');
        $target = $situation->target;
        // what a method does to a plant that nobody knows is not known either
        if ($target === null) {
            return [];
        }
        $key = match ($candidate->method->id()) {
            'hand-pull' => in_array($target->rootForm(), ['rhizome', 'creeping-root', 'bulblet', 'tuber', 'suckering-root'], true) ? 'rootLeft' : 'rootOut',
            'lever-pull', 'dig' => 'rootOut',
            'mow' => 'once',
            'girdle', 'double-girdle' => 'resprouter',
            'repeat-cut' => $target->treatmentClass() === 'bulblet' ? 'bulblet' : 'season',
            'smother' => 'season',
            'flame' => ($situation->stage()[0] ?? '') === 'cotyledon' ? 'cotyledon' : 'later',
            'hack-and-squirt' => $candidate->active?->id() ?? '',
            'foliar-spot' => match (true) {
                ($situation->stage()[0] ?? '') === 'rosette' => 'rosette',
                default => $situation->phenology()?->flowOn($situation->day) === 'up' ? 'spring' : 'late',
            },
            default => 'inWindow',
        };

        return $table->has($key) ? array_map(intval(...), $table->strings($key)) : [];
    }

    private static function minutes(Situation $situation, Candidate $candidate): ?Quantity
    {
        if ($situation->stems === []) {
            return null;
        }
        $perStem = $candidate->catalogue->coefficients()->node('minutesPerStem');
        if (!$perStem->has($candidate->method->id())) {
            return null;
        }
        $rows = $perStem->nodes($candidate->method->id());
        $total = Quantity::zero(Unit::Minute);
        foreach ($situation->stems as $group) {
            $minutes = self::minutesFor($rows, $group->forSums());
            if ($minutes === null) {
                return null;
            }
            $total = $total->plus(Quantity::of($minutes, Unit::Minute)->times($group->count));
        }

        return $total;
    }

    /** @param array<array-key, Node> $rows classes in order of size */
    private static function minutesFor(array $rows, Quantity $diameter): ?string
    {
        foreach ($rows as $row) {
            $below = $row->quantity('below');
            if ($below !== null && $diameter->isLessThan($below)) {
                return $row->strings('minutes')[1];
            }
        }

        return null;
    }
}
