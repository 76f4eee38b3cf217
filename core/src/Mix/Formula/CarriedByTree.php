<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Brick\Math\RoundingMode;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;

/** Trees of a day and the bottle they are treated from: how much mix that is, and how many bottles to carry. */
final readonly class CarriedByTree
{
    /** Trees and cuts beyond these are a unit mixed up (our guess, wide). */
    private const MOST_TREES = 1_000_000;
    public const MOST_CUTS = 1000;

    private function __construct(private ?int $trees, private ?Quantity $bottle) {}

    public static function read(Fields $in): self
    {
        return new self($in->intOrNull('trees', 1, self::MOST_TREES), $in->positiveOrNull('bottle', Dimension::Volume));
    }

    /** @return array<string, Quantity|int> */
    public function figures(Quantity $perTree): array
    {
        if ($this->trees === null) {
            return [];
        }
        $mix = $perTree->times($this->trees);

        return ['mix' => $mix] +
            ($this->bottle === null
                ? []
                : ['bottles' => $mix->per($this->bottle)->toScale(0, RoundingMode::CEILING)->toInt()]);
    }
}
