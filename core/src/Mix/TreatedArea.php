<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;
use Thicket\Methods\Candidate;
use Thicket\Methods\FactName;
use Thicket\Methods\Situation;

/**
 * The ground that gets the rate (handbook 2 "Strip or ring": treated area, not orchard area). What somebody measured goes first; of a strip the
 * share of the rows, 2 x each side / row spacing (worked case orchard-strip); else the whole patch.
 */
final readonly class TreatedArea
{
    /** @return Quantity|null null where a strip's share or the patch's area is not known: the whole orchard never stands in for it */
    public static function of(Situation $situation, Candidate $candidate, ?Quantity $patch): ?Quantity
    {
        $measured = $situation->quantity(FactName::TreatedArea);
        if ($measured !== null) {
            return $measured;
        }
        $inRows = $candidate->is('strip-spray') || ($candidate->is('pre-emergent') && $situation->word(FactName::Setting) === 'orchard');
        if (!$inRows || $patch === null) {
            return $patch;
        }
        $rows = $situation->quantity(FactName::RowSpacing);
        $side = $situation->quantity(FactName::StripSide);
        if ($rows === null || $side === null || $rows->isZero()) {
            return null;
        }
        $share = $side->times(2)->per($rows);

        return $patch->times($share->isGreaterThan(1) ? 1 : $share);
    }
}
