<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property array<string, string> $seen
 * @property list<array<string, mixed>> $ranked
 * @property list<array{pair: string, test: string, points: string}> $tests
 * @property string|null $species
 * @property string|null $confirmed_by
 */
final class Sighting extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'stand_id', 'seen', 'ranked', 'tests', 'species', 'confirmed_by'];

    protected $casts = ['seen' => 'array', 'ranked' => 'array', 'tests' => 'array'];
}
