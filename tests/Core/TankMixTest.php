<?php

declare(strict_types=1);

use Brick\Math\RoundingMode;
use Thicket\Catalogue\FactName;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Label\LabelCard;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
use Thicket\Mix\Advice\Advisory;
use Thicket\Mix\Advice\MixPlan;
use Thicket\Mix\Component;
use Thicket\Mix\MixedProduct;
use Thicket\Mix\Poured;
use Thicket\Mix\Recipe;
use Thicket\Mix\RecipeSolver;
use Thicket\Mix\TankTerms;
use Thicket\Safety\Cautions;
use Thicket\Situation\Option;
use Thicket\Situation\SituationReader;
use Thicket\Timing\StartLimit;
use Thicket\Timing\StartLimits;

/*
 * Two products in one tank (rulings J16; the leaf mix of handbook 3): every card must allow it, the strictest value
 * applies.
 */

/** @return array<string, mixed> */
function leafCard(string $id, string $active, array $changes = []): array
{
    return $changes + [
            'id' => $id,
            'product' => "{$active} product",
            'actives' => [['active' => $active, 'amount' => '360 g ae/L']],
            'methods' => [['method' => 'foliar-spot', 'min' => '0.5%', 'max' => '0.5%']],
            'sites' => ['pasture'],
            'tankMixAllowed' => true,
            'surfactantInside' => false,
            'rainfastHours' => 4,
        ] +
        waterCard();
}

/**
 * @param array<string, mixed> $first changes of the card of the row
 * @param array<string, mixed> $second changes of the partner's card
 * @param array<string, mixed> $plan
 * @param list<Component> $extras
 */
function tankMix(
    array $first = [],
    array $second = [],
    array $plan = [],
    array $extras = [],
    string $area = '1000 m2',
    string $partner = 'clopyralid',
    array $before = [],
): Recipe {
    [$situation, $option, $other] = tankPair($first, $second, $partner, $area);
    $solver = new RecipeSolver($situation, $option->alongside([$other]), quantity($area), $before);

    return $solver->advised(
        mixPlan($situation, $option->alongside([$other]), 'water', $plan, $extras),
        quantity('15 L'),
    );
}

/**
 * @return array{Thicket\Situation\Situation, Thicket\Situation\Option, Thicket\Situation\Option} mesquite in June
 * pasture
 */
function tankPair(
    array $first = [],
    array $second = [],
    string $partner = 'clopyralid',
    string $area = '1000 m2',
): array {
    $document = stand([
        'species' => 'mesquite',
        'date' => '2026-06-10',
        'stems' => [],
        'facts' => [
            ['fact' => 'setting', 'value' => 'pasture'],
            ['fact' => 'height', 'value' => '3 ft'],
            ['fact' => 'treated-area', 'value' => $area],
        ],
        'cards' => [leafCard('one', 'triclopyr-choline', $first), leafCard('two', $partner, $second)],
    ]);

    return [
        (new SituationReader(catalogue()))->situation(Fields::of($document, new Faults())),
        product($document, 'foliar-spot', 'triclopyr-choline', 0),
        product($document, 'foliar-spot', $partner, 1),
    ];
}

/** A use of one of the document's cards, whether the board offers it or not. */
function product(array $document, string $method, string $active, int $card): Option
{
    $in = Fields::of($document, $faults = new Faults());
    $reader = new SituationReader(catalogue());
    $shed = $reader->shed($in);
    $option = new Option(
        catalogue()->method($method),
        catalogue()->active($active),
        $shed->cards[$card],
        $reader->schools($in),
        $shed,
        catalogue(),
    );
    $faults->throwIfAny();

    return $option;
}

/** @return list<string> */
function said(Recipe $recipe): array
{
    return array_map(static fn(Advisory $w): string => "{$w->level} {$w->code}", $recipe->words);
}

