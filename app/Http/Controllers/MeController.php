<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Http\Readers\AccountReader;
use App\Http\SecurityLog;
use App\Mail\Letters;
use App\Repositories\OpenSessions;
use App\Resources\MeResource;
use App\Support\Tries;
use App\Workflow\OwnData;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Hash;

/** One's own account: name, address, password, and all that is kept of oneself. */
final class MeController extends Controller
{
    public function __construct(private readonly MeResource $resource, private readonly Tries $tries) {}

    public function show(Request $request): JsonResponse
    {
        return $this->me($request);
    }

    public function update(Request $request, Letters $letters): JsonResponse
    {
        $user = $this->user($request);
        $in = $this->fields($request);
        $name = $in->text('name', 120);
        $email = AccountReader::email($in, $user);
        $this->done($in);
        // who takes the address over takes the account over: the password is asked again
        $email === $user->email || $this->passwordAgain($request);
        SecurityLog::note('account changed', $request);
        $before = (string) $user->email;
        $user->update(['name' => (string) $name, 'email' => (string) $email]);
        $email === $before || $letters->changed($user, 'address', $before);

        return $this->me($request);
    }

    /** All other sessions end: whoever had the old password is out. */
    public function password(Request $request, Letters $letters): JsonResponse
    {
        $user = $this->user($request);
        $in = $this->fields($request);
        $current = $in->secret('current');
        $new = AccountReader::newPassword($in, [$user->name, $user->email, $user->crew->name]);
        $this->done($in);
        $right = $this->tries->confirm(
            $user->id,
            static fn(): ?bool => Hash::check((string) $current, $user->password) ?: null,
        );
        if (!$right) {
            SecurityLog::note('password refused', $request);
            throw new Stopped(422, 'That is not your password.', [
                'errors' => [['pointer' => '/current', 'message' => 'That is not your password.']],
            ]);
        }
        $user->update(['password' => (string) $new]);
        $ended = OpenSessions::endAll($user, $request->session()->getId());
        SecurityLog::note('password changed', $request, ['sessionsEnded' => $ended]);
        $letters->changed($user, 'password');

        return $this->me($request);
    }

    public function data(Request $request, OwnData $data): Response
    {
        SecurityLog::note('exported', $request, ['what' => 'own data']);

        return new Response(
            (string) json_encode(
                $data->of($this->user($request)),
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            ),
            200,
            [
                'Content-Type' => 'application/json',
                'Content-Disposition' => 'attachment; filename="thicket-my-data.json"',
                'Cache-Control' => 'private, no-store',
            ],
        );
    }

    private function me(Request $request): JsonResponse
    {
        return $this->json($this->resource->me($this->user($request), $request->session()->getId()));
    }
}
