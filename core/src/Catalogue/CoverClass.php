<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Brick\Math\BigRational;

/** A class of cover for herbs: from so many percent of the ground, below so many. */
final readonly class CoverClass
{
    public function __construct(public string $id, public string $from, public string $below) {}

    /** Share of the ground that sums use, 0 to 1. */
    public function middle(): BigRational
    {
        return BigRational::of($this->from)->plus($this->below)->dividedBy(200);
    }
}
