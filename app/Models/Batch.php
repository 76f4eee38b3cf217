<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One tank or bottle that was mixed: what went in, in order, and the label of the finished mix.
 *
 * @property string $id
 * @property string $crew_id
 * @property string $step_id
 * @property string|null $record_id the signed work it was used up in
 * @property int $number
 * @property array<string, mixed> $body
 * @property string $mixed_by
 * @property \Illuminate\Support\Carbon $mixed_at
 * @property \Illuminate\Database\Eloquent\Collection<int, StockWithdrawal> $draws
 */
final class Batch extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'crew_id', 'step_id', 'record_id', 'number', 'body', 'mixed_by', 'mixed_at'];

    /** @var array<string, string> */
    protected $casts = ['body' => 'array', 'mixed_at' => 'datetime', 'number' => 'integer'];

    /** @return HasMany<StockWithdrawal, $this> */
    public function draws(): HasMany
    {
        return $this->hasMany(StockWithdrawal::class);
    }
}
