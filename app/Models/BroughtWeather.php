<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A forecast that somebody brought for a ground, as a file or typed in.
 *
 * @property string $ground_id
 * @property list<array<string, float|string>> $hours as a service tells them
 * @property string $way file or typed
 * @property \Illuminate\Support\Carbon $issued_at by the job clock
 * @property User $user who brought it
 */
final class BroughtWeather extends Model
{
    public const FILE = 'file';
    public const TYPED = 'typed';

    protected $table = 'brought_weather';
    protected $primaryKey = 'ground_id';
    protected $keyType = 'string';
    public $incrementing = false;

    protected $fillable = ['ground_id', 'hours', 'way', 'issued_at', 'user_id'];

    /** @var array<string, string> */
    protected $casts = ['hours' => 'array', 'issued_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
