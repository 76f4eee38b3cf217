<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Observation;
use App\Models\Patch;
use App\Models\ProtectedFeature as KeeperRow;
use App\Support\JobClock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Thicket\Calendar\Day;
use Thicket\Calendar\MonthDay;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\FactName;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Measure\Unit;
use Thicket\Situation\Fact;
use Thicket\Situation\ProtectedFeature;
use Thicket\Situation\SituationReader;
use Thicket\Survey\Nearest;
use Thicket\Survey\Outline;
use Thicket\Survey\Shape;

/** What was seen on a patch and its ground, and what is kept about it: one query each, once a request. */
final class Surroundings
{
    /** Things further off do not bear on a patch. */
    private const SEEN_METRES = 1000;

    /** @var \WeakMap<Patch, list<array{keeper: ProtectedFeature, row: KeeperRow}>> */
    private \WeakMap $keepers;

    /** @var \WeakMap<Patch, array{ofPatch: list<Observation>, leafOuts: list<Observation>}> newest first */
    private \WeakMap $seen;

    public function __construct(private readonly Catalogue $catalogue, private readonly JobClock $clock)
    {
        $this->keepers = new \WeakMap();
        $this->seen = new \WeakMap();
    }

    /** @return list<Fact> a leaf-out bears on the season, not on the target alone, and is told by leafOutSeen() */
    public function facts(Patch $patch): array
    {
        $facts = [];
        foreach ($this->seen($patch)['ofPatch'] as $observation) {
            if ($observation->fact === FactName::LeafOut->value && $observation->species !== null) {
                continue;
            }
            $fact = (new SituationReader($this->catalogue))->fact(
                Fields::of($observation->body, new Faults()),
                \DateTimeImmutable::createFromInterface($observation->at),
            );
            $fact !== null && ($facts[] = $fact);
        }

        return $facts;
    }

    /** @return array<string, Observation> newest observation of each fact */
    public function newest(Patch $patch): array
    {
        $out = [];
        foreach ($this->seen($patch)['ofPatch'] as $observation) {
            $out[$observation->fact] ??= $observation;
        }

        return $out;
    }

    /**
     * The newest leaf-out that somebody saw anywhere on the ground within the year.
     *
     * @return array{day: \DateTimeImmutable, catalogue: MonthDay, species: string}|null
     */
    public function leafOutSeen(Patch $patch): ?array
    {
        foreach ($this->seen($patch)['leafOuts'] as $one) {
            $catalogue = $this->catalogue->hasSpecies((string) $one->species)
                ? $this->catalogue->species((string) $one->species)->dayOf('leafOut')
                : null;
            if ($catalogue !== null && is_string($one->body['value'] ?? null)) {
                return [
                    'day' => Day::parse($one->body['value']),
                    'catalogue' => $catalogue,
                    'species' => (string) $one->species,
                ];
            }
        }

        return null;
    }

    /**
     * What is kept near a patch: drawn things with distance and bearing from its outline, and those known by words.
     *
     * @return list<array{keeper: ProtectedFeature, row: KeeperRow}> nearest first
     */
    public function keepersOf(Patch $patch): array
    {
        return $this->keepers[$patch] ??= $this->findKeepers($patch);
    }

    /** @return list<ProtectedFeature> */
    public function keepers(Patch $patch): array
    {
        return array_column($this->keepersOf($patch), 'keeper');
    }

    /** @return array{ofPatch: list<Observation>, leafOuts: list<Observation>} */
    private function seen(Patch $patch): array
    {
        if (isset($this->seen[$patch])) {
            return $this->seen[$patch];
        }
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $yearAgo = $now->modify('-366 days');
        $isLeafOut = static fn(Observation $one): bool => $one->ground_id === $patch->ground_id &&
            $one->fact === FactName::LeafOut->value &&
            $one->species !== null &&
            $one->at >= $yearAgo &&
            $one->at <= $now;
        /** @var Collection<int, Observation> $all */
        $all = Observation::query()
            ->where('patch_id', $patch->id)
            ->orWhere(static function (Builder $query) use ($patch, $yearAgo, $now): void {
                $query
                    ->where('ground_id', $patch->ground_id)
                    ->where('fact', FactName::LeafOut->value)
                    ->whereNotNull('species')
                    ->whereBetween('at', [$yearAgo, $now]);
            })
            ->orderByDesc('at')
            ->orderByDesc('id')
            ->get();

        return $this->seen[$patch] = [
            'ofPatch' => array_values($all->where('patch_id', $patch->id)->all()),
            'leafOuts' => array_values($all->filter($isLeafOut)->all()),
        ];
    }

    /** @return list<array{keeper: ProtectedFeature, row: KeeperRow}> */
    private function findKeepers(Patch $patch): array
    {
        $shape =
            $patch->outline === null
                ? null
                : Shape::ofOutline(Outline::trusted($patch->outline->outline['coordinates']));
        $out = [];
        foreach ($this->keptAbout($patch, $shape) as $row) {
            if ($row->patch_id === $patch->id) {
                $out[] = ['keeper' => $this->keeper($row, []), 'row' => $row];
            }
            if ($row->shape === null || $shape === null) {
                continue;
            }
            $near = Nearest::between($shape, Shape::fromGeoJson($row->shape));
            if ($near->distance->in(Unit::Metre)->isLessThanOrEqualTo(self::SEEN_METRES)) {
                $out[] = [
                    'keeper' => $this->keeper(
                        $row,
                        ['distance' => $near->distance->toWire()] +
                            ($near->bearing === null ? [] : ['bearing' => number_format($near->bearing, 1, '.', '')]),
                    ),
                    'row' => $row,
                ];
            }
        }
        usort(
            $out,
            static fn(array $a, array $b): int => ($a['keeper']->distance?->float(Unit::Metre) ?? INF) <=>
                ($b['keeper']->distance?->float(Unit::Metre) ?? INF),
        );

        return $out;
    }

    /** @return Collection<int, KeeperRow> of the patch itself, and drawn things of the ground whose box comes near */
    private function keptAbout(Patch $patch, ?Shape $shape): Collection
    {
        /** @var Collection<int, KeeperRow> $rows */
        $rows = KeeperRow::query()
            ->where('archived_at', null)
            ->where(function (Builder $query) use ($patch, $shape): void {
                $query->where('patch_id', $patch->id);
                $shape === null || $query->orWhere(fn(Builder $drawn) => self::near($drawn, $patch, $shape));
            })
            ->orderBy('name')
            ->get();

        return $rows;
    }

    /** @param Builder<KeeperRow> $drawn */
    private static function near(Builder $drawn, Patch $patch, Shape $shape): void
    {
        [$west, $south, $east, $north] = $shape->box();
        $up = self::SEEN_METRES / 110_000;
        $along = $up / max(0.05, cos(deg2rad(max(abs($south), abs($north)))));
        $drawn
            ->where('ground_id', $patch->ground_id)
            ->where('shape', '!=', null)
            ->where('west', '<=', $east + $along)
            ->where('east', '>=', $west - $along)
            ->where('south', '<=', $north + $up)
            ->where('north', '>=', $south - $up);
    }

    /** @param array<string, mixed> $seen what the map says of it */
    private function keeper(KeeperRow $row, array $seen): ProtectedFeature
    {
        $faults = new Faults();
        $keeper = (new SituationReader($this->catalogue))->keeper(
            Fields::of($seen + $row->body, $faults),
            $row->shape === null ? 'typed' : 'map',
        );
        $faults->throwIfAny();

        return $keeper;
    }
}
