<?php

declare(strict_types=1);

use Thicket\Measure\Dimension;
use Thicket\Measure\Reading;
use Thicket\Measure\Shown;
use Thicket\Measure\System;
use Thicket\Measure\Unit;

/*
 * What people read, in both unit systems, on both sides of each change of unit.
 */

it('writes each kind of amount in a crew\'s own unit', function (string $typed, string $us, string $metric) {
    expect(Shown::both(Reading::parse($typed)->quantity))->toBe(['us' => $us, 'metric' => $metric]);
})->with([
    'under six feet in inches' => ['5.9 ft', '70.8 in', '1.8 m'],
    'six feet and more in feet' => ['6 ft', '6 ft', '1.83 m'],
    'under a centimetre' => ['0.25 in', '1/4 in', '6.35 mm'],
    'sixteenths' => ['3/16 in', '3/16 in', '4.76 mm'],
    'no fraction a ruler lacks' => ['1/3 in', '0.333 in', '8.47 mm'],
    'under a mile' => ['0.99 mi', '5227 ft', '1593 m'],
    'a mile' => ['1 mi', '1 mi', '1609 m'],
    'under a quarter acre' => ['0.24 ac', "10\u{00A0}454 sq ft", '971.2 m²'],
    'a quarter acre' => ['0.25 ac', '0.25 ac', '0.1012 ha'],
    'a band of bark' => ['264 sq in', '264 sq in', '0.1703 m²'],
    'spoonfuls under half an ounce' => ['0.49 fl oz', '2.94 tsp', '14.49 mL'],
    'ounces from half' => ['0.5 fl oz', '0.5 fl oz', '14.79 mL'],
    'ounces to under a gallon' => ['127 fl oz', '127 fl oz', '3.756 L'],
    'a gallon' => ['128 fl oz', '1 US gal', '3.785 L'],
    'under a litre' => ['999 mL', '33.78 fl oz', '999 mL'],
    'a litre' => ['1000 mL', '33.81 fl oz', '1 L'],
    'imperial said' => ['1 imp gal', '1.201 US gal', '4.546 L'],
    'dry ounces' => ['15 oz dry', '15 oz (dry)', '425.2 g'],
    'a pound' => ['16 oz dry', '1 lb', '453.6 g'],
    'frost' => ['-5 C', '23 °F', '-5 °C'],
    'wind' => ['10 mph', '10 mph', '4.47 m/s'],
    'minutes' => ['90 min', '90 min', '90 min'],
    'hours from two' => ['120 min', '2 h', '2 h'],
    'days from two' => ['48 h', '2 days', '2 days'],
    'pressure' => ['2 bar', '29.01 psi', '2 bar'],
    'field rate, small' => ['10 fl oz/ac', '10 fl oz/ac', '730.8 mL/ha'],
    'field rate, a pint and more' => ['1 qt/ac', '2 US pt/ac', '2.338 L/ha'],
    'spray volume' => ['50 gal/ac', '50 US gal/ac', '467.7 L/ha'],
    'film on bark' => ['0.3 L/m2', '7.363 US gal/1000 sq ft', '0.3 L/m²'],
    'dry rate' => ['1 oz dry/ac', '1 oz (dry)/ac', '70.05 g/ha'],
    'acid equivalent' => ['8 kg ae/ha', '7.137 lb a.e./ac', '8 kg a.e./ha'],
    'product strength' => ['480 g ae/L', '4.006 lb a.e./US gal', '480 g a.e./L'],
    'ingredient strength' => ['120 g ai/L', '1.001 lb a.i./US gal', '120 g a.i./L'],
    'strong mix' => ['15 %', '15 % v/v', '15 % v/v'],
    'weak mix still in percent' => ['0.1 %', '0.1 % v/v', '0.1 % v/v'],
    'weaker by volume' => ['0.05 %', '0.064 fl oz/US gal', '0.5 mL/L'],
    'ingredient a hectare, under a kilogram' => ['999 g ai/ha', '0.8913 lb a.i./ac', '999 g a.i./ha'],
    'ingredient a hectare, a kilogram' => ['1 kg ai/ha', '0.8922 lb a.i./ac', '1 kg a.i./ha'],
    'weight of a litre' => ['1080 g/L', '9.013 lb/US gal', '1080 g/L'],
    'halves' => ['1 1/2 in', '1 1/2 in', '3.81 cm'],
    'eighths' => ['5/8 in', '5/8 in', '1.59 cm'],
    'thirty-seconds are no mark of a rule' => ['1/32 in', '0.0313 in', '0.794 mm'],
    'twelfths neither' => ['1/12 in', '0.0833 in', '2.12 mm'],
    'whole inches' => ['3 in', '3 in', '7.62 cm'],
    'millions, whole' => ['1234567.891 L', "326\u{00A0}138 US gal", "1\u{00A0}234\u{00A0}568 L"],
    'next to nothing' => ['0.000001234 mL', '0.00000025 tsp', '0.000001234 mL'],
    'nothing that anybody sees' => ['0.0000000000001 L', '0 tsp', '0 mL'],
    'label percent' => ['41 % w/w', '41 % w/w', '41 % w/w'],
]);

