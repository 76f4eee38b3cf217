<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property \Illuminate\Support\Carbon $looked_on
 * @property string $record_id
 * @property \Illuminate\Support\Carbon $created_at
 * @property bool $scored
 * @property array<string, mixed> $body
 */
final class LookBack extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'record_id', 'looked_on', 'scored', 'body', 'made_by'];

    /** @var array<string, string> */
    protected $casts = ['looked_on' => 'date', 'scored' => 'boolean', 'body' => 'array'];
}
