<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Readers\TallyReader;
use App\Models\Tally;
use App\Repositories\Counts;
use App\Repositories\CrewRows;
use App\Resources\StandResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Counts: they are added, never overwritten. */
final class TallyController extends Controller
{
    public function __construct(private readonly TallyReader $reader) {}

    public function update(Request $request, string $standId, StandResource $stands): JsonResponse
    {
        $stand = CrewRows::openStand($this->user($request), $standId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $tally = $this->reader->read($in, $stand);
        $this->done($in);
        $this->mustBeNew($id, new Tally());
        Tally::create(
            array_filter(['id' => $id]) +
                $tally + [
                    'stand_id' => $stand->id,
                    'made_by' => $this->user($request)->id,
                ],
        );

        return $this->json(
            $stands->stand($fresh = CrewRows::stand($this->user($request), $standId)),
            200,
            $fresh->revision,
        );
    }
}