it('writes counts by the square metre or foot where they are many, else by the hectare or acre', function (
    string $amount,
    Unit $unit,
    string $us,
    string $metric,
) {
    expect(Shown::both(Thicket\Measure\Quantity::of($amount, $unit)))->toBe(['us' => $us, 'metric' => $metric]);
})->with([
    'many' => ['2', Unit::OnePerSquareMetre, '0.1858 per sq ft', '2 per m²'],
    'one to a square metre' => ['1', Unit::OnePerSquareMetre, '0.0929 per sq ft', '1 per m²'],
    'just less' => ['9999', Unit::OnePerHectare, '4046 per ac', '9999 per ha'],
    'below nought' => ['-0.5', Unit::Inch, '-0.5 in', '-12.7 mm'],
]);

it('never writes an ounce, a gallon or a percentage without its kind', function () {
    foreach (Unit::cases() as $unit) {
        if (preg_match('/oz|gal|pct/', $unit->value) === 1) {
            expect($unit->label())->toMatch('/fl oz|dry|US|imp|v\/v|w\/w|w\/v/', $unit->value);
        }
    }
});

it('gives every unit a label and every dimension a unit', function () {
    $dimensions = array_unique(array_map(static fn(Unit $u): string => $u->dimension()->value, Unit::cases()));
    expect($dimensions)->toEqualCanonicalizing(
        array_map(static fn(Dimension $d): string => $d->value, Dimension::cases()),
    );
    foreach (Unit::cases() as $unit) {
        expect($unit === Unit::One || $unit->label() !== '')
            ->toBeTrue($unit->value)
            ->and($unit->factor()->isPositive())
            ->toBeTrue($unit->value);
    }
});

