<?php

declare(strict_types=1);

use Thicket\Assess\Board;
use Thicket\Verdict\Outcome;

/*
 * Every code of lang/en/findings.json is reached by a situation a person could be in: a rule that can no longer speak,
 * or a sentence nobody can ever read, is found here.
 */

/** @return list<array<string, mixed>> situations that together touch every rule */
function manySituations(): array
{
    $all = [...array_column(situations('settings'), 0), ...array_column(situations('harm'), 0)];
    $facts = static fn(array ...$more): array => ['facts' => [['fact' => 'setting', 'value' => 'woods'], ...$more]];
    $is = static fn(string $fact, mixed $value): array => ['fact' => $fact, 'value' => $value];
    // each species on two days of six, by turns: every class of plants is seen on all of them
    foreach (catalogue()->allSpecies() as $n => $species) {
        foreach (
            array_slice(
                [
                    ...($days = ['2026-02-10', '2026-05-10', '2026-06-05', '2026-09-20', '2026-10-15', '2026-11-10']),
                    ...$days,
                ],
                $n % 6,
                2,
            )
            as $date
        ) {
            $all[] = stand(
                ['species' => $species->id(), 'date' => $date, 'cards' => [esterCard()]] +
                    $facts($is('height', '4 ft')),
            );
        }
    }
    $maple = static fn(array $changes): array => stand($changes + ['cards' => [esterCard()]]);
    $all[] = $maple(['species' => null]);
    $all[] = $maple(['species' => null, 'seen' => ['habit' => 'woody-vine', 'leaf-type' => 'trifoliate']]);
    $all[] = stand(['species' => 'leafy-spurge', 'someoneLicensed' => true]);
    $all[] = stand(['species' => 'japanese-knotweed', 'facts' => [['fact' => 'setting', 'value' => 'water-edge']]]);
    $all[] = $maple(['listed' => ['red-maple' => 'protected', 'norway-maple' => 'protected']]);
    $all[] = $maple(['listed' => ['red-maple' => 'regulated', 'norway-maple' => 'regulated']]);
    $all[] = $maple(['stance' => 'none']);
    $all[] = $maple(['stance' => 'least-hazard']);
    $all[] = $maple(['tools' => []]);
    $all[] = $maple(
        ['stems' => [['diameter' => '7 in', 'count' => 1]]] +
            $facts($is('bark-thickness', 'corky'), $is('height', '5.5 ft')),
    );
    $all[] = $maple(
        [
            'stems' => [
                ['diameter' => '7 in', 'count' => 1],
                ['diameter' => '0.5 in', 'count' => 2, 'stemsPerClump' => 2],
            ],
        ] + $facts($is('height', '7 ft')),
    );
    $all[] = $maple(
        ['stems' => [['diameter' => '0.5 in', 'count' => 2]]] +
            $facts(
                $is('soil-moisture', 'dry'),
                $is('bark-wetness', 'wet'),
                $is('silt-on-bark', true),
                $is('grass-at-base', true),
                $is('snow-at-base', '1 in'),
            ),
    );
    $all[] = $maple(
        ['stems' => [['diameter' => '0.5 in', 'count' => 2]]] +
            $facts($is('soil-moisture', 'moist'), $is('bark-wetness', 'dry'), $is('grass-at-base', false)),
    );
    $all[] = $maple(
        ['stems' => [['from' => '5 in', 'below' => '7 in', 'count' => 3, 'stemsPerClump' => 6]]] + $facts(),
    );
    $all[] = $maple(['stems' => [['diameter' => '11 in', 'count' => 1]]] + $facts());
    $all[] = $maple(
        [
            'stems' => [['diameter' => '1.8 in', 'count' => 1], ['diameter' => '1 in', 'count' => 1]],
            'leverJaw' => '1.5 in',
        ] + $facts(),
    );
    $all[] = $maple(['stems' => [['diameter' => '1 in', 'count' => 1]], 'leverJaw' => '1.5 in'] + $facts());
    $all[] = $maple(
        $facts(
            $is('drought', true),
            $is('leaf-damage', true),
            $is('fresh-flush', true),
            $is('leaf-wetness', 'wet'),
            $is('last-mown', '2026-08-01'),
            $is('bees-flying', true),
            $is('height', '3 ft'),
        ),
    );
    $all[] = $maple($facts($is('height', '3 ft'), $is('wind-speed', '9 m/s'), $is('air-temperature', '3 C')));
    $all[] = $maple($facts($is('height', '3 ft'), $is('wind-speed', '0.5 m/s'), $is('air-temperature', '35 C')));
    foreach (['2 m/s', '5 m/s', null] as $wind) {
        $facts2 = [
            ['fact' => 'setting', 'value' => 'woods'],
            $is('height', '3 ft'),
            ...$wind === null ? [] : [$is('wind-speed', $wind)],
        ];
        $all[] = stand([
            'species' => 'bush-honeysuckle',
            'date' => '2026-09-10',
            'schools' => ['foliar-droplet' => 'fine'],
            'facts' => $facts2,
        ]);
    }
    $all[] = $maple(
        [
            'schools' => ['foliar-droplet' => 'fine'],
            'keepers' => [['kind' => 'crop', 'name' => 'beans', 'distance' => '30 m']],
        ] + $facts($is('height', '3 ft')),
    );
    $all[] = $maple($facts($is('stage', 'colour-change'), $is('height', '3 ft')));
    $all[] = $maple($facts($is('stage', 'new-soft-flush'), $is('height', '3 ft')));
    $all[] = $maple($facts($is('fruiting', true), $is('food-taken', true)));
    $all[] = $maple(['cards' => [esterCard(['licensedOnly' => true])]] + $facts());
    $all[] = $maple(['cards' => [esterCard(['licensedOnly' => true])], 'someoneLicensed' => true] + $facts());
    $all[] = $maple(
        ['cards' => [esterCard(['formulation' => 'ready-to-use', 'carriers' => ['water'], 'sites' => ['pasture']])]] +
            $facts(),
    );
    $keep = static fn(string $kind, string $distance, array $more = []): array => [
        'kind' => $kind,
        'name' => 'the kept',
        'distance' => $distance,
    ] + $more;
    $tree = ['crownRadius' => '4 m', 'height' => '9 m'];
    $all[] = $maple(
        [
            'keepers' => [
                $keep('tree', '5 m', $tree + ['species' => 'red-maple']),
                $keep('tree', '50 m', $tree),
                $keep('stock', '10 m'),
                $keep('stream', '5 m'),
                $keep('grass', '0 m'),
                $keep('forbs', '0 m'),
            ],
        ] + $facts($is('height', '3 ft')),
    );
    $all[] = $maple(['cards' => [], 'keepers' => [$keep('stream', '5 m')]] + $facts());
    $all[] = $maple(
        [
            'cards' => [
                esterCard([
                    'actives' => [['active' => 'glyphosate', 'amount' => '360 g ae/L']],
                    'carriers' => ['water'],
                    'methods' => [['method' => 'cut-stump']],
                ]),
            ],
            'keepers' => [$keep('stream', '5 m')],
        ] + $facts(),
    );
    $all[] = $maple(
        [
            'cards' => [
                esterCard([
                    'aquaticAllowed' => true,
                    'actives' => [['active' => 'glyphosate', 'amount' => '360 g ae/L']],
                    'carriers' => ['water'],
                    'methods' => [['method' => 'cut-stump']],
                ]),
            ],
            'keepers' => [$keep('stream', '5 m'), $keep('stream', '50 m')],
        ] + $facts(),
    );
    $all[] = $maple(['keepers' => [$keep('stream', '50 m')]] + $facts());
    $grass = static fn(string $date, string $height): array => stand([
        'species' => 'common-lambsquarters',
        'date' => $date,
        'stems' => [],
        'facts' => [['fact' => 'setting', 'value' => 'new-native-grass'], ['fact' => 'height', 'value' => $height]],
    ]);
    $all = [...$all, $grass('2026-06-20', '9 in'), $grass('2026-06-20', '13 in'), $grass('2026-08-20', '13 in')];
    foreach (['14 cm', '20 cm', '30 cm'] as $height) {
        $all[] = stand(
            ['species' => 'quackgrass', 'date' => '2026-09-20', 'stems' => []] + $facts($is('height', $height)),
        );
    }
    foreach (['70 F', '80 F'] as $soil) {
        $all[] = stand(
            ['species' => 'mesquite', 'date' => '2026-06-01'] +
                $facts($is('height', '3 ft'), $is('soil-temperature-30cm', $soil)),
        );
    }
    $all[] = stand(
        ['species' => 'poison-hemlock', 'date' => '2026-05-10', 'stems' => []] +
            $facts($is('stage', 'bolting'), $is('height', '3 ft')),
    );
    $nutsedge = esterCard([
        'actives' => [['active' => 'clethodim', 'amount' => '120 g ai/L']],
        'carriers' => ['water'],
        'methods' => [['method' => 'foliar-spot']],
    ]);
    $all[] = stand(
        ['species' => 'yellow-nutsedge', 'date' => '2026-06-01', 'stems' => [], 'cards' => [$nutsedge]] + $facts(),
    );
    $all[] = stand(
        ['species' => 'bush-honeysuckle', 'date' => '2026-03-01', 'schools' => ['injection-winter' => 'all-winter']] +
            $facts(),
    );

    foreach (['hive', 'crop', 'path'] as $kind) {
        $all[] = stand(leafSpray(['kind' => $kind, 'name' => 'x', 'distance' => '20 m', 'bearing' => '90']));
    }
    // preventers, orchards, people, slopes, stock, history
    $at = static fn(string $site, string $species, string $date, array $facts, array $more = []): array => stand(
        $more + [
            'species' => $species,
            'date' => $date,
            'stems' => [],
            'facts' => [['fact' => 'setting', 'value' => $site], ...$facts],
        ],
    );
    $preventer = ['cards' => [preventerCard()]];
    foreach (['2026-01-10', '2026-03-10', '2026-05-10'] as $date) {
        $all[] = $at('orchard', 'large-crabgrass', $date, [], $preventer);
    }
    $all[] = $at(
        'bed-lawn-paving',
        'large-crabgrass',
        '2026-03-01',
        [$is('weeds-up', true), $is('self-sown-kept', true), $is('sown-next', '2026-05-01')],
        $preventer,
    );
    $planted = $is('planted-on', '2024-04-01');
    $all[] = $at('orchard', 'quackgrass', '2026-09-20', [$is('green-bark', true), $planted]);
    $all[] = $at('orchard', 'quackgrass', '2026-09-20', [$planted]);
    $all[] = $at('orchard', 'quackgrass', '2026-09-20', [$planted, $is('trunk-guards', true)]);
    $all[] = $at(
        'orchard',
        'quackgrass',
        '2026-09-20',
        [$is('planted-on', '2020-04-01'), $is('hours-at-hand', '1 h')],
        ['area' => '1 ha'],
    );
    $all[] = $at('orchard', 'quackgrass', '2026-09-20', [$is('hours-at-hand', '400 h')], ['area' => '1 ha']);
    $all[] = $at('orchard', 'garden-purslane', '2026-06-01', []);
    $all[] = $at('bed-lawn-paving', 'dandelion', '2026-05-01', [
        $is('school-ground', true),
        $is('children-pets', true),
        $is('public-way', true),
    ]);
    $all[] = $at(
        'bed-lawn-paving',
        'dandelion',
        '2026-05-01',
        [$is('school-ground', true), $is('local-rule', true), $is('children-pets', true)],
        ['cards' => [sprayCard(['reentryHours' => 12])]],
    );
    $all[] = $at(
        'bed-lawn-paving',
        'large-crabgrass',
        '2026-05-20',
        [$is('public-way', true)],
        ['cards' => [sprayCard(['actives' => [['active' => 'paraquat', 'amount' => '200 g ai/L']]])]],
    );
    foreach (['red-maple', 'poison-hemlock'] as $species) {
        $all[] = $at('woods', $species, '2026-05-10', [$is('volunteers', true)]);
    }
    $all[] = stand(['species' => null, 'seen' => ['habit' => 'broadleaf-herb']] + $facts($is('volunteers', true)));
    foreach ([0, 14] as $days) {
        $all[] = $at(
            'pasture',
            'canada-thistle',
            '2026-06-20',
            [$is('grazed-from', '2026-06-11')],
            [
                'cards' => [sprayCard(['grazingDays' => $days, 'intervalDays' => 30])],
                'history' => [['on' => '2026-06-01', 'method' => 'foliar-spot', 'active' => '2-4-d']],
            ],
        );
    }
    foreach (['gentle', 'steep'] as $slope) {
        $all[] = $maple(
            ['stems' => [['diameter' => '3 in', 'count' => 2]]] +
                $facts($is('slope', $slope), $is('shallow-groundwater', true), $is('soil-moisture', 'wet')),
        );
    }
    $all[] = stand(
        ['species' => 'scotch-broom', 'date' => '2026-05-10', 'stems' => [['diameter' => '1 in', 'count' => 3]]] +
            $facts($is('slope', 'level')),
    );
    $all[] = $at(
        'pasture',
        'canada-thistle',
        '2026-06-20',
        [$is('grazed-from', '2026-07-01'), $is('hay-on', '2026-07-01')],
        ['cards' => [sprayCard(['grazingDays' => 14, 'hayDays' => 14])]],
    );
    $all[] = $at(
        'pasture',
        'canada-thistle',
        '2026-06-20',
        [$is('grazed-from', '2026-07-04'), $is('hay-on', '2026-07-04')],
        ['cards' => [sprayCard(['grazingDays' => 14, 'hayDays' => 14])]],
    );
    $all[] = $maple(
        [
            'history' => [
                ['on' => '2025-08-10', 'method' => 'basal-bark', 'active' => 'triclopyr-ester', 'failed' => true],
                ['on' => '2024-08-10', 'method' => 'girdle'],
            ],
        ] + $facts(),
    );
    foreach ([true, false] as $above) {
        $all[] = $at(
            'pasture',
            'canada-thistle',
            '2026-06-20',
            [$is('above-keepers', $above)],
            ['keepers' => [$keep('forbs', '0 m'), $keep('grass', '0 m')]],
        );
    }
    $all[] = $at('new-native-grass', 'canada-thistle', '2026-06-20', [], ['keepers' => [$keep('forbs', '0 m')]]);
    $all[] = $at('new-native-grass', 'large-crabgrass', '2026-06-20', []);
    $all[] = stand(
        ['cards' => [waterCard(['methods' => [['method' => 'foliar-spot', 'stages' => ['fruit']]]])]] +
            $facts($is('stage', 'full-leaf')),
    );
    // schools
    $all[] = $maple(['schools' => ['girdle-chem' => 'without']] + $facts());
    foreach (['all-stems', 'only-larger'] as $share) {
        $all[] = stand(['species' => 'tree-of-heaven', 'schools' => ['clonal-share' => $share]] + $facts());
    }
    foreach (['at-risk', 'unharmed'] as $parent) {
        $all[] = stand(
            [
                'species' => 'american-beech',
                'schools' => ['beech-parent' => $parent],
                'keepers' => [$keep('tree', '6 m', ['species' => 'american-beech'])],
            ] + $facts(),
        );
    }
    $all[] = stand(['species' => 'bush-honeysuckle', 'schools' => ['honeysuckle-basal' => 'avoided']] + $facts());
    foreach (['bare-only', 'among-plants'] as $ground) {
        $all[] = $at(
            'bed-lawn-paving',
            'large-crabgrass',
            '2026-03-01',
            [],
            $preventer + ['schools' => ['preventer-ground' => $ground], 'keepers' => [$keep('planting', '0 m')]],
        );
    }
    $all[] = $at(
        'bed-lawn-paving',
        'annual-bluegrass',
        '2026-04-01',
        [],
        ['schools' => ['bed-mulch' => 'not-very-effective']],
    );
    foreach (['base', 'breast-height'] as $place) {
        $all[] = $maple($facts($is('diameter-at', $place)));
    }

    return $all;
}

