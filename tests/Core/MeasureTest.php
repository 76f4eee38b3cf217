<?php

declare(strict_types=1);

use Brick\Math\RoundingMode;
use Thicket\Measure\Dimension;
use Thicket\Measure\Exception\UnitMismatch;
use Thicket\Measure\Exception\UnreadableQuantity;
use Thicket\Measure\Gallon;
use Thicket\Measure\Quantity;
use Thicket\Measure\Reading;
use Thicket\Measure\Shown;
use Thicket\Measure\Strength;
use Thicket\Measure\System;
use Thicket\Measure\Unit;

it('reads what people type', function (string $typed, string $amount, Unit $unit) {
    $read = Reading::parse($typed)->quantity;
    expect([(string) $read->amount, $read->unit])->toBe([$amount, $unit]);
})->with([
    'inches with a fraction' => ['1 1/2 in', '3/2', Unit::Inch],
    'a fraction behind a dash' => ['1-1/2 in', '3/2', Unit::Inch],
    'a lone fraction' => ['3/4 in', '3/4', Unit::Inch],
    'fraction sign' => ['2½ in', '5/2', Unit::Inch],
    'inch mark' => ['6"', '6', Unit::Inch],
    'no space' => ['4cm', '4', Unit::Centimetre],
    'rate per acre' => ['2 qt/ac', '2', Unit::UsQuartPerAcre],
    'rate in words' => ['2 quarts per acre', '2', Unit::UsQuartPerAcre],
    'percent' => ['15%', '15', Unit::PercentProduct],
    'point first' => ['.5 gal', '1/2', Unit::UsGallon],
    'thousands twice' => ['1,500,000 sq ft', '1500000', Unit::SquareFoot],
    'thousands and decimals' => ['12,345.5 sq ft', '24691/2', Unit::SquareFoot],
    'decimal comma' => ['1,5 L', '3/2', Unit::Litre],
    'decimal comma after a nought' => ['0,500 L', '1/2', Unit::Litre],
    'decimal comma, four places' => ['2,1250 gal', '17/8', Unit::UsGallon],
    'to a hundred gallons' => ['1 qt/100 gal', '1/100', Unit::UsQuartPerUsGallon],
    'to a hundred litres' => ['250 mL per 100 L', '5/2', Unit::MillilitrePerLitre],
    'litres in a hundred litres' => ['1.5 L/100 L', '3/2', Unit::PercentProduct],
    'gallons in a hundred' => ['2 gal/100 gal', '2', Unit::PercentProduct],
    'kilograms in a hundred litres' => ['1.5 kg/100 L', '15', Unit::GramPerLitre],
    'pounds in a hundred gallons' => ['2 lb/100 gal', '1/50', Unit::PoundPerUsGallon],
    'imperial pints in a gallon' => ['1 imp pt/imp gal', '1', Unit::ImperialPintPerImperialGallon],
    'millilitres a thousand square feet' => ['20 mL/1000 sq ft', '20', Unit::MillilitrePerThousandSquareFeet],
    'tablespoons a thousand square feet' => ['2 tbsp/1000 sq ft', '2', Unit::UsTablespoonPerThousandSquareFeet],
    'percent in words' => ['5 percent', '5', Unit::PercentProduct],
    'feet and inches' => ['6 ft 1 in', '73', Unit::Inch],
    'feet and inches by marks' => ["5' 7 1/2\"", '135/2', Unit::Inch],
    'a thin space in a thousand' => ["1\u{2009}500 L", '1500', Unit::Litre],
    'a flow' => ['0.8 L/min', '4/5', Unit::LitrePerMinute],
    'a flow in gallons' => ['0.5 gal/min', '1/2', Unit::UsGallonPerMinute],
    'a thousand without one' => ['1500 sq ft', '1500', Unit::SquareFoot],
    'imperial said' => ['2 imp gal', '2', Unit::ImperialGallon],
    'wire code' => ['0.25 fl_oz_us/gal_us', '1/4', Unit::UsFluidOuncePerUsGallon],
    'dry ounces an acre' => ['1 oz dry/ac', '1', Unit::OunceWeightPerAcre],
    'acid equivalent' => ['480 g ae/L', '480', Unit::GramEquivalentPerLitre],
    'cold' => ['-5 C', '-5', Unit::Celsius],
    'percent by weight' => ['41 % w/w', '41', Unit::PercentByWeight],
    'weight in volume' => ['5 % w/v', '5', Unit::PercentWeightPerVolume],
    'dry per thousand square feet' => ['3 oz dry/1000 sq ft', '3', Unit::OunceWeightPerThousandSquareFeet],
    'millilitres per 100 m2' => ['20 mL/100 m2', '20', Unit::MillilitrePerAre],
]);