it('turns to the larger unit at the very point, and not a hair before', function (
    string $typed,
    string $us,
    string $metric,
) {
    expect(Shown::both(Reading::parse($typed)->quantity))->toBe(['us' => $us, 'metric' => $metric]);
})->with([
    // a US gallon an acre is 3.785411784 L on 0.40468564224 ha
    ['1 gal/ac', '1 US gal/ac', '9.354 L/ha'],
    ['0.99 gal/ac', '7.92 US pt/ac', '9.26 L/ha'],
    ['1 pt/ac', '1 US pt/ac', '1.169 L/ha'],
    ['0.99 pt/ac', '15.84 fl oz/ac', '1.158 L/ha'],
    ['1 L/ha', '13.68 fl oz/ac', '1 L/ha'],
    ['0.99 L/ha', '13.55 fl oz/ac', '990 mL/ha'],
    // a tenth of a litre on a square metre is 9.2903 L, 2.454 gal, on a thousand square feet
    ['0.1 L/m2', '2.454 US gal/1000 sq ft', '0.1 L/m²'],
    ['0.099 L/m2', '105.8 US gal/ac', '990 L/ha'],
    ['1 lb/ac', '1 lb/ac', '1.121 kg/ha'],
    ['0.99 lb/ac', '15.84 oz (dry)/ac', '1.11 kg/ha'],
    ['1 kg/ha', '14.27 oz (dry)/ac', '1 kg/ha'],
    ['0.99 kg/ha', '14.13 oz (dry)/ac', '990 g/ha'],
    ['0.1 %', '0.1 % v/v', '0.1 % v/v'],
    ['0.099 %', '0.1267 fl oz/US gal', '0.99 mL/L'],
    ['2 h', '2 h', '2 h'],
    ['119 min', '119 min', '119 min'],
    ['2 d', '2 days', '2 days'],
    ['47 h', '47 h', '47 h'],
    ['1 lb', '1 lb', '453.6 g'],
    ['0.99 lb', '15.84 oz (dry)', '449.1 g'],
    ['1 kg', '2.205 lb', '1 kg'],
    ['0.999 kg', '2.202 lb', '999 g'],
    // sixteenths are on a ruler, thirty-seconds are not
    ['1/16 in', '1/16 in', '1.59 mm'],
    ['1/32 in', '0.0313 in', '0.794 mm'],
    ['3 in', '3 in', '7.62 cm'],
]);

it('writes numbers as people do', function (string $number, int $digits, string $text) {
    expect(Shown::number(Brick\Math\BigRational::of($number), $digits))->toBe($text);
})->with([
    ['0', 4, '0'],
    ['1', 4, '1'],
    ['0.5', 4, '0.5'],
    ['0.00123456', 4, '0.001235'],
    ['0.0000123', 3, '0.0000123'],
    ['9.9996', 4, '10'],
    ['12345.678', 4, "12\u{00A0}346"],
    ['1234567', 4, "1\u{00A0}234\u{00A0}567"],
    ['999.94', 4, '999.9'],
    ['999.96', 4, '1000'],
    ['-2.5', 4, '-2.5'],
    ['1/3', 3, '0.333'],
]);

it('tells lengths and areas as people say them, and leaves a plain figure as it is', function (
    string $typed,
    string $us,
    string $metric,
) {
    $say = static function (System $system) use ($typed): string {
        $told = Shown::told(quantity($typed), $system);

        return ($told['about'] ? 'about ' : '') . $told['text'];
    };
    expect([$say(System::Us), $say(System::Metric)])->toBe([$us, $metric]);
})->with([
    ['20 m', 'about 65 ft', '20 m'],
    ['33 m', 'about 110 ft', '33 m'],
    ['3 m', 'about 10 ft', '3 m'],
    ['10 m', 'about 33 ft', '10 m'],
    ['15 m', 'about 50 ft', '15 m'],
    ['2 m', 'about 6 1/2 ft', '2 m'],
    ['12 ft', '12 ft', 'about 3.7 m'],
    ['110 ft', '110 ft', 'about 34 m'],
    ['19.83 m', 'about 65 ft', 'about 20 m'],
    ['1.2 m', 'about 4 ft', '1.2 m'],
    ['30 in', '30 in', 'about 75 cm'],
    ['4 in', '4 in', 'about 10 cm'],
    ['0.15 ha', 'about 1/3 ac', '0.15 ha'],
    ['0.25 ac', '0.25 ac', 'about 0.1 ha'],
    ['1391.4 m2', 'about 1/3 ac', 'about 0.14 ha'],
    ['3.4 ha', 'about 8 1/2 ac', '3.4 ha'],
    ['38.4 ac', 'about 38 ac', 'about 16 ha'],
    ['10 m2', 'about 110 sq ft', '10 m²'],
    ['2.3 mi', '2.3 mi', 'about 3.7 km'],
    ['2.3 m/s', 'about 5.1 mph', '2.3 m/s'],
    ['5.5 m/s', 'about 12 mph', '5.5 m/s'],
    // nothing that people round: as ever
    ['2.5 gal', '2.5 US gal', '9.464 L'],
    ['0 m', '0 in', '0 mm'],
]);

