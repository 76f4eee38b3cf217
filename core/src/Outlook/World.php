<?php

declare(strict_types=1);

namespace Thicket\Outlook;

/** One way the world may be: each assumption at one figure. */
final readonly class World
{
    /** Of all seed that was there, the share that is left a year later without new seed. */
    public float $seedKept;
    /** Plants that there is room for. */
    public float $room;

    /**
     * @param array<string, float> $at by name of the assumption
     * @param array<string, float> $kills by way
     * @param array<string, float> $hands minutes on one plant, by way
     * @param array<string, float> $setUp minutes a day, by way
     */
    private function __construct(
        public array $at,
        public array $kills,
        public array $hands,
        public array $setUp,
        Start $start,
    ) {
        $this->seedKept = $at['seedYears'] <= 0 ? 0.0 : $at['seedLeft'] ** (1 / $at['seedYears']);
        // who counted more than the table has room for is right
        $this->room = max(
            $start->hectares === null
                ? $start->counted * self::ROOM_UNKNOWN
                : $start->most($at['most']) * $start->hectares,
            $start->unit === Start::COVERED ? $start->counted : $start->counted * self::ROOM_LEFT,
        );
    }

    /** Without an area there is room for so many times what was counted (our guess). */
    private const ROOM_UNKNOWN = 4;
    /** No stand is so full that nothing more goes in (our guess). */
    private const ROOM_LEFT = 1.1;

    /**
     * @param array<string, Way> $ways by id
     * @param Dice|null $dice null: every figure at its middle
     */
    public static function of(Assumptions $assumptions, array $ways, Start $start, ?Dice $dice): self
    {
        $draw = static fn(Span $span): float => $dice?->within($span) ?? $span->use;

        return new self(
            array_map($draw, $assumptions->spans),
            array_map(
                static fn(Way $way): float => $dice?->share($way->control->a, $way->control->b) ??
                    $way->control->mean(),
                $ways,
            ),
            array_map(static fn(Way $way): float => $draw($way->effort->hands), $ways),
            array_map(static fn(Way $way): float => $draw($way->effort->setUp), $ways),
            $start,
        );
    }
}
