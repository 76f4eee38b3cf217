<?php

declare(strict_types=1);

use Brick\Math\BigRational;
use Thicket\Input\Refused;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\Component;
use Thicket\Mix\FinishedMix;
use Thicket\Mix\LabelLoad;
use Thicket\Mix\LimitCheck;
use Thicket\Mix\MeasuringTool;
use Thicket\Mix\MixNeed;
use Thicket\Mix\Recipe;
use Thicket\Mix\RecipeSolver;

/** @param array<string, mixed> $changes */
function recipe(array $changes, string $id, ?string $tank = null, ?string $area = '500 m2'): Recipe
{
    $row = row(
        stand(
            $changes + [
                'facts' => [
                    ['fact' => 'setting', 'value' => 'woods'],
                    ['fact' => 'bark-texture', 'value' => 'smooth'],
                    ['fact' => 'height', 'value' => '4 ft'],
                ],
            ],
        ),
        $id,
    );
    [$situation, $option] = [situationOf($changes), $row->option];

    return (new RecipeSolver($situation, $option, $area === null ? null : quantity($area)))->solve(
        $tank === null ? null : quantity($tank),
    );
}

/** @param array<string, mixed> $changes */
function situationOf(array $changes): Thicket\Situation\Situation
{
    $in = Thicket\Input\Fields::of(
        stand(
            $changes + [
                'facts' => [
                    ['fact' => 'setting', 'value' => 'woods'],
                    ['fact' => 'bark-texture', 'value' => 'smooth'],
                    ['fact' => 'height', 'value' => '4 ft'],
                ],
            ],
        ),
        new Thicket\Input\Faults(),
    );

    return (new Thicket\Situation\SituationReader(catalogue()))->situation($in);
}

it('keeps the cut table of the handbook', function (string $spacing, string $per, array $cuts) {
    $counted = array_map(
        static fn(int $inches): int => sum([
            'sum' => 'injection',
            'spacing' => $spacing,
            'per' => $per,
            'stems' => [['diameter' => "{$inches} in", 'count' => 1]],
        ])['values']['cuts'],
        [2, 4, 6, 8, 10, 12],
    );
    expect($counted)->toBe($cuts);
})->with([
    '4 in of girth' => ['4 in', 'girth', [2, 4, 5, 7, 8, 10]],
    '3 in of girth' => ['3 in', 'girth', [3, 5, 7, 9, 11, 13]],
    '1 in of girth' => ['1 in', 'girth', [7, 13, 19, 26, 32, 38]],
    'inch of diameter' => ['1 in', 'diameter', [2, 4, 6, 8, 10, 12]],
]);

it('never lifts the dose above a label mL per tree when cuts are rounded up', function () {
    $capped = sum([
        'sum' => 'injection',
        'spacing' => '3.5 in',
        'per' => 'girth',
        'perCut' => '1 mL',
        'labelPerStem' => '5 mL',
        'stems' => [['diameter' => '10 in', 'count' => 2]],
    ])['values'];
    expect($capped['cuts'])
        ->toBe(18)
        ->and($capped['capped-by-label'])
        ->toBeTrue()
        ->and($capped['mix']->equals(quantity('10 mL')))
        ->toBeTrue();
});

it('counts cuts by the upper bound of a class and bands by its middle', function () {
    expect(
        sum([
            'sum' => 'injection',
            'spacing' => '1 in',
            'per' => 'diameter',
            'stems' => [['from' => '2 in', 'below' => '3 in', 'count' => 1]],
        ])['values']['cuts'],
    )
        ->toBe(3)
        ->and(
            sum([
                'sum' => 'basal-band',
                'band' => '14 in',
                'stems' => [['from' => '5 in', 'below' => '7 in', 'count' => 1]],
            ])['values']['band-area']->equals(
                sum(['sum' => 'basal-band', 'band' => '14 in', 'stems' => [['diameter' => '6 in', 'count' => 1]]])[
                    'values'
                ]['band-area'],
            ),
        )
        ->toBeTrue();
});

it('treats a stump of exactly 6 in as a ring, and oil down its sides', function () {
    $six = sum(['sum' => 'stump-face', 'stems' => [['diameter' => '6 in', 'count' => 1]]])['values'];
    expect($six['whole'])
        ->toBeFalse()
        ->and($six['treated-area']->decimal(Unit::SquareInch, 2, Brick\Math\RoundingMode::HALF_UP)->__toString())
        ->toBe('15.71');
    // 15.71 + pi x 6 x 4 = 91.11
    $oil = sum(['sum' => 'stump-face', 'carrier' => 'oil', 'stems' => [['diameter' => '6 in', 'count' => 1]]])[
        'values'
    ];
    expect($oil['treated-area']->decimal(Unit::SquareInch, 2, Brick\Math\RoundingMode::HALF_UP)->__toString())->toBe(
        '91.11',
    );
});

