<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Measure\Quantity;

/** An amount as it is read off one tool: so many full ones, the last one to a mark, and how far off that is. */
final readonly class ToolReading
{
    /** @param bool $isUnder whether it is read under what was reckoned, as the label wants it */
    private function __construct(
        public MeasuringTool $tool,
        public Quantity $measured,
        public int $fillings,
        public Quantity $last,
        public BigRational $errorPercent,
        public bool $isUnder,
    ) {}

    /** @return self|null null where the tool reads it as nothing */
    public static function of(MeasuringTool $tool, Quantity $amount, ?Quantity $most): ?self
    {
        if (!$tool->reads($amount, $most)) {
            return null;
        }
        $read = $tool->measure($amount, $most);
        $full = $tool->holds->times($read['fillings'] - 1)->to($read['measured']->unit);

        return new self(
            $tool,
            $read['measured'],
            $read['fillings'],
            $read['measured']->minus($full),
            $read['errorPercent'],
            $read['errorPercent']->isNegative(),
        );
    }

    /** Share of the last filling, 0 to 1. */
    public function lastShare(): BigRational
    {
        return $this->last->per($this->tool->holds);
    }
}
