<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\PlotPlan;
use App\Models\Stand;
use App\Models\Tally;
use App\Repositories\Counts;
use App\Repositories\SituationRepository;
use App\Support\Format;
use App\Text\Sentences;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\CoverClass;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\Census;
use Thicket\Mix\TreatedArea;
use Thicket\Survey\Estimate;
use Thicket\Survey\StemGroup;

/**
 * The counts of a stand: what holds, what follows from it, the plots with their interval, and the trail of earlier
 * counts.
 */
final readonly class CountResource
{
    private const HISTORY = 50;

    public function __construct(
        private Catalogue $catalogue,
        private Sentences $sentences,
        private SituationRepository $situations,
        private Counts $counts,
    ) {}

    /** @return array<string, mixed> */
    public function count(Stand $stand, float $share): array
    {
        $stems = $this->counts->stems($stand);
        /** @var \Illuminate\Database\Eloquent\Collection<int, PlotPlan> $plans */
        $plans = $stand->plotPlans()->limit(10)->get();
        /** @var \Illuminate\Database\Eloquent\Collection<int, Tally> $history */
        $history = $stand
            ->tallies()
            ->with(['zone', 'maker'])
            ->limit(self::HISTORY)
            ->get();

        return [
            'zones' => $stand->patch->zones
                ->map(static fn($z): array => ['id' => $z->id, 'name' => $z->name])
                ->values()
                ->all(),
            'current' => $this->counts->current($stand)->map($this->tally(...))->values()->all(),
            'census' => $stems === [] ? null : $this->census($stand, $stems),
            'classes' => $this->classes($stems),
            'plots' => $this->sample($stand, ['stems', 'plots'], $share),
            'seedlings' => $this->sample($stand, ['seedlings'], $share),
            'cover' => $this->cover($stand),
            'coverClasses' => array_map(
                fn(CoverClass $c): array => [
                    'id' => $c->id,
                    'name' => $this->sentences->name("cover.{$c->id}"),
                    'range' => "{$c->from}–{$c->below} %",
                ],
                $this->catalogue->coefficients()->coverClasses(),
            ),
            'plans' => $plans->map($this->plan(...))->values()->all(),
            'history' => $history
                ->map(
                    fn(Tally $t): array => $this->tally($t) + [
                        'by' => $t->maker->name,
                        'at' => Format::moment($t->created_at, $stand->patch->ground->time_zone),
                    ],
                )
                ->values()
                ->all(),
        ];
    }

    /** @return array<string, mixed> */
    public function plan(PlotPlan $plan): array
    {
        return [
            'id' => $plan->id,
            'zoneId' => $plan->zone_id,
            'radius' => $plan->radius,
            'placement' => $plan->placement,
            'seed' => $plan->seed,
            'plots' => array_map(
                static fn(array $p): array => [
                    'position' => $p['position'],
                    'inside' => Format::quantity(Quantity::of($p['inside']['value'], Unit::from($p['inside']['unit']))),
                ],
                $plan->plots,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function tally(Tally $tally): array
    {
        $stems =
            $tally->kind === 'stems'
                ? array_sum(array_map(static fn(StemGroup $g): int => $g->count, $this->counts->stemsOf($tally->rows)))
                : null;

        return [
            'id' => $tally->id,
            'kind' => $tally->kind,
            'visitedOn' => Format::day($tally->visited_on),
            'zoneId' => $tally->zone_id,
            'zone' => $tally->zone?->name,
            'diameterAt' => $tally->diameter_at,
            'rows' => $tally->rows,
            'sample' => $tally->kind === 'stems' || $tally->kind === 'cover' ? null : (object) ($tally->body ?? []),
            'stems' => $stems,
        ];
    }

    /**
     * @param list<StemGroup> $stems
     *
     * @return array<string, mixed>
     */
    private function census(Stand $stand, array $stems): array
    {
        $census = Census::of(
            $stems,
            $this->situations->area($stand->patch),
            $this->situations->schools($stand->patch->ground->crew),
            $this->catalogue,
        );

        return [
            'stems' => $census->stems,
            'clumps' => $census->clumps,
            'estimated' => array_filter($stems, static fn(StemGroup $g): bool => $g->estimated) !== [],
            'perArea' => Format::quantity($census->perArea),
            'density' => $census->density === null ? null : $this->sentences->name("density.{$census->density}"),
            'sumOfDiameters' => Format::quantity(self::rounded($census->sumOfDiameters)),
            'band' => Format::quantity($census->band),
            'bandArea' => Format::quantity(self::rounded($census->bandArea)),
            'stumpFaces' => Format::quantity(self::rounded($census->stumpFaces)),
            'stumpFacesAndSides' => Format::quantity(self::rounded($census->stumpFacesAndSides)),
            'cuts' => array_map(
                fn(array $c): array => [
                    'name' => $this->sentences->name("choice.{$c['school']}.{$c['choice']}"),
                    'cuts' => $c['cuts'],
                ],
                $census->cuts,
            ),
        ];
    }

    /**
     * @param list<StemGroup> $stems
     *
     * @return list<array<string, mixed>> sizes with their stems, thinnest first
     */
    private function classes(array $stems): array
    {
        $out = [];
        foreach ($stems as $group) {
            $key =
                (string) $group->least->in(Unit::Metre)->simplified() .
                '-' .
                ($group->below === null ? '' : $group->below->in(Unit::Metre)->simplified());
            $out[$key] ??= [
                'from' => Format::quantity(self::rounded($group->least)),
                'below' => Format::quantity($group->below),
                'stems' => 0,
                'estimated' => false,
                'sort' => $group->forSums()->float(Unit::Metre),
            ];
            $out[$key]['stems'] += $group->count;
            $out[$key]['estimated'] = $out[$key]['estimated'] || $group->estimated;
        }
        usort($out, static fn(array $a, array $b): int => $a['sort'] <=> $b['sort']);

        return array_map(static fn(array $c): array => array_diff_key($c, ['sort' => 1]), $out);
    }

    /**
     * @param list<string> $kinds
     *
     * @return array<string, mixed>|null
     */
    private function sample(Stand $stand, array $kinds, float $share): ?array
    {
        ['each' => $each, 'all' => $all] = $this->counts->estimates($stand, $kinds);
        if ($each === []) {
            return null;
        }
        $fine = $kinds === ['seedlings'];

        return [
            'each' => array_map(
                fn(array $e): array => [
                    'zone' => $e['tally']->zone?->name,
                    'visitedOn' => Format::day($e['tally']->visited_on),
                ] + $this->estimate($e['estimate'], $share, $fine),
                $each,
            ),
            'all' => $all === null ? null : $this->estimate($all, $share, $fine),
            'wanted' => (int) round(100 * $share),
        ];
    }

    /** @return array<string, mixed> */
    private function estimate(Estimate $estimate, float $share, bool $fine): array
    {
        // seedlings are told by the square metre however few they are
        $density = static fn(?float $perSquareMetre): ?array => $perSquareMetre === null
            ? null
            : Format::quantity(
                Quantity::of(
                    self::decimal($fine ? $perSquareMetre : $perSquareMetre * 10_000, $fine ? 3 : 1),
                    $fine ? Unit::OnePerSquareMetre : Unit::OnePerHectare,
                ),
            );
        $interval = $estimate->interval();
        $total = $estimate->total();

        return [
            'plots' => $estimate->plots,
            'mean' => $density($estimate->mean),
            'standardError' => $density($estimate->standardError),
            'halfWidth' => $density($estimate->halfWidth()),
            'percent' =>
                $estimate->halfWidth() === null || $estimate->mean <= 0
                    ? null
                    : (int) round((100 * $estimate->halfWidth()) / $estimate->mean),
            'low' => $density($interval[0] ?? null),
            'high' => $density($interval[1] ?? null),
            'total' => $total === null ? null : (int) round($total),
            'totalLow' =>
                $total === null || $interval === null ? null : (int) round($interval[0] * (float) $estimate->area),
            'totalHigh' =>
                $total === null || $interval === null ? null : (int) round($interval[1] * (float) $estimate->area),
            'needed' => $estimate->plotsFor($share),
            'still' => $estimate->plotsStillNeeded($share),
        ];
    }

    /** @return array<string, mixed>|null the newest cover class and the ground it stands for */
    private function cover(Stand $stand): ?array
    {
        $tally = $this->counts->current($stand, ['cover'])->first();
        if ($tally === null) {
            return null;
        }
        $id = $tally->body['class'] ?? null;
        foreach ($this->catalogue->coefficients()->coverClasses() as $class) {
            if ($class->id === $id) {
                $area = $this->counts->area($stand, $tally);

                return [
                    'id' => $id,
                    'name' => $this->sentences->name("cover.{$id}"),
                    'visitedOn' => Format::day($tally->visited_on),
                    'covered' => Format::quantity(
                        $area === null ? null : self::rounded(TreatedArea::underCover($class, $area)),
                    ),
                ];
            }
        }

        return null;
    }

    /** To four places of its own unit, for the wire. */
    private static function rounded(Quantity $quantity): Quantity
    {
        return Quantity::of(
            $quantity->amount->toScale(4, \Brick\Math\RoundingMode::HALF_UP)->stripTrailingZeros(),
            $quantity->unit,
        );
    }

    private static function decimal(float $value, int $places): string
    {
        return number_format($value, $places, '.', '');
    }
}
