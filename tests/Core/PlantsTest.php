<?php

declare(strict_types=1);

use Thicket\Calendar\Day;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\CatalogueFiles;
use Thicket\Catalogue\Exception\BrokenData;
use Thicket\Catalogue\Exception\UnknownEntry;
use Thicket\Input\Refused;
use Thicket\Measure\Unit;
use Thicket\Season\Phenology;
use Thicket\Survey\Outline;

it('fits its schemas, every file, and compiles once', function () {
    $directory = sys_get_temp_dir() . '/thicket-' . bin2hex(random_bytes(4));
    mkdir($directory);
    $files = new CatalogueFiles(dirname(__DIR__, 2) . '/core/data', dirname(__DIR__, 2) . '/docs/schemas');
    $catalogue = $files->compile($directory);
    expect($catalogue->hash)
        ->toBe($files->compile($directory)->hash)
        ->and($catalogue->allSpecies())
        ->toHaveCount(count(glob(dirname(__DIR__, 2) . '/core/data/species/*.yaml') ?: []))
        ->and(glob("{$directory}/*"))
        ->toHaveCount(1);
    array_map(unlink(...), glob("{$directory}/*") ?: []);
    rmdir($directory);
});

it('names file, place and fault of broken data', function () {
    $directory = sys_get_temp_dir() . '/thicket-' . bin2hex(random_bytes(4));
    exec('cp -r ' . escapeshellarg(dirname(__DIR__, 2) . '/core/data') . ' ' . escapeshellarg($directory));
    file_put_contents(
        "{$directory}/species/curly-dock.yaml",
        str_replace(
            'lifeCycle: simple-perennial',
            'lifeCycle: forever',
            (string) file_get_contents("{$directory}/species/curly-dock.yaml"),
        ),
    );
    expect(fn() => (new CatalogueFiles($directory, dirname(__DIR__, 2) . '/docs/schemas'))->read(true))->toThrow(
        BrokenData::class,
        'curly-dock.yaml: /lifeCycle',
    );
    exec('rm -r ' . escapeshellarg($directory));
});

it('holds plausible facts', function () {
    foreach (catalogue()->allSpecies() as $species) {
        $years = $species->seedBankYears();
        expect($years === null || ($years['min'] <= $years['typical'] && $years['typical'] <= $years['max']))->toBeTrue(
            $species->id(),
        );
        foreach ($species->knownResponses() as $active) {
            expect(catalogue()->hasActive($active))->toBeTrue("{$species->id()} names {$active}");
        }
        foreach ($species->characters() as $character => $states) {
            $known = array_column(
                array_map(static fn($node): array => [$node->id(), $node->states()], catalogue()->characters()),
                1,
                0,
            );
            expect($known)
                ->toHaveKey($character)
                ->and(array_diff(array_keys($states), $known[$character]))
                ->toBe([], "{$species->id()} {$character}");
        }
        foreach (catalogue()->lookAlikesOf($species->id()) as $pair) {
            foreach ($pair->tests() as $test) {
                expect([$test->pointsTo('yes'), $test->pointsTo('no')])->each->toBeIn($pair->species());
            }
        }
    }
    expect(fn() => catalogue()->species('dragon'))->toThrow(UnknownEntry::class);
});

it('estimates stage and stream from date and place', function (
    string $species,
    string $day,
    string $stage,
    string $flow,
) {
    $phenology = new Phenology(catalogue()->species($species), SeasonShift::none());
    expect([$phenology->stageOn(Day::parse($day)), $phenology->flowOn(Day::parse($day))])->toBe([$stage, $flow]);
})->with([
    'bare in January' => ['red-maple', '2026-01-10', 'dormant', 'still'],
    'sap in March' => ['norway-maple', '2026-03-10', 'dormant', 'up'],
    'leaf in June' => ['tree-of-heaven', '2026-06-05', 'full-leaf', 'up'],
    'thistle in bud' => ['canada-thistle', '2026-06-10', 'bud', 'up'],
    'thistle in autumn' => ['canada-thistle', '2026-09-10', 'autumn-regrowth', 'down'],
    'hemlock rosette' => ['poison-hemlock', '2026-02-01', 'rosette', 'up'],
]);

