<?php

declare(strict_types=1);

use Thicket\Input\Refused;
use Thicket\Survey\Exchange\CsvFile;
use Thicket\Survey\Exchange\Entry;
use Thicket\Survey\Exchange\FileFormat;
use Thicket\Survey\Shape;

const POND = [
    'type' => 'Polygon',
    'coordinates' => [[[-71.4, 44.05], [-71.399, 44.05], [-71.399, 44.051], [-71.4, 44.05]]],
];
const HOLED = [
    'type' => 'Polygon',
    'coordinates' => [
        [[-71.4, 44.05], [-71.39, 44.05], [-71.39, 44.06], [-71.4, 44.06], [-71.4, 44.05]],
        [[-71.396, 44.053], [-71.394, 44.053], [-71.394, 44.0551], [-71.396, 44.053]],
    ],
];
const BROOK = [
    'type' => 'LineString',
    'coordinates' => [[-71.4012345678901, 44.05], [-71.4, 44.0512345], [-71.39, 44.052]],
];
const WELL = ['type' => 'Point', 'coordinates' => [-71.400001, 44.05]];

it('brings every shape, name and property back as it went', function (FileFormat $format) {
    $texts = [
        'owner' => 'the "old" farm, Ästlund & <sons>',
        'note' => "two\nlines",
        'sum' => '=1+1',
        'minus' => '-12.5',
        'a b:c' => 'odd key',
        'thicket_what' => 'keeper',
        'thicket_kind' => 'pond',
    ];
    $out = [
        Entry::of(1, 'Mill pond', Shape::fromGeoJson(POND), $texts),
        Entry::of(2, 'Holed', Shape::fromGeoJson(HOLED)),
        Entry::of(3, 'Brook', Shape::fromGeoJson(BROOK), ['desc' => 'cold', 'time' => 'noon']),
        Entry::of(4, 'Well', Shape::fromGeoJson(WELL), ['sym' => 'dot', 'depth' => '7']),
    ];
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
    expect(
        FileFormat::GeoJson->read(FileFormat::GeoJson->write([Entry::of(1, 'x', Shape::fromGeoJson(WELL), $kept)]))[0]
            ->properties,
    )->toBe($kept);
});

