<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Readers\SprayerReader;
use App\Models\Sprayer;
use App\Resources\ShedResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Sprayers of the crew. */
final class SprayerController extends Controller
{
    public function __construct(private readonly SprayerReader $reader, private readonly ShedResource $resource) {}

    public function store(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $sprayer = $this->reader->read($in);
        $this->done($in);
        $this->mustBeNew($id, new Sprayer());
        Sprayer::create(array_filter(['id' => $id]) + $sprayer + ['crew_id' => $user->crew_id]);

        return $this->json($this->resource->shed($user->crew), 201);
    }

    public function update(Request $request, string $sprayerId): JsonResponse
    {
        $user = $this->user($request);
        $row = Sprayer::query()->where('crew_id', $user->crew_id)->findOrFail($sprayerId);
        $in = $this->fields($request);
        $sprayer = $this->reader->read($in);
        $this->done($in);
        $this->mustMatch($request, $row->revision, fn(): array => $this->resource->shed($user->crew));
        // another nozzle puts out another amount: what was measured before says nothing of it (handbook 3)
        if (($row->details['nozzle'] ?? null) !== ($sprayer['details']['nozzle'] ?? null)) {
            $sprayer += ['gives_value' => null, 'gives_unit' => null, 'calibrated_on' => null, 'due_on' => null];
        }
        $row->fill($sprayer);
        $row->revision++;
        $row->save();

        return $this->json($this->resource->shed($user->crew));
    }
}
