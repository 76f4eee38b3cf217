<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * How deep soil is worked, by hoe, by machine or to work a preventer in, against the feeder roots of everything kept
 * that stands there (handbook 2); and pieces of weeds that root again.
 */
final readonly class Tillage implements Rule
{
    private const SOURCE = 'handbook-2-shallow-tillage';
    /** Shallower than this a hoe slices weeds off above the feeder roots (our guess). */
    private const SLICING_INCHES = 1;

    public function evaluate(Situation $situation, Option $option): array
    {
        $tills = $option->how('till', 'hoe');
        $worksIn = $option->goesOn('soil');
        if ((!$tills && !$worksIn) || $situation->target === null || !$option->method->isFor($situation->target)) {
            return [];
        }
        $findings = $this->roots($situation, $option, $tills);
        if ($tills && $situation->target->fragmentsRegrow() === true) {
            $findings[] = Finding::doesNotSuit(
                'till.pieces-root',
                self::SOURCE,
                [],
                'change.dig-or-top',
                Certainty::Typical,
            );
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function roots(Situation $situation, Option $option, bool $tills): array
    {
        $kept = $this->feederRoots($situation, $option);
        if ($kept === []) {
            return [];
        }
        $depth =
            $situation->quantity(FactName::WorkingDepth) ??
            ($tills ? $option->method->depth() : $option->card?->directions->soil->incorporation);
        if ($depth === null) {
            // a card that asks for watering in is not worked in
            return $option->card === null || $option->card->directions->soil->isWateredIn() === true
                ? []
                : [Finding::unknown($tills ? 'working-depth' : 'card-incorporation', self::SOURCE, true)];
        }
        $slices = $depth->isLessThan(Quantity::of(self::SLICING_INCHES, Unit::Inch));
        $findings = [];
        foreach ($kept as [$name, $within]) {
            $values = ['keeper' => $name, 'depth' => $within, 'worked' => $depth];
            $findings[] = $slices
                ? Finding::withCare('till.above-roots', self::SOURCE, $values)
                : Finding::doesNotSuit(
                    'till.feeder-roots',
                    self::SOURCE,
                    $values,
                    'change.mulch-or-strip',
                    Certainty::Typical,
                );
        }

        return $findings;
    }

    /** @return list<array{string, Quantity}> name of what is kept there, and within what depth its feeder roots lie */
    private function feederRoots(Situation $situation, Option $option): array
    {
        $typical = $option->catalogue->coefficients()->feederRoots();
        $out = [];
        foreach ($situation->keepers as $keeper) {
            if ($keeper->isRooted() && $keeper->kind !== 'crop' && $keeper->isAmongTargets()) {
                $species = $keeper->speciesId === null ? null : $option->catalogue->species($keeper->speciesId);
                $out[] = [$keeper->name, $species?->feederRoots() ?? $typical];
            }
        }

        return $out === [] && $situation->word(FactName::Setting) === 'orchard' ? [['tree', $typical]] : $out;
    }
}
