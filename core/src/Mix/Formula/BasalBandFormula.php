<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Mix\StemBand;
use Thicket\Situation\SituationReader;

/** Mix for a band of bark round stems (handbook 3). */
final readonly class BasalBandFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $reader = new SituationReader($catalogue);
        $stems = array_values(array_filter(array_map($reader->stems(...), $in->objects('stems', 200, true))));
        $schools = $reader->schools($in);
        $band = $in->positiveOr('band', Dimension::Length, $schools->values('basal-band')->quantity('band'));
        $film = $in->positiveOr('film', Dimension::VolumePerArea, $catalogue->coefficients()->film('basal'));
        if ($band === null || $film === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        $result = StemBand::of($stems, $band);

        return new FormulaAnswer([
            'band-area' => $result->area,
            'band' => $band,
            'film' => $film,
            'mix' => StemBand::volume($result->area, $film),
            'treated' => $result->treated,
        ]);
    }
}
