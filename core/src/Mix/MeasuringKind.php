<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Dimension;

/** What amounts are measured with: a scale weighs, all others are filled. */
enum MeasuringKind: string
{
    case Spoons = 'spoons';
    case Cup = 'cup';
    case Jug = 'jug';
    case Syringe = 'syringe';
    case Cylinder = 'cylinder';
    case Scale = 'scale';

    public function measures(): Dimension
    {
        return $this === self::Scale ? Dimension::Mass : Dimension::Volume;
    }
}
