<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Calibrate;
use App\Http\Readers\CalibrationReader;
use App\Models\Sprayer;
use App\Resources\CalibrationResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a sprayer was measured to give. */
final class CalibrationController extends Controller
{
    public function __construct(private readonly CalibrationReader $reader) {}

    /** One way of handbook 3; answers what it found and which plans have to be looked at again. */
    public function store(Request $request, string $sprayerId, Calibrate $calibrate): JsonResponse
    {
        $user = $this->user($request);
        $row = Sprayer::query()->where('crew_id', $user->crew_id)->findOrFail($sprayerId);
        $in = $this->fields($request);
        $measured = $this->reader->read($in, $row);
        $try = $in->bool('try', false);
        $this->done($in);
        if ($try) {
            return $this->json(CalibrationResource::told($measured, []));
        }

        return $this->json(CalibrationResource::told($measured, $calibrate($row, $measured, $user)), 201);
    }
}
