<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A picture of a sighting or of a field day. The file lies in the photo store and is only ever served through
 * PhotoPolicy.
 *
 * @property string $id
 * @property string|null $sighting_id
 * @property string|null $sheet_id of a field day
 * @property string $file
 * @property int $width pixels
 * @property int $height pixels
 * @property int $bytes
 * @property string $sha256 of the stored file
 * @property \Illuminate\Support\Carbon|null $taken_at as the camera said, without a zone
 * @property string $made_by
 * @property Sighting|null $sighting
 * @property Sheet|null $sheet
 */
final class Photo extends Model
{
    use HasUuids;

    protected $fillable = [
        'id',
        'sighting_id',
        'sheet_id',
        'file',
        'width',
        'height',
        'bytes',
        'sha256',
        'taken_at',
        'made_by',
    ];

    /** @var array<string, string> */
    protected $casts = ['taken_at' => 'datetime', 'width' => 'integer', 'height' => 'integer', 'bytes' => 'integer'];

    /** @return BelongsTo<Sighting, $this> */
    public function sighting(): BelongsTo
    {
        return $this->belongsTo(Sighting::class);
    }

    /** @return BelongsTo<Sheet, $this> */
    public function sheet(): BelongsTo
    {
        return $this->belongsTo(Sheet::class);
    }

    /** Whose it is. */
    public function crewId(): ?string
    {
        return $this->sighting->ground->crew_id ?? $this->sheet?->crew_id;
    }
}
