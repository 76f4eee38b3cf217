<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Mix\CutSpacing;
use Thicket\Mix\Injection;
use Thicket\Situation\SituationReader;

/** Cuts and mix for stems by diameter or girth, held to the label (handbook 2, 3). */
final readonly class InjectionFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $reader = new SituationReader($catalogue);
        $stems = array_values(array_filter(array_map($reader->stems(...), $in->objects('stems', 200, true))));
        $spacing = $in->positive('spacing', Dimension::Length);
        $per = $in->choice('per', ['diameter', 'girth']);
        $perCut = $in->positiveOr('perCut', Dimension::Volume, $catalogue->coefficients()->perCut());
        $most = $in->quantityOrNull('mostDiameter', Dimension::Length);
        $least = $in->quantityOrNull('leastDiameter', Dimension::Length);
        $label = $in->quantityOrNull('labelPerStem', Dimension::Volume);
        if ($spacing === null || $per === null || $perCut === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        foreach ($stems as $group) {
            if (UnitsMixedUp::tooMany($in, 'spacing', Injection::girth($group->forCeilings())->per($spacing))) {
                return FormulaAnswer::none();
            }
        }
        $result = Injection::of($stems, new CutSpacing($spacing, $per), $perCut, $most, $least, $label);
        $values = [
            'cuts' => $result->cuts,
            'treated' => $result->treated,
            'skipped' => $result->skipped,
            'mix' => $result->mix,
            'capped-by-label' => $result->cappedByLabel,
        ];
        if ($result->unclear > 0) {
            // both counts, till somebody parts the class
            $values += [
                'unclear' => $result->unclear,
                'treated-at-least' => $result->treated - $result->unclear,
                'mix-at-least' => $result->mixLeast,
            ];
        }
        if (count($stems) === 1) {
            $diameter = $stems[0]->forCeilings();
            $cuts = (new CutSpacing($spacing, $per))->cutsOn($diameter);
            $values += [
                'girth' => Injection::girth($diameter),
                'cuts-per-stem' => $cuts,
                'round-spacing' => Injection::spacingRound($diameter, $cuts),
            ];
        }

        return new FormulaAnswer(
            $values,
            $result->unclear > 0 ? ['stems sorted at the limit: a class lies on both sides of it'] : [],
        );
    }
}
