<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Ground;
use App\Models\Patch;
use App\Models\PatchOutline;
use App\Models\ProtectedFeature;
use App\Models\Zone;
use App\Repositories\SituationRepository;
use App\Repositories\Surroundings;
use App\Support\Format;
use App\Text\Sentences;
use Brick\Math\RoundingMode;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

final readonly class GroundResource
{
    public function __construct(
        private Sentences $sentences,
        private SituationRepository $situations,
        private Surroundings $surroundings,
    ) {}

    /** @return array<string, mixed> */
    public function ground(Ground $ground): array
    {
        $area = $ground->getAttributes()['patches_sum_area_m2'] ?? null;

        return [
            'id' => $ground->id,
            'name' => $ground->name,
            'latitude' => $ground->latitude,
            'longitude' => $ground->longitude,
            'elevation' => Format::quantity(Quantity::of($ground->elevation_m, Unit::Metre)),
            'timeZone' => $ground->time_zone,
            'hardinessZone' => $ground->hardiness_zone,
            'revision' => $ground->revision,
            'shiftDays' => self::days($ground->seasonShift()),
            'patchCount' => (int) ($ground->getAttributes()['patches_count'] ?? 0),
            'area' => Format::ground(self::squareMetres(is_scalar($area) ? (string) $area : null)),
        ];
    }

    /**
     * @param list<array<string, mixed>> $lines its stands
     *
     * @return array<string, mixed>
     */
    public function line(Patch $patch, array $lines): array
    {
        return [
            'id' => $patch->id,
            'name' => $patch->name,
            'setting' => ['id' => $patch->setting, 'name' => $this->sentences->name("site.{$patch->setting}")],
            'area' => Format::ground(self::squareMetres($patch->area_m2)),
            'archived' => $patch->archived_at !== null,
            'archivedReason' => $patch->archived_reason,
            'stands' => $lines,
        ];
    }

    /**
     * @param list<array<string, mixed>> $lines its stands
     *
     * @return array<string, mixed>
     */
    public function patch(Patch $patch, array $lines = []): array
    {
        $seen = $this->surroundings->leafOutSeen($patch);
        $wind = $this->situations->windFrom($patch);

        return $this->line($patch, $lines) + [
            'groundId' => $patch->ground_id,
            'ground' => $patch->ground->name,
            'revision' => $patch->revision,
            'outline' => $patch->outline?->outline,
            'validFrom' => Format::day($patch->outline?->valid_from),
            'properties' => (object) ($patch->properties ?? []),
            'zones' => $patch->zones
                ->map(
                    static fn(Zone $z): array => [
                        'id' => $z->id,
                        'name' => $z->name,
                        'area' => Format::ground(self::squareMetres($z->area_m2)),
                    ],
                )
                ->values()
                ->all(),
            'season' => [
                'shiftDays' => self::days($this->situations->seasonOf($patch)),
                'byPlaceDays' => self::days($patch->ground->seasonShift()),
                'leafOut' =>
                    $seen === null ? null : ['day' => Format::day($seen['day']), 'species' => $seen['species']],
            ],
            'keepers' => array_map(
                fn(array $k): array => $this->near($k['keeper'], $k['row']) + [
                    'downwind' => $wind === null ? null : $k['keeper']->isDownwind($wind),
                ],
                $this->surroundings->keepersOf($patch),
            ),
        ];
    }

    /** @return array<string, mixed> one drawn thing, as it can be changed */
    public function keeper(ProtectedFeature $keeper): array
    {
        return [
            'id' => $keeper->id,
            'kind' => $keeper->kind,
            'kindName' => $this->sentences->name("keeper.{$keeper->kind}"),
            'name' => $keeper->name,
            'shape' => $keeper->shape,
            'given' => (object) array_diff_key($keeper->body, ['kind' => 1, 'name' => 1]),
            'properties' => (object) ($keeper->properties ?? []),
            'revision' => $keeper->revision,
        ];
    }

    /** @return array<string, mixed> */
    public function outline(PatchOutline $outline): array
    {
        return [
            'validFrom' => Format::day($outline->valid_from),
            'area' => Format::ground(self::squareMetres($outline->area_m2)),
            'outline' => $outline->outline,
            'how' => $outline->how === null ? null : $this->sentences->name("how.{$outline->how}"),
            'by' => $outline->maker?->name,
        ];
    }

    /** @return array<string, mixed> a thing as it stands to the patch */
    private function near(\Thicket\Situation\ProtectedFeature $k, ProtectedFeature $row): array
    {
        return [
            'id' => $row->id,
            'kind' => $k->kind,
            'kindName' => $this->sentences->name("keeper.{$k->kind}"),
            'name' => $k->name,
            'species' => $k->speciesId,
            'distance' => Format::ground(
                $k->distance,
                array_values(array_filter([$k->isRooted() ? $k->rootReach() : null])),
            ),
            'crownRadius' => Format::ground($k->crownRadius),
            'height' => Format::ground($k->height),
            'downhill' => $k->downhill,
            'bearing' =>
                $k->bearing === null
                    ? null
                    : [
                        'degrees' => number_format($k->bearing, 0),
                        'name' => $this->sentences->name(
                            'compass.' . FactName::COMPASS[(int) round($k->bearing / 45) % 8],
                        ),
                    ],
            'source' => $k->source,
            // a limit is never rounded
            'rootReach' => Format::quantity($k->isRooted() ? $k->rootReach() : null),
            'inRootReach' => $k->isInRootReach(),
        ];
    }

    private static function days(SeasonShift $shift): int
    {
        return $shift->springDays->toScale(0, RoundingMode::HALF_UP)->toInt();
    }

    private static function squareMetres(?string $amount): ?Quantity
    {
        return $amount === null
            ? null
            : Quantity::of(str_contains($amount, '.') ? rtrim(rtrim($amount, '0'), '.') : $amount, Unit::SquareMetre);
    }
}
