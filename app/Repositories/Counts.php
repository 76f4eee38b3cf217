<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Stand;
use App\Models\Tally;
use Illuminate\Support\Collection;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\SituationReader;
use Thicket\Survey\Estimate;
use Thicket\Survey\PlotTally;
use Thicket\Survey\StemGroup;

/**
 * Which counts of a stand hold now. Counts are never overwritten: of each zone the newest holds, and a newer count of
 * the whole patch sets aside those of its zones. Plots are raised to their zone or patch.
 */
final readonly class Counts
{
    public const OF_STEMS = ['stems', 'plots'];

    public function __construct(private Catalogue $catalogue) {}

    /**
     * @param list<string> $kinds
     *
     * @return Collection<int, Tally> the newest of each zone, or the newest of the whole patch alone
     */
    public function current(Stand $stand, array $kinds = self::OF_STEMS): Collection
    {
        $out = [];
        foreach ($stand->tallies as $tally) {
            if (
                !in_array($tally->kind, $kinds, true) ||
                ($tally->zone !== null && $tally->zone->archived_at !== null)
            ) {
                continue;
            }
            if ($tally->zone_id === null) {
                // older than a zone's count: set aside; else it is all there is
                return collect($out === [] ? [$tally] : array_values($out));
            }
            $out[$tally->zone_id] ??= $tally;
        }

        return collect(array_values($out));
    }

    /** @return list<StemGroup> */
    public function stems(Stand $stand): array
    {
        return array_merge(
            ...array_map(
                fn(Tally $tally): array => $this->ofTally($stand, $tally),
                array_values($this->current($stand)->all()),
            ),
        );
    }

    /** @return list<array{area: Quantity, stems: list<StemGroup>}> of each zone that was counted by itself and drawn */
    public function zones(Stand $stand): array
    {
        $out = [];
        foreach ($this->current($stand) as $tally) {
            $area = $tally->zone_id === null ? null : $this->area($stand, $tally);
            $area === null || ($out[] = ['area' => $area, 'stems' => $this->ofTally($stand, $tally)]);
        }

        return $out;
    }

    /** @return list<StemGroup> */
    private function ofTally(Stand $stand, Tally $tally): array
    {
        return $tally->kind === 'plots'
            ? $this->plots($tally)?->raised($this->area($stand, $tally)) ?? []
            : $this->stemsOf($tally->rows);
    }

    /**
     * @param list<array<string, mixed>> $rows
     *
     * @return list<StemGroup>
     */
    public function stemsOf(array $rows): array
    {
        $faults = new Faults();
        $reader = new SituationReader($this->catalogue);
        $groups = array_map(static fn(array $row): ?StemGroup => $reader->stems(Fields::of($row, $faults)), $rows);
        $faults->throwIfAny();

        return array_values(array_filter($groups));
    }

    public function plots(Tally $tally): ?PlotTally
    {
        return $tally->body === null ? null : self::readPlots(Fields::of($tally->body, new Faults()), $this->catalogue);
    }

    public static function readPlots(Fields $in, Catalogue $catalogue): ?PlotTally
    {
        $reader = new SituationReader($catalogue);

        return PlotTally::read($in, static fn(Fields $row): ?StemGroup => $reader->stems($row, false));
    }

    /** Area that a count speaks for: its zone's, else the patch's. */
    public function area(Stand $stand, Tally $tally): ?Quantity
    {
        $squareMetres = $tally->zone !== null ? $tally->zone->area_m2 : $stand->patch->outline?->area_m2;

        return $squareMetres === null ? null : Quantity::of(rtrim(rtrim($squareMetres, '0'), '.'), Unit::SquareMetre);
    }

    /**
     * Estimates of the plot counts that hold, by zone, and of all of them together where there are several.
     *
     * @param list<string> $kinds
     *
     * @return array{each: list<array{tally: Tally, estimate: Estimate}>, all: Estimate|null}
     */
    public function estimates(Stand $stand, array $kinds): array
    {
        $each = [];
        foreach ($this->current($stand, $kinds) as $tally) {
            $plots = $tally->kind === 'stems' ? null : $this->plots($tally);
            $plots === null ||
                ($each[] = ['tally' => $tally, 'estimate' => $plots->estimate($this->area($stand, $tally))]);
        }
        $estimates = array_column($each, 'estimate');
        $areas = array_filter($estimates, static fn(Estimate $e): bool => $e->area !== null);

        return [
            'each' => $each,
            'all' => match (true) {
                count($estimates) === 1 => $estimates[0],
                count($estimates) > 1 && count($areas) === count($estimates) => Estimate::ofZones($estimates),
                default => null,
            },
        ];
    }

    /** Where the stems that hold were measured; null where nobody said or they differ. */
    public function diameterAt(Stand $stand): ?string
    {
        $said = $this->current($stand)->pluck('diameter_at')->unique();

        return $said->count() === 1 && is_string($said->first()) ? $said->first() : null;
    }
}
