<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Bundle\Tables;
use App\Models\AccessToken;
use App\Models\Act;
use App\Models\CalendarFeed;
use App\Models\Person;
use App\Models\User;
use App\Repositories\OpenSessions;
use App\Support\Format;
use Illuminate\Support\Facades\DB;

/**
 * All that is kept of one person, for that person (docs/bundle.md): the account, who they are in the Shed, where they
 * are signed in, and what bears their hand. Never a password, a secret or a hash of one.
 */
final readonly class OwnData
{
    public const FORMAT = 'gallant-thicket-own-data';

    /** What names people besides what bears their hand: told by itself, or nobody's but the door's. */
    private const TOLD_ALREADY = ['acts', 'people', 'calendar_feeds', 'invites', 'password_resets'];

    /** @return array<string, mixed> */
    public function of(User $user): array
    {
        $person = Person::query()->where('user_id', $user->id)->first();

        return [
            'format' => self::FORMAT,
            'version' => 1,
            'at' => Format::moment(now()),
            'account' => [
                'id' => $user->id,
                'crew' => $user->crew->name,
                'role' => $user->role,
                'name' => $user->name,
                'email' => $user->email,
                'units' => $user->units,
                'light' => $user->light,
                'locale' => $user->locale,
                'secondFactorSince' => Format::moment($user->second_factor_at),
                'since' => Format::moment($user->created_at),
            ],
            'person' => $person === null ? null : array_diff_key($person->toArray(), ['crew_id' => 1, 'user_id' => 1]),
            'daysAway' =>
                $person === null
                    ? []
                    : DB::table('days_away')
                        ->where('person_id', $person->id)
                        ->orderBy('first_on')
                        ->get(['first_on', 'last_on', 'note'])
                        ->all(),
            'sessions' => array_map(
                static fn(array $one): array => ['seen' => Format::moment($one['seen'])] + $one,
                OpenSessions::of($user, ''),
            ),
            'tokens' => array_map(
                static fn(AccessToken $t): array => [
                    'name' => $t->name,
                    'abilities' => $t->abilities,
                    'given' => Format::moment($t->created_at),
                    'used' => Format::moment($t->last_used_at),
                ],
                AccessToken::of($user),
            ),
            'calendarAddressSince' => Format::moment(
                CalendarFeed::query()->where('user_id', $user->id)->first()?->created_at,
            ),
            'acts' => self::acts($user),
            'hands' => self::hands($user),
        ];
    }

    /** @return list<array{at: string|null, act: string, names: array<string, string>}> */
    private static function acts(User $user): array
    {
        $told = [];
        /** @var Act $act */
        foreach (Act::query()->where('user_id', $user->id)->orderBy('id')->get() as $act) {
            $told[] = ['at' => Format::moment($act->at), 'act' => $act->act, 'names' => $act->names];
        }

        return $told;
    }

    /** @return list<array{table: string, as: string, ids: list<string>}> rows that name this person */
    private static function hands(User $user): array
    {
        // asked of the schema, so that no table is forgotten
        $columns = DB::table('information_schema.KEY_COLUMN_USAGE')
            ->where('TABLE_SCHEMA', DB::connection()->getDatabaseName())
            ->where('REFERENCED_TABLE_NAME', 'users')
            ->whereNotIn('TABLE_NAME', self::TOLD_ALREADY)
            ->orderBy('TABLE_NAME')
            ->orderBy('COLUMN_NAME')
            ->get(['TABLE_NAME as table', 'COLUMN_NAME as column']);
        $hands = [];
        foreach ($columns as $one) {
            $keys = Tables::keys((string) $one->table);
            $ids = [];
            foreach (DB::table((string) $one->table)->where((string) $one->column, $user->id)->get($keys) as $row) {
                $ids[] = implode(' ', array_map(strval(...), (array) $row));
            }
            sort($ids);
            $ids === [] || ($hands[] = ['table' => (string) $one->table, 'as' => (string) $one->column, 'ids' => $ids]);
        }

        return $hands;
    }
}
