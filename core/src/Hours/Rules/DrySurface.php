<?php

declare(strict_types=1);

namespace Thicket\Hours\Rules;

use Thicket\Catalogue\FactName;
use Thicket\Hours\Condition;
use Thicket\Hours\HourRule;
use Thicket\Hours\WorkHour;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Verdict\Finding;
use Thicket\Weather\Surface;

/**
 * Leaves and bark are dry, by the model of {@see \Thicket\Weather\Wetness} or as somebody saw this hour; cuts are not
 * rained full.
 */
final readonly class DrySurface implements HourRule
{
    private const FLOODS_MILLIMETRES = '1';

    public function condition(): Condition
    {
        return Condition::Surface;
    }

    public function evaluate(WorkHour $hour): ?Finding
    {
        $option = $hour->option;
        if (!$option->method->usesProduct()) {
            return null;
        }
        if ($option->goesOn('leaf')) {
            return $this->dry($hour, Surface::Leaf, 'leaf');
        }
        if ($option->goesOn('bark')) {
            $isSmooth = $hour->situation->barkTexture() === 'smooth';

            return $this->dry($hour, $isSmooth ? Surface::SmoothBark : Surface::RoughBark, 'bark');
        }

        return $option->goesOn('stump', 'wood') ? $this->cuts($hour) : null;
    }

    private function dry(WorkHour $hour, Surface $surface, string $what): Finding
    {
        $fact = $what === 'leaf' ? FactName::LeafWetness : FactName::BarkWetness;
        $seen = $hour->isPresent ? $hour->situation->word($fact) : null;
        $isWet = $seen !== null ? $seen === 'wet' : $hour->forecast->wetness($surface)->isWetAt($hour->at());

        return match ($isWet) {
            null => Finding::unknown('forecast', 'handbook-4', true),
            true => Finding::notNow(
                "hour.wet-{$what}",
                'handbook-4',
                [],
                null,
                $what === 'leaf' ? 'change.leaves-dry' : 'change.stems-dry',
            ),
            false => Finding::fits("hour.dry-{$what}", 'handbook-4', [], $hour->certainty($fact)),
        };
    }

    /** A stump takes its dab dry; an injection only minds rain that floods the cuts. */
    private function cuts(WorkHour $hour): Finding
    {
        $rain = $hour->weather->rain;
        $most = $hour->option->goesOn('wood')
            ? Quantity::of(self::FLOODS_MILLIMETRES, Unit::Millimetre)
            : Quantity::zero(Unit::Millimetre);

        return match (true) {
            $rain === null => Finding::unknown('forecast', 'handbook-4', true),
            $rain->isGreaterThan($most) => Finding::notNow(
                'hour.rain-in-cuts',
                'handbook-4',
                ['rain' => $rain],
                null,
                'change.dry-hour',
            ),
            default => Finding::fits('hour.cuts-dry', 'handbook-4', [], $hour->certainty()),
        };
    }
}
