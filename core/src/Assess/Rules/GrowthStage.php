<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Where a stage closes or changes a method (handbook 4 table, 1 "Growth stages"). A stage seen closes; one that only
 * the calendar tells is a reason to look (rulings J43). What spreads seed counts as it may be at worst.
 */
final readonly class GrowthStage implements ChangesWithSeason
{
    private const SEEDING = ['seed', 'seed-set'];

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if (
            $target === null ||
            !$option->method->isFor($target) ||
            (!$option->goesOn('leaf') && !$option->how('mow', 'pull'))
        ) {
            return [];
        }
        $stage = $situation->stage();
        if ($stage === null) {
            return $option->goesOn('leaf') ? [Finding::unknown('stage', 'handbook-4', true)] : [];
        }
        [$name, $certainty] = $stage;
        $values = ['stage' => $name];
        if ($option->goesOn('leaf')) {
            $closed = match (true) {
                $target->lifeCycle() === 'biennial' && in_array($name, ['bolting', 'flower', 'seed'], true)
                    => Finding::notNow(
                    'stage.bolting-cut-instead',
                    'handbook-4',
                    $values,
                    null,
                    'change.cut-stalks',
                    $certainty,
                ),
                $target->treatmentClass() === 'annual' && in_array($name, ['seed-set', 'dead'], true)
                    => Finding::doesNotSuit(
                    'stage.seed-set-pull',
                    'handbook-4',
                    $values,
                    'change.pull-and-bag',
                    $certainty,
                ),
                $target->isWoody() && !$target->isRootSuckering() && $name === 'colour-change' => Finding::notNow(
                    'stage.while-colour-change',
                    'handbook-4',
                    $values,
                    null,
                    'change.green-leaves',
                    $certainty,
                ),
                $target->isWoody() && $name === 'new-soft-flush' => Finding::notNow(
                    'stage.while-new-soft-flush',
                    'handbook-4',
                    $values,
                    null,
                    'change.green-leaves',
                    $certainty,
                ),
                default => null,
            };

            return [
                match (true) {
                    $closed === null => Finding::fits('stage.green', 'handbook-4', $values, $certainty),
                    $certainty === Certainty::Estimated => Finding::withCare(
                        'stage.look',
                        'rulings-J43',
                        $values,
                        'change.look-at-stage',
                        $certainty,
                    ),
                    default => $closed,
                },
            ];
        }
        if (in_array($name, self::SEEDING, true) || $situation->isYes(FactName::Fruiting) === true) {
            return $option->how('mow')
                ? [
                    Finding::withCare(
                        'stage.mowing-spreads-seed',
                        'handbook-2-mow',
                        $values,
                        'change.before-seed',
                        $certainty,
                    ),
                ]
                : [Finding::withCare('stage.bag-seed', 'handbook-2-hand-pull', $values, null, $certainty)];
        }

        return [];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        if (!$option->goesOn('leaf') && !$option->how('mow', 'pull')) {
            return [];
        }

        return $situation->phenology()?->turns($year) ?? [];
    }
}
