<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Ground;
use App\Models\Keeper;
use App\Models\Observation;
use App\Models\Patch;
use App\Models\PatchOutline;
use App\Models\Stand;
use App\Support\JobClock;
use App\Trail\Assembler;
use App\Trail\Trail;
use App\Wire\GroundWire;
use App\Wire\StandWire;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Thicket\Input\Refused;
use Thicket\Knowledge\Catalogue;
use Thicket\Measure\Unit;
use Thicket\Methods\SituationReader;
use Thicket\Survey\Outline;

/** Grounds, their patches with outlines and keepers, and what was observed there. */
final class GroundController extends Controller
{
    public function __construct(private readonly Catalogue $catalogue, private readonly GroundWire $wire, private readonly JobClock $clock)
    {
    }

    public function index(Request $request, StandWire $stands): JsonResponse
    {
        $grounds = Ground::query()->ofCrew($this->user($request))->with(['patches.outline', 'patches.keepers'])->orderBy('name')->get();
        $lines = [];
        foreach (Stand::query()->ofCrew($this->user($request))->withTrail()->get() as $stand) {
            $lines[$stand->patch_id][] = $stands->line($stand, Trail::of($stand, $this->catalogue));
        }

        return $this->json(['data' => $grounds->map(fn (Ground $ground): array => $this->wire->ground($ground, $lines))->values()->all()]);
    }

    public function store(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $name = $in->text('name', 120);
        $latitude = $in->decimal('latitude', '-85', '85');
        $longitude = $in->decimal('longitude', '-180', '180');
        $elevation = $in->quantity('elevation', \Thicket\Measure\Dimension::Length);
        $zone = $in->text('timeZone', 60);
        if ($zone !== null && !in_array($zone, \DateTimeZone::listIdentifiers(), true) && preg_match('#^Etc/GMT[+-]\d{1,2}$#', $zone) !== 1) {
            $in->fault('timeZone', 'Give a time zone such as Etc/GMT+5.');
        }
        if ($elevation !== null && $elevation->in(Unit::Metre)->isGreaterThan(6000)) {
            $in->fault('elevation', 'No work is done above 6000 m.');
        }
        $this->done($in);
        $this->mustBeNew($id, new Ground());
        $ground = Ground::create(array_filter(['id' => $id]) + [
            'crew_id' => $this->user($request)->crew_id, 'name' => $name, 'latitude' => $latitude, 'longitude' => $longitude,
            'elevation_m' => (string) $elevation?->decimal(Unit::Metre, 1, \Brick\Math\RoundingMode::HALF_UP), 'time_zone' => $zone,
        ]);

        return $this->json($this->wire->ground($ground->refresh()->load('patches'), []), 201, $ground->revision);
    }

