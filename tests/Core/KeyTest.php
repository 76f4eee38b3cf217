<?php

declare(strict_types=1);

use Thicket\Calendar\Day;
use Thicket\Calendar\SeasonShift;
use Thicket\Identify\Comparison;
use Thicket\Identify\Key;
use Thicket\Identify\ObservedCharacters;
use Thicket\Identify\RankedSpecies;
use Thicket\Identify\Ranking;
use Thicket\Identify\SeasonalVisibility;
use Thicket\Identify\SpeciesFilter;
use Thicket\Identify\Unnamed;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;

/** @param array<string, string|list<string>> $seen */
function ranked(array $seen, ?string $day = null, ?SeasonShift $shift = null): Ranking
{
    return (new Key(catalogue()))->rank(
        ObservedCharacters::of($seen, catalogue()),
        $day === null ? null : new SeasonalVisibility($shift ?? SeasonShift::none(), Day::parse($day)),
    );
}

/** @return list<string> */
function best(Ranking $ranking, int $count): array
{
    return array_map(
        static fn(RankedSpecies $c): string => $c->speciesId,
        array_slice($ranking->candidates, 0, $count),
    );
}

function shareOf(Ranking $ranking, string $id): float
{
    return array_values(
        array_filter($ranking->candidates, static fn(RankedSpecies $c): bool => $c->speciesId === $id),
    )[0]->share;
}

it('ranks what agrees first and shows what speaks for and against', function () {
    $result = ranked([
        'habit' => 'tree',
        'leaf-type' => 'pinnate',
        'leaf-arrangement' => 'alternate',
        'bark' => 'smooth',
        'leaf-margin' => 'not-sure',
    ]);
    $first = $result->candidates[0];
    expect($first->speciesId)
        ->toBe('tree-of-heaven')
        ->and($first->share)
        ->toBeGreaterThan(1.5 * $result->candidates[1]->share)
        ->and($first->agrees)
        ->toEqualCanonicalizing(['habit', 'leaf-type', 'leaf-arrangement', 'bark'])
        ->and($first->unseen)
        ->toContain('armature', 'leaf-margin')
        ->and(array_sum(array_map(static fn($c): float => $c->share, $result->candidates)))
        ->toEqualWithDelta(1.0, 1e-9);
    $locust = array_values(
        array_filter($result->candidates, static fn(RankedSpecies $c): bool => $c->speciesId === 'black-locust'),
    )[0];
    expect($locust->conflicts)->toBe(['bark']);
    expect(
        best(
            ranked([
                'habit' => 'tree',
                'leaf-arrangement' => 'opposite',
                'leaf-type' => 'simple',
                'leaf-veins' => 'fan',
                'leaf-outline' => 'lobed',
            ]),
            4,
        ),
    )->toEqualCanonicalizing(['norway-maple', 'red-maple', 'sugar-maple', 'striped-maple']);
});

/*
 * By hand, for one answer and without season: leaf-veins curved-forward is 'always' (0.95) for common buckthorn,
 * 'never' (0.02) where another vein pattern is described, and 0.3 where a file is silent. The share is 0.95 over the
 * sum of these.
 */
it('multiplies the chances that its model states', function () {
    $described = count(
        array_filter(
            catalogue()->allSpecies(),
            static fn($s): bool => isset($s->characters()['leaf-veins']) && $s->id() !== 'common-buckthorn',
        ),
    );
    $silent = count(catalogue()->allSpecies()) - $described - 1;
    // a cactus has no leaves to vein: never; there are two
    $lacking = 2;
    $sum = 0.95 + 0.02 * ($described + $lacking) + 0.3 * ($silent - $lacking);
    expect(shareOf(ranked(['leaf-veins' => 'curved-forward']), 'common-buckthorn'))->toEqualWithDelta(
        0.95 / $sum,
        1e-9,
    );
});

it('takes open answers as neither for nor against, and asks no more of what was answered so', function () {
    $plain = ranked(['habit' => 'shrub']);
    $open = ranked([
        'habit' => 'shrub',
        (string) ($plain->next['character'] ?? '') => 'not-visible',
        'bark' => 'not-sure',
    ]);
    expect(array_map(static fn(RankedSpecies $c): float => $c->share, $open->candidates))
        ->toBe(array_map(static fn(RankedSpecies $c): float => $c->share, $plain->candidates))
        ->and($open->next['character'] ?? '')
        ->not->toBe($plain->next['character'] ?? '');
});

it('reads several states of one plant: a creeper with three and with five leaflets is the creeper', function () {
    $both = ranked(['habit' => 'woody-vine', 'leaf-type' => ['palmate', 'trifoliate']]);
    expect(best($both, 1))
        ->toBe(['virginia-creeper'])
        ->and($both->traps)
        ->toContain('mixed-leaflets')
        ->and(shareOf($both, 'poison-ivy'))
        ->toBeLessThan(shareOf(ranked(['habit' => 'woody-vine', 'leaf-type' => 'trifoliate']), 'poison-ivy'));
});

