<?php

declare(strict_types=1);

use Thicket\Assess\Board;
use Thicket\Assess\SideBySide;
use Thicket\Catalogue\Method;
use Thicket\Catalogue\Node;
use Thicket\Economics\GrazingLost;
use Thicket\Safety\Cautions;
use Thicket\Situation\Option;
use Thicket\Situation\SituationReader;
use Thicket\Verdict\Outcome;

/*
 * Situations worked by hand in which a wrong answer hurts somebody, water, stock or what is kept: both sides of each.
 */

$low = seen('height', '1 ft');
$bare = [seen('litter', 'none'), seen('sprayed-lately', false)];

it('keeps people, water, stock and what is kept from harm', function (array $document, array $must, array $never = []) {
    expectRows($document, $must, $never);
})->with(fn(): array => situations('harm'));

/*
 * Rules ask properties: a way of working that no file knows meets every rule and caution of its kind of work.
 */
it('holds a made-up way of working to the rules and cautions of its work', function (
    array $made,
    array $document,
    array $codes,
    array $cautions,
) {
    $in = Thicket\Input\Fields::of($document, $faults = new Thicket\Input\Faults());
    $reader = new SituationReader(catalogue());
    $schools = $reader->schools($in);
    [$situation, $shed] = [$reader->situation($in), $reader->shed($in)];
    $faults->throwIfAny();
    $method = new Method(
        new Node(
            $made + [
                'id' => 'made-up',
                'family' => 'mechanical',
                'usesProduct' => false,
                'plants' => ['herb', 'woody'],
                'limits' => [],
                'tools' => [],
                'clearance' => 'none',
                'season' => 'any',
                'steps' => [],
                'mistakes' => [],
                'control' => [],
                'source' => 'handbook-2',
            ],
            'made-up',
        ),
    );
    $option = new Option(
        $method,
        isset($made['active']) ? catalogue()->active($made['active']) : null,
        null,
        $schools,
        $shed,
        catalogue(),
    );
    expect(array_values(array_diff($codes, codes(Board::judge($situation, $option)))))
        ->toBe([])
        ->and(array_values(array_diff($cautions, Cautions::for($situation, $option)->cautions)))
        ->toBe([]);
})->with([
    'fire' => [
        ['work' => 'fire', 'how' => 'flame'],
        seedbed([
            seen('drought', true),
            seen('wind-speed', '9 m/s'),
            seen('litter', 'dry'),
            seen('sprayed-lately', true),
            seen('volunteers', true),
        ]),
        ['flame.drought', 'flame.wind', 'flame.dry-litter', 'flame.sprayed-lately', 'volunteer.no-tool'],
        ['flame-work'],
    ],
    'fire on burning sap' => [
        ['work' => 'fire', 'how' => 'flame'],
        herbs('roadside-trail', 'wild-parsnip', '2026-05-10', [seen('stage', 'seedling')]),
        ['hazard.never-trim'],
        ['flame-work'],
    ],
    'machine' => [
        ['work' => 'machine', 'how' => 'mow'],
        herbs('pasture', 'poison-hemlock', '2026-05-10', [seen('volunteers', true)]),
        ['hazard.never-trim', 'poison.out-till-gone'],
        ['bystanders-clear'],
    ],
    'animals' => [
        ['work' => 'animals', 'how' => 'graze'],
        herbs(
            'pasture',
            'tansy-ragwort',
            '2026-05-10',
            [],
            ['history' => [['on' => '2026-05-01', 'method' => 'pasture-broadcast', 'active' => 'clopyralid']]],
        ),
        ['graze.toxic', 'graze.carried-over'],
        ['stock-and-poison'],
    ],
    'injection' => [
        ['work' => 'injection', 'how' => 'drill', 'onto' => 'wood', 'usesProduct' => true, 'active' => 'imazapyr'],
        mapleTrees(
            '8 in',
            [seen('height', '12 m'), seen('volunteers', true)],
            [
                'keepers' => [
                    keeper('path', 'lane', '5 m'),
                    keeper('tree', 'oak', '4 m', [
                        'species' => 'white-oak',
                        'height' => '12 m',
                        'crownRadius' => '3 m',
                    ]),
                ],
            ],
        ),
        ['dead.near-people', 'roots.soil-active-reach', 'volunteer.no-product'],
        ['standing-dead', 'active-soil-active'],
    ],
    'spray on leaves' => [
        ['work' => 'spray', 'how' => 'spray', 'onto' => 'leaf', 'usesProduct' => true, 'active' => 'clopyralid'],
        herbs(
            'open-habitat',
            'spotted-knapweed',
            '2026-07-15',
            [$low, seen('wind-speed', '9 m/s'), seen('leaf-wetness', 'wet')],
            ['keepers' => [keeper('hive', 'hives', '300 m'), keeper('organic', 'beans', '200 m')]],
        ),
        ['bees.hives-near', 'drift.ask-wind', 'weather.wind', 'leaf.wet'],
        ['no-drift', 'active-carry-over'],
    ],
    'girdle' => [
        ['work' => 'cutting', 'how' => 'girdle'],
        mapleTrees('8 in', [seen('height', '12 m')], ['keepers' => [keeper('building', 'barn', '5 m')]]),
        ['dead.near-people'],
        ['standing-dead'],
    ],
    'tillage' => [
        ['work' => 'machine', 'how' => 'till', 'depth' => ['value' => '3', 'unit' => 'in']],
        herbs('orchard', 'velvetleaf', '2026-05-10'),
        ['till.feeder-roots'],
        [],
    ],
    'digging' => [
        ['work' => 'hand', 'how' => 'dig'],
        herbs('bed-lawn-paving', 'curly-dock', '2026-05-10', [seen('slope', 'steep')]),
        ['roots.taproot-whole'],
        ['locate-utilities'],
    ],
]);