it('loses nothing: parts and carrier are the whole, to the last digit, in any units', function () {
    foreach (['3 gal', '7/3 L', '1 imp gal', '0.1 mL'] as $finished) {
        $mix = FinishedMix::of(quantity($finished), 'water', [
            new Thicket\Mix\Component('product', 'solution', Thicket\Measure\Strength::parse('1:6')),
            new Thicket\Mix\Component('surfactant', 'surfactant', Thicket\Measure\Strength::parse('1/4 %')),
        ]);
        $sum = $mix->carrierAmount;
        foreach ($mix->parts as $part) {
            $sum = $sum?->plus($part['amount'] ?? Quantity::zero(Unit::Litre));
        }
        expect($sum?->equals(quantity($finished)))->toBeTrue($finished);
    }
});

it('mixes the last part-load to need', function () {
    expect(sum(['sum' => 'loads', 'total' => '7 gal', 'tank' => '3 gal'])['values'])
        ->toMatchArray(['loads' => 3, 'whole-loads' => 2])
        ->and(
            sum(['sum' => 'loads', 'total' => '7 gal', 'tank' => '3 gal'])['values']['last-part']->equals(
                quantity('1 gal'),
            ),
        )
        ->toBeTrue()
        ->and(sum(['sum' => 'loads', 'total' => '6 gal', 'tank' => '3 gal'])['values'])
        ->toBe(['loads' => 2, 'whole-loads' => 2]);
});

it('measures to the nearest mark but never above the label', function () {
    $cup = new MeasuringTool('1 oz cup', quantity('0.25 fl oz'), quantity('1 fl oz'));
    expect($cup->measure(quantity('1.92 fl oz'))['measured']->equals(quantity('2 fl oz')))
        ->toBeTrue()
        ->and($cup->measure(quantity('1.92 fl oz'), quantity('1.99 fl oz'))['measured']->equals(quantity('1.75 fl oz')))
        ->toBeTrue();
    for ($i = 1; $i < 60; ++$i) {
        $amount = Quantity::of(BigRational::of($i)->dividedBy(7), Unit::UsFluidOunce);
        expect($cup->measure($amount, $amount)['measured']->isGreaterThan($amount))->toBeFalse();
    }
});

it('works the basal recipe of ten 4 in maples: band, film, allowance, strength inside the card', function () {
    $recipe = recipe(['cards' => [esterCard()]], 'basal-bark/triclopyr-ester/ester', '1 gal');
    // pi x 4 in x 14 in x 10 = 1759.29 sq in = 1.13502 m2; x 0.30 L/m2 x 1.10 = 0.374557 L; 25 % of it
    expect($recipe->need?->decimal(Unit::Litre, 4, Brick\Math\RoundingMode::HALF_UP)->__toString())
        ->toBe('0.3746')
        ->and((string) $recipe->strength?->percent()->amount)
        ->toBe('25')
        ->and($recipe->strengthWhy)
        ->toBe('strength.by-bark')
        ->and($recipe->product()?->decimal(Unit::Millilitre, 1, Brick\Math\RoundingMode::HALF_UP)->__toString())
        ->toBe('93.6')
        ->and($recipe->plan?->count())
        ->toBe(1)
        ->and($recipe->isFinished())
        ->toBeTrue();
});

it('holds the strength inside the card and never above it', function (
    string $min,
    string $max,
    string $percent,
    string $why,
) {
    $recipe = recipe(
        ['cards' => [esterCard(['methods' => [['method' => 'basal-bark', 'min' => $min, 'max' => $max]]])]],
        'basal-bark/triclopyr-ester/ester',
    );
    expect([(string) $recipe->strength?->percent()->amount, $recipe->strengthWhy])->toBe([$percent, $why]);
})->with([
    'card allows' => ['10%', '25%', '25', 'strength.by-bark'],
    'card is weaker' => ['10%', '20%', '20', 'strength.card-most'],
    'card is stronger' => ['28%', '30%', '28', 'strength.card-least'],
]);

