<?php

declare(strict_types=1);

use Thicket\Input\Refused;
use Thicket\Survey\Exchange\CsvFile;
use Thicket\Survey\Exchange\Entry;
use Thicket\Survey\Exchange\FileFormat;
use Thicket\Survey\Shape;

const POND = ['type' => 'Polygon', 'coordinates' => [[[-71.4, 44.05], [-71.399, 44.05], [-71.399, 44.051], [-71.4, 44.05]]]];
const HOLED = ['type' => 'Polygon', 'coordinates' => [[[-71.4, 44.05], [-71.39, 44.05], [-71.39, 44.06], [-71.4, 44.06], [-71.4, 44.05]], [[-71.396, 44.053], [-71.394, 44.053], [-71.394, 44.0551], [-71.396, 44.053]]]];
const BROOK = ['type' => 'LineString', 'coordinates' => [[-71.4012345678901, 44.05], [-71.4, 44.0512345], [-71.39, 44.052]]];
const WELL = ['type' => 'Point', 'coordinates' => [-71.400001, 44.05]];

it('brings every shape, name and property back as it went', function (FileFormat $format) {
    $texts = ['owner' => 'the "old" farm, Ästlund & <sons>', 'note' => "two\nlines", 'sum' => '=1+1', 'minus' => '-12.5', 'a b:c' => 'odd key', 'thicket_what' => 'keeper', 'thicket_kind' => 'pond'];
    $out = [Entry::of(1, 'Mill pond', Shape::fromGeoJson(POND), $texts), Entry::of(2, 'Holed', Shape::fromGeoJson(HOLED)), Entry::of(3, 'Brook', Shape::fromGeoJson(BROOK), ['desc' => 'cold', 'time' => 'noon']), Entry::of(4, 'Well', Shape::fromGeoJson(WELL), ['sym' => 'dot', 'depth' => '7'])];
    $back = $format->read($format->write($out));
    $plain = static function (array $entries): array {
        $all = [];
        foreach ($entries as $entry) {
            expect($entry->fault)->toBeNull();
            $properties = $entry->all();
            ksort($properties);
            $all[$entry->name] = [$entry->shape?->toGeoJson(), $properties];
        }
        ksort($all);

        return $all;
    };
    expect($plain($back))->toBe($plain($out));
})->with(FileFormat::cases());

it('keeps numbers, lists and truth values of GeoJSON as they were', function () {
    $kept = ['count' => 12, 'share' => 0.25, 'tags' => ['a', 'b'], 'native' => false, 'none' => null];
    expect(FileFormat::GeoJson->read(FileFormat::GeoJson->write([Entry::of(1, 'x', Shape::fromGeoJson(WELL), $kept)]))[0]->properties)->toBe($kept);
});

it('names the row and what is wrong with it, and reads the others', function (FileFormat $format, string $text, array $faults) {
    $found = [];
    foreach ($format->read($text) as $entry) {
        $found[] = $entry->fault;
    }
    expect(count($found))->toBe(count($faults));
    foreach ($faults as $i => $fault) {
        $fault === null ? expect($found[$i])->toBeNull() : expect($found[$i])->toContain($fault);
    }
})->with([
    'kml' => [FileFormat::Kml, '<?xml version="1.0"?><kml xmlns="http://www.opengis.net/kml/2.2"><Document><Folder><Placemark><name>a</name><Point><coordinates>-71.4,44.05,210</coordinates></Point></Placemark><Placemark><name>b</name><LineString><coordinates>-71.4,44.05 here,there</coordinates></LineString></Placemark><Placemark><name>c</name></Placemark><Placemark><name>d</name><Polygon><outerBoundaryIs><LinearRing><coordinates>0,0 1,1 1,0 0,1 0,0</coordinates></LinearRing></outerBoundaryIs></Polygon></Placemark></Folder></Document></kml>', [null, "Position 2 reads 'here,there'", 'no point, line or polygon', 'crosses itself']],
    'kml of many pieces' => [FileFormat::Kml, '<kml><Placemark><MultiGeometry><Point><coordinates>1,2</coordinates></Point><Point><coordinates>3,4</coordinates></Point></MultiGeometry></Placemark></kml>', [null, null]],
    'gpx' => [FileFormat::Gpx, '<gpx><wpt lat="44.05" lon="-71.4"/><wpt lat="x" lon="-71.4"/><trk><trkseg/></trk><rte><rtept lat="1" lon="2"/><rtept lat="1" lon="2.1"/></rte><wpt lat="95" lon="200"/></gpx>', [null, 'Position 1 has no readable', 'no positions', null, 'Longitude runs']],
    'geojson' => [FileFormat::GeoJson, '{"type":"FeatureCollection","features":[{"type":"Feature","geometry":null},{"type":"Feature","geometry":{"type":"MultiPoint","coordinates":[[1,2],[3,"4"]]}},7,{"type":"Feature","geometry":{"type":"GeometryCollection","geometries":[{"type":"Point","coordinates":[1,2]}]}}]}', ['no geometry', null, 'decimal degrees', 'no geometry', null]],
    'csv by column' => [FileFormat::Csv, "name,lat,lon\nold oak,44.05,-71.4\nbroken,44.05,west\nfar,99,-71\n", [null, "Longitude reads 'west'", 'look swapped']],
    'csv by text' => [FileFormat::Csv, "name;wkt\na;POINT (1 2)\nb;POINT (1\nc;MULTIPOINT (1 2)\n", [null, 'cannot be read', 'Give a point']],
    'csv of corners' => [FileFormat::Csv, "patch,corner,x,y\nA,3,1,1\nA,1,0,0\nA,2,1,0\nB,1,0,0\nB,2,1,0\n", [null, 'three different corners']],
]);

