<?php

declare(strict_types=1);

namespace Thicket\Review;

use Thicket\Survey\RootKill;

/** What a scored look-back says of the work: the share that is dead, how sure, and against what was expected. */
final readonly class Result
{
    public const LEVEL = 0.9;
    public const WORSE = 'worse';
    public const AS_EXPECTED = 'as-expected';
    public const BETTER = 'better';

    /**
     * @param float $low share
     * @param float $high share
     * @param string|null $against one of the three; null where nothing was expected
     */
    private function __construct(public int $percent, public float $low, public float $high, public ?string $against) {}

    /**
     * Worse or better only where the whole interval lies beyond what was expected: else the count cannot tell it.
     *
     * @param array{low: int, high: int}|null $expected percent
     * @param list<array{dead: int, counted: int}> $plots that the count was made in; none where it was not
     */
    public static function of(int $dead, int $counted, ?array $expected, array $plots = []): self
    {
        ['low' => $low, 'high' => $high] =
            $plots === [] ? RootKill::interval($dead, $counted, self::LEVEL) : RootKill::overPlots($plots, self::LEVEL);

        return new self(
            RootKill::percent($dead, $counted) ?? 0,
            $low,
            $high,
            match (true) {
                $expected === null => null,
                $high * 100 < $expected['low'] => self::WORSE,
                $low * 100 > $expected['high'] => self::BETTER,
                default => self::AS_EXPECTED,
            },
        );
    }
}
