<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Input\Refused;

/**
 * Leaves positions out of a line that has more than a line may have (a receiver that wrote one every second), so that
 * none lies further off what is left than a receiver is wrong anyway. Douglas and Peucker's way, by GEOS.
 */
final class Thinning
{
    /** Metres, tried one after the other; a hand-held receiver is good to about three. */
    private const TOLERANCES = ['0.5', '1', '2', '3'];

    /** Metres of a degree of latitude, and at most of one of longitude: the tolerance is never exceeded. */
    private const METRES_PER_DEGREE = 111_320;

    private function __construct() {}

    /**
     * @param list<array{float, float}> $line longitude, latitude
     *
     * @return array{line: list<array{float, float}>, metres: string} and how far off it lies at the most
     *
     * @throws Refused where even so too many are left
     */
    public static function line(array $line): array
    {
        foreach (self::TOLERANCES as $metres) {
            $thinned = Geos::thinned($line, (float) $metres / self::METRES_PER_DEGREE);
            if (count($thinned) <= Shape::MOST_POSITIONS) {
                return ['line' => $thinned, 'metres' => $metres];
            }
        }
        throw Refused::at(
            '',
            'A line has at most ' .
                Shape::MOST_POSITIONS .
                ' positions; this has ' .
                count($line) .
                ', and ' .
                count($thinned) .
                ' when thinned. Cut it in parts.',
        );
    }
}