it('mixes the leaf mix of the handbook', function () {
    // half a percent of each, five of oil with an emulsifier at half a percent: in 25 US gal 16 fl oz of each, 160 of
    // oil
    $extras = [
        new Component('oil', 'oil', Strength::parse('5 %')),
        new Component('emulsifier', 'emulsifier', Strength::parse('0.5 %')),
        new Component('dye', 'dye', Strength::parse('0.25 fl oz/gal')),
    ];
    $recipe = tankMix(['formulation' => 'emulsifiable'], [], [], $extras);
    $tank = $recipe->mix?->inVolume(quantity('25 gal'));
    $ounces = static fn(?Quantity $q): string => (string) $q?->decimal(Unit::UsFluidOunce, 2, RoundingMode::HALF_UP);
    expect(
        array_map(static fn(string $part): string => $ounces($tank?->amountOf($part)), [
            'product',
            'product-2',
            'oil',
            'dye',
        ]),
    )
        ->toBe(['16.00', '16.00', '160.00', '6.25'])
        // what makes an emulsion before what dissolves, then oil and emulsifier, dye last
        ->and(array_column($tank?->loadingOrder() ?? [], 'what'))
        ->toBe(['water', 'product', 'product-2', 'oil', 'emulsifier', 'dye', 'water-to-mark'])
        ->and($ounces($tank?->carrierAmount))
        ->toBe('2985.75')
        ->and($recipe->isFinished())
        ->toBeTrue(implode(', ', said($recipe)) . implode(', ', $recipe->missing))
        ->and([
            $recipe->products[1]->name,
            (string) $recipe->products[1]->strength?->percent()->amount,
            $recipe->products[1]->ceiling?->kept,
        ])
        ->toBe(['product-2', '1/2', true]);
});

it('names a mix by its cards and the strengths of what was added, in whatever order', function () {
    expect(tankMix()->mixId())->toBe('one+two@1/200');
    [$situation, $one, $two] = tankPair();
    $id = static fn(array $partners): ?string => (new RecipeSolver(
        $situation,
        $one->alongside($partners),
        quantity('1000 m2'),
    ))
        ->solve(null)
        ->mixId();
    $three = product(stand(['cards' => [leafCard('also', 'dichlorprop')]]), 'foliar-spot', 'dichlorprop', 0);
    expect($id([]))
        ->toBe('one')
        ->and($id([$two, $three]))
        ->toBe('one+also@1/200+two@1/200')
        ->and($id([$three, $two]))
        ->toBe($id([$two, $three]))
        ->and((new Recipe(new Poured(null, 'water'), []))->mixId())
        ->toBeNull()
        ->and((new Recipe(new Poured(null, 'water'), []))->product())
        ->toBeNull();
});

it('turns the order round where the partner makes the emulsion', function () {
    expect(array_column(tankMix([], ['formulation' => 'emulsifiable'])->mix?->loadingOrder() ?? [], 'what'))
        ->toBe(['water', 'product-2', 'product', 'water-to-mark'])
        ->and(array_column(tankMix([], ['formulation' => 'oil-soluble-ester'])->mix?->loadingOrder() ?? [], 'what'))
        ->toBe(['water', 'product-2', 'product', 'water-to-mark']);
});

it('holds each product under its own card, and under both ceilings', function (
    array $first,
    array $second,
    array $blocks,
    array $missing,
) {
    $recipe = tankMix($first, $second);
    expect([$recipe->blocks, $recipe->missing])->toBe([$blocks, $missing]);
})->with([
    'both allow it' => [[], [], [], []],
    // a crown of 3 ft takes 0.08 L/m2: 80 L and a tenth on 1000 m2, 0.44 L of each, 158.4 g on a tenth of a hectare
    'the partner over its year' => [[], ['yearlyMaximum' => '1583 g ae/ha'], ['ceiling'], []],
    'the partner at its year' => [[], ['yearlyMaximum' => '1584 g ae/ha'], [], []],
    'the partner names no year' => [[], ['yearlyMaximum' => null], [], ['card-yearly-maximum']],
    'the first is ready to use' => [['formulation' => 'ready-to-use'], [], ['ready-to-use'], []],
    'the partner is ready to use' => [[], ['formulation' => 'ready-to-use'], ['ready-to-use'], []],
    'the partner not at this stage' => [
        [],
        ['methods' => [['method' => 'foliar-spot', 'max' => '0.5%', 'from' => '09-01', 'to' => '10-01']]],
        ['card-no-line'],
        [],
    ],
]);

it('counts one active in two products as one', function (string $most, bool $kept) {
    // 1584 g/ha from each: 3168 together
    $recipe = tankMix(['yearlyMaximum' => $most], ['yearlyMaximum' => '8 kg ae/ha'], partner: 'triclopyr-choline');
    expect(in_array('ceiling', $recipe->blocks, true))
        ->toBe(!$kept)
        ->and(said($recipe))
        ->toContain('care mix.active-twice');
})->with([['3168 g ae/ha', true], ['3167 g ae/ha', false]]);

