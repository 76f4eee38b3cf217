<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Input\Fields;
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

    /** Marks and size of a tool as somebody gives them; faults are noted at their fields. */
    public static function read(Fields $in, string $name, MeasuringKind $kind): ?self
    {
        [$graduation, $holds] = [self::size($in, 'graduation', $kind), self::size($in, 'holds', $kind)];
        if ($graduation === null || $holds === null) {
            return null;
        }
        if ($graduation->isZero()) {
            return $in->fault('graduation', 'Marks stand further apart than nothing.');
        }

        return $graduation->isGreaterThan($holds)
            ? $in->fault('graduation', 'The marks are finer than the whole tool.')
            : new self($name, $graduation, $holds, $kind->value);
    }

    private static function size(Fields $in, string $field, MeasuringKind $kind): ?Quantity
    {
        return $in->has($field)
            ? $in->quantity($field, $kind->measures())
            : $in->fault($field, 'A measuring tool has marks and holds so much: give both.');
    }

    /** Whole marks on it. */
    public function marks(): int
    {
        return $this->holds->per($this->graduation)->toScale(0, RoundingMode::DOWN)->toInt();
    }

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
