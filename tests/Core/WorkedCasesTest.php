<?php

declare(strict_types=1);

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Calendar\Day;
use Thicket\Calendar\SeasonShift;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Timing\EvaluationDate;
use Thicket\Timing\StumpClock;

/*
 * The worked cases of tests/Core/worked.json that the slice covers (rulings B32): inputs as typed, answers compared as
 * exact decimals within the tolerance of each case in the key's own unit.
 */

/** @return array<string, array{id: string, expect: array<string, mixed>, tolerance: mixed}> */
function workedCases(): array
{
    $cases = json_decode((string) file_get_contents(__DIR__ . '/worked.json'), true, 16, JSON_THROW_ON_ERROR);

    return array_column($cases, null, 'id');
}

function expectWorked(string $id, string $key, Quantity|int|BigRational $actual, ?Unit $unit = null): void
{
    $case = workedCases()[$id];
    $amount = $actual instanceof Quantity ? $actual->in($unit ?? $actual->unit) : BigRational::of($actual);
    $off = $amount->minus(BigRational::of((string) $case['expect'][$key]))->abs();
    expect($off->isLessThanOrEqualTo((string) $case['tolerance']))->toBeTrue(
        "{$id} {$key}: got " . $amount->toScale(6, RoundingMode::HALF_UP),
    );
}

$product = fn(string $name, string $strength, string $role = 'solution'): array => [
    'name' => $name,
    'role' => $role,
    'strength' => $strength,
];

it('works mix-stem-15', function () use ($product) {
    $mix = sum([
        'sum' => 'finished-mix',
        'finished' => '3 gal',
        'carrier' => 'oil',
        'components' => [$product('product', '15%', 'emulsifiable')],
    ])['values'];
    expectWorked('mix-stem-15', 'product_fl_oz', $mix['product'], Unit::UsFluidOunce);
    expectWorked('mix-stem-15', 'carrier_fl_oz', $mix['carrier'], Unit::UsFluidOunce);
    expect($mix['carrier-first']->isZero())->toBeTrue('with oil the product goes in first');
});

it('works mix-foliar-two-actives', function () use ($product) {
    $mix = sum([
        'sum' => 'finished-mix',
        'finished' => '3 gal',
        'carrier' => 'water',
        'components' => [
            $product('dye', '0.25 fl oz/gal', 'dye'),
            $product('surfactant', '0.25%', 'surfactant'),
            $product('one', '0.5%'),
            $product('two', '0.5%'),
        ],
    ])['values'];
    expectWorked('mix-foliar-two-actives', 'each_product_fl_oz', $mix['one'], Unit::UsFluidOunce);
    expectWorked('mix-foliar-two-actives', 'each_product_fl_oz', $mix['two'], Unit::UsFluidOunce);
    expectWorked('mix-foliar-two-actives', 'surfactant_fl_oz', $mix['surfactant'], Unit::UsFluidOunce);
    expectWorked('mix-foliar-two-actives', 'dye_fl_oz', $mix['dye'], Unit::UsFluidOunce);
    expectWorked('mix-foliar-two-actives', 'water_first_gal', $mix['carrier-first'], Unit::UsGallon);
    expectWorked('mix-foliar-two-actives', 'water_total_fl_oz', $mix['carrier'], Unit::UsFluidOunce);
    expect(array_column($mix['order'], 'what'))->toBe(['water', 'one', 'two', 'surfactant', 'dye', 'water-to-mark']);
});

it('works mix-oil-in-water: the emulsifier nobody gave stays missing', function () use ($product) {
    $mix = sum([
        'sum' => 'finished-mix',
        'finished' => '25 gal',
        'carrier' => 'water',
        'components' => [$product('oil', '5%', 'oil')],
    ]);
    expectWorked('mix-oil-in-water', 'oil_fl_oz', $mix['values']['oil'], Unit::UsFluidOunce);
    expect($mix['missing'])
        ->toBe(['strength of emulsifier'])
        ->and($mix['values'])
        ->not->toHaveKey('carrier');
});

it('works mix-parts-1-4 and mix-half-bottle', function () use ($product) {
    $parts = sum([
        'sum' => 'finished-mix',
        'finished' => '2 L',
        'carrier' => 'water',
        'components' => [$product('product', '1:4')],
    ])['values'];
    expectWorked('mix-parts-1-4', 'product_ml', $parts['product'], Unit::Millilitre);
    expectWorked('mix-parts-1-4', 'carrier_ml', $parts['carrier'], Unit::Millilitre);
    expectWorked('mix-parts-1-4', 'percent_v_v', $parts['product-percent']);
    $bottle = sum([
        'sum' => 'finished-mix',
        'finished' => '30 fl oz',
        'carrier' => 'water',
        'components' => [$product('product', '50%')],
    ])['values'];
    expectWorked('mix-half-bottle', 'product_fl_oz', $bottle['product']);
    expectWorked('mix-half-bottle', 'water_fl_oz', $bottle['carrier']);
    expect(array_column($bottle['order'], 'what'))->toBe(['water', 'product']);
});

it('works equal-active', function () {
    $equal = sum([
        'sum' => 'equal-active',
        'used' => '1:1',
        'strengthOfUsed' => '41.0 % w/w',
        'strengthOfOther' => '53.8 % w/w',
    ])['values'];
    expectWorked('equal-active', 'percent_v_v', $equal['percent']);
    expect($equal['nominal'])->toBeTrue('by weight it is nominal only');
});

