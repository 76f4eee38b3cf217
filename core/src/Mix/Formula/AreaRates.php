<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Mix\AreaRate;

/** Product and mix an area, where somebody gave them: what of both goes on the ground that was worked out. */
final readonly class AreaRates
{
    private function __construct(private ?Quantity $rate, private ?Quantity $spray) {}

    public static function read(Fields $in): self
    {
        $rate = $in->readingOrNull('rate', null)?->quantity;
        if ($rate !== null && !in_array($rate->dimension(), [Dimension::VolumePerArea, Dimension::MassPerArea], true)) {
            $rate = $in->fault('rate', 'Give product an area, such as 2 qt/ac, 5 L/ha or 3 oz dry/ac.');
        }

        return new self($rate, $in->positiveOrNull('sprayVolume', Dimension::VolumePerArea));
    }

    /** @return array<string, Quantity> */
    public function on(?Quantity $area): array
    {
        return ($this->rate === null || $area === null ? [] : ['product' => AreaRate::over($this->rate, $area)]) +
            ($this->spray === null || $area === null ? [] : ['spray' => AreaRate::over($this->spray, $area)]);
    }
}
