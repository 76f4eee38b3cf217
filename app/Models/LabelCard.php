<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property string $id
 * @property string $crew_id
 * @property string $product
 * @property list<array{size: string, price: string, on: string|null}>|null $packs sizes it is sold in
 * @property \Illuminate\Database\Eloquent\Collection<int, LabelCardVersion> $versions
 */
final class LabelCard extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'crew_id', 'product', 'packs'];

    /** @var array<string, string> */
    protected $casts = ['packs' => 'array'];

    /** @return HasMany<LabelCardVersion, $this> */
    public function versions(): HasMany
    {
        return $this->hasMany(LabelCardVersion::class)->orderByDesc('version');
    }
}
