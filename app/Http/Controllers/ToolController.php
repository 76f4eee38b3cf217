<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Readers\ToolReader;
use App\Models\Tool;
use App\Resources\ShedResource;
use App\Support\JobClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Tools of the crew. */
final class ToolController extends Controller
{
    public function __construct(
        private readonly ToolReader $reader,
        private readonly ShedResource $resource,
        private readonly JobClock $clock,
    ) {}

    public function store(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $tool = $this->reader->read($in);
        $this->done($in);
        $this->mustBeNew($id, new Tool());
        Tool::create(array_filter(['id' => $id]) + $tool + ['crew_id' => $user->crew_id]);

        return $this->json($this->resource->shed($user->crew), 201);
    }

    /** A tool that is lost, sold or broken; its loans stay on record. */
    public function destroy(Request $request, string $toolId): JsonResponse
    {
        $user = $this->user($request);
        $tool = Tool::query()->where('crew_id', $user->crew_id)->where('gone_at', null)->findOrFail($toolId);
        $this->done($this->fields($request));
        $tool->gone_at = \Illuminate\Support\Carbon::instance($this->clock->now());
        $tool->save();

        return $this->json($this->resource->shed($user->crew));
    }
}
