<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepOutline;
use App\Actions\ReadsOutlines;
use App\Exceptions\Stopped;
use App\Models\Ground;
use App\Models\Observation;
use App\Models\Patch;
use App\Models\Stand;
use App\Models\Zone;
use App\Resources\GroundResource;
use App\Resources\StandResource;
use App\Support\JobClock;
use App\Workflow\Workflow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\FactName;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Measure\Dimension;
use Thicket\Situation\SituationReader;
use Thicket\Survey\Outline;
use Thicket\Survey\OutlineEdit;
use Thicket\Survey\Positions;

/** One patch: its outline and its history, cutting and joining, zones, what was observed there, its stands. */
final class PatchController extends Controller
{
    use ReadsOutlines;

    private const MOST_ZONES = 12;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly GroundResource $wire,
        private readonly JobClock $clock,
        private readonly KeepOutline $keepOutline,
    ) {}

    public function store(Request $request, string $groundId): JsonResponse
    {
        $ground = Ground::query()->ofCrew($this->user($request))->findOrFail($groundId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $name = $in->text('name', 120);
        $setting = $in->choice('setting', $this->catalogue->sites());
        $outline = $this->outlineOf($in, 'outline', $ground);
        $how = $this->how($in);
        $this->done($in);
        $this->mustBeNew($id, new Patch());
        $patch = DB::transaction(function () use ($request, $id, $ground, $name, $setting, $outline, $how): Patch {
            $patch = Patch::create(
                array_filter(['id' => $id]) + ['ground_id' => $ground->id, 'name' => $name, 'setting' => $setting],
            );
            $outline !== null &&
                ($this->keepOutline)($patch, $outline->outline, $this->today($ground), $this->user($request), $how);

            return $patch;
        });

        return $this->answer($this->find($request, $patch->id), 201);
    }

    public function show(Request $request, string $patchId): JsonResponse
    {
        return $this->answer($this->find($request, $patchId));
    }

    public function update(Request $request, string $patchId): JsonResponse
    {
        $patch = $this->find($request, $patchId);
        $in = $this->fields($request);
        $name = $in->textOrNull('name', 120);
        $setting = $in->choiceOrNull('setting', $this->catalogue->sites());
        $outline = $this->outlineOf($in, 'outline', $patch->ground);
        $from = $in->pastDayOrNull('validFrom', $this->today($patch->ground)) ?? $this->today($patch->ground);
        $how = $this->how($in);
        $this->done($in);
        $this->mustMatch($request, $patch->revision, fn(): array => $this->wire->patch($patch));
        $this->change($patch, function () use ($request, $patch, $name, $setting, $outline, $from, $how): void {
            $patch->fill(array_filter(['name' => $name, 'setting' => $setting]));
            $outline !== null && ($this->keepOutline)($patch, $outline->outline, $from, $this->user($request), $how);
        });

        return $this->answer($this->find($request, $patchId));
    }

    public function outlines(Request $request, string $patchId): JsonResponse
    {
        $patch = Patch::query()->ofCrew($this->user($request))->with('outlines.maker')->findOrFail($patchId);
        $in = $this->query($request);
        $on = $in->dayOrNull('on');
        $this->done($in);
        $versions = $patch->outlines;
        if ($on !== null) {
            // as it was on that day: the newest that held by then
            $versions = $versions
                ->filter(static fn($o): bool => $o->valid_from->format('Y-m-d') <= $on->format('Y-m-d'))
                ->take(1);
        }

        return $this->json(['data' => $versions->map($this->wire->outline(...))->values()->all()]);
    }

    /** The larger piece stays this patch, with its stands; each other piece becomes a patch of its own. */
    public function split(Request $request, string $patchId): JsonResponse
    {
        $patch = $this->findWithOutline($request, $patchId);
        $in = $this->fields($request);
        $json = $in->raw('line');
        $name = $in->text('name', 110);
        try {
            $line = Positions::line(is_array($json) ? $json['coordinates'] ?? null : null, '/line/coordinates');
            $pieces = $name === null || count($line) < 2 ? [] : OutlineEdit::split($this->current($patch), $line);
            count($line) < 2 && $in->fault('line', 'A line needs at least two positions.');
        } catch (Refused $e) {
            $pieces = [];
            $in->fault('line', $e->faults[0]['message']);
        }
        $this->done($in);
        $this->mustMatch($request, $patch->revision, fn(): array => $this->wire->patch($patch));
        $made = [];
        $this->change($patch, function () use ($request, $patch, $pieces, $name, &$made): void {
            ($this->keepOutline)($patch, $pieces[0], $this->today($patch->ground), $this->user($request), 'split');
            foreach (array_slice($pieces, 1) as $i => $piece) {
                $new = Patch::create([
                    'ground_id' => $patch->ground_id,
                    'name' => $i === 0 ? $name : "{$name} " . ($i + 1),
                    'setting' => $patch->setting,
                ]);
                ($this->keepOutline)($new, $piece, $this->today($patch->ground), $this->user($request), 'split');
                $made[] = $new->id;
            }
        });

        return $this->answer($this->find($request, $patchId), 200, ['made' => $made]);
    }

    /** Joins patches that touch into this one: their stands move here, they themselves go to the archive. */
    public function merge(Request $request, string $patchId): JsonResponse
    {
        $patch = $this->findWithOutline($request, $patchId);
        $in = $this->fields($request);
        $ids = $in->strings('patches', null, 20, 36);
        /** @var \Illuminate\Database\Eloquent\Collection<int, Patch> $others */
        $others = Patch::query()
            ->with(['outline', 'stands.steps.sheets'])
            ->where('ground_id', $patch->ground_id)
            ->where('archived_at', null)
            ->where('id', '!=', $patch->id)
            ->whereIn('id', $ids)
            ->get();
        if ($ids === [] || $others->count() !== count(array_unique($ids))) {
            $in->fault('patches', 'Name patches of this ground that are in use.');
        }
        $outline = null;
        try {
            $all = [$this->current($patch), ...$others->map(fn(Patch $p): Outline => $this->current($p))->all()];
            $outline = $others->isEmpty() ? null : OutlineEdit::merge($all);
        } catch (Refused $e) {
            $in->fault('patches', $e->faults[0]['message']);
        }
        $this->done($in);
        $this->mustMatch($request, $patch->revision, fn(): array => $this->wire->patch($patch));
        foreach ($others as $other) {
            if (
                $other->stands->contains(
                    fn(Stand $s): bool => $s->steps->contains(fn($step): bool => $step->sheets->isNotEmpty()),
                )
            ) {
                throw new Stopped(
                    409,
                    "{$other->name} has job sheets; its records belong to its own outline. Join the others into " .
                        'it instead.',
                );
            }
        }
        $this->change($patch, function () use ($request, $patch, $others, $outline): void {
            $outline === null ||
                ($this->keepOutline)($patch, $outline, $this->today($patch->ground), $this->user($request), 'merged');
            foreach ($others as $other) {
                foreach (['stands', 'steps', 'keepers', 'observations'] as $table) {
                    DB::table($table)
                        ->where('patch_id', $other->id)
                        ->update(['patch_id' => $patch->id]);
                }
                $other
                    ->forceFill([
                        'archived_at' => now(),
                        'archived_reason' => mb_substr("Joined into {$patch->name}", 0, 300),
                        'revision' => $other->revision + 1,
                    ])
                    ->save();
            }
        });

        return $this->answer($this->find($request, $patchId));
    }

    public function hole(Request $request, string $patchId): JsonResponse
    {
        $patch = $this->findWithOutline($request, $patchId);
        $in = $this->fields($request);
        $hole = $this->outlineOf($in, 'hole', $patch->ground);
        $hole === null && $in->fault('hole', 'Draw the hole.');
        $outline = null;
        try {
            $outline = $hole === null ? null : OutlineEdit::hollow($this->current($patch), $hole->outline);
        } catch (Refused $e) {
            $in->fault('hole', $e->faults[0]['message']);
        }
        $this->done($in);
        $this->mustMatch($request, $patch->revision, fn(): array => $this->wire->patch($patch));
        $this->change($patch, function () use ($request, $patch, $outline): void {
            $outline === null ||
                ($this->keepOutline)($patch, $outline, $this->today($patch->ground), $this->user($request), 'hole');
        });

        return $this->answer($this->find($request, $patchId));
    }

    public function archive(Request $request, string $patchId): JsonResponse
    {
        $patch = $this->find($request, $patchId);
        $in = $this->fields($request);
        $archived = $in->bool('archived', true);
        $reason = $archived ? $in->text('reason', 300) : $in->textOrNull('reason', 300);
        $this->done($in);
        $this->mustMatch($request, $patch->revision, fn(): array => $this->wire->patch($patch));
        $this->change($patch, static function () use ($patch, $archived, $reason): void {
            $patch->forceFill([
                'archived_at' => $archived ? now() : null,
                'archived_reason' => $archived ? $reason : null,
            ]);
        });

        return $this->answer($this->find($request, $patchId));
    }

    /** Zones to be counted apart: an edge of some width and the core within, or one that was drawn. */
    public function storeZones(Request $request, string $patchId): JsonResponse
    {
        $patch = $this->findWithOutline($request, $patchId);
        $in = $this->fields($request);
        $width = $in->quantityOrNull('edgeWidth', Dimension::Length);
        $name = $width === null ? $in->text('name', 80) : $in->textOrNull('name', 80);
        $drawn = $this->outlineOf($in, 'outline', $patch->ground);
        $zones = [];
        if ($width === null && $drawn === null && !$in->has('outline')) {
            $in->fault('edgeWidth', 'Give the width of the edge, or draw the zone.');
        }
        if ($width !== null && $width->isZero()) {
            $in->fault('edgeWidth', 'An edge is wider than nothing.');
        } elseif ($width !== null) {
            try {
                foreach (OutlineEdit::edgeAndCore($this->current($patch), $width) as $kind => $outline) {
                    $zones[$kind === 'edge' ? 'Edge' : 'Core'] = $outline;
                }
            } catch (Refused $e) {
                $in->fault('edgeWidth', $e->faults[0]['message']);
            }
        } elseif ($drawn !== null && $name !== null) {
            $zones[$name] = $drawn->outline;
        }
        if ($patch->zones->count() + count($zones) > self::MOST_ZONES) {
            $in->fault('name', 'A patch has at most ' . self::MOST_ZONES . ' zones; split it instead.');
        }
        $this->done($in);
        $this->change($patch, static function () use ($patch, $zones): void {
            foreach ($zones as $name => $outline) {
                Zone::create([
                    'patch_id' => $patch->id,
                    'name' => $name,
                    'outline' => $outline->toGeoJson(),
                    'area_m2' => $outline->area()->toWire()['value'],
                ]);
            }
        });

        return $this->answer($this->find($request, $patchId), 201);
    }

    /** Put away, not deleted: counts made in it keep it. */
    public function dropZone(Request $request, string $zoneId): JsonResponse
    {
        $zone = Zone::query()->ofCrew($this->user($request))->where('archived_at', null)->findOrFail($zoneId);
        $zone->forceFill(['archived_at' => now()])->save();

        return $this->answer($this->find($request, $zone->patch_id));
    }

    public function storeObservations(Request $request, string $patchId): JsonResponse
    {
        $patch = $this->find($request, $patchId);
        $in = $this->fields($request);
        $now = $this->clock->now();
        $rows = [];
        $reader = new SituationReader($this->catalogue);
        $raw = $in->raw('facts');
        foreach ($in->objects('facts', 40, true) as $i => $item) {
            $species = $item->textOrNull('species', 60);
            if ($species !== null && !$this->catalogue->hasSpecies($species)) {
                $item->fault('species', 'This species is not in the catalogue.');
            }
            $fact = $reader->fact($item, $now);
            if ($fact?->at !== null && $fact->at > $now->modify('+5 minutes')) {
                $item->fault('at', 'This lies in the future.');
            }
            if (
                $fact !== null &&
                $fact->name->isDay() &&
                $fact->value instanceof \DateTimeImmutable &&
                $fact->value > $this->today($patch->ground)
            ) {
                $item->fault('value', 'This day is still to come.');
            }
            $body = is_array($raw) && is_array($raw[$i] ?? null) ? $raw[$i] : [];
            unset($body['species']);
            $rows[] = [
                'fact' => $fact?->name->value,
                'species' => $fact?->name === FactName::LeafOut ? $species : null,
                'body' => $body,
                'at' => ($fact->at ?? $now)->setTimezone(new \DateTimeZone('UTC')),
            ];
        }
        $this->done($in);
        DB::transaction(function () use ($rows, $patch, $request): void {
            foreach ($rows as $row) {
                Observation::create(
                    $row + [
                        'patch_id' => $patch->id,
                        'ground_id' => $patch->ground_id,
                        'made_by' => $this->user($request)->id,
                    ],
                );
            }
        });

        return $this->answer($this->find($request, $patchId), 201);
    }

    public function storeStand(Request $request, string $patchId, StandResource $stands): JsonResponse
    {
        $patch = $this->find($request, $patchId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $this->done($in);
        $this->mustBeNew($id, new Stand());
        $stand = Stand::create(array_filter(['id' => $id]) + ['patch_id' => $patch->id]);
        $stand = Stand::query()->withLine()->findOrFail($stand->id);

        return $this->json($stands->line($stand, Workflow::of($stand, $this->catalogue)), 201, 1);
    }

    /** @param \Closure(): void $work */
    private function change(Patch $patch, \Closure $work): void
    {
        DB::transaction(static function () use ($patch, $work): void {
            $work();
            $patch->revision++;
            $patch->save();
        });
    }

    private function how(Fields $in): string
    {
        return $in->choiceOrNull('how', ['drawn', 'measured', 'walked', 'pasted', 'imported']) ?? 'drawn';
    }

    private function today(Ground $ground): \DateTimeImmutable
    {
        return $this->clock->today($ground->time_zone);
    }

    private function current(Patch $patch): Outline
    {
        return $patch->outline === null
            ? throw new Refused([['pointer' => '/patches', 'message' => "{$patch->name} has no outline yet."]])
            : Outline::trusted($patch->outline->outline['coordinates']);
    }

    private function find(Request $request, string $id): Patch
    {
        return Patch::query()
            ->ofCrew($this->user($request))
            ->with(['ground.crew', 'outline', 'zones'])
            ->findOrFail($id);
    }

    private function findWithOutline(Request $request, string $id): Patch
    {
        $patch = $this->find($request, $id);

        return $patch->outline === null ? throw new Stopped(409, 'Draw the outline of this patch first.') : $patch;
    }

    /** @param array<string, mixed> $more */
    private function answer(Patch $patch, int $status = 200, array $more = []): JsonResponse
    {
        $stands = Stand::query()
            ->where('patch_id', $patch->id)
            ->withLine()
            ->orderBy('created_at')
            ->orderBy('id')
            ->get();
        $wire = app(StandResource::class);

        return $this->json(
            $this->wire->patch(
                $patch,
                $stands
                    ->map(fn(Stand $s): array => $wire->line($s, Workflow::of($s, $this->catalogue)))
                    ->values()
                    ->all(),
            ) + $more,
            $status,
            $patch->revision,
        );
    }
}
