<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\AccessToken;
use App\Models\User;
use App\Repositories\OpenSessions;
use App\Support\Format;
use App\Support\TokenAbility;

/** One's own account as its owner sees it: openapi Me. */
final readonly class MeResource
{
    /** @return array<string, mixed> */
    public function me(User $user, string $session): array
    {
        return [
            'name' => $user->name,
            'email' => $user->email,
            'role' => $user->role,
            'since' => Format::moment($user->created_at),
            'secondFactor' => [
                'on' => $user->hasSecondFactor(),
                'since' => Format::moment($user->second_factor_at),
                'recoveryCodes' => count($user->recovery_codes ?? []),
            ],
            'sessions' => array_map(
                static fn(array $one): array => ['seen' => Format::moment($one['seen'])] + $one,
                OpenSessions::of($user, $session),
            ),
            'tokens' => array_map(
                static fn(AccessToken $t): array => [
                    'id' => (string) $t->id,
                    'name' => $t->name,
                    'writes' => $t->can(TokenAbility::WRITE),
                    'given' => Format::moment($t->created_at),
                    'used' => Format::moment($t->last_used_at),
                    'until' => Format::moment($t->expires_at),
                ],
                AccessToken::of($user),
            ),
        ];
    }
}
