<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A thing to protect or to know of. Drawn ones belong to the ground and are seen from every patch; one known only by
 * words belongs to a patch and has the distance that somebody typed.
 *
 * @property string $id
 * @property string|null $patch_id
 * @property string|null $ground_id
 * @property string $kind
 * @property string $name
 * @property array<string, mixed> $body as given, read by the core
 * @property array{type: string, coordinates: list<mixed>}|null $shape GeoJSON
 * @property array<string, mixed>|null $properties of an imported file
 * @property \Illuminate\Support\Carbon|null $archived_at
 * @property int $revision
 */
final class ProtectedFeature extends Model
{
    use HasUuids;

    protected $table = 'keepers';

    protected $fillable = [
        'id',
        'patch_id',
        'ground_id',
        'kind',
        'name',
        'body',
        'shape',
        'west',
        'south',
        'east',
        'north',
        'properties',
    ];

    /** @var array<string, string> */
    protected $casts = [
        'body' => 'array',
        'shape' => 'array',
        'properties' => 'array',
        'archived_at' => 'datetime',
        'revision' => 'integer',
    ];

    /** @param Builder<self> $query */
    public function scopeOfCrew(Builder $query, User $user): void
    {
        $query->whereIn('ground_id', Ground::query()->ofCrew($user)->select('id'));
    }
}
