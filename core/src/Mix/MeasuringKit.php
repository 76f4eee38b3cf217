<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\System;
use Thicket\Measure\Unit;

/** What a crew measures with: its own tools where it has some of the kind, else the usual cups and scales. */
final readonly class MeasuringKit
{
    /** @param list<MeasuringTool> $own of the crew, those out on loan left out */
    public function __construct(private array $own = []) {}

    /** @return bool whether the crew has a tool for amounts of this kind */
    public function isOwn(Dimension $dimension): bool
    {
        return $this->fitting($dimension) !== [];
    }

    /** The crew's own tool that reads an amount best; null where it has none of the kind. */
    public function bestOwn(Quantity $amount, ?Quantity $most): ?MeasuringTool
    {
        return MeasuringTool::bestFor($amount, $this->fitting($amount->dimension()), $most);
    }

    /**
     * An amount on the best tool for each unit system; one that nothing can read is left out.
     *
     * @param Quantity|null $most the largest that may be measured out
     *
     * @return array<string, ToolReading> by {@see System}
     */
    public function readings(Quantity $amount, ?Quantity $most): array
    {
        $own = $this->fitting($amount->dimension());
        $out = [];
        foreach (self::usual($amount->dimension()) as $system => $usual) {
            $tool = MeasuringTool::bestFor($amount, $own === [] ? $usual : $own, $most);
            $reading = $tool === null ? null : ToolReading::of($tool, $amount, $most);
            $reading === null || ($out[$system] = $reading);
        }

        return $out;
    }

    /** @return list<MeasuringTool> */
    private function fitting(Dimension $dimension): array
    {
        return array_values(
            array_filter($this->own, static fn(MeasuringTool $t): bool => $t->holds->dimension() === $dimension),
        );
    }

    /** @return array<string, list<MeasuringTool>> by unit system */
    private static function usual(Dimension $dimension): array
    {
        $of = static fn(
            string $name,
            string $kind,
            string $graduation,
            Unit $unit,
            int $holds,
        ): MeasuringTool => new MeasuringTool(
            $name,
            Quantity::of($graduation, $unit),
            Quantity::of($holds, $unit),
            $kind,
        );
        if ($dimension === Dimension::Mass) {
            return [
                System::Us->value => [
                    $of('kitchen scale', 'scale', '0.1', Unit::OunceWeight, 32),
                    $of('pocket scale', 'scale', '0.01', Unit::OunceWeight, 4),
                ],
                System::Metric->value => [
                    $of('kitchen scale', 'scale', '1', Unit::Gram, 1000),
                    $of('pocket scale', 'scale', '0.1', Unit::Gram, 100),
                ],
            ];
        }

        return [
            System::Us->value => [
                $of('teaspoon set', 'spoons', '0.25', Unit::UsTeaspoon, 1),
                $of('1 oz cup', 'cup', '0.25', Unit::UsFluidOunce, 1),
                $of('8 oz cup', 'cup', '0.5', Unit::UsFluidOunce, 8),
                $of('quart jug', 'jug', '1', Unit::UsFluidOunce, 32),
            ],
            System::Metric->value => [
                $of('10 mL syringe', 'syringe', '0.5', Unit::Millilitre, 10),
                $of('100 mL cylinder', 'cylinder', '1', Unit::Millilitre, 100),
                $of('500 mL jug', 'jug', '10', Unit::Millilitre, 500),
                $of('1 L jug', 'jug', '20', Unit::Millilitre, 1000),
            ],
        ];
    }
}