it('names the row and what is wrong with it, and reads the others', function (
    FileFormat $format,
    string $text,
    array $faults,
) {
    $found = [];
    foreach ($format->read($text) as $entry) {
        $found[] = $entry->fault;
    }
    expect(count($found))->toBe(count($faults));
    foreach ($faults as $i => $fault) {
        $fault === null ? expect($found[$i])->toBeNull() : expect($found[$i])->toContain($fault);
    }
})->with([
    'kml' => [
        FileFormat::Kml,
        '<?xml version="1.0"?><kml ' .
        'xmlns="http://www.opengis.net/kml/2.2"><Document><Folder><Placemark><name>a</name><Point>' .
        '<coordinates>-71.4,44.05,210</coordinates></Point></Placemark><Placemark><name>b</name><LineString>' .
        '<coordinates>-71.4,44.05 ' .
        'here,there</coordinates></LineString></Placemark><Placemark><name>c</name></Placemark><Placemark>' .
        '<name>d</name><Polygon><outerBoundaryIs><LinearRing><coordinates>0,0 1,1 1,0 0,1 ' .
        '0,0</coordinates></LinearRing></outerBoundaryIs></Polygon></Placemark></Folder></Document></kml>',
        [null, "Position 2 reads 'here,there'", 'no point, line or polygon', 'crosses itself'],
    ],
    'kml of many pieces' => [
        FileFormat::Kml,
        '<kml><Placemark><MultiGeometry><Point><coordinates>1,2</coordinates></Point><Point>' .
        '<coordinates>3,4</coordinates></Point></MultiGeometry></Placemark></kml>',
        [null, null],
    ],
    'gpx' => [
        FileFormat::Gpx,
        '<gpx><wpt lat="44.05" lon="-71.4"/><wpt lat="x" lon="-71.4"/><trk><trkseg/></trk><rte><rtept lat="1" ' .
        'lon="2"/><rtept lat="1" lon="2.1"/></rte><wpt lat="95" lon="200"/></gpx>',
        [null, 'Position 1 has no readable', 'no positions', null, 'Longitude runs'],
    ],
    'geojson' => [
        FileFormat::GeoJson,
        '{"type":"FeatureCollection","features":[{"type":"Feature","geometry":null},{"type":"Feature",' .
        '"geometry":{"type":"MultiPoint","coordinates":[[1,2],[3,"4"]]}},7,{"type":"Feature",' .
        '"geometry":{"type":"GeometryCollection","geometries":[{"type":"Point","coordinates":[1,2]}]}}]}',
        ['no geometry', null, 'decimal degrees', 'no geometry', null],
    ],
    'csv by column' => [
        FileFormat::Csv,
        "name,lat,lon\nold oak,44.05,-71.4\nbroken,44.05,west\nfar,99,-71\n",
        [null, "Longitude reads 'west'", 'look swapped'],
    ],
    'csv by text' => [
        FileFormat::Csv,
        "name;wkt\na;POINT (1 2)\nb;POINT (1\nc;MULTIPOINT (1 2)\nd;CIRCULARSTRING (1 2, 3 4, 5 6)\ne;POINT EMPTY\n",
        [null, 'cannot be read', null, 'cannot be read', 'empty'],
    ],
    'csv of corners' => [
        FileFormat::Csv,
        "patch,corner,x,y\nA,3,1,1\nA,1,0,0\nA,2,1,0\nB,1,0,0\nB,2,1,0\n",
        [null, 'three different corners'],
    ],
]);

it('matches columns by hand, and says which are missing', function () {
    $text = "what,east,north\nold oak,-71.4,44.05\n";
    expect(CsvFile::headers($text))
        ->toBe(['what', 'east', 'north'])
        ->and(FileFormat::Csv->read($text, ['name' => 'what', 'longitude' => 'east', 'latitude' => 'north'])[0]->name)
        ->toBe('old oak')
        ->and(fn() => FileFormat::Csv->read($text))
        ->toThrow(Refused::class, '/columns: Say which columns')
        ->and(fn() => FileFormat::Csv->read($text, ['name' => 'who']))
        ->toThrow(Refused::class, '/columns/name')
        ->and(fn() => FileFormat::Csv->read("a,a\n1,2\n"))
        ->toThrow(Refused::class, 'same header');
});

it('refuses files that would harm or that nobody can read', function (FileFormat $format, string $text, string $says) {
    expect(fn() => $format->read($text))->toThrow(Refused::class, $says);
})->with([
    'outside entity' => [
        FileFormat::Kml,
        '<?xml version="1.0"?><!DOCTYPE kml [<!ENTITY x SYSTEM ' .
        '"file:///etc/passwd">]><kml><Placemark><name>&x;</name></Placemark></kml>',
        'entities',
    ],
    'unfolding entities' => [
        FileFormat::Gpx,
        '<!DOCTYPE gpx [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><gpx>&b;</gpx>',
        'entities',
    ],
    'packed' => [FileFormat::Kml, "PK\x03\x04rest", 'unpack it'],
    'too large' => [FileFormat::Csv, str_repeat('a', FileFormat::MOST_BYTES + 1), 'larger than 12 MB'],
    'broken off' => [FileFormat::Kml, '<kml><Placemark><name>a</name>', 'not well-formed'],
    'another root' => [FileFormat::Gpx, '<html/>', 'begins with <html>'],
    'too deep' => [
        FileFormat::Kml,
        '<kml>' . str_repeat('<Folder>', 70) . str_repeat('</Folder>', 70) . '</kml>',
        'nests deeper',
    ],
    'no json' => [FileFormat::GeoJson, '{"type":', 'not readable JSON'],
    'nothing in it' => [FileFormat::GeoJson, '{"type":"FeatureCollection","features":[]}', 'nothing with a place'],
    'latin letters of old' => [FileFormat::Csv, "name,lat,lon\nB\xe4um,1,2\n", 'UTF-8'],
    'too many' => [
        FileFormat::Csv,
        "lat,lon\n" . str_repeat("1,2\n", FileFormat::MOST_ENTRIES + 1),
        'more than 3,000 things',
    ],
]);

