<?php

declare(strict_types=1);

namespace Thicket\Safety;

use Thicket\Catalogue\FactName;
use Thicket\Mix\MixNeed;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * The steps of a method as they hold for this plant, this school and this day: a step that would not be true is left
 * out or told otherwise.
 */
final readonly class Steps
{
    /** Purposes for which a kept tree is given room. */
    private const RELEASES = ['light', 'planting', 'harvest'];

    /** @return list<string> codes */
    public static function of(Situation $situation, Option $option): array
    {
        $out = [];
        foreach ($option->method->steps() as $step) {
            $out = [
                ...$out,
                ...match ($step) {
                    'hang-or-bag', 'lay-as-mulch' => Debris::of($situation, $option),
                    // a ring of cuts as close as in the near-girdle leaves none
                    'leave-bark-bridges' => MixNeed::spacing($option)[1] === 'girth' && self::isNearGirdle($option)
                        ? ['cuts-close-round']
                        : [$step],
                    // what forms no clone has no further stems of one
                    'every-stem' => $situation->target?->isRootSuckering() === true
                        ? [$step]
                        : ($situation->mostStemsPerClump() > 1
                            ? ['every-stem-of-clump']
                            : []),
                    default => [$step],
                },
            ];
        }

        // in woods what is released gains most where its lesser neighbour goes in the same pass (handbook 2)
        if (
            $situation->word(FactName::Setting) === 'woods' &&
            in_array($situation->word(FactName::RemovalFor), self::RELEASES, true) &&
            $situation->target?->isWoody() === true &&
            $option->how('cut', 'girdle')
        ) {
            $out[] = 'lesser-competitor';
        }

        return array_values(array_unique($out));
    }

    /** Cuts nearer than two to three inches of girth leave no bark to speak of (handbook 2 "Details that decide"). */
    private static function isNearGirdle(Option $option): bool
    {
        return MixNeed::spacing($option)[0]->isLessThan(\Thicket\Measure\Quantity::of(2, \Thicket\Measure\Unit::Inch));
    }
}