it('blocks a recipe over the yearly ceiling and one without an area', function () {
    // 93.64 mL of 480 g/L = 44.95 g on 500 m2 = 898.9 g/ha
    expect(
        recipe(['cards' => [esterCard(['yearlyMaximum' => '898 g ae/ha'])]], 'basal-bark/triclopyr-ester/ester')
            ->blocks,
    )
        ->toBe(['ceiling'])
        ->and(
            recipe(['cards' => [esterCard(['yearlyMaximum' => '899 g ae/ha'])]], 'basal-bark/triclopyr-ester/ester')
                ->blocks,
        )
        ->toBe([])
        ->and(recipe(['cards' => [esterCard()]], 'basal-bark/triclopyr-ester/ester', null, null)->missing)
        ->toBe(['treated-area']);
});

it('counts what was already put there this year', function () {
    $row = row(
        stand([
            'facts' => [['fact' => 'setting', 'value' => 'woods']],
            'cards' => [esterCard(['yearlyMaximum' => '1000 g ae/ha'])],
        ]),
        'basal-bark/triclopyr-ester/ester',
    );
    $card = $row->option->card ?? throw new LogicException();
    $check = static fn(?string $before): ?bool => LimitCheck::check(
        new LabelLoad($card, 'triclopyr-ester', quantity('100 mL'), quantity('0.1 ha')),
        'woods',
        $before === null ? null : putThere($before),
    )->kept;
    expect([$check(null), $check('520 g ae/ha'), $check('521 g ae/ha')])->toBe([true, true, false]);
});

it('reads an amount on its marks, with the fillings and the error', function (
    string $amount,
    ?string $most,
    string $measured,
    int $fillings,
    string $error,
) {
    $read = (new MeasuringTool('cup', quantity('0.25 fl oz'), quantity('1 fl oz')))->measure(
        quantity($amount),
        $most === null ? null : quantity($most),
    );
    expect([
        (string) $read['measured']->in(Unit::UsFluidOunce),
        $read['fillings'],
        (string) $read['errorPercent']->toScale(2, Brick\Math\RoundingMode::HALF_UP),
    ])->toBe([$measured, $fillings, $error]);
})->with([
    'on a mark' => ['1 fl oz', null, '1', 1, '0.00'],
    // 1.1 lies nearer to 1 than to 1.25
    'down to the nearest' => ['1.1 fl oz', null, '1', 1, '-9.09'],
    'up to the nearest, a second filling' => ['1.15 fl oz', null, '5/4', 2, '8.70'],
    'half way goes up' => ['1.125 fl oz', null, '5/4', 2, '11.11'],
    'not above the label' => ['1.15 fl oz', '1.2 fl oz', '1', 1, '-13.04'],
    'just at the label' => ['1.15 fl oz', '1.25 fl oz', '5/4', 2, '8.70'],
    'in another unit' => ['59.147059125 mL', null, '2', 2, '0.00'],
    'nothing' => ['0 fl oz', null, '0', 0, '0.00'],
]);

it('cuts at least once, leaves out what is beyond the limit and not what is at it', function () {
    $stem = static fn(string $d, int $n): Thicket\Survey\StemGroup => situationOf([
        'stems' => [['diameter' => $d, 'count' => $n]],
    ])->stems[0];
    $result = Thicket\Mix\Injection::of(
        [$stem('0.2 in', 2), $stem('10 in', 3), $stem('10.1 in', 4)],
        new Thicket\Mix\CutSpacing(quantity('1 in'), 'diameter'),
        quantity('1 mL'),
        quantity('10 in'),
    );
    // one cut each for the thin ones, ten for those of 10 in
    expect([
        $result->cuts,
        $result->treated,
        $result->skipped,
        $result->cappedByLabel,
        (string) $result->mix->in(Unit::Millilitre),
    ])
        ->toBe([32, 5, 4, false, '32'])
        ->and((new Thicket\Mix\CutSpacing(quantity('1 in'), 'diameter'))->cutsOn(quantity('0 in')))
        ->toBe(1);
    $band = Thicket\Mix\StemBand::of(
        [$stem('8 in', 1), $stem('6 in', 2), $stem('4 in', 3)],
        quantity('14 in'),
        quantity('6 in'),
    );
    expect([$band->treated, $band->skipped])
        ->toBe([3, 3])
        ->and(Thicket\Mix\StemBand::of([$stem('6 in', 2)], quantity('14 in'), quantity('6 in'), true)->treated)
        ->toBe(2)
        ->and((string) Thicket\Mix\StumpFace::usualSides()->in(Unit::Inch))
        ->toBe('4');
});

