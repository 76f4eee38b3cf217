<?php

declare(strict_types=1);

namespace Thicket\Measure;

/** The unit system a person reads in. */
enum System: string
{
    case Us = 'us';
    case Metric = 'metric';
}
