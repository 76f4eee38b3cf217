<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\RestsOnSchool;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Candidate;
use Thicket\Situation\ServedStems;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/** Injecting stems that share roots: all of them, or some and let it carry (handbook 8 clonal-share). */
final readonly class SharedRoots implements RestsOnSchool
{
    public function school(Situation $situation, Candidate $candidate): string
    {
        return 'clonal-share';
    }

    private function boundTold(Situation $situation, Candidate $candidate): bool
    {
        return $situation->quantity(
            $candidate->schools->choice('clonal-share') === 'only-larger' ? FactName::TreatFrom : FactName::TreatBelow,
        ) !== null;
    }

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if ($candidate->method->work() !== 'injection' || $situation->target?->isRootSuckering() !== true) {
            return [];
        }

        return [
            $candidate->schools->choice('clonal-share') === 'all-stems'
                ? Finding::fits('clone.treat-all', 'handbook-8', [])
                : ($this->boundTold($situation, $candidate)
                    ? Finding::withCare(
                        'clone.let-it-carry',
                        'handbook-8',
                        ['left' => ServedStems::of($situation, $candidate)->leftOut],
                        'change.treat-every-stem',
                    )
                    : Finding::unknown(
                        $candidate->schools->choice('clonal-share') === 'only-larger' ? 'treat-from' : 'treat-below',
                        'handbook-8',
                        true,
                    )),
        ];
    }
}
