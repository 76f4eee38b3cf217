<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property \Illuminate\Support\Carbon $visited_on
 * @property list<array<string, mixed>> $rows as typed, read by the core
 */
final class Tally extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'stand_id', 'visited_on', 'rows', 'made_by'];

    protected $casts = ['rows' => 'array', 'visited_on' => 'date'];
}
