<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Http\SecurityLog;
use App\Resources\MeResource;
use App\Support\TokenAbility;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

/** Tokens for one's own scripts: told once, taken back at any time. */
final class AccessTokenController extends Controller
{
    private const MOST = 20;
    private const MOST_DAYS = 730;

    public function __construct(private readonly MeResource $resource) {}

    public function store(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $in = $this->fields($request);
        $name = $in->text('name', 80);
        $writes = $in->bool('writes', false);
        $days = $in->int('days', 1, self::MOST_DAYS, 365);
        $this->done($in);
        $this->passwordAgain($request);
        if ($writes && !$user->mayWrite()) {
            throw new Stopped(422, 'You read here, so a token of yours reads too.', [
                'errors' => [['pointer' => '/writes', 'message' => 'You read here, so a token of yours reads too.']],
            ]);
        }
        if ($user->tokens()->count() >= self::MOST) {
            throw new Stopped(409, 'There are twenty already; take one back first.');
        }
        $token = $user->createToken(
            (string) $name,
            $writes ? TokenAbility::ALL : [TokenAbility::READ],
            Carbon::now()->addDays((int) $days),
        );
        SecurityLog::note('token given', $request, ['writes' => $writes]);

        return $this->json(
            ['token' => $token->plainTextToken] + $this->resource->me($user, $request->session()->getId()),
            201,
        );
    }

    public function destroy(Request $request, string $accessToken): JsonResponse
    {
        $user = $this->user($request);
        $user->tokens()->findOrFail($accessToken)->delete();
        SecurityLog::note('token taken back', $request);

        return $this->json($this->resource->me($user, $request->session()->getId()));
    }
}