/*
 * Areas of quadrangles between parallels and meridians, in closed form on WGS 84:
 * a2/2 x (q(north) - q(south)) x width in radians; small enough that straight edges and parallels agree to 0.1 %.
 */
it('knows the area on the ellipsoid', function (float $south, float $west, float $step, float $squareMetres) {
    $ring = [
        [$west, $south],
        [$west + $step, $south],
        [$west + $step, $south + $step],
        [$west, $south + $step],
        [$west, $south],
    ];
    $area = Outline::fromGeoJson(['type' => 'Polygon', 'coordinates' => [$ring]])
        ->area()
        ->float(Unit::SquareMetre);
    expect(abs($area / $squareMetres - 1))->toBeLessThan(0.001);
})->with([
    'a hundredth of a degree at the equator' => [0.0, 10.0, 0.01, 1230907.2018],
    'at 44 north' => [44.0, -70.0, 0.01, 891114.93],
    'at 44 south' => [-44.01, 170.0, 0.01, 891114.93],
    'at 65 north' => [65.0, 20.0, 0.01, 525874.35],
    'a garden at 44 north' => [44.0, -70.0, 0.0001, 89.1188],
]);

it('takes holes out and reads a feature', function () {
    $outer = [[0, 44], [0.002, 44], [0.002, 44.002], [0, 44.002], [0, 44]];
    $hole = [[0.0005, 44.0005], [0.0015, 44.0005], [0.0015, 44.0015], [0.0005, 44.0015], [0.0005, 44.0005]];
    $whole = Outline::fromGeoJson(['type' => 'Feature', 'geometry' => ['type' => 'Polygon', 'coordinates' => [$outer]]])
        ->area()
        ->float(Unit::SquareMetre);
    $holed = Outline::fromGeoJson([
        'type' => 'FeatureCollection',
        'features' => [['type' => 'Feature', 'geometry' => ['type' => 'Polygon', 'coordinates' => [$outer, $hole]]]],
    ])
        ->area()
        ->float(Unit::SquareMetre);
    expect($holed / $whole)->toEqualWithDelta(0.75, 0.0005);
});

it('refuses an outline that is none, and says what is wrong', function (mixed $json, string $says) {
    expect(fn() => Outline::fromGeoJson($json))->toThrow(Refused::class, $says);
})->with([
    'a point' => [['type' => 'Point', 'coordinates' => [1, 2]], 'Give a GeoJSON Polygon'],
    'text' => ['here', 'Give a GeoJSON Polygon'],
    'two corners' => [
        ['type' => 'Polygon', 'coordinates' => [[[0, 0], [1, 1], [0, 0]]]],
        'at least three different corners',
    ],
    'bow tie' => [['type' => 'Polygon', 'coordinates' => [[[0, 0], [1, 1], [1, 0], [0, 1], [0, 0]]]], 'crosses itself'],
    'swapped axes' => [['type' => 'Polygon', 'coordinates' => [[[44, 120], [44, 121], [45, 121]]]], 'look swapped'],
    'off the globe' => [['type' => 'Polygon', 'coordinates' => [[[0, 0], [200, 1], [1, 1]]]], 'Longitude runs from'],
    'letters' => [['type' => 'Polygon', 'coordinates' => [[['a', 'b'], [1, 1], [1, 0]]]], 'decimal degrees'],
    'across the date line' => [
        ['type' => 'Polygon', 'coordinates' => [[[179, 0], [-179, 0], [-179, 1], [179, 1]]]],
        '180th meridian',
    ],
    'two features' => [['type' => 'FeatureCollection', 'features' => [[], []]], 'exactly one outline'],
]);

