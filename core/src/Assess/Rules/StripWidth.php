<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\RestsOnSchool;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * The strip or ring as measured, one side of the row, against what trees did best with (handbook 2, 6): told by how
 * much it is too narrow or wide.
 */
final readonly class StripWidth implements RestsOnSchool
{
    private const SOURCE = 'handbook-6';

    public function school(Situation $situation, Option $option): string
    {
        return 'strip-width';
    }

    public function evaluate(Situation $situation, Option $option): array
    {
        $side = $situation->quantity(FactName::StripSide);
        if (
            $side === null ||
            $situation->word(FactName::Setting) !== 'orchard' ||
            (!$option->method->isInRows() && !$option->goesOn('soil'))
        ) {
            return [];
        }
        $wanted = $option->schools->values('strip-width');
        [$least, $most] = [$wanted->quantity('least'), $wanted->quantity('most')];
        if ($least === null || $most === null) {
            return [];
        }
        $values = ['side' => $side, 'least' => $least, 'most' => $most];
        $by = static fn(Quantity $long, Quantity $short): Quantity => Quantity::of(
            $long->in(Unit::Foot)->minus($short->in(Unit::Foot)),
            Unit::Foot,
        );

        return [
            match (true) {
                $side->isLessThan($least) => Finding::withCare(
                    'strip.too-narrow',
                    self::SOURCE,
                    $values + ['by' => $by($least, $side)],
                    'change.widen-strip',
                    Certainty::Measured,
                ),
                $side->isGreaterThan($most) => Finding::withCare(
                    'strip.too-wide',
                    self::SOURCE,
                    $values + ['by' => $by($side, $most)],
                    'change.narrow-strip',
                    Certainty::Measured,
                ),
                default => Finding::fits('strip.right', self::SOURCE, $values, Certainty::Measured),
            },
        ];
    }
}
