<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * What the season of a crew is planned within.
 *
 * @property string $id
 * @property string $crew_id
 * @property \Illuminate\Support\Carbon $last_on
 * @property int|null $money in the smallest coin
 * @property int|null $litres_a_day
 * @property \Illuminate\Support\Carbon|null $kept_at
 * @property int $revision
 */
final class SeasonPlan extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'crew_id', 'last_on', 'money', 'litres_a_day', 'kept_at'];

    /** @var array<string, string> */
    protected $casts = [
        'last_on' => 'date',
        'money' => 'integer',
        'litres_a_day' => 'integer',
        'kept_at' => 'datetime',
        'revision' => 'integer',
    ];
}
