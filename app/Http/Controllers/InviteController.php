<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Http\Readers\AccountReader;
use App\Http\SecurityLog;
use App\Mail\Letters;
use App\Models\Invite;
use App\Models\Person;
use App\Models\User;
use App\Resources\CrewResource;
use App\Support\Address;
use App\Support\Secret;
use App\Support\Tries;
use App\Text\Languages;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/** Links by which people become members, each once. */
final class InviteController extends Controller
{
    use EntersSession;

    private const MOST_OPEN = 50;

    public function __construct(private readonly CrewResource $resource, private readonly Tries $tries) {}

    /** The link is told this once, and mailed where an address is given. */
    public function store(Request $request, Letters $letters): JsonResponse
    {
        Gate::authorize('lead');
        $user = $this->user($request);
        $in = $this->fields($request);
        $role = $in->choice('role', MemberController::ROLES);
        $name = $in->textOrNull('name', 120);
        $email = $in->textOrNull('email', 190);
        if ($email !== null && filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
            $in->fault('email', 'Write an address such as ada@trust.example.');
        }
        $person = $in->uuidOrNull('personId');
        $this->done($in);
        $person === null ||
            Person::query()
                ->where(['crew_id' => $user->crew_id, 'user_id' => null])
                ->findOrFail($person);
        if (Invite::query()->open()->where('crew_id', $user->crew_id)->count() >= self::MOST_OPEN) {
            throw new Stopped(409, 'So many are asked already; take one back first.');
        }
        $secret = Secret::anew();
        $invite = Invite::create([
            'crew_id' => $user->crew_id,
            'role' => (string) $role,
            'name' => $name,
            'email' => $email === null ? null : Address::folded($email),
            'person_id' => $person,
            'token_hash' => $secret->hash,
            'made_by' => $user->id,
            'expires_at' => now()->addDays(Invite::DAYS),
        ]);
        $link = config()->string('app.url') . "/join/{$secret->told}";
        $sent = $email !== null && $letters->invite($invite->loadMissing(['crew', 'maker']), $link);
        SecurityLog::note('invited', $request, ['role' => $role]);

        return $this->json(
            ['link' => $link, 'sent' => $sent] + $this->resource->crew($user->crew, $user),
            201,
            $user->crew->revision,
        );
    }

    public function destroy(Request $request, string $inviteId): JsonResponse
    {
        Gate::authorize('lead');
        $user = $this->user($request);
        Invite::query()->open()->where('crew_id', $user->crew_id)->findOrFail($inviteId)->delete();
        SecurityLog::note('invite taken back', $request);

        return $this->json($this->resource->crew($user->crew, $user), 200, $user->crew->revision);
    }

    /** What whoever has the link is asked to join. */
    public function show(Request $request, string $token): JsonResponse
    {
        $invite = $this->tries->setup((string) $request->ip(), static fn(): ?Invite => self::open($token));

        return $invite === null
            ? throw self::over()
            : $this->json([
                'crew' => $invite->crew->name,
                'by' => $invite->maker->name,
                'role' => $invite->role,
                'name' => $invite->name,
                'email' => $invite->email,
            ]);
    }

    public function accept(Request $request, string $token): JsonResponse
    {
        $this->mustBeBrowser($request);
        $in = $this->fields($request);
        $name = $in->text('name', 120);
        $email = AccountReader::email($in);
        $crewName = self::open($token)?->crew->name;
        $password = AccountReader::newPassword($in, [$name, $email, $crewName]);
        $locale = $in->choiceOrNull('locale', Languages::all());
        $this->done($in);
        $user = $this->tries->setup(
            (string) $request->ip(),
            static fn(): ?User => DB::transaction(static function () use (
                $token,
                $name,
                $email,
                $password,
                $locale,
            ): ?User {
                $invite = self::open($token, true);
                if ($invite === null) {
                    return null;
                }
                $settings = $invite->crew->settings;
                $user = User::create([
                    'crew_id' => $invite->crew_id,
                    'role' => $invite->role,
                    'name' => (string) $name,
                    'email' => (string) $email,
                    'password' => (string) $password,
                    'units' => $settings['units'] ?? 'us',
                    'locale' => $locale ?? ($settings['locale'] ?? Languages::FIRST),
                ]);
                self::person($invite, $user);
                $invite->update(['used_by' => $user->id, 'used_at' => now()]);

                return $user->refresh();
            }),
        );
        if ($user === null) {
            throw self::over();
        }

        return $this->json(SessionController::who($this->enter($request, $user)), 201);
    }

    private static function open(string $token, bool $held = false): ?Invite
    {
        return Invite::query()
            ->open()
            ->where('token_hash', Secret::hashOf($token))
            ->whereHas('crew', static fn($crew) => $crew->whereNull('closed_at'))
            ->with(['crew', 'maker'])
            ->when($held, static fn($q) => $q->lockForUpdate())
            ->first();
    }

    /** Who signs for work is a person of the Shed; one who is there already is the same. */
    private static function person(Invite $invite, User $user): void
    {
        $there = Person::query()
            ->where(['crew_id' => $invite->crew_id, 'user_id' => null])
            ->find($invite->person_id ?? '');
        $there === null
            ? Person::create([
                'crew_id' => $invite->crew_id,
                'user_id' => $user->id,
                'name' => $user->name,
                'clearances' => [],
            ])
            : $there->update(['user_id' => $user->id]);
    }

    private static function over(): Stopped
    {
        return new Stopped(404, 'This invitation was used, taken back, or is over; ask for a new one.');
    }
}
