<?php

declare(strict_types=1);

use Brick\Math\RoundingMode;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Measure\Quantity;
use Thicket\Measure\Shown;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
use Thicket\Mix\Recipe;
use Thicket\Mix\RecipeSolver;
use Thicket\Situation\CrewCoefficients;

/*
 * Recipes of each method, worked by hand: surface x film, or cuts x mL, plus ten parts in a hundred.
 */

function solved(array $changes, string $id, ?string $tank = null, string $area = '1000 m2', ?string $dye = null): Recipe
{
    $document = stand(
        $changes + [
            'cards' => [waterCard(), esterCard()],
            'facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'bark-texture', 'value' => 'smooth']],
        ],
    );
    $in = Thicket\Input\Fields::of($document, new Thicket\Input\Faults());
    $situation = (new Thicket\Situation\SituationReader(catalogue()))->situation($in);
    $solver = new RecipeSolver($situation, row($document, $id)->option, quantity($area));

    return $solver->solve(
        $tank === null ? null : quantity($tank),
        $dye === null ? [] : [new Thicket\Mix\Component('dye', 'dye', Strength::parse($dye))],
    );
}

function millilitres(?Quantity $quantity): string
{
    return (string) $quantity?->decimal(Unit::Millilitre, 2, RoundingMode::HALF_UP);
}

it('wets whole small stump faces with a water-borne mix', function () {
    // 20 x pi x 4^2 / 4 = 251.33 sq in = 0.162146 m2; x 0.5 L/m2 x 1.1 = 89.18 mL, half of it product
    $recipe = solved(['stems' => [['diameter' => '4 in', 'count' => 20]]], 'cut-stump/glyphosate/water');
    expect([millilitres($recipe->need), millilitres($recipe->product()), $recipe->strengthWhy])->toBe([
        '89.18',
        '44.59',
        'strength.stump-school',
    ]);
});

it('wets only the ring of a large stump', function () {
    // pi x 1 x (10 - 1) = 28.27 sq in = 0.018241 m2; x 0.5 x 1.1 = 10.03 mL
    $recipe = solved(['stems' => [['diameter' => '10 in', 'count' => 1]]], 'cut-stump/glyphosate/water');
    expect(millilitres($recipe->need))->toBe('10.03');
});

it('wets the sides too with an oil mix, and goes weak only by school', function () {
    // (pi x 4^2 / 4 + pi x 4 x 4) = 62.83 sq in = 0.040537 m2; x 0.5 x 1.1 = 22.30 mL
    $recipe = solved(['stems' => [['diameter' => '4 in', 'count' => 1]]], 'cut-stump/triclopyr-ester/ester');
    expect([millilitres($recipe->need), (string) $recipe->strength?->percent()->amount])->toBe(['22.30', '25']);
    $weak = solved(
        ['stems' => [['diameter' => '4 in', 'count' => 1]], 'schools' => ['stump-strength' => 'weak-on-thin']],
        'cut-stump/triclopyr-ester/ester',
    );
    expect((string) $weak->strength?->percent()->amount)->toBe('8');
});

it('fills cuts by the spacing of the active', function (array $schools, int $cuts, string $millilitres) {
    $recipe = solved(
        ['stems' => [['diameter' => '8 in', 'count' => 1]], 'schools' => $schools],
        'hack-and-squirt/glyphosate/water',
    );
    expect([$recipe->working['cuts'], millilitres($recipe->need)])->toBe([$cuts, $millilitres]);
})->with([
    'sparse, one per inch of diameter' => [[], 8, '8.80'],
    'dense, one per inch of girth' => [['injection-spacing' => 'per-inch-of-girth'], 26, '28.60'],
    'every 3.5 in of girth' => [['injection-spacing' => 'girth-3-5-in'], 8, '8.80'],
]);

it('leaves out stems beyond reach and says how many', function () {
    $recipe = solved(
        [
            'stems' => [
                ['diameter' => '8 in', 'count' => 2],
                ['diameter' => '11 in', 'count' => 3],
                ['diameter' => '0.5 in', 'count' => 4],
            ],
        ],
        'hack-and-squirt/glyphosate/water',
    );
    expect([$recipe->working['treated'], $recipe->working['skipped']])->toBe([2, 7]);
});

it('lets stems that are left out set neither strength nor drawing', function () {
    $facts = [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'bark-texture', 'value' => 'smooth']];
    $recipe = solved(
        ['facts' => $facts, 'stems' => [['diameter' => '1 in', 'count' => 30], ['diameter' => '7 in', 'count' => 2]]],
        'basal-bark/triclopyr-ester/ester',
    );
    expect([(string) $recipe->strength?->percent()->amount, count($recipe->stems), $recipe->working['skipped']])->toBe([
        '15',
        1,
        2,
    ]);
});

