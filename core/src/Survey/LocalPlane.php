<?php

declare(strict_types=1);

namespace Thicket\Survey;

/**
 * A flat map of metres around a centre: azimuthal equidistant, x east and y north (rulings B23). Distances and buffers
 * are worked here; over 10 km from the centre the scale differs by less than one part in a million.
 */
final readonly class LocalPlane
{
    private const STEPS = 6;

    /** @param array{float, float} $centre longitude, latitude */
    public function __construct(public array $centre) {}

    /** @param array{float, float, float, float} $box west, south, east, north */
    public static function ofBox(array $box): self
    {
        return new self([($box[0] + $box[2]) / 2, ($box[1] + $box[3]) / 2]);
    }

    /**
     * @param array{float, float} $position
     *
     * @return array{float, float} metres east and north of the centre
     */
    public function metres(array $position): array
    {
        ['distance' => $distance, 'bearing' => $bearing] = Ellipsoid::inverse($this->centre, $position);

        return [$distance * sin(deg2rad($bearing)), $distance * cos(deg2rad($bearing))];
    }

    /**
     * The position whose metres are these, found by correcting a first guess; to a millimetre.
     *
     * @param array{float, float} $metres
     *
     * @return array{float, float}
     */
    public function position(array $metres): array
    {
        $latitude = deg2rad($this->centre[1]);
        $perDegree = [
            deg2rad(Ellipsoid::normalRadius($latitude) * cos($latitude)),
            deg2rad(Ellipsoid::meridianRadius($latitude)),
        ];
        $guess = $this->centre;
        for ($step = 0; $step < self::STEPS; ++$step) {
            $reached = $this->metres($guess);
            $guess = [
                $guess[0] + ($metres[0] - $reached[0]) / $perDegree[0],
                $guess[1] + ($metres[1] - $reached[1]) / $perDegree[1],
            ];
        }

        return [round($guess[0], 8), round($guess[1], 8)];
    }

    /**
     * @param list<array{float, float}> $positions
     *
     * @return list<array{float, float}>
     */
    public function allMetres(array $positions): array
    {
        return array_map($this->metres(...), $positions);
    }

    /**
     * @param list<array{float, float}> $points
     *
     * @return list<array{float, float}>
     */
    public function allPositions(array $points): array
    {
        return array_map($this->position(...), $points);
    }
}
