<?php

declare(strict_types=1);

namespace App\Models;

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
 * @property string $email
 * @property string $password
 * @property string $units us or metric
 * @property string $light day, sun or dusk
 * @property Crew $crew
 * @property Person|null $person
 */
final class User extends Authenticatable
{
    use HasApiTokens;
    use HasUuids;

    protected $fillable = ['crew_id', 'role', 'name', 'email', 'password', 'units', 'light'];

    /** Nobody is remembered beyond the session, so there is no such column. */
    protected $rememberTokenName = '';

    protected $hidden = ['password'];

    /** @var array<string, string> */
    protected $casts = ['password' => 'hashed'];

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
