<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One link of a crew's chain of seals (rulings B17). Never changed: the database refuses it.
 *
 * @property string $crew_id
 * @property int $seq from 1, without gaps
 * @property string $kind what was sealed, see App\Models\Sealed
 * @property string $subject_id
 * @property string $content SHA-256 of the sealed content
 * @property string $prev_hash of the link before
 * @property string $hash keyed
 * @property string $sealed_at UTC
 */
final class Seal extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $fillable = ['crew_id', 'seq', 'kind', 'subject_id', 'content', 'prev_hash', 'hash', 'sealed_at'];

    /** @var array<string, string> */
    protected $casts = ['seq' => 'integer'];
}