it('says of a mix of two', function (
    array $first,
    array $second,
    array $plan,
    array $extras,
    string $word,
    bool $said,
) {
    $words = said(tankMix($first, $second, $plan, $extras));
    $said ? expect($words)->toContain($word) : expect($words)->not->toContain($word);
})->with(function () {
    $surfactant = [new Component('surfactant', 'surfactant', Strength::parse('0.25 %'))];

    return [
        'both cards allow mixing' => [[], [], [], [], 'blocks mix.card-forbids-mixing', false],
        'the first forbids it' => [['tankMixAllowed' => false], [], [], [], 'blocks mix.card-forbids-mixing', true],
        'the second forbids it' => [[], ['tankMixAllowed' => false], [], [], 'blocks mix.card-forbids-mixing', true],
        'one is silent' => [[], ['tankMixAllowed' => null], [], [], 'asks mix.mixing-not-on-card', true],
        'neither is silent' => [[], [], [], [], 'asks mix.mixing-not-on-card', false],
        'the partner not for this site' => [
            [],
            ['sites' => ['woods']],
            [],
            [],
            'blocks mix.partner-not-for-this',
            true,
        ],
        'the partner not for this use' => [
            [],
            ['methods' => [['method' => 'cut-stump', 'max' => '50%']]],
            [],
            [],
            'blocks mix.partner-not-for-this',
            true,
        ],
        'the partner not these days' => [
            [],
            ['methods' => [['method' => 'foliar-spot', 'max' => '0.5%', 'from' => '09-01', 'to' => '10-01']]],
            [],
            [],
            'blocks mix.partner-not-for-this',
            true,
        ],
        'the partner in the heat, not volatile' => [
            [],
            ['hottest' => '80 F'],
            ['air' => quantity('90 F')],
            [],
            'blocks mix.vapour',
            false,
        ],
        'the partner for this' => [[], [], [], [], 'blocks mix.partner-not-for-this', false],
        'two actives' => [[], [], [], [], 'care mix.active-twice', false],
        'never mixed together' => [[], [], ['firstTogether' => true], [], 'care mix.jar-test', true],
        'mixed together before' => [[], [], [], [], 'care mix.jar-test', false],
        'watered in after the leaf has dried' => [
            ['rainfastHours' => 4],
            ['waterInHours' => 24],
            [],
            [],
            'care mix.water-in-between',
            true,
        ],
        'both at the same hour' => [
            ['rainfastHours' => 24],
            ['waterInHours' => 24],
            [],
            [],
            'blocks mix.water-in-collides',
            false,
        ],
        'watered in before it is dry' => [
            ['rainfastHours' => 25],
            ['waterInHours' => 24],
            [],
            [],
            'blocks mix.water-in-collides',
            true,
        ],
        'nobody knows when it is dry' => [
            ['rainfastHours' => null],
            ['waterInHours' => 24],
            [],
            [],
            'asks mix.water-in-rainfast-unknown',
            true,
        ],
        'an hour first, then the hose' => [
            ['waterInAfterMinutes' => 60, 'waterInHours' => 24],
            ['rainfastHours' => 1, 'waterInHours' => 24],
            [],
            [],
            'care mix.water-in-from',
            true,
        ],
        'the hour is longer than the leaf' => [
            ['rainfastHours' => 1],
            ['waterInAfterMinutes' => 61, 'waterInHours' => 24],
            [],
            [],
            'care mix.water-in-from',
            true,
        ],
        'the leaf is longer than the hour' => [
            ['rainfastHours' => 2],
            ['waterInAfterMinutes' => 60, 'waterInHours' => 24],
            [],
            [],
            'care mix.water-in-between',
            true,
        ],
        'one waits longer than the other may' => [
            ['waterInAfterMinutes' => 61],
            ['waterInHours' => 1],
            [],
            [],
            'blocks mix.water-in-collides',
            true,
        ],
        'one waits as long as the other may' => [
            ['waterInAfterMinutes' => 60],
            ['waterInHours' => 1],
            [],
            [],
            'blocks mix.water-in-collides',
            false,
        ],
        'no latest on the card' => [
            ['rainfastHours' => 4],
            ['waterInDepth' => '1/4 in'],
            [],
            [],
            'care mix.water-in-between-open',
            true,
        ],
        'no latest, and the leaf unknown' => [
            ['rainfastHours' => null],
            ['waterInDepth' => '1/4 in'],
            [],
            [],
            'asks mix.water-in-rainfast-unknown-open',
            true,
        ],
        'no depth on the card' => [[], ['waterInHours' => 24], [], [], 'care mix.water-in-volume', false],
        'nothing to be watered in' => [
            ['rainfastHours' => null],
            [],
            [],
            [],
            'asks mix.water-in-rainfast-unknown',
            false,
        ],
        'surfactant in the partner' => [
            [],
            ['surfactantInside' => true],
            [],
            $surfactant,
            'blocks mix.surfactant-twice',
            true,
        ],
        'partner silent on surfactant' => [
            [],
            ['surfactantInside' => null],
            [],
            $surfactant,
            'asks mix.surfactant-inside',
            true,
        ],
        'the partner wants oil only' => [[], ['carriers' => ['oil']], [], [], 'blocks mix.carrier-not-on-card', true],
    ];
});

