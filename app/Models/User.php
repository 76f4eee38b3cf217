<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Laravel\Sanctum\HasApiTokens;

/**
 * @property string $id
 * @property string $crew_id
 * @property string $role lead, member or viewer
 * @property string $name
 * @property string|null $email null for who has left the crew
 * @property string $password
 * @property string $units us or metric
 * @property string $light day, sun or dusk
 * @property string $locale in which the application speaks to this person
 * @property string|null $second_factor secret of the codes that a phone makes
 * @property \Illuminate\Support\Carbon|null $second_factor_at since when a code is asked
 * @property int|null $second_factor_step of the last code taken
 * @property list<string>|null $recovery_codes hashes of those not used
 * @property \Illuminate\Support\Carbon|null $gone_at has left: their name stays with what they did
 * @property \Illuminate\Support\Carbon $created_at
 * @property Crew $crew
 * @property Person|null $person
 */
final class User extends Authenticatable
{
    use HasApiTokens;
    use HasUuids;

    protected $fillable = [
        'crew_id',
        'role',
        'name',
        'email',
        'password',
        'units',
        'light',
        'locale',
        'second_factor',
        'second_factor_at',
        'second_factor_step',
        'recovery_codes',
        'gone_at',
    ];

    /** @var array<string, string> */
    protected $attributes = ['locale' => 'en'];

    /** Nobody is remembered beyond the session, so there is no such column. */
    protected $rememberTokenName = '';

    protected $hidden = ['password', 'second_factor', 'recovery_codes'];

    /** @var array<string, string> */
    protected $casts = [
        'password' => 'hashed',
        'second_factor' => 'encrypted',
        'second_factor_at' => 'datetime',
        'second_factor_step' => 'integer',
        'recovery_codes' => 'array',
        'gone_at' => 'datetime',
    ];

    /** @param Builder<self> $query those who are of the crew today */
    public function scopeHere(Builder $query): void
    {
        $query->whereNull('gone_at');
    }

    /** Whether a code is asked beside the password. */
    public function hasSecondFactor(): bool
    {
        return $this->second_factor_at !== null;
    }

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** @return HasOne<Person, $this> */
    public function person(): HasOne
    {
        return $this->hasOne(Person::class);
    }

    public function system(): \Thicket\Measure\System
    {
        return \Thicket\Measure\System::from($this->units);
    }

    public function isLead(): bool
    {
        return $this->role === 'lead';
    }

    public function mayWrite(): bool
    {
        return in_array($this->role, ['lead', 'member'], true);
    }
}
