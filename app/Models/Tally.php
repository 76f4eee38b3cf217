<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property string $id
 * @property \Illuminate\Support\Carbon $visited_on
 * @property string $kind stems, plots, seedlings or cover
 * @property string|null $zone_id null for the whole patch
 * @property string|null $diameter_at base or breast-height
 * @property list<array<string, mixed>> $rows as typed, read by the core
 * @property array<string, mixed>|null $body plots or cover as given, read by the core
 * @property \Illuminate\Support\Carbon $created_at
 * @property Zone|null $zone
 * @property User $maker
 */
final class Tally extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'stand_id', 'zone_id', 'kind', 'visited_on', 'diameter_at', 'rows', 'body', 'made_by'];

    protected $attributes = ['kind' => 'stems', 'zone_id' => null, 'diameter_at' => null, 'body' => null];

    /** @var array<string, string> */
    protected $casts = ['rows' => 'array', 'body' => 'array', 'visited_on' => 'date'];

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /** @return BelongsTo<User, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }
}