it('matches columns by hand, and says which are missing', function () {
    $text = "what,east,north\nold oak,-71.4,44.05\n";
    expect(CsvFile::headers($text))->toBe(['what', 'east', 'north'])
        ->and(FileFormat::Csv->read($text, ['name' => 'what', 'longitude' => 'east', 'latitude' => 'north'])[0]->name)->toBe('old oak')
        ->and(fn () => FileFormat::Csv->read($text))->toThrow(Refused::class, '/columns: Say which columns')
        ->and(fn () => FileFormat::Csv->read($text, ['name' => 'who']))->toThrow(Refused::class, '/columns/name')
        ->and(fn () => FileFormat::Csv->read("a,a\n1,2\n"))->toThrow(Refused::class, 'same header');
});

it('refuses files that would harm or that nobody can read', function (FileFormat $format, string $text, string $says) {
    expect(fn () => $format->read($text))->toThrow(Refused::class, $says);
})->with([
    'outside entity' => [FileFormat::Kml, '<?xml version="1.0"?><!DOCTYPE kml [<!ENTITY x SYSTEM "file:///etc/passwd">]><kml><Placemark><name>&x;</name></Placemark></kml>', 'entities'],
    'unfolding entities' => [FileFormat::Gpx, '<!DOCTYPE gpx [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><gpx>&b;</gpx>', 'entities'],
    'packed' => [FileFormat::Kml, "PK\x03\x04rest", 'unpack it'],
    'too large' => [FileFormat::Csv, str_repeat('a', FileFormat::MOST_BYTES + 1), 'larger than 8 MB'],
    'broken off' => [FileFormat::Kml, '<kml><Placemark><name>a</name>', 'not well-formed'],
    'another root' => [FileFormat::Gpx, '<html/>', 'begins with <html>'],
    'too deep' => [FileFormat::Kml, '<kml>' . str_repeat('<Folder>', 70) . str_repeat('</Folder>', 70) . '</kml>', 'nests deeper'],
    'no json' => [FileFormat::GeoJson, '{"type":', 'not readable JSON'],
    'nothing in it' => [FileFormat::GeoJson, '{"type":"FeatureCollection","features":[]}', 'nothing with a place'],
    'latin letters of old' => [FileFormat::Csv, "name,lat,lon\nB\xe4um,1,2\n", 'UTF-8'],
    'too many' => [FileFormat::Csv, "lat,lon\n" . str_repeat("1,2\n", FileFormat::MOST_ENTRIES + 1), 'at most 3000'],
]);

it('knows a format by its face', function (string $text, ?FileFormat $format) {
    expect(FileFormat::detect($text))->toBe($format);
})->with([['{"type":"Point"}', FileFormat::GeoJson], ["<?xml version='1.0'?>\n<kml xmlns='x'>", FileFormat::Kml], ['<gpx version="1.1">', FileFormat::Gpx], ["name,lat,lon\nx,1,2", FileFormat::Csv], ['hello', null]]);
