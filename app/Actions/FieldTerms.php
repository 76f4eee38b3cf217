<?php

declare(strict_types=1);

namespace App\Actions;

use App\Text\Sentences;
use Thicket\FieldDay\Briefing;
use Thicket\FieldDay\FieldClock;
use Thicket\FieldDay\FieldClocks;
use Thicket\Measure\Dimension;
use Thicket\Measure\Unit;
use Thicket\Safety\Spill;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Survey\StemGroup;
use Thicket\Timing\StartLimit;

/** What a sheet carries for the field day, so that a phone without signal has it all: ticks, clocks, sizes to count. */
final readonly class FieldTerms
{
    /** Stems as they come, where nobody counted by size. */
    private const ALL = 'all';
    /** Units in which a reading is typed on the spot. */
    private const TYPED = [
        'speed' => ['us' => Unit::MilePerHour, 'metric' => Unit::MetrePerSecond],
        'temperature' => ['us' => Unit::Fahrenheit, 'metric' => Unit::Celsius],
    ];

    public function __construct(private Sentences $sentences) {}

    /**
     * @param non-empty-list<Option> $tank the product of the step and its partners
     *
     * @return array<string, mixed>
     */
    public function of(Situation $situation, array $tank): array
    {
        $briefing = Briefing::of($situation, $tank);
        $ticks = fn(array $codes, bool $each): array => array_map(
            fn(string $code): array => ['code' => $code, 'name' => $this->sentences->name($code), 'each' => $each],
            $codes,
        );

        return [
            'briefing' => [...$ticks($briefing->once, false), ...$ticks($briefing->each, true)],
            'clocks' => array_map(
                fn(FieldClock $c): array => [
                    'code' => $c->code,
                    'name' => $this->sentences->name("field-clock.{$c->code}"),
                    'alarms' => $c->alarms,
                    'repeats' => $c->repeats,
                    'perBatch' => $c->perBatch,
                    'source' => $this->sentences->source($c->source),
                ],
                FieldClocks::of($tank),
            ),
            'groups' => $this->groups($situation),
            'spill' => array_map(
                fn(string $surface): array => [
                    'on' => $surface,
                    'steps' => array_map(
                        fn(string $step): string => $this->sentences->name("spill.{$step}"),
                        Spill::steps($surface),
                    ),
                ],
                Spill::SURFACES,
            ),
        ];
    }

    /**
     * A limit in the units in which it is read on the spot, rounded to its safe side.
     *
     * @return array{us: array{value: string, unit: string}, metric: array{value: string, unit: string}}|null
     */
    public static function typed(StartLimit $limit): ?array
    {
        $units = match ($limit->value->unit->dimension()) {
            Dimension::Speed => self::TYPED['speed'],
            Dimension::Temperature => self::TYPED['temperature'],
            default => null,
        };

        return $units === null
            ? null
            : array_map(static fn(Unit $u): array => ['value' => $limit->safeIn($u), 'unit' => $u->value], $units);
    }

    /** @return list<array{key: string, name: array{us: string, metric: string}, count: int}> */
    private function groups(Situation $situation): array
    {
        $groups = [];
        foreach ($situation->stems as $group) {
            $key = self::key($group);
            $groups[$key] ??= ['key' => $key, 'name' => $this->name($group), 'count' => 0];
            $groups[$key]['count'] += $group->count;
        }

        return $groups === []
            ? [['key' => self::ALL, 'name' => $this->sentences->both('field.all-stems', []), 'count' => 0]]
            : array_values($groups);
    }

    private static function key(StemGroup $group): string
    {
        $plain = static fn(\Thicket\Measure\Quantity $q): string => implode('', $q->toWire());

        return $plain($group->least) . ($group->below === null ? '' : '-' . $plain($group->below));
    }

    /** @return array{us: string, metric: string} */
    private function name(StemGroup $group): array
    {
        return $group->below === null
            ? $this->sentences->both('field.size', ['least' => $group->least])
            : $this->sentences->both('field.sizes', ['least' => $group->least, 'most' => $group->below]);
    }
}