it('tells an amount in as few digits as stay near it, and a plain figure as it is', function (
    string $typed,
    string $within,
    string $us,
    string $metric,
) {
    $say = static function (System $system) use ($typed, $within): string {
        $told = Shown::roughly(quantity($typed), $system, $within);

        return ($told['about'] ? 'about ' : '') . $told['text'];
    };
    expect([$say(System::Us), $say(System::Metric)])->toBe([$us, $metric]);
})->with([
    ['0.6361 fl oz', '5/100', 'about 0.64 fl oz', 'about 19 mL'],
    ['0.8 L', '5/100', 'about 27 fl oz', '800 mL'],
    ['2.5 gal', '5/100', '2.5 US gal', 'about 9.5 L'],
    ['4.48 kg', '5/100', 'about 9.9 lb', 'about 4.5 kg'],
    // 1.3 would be three in a hundred off
    ['1.339 fl oz', '5/100', 'about 1.3 fl oz', 'about 40 mL'],
    ['1.339 fl oz', '1/100', 'about 1.34 fl oz', 'about 39.6 mL'],
    ['89.27 fl oz', '1/100', 'about 89 fl oz', 'about 2.64 L'],
    // 10.5 lies between 10 and 11, both too far away
    ['10.52 fl oz', '1/100', 'about 10.5 fl oz', 'about 311 mL'],
    ['0 mL', '1/100', '0 tsp', '0 mL'],
]);

it('rounds what is filled up, so that no mix comes out stronger', function (string $typed, string $us) {
    $told = Shown::roughly(quantity($typed), System::Us, '1/100', Brick\Math\RoundingMode::UP);
    expect(($told['about'] ? 'about ' : '') . $told['text'])->toBe($us);
})->with([
    ['89.27 fl oz', 'about 90 fl oz'],
    ['44.63 fl oz', 'about 45 fl oz'],
    // 44 is too far
    ['43.3 fl oz', '43.3 fl oz'],
    ['43.34 fl oz', 'about 43.4 fl oz'],
    ['2.5 gal', '2.5 US gal'],
]);

it('never rounds a figure to a limit beside it, nor past it', function (string $typed, string $limit, string $us) {
    $told = Shown::told(quantity($typed), System::Us, [quantity($limit)]);
    expect(($told['about'] ? 'about ' : '') . $told['text'])->toBe($us);
})->with([
    // 9.1 m are 29.86 ft: "about 30 ft" beside "the card asks 30 ft" would say that it is kept
    ['9.1 m', '30 ft', '29.9 ft'],
    ['9.2 m', '30 ft', '30.2 ft'],
    ['10 m', '30 ft', 'about 33 ft'],
    ['9.1 m', '50 ft', 'about 30 ft'],
    // a limit of another kind says nothing of it
    ['9.1 m', '30 ac', 'about 30 ft'],
    // 4.48 m/s are 10.02 mph: "about 10 mph" beside "the limit is 10 mph" would say that it is kept
    ['4.48 m/s', '10 mph', '10.02 mph'],
]);

it('keeps beside a limit the unit that it was written in, where the reader\'s is another', function (
    string $typed,
    string $us,
    string $metric,
) {
    expect([Shown::asWritten(quantity($typed), System::Us), Shown::asWritten(quantity($typed), System::Metric)])->toBe([
        $us,
        $metric,
    ]);
})->with([
    ['20 m', '65.6 ft (20 m)', '20 m'],
    ['50 ft', '50 ft', '15.2 m (50 ft)'],
    ['1/4 in', '1/4 in', '6.35 mm (1/4 in)'],
    ['85 F', '85 °F', '29.4 °C (85 °F)'],
    ['10 mph', '10 mph', '4.47 m/s (10 mph)'],
    ['100 mm', '3.94 in (100 mm)', '10 cm'],
    ['8 km/h', '4.971 mph (8 km/h)', '2.222 m/s (8 km/h)'],
    ['2 %', '2 % v/v', '2 % v/v'],
    ['1 h', '60 min', '60 min'],
]);
