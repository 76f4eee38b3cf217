<?php

declare(strict_types=1);

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
use Thicket\Mix\Advice\Advisory;
use Thicket\Mix\Advice\MixPlan;
use Thicket\Mix\Advice\MixRules;
use Thicket\Mix\Calibration;
use Thicket\Mix\Component;
use Thicket\Mix\LabelLoad;
use Thicket\Mix\Leftover;
use Thicket\Mix\LimitCheck;
use Thicket\Mix\NozzleCheck;
use Thicket\Mix\Recipe;
use Thicket\Mix\RecipeSolver;
use Thicket\Mix\TankPlan;
use Thicket\Situation\SituationReader;
use Thicket\Survey\Outline;
use Thicket\Survey\Overlap;

/*
 * What is to be said of a mix, how the sprayer is measured, how loads are parted, and what shared ground carries; by
 * hand.
 */

/**
 * @param array<string, mixed> $document changes of the stand
 * @param array<string, mixed> $plan changes of the plan
 *
 * @return list<Advisory>
 */
function advice(string $row, array $document = [], array $plan = []): array
{
    $document = stand(
        $document + [
            'cards' => [waterCard(), esterCard()],
            'facts' => [
                ['fact' => 'setting', 'value' => 'woods'],
                ['fact' => 'bark-texture', 'value' => 'smooth'],
                ...isset($plan['air']) ? [['fact' => 'air-temperature', 'value' => $plan['air']]] : [],
            ],
        ],
    );
    $situation = (new SituationReader(catalogue()))->situation(Fields::of($document, new Faults()));
    $option = row($document, $row)->option;
    $extras = array_map(
        static fn(string $role): Component => new Component($role, $role, Strength::parse('0.5 %')),
        $plan['extras'] ?? [],
    );

    return MixRules::judge(mixPlan($situation, $option, $option->carrier() ?? 'water', $plan, $extras));
}

/** @return list<string> "level code" */
function words(string $row, array $document = [], array $plan = []): array
{
    return array_map(static fn(Advisory $w): string => "{$w->level} {$w->code}", advice($row, $document, $plan));
}

/** @return array<string, mixed> */
function amineCard(): array
{
    return [
        'id' => 'amine',
        'product' => 'triclopyr amine 360 g/L',
        'actives' => [['active' => 'triclopyr-amine', 'amount' => '360 g ae/L']],
        'methods' => [['method' => 'foliar-spot', 'min' => '0.75%', 'max' => '2%']],
    ] + waterCard();
}

/** @return array<string, mixed> an ester whose card lists fuel oil */
function fuelOil(array $facts = [], array $card = []): array
{
    return [
        'cards' => [esterCard($card + ['carriers' => ['oil', 'fuel-oil']])],
        'facts' => [
            ['fact' => 'setting', 'value' => 'woods'],
            ['fact' => 'bark-texture', 'value' => 'smooth'],
            ...$facts,
        ],
    ];
}