/** @return list<Board> judged once for all tests of this file */
function manyBoards(): array
{
    static $boards = null;

    return $boards ??= array_map(static fn(array $document): Board => board($document), manySituations());
}

it('says each thing under one key only', function () {
    $all = array_merge(
        ...array_map(
            static fn(string $file): array => array_keys((array) json_decode((string) file_get_contents($file), true)),
            glob(dirname(__DIR__, 2) . '/lang/en/*.json') ?: [],
        ),
    );
    expect(array_keys(array_filter(array_count_values($all), static fn(int $n): bool => $n > 1)))->toBe([]);
});

it('reaches every sentence of the board', function () {
    $reached = [];
    foreach (manyBoards() as $board) {
        foreach ($board->rows as $row) {
            foreach ($row->findings as $finding) {
                $reached[$finding->code] = true;
            }
        }
    }
    $written = array_keys(
        (array) json_decode((string) file_get_contents(dirname(__DIR__, 2) . '/lang/en/findings.json'), true),
    );
    $exempt = ['season.closed', 'response.disputed'];
    expect(array_values(array_diff($written, array_keys($reached), $exempt)))
        ->toBe([])
        ->and(array_values(array_diff(array_keys($reached), $written)))
        ->toBe([]);
});

it('never lets a row be better than its worst counting finding, and sorts reasons worst first', function () {
    foreach (manyBoards() as $board) {
        foreach ($board->rows as $row) {
            $ranks = array_map(static fn($f): int => $f->outcome->rank(), $row->findings);
            $sorted = $ranks;
            sort($sorted);
            expect($ranks)
                ->toBe($sorted)
                ->and($row->outcome->rank())
                ->toBe($ranks[0] ?? Outcome::Fits->rank());
            if ($row->outcome === Outcome::CannotTell) {
                expect($row->missing())->not->toBeEmpty();
            }
        }
    }
});

