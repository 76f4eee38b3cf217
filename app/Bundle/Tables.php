<?php

declare(strict_types=1);

namespace App\Bundle;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Which tables hold a crew's data, in an order in which each row finds those it points to; and those that do not, with
 * why (a test asks the schema whether one is forgotten).
 */
final readonly class Tables
{
    /** By table: the columns by which its rows hang on rows above; any of them will do. */
    public const OF_CREW = [
        'crews' => ['id' => null],
        'users' => ['crew_id' => 'crews'],
        'people' => ['crew_id' => 'crews'],
        'days_away' => ['crew_id' => 'crews'],
        'grounds' => ['crew_id' => 'crews'],
        'patches' => ['ground_id' => 'grounds'],
        'patch_outlines' => ['patch_id' => 'patches'],
        'keepers' => ['patch_id' => 'patches', 'ground_id' => 'grounds'],
        'zones' => ['patch_id' => 'patches'],
        'stands' => ['patch_id' => 'patches'],
        'sightings' => [
            'stand_id' => 'stands',
            'patch_id' => 'patches',
            'ground_id' => 'grounds',
            'made_by' => 'users',
        ],
        'observations' => ['patch_id' => 'patches'],
        'tallies' => ['stand_id' => 'stands'],
        'plot_plans' => ['stand_id' => 'stands'],
        'brought_weather' => ['ground_id' => 'grounds'],
        'label_cards' => ['crew_id' => 'crews'],
        'label_card_versions' => ['label_card_id' => 'label_cards'],
        'sprayers' => ['crew_id' => 'crews'],
        'calibrations' => ['sprayer_id' => 'sprayers'],
        'steps' => ['patch_id' => 'patches'],
        'stand_step' => ['stand_id' => 'stands'],
        'sheets' => ['crew_id' => 'crews'],
        'sheet_step' => ['sheet_id' => 'sheets'],
        'photos' => ['sighting_id' => 'sightings', 'sheet_id' => 'sheets'],
        'records' => ['crew_id' => 'crews'],
        'field_notes' => ['crew_id' => 'crews'],
        'record_amendments' => ['record_id' => 'records'],
        'record_lessons' => ['crew_id' => 'crews'],
        'settled_duties' => ['crew_id' => 'crews'],
        'standing_trees' => ['crew_id' => 'crews'],
        'patrols' => ['stand_id' => 'stands'],
        'look_backs' => ['record_id' => 'records'],
        'sprayer_uses' => ['sprayer_id' => 'sprayers'],
        'containers' => ['crew_id' => 'crews'],
        'batches' => ['crew_id' => 'crews'],
        'draws' => ['container_id' => 'containers'],
        'tools' => ['crew_id' => 'crews'],
        'loans' => ['tool_id' => 'tools'],
        'season_plans' => ['crew_id' => 'crews'],
        'placements' => ['crew_id' => 'crews'],
        'acts' => ['crew_id' => 'crews'],
        'seals' => ['crew_id' => 'crews'],
    ];

    /** What is of the installation, of a browser, or a secret. */
    public const LEFT_OUT = [
        'installation' => 'of this installation',
        'migrations' => 'of this installation',
        'sessions' => 'of a browser',
        'cache' => 'worked out again',
        'cache_locks' => 'of a moment',
        'idempotency_keys' => 'of a browser',
        'tries' => 'of a moment',
        'personal_access_tokens' => 'a secret',
        'invites' => 'a secret',
        'password_resets' => 'a secret',
        'calendar_feeds' => 'a secret',
        'jobs' => 'of a moment',
        'failed_jobs' => 'of a moment',
        'papers' => 'printed again',
        // triggers fill them from what is carried
        'record_actives' => 'kept by the database itself',
        'batch_cards' => 'kept by the database itself',
    ];

    /** Columns that nobody carries to another installation. */
    public const SECRETS = [
        'users' => ['password', 'second_factor', 'second_factor_at', 'second_factor_step', 'recovery_codes'],
    ];

    private function __construct() {}

    /** Rows of one table, in one order. */
    public static function rows(string $table, string $crewId): Builder
    {
        $query = DB::table($table)->select(self::columns($table));
        $query->where(static function (Builder $any) use ($table, $crewId): void {
            foreach (self::OF_CREW[$table] as $column => $parent) {
                $parent === null
                    ? $any->orWhere($column, $crewId)
                    : $any->orWhereIn($column, self::ids($parent, $crewId));
            }
        });
        foreach (self::keys($table) as $key) {
            $query->orderBy($key);
        }

        return $query;
    }

    /** @return list<string> columns that are carried: no secrets, and none that the database works out */
    public static function columns(string $table): array
    {
        return array_values(
            DB::table('information_schema.COLUMNS')
                ->where('TABLE_SCHEMA', DB::connection()->getDatabaseName())
                ->where('TABLE_NAME', $table)
                ->where('EXTRA', 'not like', '%GENERATED%')
                ->whereNotIn('COLUMN_NAME', self::SECRETS[$table] ?? [])
                ->orderBy('ORDINAL_POSITION')
                ->pluck('COLUMN_NAME')
                ->map(static fn(mixed $name): string => is_string($name) ? $name : '')
                ->all(),
        );
    }

    private static function ids(string $table, string $crewId): Builder
    {
        $query = DB::table($table)->select('id');
        $query->where(static function (Builder $any) use ($table, $crewId): void {
            foreach (self::OF_CREW[$table] as $column => $parent) {
                $parent === null
                    ? $any->orWhere($column, $crewId)
                    : $any->orWhereIn($column, self::ids($parent, $crewId));
            }
        });

        return $query;
    }

    /** @return list<string> columns of the primary key */
    public static function keys(string $table): array
    {
        return array_values(
            DB::table('information_schema.KEY_COLUMN_USAGE')
                ->where('TABLE_SCHEMA', DB::connection()->getDatabaseName())
                ->where(['TABLE_NAME' => $table, 'CONSTRAINT_NAME' => 'PRIMARY'])
                ->orderBy('ORDINAL_POSITION')
                ->pluck('COLUMN_NAME')
                ->map(static fn(mixed $name): string => is_string($name) ? $name : '')
                ->all(),
        );
    }
}
