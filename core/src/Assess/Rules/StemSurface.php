<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Basal bark wants dry, clean, bare bark to the ground: no wet stems, snow, flood silt or grass (handbook 2). Looked at
 * on the day.
 */
final readonly class StemSurface implements Rule
{
    private const SOURCE = 'handbook-2-basal-bark';

    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->goesOn('bark') || $situation->target === null || !$option->method->isFor($situation->target)) {
            return [];
        }
        $findings = [
            match ($situation->word(FactName::BarkWetness)) {
                'wet' => Finding::notNow('bark.wet', self::SOURCE, [], null, 'change.stems-dry', Certainty::Observed),
                'dry' => Finding::fits('bark.dry', self::SOURCE, [], Certainty::Observed),
                default => Finding::unknown('bark-wetness', self::SOURCE, false),
            },
        ];
        $snow = $situation->quantity(FactName::SnowAtBase);
        if ($snow !== null && !$snow->isZero()) {
            $findings[] = Finding::notNow(
                'bark.snow-at-base',
                self::SOURCE,
                ['snow' => $snow],
                null,
                'change.bare-ground',
                Certainty::Observed,
            );
        } elseif ($snow === null && $situation->phenology()?->flowOn($situation->day) === 'still') {
            $findings[] = Finding::unknown('snow-at-base', self::SOURCE, false);
        }
        if ($situation->isYes(FactName::SiltOnBark) === true) {
            $findings[] = Finding::notNow(
                'bark.silted',
                self::SOURCE,
                [],
                null,
                'change.clean-bark',
                Certainty::Observed,
            );
        }
        $findings[] = match ($situation->isYes(FactName::GrassAtBase)) {
            true => Finding::withCare(
                'bark.grass-at-base',
                self::SOURCE,
                [],
                'change.clear-grass',
                Certainty::Observed,
            ),
            false => Finding::fits('bark.base-clear', self::SOURCE, [], Certainty::Observed),
            null => Finding::unknown('grass-at-base', self::SOURCE, false),
        };

        return $findings;
    }
}
