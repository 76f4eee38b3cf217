<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\StemBand;
use Thicket\Mix\StumpFace;
use Thicket\Situation\SituationReader;

/** Mix for the rim of cut stumps, with the flank where it goes in oil (handbook 3). */
final readonly class StumpFaceFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $reader = new SituationReader($catalogue);
        $stems = array_values(array_filter(array_map($reader->stems(...), $in->objects('stems', 200, true))));
        $ring = $catalogue->coefficients()->stumpRing();
        $width = $in->positiveOr('ringWidth', Dimension::Length, $ring['width']);
        $carrier = $in->choiceOrNull('carrier', ['water', 'oil']) ?? 'water';
        $height = $in->quantityOrNull('stumpHeight', Dimension::Length) ?? Quantity::of(4, Unit::Inch);
        $film = $in->positiveOr('film', Dimension::VolumePerArea, $catalogue->coefficients()->film('stump'));
        if ($width === null || $film === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        $area = StumpFace::total($stems, $ring['from'], $width, $carrier === 'oil' ? $height : null);
        $values = ['treated-area' => $area, 'mix' => StemBand::volume($area, $film), 'film' => $film];
        if (count($stems) === 1) {
            $values['whole'] = StumpFace::ofOne($stems[0]->forSums(), $ring['from'], $width)->whole;
        }

        return new FormulaAnswer($values);
    }
}