it('knows a format by its face', function (string $text, ?FileFormat $format) {
    expect(FileFormat::detect($text))->toBe($format);
})->with([
    ['{"type":"Point"}', FileFormat::GeoJson],
    ["<?xml version='1.0'?>\n<kml xmlns='x'>", FileFormat::Kml],
    ['<gpx version="1.1">', FileFormat::Gpx],
    ["name,lat,lon\nx,1,2", FileFormat::Csv],
    ['hello', null],
]);

/** A wavering walk of so many positions, a metre or so apart. */
function walk(int $positions): array
{
    $out = [];
    for ($i = 0; $i < $positions; ++$i) {
        $out[] = [round(-71.4 + $i * 1e-5, 7), round(44.05 + sin($i / 40) * 2e-4 + ($i % 2) * 1e-6, 7)];
    }

    return $out;
}

function gpxTracks(int $tracks, int $positions): string
{
    $point = static fn(
        array $p,
    ): string => "<trkpt lat=\"{$p[1]}\" lon=\"{$p[0]}\"><ele>210</ele><time>2026-09-03T10:00:00Z</time></trkpt>";

    return '<gpx version="1.1">' .
        str_repeat(
            '<trk><name>day</name><trkseg>' . implode('', array_map($point, walk($positions))) . '</trkseg></trk>',
            $tracks,
        ) .
        '</gpx>';
}

it('takes a receiver\'s whole day, thinned where a line may not have so many positions, and says so', function (
    FileFormat $format,
    string $text,
) {
    [$entry] = $format->read($text);
    expect($entry->fault)
        ->toBeNull()
        ->and($entry->note)
        ->toMatch(
            '/^Thinned from 28,800 to [\d,]+ positions; none that was left out lies more than 0.5 m \(1.6 ft\) ' .
                'off the line.$/',
        )
        ->and(count($entry->shape?->parts[0] ?? []))
        ->toBeLessThanOrEqual(Shape::MOST_POSITIONS)
        ->and($entry->shape?->parts[0][0])
        ->toBe(walk(1)[0]);
})->with([
    'gpx' => fn() => [FileFormat::Gpx, gpxTracks(1, 28_800)],
    'kml' => fn() => [
        FileFormat::Kml,
        '<kml><Placemark><LineString><coordinates>' .
        implode(' ', array_map(static fn(array $p): string => "{$p[0]},{$p[1]},210", walk(28_800))) .
        '</coordinates></LineString></Placemark></kml>',
    ],
    'geojson' => fn() => [FileFormat::GeoJson, json_encode(['type' => 'LineString', 'coordinates' => walk(28_800)])],
    'csv' => fn() => [
        FileFormat::Csv,
        "name,wkt\nday,\"LINESTRING (" .
        implode(', ', array_map(static fn(array $p): string => "{$p[0]} {$p[1]}", walk(28_800))) .
        ")\"\n",
    ],
]);

it('takes 100,000 positions of a file and not one more', function () {
    expect(FileFormat::Gpx->read(gpxTracks(20, 5000)))->toHaveCount(20);
    expect(
        fn() => FileFormat::Gpx->read(
            str_replace('</gpx>', '<wpt lat="44.05" lon="-71.4"/></gpx>', gpxTracks(20, 5000)),
        ),
    )->toThrow(Refused::class, 'more than 100,000 positions');
});

