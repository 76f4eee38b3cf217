<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * One jug, bottle or bag of a product on the shelf. What is left changes only by a draw: one action, which holds the
 * row.
 *
 * @property string $id
 * @property string $crew_id
 * @property string $label_card_id
 * @property string $size_value
 * @property string $size_unit
 * @property string|null $lot
 * @property string|null $place
 * @property \Illuminate\Support\Carbon|null $opened_on
 * @property \Illuminate\Support\Carbon|null $expires_on
 * @property string|null $tare_value weight of the empty container
 * @property string|null $tare_unit
 * @property string $remaining litres, or grams of a dry product
 * @property \Illuminate\Support\Carbon|null $gone_at
 * @property int $revision
 * @property LabelCard $card
 * @property \Illuminate\Database\Eloquent\Collection<int, StockWithdrawal> $draws newest first
 */
final class Container extends Model
{
    use HasUuids;

    protected $fillable = [
        'id',
        'crew_id',
        'label_card_id',
        'size_value',
        'size_unit',
        'lot',
        'place',
        'opened_on',
        'expires_on',
        'tare_value',
        'tare_unit',
        'remaining',
        'gone_at',
    ];

    /** @var array<string, string> */
    protected $casts = [
        'opened_on' => 'date',
        'expires_on' => 'date',
        'gone_at' => 'datetime',
        'revision' => 'integer',
    ];

    public function size(): Quantity
    {
        return Quantity::of($this->size_value, Unit::from($this->size_unit));
    }

    public function tare(): ?Quantity
    {
        return $this->tare_value === null || $this->tare_unit === null
            ? null
            : Quantity::of($this->tare_value, Unit::from($this->tare_unit));
    }

    /** The unit of what is left. */
    public function unit(): Unit
    {
        return $this->size()->dimension() === Dimension::Mass ? Unit::Gram : Unit::Litre;
    }

    public function left(): Quantity
    {
        return Quantity::of($this->remaining, $this->unit());
    }

    /** @return BelongsTo<LabelCard, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(LabelCard::class, 'label_card_id');
    }

    /** @return HasMany<StockWithdrawal, $this> */
    public function draws(): HasMany
    {
        return $this->hasMany(StockWithdrawal::class)->orderByDesc('drawn_at')->orderByDesc('id');
    }
}
