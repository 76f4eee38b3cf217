<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Http\SecurityLog;
use App\Models\Crew;
use App\Models\Person;
use App\Models\User;
use App\Support\Address;
use App\Support\PasswordStrength;
use App\Support\Tries;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

/** Who is here: signing in and out, the password again, and the first account of an empty installation. */
final class SessionController extends Controller
{
    public function __construct(private readonly Tries $tries) {}

    public function show(Request $request): JsonResponse
    {
        $user = $request->user();

        return $this->json(self::who($user instanceof User ? $user : null));
    }

    public function store(Request $request): JsonResponse
    {
        $this->mustBeBrowser($request);
        $in = $this->fields($request);
        $email = $in->text('email', 190);
        $password = $in->secret('password');
        $this->done($in);
        $account = Address::folded((string) $email);
        $user = $this->tries->signIn(
            $account,
            (string) $request->ip(),
            fn(): ?User => $this->withPassword(User::query()->where('email', $account)->first(), (string) $password),
        );
        if ($user === null) {
            SecurityLog::note('sign-in refused', $request, ['account' => $account]);
            throw new Stopped(422, 'Name and password do not go together.', [
                'errors' => [['pointer' => '/password', 'message' => 'Name and password do not go together.']],
            ]);
        }

        return $this->json(self::who($this->enter($request, $user)));
    }

    public function destroy(Request $request): JsonResponse
    {
        $this->mustBeBrowser($request);
        SecurityLog::note('signed out', $request);
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return $this->json(self::who(null));
    }

    public function password(Request $request): JsonResponse
    {
        $this->mustBeBrowser($request);
        $in = $this->fields($request);
        $password = $in->secret('password');
        $this->done($in);
        $user = $this->user($request);
        if (
            !$this->tries->confirm(
                $user->id,
                static fn(): ?bool => Hash::check((string) $password, $user->password) ?: null,
            )
        ) {
            SecurityLog::note('password refused', $request);
            throw new Stopped(422, 'That is not your password.', [
                'errors' => [['pointer' => '/password', 'message' => 'That is not your password.']],
            ]);
        }
        $request->session()->put(self::passwordKey($user), time());

        return $this->json(self::who($user));
    }

    public function setup(Request $request): JsonResponse
    {
        $this->mustBeBrowser($request);
        $in = $this->fields($request);
        $code = $in->text('code', 40);
        $crewName = $in->text('crew', 120);
        $name = $in->text('name', 120);
        $email = $in->text('email', 190);
        $password = $in->secret('password');
        if ($email !== null && filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
            $in->fault('email', 'Write an address such as ada@trust.example.');
        }
        $own = array_values(array_filter([$name, $email, $crewName]));
        $weak = $password === null ? null : PasswordStrength::fault($password, $own);
        $weak === null || $in->fault('password', $weak);
        $this->done($in);
        $user = $this->tries->setup(
            (string) $request->ip(),
            static fn(): ?User => DB::transaction(static function () use (
                $code,
                $crewName,
                $name,
                $email,
                $password,
            ): ?User {
                $kept = DB::table('installation')->where('key', 'setup_code')->lockForUpdate()->value('value');
                if (!is_string($kept) || User::query()->exists()) {
                    throw new Stopped(409, 'The first account is made already; sign in.');
                }
                if (!hash_equals($kept, (string) $code)) {
                    return null;
                }
                $crew = Crew::create(['name' => (string) $crewName, 'settings' => []]);
                $user = User::create([
                    'crew_id' => $crew->id,
                    'role' => 'lead',
                    'name' => (string) $name,
                    'email' => Address::folded((string) $email),
                    'password' => (string) $password,
                ]);
                Person::create([
                    'crew_id' => $crew->id,
                    'user_id' => $user->id,
                    'name' => (string) $name,
                    'clearances' => [],
                ]);
                DB::table('installation')->where('key', 'setup_code')->delete();

                return $user->refresh();
            }),
        );
        if ($user === null) {
            SecurityLog::note('setup refused', $request);
            throw new Stopped(422, 'That is not the setup code.', [
                'errors' => [['pointer' => '/code', 'message' => 'That is not the code that bin/start printed.']],
            ]);
        }

        return $this->json(self::who($this->enter($request, $user)), 201);
    }

    public function update(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        $user = $this->user($request);
        $units = $in->choiceOrNull('units', ['us', 'metric']);
        $light = $in->choiceOrNull('light', ['day', 'sun', 'dusk']);
        $this->done($in);
        $user->update(array_filter(['units' => $units, 'light' => $light]));

        return $this->json(self::who($user));
    }

    /** A session is a browser's, of this very address: a call from elsewhere has none to enter, end or confirm. */
    private function mustBeBrowser(Request $request): void
    {
        $request->hasSession() ||
            throw new Stopped(
                400,
                'Sessions are for pages of this address: send its Origin or Referer with the request.',
            );
    }

    /** Nothing of whoever was here before stays: not their confirmed password, not their session's id or token. */
    private function enter(Request $request, User $user): User
    {
        $request->session()->invalidate();
        Auth::guard('web')->login($user);
        $request->session()->regenerateToken();
        SecurityLog::note('signed in', $request, ['user' => $user->id, 'crew' => $user->crew_id]);

        return $user;
    }

    /**
     * The account if the password is its own; where there is no such account the same time is spent on a hash of
     * nobody's.
     */
    private function withPassword(?User $user, string $password): ?User
    {
        $hash =
            $user->password ??
            Cache::rememberForever('hash-of-nobody', static fn(): string => Hash::make(Str::random(40)));
        if (!Hash::check($password, $hash) || $user === null) {
            return null;
        }
        Hash::needsRehash($hash) && $user->update(['password' => $password]);

        return $user;
    }

    /** @return array<string, mixed> */
    private static function who(?User $user): array
    {
        $user?->loadMissing(['crew', 'person']);

        return [
            'user' =>
                $user === null
                    ? null
                    : [
                        'id' => $user->id,
                        'name' => $user->name,
                        'email' => $user->email,
                        'role' => $user->role,
                        'units' => $user->units,
                        'light' => $user->light,
                        'mayWrite' => $user->mayWrite(),
                        'isLead' => $user->isLead(),
                    ],
            'crew' =>
                $user === null
                    ? null
                    : ['id' => $user->crew->id, 'name' => $user->crew->name, 'timeZone' => $user->crew->timeZone()],
            'demo' => DB::table('installation')->where('key', 'demo')->exists(),
            'setupNeeded' => DB::table('installation')->where('key', 'setup_code')->exists(),
        ];
    }
}
