<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\LeaveCrew;
use App\Exceptions\Stopped;
use App\Http\SecurityLog;
use App\Models\PasswordReset;
use App\Models\User;
use App\Resources\CrewResource;
use App\Support\Format;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Members of the crew: their role, a way back in, and the end of it (rulings B25). */
final class MemberController extends Controller
{
    public const ROLES = ['lead', 'member', 'viewer'];

    public function __construct(private readonly CrewResource $resource) {}

    public function update(Request $request, string $memberId): JsonResponse
    {
        Gate::authorize('lead');
        $member = $this->member($request, $memberId);
        $in = $this->fields($request);
        $role = $in->choice('role', self::ROLES);
        $this->done($in);
        $role === 'lead' || $this->keepsALead($member);
        SecurityLog::note('role changed', $request, ['member' => $member->id, 'role' => $role]);
        $member->update(['role' => (string) $role]);

        return $this->crew($request);
    }

    public function destroy(Request $request, string $memberId, LeaveCrew $leave): JsonResponse
    {
        Gate::authorize('lead');
        $member = $this->member($request, $memberId);
        $this->keepsALead($member);
        SecurityLog::note('member removed', $request, ['member' => $member->id]);
        $leave($member);

        // who removed themselves sees nothing of the crew any more
        return $member->is($this->user($request)) ? $this->json(SessionController::who(null)) : $this->crew($request);
    }

    /** A code that is read out to who forgot the password; it holds once, for a day, with their address. */
    public function resetCode(Request $request, string $memberId): JsonResponse
    {
        Gate::authorize('lead');
        $member = $this->member($request, $memberId);
        $this->passwordAgain($request);
        $code = PasswordReset::code($member, $this->user($request));
        SecurityLog::note('reset code given', $request, ['member' => $member->id]);

        return $this->json(
            ['code' => $code, 'until' => Format::moment(now()->addMinutes(PasswordReset::CODE_MINUTES))],
            201,
        );
    }

    private function member(Request $request, string $id): User
    {
        return User::query()->here()->where('crew_id', $this->user($request)->crew_id)->findOrFail($id);
    }

    /** The last lead can neither leave nor become something else: nobody could take anybody in any more. */
    private function keepsALead(User $but): void
    {
        $others = User::query()
            ->here()
            ->where(['crew_id' => $but->crew_id, 'role' => 'lead'])
            ->whereKeyNot($but->id)
            ->exists();
        if ($but->isLead() && !$others) {
            throw new Stopped(409, 'The last lead stays: make somebody else a lead first.');
        }
    }

    private function crew(Request $request): JsonResponse
    {
        $user = $this->user($request)->refresh();

        return $this->json($this->resource->crew($user->crew, $user), 200, $user->crew->revision);
    }
}
