<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * What a sprayer was measured to give; never changed, the newest counts.
 *
 * @property string $id
 * @property string $sprayer_id
 * @property string $way course, moving, known-area or bottle
 * @property array<string, mixed> $body
 * @property string $gives_value
 * @property string $gives_unit
 * @property \Illuminate\Support\Carbon $made_on
 */
final class Calibration extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'sprayer_id', 'way', 'body', 'gives_value', 'gives_unit', 'made_on', 'made_by'];

    /** @var array<string, string> */
    protected $casts = ['body' => 'array', 'made_on' => 'date'];

    public function gives(): Quantity
    {
        return Quantity::of($this->gives_value, Unit::from($this->gives_unit));
    }
}