it('measures with the tool that reads best under what the label allows', function (
    string $amount,
    ?string $most,
    array $tools,
    ?string $tool,
    string $measured,
) {
    $all = array_map(
        static fn(array $t): MeasuringTool => new MeasuringTool($t[0], quantity($t[1]), quantity($t[2])),
        $tools,
    );
    $best = MeasuringTool::bestFor(quantity($amount), $all, $most === null ? null : quantity($most));
    expect($best?->name)
        ->toBe($tool)
        ->and(
            $best === null
                ? ''
                : (string) $best
                    ->measure(quantity($amount), $most === null ? null : quantity($most))
                    ['measured']->in(Unit::Millilitre),
        )
        ->toBe($measured);
})->with([
    // 16 mL by the cylinder, 15 by the syringe
    'the nearer' => [
        '15.97 mL',
        null,
        [['cylinder', '2 mL', '100 mL'], ['syringe', '5 mL', '10 mL']],
        'cylinder',
        '16',
    ],
    // sixteen would be too much: fourteen by the cylinder, fifteen by the syringe
    'the nearer that is not too much' => [
        '15.97 mL',
        '15.97 mL',
        [['cylinder', '2 mL', '100 mL'], ['syringe', '5 mL', '10 mL']],
        'syringe',
        '15',
    ],
    'fewer fillings where they read alike' => [
        '20 mL',
        null,
        [['syringe', '1 mL', '10 mL'], ['cylinder', '1 mL', '100 mL']],
        'cylinder',
        '20',
    ],
    'more than four fillings only where nothing else reads it' => [
        '200 mL',
        null,
        [['syringe', '1 mL', '10 mL'], ['jug', '30 mL', '1 L']],
        'jug',
        '210',
    ],
    'four are still well' => ['40 mL', null, [['syringe', '1 mL', '10 mL'], ['jug', '30 mL', '1 L']], 'syringe', '40'],
    'five are too many' => ['50 mL', null, [['syringe', '1 mL', '10 mL'], ['jug', '30 mL', '1 L']], 'jug', '60'],
    'too small for the jug to read' => [
        '10 mL',
        null,
        [['jug', '30 mL', '1 L'], ['spoon', '15 mL', '15 mL']],
        'spoon',
        '15',
    ],
    'no tool' => ['10 mL', null, [], null, ''],
]);

it(
    'goes on past a part without a figure, says how much more than the whole it would be, and mixes volumes only',
    function () {
        $mix = FinishedMix::of(quantity('10 L'), 'water', [
            new Component('emulsifier', 'emulsifier', null),
            new Component('dye', 'dye', Thicket\Measure\Strength::parse('1 %')),
            new Component('salt', 'dry-flowable', null, quantity('3 g/L')),
        ]);
        expect($mix->missing)
            ->toBe(['emulsifier'])
            ->and((string) $mix->amountOf('dye')?->in(Unit::Millilitre))
            ->toBe('100')
            ->and((string) $mix->amountOf('salt')?->in(Unit::Gram))
            ->toBe('30')
            ->and($mix->carrierAmount)
            ->toBeNull()
            ->and(
                static fn() => FinishedMix::of(quantity('1 L'), 'water', [
                    new Component('product', 'solution', Thicket\Measure\Strength::parse('80 %')),
                    new Component('oil', 'oil', Thicket\Measure\Strength::parse('30 %')),
                    new Component('emulsifier', 'emulsifier', Thicket\Measure\Strength::parse('1 %')),
                ]),
            )
            ->toThrow(Thicket\Mix\Exception\Unmixable::class, '111')
            ->and(static fn() => FinishedMix::of(quantity('1 kg'), 'water', []))
            ->toThrow(Thicket\Measure\Exception\UnitMismatch::class);
    },
);

it('asks for what the recipe lacks instead of guessing', function () {
    expect(
        recipe(
            ['species' => 'tree-of-heaven', 'facts' => [['fact' => 'setting', 'value' => 'woods']], 'stems' => []],
            'basal-bark/triclopyr-ester',
        )->missing,
    )
        ->toContain('stem-diameter')
        ->and(
            recipe(
                ['species' => 'english-ivy', 'date' => '2026-02-01', 'stems' => []],
                'foliar-spot/triclopyr-ester',
                null,
                null,
            )->missing,
        )
        ->toBe(['treated-area']);
});