/** @return array<string, array<string, mixed>> every species as it stands in its file */
function speciesFiles(): array
{
    $out = [];
    foreach (glob(dirname(__DIR__, 2) . '/core/data/species/*.yaml') ?: [] as $file) {
        $out[basename($file, '.yaml')] = Symfony\Component\Yaml\Yaml::parseFile($file);
    }

    return $out;
}

it('holds what handbook 1 asks for: 120 species and more, years and months in their order', function () {
    $all = speciesFiles();
    expect(count($all))->toBeGreaterThanOrEqual(120);
    $order = ['leafOut', 'fullLeaf'];
    foreach ($all as $id => $species) {
        $years = $species['seed']['bankYears'];
        if (is_array($years)) {
            expect($years['min'] <= $years['typical'] && $years['typical'] <= $years['max'])->toBeTrue(
                "seed years of {$id}",
            );
        }
        expect($species['stemsPerClump']['typical'] <= $species['stemsPerClump']['most'])->toBeTrue("stems of {$id}");
        $of = array_filter($species['phenology'], static fn(mixed $day): bool => $day !== 'unknown');
        foreach (
            [
                $order,
                ['bud', 'flower'],
                ['boot', 'flower'],
                ['bolt', 'flower'],
                ['flower', 'fruitRipe'],
                ['firstColour', 'leafFall'],
            ]
            as [$before, $after]
        ) {
            // ivy flowers in autumn and ripens in the spring after
            $nextYear = $after === 'fruitRipe' && ($of['fruitRipe'] ?? '') < '06-01';
            if (isset($of[$before], $of[$after]) && !$nextYear) {
                expect($of[$before] < $of[$after])->toBeTrue("{$before} before {$after} of {$id}");
            }
        }
        expect(!isset($species['hardiness']) || $species['hardiness']['from'] <= $species['hardiness']['to'])
            ->toBeTrue("zones of {$id}")
            ->and(
                array_key_exists('bark', $species) ===
                    ($species['lifeCycle'] === 'woody' && $species['habit'] !== 'cactus'),
            )
            ->toBeTrue("bark of {$id}");
    }
});

it('keeps the lengths of seed banks that the rulings name (J23)', function (string $id, int $least, int $most) {
    expect(catalogue()->species($id)->seedBankYears()['typical'] ?? 0)->toBeBetween($least, $most, $id);
})->with(static function (): Generator {
    $named = [
        'short' => [
            1,
            3,
            [
                'common-privet',
                'bush-honeysuckle',
                'norway-maple',
                'red-maple',
                'sugar-maple',
                'striped-maple',
                'tree-of-heaven',
            ],
        ],
        'middle' => [3, 8, ['common-buckthorn', 'glossy-buckthorn', 'wild-parsnip', 'poison-hemlock', 'autumn-olive']],
        'long' => [
            8,
            25,
            [
                'bull-thistle',
                'canada-thistle',
                'musk-thistle',
                'spotted-knapweed',
                'russian-knapweed',
                'multiflora-rose',
            ],
        ],
        'decades' => [
            20,
            100,
            ['scotch-broom', 'gorse', 'field-bindweed', 'common-purslane', 'velvetleaf', 'common-mullein'],
        ],
    ];
    foreach ($named as $class => [$least, $most, $ids]) {
        foreach ($ids as $id) {
            yield "{$class}: {$id}" => [$id, $least, $most];
        }
    }
});

