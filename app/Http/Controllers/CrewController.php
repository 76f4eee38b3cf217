<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CloseCrew;
use App\Bundle\BundleWriter;
use App\Exceptions\Stopped;
use App\Http\Middleware\KeepsTrail;
use App\Http\Readers\CrewReader;
use App\Http\SecurityLog;
use App\Repositories\CrewSettings;
use App\Resources\CrewResource;
use App\Resources\TrailResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** The crew itself: its people, what it set for all its work, who did what, and its end. */
final class CrewController extends Controller
{
    public function __construct(private readonly CrewResource $resource) {}

    public function show(Request $request): JsonResponse
    {
        $user = $this->user($request);

        return $this->json($this->resource->crew($user->crew, $user), 200, $user->crew->revision);
    }

    public function update(Request $request): JsonResponse
    {
        Gate::authorize('lead');
        $user = $this->user($request);
        $crew = $user->crew;
        $before = CrewSettings::of($crew);
        $in = $this->fields($request);
        ['name' => $name, 'settings' => $settings] = CrewReader::read($in, $crew);
        $this->done($in);
        $this->mustMatch($request, $crew->revision, fn(): array => $this->resource->crew($crew, $user));
        SecurityLog::note('settings changed', $request);
        $crew->fill(['name' => $name, 'settings' => $settings]);
        $crew->revision++;
        $crew->save();
        $changes = CrewSettings::changes($before, CrewSettings::of($crew));
        $request->attributes->set(KeepsTrail::CHANGES, $changes);

        return $this->json($this->resource->crew($crew, $user, array_keys($changes)), 200, $crew->revision);
    }

    /** Who did what, the newest first; before: the id of the last line that was read. */
    public function acts(Request $request, TrailResource $trail): JsonResponse
    {
        $in = $this->query($request);
        $before = $in->has('before') ? $in->int('before', 1, PHP_INT_MAX) : null;
        $in->has('before') || $in->raw('before');
        $this->done($in);

        return $this->json($trail->of($this->user($request)->crew, $before));
    }

    /** All data of the crew as one file. */
    public function bundle(Request $request, BundleWriter $writer): BinaryFileResponse
    {
        $user = $this->user($request);
        SecurityLog::note('exported', $request, ['what' => 'bundle']);
        $file = (string) tempnam(sys_get_temp_dir(), 'bundle');
        $writer->write($user->crew, $file);

        return (new BinaryFileResponse($file, 200, [
            'Content-Type' => 'application/zip',
            'Content-Disposition' => 'attachment; filename="thicket-bundle.zip"',
            'Cache-Control' => 'private, no-store',
        ]))->deleteFileAfterSend();
    }

    /** The name of the crew is typed, and the password given: nobody does this by a slip. */
    public function close(Request $request, CloseCrew $close): JsonResponse
    {
        Gate::authorize('lead');
        $user = $this->user($request);
        $in = $this->fields($request);
        $name = $in->text('name', 120);
        $this->done($in);
        $this->passwordAgain($request);
        if ($name !== $user->crew->name) {
            $said = "Write the name of the crew as it stands: {$user->crew->name}.";
            throw new Stopped(422, $said, ['errors' => [['pointer' => '/name', 'message' => $said]]]);
        }
        SecurityLog::note('crew closed', $request);
        $close($user->crew);
        Auth::guard('web')->logout();
        $request->session()->invalidate();

        return $this->json(SessionController::who(null));
    }
}
