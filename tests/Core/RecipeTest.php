<?php

declare(strict_types=1);

use Brick\Math\RoundingMode;
use Thicket\Measure\Quantity;
use Thicket\Measure\Shown;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
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