it('says one thing of one plant: spread, roots and what its pieces do agree', function () {
    foreach (catalogue()->allSpecies() as $species) {
        $spread = $species->spread();
        expect(in_array('root-suckers', $spread, true))->toBe(
            $species->suckers() === true,
            "root suckers of {$species->id()}",
        );
        in_array('fragments', $spread, true) &&
            expect($species->fragmentsRegrow())->toBeTrue("fragments of {$species->id()}");
        in_array($species->rootForm(), ['creeping-root', 'suckering-root'], true) &&
            expect($species->suckers())->toBeTrue("roots of {$species->id()}");
        foreach ($species->knownResponses() as $active) {
            $stage = $species->bestStageFor($active);
            expect(
                $stage === null || in_array($stage, Thicket\Catalogue\FactName::Stage->choices() ?? [], true),
            )->toBeTrue("{$stage} of {$species->id()}");
            $stage === 'autumn-regrowth' &&
                expect($species->dayOf('autumnRegrowth'))->not->toBeNull("autumn regrowth of {$species->id()}");
        }
        foreach ([['rhizomes', 'rhizome'], ['bulblets', 'bulblet']] as [$way, $form]) {
            $species->rootForm() === $form && expect($spread)->toContain($way);
        }
    }
});

/** @return array<string, int> facts that nobody knows, over the catalogue */
function unknowns(): array
{
    $count = array_fill_keys(
        [
            'resproutsWhenCut',
            'rootSuckering',
            'waxyLeaf',
            'regrowsFromFragments',
            'seedsRipenAfterCutting',
            'sapFlow',
            'shade',
            'drought',
            'root form',
            'root depth',
            'seed years',
            'bark texture',
            'bark thickness',
            'greatest height',
            'hardiness',
            'no response known',
        ],
        0,
    );
    foreach (speciesFiles() as $file) {
        foreach (
            [
                'resproutsWhenCut',
                'rootSuckering',
                'waxyLeaf',
                'regrowsFromFragments',
                'seedsRipenAfterCutting',
                'sapFlow',
                'shade',
                'drought',
            ]
            as $field
        ) {
            $count[$field] += ($file[$field] ?? 'unknown') === 'unknown' ? 1 : 0;
        }
        $count['root form'] += $file['root']['form'] === 'unknown' ? 1 : 0;
        $count['root depth'] += $file['root']['depth'] === 'unknown' ? 1 : 0;
        $count['seed years'] += $file['seed']['bankYears'] === 'unknown' ? 1 : 0;
        $count['bark texture'] += ($file['bark']['texture'] ?? '') === 'unknown' ? 1 : 0;
        $count['bark thickness'] += ($file['bark']['thickness'] ?? '') === 'unknown' ? 1 : 0;
        $count['greatest height'] += isset($file['greatestHeight']) ? 0 : 1;
        $count['hardiness'] += isset($file['hardiness']) ? 0 : 1;
        $count['no response known'] += $file['responses'] === [] ? 1 : 0;
    }

    return $count;
}

it('reports how many of each fact nobody knows, as docs/catalogue.md says', function () {
    // columns are filled up, and lines are filled out
    $page = (string) preg_replace('/\s+/', ' ', (string) file_get_contents(dirname(__DIR__, 2) . '/docs/catalogue.md'));
    $wrong = [];
    foreach (unknowns() as $field => $count) {
        str_contains($page, "| {$field} | {$count} |") || ($wrong[] = "{$field}: {$count} species without it");
    }
    str_contains($page, count(speciesFiles()) . ' species') || ($wrong[] = count(speciesFiles()) . ' species in all');
    expect($wrong)->toBe([], 'Mend docs/catalogue.md.');
});

/** @return array<string, string> */
function sentencesOf(string $file): array
{
    return json_decode(
        (string) file_get_contents(dirname(__DIR__, 2) . "/lang/en/{$file}.json"),
        true,
        4,
        JSON_THROW_ON_ERROR,
    );
}

it('has the sentences of every species and of every test that parts look-alikes in lang, and no others', function () {
    $plants = $looks = [];
    foreach (catalogue()->allSpecies() as $species) {
        foreach (['origin', 'why', 'by-hand', 'look-first'] as $what) {
            $plants[] = "plant.{$species->id()}.{$what}";
        }
    }
    foreach (glob(dirname(__DIR__, 2) . '/core/data/lookalikes/*.yaml') ?: [] as $file) {
        foreach (Symfony\Component\Yaml\Yaml::parseFile($file)['tests'] as $test) {
            $looks[] = 'look.' . basename($file, '.yaml') . ".{$test['id']}";
        }
    }
    $written = array_filter(
        array_keys(sentencesOf('species')),
        static fn(string $key): bool => !str_ends_with($key, '.instead'),
    );
    expect($written)
        ->toEqualCanonicalizing($plants)
        ->and(array_keys(sentencesOf('lookalikes')))
        ->toEqualCanonicalizing($looks);
});

