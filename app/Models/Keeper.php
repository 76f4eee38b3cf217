<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property string $patch_id
 * @property string $kind
 * @property string $name
 * @property array<string, mixed> $body as given, read by the core
 */
final class Keeper extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'patch_id', 'kind', 'name', 'body'];

    protected $casts = ['body' => 'array'];
}