it('says what would change every verdict that is not open', function () {
    foreach (manyBoards() as $board) {
        foreach ($board->rows as $row) {
            foreach ($row->findings as $finding) {
                if (
                    in_array($finding->outcome, [Outcome::NotAllowed, Outcome::CannotTell], true) ||
                    ($finding->outcome === Outcome::DoesNotSuit && $finding->code !== 'form.not-for')
                ) {
                    expect($finding->change)->not->toBeNull($finding->code);
                }
                expect($finding->source)->not->toBe('');
            }
        }
    }
});

it('keeps the order of the board under another order of stems, facts and keepers', function () {
    $document = stand([
        'stems' => [['diameter' => '2 in', 'count' => 3], ['diameter' => '5 in', 'count' => 2]],
        'facts' => [
            ['fact' => 'setting', 'value' => 'woods'],
            ['fact' => 'height', 'value' => '4 ft'],
            ['fact' => 'bark-wetness', 'value' => 'dry'],
        ],
        'keepers' => [['kind' => 'tree', 'name' => 'b', 'distance' => '9 m'], ['kind' => 'path', 'name' => 'a']],
        'cards' => [esterCard()],
    ]);
    $turned =
        [
            'stems' => array_reverse($document['stems']),
            'facts' => array_reverse($document['facts']),
            'keepers' => array_reverse($document['keepers']),
        ] + $document;
    $shape = static fn(array $d): array => array_map(
        static fn($r): array => [$r->option->id(), $r->outcome],
        board($d)->rows,
    );
    expect($shape($turned))->toEqual($shape($document));
});