it('refuses what cannot be meant, with a sentence that says what would be right', function (
    string $typed,
    ?Dimension $expected,
    string $says,
) {
    expect(fn() => Reading::parse($typed, $expected))->toThrow(UnreadableQuantity::class, $says);
})->with([
    'nothing' => ['  ', null, 'Write a number and a unit'],
    'no number' => ['some in', null, 'Write a number such as'],
    'no unit' => ['5', Dimension::Length, 'Add the unit'],
    'unknown unit' => ['5 glugs', null, 'The unit "glugs" is not known'],
    'ounce of which kind' => ['5 oz', Dimension::Volume, 'An ounce can be dry or fluid'],
    'negative' => ['-1 gal', null, 'cannot be below zero'],
    'a comma that could be either' => ['1,500 mL', null, 'Write 1500 mL or 1.5 mL'],
    'either, and whole both ways' => ['6,000 m', null, 'Write 6000 m or 6 m'],
    'either, with a nought in it' => ['1,050 L', null, 'Write 1050 L or 1.05 L'],
    'either, with more before it' => ['250,125 gal', null, 'Write 250125 gal or 250.125 gal'],
    'commas that are neither' => ['1,50,3 L', null, 'Write decimals with a point'],
    'a capital T' => ['2 T', null, 'tbsp for tablespoons, t for tonnes'],
    'a capital M before g' => ['5 Mg', null, 'mg for milligrams, t for tonnes'],
    'millilitres in capitals' => ['500 ML', null, 'mL for millilitres'],
    'and below a line' => ['3 T/gal', null, 'tbsp for tablespoons'],
    'two figures' => ['1/4-1/2 in', null, 'Write one figure, 1/4 in or 1/2 in'],
    'two figures, in words' => ['6 to 13 mm', null, 'Write one figure, 6 mm or 13 mm'],
    'two figures with a long dash' => ['2–4 pt/ac', null, 'Write one figure, 2 pt/ac or 4 pt/ac'],
    'two mixed figures' => ['1 1/2 - 2 in', null, 'Write one figure, 1 1/2 in or 2 in'],
    'a whole and more than one' => ['1-3/2 in', null, 'Write one figure, 1 in or 3/2 in'],
    'over zero' => ['1/0 in', null, 'Write a number'],
    'decimal with fraction' => ['1.5 1/2 in', null, 'Write a number'],
    'absurd' => ['99999999999999 km', null, 'larger than any job'],
    'hostile' => [str_repeat('9', 70) . ' in', null, 'Write a number'],
    'exponent' => ['1e9 in', null, 'The unit "e9 in" is not known'],
    'broken text' => ["\xff in", null, 'Write a number'],
]);

it('tells one in four from one to four, however it is written', function (string $typed, string $percent) {
    expect((string) Strength::parse($typed)->percent()->amount->simplified())->toBe($percent);
})->with([
    '1:4' => ['1:4', '20'],
    '1 to 4' => ['1 to 4', '20'],
    '1 part to 3' => ['1 part to 3', '25'],
    '1 part to 3 parts' => ['1 part to 3 parts', '25'],
    '1 in 4' => ['1 in 4', '25'],
    '1 part in 5' => ['1 part in 5', '20'],
    '2 parts to 6' => ['2 parts to 6', '25'],
]);

