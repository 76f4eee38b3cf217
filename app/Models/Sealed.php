<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\CanonicalJson;
use Illuminate\Support\Facades\DB;

/**
 * What is sealed, and which of its columns: all that people see of it, read from the database as it is stored there.
 */
enum Sealed: string
{
    case Sheet = 'sheet';
    case Withdrawal = 'withdrawal';
    case Record = 'record';
    case LookBack = 'look-back';
    case Amendment = 'amendment';
    case Photo = 'photo';
    /** A picture was taken away by somebody who may: its file and row are gone, that it was there is not. */
    case PhotoDropped = 'photo-dropped';

    private const NOTE = ['id', 'sheet_id', 'sent_by', 'kind', 'at', 'device', 'seq', 'by', 'body', 'received_at'];

    public function table(): ?string
    {
        return match ($this) {
            self::Sheet, self::Withdrawal => 'sheets',
            self::Record => 'records',
            self::LookBack => 'look_backs',
            self::Amendment => 'record_amendments',
            self::Photo => 'photos',
            self::PhotoDropped => null,
        };
    }

    /** @return list<string> */
    public function columns(): array
    {
        return match ($this) {
            self::Sheet => ['id', 'crew_id', 'number', 'snapshot', 'issued_by', 'issued_at'],
            self::Withdrawal => ['id', 'withdrawn_at', 'withdrawn_by', 'withdrawn_why'],
            self::Record => [
                'id',
                'crew_id',
                'seq',
                'sheet_id',
                'step_id',
                'patch_id',
                'worked_on',
                'judge_after',
                'body',
                'signed_by',
                'signed_at',
            ],
            self::LookBack => ['id', 'record_id', 'looked_on', 'scored', 'body', 'made_by', 'created_at'],
            self::Amendment => ['id', 'record_id', 'field', 'text', 'why', 'made_by', 'created_at'],
            self::Photo => [
                'id',
                'sighting_id',
                'sheet_id',
                'file',
                'width',
                'height',
                'bytes',
                'sha256',
                'taken_at',
                'made_by',
                'created_at',
            ],
            self::PhotoDropped => ['id'],
        };
    }

    /** SHA-256 over the canonical JSON of the columns (RFC 8785); null where the row is not there. */
    public function digest(string $id): ?string
    {
        $table = $this->table();
        $row = $table === null ? ['id' => $id] : (array) DB::table($table)->where('id', $id)->first($this->columns());
        if ($row === []) {
            return null;
        }
        $plain = array_map(static fn(mixed $v): ?string => $v === null ? null : (string) $v, $row);
        if ($this === self::Sheet) {
            $steps = DB::table('sheet_step')->where('sheet_id', $id)->orderBy('step_id')->pluck('step_id');
            $plain['steps'] = implode(' ', $steps->all());
        }
        if ($this === self::Record) {
            $notes = DB::table('field_notes')->where('record_id', $id)->orderBy('id')->get(self::NOTE);
            // records of before were signed without any
            $notes->isEmpty() || ($plain['notes'] = hash('sha256', (string) json_encode($notes, JSON_THROW_ON_ERROR)));
        }

        // a column that holds no UTF-8 any more is hashed as it is
        $readable = mb_check_encoding(implode('', array_filter($plain, is_string(...))), 'UTF-8');

        return hash('sha256', $readable ? CanonicalJson::of($plain) : serialize($plain));
    }
}