it('works rate-per-area, two-pass-pasture and dry-rate', function () {
    $rate = sum([
        'sum' => 'area-rate',
        'rate' => '1 qt/ac',
        'area' => '3 ac',
        'sprayVolume' => '50 gal/ac',
        'tank' => '25 gal',
    ])['values'];
    expectWorked('rate-per-area', 'product_per_load_fl_oz', $rate['product-per-load'], Unit::UsFluidOunce);
    expectWorked('rate-per-area', 'loads', $rate['loads']);
    expectWorked('rate-per-area', 'product_total_qt', $rate['product'], Unit::UsQuart);
    $twice = sum(['sum' => 'area-rate', 'rate' => '1 pt/ac', 'area' => '10 ac', 'passes' => 2])['values'];
    expectWorked('two-pass-pasture', 'per_pass_gal', $twice['per-pass'], Unit::UsGallon);
    expectWorked('two-pass-pasture', 'total_gal', $twice['product'], Unit::UsGallon);
    $dry = sum(['sum' => 'area-rate', 'rate' => '1 oz dry/ac', 'area' => '10 ac'])['values'];
    expectWorked('dry-rate', 'mass_oz', $dry['product'], Unit::OunceWeight);
    expectWorked('dry-rate', 'mass_g', $dry['product'], Unit::Gram);
});

it('works texture-medium, and asks the card for a loam between classes', function () {
    $rates = ['coarse' => '2 1/4 tsp/gal', 'medium' => '3 1/3 tsp/gal', 'fine' => '4 1/2 tsp/gal'];
    $mix = sum(['sum' => 'texture-rate', 'soil' => 'loam', 'finished' => '3 gal', 'rates' => $rates])['values'];
    expectWorked('texture-medium', 'product_tsp', $mix['product'], Unit::UsTeaspoon);
    expectWorked('texture-medium', 'product_fl_oz', $mix['product'], Unit::UsFluidOunce);
    expect(
        sum(['sum' => 'texture-rate', 'soil' => 'silt loam', 'finished' => '3 gal', 'rates' => $rates])['missing'],
    )->toHaveCount(1);
});

it('works small-bottle', function () use ($product) {
    $mix = sum([
        'sum' => 'finished-mix',
        'finished' => '0.5 L',
        'carrier' => 'water',
        'components' => [$product('product', '1 tsp/gal')],
    ])['values'];
    expectWorked('small-bottle', 'product_ml', $mix['product'], Unit::Millilitre);
});

it('works cuts-per-inch and cuts-by-girth', function () {
    $cuts = sum([
        'sum' => 'injection',
        'spacing' => '1 in',
        'per' => 'diameter',
        'perCut' => '1 mL',
        'mostDiameter' => '8 in',
        'stems' => [
            ['diameter' => '2 in', 'count' => 3],
            ['diameter' => '3 in', 'count' => 2],
            ['diameter' => '1 in', 'count' => 2],
            ['diameter' => '9 in', 'count' => 1],
        ],
    ])['values'];
    expectWorked('cuts-per-inch', 'cuts', $cuts['cuts']);
    expectWorked('cuts-per-inch', 'ml', $cuts['mix'], Unit::Millilitre);
    expectWorked('cuts-per-inch', 'skipped', $cuts['skipped']);
    $girth = sum([
        'sum' => 'injection',
        'spacing' => '3.5 in',
        'per' => 'girth',
        'stems' => [['diameter' => '10 in', 'count' => 1]],
    ])['values'];
    expectWorked('cuts-by-girth', 'girth_in', $girth['girth'], Unit::Inch);
    expectWorked('cuts-by-girth', 'cuts', $girth['cuts']);
});

it('works basal-area, stump-ring and stump-small', function () {
    expectWorked(
        'basal-area',
        'band_sq_in',
        sum(['sum' => 'basal-band', 'band' => '14 in', 'stems' => [['diameter' => '6 in', 'count' => 1]]])['values'][
            'band-area'
        ],
        Unit::SquareInch,
    );
    foreach (['stump-ring' => '10 in', 'stump-small' => '5 in'] as $id => $diameter) {
        $stump = sum(['sum' => 'stump-face', 'stems' => [['diameter' => $diameter, 'count' => 1]]])['values'];
        expectWorked($id, 'treated_sq_in', $stump['treated-area'], Unit::SquareInch);
        expect($stump['whole'])->toBe(workedCases()[$id]['expect']['whole']);
    }
});

it('works strength-by-bark', function () {
    $percent = array_map(
        static fn(array $stem): string => (string) sum([
            'sum' => 'basal-strength',
            'texture' => $stem[0],
            'diameter' => $stem[1],
        ])['values']['percent']->amount,
        [['smooth', '1.0 in'], ['smooth', '2.0 in'], ['rough', '1.0 in'], ['smooth', '1.5 in']],
    );
    expect($percent)
        ->toBe(workedCases()['strength-by-bark']['expect']['percent'])
        ->and(sum(['sum' => 'basal-strength', 'diameter' => '1 in'])['missing'])
        ->toBe(['bark-texture']);
});

it('works stump-clock', function () {
    $cut = new DateTimeImmutable('2026-09-03T10:00:00-05:00');
    $states = array_map(
        static fn(int $minutes): string => StumpClock::state(
            $cut,
            $cut->modify("+{$minutes} minutes"),
            quantity('15 min'),
        ),
        [14, 15, 16, 29, 30],
    );
    expect(array_map(static fn(string $s): bool => $s === 'in-time', array_slice($states, 0, 3)))
        ->toBe(workedCases()['stump-clock']['expect']['within'])
        ->and(array_slice($states, 2))
        ->toBe(['late', 'late', 'cut-again']);
});

it('works judge-after', function () {
    $day = EvaluationDate::day(
        catalogue()->species('armenian-blackberry'),
        Day::parse('2025-09-20'),
        SeasonShift::none(),
    );
    expect($day->format('Y-m-d'))->toBe(workedCases()['judge-after']['expect']['not_before']);
});
