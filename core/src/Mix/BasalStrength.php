<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;
use Thicket\Situation\Schools;

/** 15 % on smooth bark thinner than 1.5 in, 25 % on rough or thicker; 1.5 itself counts as thicker (handbook 2). */
final class BasalStrength
{
    /**
     * @param string|null $texture 'smooth' or 'rough'; null where nobody looked
     *
     * @return Quantity|null share of product; null where the texture decides and is not known
     */
    public static function for(Quantity $diameter, ?string $texture, Schools $schools): ?Quantity
    {
        $values = $schools->values('basal-strength');
        $from = $values->quantity('strongFrom');
        if ($from === null) {
            return null;
        }
        if (!$diameter->isLessThan($from) || $texture === 'rough') {
            return $values->quantity('strong');
        }

        return $texture === 'smooth' ? $values->quantity('weak') : null;
    }
}