it('asks properties, never the id of a method, an active or a species', function (string $folder) {
    $ids = [
        ...array_map(static fn($m): string => $m->id(), catalogue()->allMethods()),
        ...array_map(static fn($a): string => $a->id(), catalogue()->allActives()),
        ...array_map(static fn($s): string => $s->id(), catalogue()->allSpecies()),
    ];
    // words that are also something else: kinds of work, causes, conditions
    $ids = array_diff($ids, [
        'dig',
        'girdle',
        'flame',
        'mow',
        'wick',
        'bruise',
        'smother',
        'patrol',
        'oats',
        'trunk-guards',
        'hoe',
    ]);
    $found = [];
    foreach (
        new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator(dirname(__DIR__, 2) . "/{$folder}", FilesystemIterator::SKIP_DOTS),
        )
        as $file
    ) {
        preg_match_all(
            "/'([a-z0-9]+(?:-[a-z0-9]+)*)'/",
            (string) preg_replace('#/\*.*?\*/|//[^\n]*#s', '', (string) file_get_contents((string) $file)),
            $words,
        );
        foreach (array_intersect($words[1], $ids) as $id) {
            $found[] = basename((string) $file) . ": {$id}";
        }
    }
    expect(array_values(array_unique($found)))->toBe([]);
})->with(['core/src', 'app']);

it('never lets a row fit while its own sheet forbids it', function () use ($bare) {
    foreach (board(seedbed([...$bare, seen('drought', true)]))->rows as $row) {
        if ($row->option->method->work() === 'fire') {
            expect($row->outcome)->not->toBe(Outcome::Fits);
        }
    }
});

it('counts the grazing that injured grass costs beside the days of the card', function (
    string $row,
    array $facts,
    array $lost,
    string $kept = 'grass',
) {
    $document = herbs(
        'pasture',
        'common-blackberry',
        '2026-09-20',
        [seen('height', '4 ft'), ...$facts],
        ['keepers' => [keeper($kept, 'sod', '0 m', $kept === 'grass' ? ['species' => 'bahiagrass'] : [])]],
    );
    $found = GrazingLost::of(...situated($document, $row));
    expect([$found->kind, $found->from, $found->to])->toBe($lost);
})->with([
    'yellows and comes back' => ['pasture-broadcast/metsulfuron', [seen('grass-form', 'broad')], ['passing', 4, 10]],
    'the form that does not' => ['pasture-broadcast/metsulfuron', [seen('grass-form', 'narrow')], ['lost', null, null]],
    'no form told' => ['pasture-broadcast/metsulfuron', [], ['by-form', null, null]],
    'sown this spring' => [
        'pasture-broadcast/metsulfuron',
        [seen('grass-form', 'broad'), seen('planted-on', '2026-04-10')],
        ['lost', null, null],
    ],
    'wholly safe' => ['pasture-broadcast/chlorsulfuron', [], ['none', null, null]],
    'aimed at each plant' => ['foliar-spot/glyphosate', [], ['none', null, null]],
    'no grass is kept' => ['pasture-broadcast/metsulfuron', [], ['none', null, null], 'forbs'],
]);

it('names in the comparison every harm that the verdict tells', function (string $row, array $document, string $code) {
    [$situation] = situated($document, $row);
    expect(array_column(SideBySide::of($situation, row($document, $row), [])->harms, 'code'))->toContain($code);
})->with([
    'standing dead' => [
        'girdle',
        mapleTrees('8 in', [seen('height', '12 m')], ['keepers' => [keeper('path', 'lane', '23 m')]]),
        'dead.near-people',
    ],
    'poison and stock' => [
        'hand-pull',
        herbs('pasture', 'poison-hemlock', '2026-04-10', [seen('grazed-from', '2026-04-01')]),
        'poison.move-stock-dry',
    ],
]);
