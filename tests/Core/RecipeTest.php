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
use Thicket\Methods\OwnFigures;
use Thicket\Mix\Recipe;
use Thicket\Mix\RecipeSolver;

/*
 * Recipes of each method, worked by hand: surface x film, or cuts x mL, plus ten parts in a hundred.
 */

function solved(array $changes, string $id, ?string $tank = null, string $area = '1000 m2', ?string $dye = null): Recipe
{
    $document = stand($changes + ['cards' => [waterCard(), esterCard()], 'facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'bark-texture', 'value' => 'smooth']]]);
    $in = Thicket\Input\Fields::of($document, new Thicket\Input\Faults());
    $situation = (new Thicket\Methods\SituationReader(catalogue()))->situation($in);
    $solver = new RecipeSolver($situation, row($document, $id)->candidate, quantity($area));

    return $solver->solve($tank === null ? null : quantity($tank), $dye === null ? [] : [new Thicket\Mix\Component('dye', 'dye', Strength::parse($dye))]);
}

function millilitres(?Quantity $quantity): string
{
    return (string) $quantity?->decimal(Unit::Millilitre, 2, RoundingMode::HALF_UP);
}

it('wets whole small stump faces with a water-borne mix', function () {
    // 20 x pi x 4^2 / 4 = 251.33 sq in = 0.162146 m2; x 0.5 L/m2 x 1.1 = 89.18 mL, half of it product
    $recipe = solved(['stems' => [['diameter' => '4 in', 'count' => 20]]], 'cut-stump/glyphosate/water');
    expect([millilitres($recipe->need), millilitres($recipe->product()), $recipe->strengthWhy])->toBe(['89.18', '44.59', 'strength.stump-school']);
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
    $weak = solved(['stems' => [['diameter' => '4 in', 'count' => 1]], 'schools' => ['stump-strength' => 'weak-on-thin']], 'cut-stump/triclopyr-ester/ester');
    expect((string) $weak->strength?->percent()->amount)->toBe('8');
});

it('fills cuts by the spacing of the active', function (array $schools, int $cuts, string $millilitres) {
    $recipe = solved(['stems' => [['diameter' => '8 in', 'count' => 1]], 'schools' => $schools], 'hack-and-squirt/glyphosate/water');
    expect([$recipe->working['cuts'], millilitres($recipe->need)])->toBe([$cuts, $millilitres]);
})->with([
    'sparse, one per inch of diameter' => [[], 8, '8.80'],
    'dense, one per inch of girth' => [['injection-spacing' => 'per-inch-of-girth'], 26, '28.60'],
    'every 3.5 in of girth' => [['injection-spacing' => 'girth-3-5-in'], 8, '8.80'],
]);

it('leaves out stems beyond reach and says how many', function () {
    $recipe = solved(['stems' => [['diameter' => '8 in', 'count' => 2], ['diameter' => '11 in', 'count' => 3], ['diameter' => '0.5 in', 'count' => 4]]], 'hack-and-squirt/glyphosate/water');
    expect([$recipe->working['treated'], $recipe->working['skipped']])->toBe([2, 7]);
});

it('lets stems that are left out set neither strength nor drawing', function () {
    $facts = [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'bark-texture', 'value' => 'smooth']];
    $recipe = solved(['facts' => $facts, 'stems' => [['diameter' => '1 in', 'count' => 30], ['diameter' => '7 in', 'count' => 2]]], 'basal-bark/triclopyr-ester/ester');
    expect([(string) $recipe->strength?->percent()->amount, count($recipe->stems), $recipe->working['skipped']])->toBe(['15', 1, 2]);
});

it('takes leaf spray by height class and area', function (string $height, string $litres) {
    $facts = [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'height', 'value' => $height]];
    $recipe = solved(['species' => 'bush-honeysuckle', 'facts' => $facts], 'foliar-spot/glyphosate/water', null, '100 m2');
    expect((string) $recipe->need?->decimal(Unit::Litre, 2, RoundingMode::HALF_UP))->toBe($litres);
})->with([
    'low carpet: 6 L' => ['0.4 m', '6.60'],
    'half a metre is a shrub: 0.08 L a m2' => ['0.5 m', '8.80'],
    'a metre and more: 0.20 L a m2' => ['1 m', '22.00'],
]);