it('reads a bare oz as dry only where a mass is wanted', function () {
    expect(Reading::parse('5 oz', Dimension::Mass)->quantity->unit)->toBe(Unit::OunceWeight);
});

it('says when the kind of gallon was assumed, and takes the crew setting', function () {
    expect(Reading::parse('3 gal')->kindAssumed)
        ->toBeTrue()
        ->and(Reading::parse('3 US gal')->kindAssumed)
        ->toBeFalse()
        ->and(Reading::parse('3 gal', null, Gallon::Imperial)->quantity->unit)
        ->toBe(Unit::ImperialGallon);
});

it('refuses a unit of another kind by name', function () {
    expect(fn() => Reading::parse('3 gal', Dimension::Length))->toThrow(
        UnitMismatch::class,
        'Give length here, such as 4 in or 10 cm; US gal measures volume.',
    );
});

it('goes to every unit of its dimension and back without losing a digit', function () {
    foreach (Unit::cases() as $from) {
        foreach (Unit::cases() as $to) {
            if ($from->dimension() === $to->dimension()) {
                $start = Quantity::of('7/3', $from);
                expect($start->to($to)->to($from)->equals($start))->toBeTrue("{$from->value} to {$to->value}");
            }
        }
    }
});

it('holds the exact factors of the handbook', function (string $one, string $other) {
    expect(quantity($one)->equals(quantity($other)))->toBeTrue();
})->with([
    'inch' => ['1 in', '2.54 cm'],
    'gallon' => ['1 gal', '3.785411784 L'],
    'gallon in ounces' => ['1 gal', '128 fl oz'],
    'gallon in teaspoons' => ['1 gal', '768 tsp'],
    'fluid ounce' => ['1 fl oz', '29.5735295625 mL'],
    'imperial gallon' => ['1 imp gal', '4.54609 L'],
    'acre' => ['1 ac', '4046.8564224 m2'],
    'pound' => ['1 lb', '453.59237 g'],
    'mile' => ['1 mile', '1609.344 m'],
    'dry ounce' => ['1 oz dry', '28.349523125 g'],
    'imperial ounce' => ['1 imp fl oz', '28.4130625 mL'],
    'tablespoon' => ['1 tbsp', '3 tsp'],
    'metric spoon' => ['1 tsp_metric', '5 mL'],
    'pint' => ['1 pt', '473.176473 mL'],
    'heat' => ['85 F', '265/9 C'],
    'part of a mix' => ['1 pt/gal', '12.5 %'],
    'weight in volume' => ['5 % w/v', '50 g/L'],
    'grams on 100 m2' => ['1 g/100 m2', '100 g/ha'],
]);

it('reads parts as one part product and four parts carrier', function () {
    expect((string) Strength::parse('1:4')->percent()->amount)
        ->toBe('20')
        ->and((string) Strength::parse('1:1')->percent()->amount)
        ->toBe('50')
        ->and(fn() => Strength::parse('0:4'))
        ->toThrow(UnreadableQuantity::class)
        ->and(fn() => Strength::parse('101 %'))
        ->toThrow(UnreadableQuantity::class)
        ->and(fn() => Strength::parse('5 % active'))
        ->toThrow(UnitMismatch::class);
});

it('writes an amount in the unit a crew would use', function (string $typed, string $us, string $metric) {
    expect(Shown::both(quantity($typed)))->toBe(['us' => $us, 'metric' => $metric]);
})->with([
    'product of the first mix' => ['57.6 fl oz', '57.6 fl oz', '1.703 L'],
    'stem' => ['1 1/2 in', '1 1/2 in', '3.81 cm'],
    'spoonful' => ['1 tsp', '1 tsp', '4.929 mL'],
    'patch' => ['1 ha', '2.471 ac', '1 ha'],
    'warmth' => ['85 F', '85 °F', '29.4 °C'],
    'nothing' => ['0 in', '0 in', '0 mm'],
]);