it('takes leaf spray by height class and area', function (string $height, string $litres) {
    $facts = [
        ['fact' => 'setting', 'value' => 'woods'],
        ['fact' => 'height', 'value' => $height],
        ['fact' => 'treated-area', 'value' => '100 m2'],
    ];
    $recipe = solved(
        ['species' => 'bush-honeysuckle', 'facts' => $facts],
        'foliar-spot/glyphosate/water',
        null,
        '100 m2',
    );
    expect((string) $recipe->need?->decimal(Unit::Litre, 2, RoundingMode::HALF_UP))->toBe($litres);
})->with([
    'low carpet: 6 L' => ['0.4 m', '6.60'],
    'half a metre is a shrub: 0.08 L a m2' => ['0.5 m', '8.80'],
    'a metre and more: 0.20 L a m2' => ['1 m', '22.00'],
]);

it('wets with a spot spray what the weed covers, never the patch', function (
    array $stems,
    array $facts,
    ?string $litres,
    array $missing,
) {
    $recipe = solved(
        [
            'species' => 'bush-honeysuckle',
            'stems' => $stems,
            'facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'height', 'value' => '0.4 m'], ...$facts],
        ],
        'foliar-spot/glyphosate/water',
        null,
        '2 ac',
    );
    $need = $recipe->need;
    expect([
        $need === null ? null : (string) $need->decimal(Unit::Litre, 3, RoundingMode::HALF_UP),
        $recipe->missing,
    ])->toBe([$litres, $missing]);
})->with([
    // 40 x 0.1 m2 x 6 L/100 m2 x 1.1
    '40 plants on 2 acres' => [[['diameter' => '1 cm', 'count' => 40]], [], '0.264', []],
    'in clumps of four' => [[['diameter' => '1 cm', 'count' => 40, 'stemsPerClump' => 4]], [], '0.066', []],
    // 7 stems, three of a clump, are three plants: 3 x 0.1 m2 x 6 L/100 m2 x 1.1
    'a clump not whole' => [[['diameter' => '1 cm', 'count' => 7, 'stemsPerClump' => 3]], [], '0.020', []],
    // 8093.7128448 m2 x 3 % x 6 L/100 m2 x 1.1
    'by cover' => [[], [['fact' => 'target-cover', 'value' => 'sparse']], '16.026', []],
    'a typed area goes before both' => [
        [['diameter' => '1 cm', 'count' => 40]],
        [['fact' => 'treated-area', 'value' => '10 m2'], ['fact' => 'target-cover', 'value' => 'full']],
        '0.660',
        [],
    ],
    'nothing told' => [[], [], null, ['treated-area']],
]);

it('splits a large need into loads and keeps the strength in each', function () {
    $facts = [
        ['fact' => 'setting', 'value' => 'woods'],
        ['fact' => 'height', 'value' => '1.2 m'],
        ['fact' => 'treated-area', 'value' => '160 m2'],
    ];
    $recipe = solved(
        ['species' => 'bush-honeysuckle', 'facts' => $facts],
        'foliar-spot/glyphosate/water',
        '15 L',
        '160 m2',
    );
    // 160 x 0.20 x 1.1 = 35.2 L: two tanks and 5.2 L
    expect([$recipe->plan?->whole(), Shown::both($recipe->plan?->lastPart() ?? quantity('0 L'))['metric']])->toBe([
        2,
        '5.2 L',
    ]);
    $part = $recipe->mix?->inVolume($recipe->plan?->lastPart() ?? quantity('0 L'));
    expect($part?->amountOf('product')?->equals(quantity('5.2 L')->times($recipe->strength->share ?? '0')))->toBeTrue();
});

it('adds dye without changing the finished volume', function () {
    $recipe = solved(
        ['stems' => [['diameter' => '4 in', 'count' => 20]]],
        'cut-stump/glyphosate/water',
        null,
        '1000 m2',
        '2 mL/L',
    );
    $sum = $recipe->mix?->carrierAmount
        ?->plus($recipe->product() ?? quantity('0 L'))
        ->plus($recipe->mix->amountOf('dye') ?? quantity('0 L'));
    expect($sum?->equals($recipe->need ?? quantity('0 L')))
        ->toBeTrue()
        ->and(millilitres($recipe->mix?->amountOf('dye')))
        ->toBe('0.18');
});

it('puts a ready-to-use product on as it is', function () {
    $cards = [waterCard(['formulation' => 'ready-to-use', 'surfactantInside' => true])];
    $recipe = solved(['cards' => $cards], 'cut-stump/glyphosate/water');
    expect([
        $recipe->blocks,
        $recipe->strengthWhy,
        $recipe->need !== null && $recipe->product()?->equals($recipe->need),
    ])->toBe([[], 'strength.ready-to-use', true]);
});

