<?php

declare(strict_types=1);

use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Measure\Unit;
use Thicket\Mix\LabelCard;

/** @param array<string, mixed> $changes */
function readCard(array $changes): ?LabelCard
{
    $faults = new Faults();
    $card = LabelCard::read(Fields::of(esterCard($changes), $faults), catalogue());
    $faults->throwIfAny();

    return $card;
}

it('keeps what the label says, in the unit it was printed in', function () {
    $card = readCard(['hottest' => '85 F', 'coldest' => '40 F', 'reentryHours' => 12, 'rainfastHours' => 4, 'windMost' => '10 mph', 'surfactantInside' => false]);
    expect($card?->actives[0]['amount']->unit)->toBe(Unit::GramEquivalentPerLitre)
        ->and($card?->holds('triclopyr-ester'))->toBeTrue()->and($card?->holds('glyphosate'))->toBeFalse()
        ->and($card?->allowsMethod('basal-bark'))->toBeTrue()->and($card?->allowsMethod('foliar-spot'))->toBeFalse()
        ->and((string) $card?->least('basal-bark')?->percent()->amount)->toBe('10')->and((string) $card?->most('basal-bark')?->percent()->amount)->toBe('30')
        ->and($card?->least('cut-stump'))->toBeNull()->and($card?->hottest?->unit)->toBe(Unit::Fahrenheit)
        ->and([$card?->reentryHours, $card?->rainfastHours, $card?->surfactantInside])->toBe([12, 4, false]);
});

it('leaves what the label does not say unknown instead of none', function () {
    $card = readCard(['yearlyMaximum' => null, 'waterBuffer' => null]);
    expect([$card?->yearlyMaximum, $card?->waterBuffer, $card?->reentryHours, $card?->rainfastHours, $card?->surfactantInside, $card?->coldest])->toBe([null, null, null, null, null, null]);
});

it('reads a strength in every way a label writes it', function (string $printed, string $percent) {
    $card = readCard(['methods' => [['method' => 'basal-bark', 'max' => $printed]]]);
    expect(Thicket\Measure\Shown::number($card?->most('basal-bark')?->percent()->amount ?? Brick\Math\BigRational::zero()))->toBe($percent);
})->with([
    'percent' => ['25 %', '25'],
    'parts' => ['1:3', '25'],
    'quarts to the gallon' => ['1 qt/gal', '25'],
    'ounces to the gallon' => ['32 fl oz/gal', '25'],
    'millilitres to the litre' => ['250 mL/L', '25'],
    'spoons to the gallon' => ['2 tsp/gal', '0.2604'],
]);

it('names the field that cannot be right', function (array $changes, string $pointer, string $says) {
    try {
        readCard($changes);
    } catch (Refused $e) {
        $at = array_column($e->faults, 'message', 'pointer');
        expect($at)->toHaveKey($pointer)->and($at[$pointer])->toContain($says);

        return;
    }
    $this->fail("nothing refused at {$pointer}");
})->with([
    'no product' => [['product' => ''], '/product', 'Write a text'],
    'no registration' => [['registration' => null], '/registration', 'This is needed'],
    'formulation unknown' => [['formulation' => 'jelly'], '/formulation', 'not one of the choices'],
    'no active' => [['actives' => []], '/actives', 'at least one'],
    'brand instead of active' => [['actives' => [['active' => 'weed-be-gone', 'amount' => '1 %w/w']]], '/actives/0/active', 'common chemical name'],
    'strength as share of the mix' => [['actives' => [['active' => 'glyphosate', 'amount' => '41 %']]], '/actives/0/amount', 'as printed'],
    'strength of nothing' => [['actives' => [['active' => 'glyphosate', 'amount' => '0 g ae/L']]], '/actives/0/amount', 'above zero'],
    'strength above the whole' => [['actives' => [['active' => 'glyphosate', 'amount' => '100.1 % w/w']]], '/actives/0/amount', 'above 100'],
    'method unknown' => [['methods' => [['method' => 'wish']]], '/methods/0/method', 'not in the catalogue'],
    'least above most' => [['methods' => [['method' => 'basal-bark', 'min' => '1:2', 'max' => '30 %']]], '/methods/0/max', 'must not be below'],
    'strength of the active' => [['methods' => [['method' => 'basal-bark', 'max' => '5 % active']]], '/methods/0/max', 'product-share'],
    'above all of it' => [['methods' => [['method' => 'basal-bark', 'max' => '101 %']]], '/methods/0/max', 'larger than'],
    'carrier unknown' => [['carriers' => ['milk']], '/carriers/0', 'not one of the choices'],
    'site unknown' => [['sites' => ['moon']], '/sites/0', 'not one of the choices'],
    'buffer in gallons' => [['waterBuffer' => '3 gal'], '/waterBuffer', 'Give a length'],
    'yearly maximum without area' => [['yearlyMaximum' => '8 kg'], '/yearlyMaximum', 'amount per area'],
    'heat below cold' => [['coldest' => '60 F', 'hottest' => '15 C'], '/hottest', 'must not be below'],
    'hours below none' => [['rainfastHours' => -1], '/rainfastHours', 'whole number'],
    'yes as a word' => [['licensedOnly' => 'yes'], '/licensedOnly', 'true or false'],
    'a field of nobody' => [['colour' => 'orange'], '/colour', 'no such field'],
]);

it('accepts least and most that are the same', function () {
    expect(readCard(['methods' => [['method' => 'basal-bark', 'min' => '25 %', 'max' => '1:3']]]))->not->toBeNull();
});
