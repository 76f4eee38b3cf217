<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property string $id
 * @property string $label_card_id
 * @property int $version
 * @property array<string, mixed> $body the card as typed, read by the core
 * @property bool $template to begin with: a label is copied into the next version, and that is confirmed
 * @property string $entered_by
 * @property string|null $confirmed_by
 * @property \Illuminate\Support\Carbon|null $confirmed_at
 * @property LabelCard $card
 */
final class LabelCardVersion extends Model
{
    use HasUuids;

    protected $fillable = [
        'id',
        'label_card_id',
        'version',
        'body',
        'template',
        'entered_by',
        'confirmed_by',
        'confirmed_at',
    ];

    /** @var array<string, string> */
    protected $casts = [
        'body' => 'array',
        'confirmed_at' => 'datetime',
        'version' => 'integer',
        'template' => 'boolean',
    ];

    /** @return BelongsTo<LabelCard, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(LabelCard::class, 'label_card_id');
    }

    /** The newest confirmed version of this card, where it is newer than this one. */
    public function newer(): ?self
    {
        return self::query()
            ->where('label_card_id', $this->label_card_id)
            ->where('version', '>', $this->version)
            ->where('confirmed_at', '!=', null)
            ->get()
            ->sortByDesc('version')
            ->first();
    }
}
