<?php

declare(strict_types=1);

namespace App\Resources;

use App\Text\Sentences;
use Thicket\Measure\Quantity;
use Thicket\Measure\System;
use Thicket\Measure\Unit;
use Thicket\Outlook\Assumptions;
use Thicket\Outlook\Course;
use Thicket\Outlook\StandOutlook;
use Thicket\Outlook\Start;
use Thicket\Outlook\Way;

/** The years ahead as they cross the wire: openapi Outlook. */
final readonly class OutlookResource
{
    /** Of ten worlds so many lie within what is told of a control. */
    private const LEVEL = 0.8;

    public function __construct(private Sentences $sentences) {}

    /** @return array<string, mixed> what is missing before anybody can look ahead */
    public function lacking(string $lacks): array
    {
        return [
            'lacks' => ['code' => $lacks, 'text' => $this->sentences->name("outlook.lacks.{$lacks}")],
            'courses' => [],
            'assumptions' => [],
        ];
    }

    /**
     * @param array{code: string, day: \DateTimeImmutable|null, worked: \DateTimeImmutable|null, left: float} $since
     *
     * @return array<string, mixed>
     */
    public function of(StandOutlook $outlook, ?string $currency, array $since): array
    {
        $unit = $outlook->start->unit;
        $courses = Course::all($outlook->planned, $outlook->byHand, $outlook->years);

        return [
            'lacks' => null,
            'unit' => $unit,
            'scale' => $unit === Start::STEMS ? null : self::scale(),
            'since' => $this->sentences->both("outlook.since.{$since['code']}", [
                'day' => $since['day'] === null ? '' : $this->sentences->day($since['day']),
                'worked' => $since['worked'] === null ? '' : $this->sentences->day($since['worked']),
                'percent' => (int) round(100 * $since['left']),
            ]),
            'today' => self::whole($outlook->start->plants),
            'threshold' => self::whole($outlook->threshold),
            'thresholdText' => $this->sentences->both('outlook.fewer', [
                'below' => self::whole($outlook->threshold),
                'unit' => $unit,
                'area' => Quantity::of(self::whole($outlook->threshold), Unit::SquareMetre),
            ]),
            'years' => $outlook->years,
            'currency' => $currency,
            'courses' => array_map(fn(Course $one): array => $this->course($outlook, $one), $courses),
            'assumptions' => $this->assumptions($outlook),
        ];
    }

    /** @return array<string, array{factor: string, unit: string}> by which a chart multiplies square metres */
    private static function scale(): array
    {
        $told = static fn(Unit $unit): array => [
            'factor' => (string) Quantity::of(1, Unit::SquareMetre)
                ->in($unit)
                ->toScale(6, \Brick\Math\RoundingMode::HALF_UP),
            'unit' => $unit->label(),
        ];

        return ['us' => $told(Unit::SquareFoot), 'metric' => $told(Unit::SquareMetre)];
    }

    /** @return array<string, mixed> */
    private function course(StandOutlook $outlook, Course $course): array
    {
        $of = $outlook->projection;
        $bands = $of->bands[$course->id];
        $last = count($bands) - 1;

        return [
            'id' => $course->id,
            'name' => $this->sentences->name("outlook.course.{$course->id}"),
            'way' => $course->way === null ? null : $this->wayName($course->way),
            'text' => $this->sentences->both('outlook.told', [
                'years' => $last,
                'chance' => (int) round(100 * $of->under[$course->id][$last]),
                'below' => self::whole($outlook->threshold),
                'unit' => $outlook->start->unit,
                'area' => Quantity::of(self::whole($outlook->threshold), Unit::SquareMetre),
                'when' => self::firstLikely($of->under[$course->id]),
            ]),
            'years' => array_map(
                fn(array $line, int $year): array => [
                    'year' => $year,
                    'plants' => self::three($line['plants'] ?? null, 0),
                    'plantsText' => $this->range($line['plants'] ?? null, $outlook->start->unit),
                    'seeds' => self::three(self::percent($line['seeds'] ?? null), 0),
                    'hours' => self::three($line['hours'] ?? null, 1),
                    'litres' => self::three($line['litres'] ?? null, 2),
                    'litresText' => $this->litres($line['litres'] ?? null),
                    'money' => self::three($line['money'] ?? null, 0),
                    'kept' => self::three(self::percent($line['kept'] ?? null), 0),
                    'chance' => (int) round(100 * $of->under[$course->id][$year]),
                ],
                $bands,
                array_keys($bands),
            ),
            'hours' => self::three($of->totals[$course->id]['hours'] ?? null, 1),
            'litres' => self::three($of->totals[$course->id]['litres'] ?? null, 2),
            'litresText' => $this->litres($of->totals[$course->id]['litres'] ?? null),
            'money' => self::three($of->totals[$course->id]['money'] ?? null, 0),
            'crop' => isset($of->crop[$course->id]) ? self::three($of->crop[$course->id], 0) : null,
        ];
    }

    /**
     * The first year in which the odds are better than even; 0 where none of them has it.
     *
     * @param list<float> $under
     */
    private static function firstLikely(array $under): int
    {
        foreach ($under as $year => $share) {
            if ($year > 0 && $share > 0.5) {
                return $year;
            }
        }

        return 0;
    }

    /** @return list<array<string, mixed>> each figure with who says so, to be given otherwise */
    private function assumptions(StandOutlook $outlook): array
    {
        $out = [$this->control('control', $outlook->planned)];
        $outlook->byHand === null || ($out[] = $this->control('controlByHand', $outlook->byHand));
        foreach ($outlook->assumptions->spans as $name => $span) {
            $out[] = $this->assumption($name, $span->low, $span->use, $span->high, $span->source);
        }

        return $out;
    }

    /** @return array<string, mixed> */
    private function control(string $name, Way $way): array
    {
        ['low' => $low, 'high' => $high] = $way->control->interval(self::LEVEL);

        return [
            'label' => $this->sentences->in("outlook.assume.{$name}", ['way' => $this->wayName($way)], System::Us),
            'jobs' => $way->control->jobs,
        ] + $this->assumption($name, $low, $way->control->mean(), $high, $way->source);
    }

    /** @return array<string, mixed> */
    private function assumption(string $name, float $low, float $use, float $high, string $source): array
    {
        $told = static fn(float $n): string => rtrim(rtrim(number_format($n, 3, '.', ''), '0'), '.');

        return [
            'name' => $name,
            'label' => $this->sentences->name("outlook.assume.{$name}"),
            'low' => $told($low),
            'use' => $told($use),
            'high' => $told($high),
            'most' => $told(Assumptions::mostOf($name)),
            'source' => $source,
            'sourceText' => $this->sentences->name("outlook.source.{$source}"),
            'jobs' => 0,
        ];
    }

    private function wayName(Way $way): string
    {
        return $this->sentences->name('method.' . explode('/', $way->id)[0]);
    }

    /**
     * @param array{float, float, float}|null $band
     *
     * @return array{low: float, use: float, high: float}|null
     */
    private static function three(?array $band, int $places): ?array
    {
        return $band === null
            ? null
            : [
                'low' => round($band[0], $places),
                'use' => round($band[1], $places),
                'high' => round($band[2], $places),
            ];
    }

    /**
     * @param array{float, float, float}|null $band shares
     *
     * @return array{float, float, float}|null
     */
    private static function percent(?array $band): ?array
    {
        return $band === null ? null : [100 * $band[0], 100 * $band[1], 100 * $band[2]];
    }

    private static function whole(float $n): int
    {
        return (int) round($n);
    }

    /**
     * @param array{float, float, float}|null $band
     *
     * @return array{us: string, metric: string}
     */
    private function range(?array $band, string $unit): array
    {
        [$low, $use, $high] = $band ?? [0.0, 0.0, 0.0];
        $told = fn(float $n): array => $this->counted($n, $unit);

        return self::joined($told($low), $told($use), $told($high));
    }

    /** @return array{us: string, metric: string} */
    private function counted(float $n, string $unit): array
    {
        $count = (string) self::whole($n);

        return $unit === Start::STEMS
            ? ['us' => $count, 'metric' => $count]
            : $this->sentences->both('outlook.covered', ['area' => Quantity::of($count, Unit::SquareMetre)]);
    }

    /**
     * @param array{float, float, float}|null $band
     *
     * @return array{us: string, metric: string}|null
     */
    private function litres(?array $band): ?array
    {
        $told = fn(float $n): array => [
            'us' => $this->volume($n, Unit::UsGallon, Unit::UsFluidOunce, System::Us),
            'metric' => $this->volume($n, Unit::Litre, Unit::Millilitre, System::Metric),
        ];

        return $band === null ? null : self::joined($told($band[0]), $told($band[1]), $told($band[2]));
    }

    /** As a plan for years is told: two figures, in the unit that makes them plain. */
    private function volume(float $litres, Unit $large, Unit $small, System $system): string
    {
        $of = Quantity::of(number_format($litres, 6, '.', ''), Unit::Litre);
        $unit = $of->isLessThan(Quantity::of(1, $large)) ? $small : $large;
        $n = $of->in($unit)->toFloat();
        $rounded = $n <= 0 ? '0' : number_format(round($n, 1 - (int) floor(log10($n))), 4, '.', '');

        return $this->sentences->in('outlook.volume', ['volume' => Quantity::of($rounded, $unit)], $system);
    }

    /**
     * @param array{us: string, metric: string} $low
     * @param array{us: string, metric: string} $use
     * @param array{us: string, metric: string} $high
     *
     * @return array{us: string, metric: string}
     */
    private static function joined(array $low, array $use, array $high): array
    {
        $one = static fn(string $s): string => $low[$s] === $high[$s]
            ? $use[$s]
            : "{$use[$s]} ({$low[$s]} – {$high[$s]})";

        return ['us' => $one('us'), 'metric' => $one('metric')];
    }
}
