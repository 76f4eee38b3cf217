<?php

declare(strict_types=1);

namespace Thicket\Measure;

/** Which gallon, ounce, pint and quart a person means when they do not say (a crew setting). */
enum Gallon: string
{
    case Us = 'us';
    case Imperial = 'imperial';
}
