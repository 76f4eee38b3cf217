<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Http\Readers\AccountReader;
use App\Http\SecurityLog;
use App\Mail\Letters;
use App\Models\PasswordReset;
use App\Models\User;
use App\Repositories\OpenSessions;
use App\Support\Address;
use App\Support\Secret;
use App\Support\Tries;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** Back in without the password: by a link that is mailed, or by a code that a lead reads out. */
final class PasswordResetController extends Controller
{
    use EntersSession;

    public function __construct(private readonly Tries $tries) {}

    /** Answers alike whether there is such an account or not. */
    public function store(Request $request, Letters $letters): JsonResponse
    {
        $this->mustBeBrowser($request);
        $in = $this->fields($request);
        $email = $in->text('email', 190);
        $this->done($in);
        $this->tries->asked((string) $request->ip(), Address::folded((string) $email));
        $user = User::query()->here()->where('email', Address::folded((string) $email))->first();
        if ($user !== null) {
            $secret = Secret::anew();
            PasswordReset::query()
                ->where(['user_id' => $user->id, 'made_by' => null])
                ->delete();
            PasswordReset::create([
                'user_id' => $user->id,
                'token_hash' => $secret->hash,
                'expires_at' => now()->addMinutes(PasswordReset::LINK_MINUTES),
            ]);
            $letters->reset($user, config()->string('app.url') . "/forgotten/{$secret->told}");
        }
        SecurityLog::note('reset asked', $request, ['account' => Address::folded((string) $email)]);

        return $this->json(['sent' => true], 202);
    }

    /** All sessions end; a second factor is asked at the next sign-in as before. */
    public function update(Request $request, Letters $letters): JsonResponse
    {
        $this->mustBeBrowser($request);
        $in = $this->fields($request);
        $token = $in->textOrNull('token', 80);
        $email = $token === null ? $in->text('email', 190) : null;
        $code = $token === null ? $in->text('code', 40) : null;
        $password = AccountReader::newPassword($in, [$email]);
        $this->done($in);
        $hash = $token === null ? PasswordReset::hashOfCode((string) $email, (string) $code) : Secret::hashOf($token);
        $done = $this->tries->setup(
            (string) $request->ip(),
            static fn(): ?User => DB::transaction(static function () use ($hash, $password): ?User {
                $reset = PasswordReset::query()
                    ->open()
                    ->where('token_hash', $hash)
                    ->with('user')
                    ->lockForUpdate()
                    ->first();
                if ($reset === null || $reset->user->gone_at !== null) {
                    return null;
                }
                $reset->update(['used_at' => now()]);
                $reset->user->update(['password' => (string) $password]);
                OpenSessions::endAll($reset->user);

                return $reset->user;
            }),
        );
        if ($done === null) {
            $said =
                $token === null
                    ? 'Address and code do not go together, or the code is over.'
                    : 'This link was used or is over; ask for a new one.';
            SecurityLog::note('reset refused', $request);
            throw new Stopped(422, $said, [
                'errors' => [['pointer' => $token === null ? '/code' : '/token', 'message' => $said]],
            ]);
        }
        SecurityLog::note('password reset', $request, ['user' => $done->id]);
        $letters->changed($done, 'password');

        return $this->json(['done' => true]);
    }
}
