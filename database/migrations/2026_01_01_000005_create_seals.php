<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A chain of seals over all that people see of sheets, records, look-backs and pictures; and a database that refuses to
 * change or delete what is sealed, whoever asks (the account of the application may not take the triggers off either:
 * bin/lib/house.sh, deploy/README.md).
 */
return new class extends Migration {
    /** Tables whose rows are never changed, with the columns that may be set once where there are any. */
    private const SEALED = [
        'seals' => null,
        'records' => null,
        'record_actives' => null,
        'look_backs' => null,
        'record_amendments' => null,
        'sheets' => ['withdrawn_at', 'withdrawn_by', 'withdrawn_why', 'updated_at'],
        'photos' => null,
        // a note is never changed; it is signed once, with its record
        'field_notes' => ['record_id'],
    ];

    public function up(): void
    {
        Schema::create('seals', function (Blueprint $table): void {
            $table->foreignUuid('crew_id')->constrained();
            $table->unsignedInteger('seq');
            $table->string('kind', 20);
            $table->uuid('subject_id');
            $table->char('content', 64)->comment('SHA-256 of what was sealed');
            $table->char('prev_hash', 64);
            $table->char('hash', 64)->comment('keyed over all other columns');
            $table->dateTime('sealed_at');
            $table->primary(['crew_id', 'seq']);
            $table->unique(['kind', 'subject_id']);
        });
        foreach (self::SEALED as $table => $once) {
            $differs = implode(
                ' OR ',
                array_map(
                    static fn(string $c): string => "NOT (OLD.`{$c}` <=> NEW.`{$c}`)",
                    $once === null ? [] : array_diff(Schema::getColumnListing($table), $once),
                ),
            );
            $again = implode(
                ' OR ',
                array_map(
                    static fn(string $c): string => "(OLD.`{$c}` IS NOT NULL AND NOT (OLD.`{$c}` <=> NEW.`{$c}`))",
                    array_diff($once ?? [], ['updated_at']),
                ),
            );
            $refuse = "SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'what is sealed is not changed'";
            DB::unprepared(
                "CREATE TRIGGER {$table}_sealed_update BEFORE UPDATE ON {$table} FOR EACH ROW BEGIN " .
                    ($once === null ? "{$refuse};" : "IF {$differs} OR {$again} THEN {$refuse}; END IF;") .
                    ' END',
            );
            // a picture may be taken away; that it was there is a link of its own
            $table === 'photos' ||
                DB::unprepared(
                    "CREATE TRIGGER {$table}_sealed_delete BEFORE DELETE ON {$table} FOR EACH ROW BEGIN {$refuse}; END",
                );
        }
    }

    public function down(): void
    {
        foreach (array_keys(self::SEALED) as $table) {
            DB::unprepared("DROP TRIGGER IF EXISTS {$table}_sealed_update");
            DB::unprepared("DROP TRIGGER IF EXISTS {$table}_sealed_delete");
        }
        Schema::dropIfExists('seals');
    }
};
