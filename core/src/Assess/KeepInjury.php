<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Thicket\Situation\KeptPlant;
use Thicket\Situation\Option;
use Thicket\Situation\ProtectedFeature;
use Thicket\Situation\Situation;

/**
 * How much of what is kept a row may hurt, in the five named steps of handbook 9 (1 none expected, 2 a little, 3 some,
 * 4 much, 5 loss), from what is kept near and what is known of it. The worst keeper counts. Nothing kept noted: 1.
 */
final readonly class KeepInjury
{
    /** Loss is where a species file names the injury; by class alone nobody knows how far it goes. */
    private const BY_INJURY = ['none' => 2, 'passing' => 3, 'by-form' => 4, 'thinning' => 4, 'taken' => 4, 'loss' => 5];
    /** What is done to the target alone hurts nothing beside it by itself. */
    private const BY_WORK = ['machine' => 2, 'fire' => 3, 'animals' => 3];
    private const SPARED = 2;
    private const GRAFTED = 3;
    private const MAY_BE_HIT = 4;
    private const LOSS = 5;

    public static function of(Situation $situation, Option $option): int
    {
        $worst = 1;
        foreach ($situation->keepers as $keeper) {
            $worst = max($worst, self::ofKeeper($keeper, $situation, $option));
        }

        return $worst;
    }

    private static function ofKeeper(ProtectedFeature $keeper, Situation $situation, Option $option): int
    {
        $kept = KeptPlant::of($keeper, $option->catalogue);
        if ($kept === null) {
            return 1;
        }
        $actives = $option->actives();
        if ($actives === []) {
            return self::BY_WORK[$option->method->work()] ?? 1;
        }
        $step = 1;
        if ($option->isSoilActive() && $keeper->isRooted()) {
            $step = $keeper->isInRootReach() === false ? self::SPARED : self::LOSS;
        }
        if ($option->goesOn('leaf')) {
            $hit = match ($kept->isTakenBy($actives)) {
                false => self::SPARED,
                null => self::MAY_BE_HIT,
                true => self::BY_INJURY[$kept->injuryHere($actives, $situation)],
            };
            // behind a shield, or below the wick, it is hit by a slip only
            $step = max(
                $step,
                in_array($option->method->guard(), ['shield', 'wick'], true) ? min($hit, self::SPARED) : $hit,
            );
        }
        $sameKind = $keeper->speciesId !== null && $keeper->speciesId === $situation->target?->id();

        return $sameKind && in_array($option->method->work(), ['injection', 'cutting'], true)
            ? max($step, self::GRAFTED)
            : $step;
    }
}
