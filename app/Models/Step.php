<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Thicket\Calendar\Day;

/**
 * @property string $id
 * @property string $patch_id
 * @property int $position
 * @property string $method
 * @property string|null $active
 * @property string|null $label_card_version_id
 * @property string|null $sprayer_id
 * @property array<string, string> $schools
 * @property array<string, mixed>|null $recipe
 * @property string|null $recipe_basis
 * @property int $revision
 * @property string|null $programme the programme it is a job of
 * @property string|null $run one acceptance of that programme
 * @property string|null $note
 * @property string|null $why why this way was chosen, in the words of who chose it
 * @property \Illuminate\Support\Carbon|null $due_from
 * @property \Illuminate\Support\Carbon|null $due_to
 * @property int|null $told_minutes how long it takes, as somebody told
 * @property Patch $patch
 * @property \Illuminate\Database\Eloquent\Collection<int, Stand> $stands
 * @property LabelCardVersion|null $cardVersion
 * @property Sprayer|null $sprayer
 * @property \Illuminate\Database\Eloquent\Collection<int, Record> $records
 * @property \Illuminate\Database\Eloquent\Collection<int, Sheet> $sheets
 */
final class Step extends Model
{
    use HasUuids;

    protected $fillable = [
        'id',
        'patch_id',
        'position',
        'method',
        'active',
        'label_card_version_id',
        'schools',
        'sprayer_id',
        'recipe',
        'recipe_basis',
        'revision',
        'programme',
        'run',
        'note',
        'why',
        'due_from',
        'due_to',
    ];

    /** @var array<string, string> */
    protected $casts = [
        'schools' => 'array',
        'recipe' => 'array',
        'revision' => 'integer',
        'position' => 'integer',
        'due_from' => 'date',
        'due_to' => 'date',
    ];

    /** @return BelongsToMany<Stand, $this> */
    public function stands(): BelongsToMany
    {
        return $this->belongsToMany(Stand::class);
    }

    /** @return BelongsTo<Patch, $this> */
    public function patch(): BelongsTo
    {
        return $this->belongsTo(Patch::class);
    }

    /** @return BelongsTo<LabelCardVersion, $this> */
    public function cardVersion(): BelongsTo
    {
        return $this->belongsTo(LabelCardVersion::class, 'label_card_version_id');
    }

    /** What may be asked of a recipe for a second and a third product of the tank. */
    public const PARTNERS = ['with', 'withAlso'];

    /**
     * @return list<LabelCardVersion> cards of the further products of the tank, in the order in which they were chosen
     */
    public function partners(): array
    {
        $asked = array_values(
            array_filter(
                array_map(fn(string $name): mixed => $this->recipe[$name] ?? null, self::PARTNERS),
                is_string(...),
            ),
        );
        if ($asked === []) {
            return [];
        }
        $found = LabelCardVersion::query()->with('card')->findMany($asked)->keyBy('id');

        return array_values(
            array_filter(array_map(static fn(string $id): ?LabelCardVersion => $found->get($id), $asked)),
        );
    }

    /** @return list<LabelCardVersion> the card of the step and those of its partners */
    public function cardVersions(): array
    {
        return [...$this->cardVersion === null ? [] : [$this->cardVersion], ...$this->partners()];
    }

    /** @return BelongsTo<Sprayer, $this> */
    public function sprayer(): BelongsTo
    {
        return $this->belongsTo(Sprayer::class);
    }

    /** @return BelongsToMany<Sheet, $this> */
    public function sheets(): BelongsToMany
    {
        return $this->belongsToMany(Sheet::class)->orderByDesc('number');
    }

    /** @return HasMany<Record, $this> */
    public function records(): HasMany
    {
        return $this->hasMany(Record::class)->orderByDesc('seq');
    }

    /** First day that its programme gives it. */
    public function dueFrom(): ?\DateTimeImmutable
    {
        return $this->due_from === null ? null : Day::parse($this->due_from->format('Y-m-d'));
    }

    /** Last day that its programme gives it. */
    public function dueTo(): ?\DateTimeImmutable
    {
        return $this->due_to === null ? null : Day::parse($this->due_to->format('Y-m-d'));
    }

    /** The step as it stands, held to the end of the transaction: issuing, signing and withdrawing ask for it first. */
    public static function held(string $id): self
    {
        $step = self::query()->with(['records', 'sheets']);
        $step->lockForUpdate();

        return $step->findOrFail($id);
    }

    public function issuedSheet(): ?Sheet
    {
        return $this->sheets->first(fn(Sheet $sheet): bool => $sheet->withdrawn_at === null);
    }
}
