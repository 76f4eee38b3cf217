<?php

declare(strict_types=1);

namespace Thicket\Outlook;

use Thicket\Measure\Unit;
use Thicket\Mix\TreatedArea;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/** What stands there today. */
final readonly class Start
{
    public const STEMS = 'stems';
    /** Square metres that they cover, where nobody counted. */
    public const COVERED = 'covered-m2';
    private const SQUARE_METRES_OF_HECTARE = 10_000.0;

    /** Plants that stood here and seeded, before what a look-back found dead. */
    public float $counted;

    /** @param float|null $hectares null: the patch has no outline */
    public function __construct(
        public float $plants,
        public ?float $hectares,
        public string $unit = self::STEMS,
        ?float $counted = null,
    ) {
        $this->counted = $counted ?? $plants;
    }

    /**
     * Null where neither a count nor an area is known.
     *
     * @param float $left share of what was counted that a look-back found not dead since
     */
    public static function of(Situation $situation, Option $option, float $left = 1.0): ?self
    {
        $hectares = $situation->area?->in(Unit::Hectare)->toFloat();
        $stems = $situation->stemCount();
        if ($stems > 0) {
            return new self(round($stems * $left), $hectares, self::STEMS, (float) $stems);
        }
        $covered = ($situation->area === null
            ? null
            : TreatedArea::covered($situation, $option, $situation->area) ?? $situation->area
        )
            ?->in(Unit::SquareMetre)
            ->toFloat();

        return $covered === null || $covered <= 0
            ? null
            : new self($covered * $left, $hectares, self::COVERED, $covered);
    }

    /** Plants that there is room for on a hectare; ground that is covered can be covered once. */
    public function most(float $plants): float
    {
        return $this->unit === self::COVERED ? self::SQUARE_METRES_OF_HECTARE : $plants;
    }
}