it('spaces cuts by the active at hand', function () {
    [$imazapyr] = MixNeed::spacing(row(stand(), 'hack-and-squirt/imazapyr')->option);
    [$glyphosate, $per] = MixNeed::spacing(row(stand(), 'hack-and-squirt/glyphosate')->option);
    expect($imazapyr->equals(quantity('3.5 in')))
        ->toBeTrue()
        ->and($glyphosate->equals(quantity('1 in')))
        ->toBeTrue()
        ->and($per)
        ->toBe('diameter');
});

it('refuses a bad sum with the field named', function (array $document, string $pointer) {
    try {
        sum($document);
    } catch (Refused $e) {
        expect(array_column($e->faults, 'pointer'))->toContain($pointer);

        return;
    }
    $this->fail("nothing refused at {$pointer}");
})->with([
    'no sum named' => [[], '/sum'],
    'unknown sum' => [['sum' => 'magic'], '/sum'],
    'wrong unit' => [['sum' => 'loads', 'total' => '3 in', 'tank' => '1 gal'], '/total'],
    'zero tank' => [['sum' => 'loads', 'total' => '3 gal', 'tank' => '0 gal'], '/tank'],
    'missing tank' => [['sum' => 'loads', 'total' => '3 gal'], '/tank'],
    'float' => [['sum' => 'loads', 'total' => 3.5, 'tank' => '1 gal'], '/total'],
    'unknown unit code' => [
        ['sum' => 'loads', 'total' => ['value' => '3', 'unit' => 'glug'], 'tank' => '1 gal'],
        '/total/unit',
    ],
    'over the whole' => [
        [
            'sum' => 'finished-mix',
            'finished' => '1 L',
            'carrier' => 'water',
            'components' => [
                ['name' => 'a', 'role' => 'solution', 'strength' => '60%'],
                ['name' => 'b', 'role' => 'solution', 'strength' => '41%'],
            ],
        ],
        '',
    ],
    'emulsifier and surfactant' => [
        [
            'sum' => 'finished-mix',
            'finished' => '1 L',
            'carrier' => 'water',
            'components' => [
                ['name' => 'a', 'role' => 'emulsifier', 'strength' => '1%'],
                ['name' => 'b', 'role' => 'surfactant', 'strength' => '1%'],
            ],
        ],
        '',
    ],
    'above the label' => [
        [
            'sum' => 'finished-mix',
            'finished' => '1 L',
            'carrier' => 'water',
            'components' => [['name' => 'a', 'role' => 'solution', 'strength' => '3%', 'labelMost' => '2%']],
        ],
        '/components/0/strength',
    ],
    'two bases' => [
        ['sum' => 'equal-active', 'used' => '50%', 'strengthOfUsed' => '41 % w/w', 'strengthOfOther' => '480 g ae/L'],
        '',
    ],
    'ready-to-use for a concentrate' => [
        [
            'sum' => 'equal-active',
            'used' => '50%',
            'strengthOfUsed' => '41 % w/w',
            'strengthOfOther' => '2 % w/w',
            'otherIsReadyToUse' => true,
        ],
        '',
    ],
    'too weak to match' => [
        ['sum' => 'equal-active', 'used' => '50%', 'strengthOfUsed' => '41 % w/w', 'strengthOfOther' => '2 % w/w'],
        '',
    ],
    'stray field' => [['sum' => 'loads', 'total' => '3 gal', 'tank' => '1 gal', 'glug' => 1], '/glug'],
]);

it('classes every soil that a card may, and leaves three to the card', function () {
    $classes = array_map(
        static fn(string $soil): ?string => Thicket\Catalogue\SoilTexture::ofSoil($soil)?->value,
        array_combine(Thicket\Catalogue\SoilTexture::names(), Thicket\Catalogue\SoilTexture::names()),
    );
    expect($classes)
        ->toBe([
            'sand' => 'coarse',
            'loamy sand' => 'coarse',
            'sandy loam' => 'coarse',
            'silt' => 'medium',
            'loam' => 'medium',
            'clay' => 'fine',
            'clay loam' => 'fine',
            'silty clay loam' => 'fine',
            'silty clay' => 'fine',
            'silt loam' => null,
            'sandy clay loam' => null,
            'sandy clay' => null,
        ])
        ->and(Thicket\Catalogue\SoilTexture::ofSoil('peat'))
        ->toBeNull();
});