it('cannot tell a ceiling from a card without one, or in another basis', function (array $change, string $missing) {
    $recipe = solved(['cards' => [waterCard($change)]], 'cut-stump/glyphosate/water');
    expect($recipe->missing)
        ->toBe([$missing])
        ->and($recipe->isFinished())
        ->toBeFalse();
})->with([
    'no maximum' => [['yearlyMaximum' => null], 'card-yearly-maximum'],
    'strength by weight' => [
        ['actives' => [['active' => 'glyphosate', 'amount' => '41 % w/w']]],
        'card-strength-basis',
    ],
]);

it('reckons a ceiling in product per area too', function (string $most, bool $kept) {
    // 44.59 mL on 1000 m2 = 0.4459 L/ha
    $recipe = solved(
        ['stems' => [['diameter' => '4 in', 'count' => 20]], 'cards' => [waterCard(['yearlyMaximum' => $most])]],
        'cut-stump/glyphosate/water',
    );
    expect($recipe->ceiling?->kept)->toBe($kept);
})->with(['just enough' => ['0.446 L/ha', true], 'just too little' => ['0.445 L/ha', false]]);

/** @param array<string, mixed> $document */
function recipeOf(array $document, string $row): Recipe
{
    [$situation, $option] = situated($document, $row);

    return (new RecipeSolver($situation, $option, $situation->area))->solve(null);
}

/**
 * @param array<string, mixed> $pasture
 *
 * @return array{string, bool|null, list<string>}
 */
function recipeTold(array $pasture, string $year): array
{
    $card = sprayCard([
        'id' => 'year',
        'actives' => [['active' => 'triclopyr-ester', 'amount' => '480 g ae/L']],
        'yearlyMaximum' => $year,
        'methods' => [['method' => 'pasture-broadcast', 'rateMost' => '1 L/ha']],
    ]);
    $recipe = recipeOf(['cards' => [$card]] + $pasture, 'pasture-broadcast/triclopyr-ester/year');

    return [
        (string) $recipe->product()?->in(Unit::Litre)->toScale(3, RoundingMode::HALF_UP),
        $recipe->ceiling?->kept,
        $recipe->missing,
    ];
}

it('works out what goes on an area, by the treated ground and never above the card', function () {
    $pasture =
        [
            'species' => 'common-blackberry',
            'date' => '2026-09-20',
            'stems' => [],
            'area' => '10 ac',
            'facts' => [['fact' => 'setting', 'value' => 'pasture']],
        ] + stand();
    // 1 pt/ac on 10 ac and the tenth for allowance: 11 pt; the mix per area is not known
    $triclopyr = recipeOf($pasture, 'pasture-broadcast/triclopyr-ester');
    expect((string) $triclopyr->working['rate']->amount)
        ->toBe('1')
        ->and($triclopyr->missing)
        ->toBe(['spray-per-area'])
        // 11 pt is bought all the same, 5.2049 L
        ->and((string) $triclopyr->product()?->in(Unit::Litre)->toScale(4, RoundingMode::HALF_UP))
        ->toBe('5.2049')
        ->and($triclopyr->isFinished())
        ->toBeFalse();
    // dry: 1 oz/ac on 10 ac = 283.5 g, and a tenth
    $dry = recipeOf($pasture, 'pasture-broadcast/chlorsulfuron');
    expect($dry->missing)
        ->toContain('spray-per-area')
        ->and((string) $dry->product()?->in(Unit::Gram)->toScale(1, RoundingMode::HALF_UP))
        ->toBe('311.8');
    // and what the label allows in a year is told without it: 1.0 L/ha of 480 is 0.48 kg ae, with the tenth 0.528
    $less = static fn(string $year): array => recipeTold($pasture, $year);
    expect($less('0.53 kg ae/ha'))
        ->toBe(['4.452', true, ['spray-per-area']])
        ->and($less('0.52 kg ae/ha'))
        ->toBe(['4.452', false, ['spray-per-area']]);
    // 5 ha of rows 12 m apart, 1.2 m each side: 1 ha is treated; 1 qt/ac in 50 gal/ac
    $orchard =
        [
            'species' => 'quackgrass',
            'stems' => [],
            'area' => '5 ha',
            'facts' => [
                ['fact' => 'setting', 'value' => 'orchard'],
                ['fact' => 'row-spacing', 'value' => '12 m'],
                ['fact' => 'strip-side', 'value' => '1.2 m'],
            ],
        ] + stand();
    $strip = recipeOf($orchard, 'strip-spray/glyphosate');
    expect((string) $strip->working['area']->in(Unit::Hectare))
        ->toBe('1')
        ->and((string) $strip->strength?->percent()->amount->toScale(3, RoundingMode::HALF_UP))
        ->toBe('0.500')
        // 50 gal/ac = 467.7 L/ha, and a tenth
        ->and((string) $strip->need?->in(Unit::Litre)->toScale(1, RoundingMode::HALF_UP))
        ->toBe('514.5');
    expect(
        recipeOf(['facts' => [['fact' => 'setting', 'value' => 'orchard']]] + $orchard, 'strip-spray/glyphosate')
            ->missing,
    )->toContain('treated-area');
    // a card that allows less holds it down
    $card = sprayCard([
        'id' => 'less',
        'actives' => [['active' => 'glyphosate', 'amount' => '360 g ae/L']],
        'methods' => [['method' => 'strip-spray', 'rateMost' => '1 L/ha', 'spray' => '200 L/ha']],
    ]);
    $held = recipeOf(['cards' => [$card]] + $orchard, 'strip-spray/glyphosate/less');
    expect($held->strengthWhy)
        ->toBe('strength.card-most')
        ->and((string) $held->strength?->percent()->amount->toScale(3, RoundingMode::HALF_UP))
        ->toBe('0.500')
        ->and((string) $held->product()?->in(Unit::Litre)->toScale(2, RoundingMode::HALF_UP))
        ->toBe('1.10');
    // a card that names the use and no amount: the typical amount is no leave
    $silent = sprayCard([
        'id' => 'silent',
        'actives' => [['active' => 'glyphosate', 'amount' => '360 g ae/L']],
        'methods' => [['method' => 'strip-spray']],
    ]);
    expect(recipeOf(['cards' => [$silent]] + $orchard, 'strip-spray/glyphosate/silent')->missing)->toContain(
        'card-rate',
    );
});

