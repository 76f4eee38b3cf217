<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One line of the trail: who did what when.
 *
 * @property int $id
 * @property string $crew_id
 * @property string $user_id
 * @property string $act method and route: "POST grounds"
 * @property array<string, string> $names what it was done to, as it was called then, by parameter of the route
 * @property array<string, array{from: string|null, to: string|null}>|null $changes settings
 * @property \Illuminate\Support\Carbon $at
 * @property User $user
 */
final class Act extends Model
{
    public $timestamps = false;

    protected $fillable = ['crew_id', 'user_id', 'act', 'names', 'changes', 'at'];

    /** @var array<string, string> */
    protected $casts = ['names' => 'array', 'changes' => 'array', 'at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