/** @return array<string, mixed> */
function byWater(string $distance): array
{
    return ['facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'water-distance', 'value' => $distance]]];
}

/** @return array<string, mixed> */
function contactOn(string $stage): array
{
    $card =
        [
            'id' => 'contact',
            'product' => 'glufosinate 150 g/L',
            'actives' => [['active' => 'glufosinate', 'amount' => '150 g ai/L']],
        ] + waterCard();

    return ['species' => 'velvetleaf', 'cards' => [$card], 'facts' => [['fact' => 'stage', 'value' => $stage]]];
}

/**
 * @return array<string, mixed> a card with a line for full leaf, and one for all stages besides; 2 % for all, 1 % in
 * full leaf
 */
function parted(?string $stage, bool $forAll = true): array
{
    $lines = [
        ['method' => 'foliar-spot', 'min' => '0.5%', 'max' => '1%', 'stages' => ['full-leaf']],
        ...$forAll ? [['method' => 'foliar-spot', 'min' => '0.5%', 'max' => '2%']] : [],
    ];

    return [
        'cards' => [waterCard(['methods' => $lines])],
        'facts' => $stage === null ? [] : [['fact' => 'stage', 'value' => $stage]],
    ];
}

it('holds the strength under the line of the stage, and under the strictest where nobody looked', function (
    ?string $stage,
    bool $forAll,
    ?string $most,
    bool $finished,
) {
    $document = stand(parted($stage, $forAll) + ['area' => '1000 m2']);
    $situation = (new SituationReader(catalogue()))->situation(Fields::of($document, new Faults()));
    $option = row($document, 'foliar-spot/glyphosate/water')->option;
    $solver = new RecipeSolver($situation, $option, quantity('1000 m2'));
    $recipe = $solver->advised(new MixPlan($situation, $option, 'water'), quantity('15 L'));
    // typical is 1.5 %: the line for full leaf allows 1 %
    expect($recipe->strength === null ? null : Thicket\Measure\Shown::number($recipe->strength->percent()->amount))
        ->toBe($most)
        ->and($recipe->isFinished())
        ->toBe($finished);
})->with([
    'its stage' => ['full-leaf', true, '1', true],
    'another stage' => ['fruit', true, '1.5', true],
    'nobody looked' => [null, true, '1', true],
    'nobody looked, stages only' => [null, false, '1', false],
    'another stage, stages only' => ['fruit', false, null, false],
]);

it('judges a use by the stages and days of its card', function (array $document, string $code, ?string $opens) {
    $row = row(stand($document), 'foliar-spot/glyphosate/water');
    $found = array_values(array_filter($row->findings, static fn($f): bool => $f->code === $code));
    expect($found)
        ->not->toBe([], implode(', ', codes($row)))
        ->and($found[0]->opens?->format('Y-m-d'))
        ->toBe($opens);
})->with([
    'not at this stage' => [parted('fruit', false), 'card.not-at-this-stage', null],
    'not on these days' => [
        [
            'cards' => [
                waterCard([
                    'methods' => [['method' => 'foliar-spot', 'max' => '2%', 'from' => '09-01', 'to' => '10-31']],
                ]),
            ],
        ],
        'card.not-at-this-stage',
        '2026-09-01',
    ],
]);

it('says of a mix', function (string $row, array $document, array $plan, string $word, bool $said) {
    $all = words($row, $document, $plan);
    $said ? expect($all)->toContain($word) : expect($all)->not->toContain($word);
})->with([
    'carrier on the card' => ['cut-stump/glyphosate/water', [], [], 'blocks mix.carrier-not-on-card', false],
    'carrier not on the card' => [
        'cut-stump/glyphosate/water',
        [],
        ['carrier' => 'oil'],
        'blocks mix.carrier-not-on-card',
        true,
    ],
    'a salt in oil' => ['cut-stump/glyphosate/water', [], ['carrier' => 'oil'], 'blocks mix.water-borne-in-oil', true],
    'a salt in water' => ['cut-stump/glyphosate/water', [], [], 'blocks mix.water-borne-in-oil', false],
    'bark in water' => [
        'basal-bark/triclopyr-ester/ester',
        [],
        ['carrier' => 'water'],
        'blocks mix.bark-wants-oil',
        true,
    ],
    'bark in oil' => ['basal-bark/triclopyr-ester/ester', [], [], 'blocks mix.bark-wants-oil', false],
    'oil in water' => ['foliar-spot/glyphosate/water', [], ['extras' => ['oil']], 'asks mix.emulsifier-missing', true],
    'oil in water with emulsifier' => [
        'foliar-spot/glyphosate/water',
        [],
        ['extras' => ['oil', 'emulsifier']],
        'asks mix.emulsifier-missing',
        false,
    ],
    'emulsifier and surfactant' => [
        'foliar-spot/glyphosate/water',
        [],
        ['extras' => ['emulsifier', 'surfactant']],
        'blocks mix.emulsifier-with-surfactant',
        true,
    ],
    'surfactant alone' => [
        'foliar-spot/glyphosate/water',
        [],
        ['extras' => ['surfactant']],
        'blocks mix.emulsifier-with-surfactant',
        false,
    ],
    'surfactant, card silent' => [
        'foliar-spot/glyphosate/water',
        ['cards' => [['surfactantInside' => null] + waterCard()]],
        ['extras' => ['surfactant']],
        'asks mix.surfactant-inside',
        true,
    ],
    'surfactant, inside already' => [
        'foliar-spot/glyphosate/water',
        ['cards' => [['surfactantInside' => true] + waterCard()]],
        ['extras' => ['surfactant']],
        'blocks mix.surfactant-twice',
        true,
    ],
    'surfactant, none inside' => [
        'foliar-spot/glyphosate/water',
        ['cards' => [['surfactantInside' => false] + waterCard()]],
        ['extras' => ['surfactant']],
        'blocks mix.surfactant-twice',
        false,
    ],
    'a waxy leaf' => [
        'foliar-spot/glyphosate/water',
        ['species' => 'english-ivy', 'cards' => [['surfactantInside' => false] + waterCard()]],
        [],
        'care mix.waxy-leaf',
        true,
    ],
    'a waxy leaf with surfactant' => [
        'foliar-spot/glyphosate/water',
        ['species' => 'english-ivy', 'cards' => [['surfactantInside' => false] + waterCard()]],
        ['extras' => ['surfactant']],
        'care mix.waxy-leaf',
        false,
    ],
    'a leaf that is not waxy' => [
        'foliar-spot/glyphosate/water',
        ['cards' => [['surfactantInside' => false] + waterCard()]],
        [],
        'care mix.waxy-leaf',
        false,
    ],
    'muddy water' => ['cut-stump/glyphosate/water', [], ['water' => 'muddy'], 'blocks mix.muddy-water', true],
    'clear water' => ['cut-stump/glyphosate/water', [], ['water' => 'clear'], 'blocks mix.muddy-water', false],
    'hard water' => ['cut-stump/glyphosate/water', [], ['water' => 'hard'], 'care mix.hard-water', true],
    'hard water, conditioned' => [
        'cut-stump/glyphosate/water',
        [],
        ['water' => 'hard', 'extras' => ['conditioner']],
        'care mix.hard-water',
        false,
    ],
    'a galvanised can' => [
        'cut-stump/glyphosate/water',
        [],
        ['material' => 'galvanised'],
        'blocks mix.tank-metal',
        true,
    ],
    'a plastic can' => ['cut-stump/glyphosate/water', [], ['material' => 'plastic'], 'blocks mix.tank-metal', false],
    'an ester in a galvanised can' => [
        'basal-bark/triclopyr-ester/ester',
        [],
        ['material' => 'galvanised'],
        'blocks mix.tank-metal',
        false,
    ],
    'seals that oil softens' => [
        'basal-bark/triclopyr-ester/ester',
        [],
        ['solventProof' => false],
        'blocks mix.seals',
        true,
    ],
    'seals that stand oil' => [
        'basal-bark/triclopyr-ester/ester',
        [],
        ['solventProof' => true],
        'care mix.seals-unknown',
        false,
    ],
    'seals nobody knows' => ['basal-bark/triclopyr-ester/ester', [], [], 'care mix.seals-unknown', true],
    'seals and water' => ['cut-stump/glyphosate/water', [], ['solventProof' => false], 'blocks mix.seals', false],
    'new to the crew' => ['cut-stump/glyphosate/water', [], ['firstTime' => true], 'care mix.small-area-first', true],
    'known to the crew' => ['cut-stump/glyphosate/water', [], [], 'care mix.small-area-first', false],
    'a jar first' => [
        'foliar-spot/glyphosate/water',
        [],
        ['firstTime' => true, 'extras' => ['conditioner']],
        'care mix.jar-test',
        true,
    ],
    'dye needs no jar' => [
        'foliar-spot/glyphosate/water',
        [],
        ['firstTime' => true, 'extras' => ['dye']],
        'care mix.jar-test',
        false,
    ],
    'no dye on stumps' => ['cut-stump/glyphosate/water', [], [], 'care mix.dye', true],
    'dye on stumps' => ['cut-stump/glyphosate/water', [], ['extras' => ['dye']], 'care mix.dye', false],
    'a wick' => [
        'wick/glyphosate/water',
        [
            'species' => 'canada-thistle',
            'cards' => [['methods' => [['method' => 'wick', 'max' => '33%']]] + waterCard()],
        ],
        [],
        'care mix.drip-free',
        true,
    ],
    'no wick' => ['cut-stump/glyphosate/water', [], [], 'care mix.drip-free', false],
    'under a shield' => [
        'shielded-spot/glyphosate/water',
        ['species' => 'canada-thistle'],
        [],
        'care mix.look-in',
        true,
    ],
    'without a shield' => ['foliar-spot/glyphosate/water', [], [], 'care mix.look-in', false],
    'leaves in May' => [
        'foliar-spot/glyphosate/water',
        ['date' => '2026-05-10'],
        [],
        'care mix.season-before-strength',
        true,
    ],
    'leaves in August' => ['foliar-spot/glyphosate/water', [], [], 'care mix.season-before-strength', false],
    'an annual in May' => [
        'foliar-spot/glyphosate/water',
        ['species' => 'garlic-mustard', 'date' => '2026-05-10'],
        [],
        'care mix.season-before-strength',
        false,
    ],
    'cuts in May' => [
        'hack-and-squirt/glyphosate/water',
        ['date' => '2026-05-10'],
        [],
        'care mix.season-before-strength',
        false,
    ],
    'a quick burner in September' => [
        'foliar-spot/triclopyr-amine/amine',
        ['date' => '2026-09-10', 'cards' => [amineCard()]],
        [],
        'care mix.slow-kill',
        true,
    ],
    'a quick burner in May' => [
        'foliar-spot/triclopyr-amine/amine',
        ['date' => '2026-05-10', 'cards' => [amineCard()]],
        [],
        'care mix.slow-kill',
        false,
    ],
    'a slow one in September' => [
        'foliar-spot/glyphosate/water',
        ['date' => '2026-09-10'],
        [],
        'care mix.slow-kill',
        false,
    ],
    'a contact on seedlings' => [
        'foliar-spot/glufosinate/contact',
        contactOn('seedling'),
        [],
        'care mix.contact-small-weeds',
        false,
    ],
    'a contact on grown leaves' => [
        'foliar-spot/glufosinate/contact',
        contactOn('vegetative'),
        [],
        'care mix.contact-small-weeds',
        true,
    ],
    'a systemic on grown leaves' => [
        'foliar-spot/glyphosate/water',
        ['facts' => [['fact' => 'stage', 'value' => 'full-leaf']]],
        [],
        'care mix.contact-small-weeds',
        false,
    ],
    'a line for the stage' => ['foliar-spot/glyphosate/water', parted('full-leaf'), [], 'care mix.line-of-stage', true],
    'a stage without its line' => [
        'foliar-spot/glyphosate/water',
        parted('fruit'),
        [],
        'care mix.line-of-stage',
        false,
    ],
    'a stage nobody looked at' => ['foliar-spot/glyphosate/water', parted(null), [], 'care mix.strictest-line', true],
    'a stage that was looked at' => [
        'foliar-spot/glyphosate/water',
        parted('fruit'),
        [],
        'care mix.strictest-line',
        false,
    ],
    'lines for stages only, nobody looked' => [
        'foliar-spot/glyphosate/water',
        parted(null, false),
        [],
        'asks mix.stage-first',
        true,
    ],
    'lines for stages only, looked at' => [
        'foliar-spot/glyphosate/water',
        parted('full-leaf', false),
        [],
        'asks mix.stage-first',
        false,
    ],
    'a line for the days' => [
        'foliar-spot/glyphosate/water',
        [
            'cards' => [
                waterCard([
                    'methods' => [['method' => 'foliar-spot', 'max' => '2%', 'from' => '08-15', 'to' => '10-31']],
                ]),
            ],
        ],
        [],
        'care mix.line-of-dates',
        true,
    ],
    'a line for all days' => ['foliar-spot/glyphosate/water', [], [], 'care mix.line-of-dates', false],
    'fuel oil, listed and lawful' => [
        'basal-bark/triclopyr-ester/ester',
        fuelOil(),
        ['carrier' => 'fuel-oil', 'fuelOilLawful' => true],
        'blocks mix.fuel-oil-law',
        false,
    ],
    'fuel oil, listed, law not read' => [
        'basal-bark/triclopyr-ester/ester',
        fuelOil(),
        ['carrier' => 'fuel-oil'],
        'blocks mix.fuel-oil-law',
        true,
    ],
    'fuel oil, not listed' => [
        'basal-bark/triclopyr-ester/ester',
        [],
        ['carrier' => 'fuel-oil', 'fuelOilLawful' => true],
        'blocks mix.fuel-oil-not-on-card',
        true,
    ],
    'fuel oil, card not confirmed' => [
        'basal-bark/triclopyr-ester/ester',
        ['cards' => [esterCard(['carriers' => ['fuel-oil'], 'confirmed' => false])]],
        ['carrier' => 'fuel-oil', 'fuelOilLawful' => true],
        'blocks mix.fuel-oil-not-on-card',
        true,
    ],
    'fuel oil, listed' => [
        'basal-bark/triclopyr-ester/ester',
        fuelOil(),
        ['carrier' => 'fuel-oil', 'fuelOilLawful' => true],
        'blocks mix.fuel-oil-not-on-card',
        false,
    ],
    'fuel oil on wet ground' => [
        'basal-bark/triclopyr-ester/ester',
        fuelOil([['fact' => 'soil-moisture', 'value' => 'wet']]),
        ['carrier' => 'fuel-oil', 'fuelOilLawful' => true],
        'blocks mix.fuel-oil-wet-ground',
        true,
    ],
    'fuel oil on moist ground' => [
        'basal-bark/triclopyr-ester/ester',
        fuelOil([['fact' => 'soil-moisture', 'value' => 'moist']]),
        ['carrier' => 'fuel-oil', 'fuelOilLawful' => true],
        'blocks mix.fuel-oil-wet-ground',
        false,
    ],
    'fuel oil short of 30 m of water' => [
        'basal-bark/triclopyr-ester/ester',
        fuelOil([['fact' => 'water-distance', 'value' => '29.9 m']]),
        ['carrier' => 'fuel-oil', 'fuelOilLawful' => true],
        'blocks mix.fuel-oil-near-water',
        true,
    ],
    'fuel oil at 30 m' => [
        'basal-bark/triclopyr-ester/ester',
        fuelOil([['fact' => 'water-distance', 'value' => '30 m']]),
        ['carrier' => 'fuel-oil', 'fuelOilLawful' => true],
        'blocks mix.fuel-oil-near-water',
        false,
    ],
    'a card with a wider strip' => [
        'basal-bark/triclopyr-ester/ester',
        fuelOil([['fact' => 'water-distance', 'value' => '49 m']], ['waterBuffer' => '50 m']),
        ['carrier' => 'fuel-oil', 'fuelOilLawful' => true],
        'blocks mix.fuel-oil-near-water',
        true,
    ],
    'basal oil by wet ground is not fuel oil' => [
        'basal-bark/triclopyr-ester/ester',
        fuelOil([['fact' => 'soil-moisture', 'value' => 'wet']]),
        [],
        'blocks mix.fuel-oil-wet-ground',
        false,
    ],
    'fuel oil softens seals too' => [
        'basal-bark/triclopyr-ester/ester',
        fuelOil(),
        ['carrier' => 'fuel-oil', 'solventProof' => false],
        'blocks mix.seals',
        true,
    ],
    'a salt in fuel oil' => [
        'cut-stump/glyphosate/water',
        [],
        ['carrier' => 'fuel-oil'],
        'blocks mix.water-borne-in-oil',
        true,
    ],
    'dye by water' => [
        'foliar-spot/glyphosate/water',
        byWater('29 m'),
        ['extras' => ['dye']],
        'asks mix.additives-for-water',
        true,
    ],
    'dye away from water' => [
        'foliar-spot/glyphosate/water',
        byWater('30 m'),
        ['extras' => ['dye']],
        'asks mix.additives-for-water',
        false,
    ],
    'dye that is permitted' => [
        'foliar-spot/glyphosate/water',
        byWater('5 m'),
        ['extras' => ['dye'], 'additivesForWater' => true],
        'asks mix.additives-for-water',
        false,
    ],
    'dye that is not' => [
        'foliar-spot/glyphosate/water',
        byWater('5 m'),
        ['extras' => ['dye'], 'additivesForWater' => false],
        'blocks mix.additives-not-for-water',
        true,
    ],
    'nothing else in the tank' => [
        'foliar-spot/glyphosate/water',
        byWater('5 m'),
        [],
        'asks mix.additives-for-water',
        false,
    ],
    'oil by water' => [
        'foliar-spot/glyphosate/water',
        byWater('5 m'),
        ['extras' => ['oil', 'emulsifier'], 'additivesForWater' => true],
        'blocks mix.oil-by-water',
        true,
    ],
    'oil away from water' => [
        'foliar-spot/glyphosate/water',
        byWater('50 m'),
        ['extras' => ['oil', 'emulsifier'], 'additivesForWater' => true],
        'blocks mix.oil-by-water',
        false,
    ],
    'at the edge, distance unknown' => [
        'foliar-spot/glyphosate/water',
        ['facts' => [['fact' => 'setting', 'value' => 'water-edge']]],
        ['extras' => ['dye']],
        'asks mix.additives-for-water',
        true,
    ],
    'to be watered in' => [
        'foliar-spot/glyphosate/water',
        ['cards' => [waterCard(['waterInHours' => 24])]],
        [],
        'care mix.water-in',
        true,
    ],
    'to be watered in, by no hour' => [
        'foliar-spot/glyphosate/water',
        ['cards' => [waterCard(['waterInDepth' => '6 mm'])]],
        [],
        'care mix.water-in-open',
        true,
    ],
    'to be watered in, only from when' => [
        'foliar-spot/glyphosate/water',
        ['cards' => [waterCard(['waterInAfterMinutes' => 60])]],
        [],
        'care mix.water-in-from-open',
        true,
    ],
    'how deep, on ground of no known size' => [
        'foliar-spot/glyphosate/water',
        ['stems' => [], 'cards' => [waterCard(['waterInDepth' => '6 mm'])]],
        [],
        'care mix.water-in-depth',
        true,
    ],
    'not to be watered in' => ['foliar-spot/glyphosate/water', [], [], 'care mix.water-in', false],
    'no dye in cuts' => ['hack-and-squirt/glyphosate/water', [], [], 'care mix.dye', false],
    'a steel can' => ['cut-stump/glyphosate/water', [], ['material' => 'steel'], 'blocks mix.tank-metal', true],
    'hard water the active does not mind' => [
        'foliar-spot/triclopyr-amine/amine',
        ['cards' => [amineCard()]],
        ['water' => 'hard'],
        'care mix.hard-water',
        false,
    ],
    'oil in oil makes no emulsion to spoil' => [
        'basal-bark/triclopyr-ester/ester',
        [],
        ['extras' => ['oil', 'surfactant']],
        'blocks mix.emulsifier-with-surfactant',
        false,
    ],
    'oil in water with surfactant' => [
        'foliar-spot/glyphosate/water',
        [],
        ['extras' => ['oil', 'surfactant']],
        'blocks mix.emulsifier-with-surfactant',
        true,
    ],
    'granules in oil' => [
        'cut-stump/glyphosate/water',
        ['cards' => [waterCard(['formulation' => 'water-dispersible-granule'])]],
        ['carrier' => 'oil'],
        'blocks mix.water-borne-in-oil',
        true,
    ],
    'an emulsifiable in oil' => [
        'cut-stump/glyphosate/water',
        ['cards' => [waterCard(['formulation' => 'emulsifiable'])]],
        ['carrier' => 'oil'],
        'blocks mix.water-borne-in-oil',
        false,
    ],
    'a salt in the heat' => [
        'foliar-spot/glyphosate/water',
        ['cards' => [waterCard(['hottest' => '80 F'])]],
        ['air' => '40 C'],
        'blocks mix.vapour',
        false,
    ],
    'an ester in the cold' => [
        'basal-bark/triclopyr-ester/ester',
        ['cards' => [esterCard(['coldest' => '50 F'])]],
        ['air' => '2 C'],
        'blocks mix.vapour',
        false,
    ],
]);

it('names in a word what it is about', function (
    string $row,
    array $document,
    array $plan,
    string $code,
    array $values,
) {
    $found = array_values(
        array_filter(advice($row, $document, $plan), static fn(Advisory $w): bool => $w->code === $code),
    );
    $shown = static fn(mixed $value): string => $value instanceof Quantity
        ? "{$value->amount} {$value->unit->value}"
        : (string) $value;
    expect(array_map($shown, $found[0]->values))->toBe($values);
})->with([
    'the can' => ['cut-stump/glyphosate/water', [], ['material' => 'steel'], 'mix.tank-metal', ['material' => 'steel']],
    'the stage of the line' => [
        'foliar-spot/glyphosate/water',
        parted('full-leaf'),
        [],
        'mix.line-of-stage',
        ['stage' => 'full-leaf'],
    ],
    'the days of the line' => [
        'foliar-spot/glyphosate/water',
        [
            'cards' => [
                waterCard([
                    'methods' => [['method' => 'foliar-spot', 'max' => '2%', 'from' => '08-15', 'to' => '10-31']],
                ]),
            ],
        ],
        [],
        'mix.line-of-dates',
        ['from' => '08-15', 'to' => '10-31'],
    ],
    'the reading and the limit' => [
        'basal-bark/triclopyr-ester/ester',
        ['cards' => [esterCard(['hottest' => '80 F'])]],
        ['air' => '90 F'],
        'mix.vapour',
        ['reading' => '90 degF', 'limit' => '80 degF'],
    ],
]);

it('tells what blocks before what asks before what is to be minded', function () {
    $levels = array_map(
        static fn(Advisory $w): string => $w->level,
        advice(
            'foliar-spot/glyphosate/water',
            ['date' => '2026-05-10', 'cards' => [waterCard(['surfactantInside' => null])]],
            ['extras' => ['surfactant'], 'firstTime' => true, 'material' => 'steel', 'water' => 'muddy'],
        ),
    );
    expect(array_values(array_unique($levels)))
        ->toBe(['blocks', 'asks', 'care'])
        ->and($levels)
        ->toBe([
            ...array_filter($levels, static fn($l) => $l === 'blocks'),
            ...array_filter($levels, static fn($l) => $l === 'asks'),
            ...array_filter($levels, static fn($l) => $l === 'care'),
        ]);
});

it('keeps an ester out of heat, at the stricter of card and typical limit', function (string $air, bool $blocks) {
    $said = words(
        'basal-bark/triclopyr-ester/ester',
        ['cards' => [['hottest' => '85 F'] + esterCard()]],
        ['air' => $air],
    );
    expect(in_array('blocks mix.vapour', $said, true))->toBe($blocks);
})->with(['at the limit' => ['85 F', false], 'a tenth above' => ['85.1 F', true]]);

it('has a sentence for every word, and every word is reached above', function () {
    $source = file_get_contents(__FILE__) . file_get_contents(__DIR__ . '/TankMixTest.php');
    $sentences = json_decode(
        (string) file_get_contents(dirname(__DIR__, 2) . '/lang/en/mix.json'),
        true,
        8,
        JSON_THROW_ON_ERROR,
    );
    foreach (glob(dirname(__DIR__, 2) . '/core/src/Mix/Advice/*.php') ?: [] as $file) {
        preg_match_all(
            '/Advisory::(?:blocks|asks|care)\(["\'](mix\.[a-z-]+)(\{\$open\})?["\']/',
            (string) file_get_contents($file),
            $found,
            PREG_SET_ORDER,
        );
        foreach (
            array_merge(
                ...array_map(
                    static fn(array $one): array => isset($one[2]) ? [$one[1], "{$one[1]}-open"] : [$one[1]],
                    $found,
                ),
            )
            as $code
        ) {
            expect(array_key_exists($code, $sentences))->toBeTrue($code)->and($source)->toContain($code);
        }
    }
});

it('does not finish a recipe that something blocks or asks, and reckons what must not meet apart', function (
    array $extras,
    bool $finished,
) {
    $document = stand([
        'cards' => [['surfactantInside' => false] + waterCard()],
        'area' => '1000 m2',
        'facts' => [['fact' => 'setting', 'value' => 'woods']],
    ]);
    $situation = (new SituationReader(catalogue()))->situation(Fields::of($document, new Faults()));
    $option = row($document, 'foliar-spot/glyphosate/water')->option;
    $solver = new RecipeSolver($situation, $option, quantity('1000 m2'));
    $parts = array_map(
        static fn(string $role): Component => new Component($role, $role, Strength::parse('0.5 %')),
        $extras,
    );
    $recipe = $solver->advised(mixPlan($situation, $option, $solver->carrier(), [], $parts), quantity('15 L'));
    expect($recipe->isFinished())->toBe($finished)->and($recipe->plan)->not->toBeNull();
})->with([
    'plain' => [[], true],
    'with surfactant and dye' => [['surfactant', 'dye'], true],
    'emulsifier with surfactant' => [['emulsifier', 'surfactant'], false],
    'oil without emulsifier' => [['oil'], false],
]);

it('measures a sprayer in every way', function (Quantity $gives, string $unit, string $expected) {
    expect((string) $gives->decimal(Unit::from($unit), 3, RoundingMode::HALF_UP))->toBe($expected);
})->with([
    // 24 fl oz on 1/128 acre are 24 gal/ac
    '1/128 acre' => fn() => [Calibration::byCourse(quantity('24 fl oz'), Calibration::course()), 'gal_us/ac', '24.000'],
    // taped at 18.5 ft: 342.25 sq ft, so 24 x 340.3125 / 342.25 = 23.864
    'taped a little wide' => fn() => [
        Calibration::byCourse(quantity('24 fl oz'), quantity('342.25 sq ft')),
        'gal_us/ac',
        '23.864',
    ],
    // 2.4 L on 100 m2 are 240 L/ha
    '100 square metres' => fn() => [Calibration::byCourse(quantity('2.4 L'), quantity('100 m2')), 'L/ha', '240.000'],
    // 600 x 0.8 / (6 x 0.5) = 160
    'moving (metric)' => fn() => [
        Calibration::moving(quantity('0.8 L'), Quantity::of(1, Unit::Minute), quantity('6 km/h'), quantity('0.5 m')),
        'L/ha',
        '160.000',
    ],
    // half a minute's catch is half the litres
    'half a minute' => fn() => [
        Calibration::moving(quantity('0.4 L'), Quantity::of(30, Unit::Second), quantity('6 km/h'), quantity('0.5 m')),
        'L/ha',
        '160.000',
    ],
    // 5940 x 0.2 / (3 x 20) = 19.8
    'moving (US)' => fn() => [
        Calibration::moving(quantity('0.2 gal'), Quantity::of(1, Unit::Minute), quantity('3 mph'), quantity('20 in')),
        'gal_us/ac',
        '19.800',
    ],
    'known area' => fn() => [Calibration::knownArea(quantity('12 L'), quantity('600 m2')), 'L/ha', '200.000'],
    'a bottle' => fn() => [Calibration::bottle(quantity('50 mL'), 40), 'mL', '1.250'],
]);

it('counts strokes up, and refuses courses of nothing', function () {
    // one stroke is a measure too
    expect((string) Calibration::bottle(quantity('1.5 mL'), 1)->amount)->toBe('3/2');
    // 5 mL at 2 mL are 3; 4 mL are 2
    expect(Calibration::strokesFor(quantity('5 mL'), quantity('2 mL')))
        ->toBe(3)
        ->and(Calibration::strokesFor(quantity('4 mL'), quantity('2 mL')))
        ->toBe(2)
        ->and(static fn() => Calibration::byCourse(quantity('1 L'), quantity('0 m2')))
        ->toThrow(InvalidArgumentException::class)
        ->and(static fn() => Calibration::bottle(quantity('1 L'), 0))
        ->toThrow(InvalidArgumentException::class);
});

it('finds worn nozzles on both sides of each limit', function (array $flows, ?string $rated, array $worn, bool $set) {
    $check = NozzleCheck::of(array_map(quantity(...), $flows), $rated === null ? null : quantity($rated));
    expect(array_column($check->nozzles, 'worn'))->toBe($worn)->and($check->replaceSet)->toBe($set);
})->with([
    // mean 800: 840 is 5 % off exactly
    'at five percent' => [['840 mL', '760 mL', '800 mL'], null, [false, false, false], false],
    // mean 800: 841 is 5.1 % off
    'past five percent' => [['841 mL', '761 mL', '798 mL'], null, [true, false, false], false],
    // 110 % of 800 is 880
    'at 110 % of the rated flow' => [['880 mL', '880 mL'], '800 mL', [false, false], false],
    'past 110 %: the set' => [['881 mL', '881 mL'], '800 mL', [true, true], true],
    'one nozzle is its own mean' => [['900 mL'], null, [false], false],
]);

it('tells of each nozzle how far it is off', function () {
    $check = NozzleCheck::of([quantity('0.88 L'), quantity('0.72 L')], quantity('0.8 L'));
    $percent = static fn(?Brick\Math\BigRational $share): string => (string) $share
        ?->multipliedBy(100)
        ->toScale(0, RoundingMode::HALF_UP);
    expect((string) $check->mean->in(Unit::Litre)->toScale(1, RoundingMode::HALF_UP))
        ->toBe('0.8')
        ->and(array_map($percent, array_column($check->nozzles, 'offMean')))
        ->toBe(['10', '-10'])
        ->and(array_map($percent, array_column($check->nozzles, 'ofRated')))
        ->toBe(['110', '90'])
        ->and((string) $check->nozzles[1]['flow']->in(Unit::Litre)->toScale(2, RoundingMode::HALF_UP))
        ->toBe('0.72')
        // without a rated flow only the set itself is held against
        ->and(NozzleCheck::of([quantity('0.8 L')])->nozzles[0]['ofRated'])
        ->toBeNull();
});

it('parts a job into loads', function (
    string $total,
    string $tank,
    ?string $leftover,
    int $people,
    array $expected,
    string $fresh,
) {
    $plan = TankPlan::of(quantity($total), quantity($tank), $leftover === null ? null : quantity($leftover), $people);
    $litres = static fn(Quantity $q): string => (string) $q
        ->decimal(Unit::Litre, 2, RoundingMode::HALF_UP)
        ->stripTrailingZeros();
    expect(
        array_map(
            static fn(array $l): string => "{$l['round']}.{$l['person']} {$litres($l['finished'])}" .
                ($l['carried']->isZero() ? '' : " ({$litres($l['carried'])} from before)") .
                ' ' .
                $l['doneAfter']->multipliedBy(100)->toScale(0, RoundingMode::HALF_UP) .
                '%',
            $plan->loads(),
        ),
    )
        ->toBe($expected)
        ->and($litres($plan->fresh()))
        ->toBe($fresh)
        ->and($plan->rounds())
        ->toBe((int) $expected[count($expected) - 1][0]);
})->with([
    'two and a half tanks' => ['37.5 L', '15 L', null, 1, ['1.1 15 40%', '2.1 15 80%', '3.1 7.5 100%'], '37.5'],
    'exactly two' => ['30 L', '15 L', null, 1, ['1.1 15 50%', '2.1 15 100%'], '30'],
    'less than one' => ['6 L', '15 L', null, 1, ['1.1 6 100%'], '6'],
    'some from before' => ['30 L', '15 L', '4 L', 1, ['1.1 15 (4 from before) 50%', '2.1 15 100%'], '26'],
    'more from before than a tank holds' => [
        '30 L',
        '15 L',
        '20 L',
        1,
        ['1.1 15 (15 from before) 50%', '2.1 15 (5 from before) 100%'],
        '10',
    ],
    'all from before' => ['6 L', '15 L', '8 L', 1, ['1.1 6 (6 from before) 100%'], '0'],
    // 40 L by two with 15 L tanks: 15 and 15, then 5 and 5
    'two people' => ['40 L', '15 L', null, 2, ['1.1 15 75%', '1.2 15 75%', '2.1 5 100%', '2.2 5 100%'], '40'],
    'three share one load' => ['12 L', '15 L', null, 3, ['1.1 4 100%', '1.2 4 100%', '1.3 4 100%'], '12'],
]);

it('lets a leftover join the very same mix only', function (array $change, ?string $code) {
    $left = new Leftover(
        ...$change + [
            'volume' => quantity('2 L'),
            'mixId' => 'card-1',
            'carrier' => 'oil',
            'strength' => Strength::parse('1:3'),
            'mixedAt' => new DateTimeImmutable('2026-09-03T08:00:00-05:00'),
            'now' => new DateTimeImmutable('2026-09-03T13:00:00-05:00'),
            'holdingHours' => 24,
        ],
    );
    expect($left->against('card-1', 'oil', Strength::parse('25 %'))?->code)->toBe($code);
})->with([
    'the same' => [[], null],
    'just within the hours' => fn() => [['now' => new DateTimeImmutable('2026-09-04T08:00:00-05:00')], null],
    'a second past them' => fn() => [['now' => new DateTimeImmutable('2026-09-04T08:00:01-05:00')], 'mix.leftover-old'],
    'the card is silent: late on the same day' => fn() => [
        ['now' => new DateTimeImmutable('2026-09-03T23:59:59-05:00'), 'holdingHours' => null],
        null,
    ],
    'the card is silent: the next day' => fn() => [
        ['now' => new DateTimeImmutable('2026-09-04T00:00:00-05:00'), 'holdingHours' => null],
        'mix.leftover-old',
    ],
    'fewer hours by the card' => [['holdingHours' => 4], 'mix.leftover-old'],
    'of what, nobody said' => [['mixId' => null], 'mix.leftover-of-what'],
    'another version of the card' => [['mixId' => 'card-2'], 'mix.leftover-other'],
    'in water' => [['carrier' => 'water'], 'mix.leftover-other'],
    'a hair stronger' => fn() => [['strength' => Strength::parse('25.1 %')], 'mix.leftover-strength'],
    'nobody knows how strong' => [['strength' => null], 'mix.leftover-strength'],
    'none of it' => fn() => [['volume' => quantity('0 L'), 'mixId' => null], null],
]);

it('tells how long a leftover has stood', function () {
    $word = (new Leftover(
        quantity('2 L'),
        'card-1',
        'oil',
        Strength::parse('1:3'),
        new DateTimeImmutable('2026-09-02T06:00:00Z'),
        new DateTimeImmutable('2026-09-03T12:00:00Z'),
        24,
    ))->against('card-1', 'oil', Strength::parse('25 %'));
    expect($word?->level)->toBe('blocks')->and((string) $word->values['age']->in(Unit::Hour))->toBe('30');
});

it('weighs water by the litre and parts nothing among nobody', function () {
    // one person carries, where nobody says otherwise
    expect(array_column(TankPlan::of(quantity('30 L'), quantity('15 L'))->loads(), 'person'))->toBe([1, 1]);
    expect((string) TankPlan::weightOfWater(quantity('4 gal'))->decimal(Unit::Kilogram, 2, RoundingMode::HALF_UP))
        ->toBe('15.14')
        ->and(static fn() => TankPlan::of(quantity('4 L'), quantity('0 L')))
        ->toThrow(InvalidArgumentException::class)
        ->and(static fn() => TankPlan::of(quantity('4 L'), quantity('1 L'), null, 0))
        ->toThrow(InvalidArgumentException::class);
});

it('counts loads, full tanks and fresh mix as they are laid out', function (
    string $total,
    string $tank,
    string $left,
    int $people,
) {
    $plan = TankPlan::of(quantity($total), quantity($tank), quantity($left), $people);
    $loads = $plan->loads();
    $litres = static fn(Quantity $q): string => (string) $q->in(Unit::Litre);
    $sum = static fn(string $of): string => (string) array_reduce(
        array_column($loads, $of),
        static fn(BigRational $all, Quantity $one): BigRational => $all->plus($one->in(Unit::Litre)),
        BigRational::zero(),
    )->simplified();
    $full = array_filter($loads, fn(array $load): bool => $load['finished']->equals(quantity($tank)));
    expect([$plan->count(), $plan->whole(), $plan->rounds()])
        ->toBe([count($loads), count($full), max([0, ...array_column($loads, 'round')])])
        ->and([$sum('finished'), $sum('fresh')])
        ->toBe([$litres(quantity($total)), $litres($plan->fresh())])
        ->and($plan->lastPart() === null ? null : $litres($plan->lastPart()))
        ->toBe(count($full) === count($loads) ? null : $litres(end($loads)['finished']))
        ->and(array_sum(array_column($plan->fills(), 'times')))
        ->toBe(count($loads))
        ->and($plan->loads(2))
        ->toEqual(array_slice($loads, 0, 2));
})->with([
    'even' => ['30 L', '15 L', '0 L', 1],
    'a part' => ['40 L', '15 L', '0 L', 1],
    'less than a tank' => ['4 L', '15 L', '1 L', 1],
    'more left than is wanted' => ['4 L', '15 L', '9 L', 1],
    'two, even' => ['60 L', '15 L', '2 L', 2],
    'three and a part' => ['100 L', '15 L', '20 L', 3],
    'nothing to do' => ['0 L', '15 L', '0 L', 2],
]);

/** @param array<string, mixed> $card */
function pasture(array $card): Recipe
{
    $document = stand([
        'species' => 'canada-thistle',
        'stems' => [],
        'area' => '4 ac',
        'facts' => [['fact' => 'setting', 'value' => 'pasture']],
        'cards' => [
            [
                'id' => 'dry-1',
                'product' => 'Metsulfuron 60 %',
                'registration' => 'T-60',
                'version' => 1,
                'confirmed' => true,
                'formulation' => 'water-dispersible-granule',
                'actives' => [['active' => 'metsulfuron', 'amount' => '60 % w/w']],
                'carriers' => ['water'],
                'sites' => ['pasture'],
                'methods' => [
                    [
                        'method' => 'pasture-broadcast',
                        'rateLeast' => '0.1 oz wt/ac',
                        'rateMost' => '0.3 oz wt/ac',
                        'spray' => '20 gal/ac',
                    ],
                ],
            ] + $card,
        ],
    ]);
    [$situation, $option] = [
        (new SituationReader(catalogue()))->situation(Fields::of($document, new Faults())),
        row($document, 'pasture-broadcast/metsulfuron/dry-1')->option,
    ];

    return (new RecipeSolver($situation, $option, $situation->area))->solve(quantity('50 gal'), [
        new Component('dye', 'dye', Strength::parse('0.25 fl oz/gal')),
    ]);
}

it('finishes a recipe of a dry product by weight, load by load, under its ceiling', function () {
    $recipe = pasture(['yearlyMaximum' => '1 oz wt/ac']);
    // 0.3 oz x 4 ac + 10 % = 1.32 oz; 20 gal x 4 + 10 % = 88 gal; 50 gal hold 50/88 of it = 0.75 oz
    expect((string) $recipe->product()?->decimal(Unit::OunceWeight, 3, RoundingMode::HALF_UP))
        ->toBe('1.320')
        ->and((string) $recipe->need?->decimal(Unit::UsGallon, 2, RoundingMode::HALF_UP))
        ->toBe('88.00')
        ->and(
            (string) $recipe->mix
                ?->inVolume(quantity('50 gal'))
                ->amountOf('product')
                ?->decimal(Unit::OunceWeight, 3, RoundingMode::HALF_UP),
        )
        ->toBe('0.750')
        ->and((string) $recipe->ceiling?->planned?->decimal(Unit::OunceWeightPerAcre, 3, RoundingMode::HALF_UP))
        ->toBe('0.330')
        // dry goes in before the dye, after half the water, and takes no room: 88 gal less 22 fl oz of dye is water
        ->and(array_column($recipe->mix?->loadingOrder() ?? [], 'what'))
        ->toBe(['water', 'product', 'dye', 'water-to-mark'])
        ->and((string) $recipe->mix?->carrierAmount?->decimal(Unit::UsFluidOunce, 1, RoundingMode::HALF_UP))
        ->toBe('11242.0')
        ->and($recipe->isFinished())
        ->toBeTrue();
    // a tenth less a year is passed by the allowance
    expect(pasture(['yearlyMaximum' => '0.32 oz wt/ac'])->blocks)
        ->toContain('ceiling')
        ->and(pasture(['yearlyMaximum' => '0.33 oz wt/ac'])->blocks)
        ->toBe([])
        ->and(pasture([])->missing)
        ->toContain('card-yearly-maximum');
});

it('tells what a ceiling still leaves', function (string $most, ?string $already, string $left) {
    $card = LabelCard::read(
        Fields::of(['yearlyMaximum' => $most, 'id' => 'c', 'confirmed' => true] + esterCard(), $faults = new Faults()),
        catalogue(),
    );
    $faults->throwIfAny();
    $ceiling = LimitCheck::check(
        new LabelLoad(
            $card ?? throw new LogicException('no card'),
            'triclopyr-ester',
            quantity('1 L'),
            quantity('0.5 ha'),
        ),
        'woods',
        $already === null ? null : putThere($already),
    );
    expect((string) $ceiling->left?->decimal(Unit::Litre, 3, RoundingMode::HALF_UP))->toBe($left);
})->with([
    // 9.6 kg/ha x 0.5 ha / 0.48 kg/L = 10 L
    'nothing before' => ['9.6 kg ae/ha', null, '10.000'],
    'half before' => ['9.6 kg ae/ha', '4.8 kg ae/ha', '5.000'],
    'all before' => ['9.6 kg ae/ha', '9.6 kg ae/ha', '0.000'],
    'more than all before' => ['9.6 kg ae/ha', '12 kg ae/ha', '0.000'],
    'by product' => ['8 L/ha', '2 L/ha', '3.000'],
]);

it('finds the heaviest spot of ground that outlines share', function (array $squares, ?string $heaviest) {
    // a hundredth of a degree is near enough a kilometre: squares in thousandths on the equator
    $square = static fn(array $s): Outline => Outline::fromGeoJson([
        'type' => 'Polygon',
        'coordinates' => [
            [
                [$s[0] / 1000, $s[1] / 1000],
                [$s[2] / 1000, $s[1] / 1000],
                [$s[2] / 1000, $s[3] / 1000],
                [$s[0] / 1000, $s[3] / 1000],
                [$s[0] / 1000, $s[1] / 1000],
            ],
        ],
    ]);
    $loads = array_map(static fn(array $s): array => ['outline' => $square($s), 'load' => quantity($s[4])], $squares);
    expect(Overlap::heaviest($square([0, 0, 10, 10]), $loads)?->amount->__toString())->toBe($heaviest);
})->with([
    'nothing near' => [[[20, 0, 30, 10, '2 kg ae/ha']], null],
    'along a fence only' => [[[10, 0, 20, 10, '2 kg ae/ha']], null],
    'a corner of it' => [[[9, 9, 20, 20, '2 kg ae/ha']], '2'],
    'two that do not meet each other' => [[[0, 0, 4, 10, '2 kg ae/ha'], [6, 0, 10, 10, '3 kg ae/ha']], '3'],
    'two that meet' => [[[0, 0, 6, 10, '2 kg ae/ha'], [4, 0, 10, 10, '3 kg ae/ha']], '5'],
    'one on top of all' => [
        [[0, 0, 10, 10, '1 kg ae/ha'], [0, 0, 4, 10, '2 kg ae/ha'], [6, 0, 10, 10, '3 kg ae/ha']],
        '4',
    ],
]);

it('reads the further particulars of a card, and names what cannot be right', function () {
    $read = static function (array $more): array {
        $card = LabelCard::read(Fields::of($more + esterCard(), $faults = new Faults()), catalogue());
        try {
            $faults->throwIfAny();
        } catch (Thicket\Input\Refused $e) {
            return [null, $e->faults[0]['pointer']];
        }

        return [$card, null];
    };
    [$card] = $read([
        'formerNames' => ['Old Name'],
        'growthStage' => 'full leaf',
        'holdingHours' => 12,
        'density' => '1100 g/L',
        'cabRequired' => true,
        'forageAllowed' => false,
        'buyers' => 'licensed',
        'exclusionDistance' => '8 m',
        'lawCheckedYear' => 2026,
        'slaughterDays' => 3,
    ]);
    expect($card->of->formerNames)
        ->toBe(['Old Name'])
        ->and($card->details->texts['growthStage'])
        ->toBe('full leaf')
        ->and($card->details->holdingHours())
        ->toBe(12)
        ->and($card->details->answers)
        ->toBe(['cabRequired' => true, 'forageAllowed' => false])
        ->and($card->details->numbers['slaughterDays'])
        ->toBe(3)
        ->and($read([])[0]->details->holdingHours())
        ->toBeNull()
        // 550 g of a product that weighs 1100 g a litre
        ->and((string) $card->contents->volumeOf(quantity('550 g'))?->in(Unit::Litre))
        ->toBe('1/2')
        ->and($read([])[0]->contents->volumeOf(quantity('550 g')))
        ->toBeNull();
    foreach (
        [
            ['density' => '200 g/L', '/density'],
            ['density' => '11 kg', '/density'],
            ['holdingHours' => -1, '/holdingHours'],
            ['cabRequired' => 'perhaps', '/cabRequired'],
            ['buyers' => 'everybody', '/buyers'],
            ['lawCheckedYear' => 1700, '/lawCheckedYear'],
            ['exclusionDistance' => '3 gal', '/exclusionDistance'],
        ]
        as $wrong
    ) {
        expect($read(array_slice($wrong, 0, 1))[1])->toBe($wrong[0]);
    }
});