it('matches by active up to pure product, and not beyond', function () {
    $match = static fn(string $strength, string $first, string $second): array => sum([
        'sum' => 'equal-active',
        'used' => $strength,
        'strengthOfUsed' => $first,
        'strengthOfOther' => $second,
    ])['values'];
    $percent = static fn(string ...$given): string => (string) $match(...$given)['percent']->amount;
    expect($percent('50 %', '480 g ae/L', '240 g ae/L'))
        ->toBe('100')
        ->and($percent('25 %', '480 g ae/L', '240 g ae/L'))
        ->toBe('50')
        ->and(static fn() => $match('50.1 %', '480 g ae/L', '240 g ae/L'))
        ->toThrow(Refused::class)
        ->and(static fn() => $match('10 %', '480 g ae/L', '240 g ai/L'))
        ->toThrow(Refused::class)
        ->and(static fn() => $match('10 %', '480 g ae/L', '0 g ae/L'))
        ->toThrow(Refused::class)
        ->and($match('10 %', '41 %w/w', '53.8 %w/w')['nominal'])
        ->toBeTrue();
});

it('reckons a rate once unless told otherwise, and loads only with both spray and tank', function () {
    $one = Thicket\Mix\AreaRate::of(quantity('2 L/ha'), quantity('3 ha'));
    expect([(string) $one->product->in(Unit::Litre), $one->loads, $one->productPerLoad])
        ->toBe(['6', null, null])
        ->and(Thicket\Mix\AreaRate::of(quantity('2 L/ha'), quantity('3 ha'), null, quantity('100 L'))->loads)
        ->toBeNull()
        ->and(Thicket\Mix\AreaRate::of(quantity('2 L/ha'), quantity('3 ha'), quantity('200 L/ha'))->loads)
        ->toBeNull()
        ->and(
            (string) Thicket\Mix\AreaRate::of(
                quantity('2 L/ha'),
                quantity('3 ha'),
                quantity('200 L/ha'),
                quantity('100 L'),
            )->productPerLoad?->in(Unit::Litre),
        )
        ->toBe('1')
        ->and(
            (string) Thicket\Mix\AreaRate::of(quantity('2 L/ha'), quantity('3 ha'), null, null, 2)->product->in(
                Unit::Litre,
            ),
        )
        ->toBe('12')
        ->and(static fn() => Thicket\Mix\AreaRate::of(quantity('2 L/ha'), quantity('3 L')))
        ->toThrow(Thicket\Measure\Exception\UnitMismatch::class);
});

it('takes the ground that somebody measured, the share of the rows, or the patch', function (
    string $row,
    array $facts,
    ?string $squareMetres,
) {
    [$situation, $option] = situated(
        stand([
            'species' => 'large-crabgrass',
            'date' => '2026-03-01',
            'stems' => [],
            'facts' => $facts,
            'cards' => [preventerCard()],
        ]),
        $row,
    );
    $area = Thicket\Mix\TreatedArea::of($situation, $option, quantity('1 ha'));
    expect($area === null ? null : (string) $area->in(Unit::SquareMetre))->toBe($squareMetres);
})->with(function () {
    $at = static fn(string $site, array $more = []): array => [
        ['fact' => 'setting', 'value' => $site],
        ...array_map(static fn(string $name): array => ['fact' => $name, 'value' => $more[$name]], array_keys($more)),
    ];
    $preventer = 'pre-emergent/pendimethalin/preventer';

    return [
        'measured' => [
            $preventer,
            $at('orchard', ['treated-area' => '700 m2', 'row-spacing' => '5 m', 'strip-side' => '1 m']),
            '700',
        ],
        // 2 x 1 m of every 5
        'of the rows' => [$preventer, $at('orchard', ['row-spacing' => '5 m', 'strip-side' => '1 m']), '4000'],
        'strips that meet are the whole' => [
            $preventer,
            $at('orchard', ['row-spacing' => '5 m', 'strip-side' => '3 m']),
            '10000',
        ],
        'strips that just meet' => [
            $preventer,
            $at('orchard', ['row-spacing' => '5 m', 'strip-side' => '2.5 m']),
            '10000',
        ],
        'rows, but not how wide' => [$preventer, $at('orchard', ['row-spacing' => '5 m']), null],
        'strips, but not how far apart' => [$preventer, $at('orchard', ['strip-side' => '1 m']), null],
        'in a bed there are no rows' => [
            $preventer,
            $at('bed-lawn-paving', ['row-spacing' => '5 m', 'strip-side' => '1 m']),
            '10000',
        ],
    ];
});
