<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Models\Ground;
use App\Models\Patch;
use App\Models\Stand;
use App\Resources\GroundResource;
use App\Resources\StandResource;
use App\Support\JobClock;
use App\Workflow\Workflow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Survey\Outline;

/** What all that change a patch share. */
abstract class PatchChanges extends Controller
{
    public function __construct(
        protected readonly Catalogue $catalogue,
        protected readonly GroundResource $resource,
        protected readonly JobClock $clock,
    ) {}

    /** @param \Closure(): void $work */
    protected function change(Patch $patch, \Closure $work): void
    {
        DB::transaction(static function () use ($patch, $work): void {
            $work();
            $patch->revision++;
            $patch->save();
        });
    }

    protected function how(Fields $in): string
    {
        return $in->choiceOrNull('how', ['drawn', 'measured', 'walked', 'pasted', 'imported']) ?? 'drawn';
    }

    protected function today(Ground $ground): \DateTimeImmutable
    {
        return $this->clock->today($ground->time_zone);
    }

    protected function current(Patch $patch): Outline
    {
        return $patch->outline === null
            ? throw new Refused([['pointer' => '/patches', 'message' => "{$patch->name} has no outline yet."]])
            : Outline::trusted($patch->outline->outline['coordinates']);
    }

    protected function find(Request $request, string $id): Patch
    {
        return Patch::query()
            ->ofCrew($this->user($request))
            ->with(['ground.crew', 'outline', 'zones'])
            ->findOrFail($id);
    }

    protected function findWithOutline(Request $request, string $id): Patch
    {
        $patch = $this->find($request, $id);

        return $patch->outline === null ? throw new Stopped(409, 'Draw the outline of this patch first.') : $patch;
    }

    /** @param array<string, mixed> $more */
    protected function answer(Patch $patch, int $status = 200, array $more = []): JsonResponse
    {
        $stands = Stand::query()
            ->where('patch_id', $patch->id)
            ->withLine()
            ->orderBy('created_at')
            ->orderBy('id')
            ->get();
        $resource = app(StandResource::class);

        return $this->json(
            $this->resource->patch(
                $patch,
                $stands
                    ->map(fn(Stand $s): array => $resource->line($s, Workflow::of($s, $this->catalogue)))
                    ->values()
                    ->all(),
            ) + $more,
            $status,
            $patch->revision,
        );
    }
}
