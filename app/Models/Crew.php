<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * The tenant. Everything below belongs to one crew.
 *
 * @property string $id
 * @property string $name
 * @property array{units?: string, locale?: string, jurisdiction?: string, doneBelow?: string, oneAlone?: bool,
 *     keepYears?: int, schools?: array<string, string>, stance?: string, fuelOil?: bool,
 *     stemLimits?: array<string, string>, poisonCentre?: string, listed?: array<string, string>,
 *     weights?: array<string, int>, prices?: array<string, mixed>, figures?: array<string, list<string>>,
 *     kit?: list<array{item: string, amount: string, on: string|null}>} $settings
 * @property int $revision
 * @property \Illuminate\Support\Carbon|null $closed_at
 * @property int $turn writes of the crew so far
 * @property \Illuminate\Database\Eloquent\Collection<int, Person> $people
 */
final class Crew extends Model
{
    use HasUuids;

    protected $fillable = ['name', 'settings'];

    /** @var array<string, string> */
    protected $casts = ['settings' => 'array', 'revision' => 'integer', 'turn' => 'integer', 'closed_at' => 'datetime'];

    /** Where the Shed is: the zone of the crew's first ground. */
    public function timeZone(): string
    {
        return once(
            fn(): string => (string) ($this->grounds()->reorder('created_at')->orderBy('id')->value('time_zone') ??
                'UTC'),
        );
    }

    /** @return HasMany<User, $this> those who are of it today */
    public function members(): HasMany
    {
        return $this->hasMany(User::class)->whereNull('gone_at')->orderBy('name');
    }

    /** @return HasMany<Ground, $this> */
    public function grounds(): HasMany
    {
        return $this->hasMany(Ground::class)->orderBy('name');
    }

    /** @return HasMany<LabelCard, $this> */
    public function labelCards(): HasMany
    {
        return $this->hasMany(LabelCard::class)->orderBy('product');
    }

    /** @return HasMany<Sprayer, $this> */
    public function sprayers(): HasMany
    {
        return $this->hasMany(Sprayer::class)->orderBy('name');
    }

    /** In which its prices are; null before it keeps any. */
    public function currency(): ?string
    {
        $currency = $this->settings['prices']['currency'] ?? null;

        return is_string($currency) ? $currency : null;
    }

    /** @return HasMany<Person, $this> */
    public function people(): HasMany
    {
        return $this->hasMany(Person::class)->orderBy('name');
    }

    /** @return HasMany<DaysAway, $this> */
    public function daysAway(): HasMany
    {
        return $this->hasMany(DaysAway::class)->orderBy('first_on')->orderBy('id');
    }

    /** @return HasMany<Placement, $this> */
    public function placements(): HasMany
    {
        return $this->hasMany(Placement::class)->orderBy('first_on')->orderBy('step_id');
    }

    /** @return HasOne<SeasonPlan, $this> */
    public function seasonPlan(): HasOne
    {
        return $this->hasOne(SeasonPlan::class);
    }

    /** @return HasMany<Container, $this> */
    public function containers(): HasMany
    {
        return $this->hasMany(Container::class)->whereNull('gone_at')->orderBy('created_at');
    }

    /** @return HasMany<Tool, $this> */
    public function tools(): HasMany
    {
        return $this->hasMany(Tool::class)->whereNull('gone_at')->orderBy('name');
    }
}
