<?php

declare(strict_types=1);

namespace Thicket\Review;

/** What else a look-back is told by, besides plants that live and plants that are dead. */
final class LookSigns
{
    /** Injury to what is kept: none, back within a season, thinned or lost (rulings J45). */
    public const INJURIES = ['none', 'passing', 'lasting'];
    /** By what the crew calls success, in its own measure. */
    public const MEASURED = ['cover', 'yield', 'growth', 'sown-height', 'light'];

    private function __construct() {}
}
