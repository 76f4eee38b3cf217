<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepOutline;
use App\Exceptions\Stopped;
use App\Models\Patch;
use App\Models\Stand;
use App\Resources\GroundResource;
use App\Support\JobClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Refused;
use Thicket\Survey\Outline;
use Thicket\Survey\OutlineEdit;
use Thicket\Survey\Positions;

/** The outline of a patch: its history, cutting, joining, holes. */
final class PatchOutlineController extends PatchChanges
{
    public function __construct(
        private readonly KeepOutline $keepOutline,
        Catalogue $catalogue,
        GroundResource $resource,
        JobClock $clock,
    ) {
        parent::__construct($catalogue, $resource, $clock);
    }

    public function index(Request $request, string $patchId): JsonResponse
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

        return $this->json(['data' => $versions->map($this->resource->outline(...))->values()->all()]);
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
        $this->mustMatch($request, $patch->revision, fn(): array => $this->resource->patch($patch));
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
        $this->mustMatch($request, $patch->revision, fn(): array => $this->resource->patch($patch));
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
        $hole = $patch->ground->shapes()->outline($in, 'hole');
        $hole === null && $in->fault('hole', 'Draw the hole.');
        $outline = null;
        try {
            $outline = $hole === null ? null : OutlineEdit::hollow($this->current($patch), $hole->outline);
        } catch (Refused $e) {
            $in->fault('hole', $e->faults[0]['message']);
        }
        $this->done($in);
        $this->mustMatch($request, $patch->revision, fn(): array => $this->resource->patch($patch));
        $this->change($patch, function () use ($request, $patch, $outline): void {
            $outline === null ||
                ($this->keepOutline)($patch, $outline, $this->today($patch->ground), $this->user($request), 'hole');
        });

        return $this->answer($this->find($request, $patchId));
    }
}