it('rounds for reading to four digits and never to an exponent', function () {
    expect(Shown::number(quantity('123456.7 L')->amount))
        ->toBe("123\u{00A0}457")
        ->and(Shown::number(quantity('0.000123456 L')->amount))
        ->toBe('0.0001235')
        ->and(Shown::number(quantity('1500 L')->amount))
        ->toBe('1500')
        ->and(Shown::in(quantity('1/3 L'), System::Metric))
        ->toBe('333.3 mL');
});

it('refuses a number that is none', function () {
    expect(fn() => Quantity::of('ten', Unit::Inch))
        ->toThrow(UnreadableQuantity::class)
        ->and(fn() => Quantity::of('1/0', Unit::Inch))
        ->toThrow(UnreadableQuantity::class);
});

it('loses digits only where it is told how', function () {
    expect((string) quantity('1 in')->decimal(Unit::Metre, 3, RoundingMode::HALF_UP))
        ->toBe('0.025')
        ->and(quantity('1/3 L')->toWire())
        ->toBe(['value' => '0.333333333', 'unit' => 'L']);
});

it('keeps a strength as it was written, and knows no part of nothing', function () {
    expect(Strength::parse(' 1:4 ')->typed)
        ->toBe('1:4')
        ->and(Strength::parse('1:4')->isParts)
        ->toBeTrue()
        ->and(Strength::parse('20 %')->isParts)
        ->toBeFalse()
        ->and(Strength::parts('1', '4')->typed)
        ->toBe('1:4')
        ->and(Strength::parse('1:0')->percent()->in(Unit::PercentProduct)->__toString())
        ->toBe('100')
        ->and(Strength::parse('100 %')->productIn(Quantity::of(3, Unit::UsGallon))->unit)
        ->toBe(Unit::UsGallon)
        ->and(static fn() => Strength::parse('0:4'))
        ->toThrow(UnreadableQuantity::class)
        ->and(static fn() => Strength::parse('100.1 %'))
        ->toThrow(UnreadableQuantity::class)
        ->and(static fn() => Strength::parse('5 % w/w'))
        ->toThrow(UnitMismatch::class)
        ->and(static fn() => Strength::parse('20 %')->productIn(Quantity::of(1, Unit::Acre)))
        ->toThrow(UnitMismatch::class);
});

it(
    'says which strength is more than pure product, keeps what was typed, and takes shares of product only',
    function () {
        $of = static fn(string $value, Unit $unit, string $typed = ''): Strength => Strength::ofQuantity(
            Quantity::of($value, $unit),
            $typed,
        );
        expect(static fn() => $of('101', Unit::PercentProduct))
            ->toThrow(UnreadableQuantity::class, '101 % v/v')
            ->and(static fn() => $of('101', Unit::PercentProduct, 'a lot'))
            ->toThrow(UnreadableQuantity::class, 'a lot')
            ->and(static fn() => $of('-1', Unit::PercentProduct))
            ->toThrow(UnreadableQuantity::class)
            ->and(static fn() => $of('5', Unit::PercentActive))
            ->toThrow(UnitMismatch::class)
            ->and($of('5', Unit::PercentProduct)->typed)
            ->toBe('')
            ->and(Strength::parse(' 15 % ')->typed)
            ->toBe('15 %')
            ->and(Strength::parse('2 fl oz/gal')->saidToCarrier()?->isParts)
            ->toBeFalse()
            ->and(Strength::parse('1:4')->saidToCarrier())
            ->toBeNull()
            ->and((string) $of('100', Unit::PercentProduct)->share)
            ->toBe('1');
    },
);

