<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\RoundingMode;
use Thicket\Measure\Quantity;

/** How far apart cuts are made round a stem: so much of its girth, or of its diameter, for each. */
final readonly class CutSpacing
{
    /**
     * @param Quantity $apart length between cuts, centre to centre, or of diameter per cut
     * @param string $per 'diameter' or 'girth'
     */
    public function __construct(public Quantity $apart, public string $per) {}

    /** Rounded up, and one at least. */
    public function cutsOn(Quantity $diameter): int
    {
        $round = $this->per === 'girth' ? Injection::girth($diameter) : $diameter;

        return max(1, $round->per($this->apart)->toScale(0, RoundingMode::UP)->toInt());
    }
}
