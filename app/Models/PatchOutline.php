<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One version of a patch's outline; never updated.
 *
 * @property string $id
 * @property array{type: string, coordinates: list<list<array{float, float}>>} $outline GeoJSON Polygon
 * @property string $area_m2
 * @property array{type: string, coordinates: list<list<array{float, float}>>}|null $coarse few corners, for far-off
 *     views
 * @property \Illuminate\Support\Carbon $valid_from
 * @property string|null $how
 * @property User|null $maker
 */
final class PatchOutline extends Model
{
    use HasUuids;

    public const UPDATED_AT = null;

    protected $fillable = [
        'patch_id',
        'valid_from',
        'outline',
        'coarse',
        'area_m2',
        'west',
        'south',
        'east',
        'north',
        'made_by',
        'how',
    ];

    /** @var array<string, string> */
    protected $casts = ['outline' => 'array', 'coarse' => 'array', 'valid_from' => 'date'];

    /** @return BelongsTo<User, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }
}