it('fills a kerf by girth and a wick by plants', function () {
    // two trees of 10 in: 2 x 79.8 cm of girth at 5 mL each 10 cm = 79.8 mL, and a tenth
    expect(
        (string) recipeOf(stand(['stems' => [['diameter' => '10 in', 'count' => 2]]]), 'girdle-spray/glyphosate')
            ->need?->in(Unit::Millilitre)
            ->toScale(1, RoundingMode::HALF_UP),
    )
        ->toBe('87.8')
        // the label's 20 mL a tree holds each of the 39.9 mL down: 40 mL, and a tenth
        ->and(
            (string) recipeOf(
                stand([
                    'stems' => [['diameter' => '10 in', 'count' => 2]],
                    'cards' => [
                        waterCard(['methods' => [['method' => 'girdle-spray', 'max' => '100%', 'perStem' => '20 mL']]]),
                    ],
                ]),
                'girdle-spray/glyphosate/water',
            )
                ->need?->in(Unit::Millilitre)
                ->toScale(1, RoundingMode::HALF_UP),
        )
        ->toBe('44.0')
        ->and(
            (string) recipeOf(
                stand(['species' => 'canada-thistle', 'stems' => [['diameter' => '1 cm', 'count' => 300]]]),
                'wick/glyphosate',
            )
                ->need?->in(Unit::Millilitre)
                ->toScale(0, RoundingMode::HALF_UP),
        )
        ->toBe('330');
});

it('mixes by the crew\'s own volumes, and takes no figure that the table lacks or that is out of order', function () {
    $litres = static function (array $figures): string {
        [$situation, $option] = situated(
            stand(['stems' => [['diameter' => '3 in', 'count' => 12]], 'figures' => $figures]),
            'cut-stump/glyphosate',
        );

        return (string) (new RecipeSolver($situation, $option, null))
            ->solve(null)
            ->need?->in(Unit::Millilitre)
            ->toScale(1, RoundingMode::HALF_UP);
    };
    // 27.36 mL + 10 % = 30.1; at 1 L/m2 twice that
    expect($litres([]))->toBe('30.1')->and($litres(['film/stump' => ['0.5', '1', '1.5']]))->toBe('60.2');
    foreach (
        [
            ['film/stumps' => ['1', '1', '1']],
            ['wick' => ['2', '1', '3']],
            ['wick' => ['1', '3', '2']],
            ['wick' => ['0', '1', '2']],
            ['wick' => ['1', '2']],
            ['wick' => 'more'],
            ['wick' => [1, 2, 3]],
        ]
        as $wrong
    ) {
        $in = Fields::of(['figures' => $wrong], $faults = new Faults());
        expect(CrewCoefficients::read($in, 'figures', catalogue()->coefficients())->own)
            ->toBe([])
            ->and(static fn() => $faults->throwIfAny())
            ->toThrow(Refused::class);
    }
    expect(
        CrewCoefficients::read(
            Fields::of(['figures' => ['wick' => ['2', '2', '2']]], new Faults()),
            'figures',
            catalogue()->coefficients(),
        )->own,
    )->toHaveCount(1);
});