it('splits a large need into loads and keeps the strength in each', function () {
    $facts = [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'height', 'value' => '1.2 m']];
    $recipe = solved(['species' => 'bush-honeysuckle', 'facts' => $facts], 'foliar-spot/glyphosate/water', '15 L', '160 m2');
    // 160 x 0.20 x 1.1 = 35.2 L: two tanks and 5.2 L
    expect([$recipe->loads?->whole, Shown::both($recipe->loads?->lastPart ?? quantity('0 L'))['metric']])->toBe([2, '5.2 L']);
    $part = $recipe->mix?->inVolume($recipe->loads?->lastPart ?? quantity('0 L'));
    expect($part?->amountOf('product')?->equals(quantity('5.2 L')->times($recipe->strength?->share ?? '0')))->toBeTrue();
});

it('adds dye without changing the finished volume', function () {
    $recipe = solved(['stems' => [['diameter' => '4 in', 'count' => 20]]], 'cut-stump/glyphosate/water', null, '1000 m2', '2 mL/L');
    $sum = $recipe->mix?->carrierAmount?->plus($recipe->product() ?? quantity('0 L'))->plus($recipe->mix->amountOf('dye') ?? quantity('0 L'));
    expect($sum?->equals($recipe->need ?? quantity('0 L')))->toBeTrue()->and(millilitres($recipe->mix?->amountOf('dye')))->toBe('0.18');
});

it('gives no sums for a ready-to-use product', function () {
    $cards = [waterCard(['formulation' => 'ready-to-use'])];
    $recipe = solved(['cards' => $cards], 'cut-stump/glyphosate/water');
    expect([$recipe->blocks, $recipe->mix, $recipe->isFinished()])->toBe([['ready-to-use'], null, false]);
});

it('cannot tell a ceiling from a card without one, or in another basis', function (array $change, string $missing) {
    $recipe = solved(['cards' => [waterCard($change)]], 'cut-stump/glyphosate/water');
    expect($recipe->missing)->toBe([$missing])->and($recipe->isFinished())->toBeFalse();
})->with([
    'no maximum' => [['yearlyMaximum' => null], 'card-yearly-maximum'],
    'strength by weight' => [['actives' => [['active' => 'glyphosate', 'amount' => '41 % w/w']]], 'card-strength-basis'],
]);

it('reckons a ceiling in product per area too', function (string $most, bool $kept) {
    // 44.59 mL on 1000 m2 = 0.4459 L/ha
    $recipe = solved(['stems' => [['diameter' => '4 in', 'count' => 20]], 'cards' => [waterCard(['yearlyMaximum' => $most])]], 'cut-stump/glyphosate/water');
    expect($recipe->ceiling?->kept)->toBe($kept);
})->with(['just enough' => ['0.446 L/ha', true], 'just too little' => ['0.445 L/ha', false]]);

/** @param array<string, mixed> $document */
function recipeOf(array $document, string $row): Recipe
{
    [$situation, $candidate] = situated($document, $row);

    return (new RecipeSolver($situation, $candidate, $situation->area))->solve(null);
}

