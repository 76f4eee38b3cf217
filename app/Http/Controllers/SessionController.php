<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\TakeSecondFactor;
use App\Exceptions\Stopped;
use App\Http\Readers\AccountReader;
use App\Http\SecurityLog;
use App\Models\Crew;
use App\Models\Person;
use App\Models\User;
use App\Support\Address;
use App\Support\Tries;
use App\Text\Languages;
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
    use EntersSession;

    public function __construct(private readonly Tries $tries, private readonly TakeSecondFactor $secondFactor) {}

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
        $code = $in->textOrNull('code', 40);
        $this->done($in);
        $account = Address::folded((string) $email);
        $asked = false;
        $user = $this->tries->signIn($account, (string) $request->ip(), function () use (
            $account,
            $password,
            $code,
            &$asked,
        ): ?User {
            $user = $this->withPassword(User::query()->here()->where('email', $account)->first(), (string) $password);
            $asked = $user !== null && $user->hasSecondFactor();

            // the password alone is no wrong try: the code is asked for next
            return !$asked || $code === null || $this->secondFactor->took($user, $code) ? $user : null;
        });
        if ($asked && ($user === null || $code === null)) {
            $said = $code === null ? 'Give the code that your phone shows.' : 'That is not the code of this moment.';
            $code === null || SecurityLog::note('second factor refused', $request, ['account' => $account]);
            throw new Stopped(422, $said, ['errors' => [['pointer' => '/code', 'message' => $said]]]);
        }
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
        $email = AccountReader::email($in);
        $password = AccountReader::newPassword($in, [$name, $email, $crewName]);
        $units = $in->choiceOrNull('units', ['us', 'metric']);
        $locale = $in->choiceOrNull('locale', Languages::all());
        $this->done($in);
        $user = $this->tries->setup(
            (string) $request->ip(),
            static fn(): ?User => DB::transaction(static function () use (
                $code,
                $crewName,
                $name,
                $email,
                $password,
                $units,
                $locale,
            ): ?User {
                $kept = DB::table('installation')->where('key', 'setup_code')->lockForUpdate()->value('value');
                if (!is_string($kept) || User::query()->exists()) {
                    throw new Stopped(409, 'The first account is made already; sign in.');
                }
                if (!hash_equals($kept, (string) $code)) {
                    return null;
                }
                $crew = Crew::create([
                    'name' => (string) $crewName,
                    'settings' => array_filter(['units' => $units, 'locale' => $locale]),
                ]);
                $user = User::create([
                    'crew_id' => $crew->id,
                    'role' => 'lead',
                    'name' => (string) $name,
                    'email' => (string) $email,
                    'password' => (string) $password,
                    'units' => $units ?? 'us',
                    'locale' => $locale ?? Languages::FIRST,
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
        $locale = $in->choiceOrNull('locale', Languages::all());
        $this->done($in);
        $user->update(array_filter(['units' => $units, 'light' => $light, 'locale' => $locale]));

        return $this->json(self::who($user));
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
    public static function who(?User $user): array
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
                        'locale' => $user->locale,
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