it('refuses too much at once, with the limit named', function (FileFormat $format, string $text, string $limit) {
    expect(fn() => $format->read($text))->toThrow(Refused::class, $limit);
})->with([
    '80,000 features' => fn() => [
        FileFormat::GeoJson,
        '{"type":"FeatureCollection","features":[' .
        implode(
            ',',
            array_fill(
                0,
                80_000,
                '{"type":"Feature","geometry":{"type":"Point","coordinates":[-71.4,44.05]},"properties":{}}',
            ),
        ) .
        ']}',
        '3,000 things',
    ],
    'a million brackets' => fn() => [FileFormat::GeoJson, str_repeat('[', 1_000_000), '100,000 positions'],
    'a placemark of 120,000' => fn() => [
        FileFormat::Kml,
        '<kml><Placemark><LineString><coordinates>' .
        str_repeat('-71.4,44.05 ', 120_000) .
        '</coordinates></LineString></Placemark></kml>',
        '100,000 positions',
    ],
    'rows of corners' => fn() => [
        FileFormat::Csv,
        "name,corner,x,y\n" . str_repeat("a,1,-71.4,44.05\n", 100_002),
        '100,000 positions',
    ],
    'a line of tracks' => fn() => [FileFormat::Gpx, gpxTracks(21, 5000), '100,000 positions'],
]);

it('names the limit of one outline where a placemark has 60,000 corners', function () {
    $ring = array_map(
        static fn(int $i): string => -71.4 + cos($i / 9549.3) * 0.01 . ',' . (44.05 + sin($i / 9549.3) * 0.01),
        range(0, 59_999),
    );
    $text =
        '<kml><Placemark><Polygon><outerBoundaryIs><LinearRing><coordinates>' .
        implode(' ', [...$ring, $ring[0]]) .
        '</coordinates></LinearRing></outerBoundaryIs></Polygon></Placemark></kml>';
    expect(FileFormat::Kml->read($text)[0]->fault)->toContain('at most 5000 corners; this has 60001');
});

it('parts what a table holds in one cell as GeoJSON does', function () {
    $text =
        "name,wkt\nbeds,\"MULTIPOLYGON (((-71.4 44.05, -71.399 44.05, -71.399 44.051, -71.4 44.05)), " .
        "((-71.39 44.05, -71.389 44.05, -71.389 44.051, -71.39 44.05)))\"\n" .
        "mixed,\"GEOMETRYCOLLECTION (POINT (-71.4 44.05), MULTILINESTRING ((-71.4 44.05, -71.3 44.05), (-71.4 " .
        "44.06, -71.3 44.06)))\"\nworld,SRID=4326;POINT (-71.4 44.05)\n";
    $found = array_map(
        static fn(Entry $e): array => [$e->row, $e->name, $e->shape?->type, $e->fault],
        FileFormat::Csv->read($text),
    );
    expect($found)->toBe([
        [2, 'beds 1', 'Polygon', null],
        [2, 'beds 2', 'Polygon', null],
        [3, 'mixed 1', 'Point', null],
        [3, 'mixed 2', 'LineString', null],
        [3, 'mixed 3', 'LineString', null],
        [4, 'world', 'Point', null],
    ]);
});

it('reads decimal commas where a comma does not part the cells', function () {
    [$oak] = FileFormat::Csv->read("name;latitude;longitude;girth\nold oak;44,0512345;-71,4;2,5\n");
    expect($oak->shape?->parts[0][0])
        ->toBe([-71.4, 44.0512345])
        ->and($oak->properties)
        ->toBe(['girth' => '2,5'])
        ->and(FileFormat::Csv->read("name,latitude,longitude\nold oak,\"44,05\",-71.4\n")[0]->fault)
        ->toContain("Latitude reads '44,05'");
});

