<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Product taken out of a container, or found to be more or less; a mixed one belongs to a batch and through it to a
 * record.
 *
 * @property string $id
 * @property string $container_id
 * @property string|null $batch_id
 * @property string $kind mixed, measured, spilled, disposed
 * @property string $amount
 * @property string $left
 * @property string $typed
 * @property string|null $reason
 * @property string $drawn_by
 * @property \Illuminate\Support\Carbon $drawn_at
 * @property Batch|null $batch
 * @property Container $container
 */
final class StockWithdrawal extends Model
{
    use HasUuids;

    protected $table = 'draws';

    protected $fillable = [
        'id',
        'container_id',
        'batch_id',
        'kind',
        'amount',
        'left',
        'typed',
        'reason',
        'drawn_by',
        'drawn_at',
    ];

    /** @var array<string, string> */
    protected $casts = ['drawn_at' => 'datetime'];

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    /** @return BelongsTo<Container, $this> */
    public function container(): BelongsTo
    {
        return $this->belongsTo(Container::class);
    }
}
