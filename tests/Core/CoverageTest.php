<?php

declare(strict_types=1);

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Survey\Coverage;
use Thicket\Survey\LocalPlane;
use Thicket\Survey\Outline;
use Thicket\Survey\SweepLines;

/*
 * A patch of 100 by 20 m, drawn in the metres of its own middle, so that what passes cover can be reckoned by hand.
 */

/** @return array{float, float} longitude and latitude of metres from the south-west corner of the patch */
function spot(float $east, float $north): array
{
    return (new LocalPlane([-71.2, 44.1]))->position([$east - 50, $north - 10]);
}

/** @param list<array{float, float}>|null $corners in metres */
function strip(?array $corners = null): Outline
{
    $corners ??= [[0, 0], [100, 0], [100, 20], [0, 20]];
    $ring = array_map(static fn(array $c): array => spot((float) $c[0], (float) $c[1]), $corners);

    return Outline::fromGeoJson(['type' => 'Polygon', 'coordinates' => [[...$ring, $ring[0]]]]);
}

/**
 * Fixes along straight legs, one every second at 5 m a second.
 *
 * @param list<array{float, float}> $corners in metres
 *
 * @return list<array{float, float, int, float|null}>
 */
function walked(array $corners, int $from = 1000, ?float $error = null): array
{
    $fixes = [];
    foreach ($corners as $i => $corner) {
        $before = $corners[max(0, $i - 1)];
        $length = hypot($corner[0] - $before[0], $corner[1] - $before[1]);
        for ($at = $i === 0 ? $length : min(5.0, $length); ; $at = min($at + 5, $length)) {
            $part = $length > 0 ? $at / $length : 0;
            $fixes[] = [
                ...spot($before[0] + $part * ($corner[0] - $before[0]), $before[1] + $part * ($corner[1] - $before[1])),
                $from++,
                $error,
            ];
            if ($at >= $length) {
                break;
            }
        }
    }

    return $fixes;
}

function metres2(Quantity $area): float
{
    return $area->float(Unit::SquareMetre);
}

it('tells what passes cover, miss and cover twice, as reckoned by hand', function (
    array $passes,
    float $covered,
    float $missed,
    float $twice,
    int $gaps,
) {
    $fixes = [];
    foreach ($passes as $n => $north) {
        // each pass on its own, well apart in time
        $fixes = [...$fixes, ...walked([[-5.0, $north], [105.0, $north]], 1000 * ($n + 1))];
    }
    $coverage = Coverage::of(strip(), [$fixes], Quantity::of(5, Unit::Metre));
    // the plane of the patch is not the one it was drawn in to the last millimetre
    expect(metres2($coverage->coveredArea))
        ->toEqualWithDelta($covered, 1.0)
        ->and(metres2($coverage->missedArea))
        ->toEqualWithDelta($missed, 1.0)
        ->and(metres2($coverage->twiceArea))
        ->toEqualWithDelta($twice, 1.0);
    expect(count($coverage->missed))->toBe($gaps);
})->with([
    'four of 5 m cover 20 m' => [[2.5, 7.5, 12.5, 17.5], 2000.0, 0.0, 0.0, 0],
    'the last left out' => [[2.5, 7.5, 12.5], 1500.0, 500.0, 0.0, 1],
    'a metre over the one before' => [[2.5, 6.5], 900.0, 1100.0, 100.0, 1],
    'the same again' => [[10.0, 10.0], 500.0, 1500.0, 500.0, 2],
    'half of it beyond the fence' => [[0.0], 250.0, 1750.0, 0.0, 1],
    'nobody went' => [[], 0.0, 2000.0, 0.0, 1],
]);

it('keeps the tracks of two people apart who walk at the same time', function () {
    $tracks = [walked([[-5.0, 2.5], [105.0, 2.5]]), walked([[-5.0, 17.5], [105.0, 17.5]])];
    $coverage = Coverage::of(strip(), $tracks, Quantity::of(5, Unit::Metre));
    expect(metres2($coverage->coveredArea))->toEqualWithDelta(1000.0, 1.0);
});

it('goes there and back in one track, and turns outside without covering twice', function () {
    $fixes = walked([[-5.0, 2.5], [108.0, 2.5], [108.0, 7.5], [-5.0, 7.5]]);
    $coverage = Coverage::of(strip(), [$fixes], Quantity::of(5, Unit::Metre));
    expect(metres2($coverage->coveredArea))
        ->toEqualWithDelta(1000.0, 1.5)
        ->and(metres2($coverage->twiceArea))
        ->toBe(0.0);
});

it('does not draw a line over what nobody heard of, and says how often', function (
    int $pause,
    float $covered,
    int $parted,
) {
    $fixes = [...walked([[-5.0, 10.0], [40.0, 10.0]], 1000), ...walked([[60.0, 10.0], [105.0, 10.0]], 1009 + $pause)];
    $told = Coverage::of(strip(), [$fixes], Quantity::of(5, Unit::Metre));
    expect(metres2($told->coveredArea))->toEqualWithDelta($covered, 1.0)->and($told->parted)->toBe($parted);
})->with(['thirty seconds, 20 m' => [30, 500.0, 0], 'a second more' => [31, 400.0, 1]]);

it('counts as sure only what is covered though every fix is off', function () {
    $fixes = walked([[-5.0, 10.0], [105.0, 10.0]], 1000, 1.0);
    $coverage = Coverage::of(strip(), [$fixes], Quantity::of(5, Unit::Metre));
    // 5 m less a metre on each side
    expect(metres2($coverage->surelyCoveredArea))->toEqualWithDelta(300.0, 1.0);
    $fixes = walked([[-5.0, 10.0], [105.0, 10.0]], 1000, 2.5);
    expect(metres2(Coverage::of(strip(), [$fixes], Quantity::of(5, Unit::Metre))->surelyCoveredArea))->toBe(0.0);
});

it('lays lines side by side along the longest edge, there and back, and they cover it once', function () {
    $lines = SweepLines::across(strip(), Quantity::of(5, Unit::Metre));
    expect(count($lines))->toBe(4);
    $fixes = [];
    foreach ($lines as $n => $line) {
        foreach ([0, 0.25, 0.5, 0.75, 1] as $i => $part) {
            $fixes[] = [
                $line[0][0] + $part * ($line[1][0] - $line[0][0]),
                $line[0][1] + $part * ($line[1][1] - $line[0][1]),
                1000 * ($n + 1) + $i,
                null,
            ];
        }
    }
    $coverage = Coverage::of(strip(), [$fixes], Quantity::of(5, Unit::Metre));
    expect(metres2($coverage->missedArea))
        ->toEqualWithDelta(0.0, 1.0)
        ->and(metres2($coverage->twiceArea))
        ->toEqualWithDelta(0.0, 1.0);
    // 20 m by passes of 6 m: the fourth goes over 4 m of the third; one of 50 m goes along the middle
    $centres = static fn(float $width): array => array_map(
        static fn(array $line): float => round((new LocalPlane([-71.2, 44.1]))->metres($line[0])[1] + 10, 1),
        SweepLines::across(strip(), Quantity::of((string) $width, Unit::Metre)),
    );
    expect($centres(6))
        ->toBe([3.0, 9.0, 15.0, 17.0])
        ->and($centres(50))
        ->toBe([10.0]);
    // an L: where a line leaves the patch and comes back it is two
    $l = strip([[0, 0], [100, 0], [100, 20], [60, 20], [60, 10], [40, 10], [40, 20], [0, 20]]);
    expect(count(SweepLines::across($l, Quantity::of(10, Unit::Metre))))->toBe(3);
});
