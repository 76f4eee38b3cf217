<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * @property string $id
 * @property string $name
 * @property string $tank_value
 * @property string $tank_unit
 * @property \Illuminate\Support\Carbon|null $calibrated_on
 */
final class Sprayer extends Model
{
    use HasUuids;

    protected $fillable = ['crew_id', 'name', 'tank_value', 'tank_unit', 'calibrated_on'];

    protected $casts = ['calibrated_on' => 'date'];

    public function tank(): Quantity
    {
        return Quantity::of($this->tank_value, Unit::from($this->tank_unit));
    }
}
