<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\KeepsTrail;
use App\Http\Readers\ChoicesReader;
use App\Http\SecurityLog;
use App\Repositories\CrewSettings;
use App\Resources\ShedResource;
use App\Support\JobClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** The Shed as a whole, and how the crew works. */
final class ShedController extends Controller
{
    public function __construct(private readonly ChoicesReader $reader, private readonly ShedResource $resource) {}

    public function show(Request $request): JsonResponse
    {
        $crew = $this->user($request)->crew;

        return $this->json($this->resource->shed($crew), 200, $crew->revision);
    }

    public function updateChoices(Request $request, JobClock $clock): JsonResponse
    {
        Gate::authorize('lead');
        $crew = $this->user($request)->crew;
        $before = CrewSettings::of($crew);
        $in = $this->fields($request);
        $settings = $this->reader->read($in, $clock->today($crew->timeZone()), $crew->settings);
        $this->done($in);
        $this->mustMatch($request, $crew->revision, fn(): array => $this->resource->shed($crew));
        SecurityLog::note('settings changed', $request);
        $crew->settings = $settings;
        $crew->revision++;
        $crew->save();
        $request->attributes->set(KeepsTrail::CHANGES, CrewSettings::changes($before, CrewSettings::of($crew)));

        return $this->json($this->resource->shed($crew), 200, $crew->revision);
    }
}