it(
    'counts no active twice that one card alone lists twice, and names the product and the active it means',
    function () {
        $value = static fn(Recipe $recipe, string $code): array => array_merge(
            ...array_map(static fn(Advisory $w): array => $w->code === $code ? $w->values : [], $recipe->words),
        );
        $twice = [
            ['active' => 'triclopyr-choline', 'amount' => '100 g ae/L'],
            ['active' => 'triclopyr-choline', 'amount' => '50 g ae/L'],
        ];
        expect(said(tankMix(['actives' => $twice])))
            ->not->toContain('care mix.active-twice')
            ->and($value(tankMix(partner: 'triclopyr-choline'), 'mix.active-twice'))
            ->toBe(['active' => 'triclopyr choline'])
            ->and($value(tankMix([], ['sites' => ['woods']]), 'mix.partner-not-for-this'))
            ->toBe(['product' => 'clopyralid product'])
            ->and($value(tankMix([], ['tankMixAllowed' => false]), 'mix.card-forbids-mixing'))
            ->toBe(['product' => 'clopyralid product'])
            ->and($value(tankMix(['tankMixAllowed' => null]), 'mix.mixing-not-on-card'))
            ->toBe(['product' => 'triclopyr-choline product']);
        // the shorter time to watering-in holds for both; what is watered in has no leaf to dry on
        $hours = static fn(string $code, array $first, array $second): array => array_map(
            static fn(mixed $q): string => $q instanceof Quantity ? (string) $q->in(Unit::Hour) : '',
            $value(tankMix($first, $second), $code),
        );
        expect($hours('mix.water-in', ['waterInHours' => 48], ['waterInHours' => 24]))
            ->toBe(['water' => '24'])
            ->and($hours('mix.water-in-between', ['rainfastHours' => 6], ['waterInHours' => 24]))
            ->toBe(['water' => '24', 'rain' => '6'])
            ->and($hours('mix.water-in-collides', ['rainfastHours' => 25], ['waterInHours' => 24]))
            ->toBe(['water' => '24', 'rain' => '25'])
            ->and(
                $hours(
                    'mix.water-in-from',
                    ['waterInAfterMinutes' => 30, 'waterInHours' => 24],
                    ['waterInAfterMinutes' => 90, 'waterInHours' => 48],
                ),
            )
            ->toBe(['water' => '24', 'rain' => '3/2']);
        // handbook 3: 1000 sq ft at 1/4 in are 155.8 gal; the deeper of two counts
        $litres = static fn(Recipe $recipe): array => array_map(
            static fn(mixed $q): string => $q instanceof Quantity && $q->dimension() === Dimension::Volume
                ? (string) $q->in(Unit::UsGallon)->toScale(1, RoundingMode::HALF_UP)
                : '',
            $value($recipe, 'mix.water-in-volume'),
        );
        foreach ([['1/8 in', '6.35 mm'], ['6.35 mm', '1/8 in']] as [$first, $second]) {
            $mix = tankMix(['waterInDepth' => $first], ['waterInDepth' => $second], area: '1000 sq ft');
            expect($litres($mix)['volume'] ?? null)->toBe('155.8');
        }
        // an hour to dry and an hour to wait are one and the same hour; a minute more is told in minutes
        $earliest = static fn(int $minutes): string => $value(
            tankMix(['rainfastHours' => 1], ['waterInHours' => 24, 'waterInAfterMinutes' => $minutes]),
            'mix.water-in-from',
        )['rain']->unit->value;
        expect([$earliest(60), $earliest(61)])->toBe(['h', 'min']);
    },
);

it('asks nothing of mixing where there is one product', function () {
    [$situation, $option] = tankPair(['tankMixAllowed' => null]);
    $solver = new RecipeSolver($situation, $option, quantity('1000 m2'));
    expect(said($solver->advised(new MixPlan($situation, $option, 'water'), quantity('15 L'))))->not->toContain(
        'asks mix.mixing-not-on-card',
    );
});

