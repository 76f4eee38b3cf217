<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Ground;
use App\Models\Patch;
use App\Models\ProtectedFeature;
use App\Models\Zone;
use App\Text\Sentences;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/**
 * The shapes of a ground for drawing. Stored GeoJSON is passed on as it is; thousands of patches come with few corners.
 */
final readonly class MapResource
{
    /** Up to so many patches in the picture come with all their corners. */
    private const MOST_FULL = 250;

    public function __construct(private Sentences $sentences) {}

    /**
     * @param list<float>|null $box west, south, east, north; null for the whole ground
     *
     * @return string JSON: the stored shapes go in as they are, since reading and writing thousands again costs most of
     *     the answer
     */
    public function shapes(Ground $ground, ?array $box): string
    {
        $within = static fn(Builder $q) => $box === null
            ? $q
            : $q
                ->where('west', '<=', $box[2])
                ->where('east', '>=', $box[0])
                ->where('south', '<=', $box[3])
                ->where('north', '>=', $box[1]);
        $patches = $within(
            Patch::query()->where('ground_id', $ground->id)->where('archived_at', null)->where('west', '!=', null),
        );
        $full = (clone $patches)->count() <= self::MOST_FULL;
        $shape = $full ? 'o.outline' : 'coalesce(o.coarse, o.outline)';
        // the newest outline is the one the patch's own box was copied from
        $drawn = DB::table('patches as p')
            ->joinSub($patches->select(['id']), 'seen', 'seen.id', '=', 'p.id')
            ->join(
                'patch_outlines as o',
                fn($join) => $join
                    ->on('o.patch_id', '=', 'p.id')
                    ->whereRaw(
                        'o.id = (select n.id from patch_outlines n where n.patch_id = p.id order by n.valid_from ' .
                            'desc, n.id desc limit 1)',
                    ),
            )
            ->orderBy('p.name')
            ->get([
                'p.id',
                'p.name',
                'p.setting',
                DB::raw("{$shape} as shape"),
                DB::raw(
                    '(select coalesce(sum(t.`count`), 0) from standing_trees t where t.patch_id = p.id and ' .
                        't.down_on is null) as standing',
                ),
            ]);
        /** @var \Illuminate\Database\Eloquent\Collection<int, ProtectedFeature> $keepers */
        $keepers = $within(
            ProtectedFeature::query()
                ->where('ground_id', $ground->id)
                ->where('shape', '!=', null)
                ->where('archived_at', null),
        )
            ->orderBy('name')
            ->get();
        /** @var \Illuminate\Support\Collection<int, Zone> $zones */
        $zones = $full
            ? Zone::query()
                ->where('archived_at', null)
                ->whereIn('patch_id', $drawn->pluck('id'))
                ->orderBy('name')
                ->get()
            : collect();
        $extent = DB::table('patches')
            ->where('ground_id', $ground->id)
            ->where('archived_at', null)
            ->where('west', '!=', null)
            ->selectRaw('min(west) w, min(south) s, max(east) e, max(north) n')
            ->first();

        $drawnAs = static fn(\stdClass $p): string => json_encode(
            ['id' => $p->id, 'name' => $p->name, 'setting' => $p->setting, 'standing' => (int) $p->standing],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
        );
        $patchList = $drawn
            ->map(static fn(\stdClass $p): string => substr($drawnAs($p), 0, -1) . ',"shape":' . $p->shape . '}')
            ->implode(',');
        $rest = json_encode(
            [
                'detail' => $full ? 'full' : 'coarse',
                'centre' => [(float) $ground->longitude, (float) $ground->latitude],
                'extent' =>
                    $extent === null || $extent->w === null
                        ? null
                        : [(float) $extent->w, (float) $extent->s, (float) $extent->e, (float) $extent->n],
                'keepers' => $keepers
                    ->map(
                        fn(ProtectedFeature $k): array => [
                            'id' => $k->id,
                            'name' => $k->name,
                            'kind' => $k->kind,
                            'kindName' => $this->sentences->name("keeper.{$k->kind}"),
                            'shape' => $k->shape,
                        ],
                    )
                    ->values()
                    ->all(),
                'zones' => $zones
                    ->map(
                        static fn(Zone $z): array => [
                            'id' => $z->id,
                            'name' => $z->name,
                            'patchId' => $z->patch_id,
                            'shape' => $z->outline,
                        ],
                    )
                    ->values()
                    ->all(),
            ],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION,
        );

        return substr($rest, 0, -1) . ',"patches":[' . $patchList . ']}';
    }
}