it('springs a trap where a mistake is common, softens the mistake, and warns at once', function () {
    $twined = ranked([
        'habit' => 'woody-vine',
        'leaf-arrangement' => 'opposite',
        'fruit' => 'orange-capsule',
        'climbs-by' => 'twining',
    ]);
    expect($twined->traps)
        ->toContain('entwined-vines')
        ->and(best($twined, 2))
        ->toEqualCanonicalizing(['oriental-bittersweet', 'american-bittersweet']);
    $rose = ranked([
        'leaf-arrangement' => 'opposite',
        'leaf-type' => 'pinnate',
        'armature' => 'thorns',
        'fruit' => 'red-berry',
        'habit' => 'shrub',
    ]);
    expect($rose->traps)
        ->toContain('thorny-opposite')
        ->and(best($rose, 1))
        ->toBe(['multiflora-rose']);
    $sedge = ranked(['habit' => 'grass', 'stem-section' => 'triangular', 'root' => 'tuber']);
    expect($sedge->traps)
        ->toContain('sedge-not-grass')
        ->and(best($sedge, 2))
        ->toEqualCanonicalizing(['yellow-nutsedge', 'purple-nutsedge']);
    foreach ([['leaf-type' => 'trifoliate'], ['leaflets' => 'three', 'habit' => 'woody-vine']] as $vine) {
        expect(ranked($vine)->hazards)
            ->toContain('irritant-oil')
            ->and(ranked($vine)->unsafe)
            ->toBe(['cut']);
    }
    expect(ranked(['leaf-type' => 'trifoliate', 'habit' => 'broadleaf-herb'])->traps)->toBe([]);
    expect(ranked(['flower-form' => 'umbel'])->hazards)
        ->toContain('poisonous', 'skin-burning-sap')
        ->and(ranked([])->hazards)
        ->toBe([]);
});

it('keeps in play, and warned of, a poisonous plant that one mistaken answer would hide', function (
    array $seen,
    string $plant,
) {
    $result = ranked($seen);
    expect($result->hazards)
        ->not->toBe([], $plant)
        ->and($result->unsafe)
        ->toBe(['cut']);
})->with([
    'hemlock with an opposite slip' => [
        ['flower-form' => 'umbel', 'leaf-arrangement' => 'opposite', 'flower-colour' => 'white'],
        'poison-hemlock',
    ],
    'poison ivy taken for a creeper' => [
        ['habit' => 'woody-vine', 'leaf-type' => ['trifoliate', 'palmate'], 'climbs-by' => 'rootlets'],
        'poison-ivy',
    ],
]);

it('never asks to cut or crush while a burning plant is in play', function () {
    $hemlock = ranked(['flower-colour' => 'white', 'leaf-type' => 'pinnate']);
    expect($hemlock->unsafe)
        ->toBe(['cut'])
        ->and($hemlock->next['character'] ?? '')
        ->not->toBeIn(['root', 'sap', 'pith', 'smell']);
    expect(ranked(['habit' => 'grass'])->unsafe)->toBe([]);
});

it('knows what shows in which season, and moves it with the ground', function (
    string $species,
    string $season,
    string $day,
    bool $shows,
) {
    expect(
        (new SeasonalVisibility(SeasonShift::none(), Day::parse($day), 0))->shows(
            catalogue()->keyTable()[$species]['shows'][$season],
        ),
    )->toBe($shows);
})->with([
    'red maple leafless in January' => ['red-maple', 'leaf', '2026-01-20', false],
    'ivy green in January' => ['english-ivy', 'leaf', '2026-01-20', true],
    'rose in flower on its first day' => ['multiflora-rose', 'flower', '2026-05-05', true],
    'and not the day before' => ['multiflora-rose', 'flower', '2026-05-04', false],
    'buckthorn fruit hangs into February' => ['common-buckthorn', 'fruit', '2026-02-28', true],
    'and is gone in March' => ['common-buckthorn', 'fruit', '2026-03-01', false],
    'a biennial always has leaves' => ['poison-hemlock', 'leaf', '2026-01-20', true],
]);

it('gives a fortnight of grace, and turns the year round in the south', function () {
    $rose = catalogue()->keyTable()['multiflora-rose']['shows']['flower'];
    expect((new SeasonalVisibility(SeasonShift::none(), Day::parse('2026-04-21')))->shows($rose))
        ->toBeTrue()
        ->and((new SeasonalVisibility(SeasonShift::none(), Day::parse('2026-04-20')))->shows($rose))
        ->toBeFalse()
        ->and((new SeasonalVisibility(SeasonShift::forPlace('-40', '200'), Day::parse('2026-11-06'), 0))->shows($rose))
        ->toBeTrue()
        ->and((new SeasonalVisibility(SeasonShift::forPlace('-40', '200'), Day::parse('2026-05-20'), 0))->shows($rose))
        ->toBeFalse();
});