/** @return list<string> the figures of a sum as a person reads them */
function workedOut(Recipe $recipe): array
{
    $say = static fn(Quantity|int|string $v): string => $v instanceof Quantity
        ? Shown::withUnit($v->amount, $v->unit)
        : (string) $v;

    return array_map(
        static fn(string $name, Quantity|int|string $v): string => "{$name} {$say($v)}",
        array_keys($recipe->working),
        array_values($recipe->working),
    );
}

it('tells every figure that it reckoned with', function (string $row, array $stems, array $more, array $figures) {
    $document = stand(
        $more + [
            'stems' => $stems,
            'facts' => [
                ['fact' => 'setting', 'value' => 'woods'],
                ['fact' => 'bark-texture', 'value' => 'smooth'],
                ['fact' => 'height', 'value' => '4 ft'],
            ],
        ],
    );
    [$situation, $option] = situated($document, $row);
    expect(workedOut((new RecipeSolver($situation, $option, quantity('1000 m2')))->solve(null)))->toBe([
        ...$figures,
        'allowance 10 % v/v',
    ]);
})->with([
    // four cuts to a stem of 4 in; half an inch is too thin for a cut
    'cuts' => [
        'hack-and-squirt/glyphosate',
        [['diameter' => '4 in', 'count' => 10], ['diameter' => '0.5 in', 'count' => 3]],
        [],
        ['spacing 1 in', 'per diameter', 'cuts 40', 'perCut 1 mL', 'treated 10', 'skipped 3', 'capped 0'],
    ],
    'cuts under the label' => [
        'hack-and-squirt/glyphosate/water',
        [['diameter' => '4 in', 'count' => 1]],
        [
            'cards' => [
                waterCard(['methods' => [['method' => 'hack-and-squirt', 'max' => '100%', 'perStem' => '3 mL']]]),
            ],
        ],
        ['spacing 1 in', 'per diameter', 'cuts 4', 'perCut 1 mL', 'treated 1', 'skipped 0', 'capped 1'],
    ],
    // 2 x pi x 25.4 cm = 159.6 cm
    'a kerf' => [
        'girdle-spray/glyphosate',
        [['diameter' => '10 in', 'count' => 2], ['diameter' => '2 in', 'count' => 3]],
        [],
        ['girth 160 cm', 'perTenCentimetres 5 mL', 'treated 2', 'skipped 3', 'capped 0'],
    ],
    'a kerf under the label, one of two sizes' => [
        'girdle-spray/glyphosate/water',
        [['diameter' => '12 in', 'count' => 1], ['diameter' => '6 in', 'count' => 1]],
        ['cards' => [waterCard(['methods' => [['method' => 'girdle-spray', 'max' => '100%', 'perStem' => '40 mL']]])]],
        ['girth 144 cm', 'perTenCentimetres 5 mL', 'treated 2', 'skipped 0', 'capped 1'],
    ],
    // 20 x pi x 4 in x 14 in = 3518.6 sq in
    'a band' => [
        'basal-bark/triclopyr-ester',
        [['diameter' => '4 in', 'count' => 20], ['diameter' => '7 in', 'count' => 1]],
        [],
        ['band 14 in', 'surface 2.27 m²', 'film 0.3 L/m²', 'treated 20', 'skipped 1'],
    ],
    'a face' => [
        'cut-stump/glyphosate',
        [['diameter' => '4 in', 'count' => 20]],
        [],
        ['ring 1 in', 'surface 0.1621 m²', 'film 0.5 L/m²', 'treated 20', 'skipped 0'],
    ],
    'a face and its sides' => [
        'cut-stump/triclopyr-ester',
        [['diameter' => '4 in', 'count' => 20]],
        [],
        ['ring 1 in', 'surface 0.8107 m²', 'film 0.5 L/m²', 'treated 20', 'skipped 0', 'sides 4 in'],
    ],
    'leaves' => [
        'foliar-spot/glyphosate',
        [['diameter' => '4 in', 'count' => 100]],
        [],
        ['area 200 m²', 'perArea 0.2 L/m²'],
    ],
    'a wick' => [
        'wick/glyphosate',
        [['diameter' => '1 cm', 'count' => 300]],
        ['species' => 'canada-thistle'],
        ['perPlant 1 mL', 'treated 300', 'skipped 0'],
    ],
]);