    public function storePatch(Request $request, string $groundId): JsonResponse
    {
        $ground = Ground::query()->ofCrew($this->user($request))->findOrFail($groundId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $name = $in->text('name', 120);
        $setting = $in->choice('setting', $this->catalogue->sites());
        $outline = $this->outline($in->raw('outline'), $in);
        $this->done($in);
        $this->mustBeNew($id, new Patch());
        $patch = DB::transaction(function () use ($id, $ground, $name, $setting, $outline): Patch {
            $patch = Patch::create(array_filter(['id' => $id]) + ['ground_id' => $ground->id, 'name' => $name, 'setting' => $setting]);
            $outline !== null && $this->keepOutline($patch, $outline, $ground);

            return $patch;
        });

        return $this->patchAnswer($this->find($request, $patch->id), 201);
    }

    public function showPatch(Request $request, string $patchId): JsonResponse
    {
        return $this->patchAnswer($this->find($request, $patchId));
    }

    public function updatePatch(Request $request, string $patchId): JsonResponse
    {
        $patch = $this->find($request, $patchId);
        $in = $this->fields($request);
        $name = $in->textOrNull('name', 120);
        $setting = $in->choiceOrNull('setting', $this->catalogue->sites());
        $outline = $in->has('outline') ? $this->outline($in->raw('outline'), $in) : ($in->raw('outline') ?? null);
        $this->done($in);
        $this->mustMatch($request, $patch->revision, fn (): array => $this->wire->patch($patch));
        DB::transaction(function () use ($patch, $name, $setting, $outline): void {
            $patch->fill(array_filter(['name' => $name, 'setting' => $setting]));
            $patch->revision++;
            $patch->save();
            $outline instanceof Outline && $this->keepOutline($patch, $outline, $patch->ground);
        });

        return $this->patchAnswer($this->find($request, $patchId));
    }

    public function storeKeeper(Request $request, string $patchId): JsonResponse
    {
        $patch = $this->find($request, $patchId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $keeper = (new SituationReader($this->catalogue))->keeper($in);
        $in->faults->throwIfAny();
        $this->mustBeNew($id, new Keeper());
        /** @var array<string, mixed> $body */
        $body = array_diff_key((array) json_decode($request->getContent(), true), ['id' => 1]);
        Keeper::create(array_filter(['id' => $id]) + ['patch_id' => $patch->id, 'kind' => $keeper->kind, 'name' => $keeper->name, 'body' => $body]);

        return $this->patchAnswer($this->find($request, $patchId), 201);
    }

    public function storeObservations(Request $request, string $patchId, Assembler $assembler): JsonResponse
    {
        $patch = $this->find($request, $patchId);
        $in = $this->fields($request);
        $now = $this->clock->now();
        $rows = [];
        $reader = new SituationReader($this->catalogue);
        $raw = $in->raw('facts');
        foreach ($in->objects('facts', 40, true) as $i => $item) {
            $fact = $reader->fact($item, $now);
            if ($fact?->at !== null && $fact->at > $now->modify('+5 minutes')) {
                $item->fault('at', 'This lies in the future.');
            }
            $body = is_array($raw) ? ($raw[$i] ?? []) : [];
            $rows[] = ['fact' => $fact?->name->value, 'body' => is_array($body) ? $body : [], 'at' => ($fact->at ?? $now)->setTimezone(new \DateTimeZone('UTC'))];
        }
        $this->done($in);
        DB::transaction(function () use ($rows, $patch, $request): void {
            foreach ($rows as $row) {
                Observation::create($row + ['patch_id' => $patch->id, 'made_by' => $this->user($request)->id]);
            }
        });

        return $this->patchAnswer($this->find($request, $patchId), 201);
    }

    public function storeStand(Request $request, string $patchId, StandWire $stands): JsonResponse
    {
        $patch = $this->find($request, $patchId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $this->done($in);
        $this->mustBeNew($id, new Stand());
        $stand = Stand::create(array_filter(['id' => $id]) + ['patch_id' => $patch->id]);
        $stand = Stand::query()->withTrail()->findOrFail($stand->id);

        return $this->json($stands->line($stand, Trail::of($stand, $this->catalogue)), 201, 1);
    }

    private function find(Request $request, string $id): Patch
    {
        return Patch::query()->ofCrew($this->user($request))->with(['ground.crew', 'outline', 'keepers', 'observations', 'stands'])->findOrFail($id);
    }

    private function patchAnswer(Patch $patch, int $status = 200): JsonResponse
    {
        return $this->json($this->wire->patch($patch), $status, $patch->revision);
    }

    private function outline(mixed $json, \Thicket\Input\Fields $in): ?Outline
    {
        if ($json === null) {
            return null;
        }
        try {
            return Outline::fromGeoJson($json, '/outline');
        } catch (Refused $e) {
            foreach ($e->faults as $fault) {
                $in->faults->add($fault['pointer'], $fault['message']);
            }

            return null;
        }
    }

    private function keepOutline(Patch $patch, Outline $outline, Ground $ground): void
    {
        [$west, $south, $east, $north] = $outline->box();
        PatchOutline::create([
            'patch_id' => $patch->id, 'valid_from' => $this->clock->today($ground->time_zone)->format('Y-m-d'), 'outline' => $outline->toGeoJson(),
            'area_m2' => $outline->area()->toWire()['value'], 'west' => $west, 'south' => $south, 'east' => $east, 'north' => $north,
        ]);
    }
}