it('names another coordinate system and what to do, and takes those that are the same for us', function (
    FileFormat $format,
    string $text,
    ?string $named,
) {
    try {
        $fault = $format->read($text)[0]->fault;
    } catch (Refused $e) {
        $fault = $e->getMessage();
    }
    $named === null
        ? expect($fault)->toBeNull()
        : expect($fault)->toContain($named)->toContain('export')->toContain('WGS 84 (EPSG:4326)');
})->with([
    'web map, named' => [
        FileFormat::GeoJson,
        '{"type":"FeatureCollection","crs":{"type":"name","properties":{"name":"urn:ogc:def:crs:EPSG::3857"}},' .
        '"features":[]}',
        'urn:ogc:def:crs:EPSG::3857',
    ],
    'a zone, by its code' => [
        FileFormat::GeoJson,
        '{"type":"Feature","crs":{"type":"EPSG","properties":{"code":26919}},"geometry":{"type":"Point",' .
        '"coordinates":[1,2]},"properties":{}}',
        '26919',
    ],
    'worldwide' => [
        FileFormat::GeoJson,
        '{"type":"Point","coordinates":[-71.4,44.05],"crs":{"type":"name",' .
        '"properties":{"name":"urn:ogc:def:crs:OGC:1.3:CRS84"}}}',
        null,
    ],
    'of the continent' => [
        FileFormat::GeoJson,
        '{"type":"Point","coordinates":[-71.4,44.05],"crs":{"type":"name","properties":{"name":"EPSG:4269"}}}',
        null,
    ],
    'metres without a name' => [
        FileFormat::GeoJson,
        '{"type":"Point","coordinates":[307812.4,4880123.9]}',
        'metres of a flat map (307812, 4880124)',
    ],
    'metres in a table' => [FileFormat::Csv, "name,x,y\nold oak,307812.4,4880123.9\n", 'metres of a flat map'],
    'a text with its code' => [FileFormat::Csv, "name,wkt\nold oak,SRID=26919;POINT (307812 4880123)\n", 'EPSG:26919'],
]);

it('reads a feature a line, with or without record separators, and names a line that is broken', function (
    string $text,
) {
    expect(FileFormat::detect($text))->toBe(FileFormat::GeoJson);
    $found = array_map(
        static fn(Entry $e): array => [$e->row, $e->name, $e->fault === null],
        FileFormat::GeoJson->read($text),
    );
    expect($found)->toBe([[1, 'a', true], [2, '', false], [3, 'b', true]]);
})->with([
    'lines' =>
        '{"type":"Feature","properties":{"name":"a"},"geometry":{"type":"Point","coordinates":[1,2]}}' .
        "\n" .
        '{"type":"Feat' .
        "\r\n\n" .
        '{"type":"Feature","properties":{"name":"b"},"geometry":{"type":"Point","coordinates":[1,2]}}' .
        "\n",
    'a sequence' =>
        "\x1E" .
        '{"type":"Feature","properties":{"name":"a"},"geometry":{"type":"Point","coordinates":[1,2]}}' .
        "\n\x1E" .
        '{' .
        "\n\x1E" .
        '{"type":"Feature","properties":{"name":"b"},"geometry":{"type":"Point","coordinates":[1,2]}}' .
        "\n",
]);

it('guards every cell of a table that it writes, headers too', function () {
    /** @var array<string, mixed> $properties a name that is a number is one to PHP */
    $properties = ['=cmd' => '@x', '+a' => '-b', '-1' => '-12.5', "\ttab" => 'plain'];
    $text = FileFormat::Csv->write([Entry::of(1, '=HYPERLINK("x")', Shape::fromGeoJson(WELL), $properties)]);
    expect(explode("\n", trim($text))[0])
        ->toBe("name,geometry,'=cmd,'+a,-1,\"'\ttab\"")
        ->and($text)
        ->toContain("\"'=HYPERLINK(\"\"x\"\")\",\"POINT (-71.400001 44.05)\",'@x,'-b,-12.5,plain")
        ->and(FileFormat::Csv->read($text)[0]->properties)
        ->toBe(['=cmd' => '@x', '+a' => '-b', -1 => '-12.5', "\ttab" => 'plain']);
});
