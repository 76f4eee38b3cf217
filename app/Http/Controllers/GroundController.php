<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Ground;
use App\Models\Patch;
use App\Models\Stand;
use App\Repositories\CrewRows;
use App\Resources\GroundResource;
use App\Resources\MapResource;
use App\Resources\StandResource;
use App\Workflow\Workflow;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Catalogue\Catalogue;
use Thicket\Identify\SeasonalVisibility;
use Thicket\Measure\Dimension;
use Thicket\Measure\Unit;

/** Grounds, the list of their patches, and the map. */
final class GroundController extends Controller
{
    private const SORTS = [
        'name' => 'name',
        'area' => 'area_m2',
        'setting' => 'setting',
        'stands' => 'stands_count',
        'changed' => 'updated_at',
    ];
    private const MOST_PER_PAGE = 200;

    public function __construct(private readonly Catalogue $catalogue, private readonly GroundResource $resource) {}

    public function index(Request $request): JsonResponse
    {
        $grounds = Ground::query()
            ->ofCrew($this->user($request))
            ->withCount(['patches' => fn(Builder $q) => $q->whereNull('archived_at')])
            ->withSum(['patches' => fn(Builder $q) => $q->whereNull('archived_at')], 'area_m2')
            ->orderBy('name')
            ->get();

        return $this->json(['data' => $grounds->map($this->resource->ground(...))->values()->all()]);
    }

    public function store(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $name = $in->text('name', 120);
        $latitude = $in->decimal('latitude', '-85', '85');
        $longitude = $in->decimal('longitude', '-180', '180');
        $elevation = $in->quantity('elevation', Dimension::Length);
        $zone = $in->text('timeZone', 60);
        $hardiness = SeasonalVisibility::readZone($in);
        if (
            $zone !== null &&
            !in_array($zone, \DateTimeZone::listIdentifiers(), true) &&
            preg_match('#^Etc/GMT[+-]\d{1,2}$#', $zone) !== 1
        ) {
            $in->fault('timeZone', 'Give a time zone such as Etc/GMT+5.');
        }
        $this->done($in);
        $this->mustBeNew($id, new Ground());
        $ground = Ground::create(
            array_filter(['id' => $id]) + [
                'crew_id' => $this->user($request)->crew_id,
                'name' => $name,
                'latitude' => $latitude,
                'longitude' => $longitude,
                'elevation_m' => (string) $elevation?->decimal(Unit::Metre, 1, \Brick\Math\RoundingMode::HALF_UP),
                'time_zone' => $zone,
                'hardiness_zone' => $hardiness,
            ],
        );

        return $this->json($this->resource->ground($ground->refresh()), 201, $ground->revision);
    }

    /** How hard the winters are here: it weighs what a plant is named, and shuts nothing. */
    public function update(Request $request, string $groundId): JsonResponse
    {
        $ground = CrewRows::ground($this->user($request), $groundId);
        $in = $this->fields($request);
        $hardiness = SeasonalVisibility::readZone($in);
        $this->done($in);
        $this->mustMatch($request, $ground->revision, fn(): array => $this->resource->ground($ground));
        $ground->forceFill(['hardiness_zone' => $hardiness, 'revision' => $ground->revision + 1])->save();

        return $this->json($this->resource->ground($ground), 200, $ground->revision);
    }

    /** One page of the patches, sorted and filtered here; the stands of the page come with it. */
    public function patches(Request $request, string $groundId, StandResource $stands): JsonResponse
    {
        $ground = CrewRows::ground($this->user($request), $groundId);
        $in = $this->query($request);
        $page = (int) ($in->has('page') ? $in->decimal('page', '1', '100000') : 1);
        $perPage = (int) ($in->has('perPage') ? $in->decimal('perPage', '1', (string) self::MOST_PER_PAGE) : 50);
        $sort = $in->choiceOrNull('sort', array_keys(self::SORTS)) ?? 'name';
        $order = $in->choiceOrNull('order', ['asc', 'desc']) ?? 'asc';
        $search = $in->textOrNull('q', 80);
        $setting = $in->choiceOrNull('setting', $this->catalogue->sites());
        $archived = ($in->choiceOrNull('archived', ['yes', 'no']) ?? 'no') === 'yes';
        $this->done($in);
        $query = Patch::query()
            ->where('ground_id', $ground->id)
            ->withCount('stands')
            ->when(
                $archived,
                fn(Builder $q) => $q->whereNotNull('archived_at'),
                fn(Builder $q) => $q->whereNull('archived_at'),
            )
            ->when(
                $search !== null,
                fn(Builder $q) => $q->where('name', 'like', '%' . addcslashes((string) $search, '%_\\') . '%'),
            )
            ->when($setting !== null, fn(Builder $q) => $q->where('setting', $setting));
        $found = $query
            ->orderBy(self::SORTS[$sort], $order)
            ->orderBy('id')
            ->paginate(max(1, $perPage), ['*'], 'page', max(1, $page));
        $lines = [];
        foreach (
            Stand::query()
                ->withLine()
                ->whereIn('patch_id', array_map(static fn(Patch $p): string => $p->id, $found->items()))
                ->get()
            as $stand
        ) {
            $lines[$stand->patch_id][] = $stands->line($stand, Workflow::of($stand, $this->catalogue));
        }

        return $this->json([
            'data' => array_map(
                fn(Patch $patch): array => $this->resource->line($patch, $lines[$patch->id] ?? []),
                $found->items(),
            ),
            'page' => $found->currentPage(),
            'pages' => max(1, $found->lastPage()),
            'total' => $found->total(),
        ]);
    }

    /** Shapes in the picture: all corners where few patches are seen, few corners where many are. */
    public function map(Request $request, string $groundId, MapResource $map): JsonResponse
    {
        $ground = CrewRows::ground($this->user($request), $groundId);
        $in = $this->query($request);
        $box = $in->textOrNull('box', 80);
        $sides = $box === null ? null : array_map(floatval(...), explode(',', $box));
        if ($box !== null && preg_match('/^-?[\d.]{1,15}(,-?[\d.]{1,15}){3}$/D', $box) !== 1) {
            $in->fault('box', 'Give west,south,east,north in degrees.');
        }
        $this->done($in);
        $body = $map->shapes($ground, $sides !== null && count($sides) === 4 ? $sides : null);
        $tag = '"' . substr(hash('xxh128', $body), 0, 20) . '"';
        if ($request->header('If-None-Match') === $tag) {
            return (new JsonResponse(null, 304))->setContent('');
        }

        return new JsonResponse($body, 200, ['ETag' => $tag], 0, true);
    }
}