it('works out what goes on an area, by the treated ground and never above the card', function () {
    $pasture = ['species' => 'common-blackberry', 'date' => '2026-09-20', 'stems' => [], 'area' => '10 ac', 'facts' => [['fact' => 'setting', 'value' => 'pasture']]] + stand();
    // 1 pt/ac on 10 ac and the tenth for allowance: 11 pt; the mix per area is not known
    $triclopyr = recipeOf($pasture, 'pasture-broadcast/triclopyr-ester');
    expect((string) $triclopyr->working['rate']->amount)->toBe('1')->and($triclopyr->missing)->toBe(['spray-per-area']);
    // dry: 1 oz/ac on 10 ac = 283.5 g, and a tenth
    expect(recipeOf($pasture, 'pasture-broadcast/chlorsulfuron')->missing)->toContain('spray-per-area');
    // 5 ha of rows 12 m apart, 1.2 m each side: 1 ha is treated; 1 qt/ac in 50 gal/ac
    $orchard = ['species' => 'quackgrass', 'stems' => [], 'area' => '5 ha', 'facts' => [['fact' => 'setting', 'value' => 'orchard'], ['fact' => 'row-spacing', 'value' => '12 m'], ['fact' => 'strip-side', 'value' => '1.2 m']]] + stand();
    $strip = recipeOf($orchard, 'strip-spray/glyphosate');
    expect((string) $strip->working['area']->in(Unit::Hectare))->toBe('1')
        ->and((string) $strip->strength?->percent()->amount->toScale(3, RoundingMode::HALF_UP))->toBe('0.500')
        // 50 gal/ac = 467.7 L/ha, and a tenth
        ->and((string) $strip->need?->in(Unit::Litre)->toScale(1, RoundingMode::HALF_UP))->toBe('514.5');
    expect(recipeOf(['facts' => [['fact' => 'setting', 'value' => 'orchard']]] + $orchard, 'strip-spray/glyphosate')->missing)->toContain('treated-area');
    // a card that allows less holds it down
    $card = sprayCard(['id' => 'less', 'actives' => [['active' => 'glyphosate', 'amount' => '360 g ae/L']], 'methods' => [['method' => 'strip-spray', 'rateMost' => '1 L/ha', 'spray' => '200 L/ha']]]);
    $held = recipeOf(['cards' => [$card]] + $orchard, 'strip-spray/glyphosate/less');
    expect($held->strengthWhy)->toBe('strength.card-most')->and((string) $held->strength?->percent()->amount->toScale(3, RoundingMode::HALF_UP))->toBe('0.500')
        ->and((string) $held->product()?->in(Unit::Litre)->toScale(2, RoundingMode::HALF_UP))->toBe('1.10');
    // a card that names the use and no amount: the typical amount is no leave
    $silent = sprayCard(['id' => 'silent', 'actives' => [['active' => 'glyphosate', 'amount' => '360 g ae/L']], 'methods' => [['method' => 'strip-spray']]]);
    expect(recipeOf(['cards' => [$silent]] + $orchard, 'strip-spray/glyphosate/silent')->missing)->toContain('card-rate');
});

it('fills a kerf by girth and a wick by plants', function () {
    // two trees of 10 in: 2 x 79.8 cm of girth at 5 mL each 10 cm = 79.8 mL, and a tenth
    expect((string) recipeOf(stand(['stems' => [['diameter' => '10 in', 'count' => 2]]]), 'girdle-spray/glyphosate')->need?->in(Unit::Millilitre)->toScale(1, RoundingMode::HALF_UP))->toBe('87.8')
        // the label's 20 mL a tree holds each of the 39.9 mL down: 40 mL, and a tenth
        ->and((string) recipeOf(stand(['stems' => [['diameter' => '10 in', 'count' => 2]], 'cards' => [waterCard(['methods' => [['method' => 'girdle-spray', 'max' => '100%', 'perStem' => '20 mL']]])]]), 'girdle-spray/glyphosate/water')->need?->in(Unit::Millilitre)->toScale(1, RoundingMode::HALF_UP))->toBe('44.0')
        ->and((string) recipeOf(stand(['species' => 'canada-thistle', 'stems' => [['diameter' => '1 cm', 'count' => 300]]]), 'wick/glyphosate')->need?->in(Unit::Millilitre)->toScale(0, RoundingMode::HALF_UP))->toBe('330');
});

it('mixes by the crew\'s own volumes, and takes no figure that the table lacks or that is out of order', function () {
    $litres = static function (array $figures): string {
        [$situation, $candidate] = situated(stand(['stems' => [['diameter' => '3 in', 'count' => 12]], 'figures' => $figures]), 'cut-stump/glyphosate');

        return (string) (new RecipeSolver($situation, $candidate, null))->solve(null)->need?->in(Unit::Millilitre)->toScale(1, RoundingMode::HALF_UP);
    };
    // 27.36 mL + 10 % = 30.1; at 1 L/m2 twice that
    expect($litres([]))->toBe('30.1')->and($litres(['film/stump' => ['0.5', '1', '1.5']]))->toBe('60.2');
    foreach ([['film/stumps' => ['1', '1', '1']], ['wick' => ['2', '1', '3']], ['wick' => ['1', '3', '2']], ['wick' => ['0', '1', '2']], ['wick' => ['1', '2']], ['wick' => 'more'], ['wick' => [1, 2, 3]]] as $wrong) {
        $in = Fields::of(['figures' => $wrong], $faults = new Faults());
        expect(OwnFigures::read($in, 'figures', catalogue()->coefficients())->own)->toBe([])->and(static fn () => $faults->throwIfAny())->toThrow(Refused::class);
    }
    expect(OwnFigures::read(Fields::of(['figures' => ['wick' => ['2', '2', '2']]], new Faults()), 'figures', catalogue()->coefficients())->own)->toHaveCount(1);
});
