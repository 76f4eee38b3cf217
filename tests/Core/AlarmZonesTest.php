<?php

declare(strict_types=1);

use Thicket\FieldDay\AlarmZones;
use Thicket\Measure\Unit;
use Thicket\Situation\ProtectedFeature;
use Thicket\Survey\LocalPlane;
use Thicket\Survey\Shape;

/** @return array{keeper: ProtectedFeature, shape: Shape} a point at the same spot */
function drawnAt(string $kind): array
{
    return [
        'keeper' => new ProtectedFeature($kind, "the {$kind}"),
        'shape' => Shape::fromGeoJson(['type' => 'Point', 'coordinates' => [-71.2, 44.1]]),
    ];
}

it('keeps off water by the card, else by ours, and off plants as far as drops are carried', function (
    string $kind,
    array $card,
    array $facts,
    ?float $metres,
) {
    [$situation, $option] = situated(
        herbs('pasture', 'canada-thistle', '2026-06-20', $facts, ['cards' => [sprayCard($card)]]),
        'foliar-spot/2-4-d/spray',
    );
    $zones = AlarmZones::of($situation, [$option], [drawnAt($kind)]);
    expect(count($zones))->toBe($metres === null ? 0 : 1);
    if ($metres === null) {
        return;
    }
    expect($zones[0]->distance->float(Unit::Metre))->toEqualWithDelta($metres, 0.01);
    // a circle of that radius round the point
    $plane = new LocalPlane([-71.2, 44.1]);
    foreach ($zones[0]->polygons[0][0] as $corner) {
        expect(hypot(...$plane->metres($corner)))->toEqualWithDelta($metres, 0.01);
    }
})->with([
    'water by the card' => ['stream', ['waterBuffer' => '25 ft'], [], 7.62],
    'water where it is silent' => ['pond', ['waterBuffer' => null], [], 10.0],
    // a coarse hand spray carries 10 ft, over 3 ft of growth 26 (J46)
    'a kept tree' => ['tree', [], [seen('height', '1 ft')], 3.048],
    'over tall growth' => ['tree', [], [seen('height', '4 ft')], 7.925],
    'what is no plant' => ['building', [], [], null],
]);
