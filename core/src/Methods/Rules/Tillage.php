<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** Shallow tillage: refused in orchards, where feeder roots lie within about 4 in, and where pieces of the weed root again (handbook 2). */
final readonly class Tillage implements Rule
{
    private const SOURCE = 'handbook-2-shallow-tillage';

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if (!$candidate->is('shallow-tillage') || $situation->target === null || !$candidate->method->isFor($situation->target)) {
            return [];
        }
        $findings = [];
        if ($situation->word(FactName::Setting) === 'orchard') {
            $findings[] = Finding::doesNotSuit('till.feeder-roots', self::SOURCE, ['depth' => Quantity::of(4, Unit::Inch)], 'change.mulch-or-strip', Certainty::Typical);
        }
        if ($situation->target->fragmentsRegrow() === true) {
            $findings[] = Finding::doesNotSuit('till.pieces-root', self::SOURCE, [], 'change.dig-or-top', Certainty::Typical);
        }

        return $findings;
    }
}
