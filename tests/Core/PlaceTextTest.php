<?php

declare(strict_types=1);

use Thicket\Input\Refused;
use Thicket\Survey\PlaceText;

it('reads a place as people paste it', function (string $text, float $latitude, float $longitude) {
    [$east, $north] = PlaceText::read($text)->position;
    expect($north)->toEqualWithDelta($latitude, 0.000_01)->and($east)->toEqualWithDelta($longitude, 0.000_01);
})->with([
    'two decimals' => ['44.05, -71.4', 44.05, -71.4],
    'a space between' => ['44.05 -71.4', 44.05, -71.4],
    'decimal commas' => ['44,05; -71,4', 44.05, -71.4],
    'decimal commas and a space' => ['44,05 -71,4', 44.05, -71.4],
    'letters behind' => ['44.05N 71.4W', 44.05, -71.4],
    'letters before' => ['N 44.05, W 71.4', 44.05, -71.4],
    'minutes' => ["44\u{00B0} 3' N 71\u{00B0} 24' W", 44.05, -71.4],
    'minutes and seconds' => ["44\u{00B0}03'00\"N 71\u{00B0}24'00\"W", 44.05, -71.4],
    'letters before and minutes' => ["N44\u{00B0} 3.000\u{2032} W071\u{00B0} 24.000\u{2032}", 44.05, -71.4],
    'south and east' => ['33.5 S, 149.1 E', -33.5, 149.1],
    'oeste' => ['40.4 N 3.7 O', 40.4, -3.7],
    'longitude first, by its letters' => ['71.4W 44.05N', 44.05, -71.4],
    'an address of a map' => ['geo:44.05,-71.4;u=35', 44.05, -71.4],
]);

it('takes the middle of the shapes of a file', function () {
    $file =
        '{"type":"FeatureCollection","features":[' .
        '{"type":"Feature","properties":{"name":"hedge"},"geometry":{"type":"LineString","coordinates":' .
        '[[-71.42,44.04],[-71.38,44.06]]}},' .
        '{"type":"Feature","properties":{},"geometry":{"type":"Point","coordinates":[-71.4,44.05]}}]}';
    $place = PlaceText::read($file);
    expect([$place->position, $place->shapes])->toBe([[-71.4, 44.05], 2]);
    $track = '<?xml version="1.0"?><gpx version="1.1"><wpt lat="44.05" lon="-71.4"><name>gate</name></wpt></gpx>';
    expect(PlaceText::read($track)->position)->toBe([-71.4, 44.05]);
});

it('refuses what tells no place, and says what would', function (string $text) {
    expect(fn() => PlaceText::read($text))->toThrow(Refused::class);
})->with([
    'a name' => 'Alderbrook',
    'one number' => '44.05',
    'three numbers' => '44 3 71',
    'two norths' => '44 N 71 N',
    'sixty minutes' => "44\u{00B0} 60' N 71\u{00B0} 24' W",
    'beyond the pole' => '94.05, -71.4',
    'minus and west' => '44.05 N, -71.4 W',
    'nothing' => ' ',
    'a table' =>
        "name,lat,lon\nhedge,44.05,-71.4\nwood,44.06,-71.39\n" .
        "more,44.05,-71.4\nmore,44.05,-71.4\nmore,44.05,-71.4\n",
]);
