<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Measure\Quantity;

/** A cup, cylinder or spoon with graduations, and an amount read off it (handbook 3, sum 11). */
final readonly class MeasuringTool
{
    public function __construct(
        public string $name,
        public Quantity $graduation,
        public Quantity $holds,
        public string $kind = 'cup',
    ) {}

    /** Whether the tool can read the amount at all: less than half a mark reads as nothing. */
    public function reads(Quantity $amount, ?Quantity $most = null): bool
    {
        return !$this->measure($amount, $most)['measured']->isZero();
    }

    /**
     * The amount on the tool's marks: nearest graduation, but never above the most that the label allows.
     *
     * @param Quantity|null $most the largest amount allowed
     *
     * @return array{measured: Quantity, fillings: int, errorPercent: BigRational}
     */
    public function measure(Quantity $amount, ?Quantity $most = null): array
    {
        $marks = $amount->per($this->graduation)->toScale(0, RoundingMode::HALF_UP);
        $measured = $this->graduation->times($marks);
        if ($most !== null && $measured->isGreaterThan($most)) {
            $measured = $this->graduation->times($most->per($this->graduation)->toScale(0, RoundingMode::DOWN));
        }
        $error = $amount->isZero()
            ? BigRational::zero()
            : $measured->minus($amount->to($measured->unit))->per($amount->to($measured->unit))->multipliedBy(100);

        return [
            'measured' => $measured,
            'fillings' => $measured->per($this->holds)->toScale(0, RoundingMode::UP)->toInt(),
            'errorPercent' => $error->simplified(),
        ];
    }

    /**
     * The tool that reads an amount best: fewest fillings up to four, then least error, as it is read under what the
     * label allows.
     *
     * @param list<self> $tools
     * @param Quantity|null $most the largest amount allowed
     */
    public static function bestFor(Quantity $amount, array $tools, ?Quantity $most = null): ?self
    {
        $best = null;
        $bestKey = null;
        foreach ($tools as $tool) {
            $reading = $tool->measure($amount, $most);
            $key = [
                $reading['measured']->isZero() ? 1 : 0,
                $reading['fillings'] > 4 ? 1 : 0,
                abs($reading['errorPercent']->toFloat()),
                $reading['fillings'],
            ];
            if ($bestKey === null || $key < $bestKey) {
                $best = $tool;
                $bestKey = $key;
            }
        }

        return $best;
    }
}