it('doubts a flower out of season, and asks in winter for nothing that leaves or flowers show', function () {
    $flower = ['habit' => 'shrub', 'flower-form' => 'five-petal'];
    expect(shareOf(ranked($flower, '2026-01-20'), 'multiflora-rose'))->toBeLessThanOrEqual(
        shareOf(ranked($flower, '2026-05-15'), 'multiflora-rose'),
    );
    $winter = ranked(['habit' => 'tree'], '2026-01-20');
    $seasons = array_column(
        array_map(static fn($c): array => [$c->id(), (string) $c->season()], catalogue()->characters()),
        1,
        0,
    );
    expect($seasons[$winter->next['character'] ?? ''])
        ->toBe('')
        ->and($winter->showing['flower-colour'])
        ->toBeLessThan(0.1)
        ->and($winter->showing['bark'])
        ->toBeGreaterThan(0.8);
});

it('refuses what is no description', function (array $seen, string $pointer) {
    expect(fn() => ObservedCharacters::of($seen, catalogue()))->toThrow(Refused::class, $pointer);
})->with([
    'no such character' => [['taste' => 'sweet'], '/seen/taste'],
    'no such state' => [['habit' => 'dragon'], '/seen/habit'],
    'a number' => [['habit' => 3], '/seen/habit'],
    'an open answer beside a state' => [['habit' => ['tree', 'not-sure']], "'Not sure' stands alone"],
    'nothing in the list' => [['habit' => []], '/seen/habit'],
    'more than a plant can show' => [['habit' => ['tree', 'shrub', 'grass', 'sedge', 'reed']], 'up to 4'],
    'a list in the list' => [['habit' => [['tree']]], '/seen/habit'],
]);

it('handles an unnamed plant as the worst it could be, and holds while it could be a kept one', function () {
    $seen = [
        'flower-form' => 'umbel',
        'flower-colour' => 'white',
        'leaf-type' => 'pinnate',
        'stem-marks' => 'purple-blotches',
    ];
    $umbel = Unnamed::of(ranked($seen), catalogue());
    expect($umbel->holds())
        ->toBeFalse()
        ->and($umbel->hazards)
        ->toContain('poisonous', 'skin-burning-sap')
        ->and($umbel->couldBeAny)
        ->toBeFalse();
    expect(Unnamed::of(ranked($seen), catalogue(), ['poison-hemlock' => 'protected'])->listed)->toBe([
        'poison-hemlock',
    ]);
    $vine = Unnamed::of(ranked(['habit' => 'woody-vine', 'fruit' => 'orange-capsule']), catalogue());
    expect($vine->holds())->toBeTrue()->and($vine->kept)->toContain('american-bittersweet');
    expect(Unnamed::of(ranked([]), catalogue())->kept)->toContain('sugar-maple', 'oats');
});

it('puts side by side what parts two plants, best first', function () {
    $pair = Comparison::of(['poison-hemlock', 'wild-carrot'], catalogue());
    expect(array_column(array_slice($pair->rows, 0, 2), 'character'))
        ->toEqualCanonicalizing(['stem-marks', 'smell'])
        // two states that never overlap part two plants by nearly one bit
        ->and($pair->rows[0]['parts'])
        ->toBeGreaterThan(0.8)
        ->and(array_column($pair->rows, 'parts'))
        ->toBe(descending(array_column($pair->rows, 'parts')));
    expect(fn() => Comparison::of(['poison-hemlock', 'poison-hemlock'], catalogue()))->toThrow(
        Refused::class,
        'two or three different',
    );
    expect(fn() => Comparison::of(['poison-hemlock', 'dragon'], catalogue()))->toThrow(
        Refused::class,
        'not in the catalogue',
    );
});

/**
 * @param list<float> $values
 *
 * @return list<float> greatest first
 */
function descending(array $values): array
{
    rsort($values);

    return $values;
}

it('finds plants by habit, setting and what shows in a month at the ground', function () {
    $filter = new SpeciesFilter(catalogue());
    $ids = static fn(array $found): array => array_map(static fn($s): string => $s->id(), $found);
    expect($ids($filter->find(null, 'woody-vine', null, null)))
        ->toContain('kudzu', 'poison-ivy')
        ->not->toContain('autumn-olive');
    expect($ids($filter->find(null, null, 'orchard', null)))->toContain('quackgrass')->not->toContain('common-reed');
    expect($ids($filter->find(null, 'shrub', null, 1, 'fruit')))
        ->toContain('common-buckthorn', 'japanese-barberry')
        ->not->toContain('bush-honeysuckle');
    expect($ids($filter->find(null, null, null, 1, 'leaf')))->toContain('english-ivy')->not->toContain('red-maple');
    // the rose flowers from 5 to 21 May at 40 degrees; 32 days later at 48
    expect($ids($filter->find('multiflora rose', null, null, 5, 'flower')))
        ->toBe(['multiflora-rose'])
        ->and($ids($filter->find('multiflora rose', null, null, 5, 'flower', SeasonShift::forPlace('48', '200'))))
        ->toBe([]);
});

