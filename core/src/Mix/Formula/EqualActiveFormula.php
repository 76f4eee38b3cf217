<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\Exception\Unmixable;
use Thicket\Mix\SumSolver;

/**
 * How strong another product is mixed to give as much active as the one in use (handbook 3, sum 4). By % w/w it is
 * nominal: nobody told what a litre of either weighs.
 */
final readonly class EqualActiveFormula implements Formula
{
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $used = $in->strength('used');
        $strengths = [$this->content($in, 'strengthOfUsed'), $this->content($in, 'strengthOfOther')];
        if ($in->bool('otherIsReadyToUse', false)) {
            throw Unmixable::readyToUse();
        }
        if ($used === null || $strengths[0] === null || $strengths[1] === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        if ($strengths[0]->dimension() !== $strengths[1]->dimension() || $strengths[1]->isZero()) {
            throw Unmixable::differentBasis();
        }
        $percent = SumSolver::solve($catalogue->sum('match-active'), [
            'used' => $used->percent(),
            'strengthOfUsed' => $strengths[0],
            'strengthOfOther' => $strengths[1],
        ])->value('other');
        if ($percent === null) {
            return FormulaAnswer::none();
        }
        if ($percent->compareTo(Quantity::of(100, Unit::PercentProduct)) > 0) {
            throw Unmixable::tooWeakToMatch($percent);
        }

        return new FormulaAnswer([
            'percent' => $percent,
            'nominal' => $strengths[0]->dimension() === Dimension::MassShare,
        ]);
    }

    private function content(Fields $in, string $field): ?Quantity
    {
        $content = $in->reading($field, null)?->quantity;

        return $content?->dimension() === Dimension::ProductShare
            ? $in->fault($field, 'Say the basis as printed: 41 % w/w, 480 g ae/L or 4 lb ae/gal.')
            : $content;
    }
}
