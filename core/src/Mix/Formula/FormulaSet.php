<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Mix\Exception\Unmixable;

/**
 * The sums of a job that go one way, by name: from stems, rings, nozzles, flushes to figures. Those that hang together
 * by products and sums are solved in any direction by {@see \Thicket\Mix\SumSolver} instead.
 */
final readonly class FormulaSet
{
    private const BY_NAME = [
        'finished-mix' => FinishedMixFormula::class,
        'equal-active' => EqualActiveFormula::class,
        'area-rate' => AreaRateFormula::class,
        'texture-rate' => TextureRateFormula::class,
        'injection' => InjectionFormula::class,
        'basal-band' => BasalBandFormula::class,
        'stump-face' => StumpFaceFormula::class,
        'basal-strength' => BasalStrengthFormula::class,
        'loads' => LoadsFormula::class,
        'measure' => MeasureFormula::class,
        'leftover-into' => LeftoverIntoFormula::class,
        'bag' => BagFormula::class,
        'calibration' => CalibrationFormula::class,
        'nozzles' => NozzlesFormula::class,
        'girth' => GirthFormula::class,
        'tree-dose' => TreeDoseFormula::class,
        'frill' => FrillFormula::class,
        'preventer' => PreventerFormula::class,
        'rings' => RingsFormula::class,
        'strip' => StripFormula::class,
        'treated-area' => TreatedAreaFormula::class,
        'overlap' => OverlapFormula::class,
        'mulch' => MulchFormula::class,
    ];

    public function __construct(private Catalogue $catalogue) {}

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::BY_NAME);
    }

    /**
     * @param Fields $in with sum, one of {@see self::names()}, and the fields of that sum
     *
     * @throws \Thicket\Input\Refused
     */
    public function solve(Fields $in): FormulaAnswer
    {
        $name = $in->choice('sum', self::names());
        $answer = FormulaAnswer::none();
        if ($name !== null) {
            try {
                $answer = (new (self::BY_NAME[$name])())->solve($in, $this->catalogue);
            } catch (Unmixable $e) {
                $in->faults->add('', $e->getMessage());
            }
            $in->noOthers();
        }
        $in->faults->throwIfAny();

        return $answer;
    }
}