it('starts by the strictest of both cards, and wears what either asks for', function () {
    [$situation, $one, $two] = tankPair(
        ['windMost' => '8 mph', 'coldest' => '60 F'],
        ['windMost' => '6 mph', 'coldest' => '55 F', 'hottest' => '80 F'],
    );
    $limits = static fn(array $products): array => array_map(
        static fn(StartLimit $l): string => $l->code() . ' ' . $l->value->amount,
        StartLimits::ofTank($products, $situation->target)->limits,
    );
    expect($limits([$one, $two]))
        ->toBe(['limit.wind-speed.most 6', 'limit.air-temperature.least 60', 'limit.air-temperature.most 80'])
        ->and($limits([$two, $one]))
        ->toEqualCanonicalizing($limits([$one, $two]))
        ->and(Cautions::ofTank($situation, [$one, $two])->cautions)
        ->toContain(...Cautions::for($situation, $one)->cautions)
        ->toContain(...Cautions::for($situation, $two)->cautions)
        ->and($situation->word(FactName::Setting))
        ->toBe('pasture');
});

it('mixes two rates over an area, one of them dry, by the larger spray volume', function () {
    // 10 ac at 1 pt/ac with 20 gal/ac asked, and 1 oz/ac of a dry product with 30 gal/ac asked: 300 gal and a tenth
    $dry = leafCard('dry', 'metsulfuron', [
        'formulation' => 'water-dispersible-granule',
        'actives' => [['active' => 'metsulfuron', 'amount' => '60 % w/w']],
        'methods' => [['method' => 'pasture-broadcast', 'rateMost' => '0.5 oz wt/ac', 'spray' => '30 gal/ac']],
        'yearlyMaximum' => '1 oz wt/ac',
    ]);
    $wet = leafCard('wet', '2-4-d', [
        'methods' => [['method' => 'pasture-broadcast', 'rateMost' => '1 pt/ac', 'spray' => '20 gal/ac']],
    ]);
    $document = stand([
        'species' => 'common-blackberry',
        'date' => '2026-09-20',
        'stems' => [],
        'area' => '10 ac',
        'facts' => [['fact' => 'setting', 'value' => 'pasture']],
        'cards' => [$dry, $wet],
    ]);
    $situation = (new SituationReader(catalogue()))->situation(Fields::of($document, new Faults()));
    [$option, $partner] = [
        product($document, 'pasture-broadcast', '2-4-d', 1),
        product($document, 'pasture-broadcast', 'metsulfuron', 0),
    ];
    $recipe = (new RecipeSolver($situation, $option->alongside([$partner]), $situation->area))->solve(
        quantity('50 gal'),
    );
    expect((string) $recipe->need?->in(Unit::UsGallon))
        ->toBe('330')
        ->and((string) ($recipe->working['perArea'] ?? throw new LogicException('no spray'))->amount)
        ->toBe('30')
        // the other way about it is the first card that asks for more
        ->and(
            (string) (new RecipeSolver($situation, $partner->alongside([$option]), $situation->area))
                ->solve(null)
                ->need?->in(Unit::UsGallon),
        )
        ->toBe('330')
        // 10 pt and a tenth are 11 pt = 176 fl oz; 5 oz and a tenth
        ->and((string) $recipe->product()?->decimal(Unit::UsFluidOunce, 2, RoundingMode::HALF_UP))
        ->toBe('176.00')
        ->and((string) $recipe->products[1]->amount?->decimal(Unit::OunceWeight, 3, RoundingMode::HALF_UP))
        ->toBe('5.500')
        ->and($recipe->plan?->count())
        ->toBe(7)
        ->and($recipe->mixId())
        ->toBe('wet+dry@dry')
        ->and(array_column($recipe->mix?->loadingOrder() ?? [], 'what'))
        ->toBe(['water', 'product-2', 'product', 'water-to-mark'])
        ->and($recipe->products[1]->ceiling?->kept)
        ->toBeTrue();
    // rates are measured up to themselves and no further, dry or wet
    $mix = $recipe->mix ?? throw new LogicException('no mix');
    expect((string) $recipe->products[0]->mostIn($mix)?->decimal(Unit::UsFluidOunce, 2, RoundingMode::HALF_UP))
        ->toBe('176.00')
        ->and((string) $recipe->products[1]->mostIn($mix)?->decimal(Unit::OunceWeight, 2, RoundingMode::HALF_UP))
        ->toBe('5.50');
});

