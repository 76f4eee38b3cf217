<?php

declare(strict_types=1);

namespace App\Resources;

use App\Support\Format;
use App\Text\Sentences;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\SeasonPlan\LeftOut;
use Thicket\SeasonPlan\Part;
use Thicket\SeasonPlan\Placement;
use Thicket\SeasonPlan\Proposal;
use Thicket\SeasonPlan\Reason;
use Thicket\SeasonPlan\Season;

/** A season plan in words: days, people, why each stands there, what found no day and what would make room. */
final readonly class PlanResource
{
    public function __construct(private Sentences $sentences) {}

    /**
     * @param array<string, string> $names of jobs and of units of kit, by id
     *
     * @return array<string, mixed>
     */
    public function proposal(Proposal $plan, Season $season, array $names): array
    {
        return [
            'first' => Format::day($season->first),
            'last' => Format::day($season->last),
            'placed' => array_map(
                fn(Placement $p): array => self::placement($p) + [
                    'why' => array_map(
                        fn(Reason $r): array => $this->said("plan.why.{$r->code}", $r, $names),
                        $plan->why[$p->job] ?? [],
                    ),
                ],
                $plan->placements,
            ),
            'leftOut' => array_map(
                fn(LeftOut $left): array => [
                    'job' => $left->job,
                    'why' => array_map(
                        fn(Reason $r): array => $this->said("plan.out.{$r->code}", $r, $names),
                        $left->reasons,
                    ),
                    'room' => array_map(
                        fn(Reason $r): array => $this->said("plan.room.{$r->code}", $r, $names),
                        $left->room,
                    ),
                ],
                $plan->leftOut,
            ),
            'brings' => [
                'points' => self::points($plan->value),
                'most' => self::points($plan->bound),
                'percent' => $plan->bound === 0 ? 100 : intdiv(100 * $plan->value, $plan->bound),
            ],
            'road' => Format::hours(Quantity::of($plan->road, Unit::Minute)),
            'unpriced' => $plan->unpriced,
        ];
    }

    /** @return array<string, mixed> */
    public static function placement(Placement $placement): array
    {
        return [
            'job' => $placement->job,
            'parts' => array_map(
                static fn(Part $part): array => [
                    'day' => Format::day($part->day),
                    'people' => $part->people,
                    'minutes' => $part->minutes,
                    'time' => Format::hours(Quantity::of($part->minutes, Unit::Minute)),
                ],
                $placement->parts,
            ),
        ];
    }

    /**
     * @param array<string, string> $names of jobs and of units of kit, by id
     *
     * @return array{code: string, text: array{us: string, metric: string}}
     */
    public function said(string $code, Reason $reason, array $names): array
    {
        $values = [];
        foreach ($reason->values as $name => $value) {
            $values[$name] = match (true) {
                $name === 'minutes' && is_int($value) => self::hours($value),
                $name === 'litres' && is_int($value) => Quantity::of($value, Unit::Litre),
                $name === 'short' && is_int($value) => number_format($value / 100, 2, '.', ''),
                $name === 'job' && is_string($value) => $names[$value] ?? $value,
                in_array($name, ['needs', 'kit'], true) && is_string($value) => $this->list($name, $value, $names),
                default => $value,
            };
        }

        return ['code' => $reason->code, 'text' => $this->sentences->sentence($code, $values)];
    }

    /**
     * Why one job cannot go onto one day.
     *
     * @param array<string, string> $names of jobs and of units of kit, by id
     *
     * @return array{us: string, metric: string}
     */
    public function refused(Reason $reason, array $names): array
    {
        $code = "plan.move.{$reason->code}";

        return $this->said($this->sentences->has($code) ? $code : "plan.out.{$reason->code}", $reason, $names)['text'];
    }

    /**
     * Several words of a kind, by name where there is one.
     *
     * @param array<string, string> $names of jobs and of units of kit, by id
     */
    private function list(string $kind, string $words, array $names): string
    {
        if ($words === '') {
            return 'none';
        }
        $named = $kind === 'kit' ? 'tool' : 'clearance';

        return implode(
            ', ',
            array_map(
                fn(string $word): string => match (true) {
                    isset($names[$word]) => $names[$word],
                    $this->sentences->has("plan.{$kind}.{$word}") => $this->sentences->name("plan.{$kind}.{$word}"),
                    $this->sentences->has("{$named}.{$word}") => $this->sentences->name("{$named}.{$word}"),
                    default => $word,
                },
                array_values(array_unique(explode(' ', $words))),
            ),
        );
    }

    private static function hours(int $minutes): string
    {
        return (string) (Format::hours(Quantity::of($minutes, Unit::Minute))['shown']['us'] ?? '');
    }

    private static function points(int $thousandths): string
    {
        return number_format($thousandths / 1000, 1, '.', '');
    }
}
