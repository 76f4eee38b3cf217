<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * Somebody of the crew, with licence and tool clearances; not necessarily a user.
 *
 * @property string $id
 * @property string $crew_id
 * @property string|null $user_id
 * @property string $name
 * @property string|null $licence
 * @property string|null $licence_class
 * @property int $revision
 * @property \Illuminate\Support\Carbon|null $licence_until
 * @property list<string> $clearances
 * @property bool $volunteer touches no product, poison or blade (rulings J55)
 * @property list<int>|null $weekdays ISO; null as usual
 * @property int|null $minutes_a_day
 */
final class Person extends Model
{
    use HasUuids;

    protected $table = 'people';

    protected $fillable = [
        'id',
        'crew_id',
        'user_id',
        'name',
        'licence',
        'licence_class',
        'licence_until',
        'clearances',
        'volunteer',
        'weekdays',
        'minutes_a_day',
    ];

    /** @var array<string, string> */
    protected $casts = [
        'clearances' => 'array',
        'licence_until' => 'date',
        'revision' => 'integer',
        'volunteer' => 'boolean',
        'weekdays' => 'array',
        'minutes_a_day' => 'integer',
    ];

    public function isLicensedOn(\DateTimeImmutable $day): bool
    {
        return $this->licence !== null &&
            $this->licence_until !== null &&
            $this->licence_until->format('Y-m-d') >= $day->format('Y-m-d');
    }
}
