<?php

declare(strict_types=1);

use Thicket\Catalogue\FactName;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Safety\Cautions;
use Thicket\Safety\CleanUp;
use Thicket\Safety\DangerousParts;
use Thicket\Situation\SituationReader;
use Thicket\Timing\StartLimit;
use Thicket\Timing\StartLimits;

/** @param array<string, mixed> $changes */
function cautionsFor(array $changes, string $id): Cautions
{
    $document = stand($changes);
    $situation = (new SituationReader(catalogue()))->situation(Fields::of($document, new Faults()));

    return Cautions::for($situation, row($document, $id)->option);
}

it('dresses people for the plant, the tool and the product', function (
    array $changes,
    string $id,
    array $wearing,
    array $cautions,
) {
    $all = cautionsFor($changes, $id);
    expect($all->wearing)->toContain(...$wearing)->and($all->cautions)->toContain(...$cautions);
})->with([
    'sap that burns, by hand' => [
        ['species' => 'wild-parsnip', 'stems' => []],
        'hand-pull',
        ['waterproof-gloves', 'eye-protection', 'all-skin-covered'],
        ['plant-skin-burning-sap'],
    ],
    'poison, dug out' => [
        ['species' => 'poison-hemlock', 'stems' => []],
        'dig',
        ['waterproof-gloves', 'eye-protection'],
        ['plant-poisonous', 'plant-poisonous-when-dry', 'locate-utilities'],
    ],
    'thorns' => [['species' => 'armenian-blackberry'], 'dig', ['tough-gloves'], ['plant-thorns']],
    'saw and oil' => [
        ['species' => 'red-maple'],
        'cut-stump/triclopyr-ester',
        ['hard-hat', 'chaps', 'ear-and-eye', 'chemical-gloves'],
        ['never-alone', 'chain-brake', 'oil-no-flame', 'active-vapour-in-heat', 'trained-only'],
    ],
    'axe' => [
        ['species' => 'red-maple'],
        'hack-and-squirt/glyphosate',
        ['hard-hat', 'shin-guard', 'eye-protection'],
        ['look-up', 'sharp-blade-covered', 'active-no-galvanised'],
    ],
    'soil-active' => [
        ['species' => 'red-maple'],
        'hack-and-squirt/imazapyr',
        ['chemical-gloves'],
        ['active-soil-active', 'active-shallow-groundwater'],
    ],
    'no name yet' => [['species' => null], 'hand-pull', ['waterproof-gloves', 'all-skin-covered'], ['plant-unnamed']],
    'mower' => [['species' => 'common-lambsquarters', 'stems' => []], 'mow', ['ear-and-eye'], ['bystanders-clear']],
]);

it('says what the pieces and the seed will do', function (string $species, array $has, array $hasNot) {
    $all = cautionsFor(['species' => $species, 'stems' => []], 'dig');
    expect($all->cautions)->toContain(...$has)->and(array_intersect($all->cautions, $hasNot))->toBe([]);
})->with([
    'pieces root' => ['quackgrass', ['plant-fragments-root'], ['plant-seeds-ripen']],
    'heads ripen' => ['poison-hemlock', ['plant-seeds-ripen'], ['plant-fragments-root']],
    'both' => ['curly-dock', ['plant-fragments-root', 'plant-seeds-ripen'], ['plant-unnamed']],
]);

it('does not ask for a spill kit where nothing can spill', function () {
    expect(cautionsFor(['stems' => [['diameter' => '0.5 in', 'count' => 1]]], 'hand-pull')->kit)
        ->not->toContain('spill-kit')
        ->and(cautionsFor([], 'basal-bark/triclopyr-ester')->kit)
        ->toContain('spill-kit', 'clean-water-10L', 'eyewash', 'label-on-site');
});

it('says each thing once', function () {
    foreach (catalogue()->allSpecies() as $species) {
        foreach (board(stand(['species' => $species->id()]))->rows as $row) {
            $all = cautionsFor(['species' => $species->id()], $row->option->id());
            foreach ([$all->wearing, $all->cautions, $all->kit] as $list) {
                expect($list)->toBe(array_values(array_unique($list)));
            }
        }
    }
});

it('carries the stricter of card and typical limits', function (array $card, array $expected) {
    $document = stand(['cards' => [esterCard($card)], 'facts' => [['fact' => 'setting', 'value' => 'woods']]]);
    $limits = StartLimits::for(row($document, 'basal-bark/triclopyr-ester/ester')->option)->limits;
    expect(
        array_map(static fn(StartLimit $l): array => [$l->code(), (string) $l->value->amount, $l->source], $limits),
    )->toBe($expected);
})->with([
    'silent card: only vapour' => [[], [['limit.air-temperature.most', '85', 'rulings-J3']]],
    'card stricter' => [['hottest' => '80 F'], [['limit.air-temperature.most', '80', 'label-card']]],
    'card looser' => [['hottest' => '95 F'], [['limit.air-temperature.most', '85', 'rulings-J3']]],
    'card warmer from below' => [
        ['coldest' => '40 F'],
        [['limit.air-temperature.least', '40', 'label-card'], ['limit.air-temperature.most', '85', 'rulings-J3']],
    ],
    'wind is no limit for bark' => [['windMost' => '5 mph'], [['limit.air-temperature.most', '85', 'rulings-J3']]],
]);

