<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Situation;
use Thicket\Methods\TurnsWithTheYear;

/** Where a stage closes or changes a method (handbook 4 table, 1 "Growth stages"). */
final readonly class GrowthStage implements TurnsWithTheYear
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $target = $situation->target;
        if ($target === null || !$candidate->method->isFor($target) || (!$candidate->goesOn('leaf') && !$candidate->how('mow', 'pull'))) {
            return [];
        }
        $stage = $situation->stage();
        if ($stage === null) {
            return $candidate->goesOn('leaf') ? [Finding::unknown('stage', 'handbook-4', true)] : [];
        }
        [$name, $certainty] = $stage;
        $values = ['stage' => $name];
        if ($candidate->goesOn('leaf')) {
            return match (true) {
                $target->lifeCycle() === 'biennial' && in_array($name, ['bolting', 'flower', 'seed'], true) => [Finding::notNow('stage.bolting-cut-instead', 'handbook-4', $values, null, 'change.cut-stalks', $certainty)],
                $target->treatmentClass() === 'annual' && in_array($name, ['seed-set', 'dead'], true) => [Finding::doesNotSuit('stage.seed-set-pull', 'handbook-4', $values, 'change.pull-and-bag', $certainty)],
                $target->isWoody() && in_array($name, ['colour-change', 'new-soft-flush'], true) => [Finding::notNow($name === 'colour-change' ? 'stage.while-colour-change' : 'stage.while-new-soft-flush', 'handbook-4', $values, null, 'change.green-leaves', $certainty)],
                default => [Finding::fits('stage.green', 'handbook-4', $values, $certainty)],
            };
        }
        if (in_array($name, ['seed', 'seed-set'], true) || $situation->isYes(FactName::Fruiting) === true) {
            return $candidate->how('mow')
                ? [Finding::withCare('stage.mowing-spreads-seed', 'handbook-2-mow', $values, 'change.before-seed', $certainty)]
                : [Finding::withCare('stage.bag-seed', 'handbook-2-hand-pull', $values, null, $certainty)];
        }

        return [];
    }

    public function turns(Situation $situation, Candidate $candidate, int $year): array
    {
        if (!$candidate->goesOn('leaf') && !$candidate->how('mow', 'pull')) {
            return [];
        }

        return $situation->phenology()?->turns($year) ?? [];
    }
}
