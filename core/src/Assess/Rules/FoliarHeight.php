<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** No spraying up into the air: under 5 ft fits, to 6 ft with care, above does not suit (handbook 2). */
final readonly class FoliarHeight implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $care = $option->method->limit('heightCare');
        $most = $option->method->limit('heightMost');
        if ($care === null || $most === null || $situation->target === null) {
            return [];
        }
        $fact = $situation->fact(FactName::Height);
        $height = $situation->quantity(FactName::Height) ?? $situation->tallestTallied();
        if ($height === null) {
            $greatest = $situation->target->greatestHeight();
            if ($greatest !== null && $greatest->isLessThan($care)) {
                return [Finding::fits('height.always-low', 'species', ['height' => $greatest])];
            }

            return [Finding::unknown('height', $option->method->source(), true)];
        }
        $values = ['height' => $height, 'limit' => $most, 'care' => $care];

        return [
            match (true) {
                $height->isGreaterThan($most) => Finding::doesNotSuit(
                    'height.too-tall',
                    $option->method->source(),
                    $values,
                    'change.cut-stump-first',
                    $fact?->certainty,
                ),
                !$height->isLessThan($care) => Finding::withCare(
                    'height.near-limit',
                    $option->method->source(),
                    $values,
                    null,
                    $fact?->certainty,
                ),
                default => Finding::fits('height.fits', $option->method->source(), $values, $fact?->certainty),
            },
        ];
    }
}