it('allows exactly the limit, from either side', function () {
    $most = new StartLimit(FactName::WindSpeed, false, quantity('10 mph'), 'label-card');
    $least = new StartLimit(FactName::AirTemperature, true, quantity('41 F'), 'label-card');
    expect([
        $most->allows(quantity('10 mph')),
        $most->allows(quantity('10.1 mph')),
        $least->allows(quantity('5 C')),
        $least->allows(quantity('4.9 C')),
    ])->toBe([true, false, true, false]);
});

it('never shows less than the protective floor', function () {
    foreach (catalogue()->allSpecies() as $species) {
        $situation = (new SituationReader(catalogue()))->situation(
            Fields::of(stand(['species' => $species->id()]), new Faults()),
        );
        foreach (board(stand(['species' => $species->id()]))->rows as $row) {
            $cautions = Cautions::for($situation, $row->option);
            expect($cautions->wearing)
                ->toContain('long-clothes', 'closed-shoes')
                ->and($cautions->cautions)
                ->toContain('label-and-law', 'licensed-work');
            if ($row->option->method->usesProduct()) {
                expect($cautions->wearing)
                    ->toContain('chemical-gloves', 'eye-protection')
                    ->and($cautions->kit)
                    ->toContain('eyewash', 'spill-kit');
            }
        }
    }
});

it('marks the parts that burn, poison or prick, the worst first', function (string $species, array $marked) {
    expect(DangerousParts::of(catalogue()->species($species)))->toBe($marked);
})->with([
    'every part' => ['poison-hemlock', array_fill_keys(['stem', 'leaf', 'flower', 'fruit', 'root'], 'poisons')],
    'sap on the skin' => ['wild-parsnip', array_fill_keys(['stem', 'leaf', 'flower', 'fruit'], 'burns')],
    'sap of stem and leaf' => ['tree-of-heaven', ['stem' => 'burns', 'leaf' => 'burns']],
    'thorns alone' => ['multiflora-rose', ['thorn' => 'pricks']],
    'stock alone' => ['reed-canarygrass', array_fill_keys(['stem', 'leaf', 'flower', 'fruit'], 'harmsStock')],
    'harmless' => ['american-beech', []],
]);

it('cleans the sprayer first, then the person, then what would travel (handbook 5, J24, J36)', function (
    array $document,
    string $row,
    array $must,
    array $never,
) {
    [$situation, $option] = situated($document, $row);
    $codes = CleanUp::of($situation, [$option]);
    expect(array_values(array_intersect($codes, $must)))->toBe($must)->and(array_intersect($codes, $never))->toBe([]);
})->with([
    'a leaf spray on thistles' => [
        thistlePasture([]),
        'foliar-spot/2-4-d/spray',
        ['rinse-sprayer-thrice', 'wash-gloves-on', 'clothes-apart-hot', 'run-machine-empty', 'brush-tools-boots'],
        ['rust-off-blades', 'brush-jaws-mower', 'gloves-bagged'],
    ],
    'poison hemlock pulled' => [
        herbs('pasture', 'poison-hemlock', '2026-04-20'),
        'hand-pull',
        ['gloves-bagged', 'wash-hands-face', 'clothes-apart-hot', 'tools-before-others'],
        ['rinse-sprayer-thrice', 'rust-off-blades'],
    ],
    'mowing what roots from pieces' => [
        herbs('pasture', 'canada-thistle', '2026-06-01'),
        'mow',
        ['wash-hands-face', 'brush-tools-boots', 'brush-jaws-mower'],
        ['rinse-sprayer-thrice', 'clothes-apart-hot'],
    ],
]);

it('counts the trees that die on their feet: from 4 in, or of 16 ft', function (
    array $changes,
    string $row,
    ?int $count,
) {
    [$situation, $option] = situated(stand($changes + ['date' => '2026-09-10']), $row);
    expect(Thicket\Safety\StandingTrees::of($situation, $option)?->count)->toBe($count);
})->with([
    '4 in' => [['stems' => [['diameter' => '4 in', 'count' => 7]]], 'hack-and-squirt/glyphosate', 7],
    'just under' => [['stems' => [['diameter' => '3.99 in', 'count' => 7]]], 'hack-and-squirt/glyphosate', null],
    'a class that reaches it' => [
        ['stems' => [['from' => '2 in', 'below' => '4 in', 'count' => 7]]],
        'hack-and-squirt/glyphosate',
        7,
    ],
    'thin but 16 ft tall' => [
        ['stems' => [['diameter' => '3 in', 'count' => 7]], 'facts' => [seen('height', '16 ft')]],
        'basal-bark/triclopyr-ester',
        7,
    ],
    'thin and lower' => [
        ['stems' => [['diameter' => '3 in', 'count' => 7]], 'facts' => [seen('height', '15.9 ft')]],
        'basal-bark/triclopyr-ester',
        null,
    ],
    'cut down' => [['stems' => [['diameter' => '6 in', 'count' => 7]]], 'cut-stump/glyphosate', null],
]);

it('asks for the lesser competitor where a tree is released in woods, and nowhere else', function (
    array $facts,
    bool $asked,
) {
    [$situation, $option] = situated(stand(['date' => '2026-09-10', 'facts' => $facts]), 'cut-stump/glyphosate');
    expect(in_array('lesser-competitor', Thicket\Safety\Steps::of($situation, $option), true))->toBe($asked);
})->with([
    'light in woods' => [[seen('setting', 'woods'), seen('removal-for', 'light')], true],
    'looks in woods' => [[seen('setting', 'woods'), seen('removal-for', 'looks')], false],
    'light in a pasture' => [[seen('setting', 'pasture'), seen('removal-for', 'light')], false],
    'nobody said what for' => [[seen('setting', 'woods')], false],
]);
