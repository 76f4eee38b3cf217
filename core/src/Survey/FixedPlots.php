<?php

declare(strict_types=1);

namespace Thicket\Survey;

/** The spots of sample plots as they are found again: a look back is counted where the plants were counted before. */
final readonly class FixedPlots
{
    /** Two positions are one spot within that (a stake is found by a phone's fix to some metres, a plan is exact). */
    private const SAME_SPOT_METRES = 1.0;

    private function __construct() {}

    /**
     * @param list<array{float, float}> $spots of a plan, in the order to walk
     * @param list<array{position: array{float, float}, counts: list<int>}> $before plots counted before the work, the
     *     newest first
     *
     * @return list<array{position: array{float, float}, stood: int|null}> with the stems that stood at each; null where
     *     nobody counted there
     */
    public static function of(array $spots, array $before): array
    {
        return array_map(static function (array $spot) use ($before): array {
            foreach ($before as ['position' => $at, 'counts' => $counts]) {
                if (Ellipsoid::inverse($spot, $at)['distance'] <= self::SAME_SPOT_METRES) {
                    return ['position' => $spot, 'stood' => array_sum($counts)];
                }
            }

            return ['position' => $spot, 'stood' => null];
        }, $spots);
    }
}
