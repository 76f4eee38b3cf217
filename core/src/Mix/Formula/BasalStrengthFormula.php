<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Mix\BasalStrength;
use Thicket\Situation\SituationReader;

/** How strong by the bark of a stem, as the crew's school has it (handbook 2). */
final readonly class BasalStrengthFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $diameter = $in->positive('diameter', Dimension::Length);
        $texture = $in->choiceOrNull('texture', ['smooth', 'rough']);
        $schools = (new SituationReader($catalogue))->schools($in);
        if ($diameter === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        $percent = BasalStrength::for($diameter, $texture, $schools);

        return $percent === null ? new FormulaAnswer([], ['bark-texture']) : new FormulaAnswer(['percent' => $percent]);
    }
}
