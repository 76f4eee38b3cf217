<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepOutline;
use App\Models\Patch;
use App\Repositories\CrewRows;
use App\Resources\GroundResource;
use App\Support\JobClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Thicket\Catalogue\Catalogue;
use Thicket\Survey\Outline;

/** One patch: its name, setting and outline. */
final class PatchController extends PatchChanges
{
    public function __construct(
        private readonly KeepOutline $keepOutline,
        Catalogue $catalogue,
        GroundResource $resource,
        JobClock $clock,
    ) {
        parent::__construct($catalogue, $resource, $clock);
    }

    public function store(Request $request, string $groundId): JsonResponse
    {
        $ground = CrewRows::ground($this->user($request), $groundId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $name = $in->text('name', 120);
        $setting = $in->choice('setting', $this->catalogue->sites());
        $outline = $ground->shapes()->outline($in, 'outline');
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
        $outline = $patch->ground->shapes()->outline($in, 'outline');
        $from = $in->pastDayOrNull('validFrom', $this->today($patch->ground)) ?? $this->today($patch->ground);
        $how = $this->how($in);
        $this->done($in);
        $this->mustMatch($request, $patch->revision, fn(): array => $this->resource->patch($patch));
        $this->change($patch, function () use ($request, $patch, $name, $setting, $outline, $from, $how): void {
            $patch->fill(array_filter(['name' => $name, 'setting' => $setting]));
            $outline !== null && ($this->keepOutline)($patch, $outline->outline, $from, $this->user($request), $how);
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
        $this->mustMatch($request, $patch->revision, fn(): array => $this->resource->patch($patch));
        $this->change($patch, static function () use ($patch, $archived, $reason): void {
            $patch->forceFill([
                'archived_at' => $archived ? now() : null,
                'archived_reason' => $archived ? $reason : null,
            ]);
        });

        return $this->answer($this->find($request, $patchId));
    }
}
