<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A hand tool or a measuring tool of the crew.
 *
 * @property string $id
 * @property string $crew_id
 * @property string $kind as methods name their tools, or cup, cylinder, spoons, jug, syringe, scale
 * @property string $name
 * @property array{jaw?: string, blade?: string, graduation?: string, holds?: string, clearance?: string}|null $details
 *     sizes as typed
 * @property \Illuminate\Support\Carbon|null $gone_at
 * @property int $revision
 * @property \Illuminate\Database\Eloquent\Collection<int, Loan> $loans newest first
 */
final class Tool extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'crew_id', 'kind', 'name', 'details', 'gone_at'];

    /** @var array<string, string> */
    protected $casts = ['details' => 'array', 'gone_at' => 'datetime', 'revision' => 'integer'];

    /** @return HasMany<Loan, $this> */
    public function loans(): HasMany
    {
        return $this->hasMany(Loan::class)->orderByDesc('lent_on')->orderByDesc('id');
    }

    public function isLent(): bool
    {
        return $this->loans->contains(static fn(Loan $loan): bool => $loan->returned_on === null);
    }
}
