<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Stopped;
use App\Models\Crew;
use App\Models\Person;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/** Who is here: signing in and out, the password again, and the first account of an empty installation. */
final class SessionController extends Controller
{
    public function show(Request $request): JsonResponse
    {
        $user = $request->user();

        return $this->json(self::who($user instanceof User ? $user : null));
    }

    public function store(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        $email = $in->text('email', 190);
        $password = $in->text('password', 200);
        $this->done($in);
        if (!Auth::guard('web')->attempt(['email' => mb_strtolower((string) $email), 'password' => $password])) {
            throw new Stopped(422, 'Name and password do not go together.', ['errors' => [['pointer' => '/password', 'message' => 'Name and password do not go together.']]]);
        }
        $request->session()->regenerate();
        $user = Auth::guard('web')->user();

        return $this->json(self::who($user instanceof User ? $user : null));
    }

    public function destroy(Request $request): JsonResponse
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return $this->json(self::who(null));
    }

    public function password(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        $password = $in->text('password', 200);
        $this->done($in);
        if (!Hash::check((string) $password, $this->user($request)->password)) {
            throw new Stopped(422, 'That is not your password.', ['errors' => [['pointer' => '/password', 'message' => 'That is not your password.']]]);
        }
        $request->session()->put('password_given_at', time());

        return $this->json(self::who($this->user($request)));
    }

    public function setup(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        $code = $in->text('code', 40);
        $crewName = $in->text('crew', 120);
        $name = $in->text('name', 120);
        $email = $in->text('email', 190);
        $password = $in->text('password', 200);
        if ($email !== null && filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
            $in->fault('email', 'Write an address such as ada@trust.example.');
        }
        if ($password !== null && mb_strlen($password) < 10) {
            $in->fault('password', 'Take at least ten letters.');
        }
        $this->done($in);
        $user = DB::transaction(function () use ($code, $crewName, $name, $email, $password): User {
            $kept = DB::table('installation')->where('key', 'setup_code')->lockForUpdate()->value('value');
            if (!is_string($kept) || User::query()->exists()) {
                throw new Stopped(409, 'The first account is made already; sign in.');
            }
            if (!hash_equals($kept, (string) $code)) {
                throw new Stopped(422, 'That is not the setup code.', ['errors' => [['pointer' => '/code', 'message' => 'That is not the code that bin/start printed.']]]);
            }
            $crew = Crew::create(['name' => (string) $crewName, 'settings' => []]);
            $user = User::create(['crew_id' => $crew->id, 'role' => 'lead', 'name' => (string) $name, 'email' => mb_strtolower((string) $email), 'password' => (string) $password]);
            Person::create(['crew_id' => $crew->id, 'user_id' => $user->id, 'name' => (string) $name, 'clearances' => []]);
            DB::table('installation')->where('key', 'setup_code')->delete();

            return $user->refresh();
        });
        Auth::guard('web')->login($user);
        $request->session()->regenerate();

        return $this->json(self::who($user), 201);
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

    /** @return array<string, mixed> */
    private static function who(?User $user): array
    {
        $user?->loadMissing(['crew', 'person']);

        return [
            'user' => $user === null ? null : ['id' => $user->id, 'name' => $user->name, 'email' => $user->email, 'role' => $user->role, 'units' => $user->units, 'light' => $user->light, 'mayWrite' => $user->mayWrite(), 'isLead' => $user->isLead()],
            'crew' => $user === null ? null : ['id' => $user->crew->id, 'name' => $user->crew->name],
            'demo' => DB::table('installation')->where('key', 'demo')->exists(),
            'setupNeeded' => DB::table('installation')->where('key', 'setup_code')->exists(),
        ];
    }
}
