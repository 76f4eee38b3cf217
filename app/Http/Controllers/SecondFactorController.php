<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Http\SecurityLog;
use App\Mail\Letters;
use App\Models\User;
use App\Resources\MeResource;
use App\Support\SecondFactor;
use App\Support\Tries;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A code of one's phone beside the password, and codes for the day on which the phone is lost. */
final class SecondFactorController extends Controller
{
    public function __construct(
        private readonly MeResource $resource,
        private readonly Tries $tries,
        private readonly Letters $letters,
    ) {}

    /** A new secret; it is not asked before a first code of it was given. */
    public function store(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $this->passwordAgain($request);
        if ($user->hasSecondFactor()) {
            throw new Stopped(409, 'It is on already; take it off first to set up another phone.');
        }
        $secret = SecondFactor::newSecret();
        $user->update(['second_factor' => $secret, 'second_factor_step' => null]);

        return $this->json(
            ['secret' => $secret, 'address' => SecondFactor::address($secret, (string) $user->email)],
            201,
        );
    }

    public function update(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $in = $this->fields($request);
        $code = $in->text('code', 10);
        $this->done($in);
        if ($user->second_factor === null || $user->hasSecondFactor()) {
            throw new Stopped(409, 'Begin anew: there is no phone to set up.');
        }
        $step = null;
        $this->tries->confirm($user->id, static function () use ($user, $code, &$step): ?bool {
            $step = SecondFactor::step((string) $user->second_factor, (string) $code, time(), null);

            return $step === null ? null : true;
        });
        if ($step === null) {
            $said = 'That is not the code of this moment; look at the phone again.';
            throw new Stopped(422, $said, ['errors' => [['pointer' => '/code', 'message' => $said]]]);
        }
        $user->update(['second_factor_at' => now(), 'second_factor_step' => $step]);
        SecurityLog::note('second factor on', $request);
        $this->letters->changed($user, 'on');

        return $this->json(['codes' => self::recovery($user)]);
    }

    /** Those of before hold no longer. */
    public function recoveryCodes(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $this->passwordAgain($request);
        if (!$user->hasSecondFactor()) {
            throw new Stopped(409, 'There is no second factor to recover.');
        }
        SecurityLog::note('recovery codes anew', $request);
        $this->letters->changed($user, 'codes');

        return $this->json(['codes' => self::recovery($user)], 201);
    }

    public function destroy(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $this->passwordAgain($request);
        $was = $user->hasSecondFactor();
        $user->update([
            'second_factor' => null,
            'second_factor_at' => null,
            'second_factor_step' => null,
            'recovery_codes' => null,
        ]);
        SecurityLog::note('second factor off', $request);
        $was && $this->letters->changed($user, 'off');

        return $this->json($this->resource->me($user, $request->session()->getId()));
    }

    /** @return list<string> */
    private static function recovery(User $user): array
    {
        $codes = SecondFactor::recoveryCodes();
        $user->update(['recovery_codes' => array_map(SecondFactor::hashOf(...), $codes)]);

        return $codes;
    }
}
