<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\SoilTexture;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;

/** A rate that the card gives by the texture of the soil (handbook 3). */
final readonly class TextureRateFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $soil = $in->choice('soil', ['coarse', 'medium', 'fine', ...SoilTexture::names()]);
        $finished = $in->positive('finished', Dimension::Volume);
        $rates = $in->object('rates');
        $byClass = [
            'coarse' => $rates->strength('coarse'),
            'medium' => $rates->strength('medium'),
            'fine' => $rates->strength('fine'),
        ];
        $rates->noOthers();
        if ($soil === null || $finished === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        $class = SoilTexture::tryFrom($soil) ?? SoilTexture::ofSoil($soil);
        if ($class === null) {
            return new FormulaAnswer([], ["texture class of {$soil}: the card must say"]);
        }
        $strength = $byClass[$class->value];

        return new FormulaAnswer(
            $strength === null ? [] : ['class' => $class->value, 'product' => $strength->productIn($finished)],
        );
    }
}
