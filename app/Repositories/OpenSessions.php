<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Browsers in which somebody is signed in. The id of a session is its secret, so it is told by a hash of it; ended ones
 * are gone at once.
 */
final class OpenSessions
{
    private function __construct() {}

    /**
     * @return list<array{id: string, agent: string, from: string, seen: \DateTimeImmutable, here: bool}> the last seen
     *     first
     */
    public static function of(User $user, string $here): array
    {
        $rows = DB::table(config()->string('session.table'))
            ->where('user_id', $user->id)
            ->where('last_activity', '>', time() - 60 * config()->integer('session.lifetime'))
            ->orderByDesc('last_activity')
            ->get(['id', 'user_agent', 'ip_address', 'last_activity']);

        return array_values(
            $rows
                ->map(
                    static fn(\stdClass $row): array => [
                        'id' => self::told((string) $row->id),
                        'agent' => (string) $row->user_agent,
                        'from' => (string) $row->ip_address,
                        'seen' => new \DateTimeImmutable("@{$row->last_activity}"),
                        'here' => $row->id === $here,
                    ],
                )
                ->all(),
        );
    }

    /** Ends one by the id that was told; false where there is none. */
    public static function end(User $user, string $told): bool
    {
        $ids = DB::table(config()->string('session.table'))->where('user_id', $user->id)->pluck('id');
        $ended = $ids->filter(static fn(mixed $id): bool => is_string($id) && hash_equals(self::told($id), $told));
        DB::table(config()->string('session.table'))->whereIn('id', $ended)->delete();

        return $ended->isNotEmpty();
    }

    /** Ends all, or all but the one at hand. */
    public static function endAll(User $user, ?string $but = null): int
    {
        return DB::table(config()->string('session.table'))
            ->where('user_id', $user->id)
            ->when($but !== null, static fn($q) => $q->where('id', '!=', $but))
            ->delete();
    }

    private static function told(string $id): string
    {
        return substr(hash('sha256', "session {$id}"), 0, 32);
    }
}
