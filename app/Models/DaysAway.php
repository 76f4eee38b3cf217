<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * Days on which somebody, or the whole crew, does not work.
 *
 * @property string $id
 * @property string $crew_id
 * @property string|null $person_id
 * @property \Illuminate\Support\Carbon $first_on
 * @property \Illuminate\Support\Carbon $last_on
 * @property string|null $note
 * @property string $source typed or calendar
 */
final class DaysAway extends Model
{
    use HasUuids;

    public const TYPED = 'typed';
    public const CALENDAR = 'calendar';

    protected $table = 'days_away';

    protected $fillable = ['id', 'crew_id', 'person_id', 'first_on', 'last_on', 'note', 'source'];

    /** @var array<string, string> */
    protected $casts = ['first_on' => 'date', 'last_on' => 'date'];
}
