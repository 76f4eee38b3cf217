<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\RestsOnSchool;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\ServedStems;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** Injecting stems that share roots: all of them, or some and let it carry (handbook 8 clonal-share). */
final readonly class SharedRoots implements RestsOnSchool
{
    public function school(Situation $situation, Option $option): string
    {
        return 'clonal-share';
    }

    private function boundTold(Situation $situation, Option $option): bool
    {
        return $situation->quantity(
            $option->schools->choice('clonal-share') === 'only-larger' ? FactName::TreatFrom : FactName::TreatBelow,
        ) !== null;
    }

    public function evaluate(Situation $situation, Option $option): array
    {
        if ($option->method->work() !== 'injection' || $situation->target?->isRootSuckering() !== true) {
            return [];
        }

        return [
            $option->schools->choice('clonal-share') === 'all-stems'
                ? Finding::fits('clone.treat-all', 'handbook-8', [])
                : ($this->boundTold($situation, $option)
                    ? Finding::withCare(
                        'clone.let-it-carry',
                        'handbook-8',
                        ['left' => ServedStems::of($situation, $option)->leftOut],
                        'change.treat-every-stem',
                    )
                    : Finding::unknown(
                        $option->schools->choice('clonal-share') === 'only-larger' ? 'treat-from' : 'treat-below',
                        'handbook-8',
                        true,
                    )),
        ];
    }
}