/** @param array<string, mixed> ...$changes of the cards of one tank */
function terms(array ...$changes): TankTerms
{
    return new TankTerms(
        array_map(static function (array $changes): LabelCard {
            $card = LabelCard::read(Fields::of(leafCard('card', 'clopyralid', $changes), new Faults()), catalogue());

            return $card ?? throw new LogicException('no card');
        }, array_values($changes)),
    );
}

it('takes the strictest terms of every card, and no silence for leave', function () {
    $both = terms(
        ['reentryHours' => 12, 'rainfastHours' => 4, 'holdingHours' => 24, 'waterBuffer' => '10 m'],
        [
            'reentryHours' => 48,
            'rainfastHours' => 1,
            'holdingHours' => 8,
            'waterBuffer' => '50 ft',
            'licensedOnly' => true,
        ],
    );
    // 50 ft are 15.24 m
    expect([
        $both->reentryHours(),
        $both->rainfastHours(),
        $both->holdingHours(),
        (string) $both->waterBuffer()?->decimal(Unit::Metre, 2, RoundingMode::HALF_UP),
        $both->licensedOnly(),
    ])->toBe([48, 4, 8, '15.24', true]);
    $silent = terms(
        ['reentryHours' => 12, 'rainfastHours' => 4, 'holdingHours' => 24, 'waterBuffer' => '10 m'],
        ['reentryHours' => null, 'rainfastHours' => null, 'holdingHours' => null, 'waterBuffer' => null],
    );
    expect([
        $silent->reentryHours(),
        $silent->rainfastHours(),
        $silent->holdingHours(),
        (string) $silent->waterBuffer()?->in(Unit::Metre),
        $silent->licensedOnly(),
    ])
        ->toBe([null, null, null, '10', false])
        ->and([terms()->reentryHours(), terms()->holdingHours(), terms()->waterBuffer()])
        ->toBe([null, null, null]);
});

it('waits as long as any card asks', function (
    array $first,
    array $second,
    array $last,
    ?string $opens,
    ?string $silent,
) {
    $wait = terms($first + ['product' => 'one'], $second + ['product' => 'two'])->wait(
        array_map(static fn(string $day): DateTimeImmutable => new DateTimeImmutable($day), $last),
        'pasture',
        new DateTimeImmutable('2026-09-03'),
    );
    expect([$wait['opens']?->format('Y-m-d'), $wait['silent']?->product, $wait['since']?->format('Y-m-d')])->toBe([
        $opens,
        $silent,
        $silent === null ? null : $last['clopyralid'],
    ]);
})->with([
    'nothing before' => [[], [], [], null, null],
    'the longer of two' => [
        ['intervalDays' => 30],
        ['intervalDays' => 60],
        ['clopyralid' => '2026-08-20'],
        '2026-10-19',
        null,
    ],
    'over on this day' => [['intervalDays' => 14], ['intervalDays' => 14], ['clopyralid' => '2026-08-20'], null, null],
    'a day to go' => [
        ['intervalDays' => 15],
        ['intervalDays' => 14],
        ['clopyralid' => '2026-08-20'],
        '2026-09-04',
        null,
    ],
    'one is silent' => [['intervalDays' => 30], ['intervalDays' => null], ['clopyralid' => '2026-08-20'], null, 'two'],
    'silent, within the year' => [[], ['intervalDays' => 0], ['clopyralid' => '2025-09-04'], null, 'one'],
    'silent, a year ago' => [[], ['intervalDays' => 0], ['clopyralid' => '2025-09-03'], null, null],
    'another active' => [[], [], ['glyphosate' => '2026-08-20'], null, null],
]);

it('tells what was used of a product by its share, or by the mix where it is dry', function (
    ?string $percent,
    ?string $whole,
    ?string $planned,
    ?string $used,
) {
    $q = static fn(?string $text): ?Quantity => $text === null ? null : quantity($text);
    $product = MixedProduct::usedIn(
        quantity('30 L'),
        $percent === null ? null : Quantity::of($percent, Unit::PercentProduct),
        $q($whole),
        $q($planned),
    );
    expect($product === null ? null : (string) $product->amount . ' ' . $product->unit->value)->toBe($used);
})->with([
    'a share of what was used' => ['1.5', '9 L', '600 L', '9/20 L'],
    'dry: as the mix was used' => [null, '200 g', '40 L', '150 g'],
    'dry, nothing was planned' => [null, '200 g', '0 L', null],
    'nobody knows' => [null, null, '40 L', null],
]);