it('has a drawing of ours and a name for every state of every character', function () {
    $names =
        json_decode((string) file_get_contents(dirname(__DIR__, 2) . '/lang/en/names.json'), true) +
        json_decode((string) file_get_contents(dirname(__DIR__, 2) . '/lang/en/plants.json'), true);
    foreach (catalogue()->characters() as $character) {
        expect($names)->toHaveKey('character.' . $character->id());
        foreach ($character->states() as $state) {
            $file = dirname(__DIR__, 2) . "/resources/characters/{$character->id()}/{$state}.svg";
            expect($names)
                ->toHaveKey("state.{$state}")
                ->and(is_file($file))
                ->toBeTrue($file);
            $svg = simplexml_load_string((string) file_get_contents($file));
            expect((string) ($svg['viewBox'] ?? ''))
                ->toBe('0 0 48 48', $file)
                ->and((string) file_get_contents($file))
                ->not->toMatch('/<(script|image|text|style)|href|url\(/');
        }
    }
    foreach (catalogue()->traps() as $trap) {
        expect($names)->toHaveKey('trap.' . $trap->id());
    }
});

it('reads a hardiness zone as a whole number of its scale, and none as none', function (
    ?string $typed,
    ?int $zone,
    bool $refused,
) {
    $in = Fields::of($typed === null ? [] : ['hardinessZone' => $typed], $faults = new Faults());
    $read = SeasonalVisibility::readZone($in);
    expect($faults->any())
        ->toBe($refused)
        ->and($refused ? null : $read)
        ->toBe($zone);
})->with([
    'least' => ['1', 1, false],
    'less' => ['0', null, true],
    'most' => ['13', 13, false],
    'more' => ['14', null, true],
    'a half' => ['6.5', null, true],
    'left out' => [null, null, false],
]);

it('weighs a name by the hardiness zone of the ground and shuts none out (handbook 1, zone check)', function () {
    $share = static fn(array $seen, ?int $zone): array => array_column(
        array_map(
            static fn($c): array => [$c->speciesId, $c->share],
            (new Key(catalogue()))->rank(
                ObservedCharacters::of($seen, catalogue()),
                new SeasonalVisibility(SeasonShift::none(), Day::parse('2026-06-15'), zone: $zone),
            )->candidates,
        ),
        1,
        0,
    );
    $hardy = static fn(string $id, int $zone): bool => (new SeasonalVisibility(
        SeasonShift::none(),
        Day::parse('2026-06-15'),
        zone: $zone,
    ))->isHardy(catalogue()->keyTable()[$id]['zones']);
    $named = ['prickly-pear', 'bigroot-prickly-pear', 'creeping-woodsorrel', 'buttercup-oxalis'];
    foreach (
        [
            3 => ['bigroot-prickly-pear'],
            8 => $named,
            9 => ['prickly-pear', 'bigroot-prickly-pear', 'buttercup-oxalis'],
            11 => ['buttercup-oxalis'],
        ]
        as $zone => $there
    ) {
        expect(array_values(array_filter($named, static fn(string $id): bool => $hardy($id, $zone))))->toBe(
            $there,
            "zone {$zone}",
        );
    }
    // by hand: out of its zone the same plant counts half, against one that is hardy there
    $pads = ['leaf-type' => 'pad', 'habit' => 'cactus'];
    [$open, $cold] = [$share($pads, null), $share($pads, 3)];
    expect($cold['prickly-pear'] / $cold['bigroot-prickly-pear'])
        ->toEqualWithDelta($open['prickly-pear'] / $open['bigroot-prickly-pear'] / 2, 1e-9)
        ->and($cold['prickly-pear'])
        ->toBeGreaterThan(0.1);
});

it('names what tells two plants apart, and not what both may show', function () {
    $comparison = \Thicket\Identify\Comparison::of(['poison-hemlock', 'wild-parsnip'], catalogue());
    $parts = array_column($comparison->rows, 'parts', 'character');
    expect($comparison->parting())
        ->toContain('flower-colour')
        ->not->toContain('habit')
        ->and(min(array_intersect_key($parts, array_flip($comparison->parting()))))
        ->toBeGreaterThanOrEqual(0.3)
        ->and(max(array_diff_key($parts, array_flip($comparison->parting()))))
        ->toBeLessThan(0.3);
});
