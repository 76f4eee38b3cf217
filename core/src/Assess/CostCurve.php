<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Economics\Labour;
use Thicket\Economics\Money;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Survey\StemGroup;

/**
 * What one pass costs as the stand thickens, as plants grow more stems, and as years go by (handbook 2 "Costs climb
 * steeply"). Growth is our guess (coefficients.yaml), shown with its range; nothing here is a gate.
 */
final readonly class CostCurve
{
    private const DENSITIES = ['1/4', '1/2', '1', '2', '4', '8'];
    private const CLUMPS = [1, 2, 4, 8, 16];
    private const YEARS = [0, 1, 2, 5];

    /**
     * @param list<array{factor: BigRational, stems: int, perHectare: BigRational|null, hours: array{Quantity, Quantity,
     *     Quantity}|null, money: BigRational|null}> $density
     * @param list<array{stemsPerClump: int, stems: int, hours: array{Quantity, Quantity, Quantity}|null,
     *     money: BigRational|null}> $clumps
     * @param list<array{years: int, stems: array{int, int, int}, row: Row, hours: array{Quantity, Quantity,
     *     Quantity}|null, money: BigRational|null}> $waiting hours: of little growth, of the middle, of much
     */
    private function __construct(public array $density, public array $clumps, public array $waiting) {}

    /** Null without a tally of stems: there is nothing to scale. */
    public static function of(Situation $situation, Option $option): ?self
    {
        if ($situation->stems === []) {
            return null;
        }
        $hectares = $situation->area?->in(Unit::Hectare);
        $density = [];
        foreach (self::DENSITIES as $factor) {
            $times = BigRational::of($factor);
            $then = $situation->withStems(
                array_map(
                    static fn(StemGroup $g): StemGroup => $g->estimatedAs(
                        max(1, $times->multipliedBy($g->count)->toScale(0, RoundingMode::HALF_UP)->toInt()),
                    ),
                    $situation->stems,
                ),
            );
            [$hours, $money] = self::costs($then, $option);
            $density[] = [
                'factor' => $times,
                'stems' => $then->stemCount(),
                'perHectare' =>
                    $hectares === null || $hectares->isZero()
                        ? null
                        : BigRational::of($then->stemCount())->dividedBy($hectares),
                'hours' => $hours,
                'money' => $money,
            ];
        }
        $clumps = [];
        foreach (self::CLUMPS as $stems) {
            $then = $situation->withStems(
                array_map(static fn(StemGroup $g): StemGroup => $g->inClumpsOf($stems), $situation->stems),
            );
            [$hours, $money] = self::costs($then, $option);
            $clumps[] = [
                'stemsPerClump' => $stems,
                'stems' => $then->stemCount(),
                'hours' => $hours,
                'money' => $money,
            ];
        }

        return new self(
            $density,
            $clumps,
            array_map(static fn(int $years): array => self::waited($situation, $option, $years), self::YEARS),
        );
    }

    /**
     * @return array{years: int, stems: array{int, int, int}, row: Row, hours: array{Quantity, Quantity, Quantity}|null,
     * money: BigRational|null}
     */
    private static function waited(Situation $situation, Option $option, int $years): array
    {
        $growth = $option->coefficients()->waiting();
        $thens = [];
        foreach ([0, 1, 2] as $i) {
            $more = BigRational::of($growth[$i]['stemsTimes'])->power($years);
            $thicker = Quantity::of($growth[$i]['centimetres'], Unit::Centimetre)->times($years);
            $thens[] = $situation->withStems(
                array_map(
                    static fn(StemGroup $g): StemGroup => ($years === 0 ? $g : $g->thickerBy($thicker))->estimatedAs(
                        $more->multipliedBy($g->count)->toScale(0, RoundingMode::HALF_UP)->toInt(),
                    ),
                    $situation->stems,
                ),
            );
        }
        $hours = array_map(static fn(Situation $s): ?Quantity => Labour::of($s, $option)->total(), $thens);
        $middle = self::costs($thens[1], $option);
        $known = $hours[0] !== null && $hours[1] !== null && $hours[2] !== null;

        return [
            'years' => $years,
            'stems' => [$thens[0]->stemCount(), $thens[1]->stemCount(), $thens[2]->stemCount()],
            'row' => Board::judge($thens[1], $option),
            'hours' => $known ? [$hours[0], $hours[1], $hours[2]] : null,
            'money' => $middle[1],
        ];
    }

    /** @return array{array{Quantity, Quantity, Quantity}|null, BigRational|null} */
    private static function costs(Situation $situation, Option $option): array
    {
        $labour = Labour::of($situation, $option);

        return [$labour->range(), Money::of($situation, $option, $labour)?->total()];
    }
}