it('reads one amount in whatever way people write it, and knows whether the kind was said', function (
    string $typed,
    string $amount,
    Unit $unit,
    bool $assumed,
    ?Dimension $expected = null,
) {
    $reading = Reading::parse($typed, $expected);
    expect([
        (string) $reading->quantity->amount->simplified(),
        $reading->quantity->unit,
        $reading->kindAssumed,
        $reading->typed,
    ])->toBe([$amount, $unit, $assumed, trim($typed)]);
})->with([
    'acid equivalent with points' => ['480 g a.e./L', '480', Unit::GramEquivalentPerLitre, false],
    'ingredient with points' => ['4 lb a.i./US gal', '4', Unit::PoundIngredientPerUsGallon, false],
    'kind in brackets' => ['3 gal (US)', '3', Unit::UsGallon, false],
    'kind before' => ['3 US gal', '3', Unit::UsGallon, false],
    'kind before with a point' => ['3 us. gal', '3', Unit::UsGallon, false],
    'kind after' => ['3 gal us', '3', Unit::UsGallon, false],
    'imperial before' => ['3 imperial gal', '3', Unit::ImperialGallon, false],
    'imperial after' => ['3 gal imp', '3', Unit::ImperialGallon, false],
    'imperial with a line' => ['3 gal_imp', '3', Unit::ImperialGallon, false],
    'imperial word after' => ['3 gal imperial', '3', Unit::ImperialGallon, false],
    'kind not said' => ['3 gal', '3', Unit::UsGallon, true],
    'kind not said in a rate' => ['2 qt per ac', '2', Unit::UsQuartPerAcre, true],
    'ounces with points' => ['2 fl. oz.', '2', Unit::UsFluidOunce, true],
    'ounces with a line' => ['2 fl_oz', '2', Unit::UsFluidOunce, true],
    'a part of one' => ['.5 in', '1/2', Unit::Inch, false],
    'room around and within' => ["  3 \t 1/2   cm ", '7/2', Unit::Centimetre, false],
    'a fraction sign' => ['2½ cm', '5/2', Unit::Centimetre, false],
    'square metres raised' => ['5 m²', '5', Unit::SquareMetre, false],
    'per cent' => ['15 %', '15', Unit::PercentProduct, false],
    'per cent of the active' => ['15 %', '15', Unit::PercentActive, false, Dimension::ActiveShare],
    'per cent by weight' => ['15 %', '15', Unit::PercentByWeight, false, Dimension::MassShare],
    'a metric spoon' => ['2 metric tsp', '2', Unit::MetricTeaspoon, false],
    'speed' => ['5 km/h', '5', Unit::KilometrePerHour, false],
    'a dry ounce where a weight is wanted' => ['5 oz', '5', Unit::OunceWeight, false, Dimension::Mass],
    'several' => ['5 pounds', '5', Unit::Pound, false],
    'several that end in s' => ['3 gals', '3', Unit::UsGallon, true],
    'a code of ours' => ['3 gal_us', '3', Unit::UsGallon, false],
    'a small t' => ['2 t', '2', Unit::Tonne, false],
    'a millilitre in small letters' => ['500 ml', '500', Unit::Millilitre, false],
    'litres in either' => ['5 l', '5', Unit::Litre, false],
]);

it('reads up to sixty-four signs, a bare number only where its unit is plain, and one rate at a time', function () {
    $long = str_pad('3', 63, ' ') . 'L';
    expect((string) Reading::parse($long)->quantity->amount)
        ->toBe('3')
        ->and(static fn() => Reading::parse('3' . str_pad('', 63, ' ') . 'L'))
        ->toThrow(UnreadableQuantity::class)
        ->and(Reading::parse('5', Dimension::Length, bareUnit: Unit::Centimetre)->kindAssumed)
        ->toBeFalse()
        ->and(static fn() => Reading::parse('5', Dimension::Length))
        ->toThrow(UnreadableQuantity::class)
        ->and(static fn() => Reading::parse('5 L/ha/d'))
        ->toThrow(UnreadableQuantity::class)
        ->and(static fn() => Reading::parse('5 oz'))
        ->toThrow(UnreadableQuantity::class)
        ->and(static fn() => Reading::parse('1/0 L'))
        ->toThrow(UnreadableQuantity::class)
        ->and(static fn() => Reading::parse('3.5 1/2 L'))
        ->toThrow(UnreadableQuantity::class);
});