it('takes the working strength from bark, school and card', function (
    array $document,
    string $row,
    ?string $percent,
    string $why,
    array $missing,
) {
    $recipe = recipeOf(stand($document), $row);
    expect([
        $recipe->strength === null ? null : Shown::number($recipe->strength->percent()->amount),
        $recipe->strengthWhy,
        $recipe->missing,
    ])->toBe([$percent, $why, $missing]);
})->with(function () {
    $thin = static fn(array $more = []): array => $more + [
        'area' => '1 ha',
        'stems' => [['diameter' => '1 in', 'count' => 5]],
    ];
    $rough = ['facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'bark-texture', 'value' => 'rough']]];

    return [
        'thin and smooth' => [$thin(), 'basal-bark/triclopyr-ester', '15', 'strength.by-bark', []],
        'somebody saw rough bark' => [$thin($rough), 'basal-bark/triclopyr-ester', '25', 'strength.by-bark', []],
        'nobody knows the bark' => [
            $thin(['species' => 'american-beech']),
            'basal-bark/triclopyr-ester',
            null,
            'strength.texture',
            ['bark-texture'],
        ],
        'nobody knows the bark, and the card has a range' => [
            $thin(['species' => 'american-beech', 'cards' => [esterCard()]]),
            'basal-bark/triclopyr-ester/ester',
            null,
            'strength.texture',
            ['bark-texture'],
        ],
        'by the card' => [
            $thin(['schools' => ['basal-strength' => 'from-card'], 'cards' => [esterCard()]]),
            'basal-bark/triclopyr-ester/ester',
            '30',
            'strength.card',
            [],
        ],
        'by a card with a least only' => [
            $thin([
                'schools' => ['basal-strength' => 'from-card'],
                'cards' => [esterCard(['methods' => [['method' => 'basal-bark', 'min' => '12%']]])],
            ]),
            'basal-bark/triclopyr-ester/ester',
            '12',
            'strength.card',
            [],
        ],
        'by a card that says nothing' => [
            $thin([
                'schools' => ['basal-strength' => 'from-card'],
                'cards' => [esterCard(['methods' => [['method' => 'basal-bark']]])],
            ]),
            'basal-bark/triclopyr-ester/ester',
            null,
            'strength.card',
            ['card-strength'],
        ],
        'below the least of the card' => [
            $thin([
                'cards' => [esterCard(['methods' => [['method' => 'basal-bark', 'min' => '20%', 'max' => '30%']]])],
            ]),
            'basal-bark/triclopyr-ester/ester',
            '20',
            'strength.card-least',
            [],
        ],
    ];
});

it('leaves a stem at the very limit to the school', function (string $school, int $stems) {
    [$situation, $option] = situated(
        stand([
            'stems' => [['diameter' => '6 in', 'count' => 2], ['diameter' => '5 in', 'count' => 3]],
            'schools' => ['basal-size' => $school],
        ]),
        'basal-bark/triclopyr-ester',
    );
    $recipe = (new RecipeSolver($situation, $option, null))->solve(null);
    expect($recipe->working['treated'])
        ->toBe($stems)
        ->and(array_sum(array_map(static fn($g): int => $g->count, $recipe->stems)))
        ->toBe($stems);
})->with([['under-six', 3], ['six-or-less', 5]]);

it('rates an area between the least and the most of the card, and by what the sprayer gives', function (
    array $line,
    ?string $calibrated,
    string $rate,
    string $why,
    string $litres,
) {
    $document = stand([
        'species' => 'common-blackberry',
        'date' => '2026-09-20',
        'stems' => [],
        'area' => '1 ha',
        'facts' => [['fact' => 'setting', 'value' => 'pasture']],
        'cards' => [
            esterCard([
                'sites' => ['pasture'],
                'carriers' => ['water'],
                'methods' => [$line + ['method' => 'pasture-broadcast', 'spray' => '200 L/ha']],
            ]),
        ],
    ]);
    [$situation, $option] = situated($document, 'pasture-broadcast/triclopyr-ester/ester');
    $recipe = (new RecipeSolver(
        $situation,
        $option,
        $situation->area,
        [],
        $calibrated === null ? null : quantity($calibrated),
    ))->solve(null);
    $shown =
        $recipe->working['rate'] instanceof Quantity
            ? Shown::withUnit($recipe->working['rate']->amount, $recipe->working['rate']->unit)
            : '';
    expect([$shown, $recipe->strengthWhy, (string) $recipe->need?->in(Unit::Litre)])->toBe([$rate, $why, $litres]);
})->with([
    // typical is 1 US pt/ac
    'typical inside the card' => [['rateMost' => '3 L/ha'], null, '1 US pt/ac', 'strength.typical', '220'],
    'held by the most' => [['rateMost' => '1 L/ha'], null, '1 L/ha', 'strength.card-most', '220'],
    'lifted to the least' => [
        ['rateLeast' => '2 L/ha', 'rateMost' => '3 L/ha'],
        null,
        '2 L/ha',
        'strength.card-least',
        '220',
    ],
    'the card weighs what is poured here' => [
        ['rateMost' => '2 oz wt/ac'],
        null,
        '2 oz (dry)/ac',
        'strength.card-most',
        '220',
    ],
    // half a percent of 200 L/ha is a litre
    'held by the most of the mix' => [
        ['max' => '0.5%', 'rateMost' => '3 L/ha'],
        null,
        '1 L/ha',
        'strength.card-most',
        '220',
    ],
    'within the most of the mix' => [
        ['max' => '0.6%', 'rateMost' => '3 L/ha'],
        null,
        '1 US pt/ac',
        'strength.typical',
        '220',
    ],
    'a sprayer that gives more' => [['rateMost' => '3 L/ha'], '300 L/ha', '1 US pt/ac', 'strength.typical', '330'],
]);

it(
    'weighs a dry product also where nobody knows the spray, and blocks a use that the card does not list now',
    function () {
        $pasture =
            [
                'species' => 'common-blackberry',
                'date' => '2026-09-20',
                'stems' => [],
                'area' => '10 ac',
                'facts' => [['fact' => 'setting', 'value' => 'pasture']],
            ] + stand();
        // 1 oz/ac on 10 ac and a tenth are 11 oz
        expect(
            (string) recipeOf($pasture, 'pasture-broadcast/chlorsulfuron')
                ->product()
                ?->decimal(Unit::OunceWeight, 2, RoundingMode::HALF_UP),
        )->toBe('11.00');
        $later = esterCard([
            'sites' => ['pasture'],
            'carriers' => ['water'],
            'methods' => [
                [
                    'method' => 'pasture-broadcast',
                    'rateMost' => '2 L/ha',
                    'spray' => '200 L/ha',
                    'from' => '10-01',
                    'to' => '10-31',
                ],
            ],
        ]);
        expect(recipeOf(['cards' => [$later]] + $pasture, 'pasture-broadcast/triclopyr-ester/ester')->blocks)->toBe([
            'card-no-line',
        ]);
    },
);

it('holds a use to every amount that its line names', function (
    string $row,
    array $line,
    array $blocks,
    array $stand = [],
    array $card = [],
) {
    $recipe = recipeOf(
        stand(
            $stand + [
                'area' => '1 ha',
                'cards' => [esterCard($card + ['methods' => [$line]])],
                'stems' => [['diameter' => '4 in', 'count' => 400]],
            ],
        ),
        $row,
    );
    expect($recipe->blocks)->toBe($blocks);
})->with(function () {
    [$basal, $broadcast] = [
        ['method' => 'basal-bark', 'max' => '30%'],
        ['method' => 'pasture-broadcast', 'rateMost' => '3 L/ha', 'spray' => '200 L/ha'],
    ];
    $row = 'basal-bark/triclopyr-ester/ester';
    $pasture = [
        'species' => 'common-blackberry',
        'date' => '2026-09-20',
        'stems' => [],
        'facts' => [['fact' => 'setting', 'value' => 'pasture']],
    ];
    $wet = ['sites' => ['pasture'], 'carriers' => ['water']];

    return [
        // 3.745 L of product on the hectare, mixed by strength
        'product per area, kept' => [$row, ['rateMost' => '3.75 L/ha'] + $basal, []],
        'product per area, passed' => [$row, ['rateMost' => '3.74 L/ha'] + $basal, ['ceiling']],
        // 14.98 L less the tenth on 400 stems: 34.05 mL each
        'mix per stem, kept' => [$row, ['perStem' => '34.1 mL'] + $basal, []],
        'mix per stem, passed' => [$row, ['perStem' => '34 mL'] + $basal, ['card-per-stem']],
        // a litre is half a percent of 200 L
        'least per area just within the most of the mix' => [
            'pasture-broadcast/triclopyr-ester/ester',
            ['max' => '0.5%', 'rateLeast' => '1 L/ha'] + $broadcast,
            [],
            $pasture,
            $wet,
        ],
        'least per area above the most of the mix' => [
            'pasture-broadcast/triclopyr-ester/ester',
            ['max' => '0.5%', 'rateLeast' => '1.01 L/ha'] + $broadcast,
            ['card-spray-too-small'],
            $pasture,
            $wet,
        ],
        'ready to use, as it is' => [
            'pasture-broadcast/triclopyr-ester/ester',
            $broadcast,
            [],
            $pasture,
            $wet + ['formulation' => 'ready-to-use'],
        ],
    ];
});

it('measures up to the nearest mark only as far as strength and ceilings leave room', function (
    array $card,
    string $most,
) {
    $recipe = recipeOf(
        stand(['area' => '1 ha', 'cards' => [esterCard($card)], 'stems' => [['diameter' => '4 in', 'count' => 400]]]),
        'basal-bark/triclopyr-ester/ester',
    );
    $mix = $recipe->mix ?? throw new LogicException('no mix');
    expect((string) $recipe->products[0]->mostIn($mix)?->decimal(Unit::Litre, 2, RoundingMode::HALF_UP))
        ->toBe($most)
        ->and(
            (string) $recipe->products[0]
                ->mostIn($mix->inVolume($mix->finished->dividedBy(2)))
                ?->times(2)
                ->decimal(Unit::Litre, 2, RoundingMode::HALF_UP),
        )
        ->toBe($most);
})->with([
    // 3.745 L of product in 14.98 L; 30 % of them are 4.49 L
    'as strong as the label lets it be' => [[], '4.49'],
    // 2000 g / 480 g/L = 4.17 L
    'as the year leaves room' => [['yearlyMaximum' => '2 kg ae/ha'], '4.17'],
    'as one time leaves room' => [['applicationMaximum' => '1.9 kg ae/ha'], '3.96'],
    'a year that is passed already leaves none' => [['yearlyMaximum' => '1 kg ae/ha'], '3.75'],
]);

it(
    'carries a leftover in only where it joins, mixes in the carrier asked for, and counts what lies there',
    function () {
        [$situation, $option] = situated(
            stand([
                'area' => '1 ha',
                'cards' => [esterCard(['yearlyMaximum' => '1 kg ae/ha'])],
                'stems' => [['diameter' => '4 in', 'count' => 400]],
            ]),
            'basal-bark/triclopyr-ester/ester',
        );
        $solver = new RecipeSolver($situation, $option, quantity('1 ha'));
        expect($solver->carrier())
            ->toBe('oil')
            ->and($solver->solve(null, [], 'water')->carrier)
            ->toBe('water')
            ->and($solver->solve(null)->carrier)
            ->toBe('oil');
        $at = new DateTimeImmutable('2026-08-15T08:00:00Z');
        $left = static fn(string $mix): Thicket\Mix\Leftover => new Thicket\Mix\Leftover(
            quantity('1 L'),
            $mix,
            'oil',
            Strength::parse('25 %'),
            $at,
            $at,
            null,
        );
        $plan = new Thicket\Mix\Advice\MixPlan($situation, $option, 'oil');
        // 14.98 L wanted: a litre of it is there
        expect(
            $solver
                ->advised($plan, quantity('4 L'), $left('ester'))
                ->plan?->loads()[0]
                ['carried']->in(Unit::Litre)
                ->__toString(),
        )
            ->toBe('1')
            ->and($solver->advised($plan, quantity('4 L'), $left('other'))->plan?->loads()[0]['carried']->isZero())
            ->toBeTrue()
            ->and($solver->advised($plan, quantity('4 L'))->plan?->people)
            ->toBe(1)
            ->and($solver->advised($plan, null)->plan)
            ->toBeNull();
        // 3.745 L of product x 480 = 1797 g on the hectare: too much in a kilogram's year; on two hectares 899 g, with
        // 100 g before 999 g, with 102 g too much
        $on = static fn(?string $before): array => (new RecipeSolver(
            $situation,
            $option,
            quantity('2 ha'),
            $before === null ? [] : ['triclopyr-ester' => putThere($before)],
        ))->solve(null)->blocks;
        expect($solver->solve(null)->blocks)
            ->toBe(['ceiling'])
            ->and($on(null))
            ->toBe([])
            ->and($on('100 g ae/ha'))
            ->toBe([])
            ->and($on('102 g ae/ha'))
            ->toBe(['ceiling']);
        expect(
            (new RecipeSolver(
                ...[
                    ...situated(
                        stand([
                            'species' => 'quackgrass',
                            'stems' => [],
                            'facts' => [['fact' => 'setting', 'value' => 'orchard']],
                        ]),
                        'strip-spray/glyphosate',
                    ),
                    null,
                ],
            ))->carrier(),
        )->toBe('water');
    },
);

it('weighs granules that are strewn dry over an area, held to the ceiling, and mixes nothing', function (
    string $rate,
    string $most,
    ?string $grams,
    array $blocks,
) {
    $card = preventerCard([
        'formulation' => 'granule',
        'actives' => [['active' => 'trifluralin', 'amount' => '5 % w/w']],
        'methods' => [['method' => 'pre-emergent', 'rateMost' => $rate]],
        'yearlyMaximum' => $most,
    ]);
    $document = herbs('bed-lawn-paving', 'large-crabgrass', '2026-03-20', [], ['cards' => [$card]]);
    [$situation, $option] = situated($document, 'pre-emergent/trifluralin/preventer');
    $recipe = (new RecipeSolver($situation, $option, quantity('1000 m2')))->solve(null);
    expect([
        $recipe->spread,
        $recipe->mix,
        $recipe->dry === null ? null : (string) $recipe->dry->decimal(Unit::Gram, 0, RoundingMode::HALF_UP),
        $recipe->blocks,
        $recipe->missing,
        $recipe->isFinished(),
    ])->toBe([true, null, $grams, $blocks, [], $blocks === []]);
})->with([
    // 50 kg/ha over 0.1 ha, and ten in a hundred more
    'under the ceiling: 275 kg/ha of 5 % at most' => ['50 kg/ha', '3 kg ai/ha', '5500', []],
    'over it' => ['50 kg/ha', '2 kg ai/ha', '5500', ['ceiling']],
]);