it('shares no more than three fifths of its words between two species', function () {
    $said = sentencesOf('species');
    $words = array_map(
        static fn(array $s): array => array_unique(
            preg_split(
                '/[^a-z]+/',
                strtolower(
                    implode(
                        ' ',
                        array_map(static fn(string $what): string => $said["plant.{$s['id']}.{$what}"] ?? '', [
                            'why',
                            'by-hand',
                            'look-first',
                        ]),
                    ),
                ),
                -1,
                PREG_SPLIT_NO_EMPTY,
            ) ?:
            [],
        ),
        speciesFiles(),
    );
    // one without sentences is found above
    $words = array_filter($words);
    $ids = array_keys($words);
    $worst = ['', 0.0];
    foreach ($ids as $i => $a) {
        foreach (array_slice($ids, $i + 1) as $b) {
            $share = count(array_intersect($words[$a], $words[$b])) / min(count($words[$a]), count($words[$b]));
            $worst = $share > $worst[1] ? ["{$a} and {$b}", $share] : $worst;
        }
    }
    expect($worst[1])->toBeLessThan(0.6, $worst[0]);
});

it('names a test for every pair that could be taken for one another, and a danger or none', function () {
    foreach (glob(dirname(__DIR__, 2) . '/core/data/lookalikes/*.yaml') ?: [] as $file) {
        $pair = Symfony\Component\Yaml\Yaml::parseFile($file);
        [$a, $b] = $pair['pair'];
        expect(basename($file, '.yaml'))
            ->toBe("{$a}--{$b}")
            ->and(catalogue()->lookAlikesOf($a))
            ->not->toBeEmpty()
            ->and(catalogue()->lookAlikesOf($b))
            ->not->toBeEmpty();
        foreach ($pair['tests'] as $test) {
            expect(array_values($test['points']))->toEqualCanonicalizing([$a, $b]);
        }
    }
    foreach (
        [
            ['white-mulberry', 'red-mulberry'],
            ['poison-ivy', 'virginia-creeper'],
            ['spotted-spurge', 'common-milkweed'],
            ['oriental-bittersweet', 'american-bittersweet'],
        ]
        as [$target, $other]
    ) {
        $pairs = array_map(static fn($p): array => $p->species(), catalogue()->lookAlikesOf($target));
        expect(array_merge(...$pairs))->toContain($other);
    }
});

it('finds a plant by any name, and through a slip of the pen', function (string $typed, ?string $first) {
    expect((new Thicket\Catalogue\NameSearch(catalogue()))->find($typed)[0]['species'] ?? null)->toBe($first);
})->with([
    'common name' => ['Kudzu', 'kudzu'],
    'synonym' => ['couch gr', 'quackgrass'],
    'old scientific name' => ['acroptilon', 'russian-knapweed'],
    'no apostrophe' => ['st johns wort', 'st-johns-wort'],
    'one letter wrong' => ['kudzo', 'kudzu'],
    'two letters wrong in ten' => ['japanesse knottweed', 'japanese-knotweed'],
    'a letter left out' => ['burdck', 'common-burdock'],
    'too far off' => ['kxyzo', null],
    'three letters give no room for slips' => ['kxd', null],
    'nothing' => ['  ', null],
]);

it('shows both plants that people call milkweed', function () {
    expect(array_column((new Thicket\Catalogue\NameSearch(catalogue()))->find('milkweed'), 'species'))->toContain(
        'common-milkweed',
        'spotted-spurge',
    );
});
