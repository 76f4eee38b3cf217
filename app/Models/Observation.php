<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property string $fact
 * @property string|null $ground_id
 * @property string|null $species what it was seen on (leaf-out)
 * @property array<string, mixed> $body as given, read by the core
 * @property \Illuminate\Support\Carbon $at
 */
final class Observation extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'patch_id', 'ground_id', 'species', 'fact', 'body', 'at', 'made_by'];

    /** @var array<string, string> */
    protected $casts = ['body' => 'array', 'at' => 'datetime'];
}
