<?php

declare(strict_types=1);

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Catalogue\SumTable;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
use Thicket\Mix\Exception\Unmixable;
use Thicket\Mix\Purchase;
use Thicket\Mix\SolvedSum;
use Thicket\Mix\StrengthWays;
use Thicket\Mix\SumReader;
use Thicket\Mix\SumSolver;
use Thicket\Mix\TankCorrection;

/*
 * The sums of handbook 3 in every direction, worked by hand in both unit systems; then what must hold of all of them.
 */

/** @param array<string, string> $known figures as typed */
function direction(string $id, array $known): SolvedSum
{
    $in = Fields::of(['sum' => $id, 'known' => $known === [] ? (object) [] : $known], $faults = new Faults());
    [$table, $given] = (new SumReader(catalogue()))->read($in);
    $faults->throwIfAny();

    return SumSolver::solve($table ?? throw new LogicException('no sum'), $given);
}

function table(string $id): SumTable
{
    foreach (catalogue()->sums() as $sum) {
        if ($sum->id() === $id) {
            return $sum;
        }
    }
    throw new LogicException("no sum {$id}");
}

/** A figure in a unit, to so many decimals. */
function figure(SolvedSum $solved, string $field, string $unit, int $scale): ?string
{
    $value = $solved->value($field);

    return $value === null ? null : (string) $value->decimal(Unit::from($unit), $scale, RoundingMode::HALF_UP);
}

it('solves', function (string $id, array $known, array $expected) {
    $solved = direction($id, $known);
    expect($solved->faults)->toBe([]);
    foreach ($expected as $field => [$value, $unit]) {
        expect("{$field} " . figure($solved, $field, $unit, strlen(explode('.', $value)[1] ?? '')))->toBe(
            "{$field} {$value}",
        );
    }
})->with([
    // 1: 15 % of 3 gal = 384 fl oz: 57.6 product, 326.4 carrier, from each pair of the four
    'mix: volume, strength (US)' => [
        'make-up',
        ['finished' => '3 gal', 'strength' => '15 %'],
        ['product' => ['57.6', 'fl_oz_us'], 'carrier' => ['326.4', 'fl_oz_us']],
    ],
    'mix: product, strength (US)' => [
        'make-up',
        ['product' => '57.6 fl oz', 'strength' => '15 %'],
        ['finished' => ['3', 'gal_us'], 'carrier' => ['2.55', 'gal_us']],
    ],
    'mix: product, volume (US)' => [
        'make-up',
        ['product' => '57.6 fl oz', 'finished' => '3 gal'],
        ['strength' => ['15', 'pct_vv_product'], 'carrier' => ['326.4', 'fl_oz_us']],
    ],
    'mix: product, carrier (US)' => [
        'make-up',
        ['product' => '57.6 fl oz', 'carrier' => '326.4 fl oz'],
        ['strength' => ['15', 'pct_vv_product'], 'finished' => ['3', 'gal_us']],
    ],
    'mix: carrier, strength (US)' => [
        'make-up',
        ['carrier' => '326.4 fl oz', 'strength' => '15 %'],
        ['finished' => ['3', 'gal_us'], 'product' => ['57.6', 'fl_oz_us']],
    ],
    'mix: carrier, volume (US)' => [
        'make-up',
        ['carrier' => '326.4 fl oz', 'finished' => '3 gal'],
        ['strength' => ['15', 'pct_vv_product'], 'product' => ['57.6', 'fl_oz_us']],
    ],
    'mix: volume, strength (metric)' => [
        'make-up',
        ['finished' => '12 L', 'strength' => '2.5 %'],
        ['product' => ['300', 'mL'], 'carrier' => ['11.7', 'L']],
    ],
    'mix: carrier, strength (metric)' => [
        'make-up',
        ['carrier' => '11.7 L', 'strength' => '2.5 %'],
        ['finished' => ['12', 'L'], 'product' => ['300', 'mL']],
    ],
    'mix: by parts' => [
        'make-up',
        ['finished' => '1 gal', 'strength' => '1:4'],
        ['product' => ['25.6', 'fl_oz_us'], 'carrier' => ['102.4', 'fl_oz_us'], 'strength' => ['20', 'pct_vv_product']],
    ],
    'mix: half and half' => [
        'make-up',
        ['product' => '1 qt', 'strength' => '1:1'],
        ['finished' => ['2', 'qt_us'], 'carrier' => ['1', 'qt_us']],
    ],
    'mix: teaspoons' => [
        'make-up',
        ['finished' => '4 gal', 'strength' => '3 tsp/gal'],
        ['product' => ['12', 'tsp_us'], 'strength' => ['0.390625', 'pct_vv_product']],
    ],
    'mix: imperial' => [
        'make-up',
        ['finished' => '1 imp gal', 'strength' => '2 imp fl oz/imp gal'],
        ['product' => ['2', 'fl_oz_imp'], 'strength' => ['1.25', 'pct_vv_product']],
    ],
    'mix: with additives' => [
        'make-up',
        ['finished' => '10 L', 'strength' => '2 %', 'additiveShare' => '0.5 %'],
        ['product' => ['200', 'mL'], 'additives' => ['50', 'mL'], 'carrier' => ['9750', 'mL']],
    ],
    'mix: additives, from the carrier' => [
        'make-up',
        ['carrier' => '9750 mL', 'strength' => '2 %', 'additiveShare' => '0.5 %'],
        ['finished' => ['10', 'L']],
    ],
    'mix: dry' => [
        'make-up',
        ['finished' => '10 L', 'strength' => '2 g/L'],
        ['product' => ['20', 'g'], 'carrier' => ['10', 'L']],
    ],
    'mix: dry, backwards' => [
        'make-up',
        ['finished' => '4 gal', 'product' => '1 oz wt'],
        ['strength' => ['0.25', 'oz_wt/gal_us']],
    ],
    'mix: product from the carrier, imperial' => [
        'make-up',
        ['carrier' => '3 imp gal', 'strength' => '1:3'],
        ['finished' => ['4', 'gal_imp'], 'product' => ['1', 'gal_imp']],
    ],
    // by weight: 2 % of a mix of 1.01 kg/L is 20.2 g/L; of a product of 1.2 kg/L that is 20.2 / 1200 = 1.6833 %, of 8
    // lb/gal mix 0.16 lb
    'mix: by weight, dry' => [
        'make-up',
        ['finished' => '10 L', 'strength' => '2 % w/w', 'mixWeighs' => '1.01 kg/L'],
        ['product' => ['202', 'g'], 'strength' => ['20.2', 'g/L']],
    ],
    'mix: by weight, poured' => [
        'make-up',
        ['finished' => '12 L', 'strength' => '2 % w/w', 'mixWeighs' => '1010 g/L', 'content' => '1.2 kg/L'],
        ['product' => ['202', 'mL'], 'carrier' => ['11.798', 'L']],
    ],
    'mix: by weight, gallons' => [
        'make-up',
        ['finished' => '5 gal', 'strength' => '2 % w/w', 'mixWeighs' => '8 lb/gal', 'content' => '10 lb/gal'],
        ['product' => ['0.08', 'gal_us']],
    ],
    'hand: by weight' => [
        'on-hand',
        ['onHand' => '101 g', 'strength' => '1 % w/w', 'mixWeighs' => '1.01 kg/L'],
        ['finished' => ['10', 'L']],
    ],
    'tank: by weight' => [
        'in-tank',
        ['inTank' => '50 L', 'strengthNow' => '0.5 % w/w', 'mixWeighs' => '1 kg/L'],
        ['productIn' => ['250', 'g']],
    ],
    // 2: what is on hand
    'hand: imperial pint' => [
        'on-hand',
        ['onHand' => '1 imp pt', 'strength' => '2 imp fl oz/imp gal'],
        ['finished' => ['10', 'gal_imp']],
    ],
    'hand: to mix' => ['on-hand', ['onHand' => '1 qt', 'strength' => '20 %'], ['finished' => ['1.25', 'gal_us']]],
    'hand: to stems' => [
        'on-hand',
        ['onHand' => '1 L', 'strength' => '25 %', 'perStem' => '10 mL'],
        ['finished' => ['4', 'L'], 'stems' => ['400', 'one']],
    ],
    'hand: a part of a stem is none' => [
        'on-hand',
        ['onHand' => '100 mL', 'strength' => '50 %', 'perStem' => '7 mL'],
        ['stems' => ['28', 'one']],
    ],
    'hand: to ground by spray' => [
        'on-hand',
        ['onHand' => '16 fl oz', 'strength' => '0.5 %', 'perArea' => '50 gal/ac'],
        ['finished' => ['25', 'gal_us'], 'area' => ['0.5', 'ac'], 'rate' => ['1', 'qt_us/ac']],
    ],
    'hand: to ground by rate' => ['on-hand', ['onHand' => '2.5 gal', 'rate' => '1 qt/ac'], ['area' => ['10', 'ac']]],
    'hand: dry to ground' => ['on-hand', ['onHand' => '8 oz wt', 'rate' => '1 oz wt/ac'], ['area' => ['8', 'ac']]],
    'hand: dry, metric' => ['on-hand', ['onHand' => '250 g', 'rate' => '40 g/ha'], ['area' => ['6.25', 'ha']]],
    'hand: stems back to product' => [
        'on-hand',
        ['stems' => '200', 'perStem' => '5 mL', 'strength' => '50 %'],
        ['finished' => ['1', 'L'], 'onHand' => ['500', 'mL']],
    ],
    'hand: ground back to product' => ['on-hand', ['area' => '3 ha', 'rate' => '1.5 L/ha'], ['onHand' => ['4.5', 'L']]],
    'hand: the rate it gave' => ['on-hand', ['onHand' => '3 L', 'area' => '2 ha'], ['rate' => ['1.5', 'L/ha']]],
    // 3: what is in the tank
    'tank: what did I mix' => [
        'in-tank',
        ['productIn' => '16 fl oz', 'inTank' => '4 gal'],
        ['strengthNow' => ['3.125', 'pct_vv_product'], 'carrierIn' => ['496', 'fl_oz_us']],
    ],
    'tank: product and carrier' => [
        'in-tank',
        ['productIn' => '200 mL', 'carrierIn' => '9.8 L'],
        ['inTank' => ['10', 'L'], 'strengthNow' => ['2', 'pct_vv_product']],
    ],
    'tank: from strength' => [
        'in-tank',
        ['inTank' => '15 L', 'strengthNow' => '1 %'],
        ['productIn' => ['150', 'mL'], 'carrierIn' => ['14.85', 'L']],
    ],
    'tank: imperial' => [
        'in-tank',
        ['productIn' => '4 imp fl oz', 'inTank' => '1 imp gal'],
        ['strengthNow' => ['2.5', 'pct_vv_product'], 'carrierIn' => ['156', 'fl_oz_imp']],
    ],
    // 4: 50 % of a 41 % product by 53.8 %: 38.1 % nominal; 50 x 360 / 480 = 37.5 %
    'active: nominal' => [
        'match-active',
        ['used' => '50 %', 'strengthOfUsed' => '41 % w/w', 'strengthOfOther' => '53.8 % w/w'],
        ['other' => ['38.1', 'pct_vv_product']],
    ],
    // 41 % of 1.2 kg/L is 492 g ai/L: 2 x 492 / 480 = 2.05 %; of two weights 50 x 41 x 1.2 / (53.8 x 1.3) = 35.17 %
    'active: by weight against the litre' => [
        'match-active',
        [
            'used' => '2 %',
            'strengthOfUsed' => '41 % w/w',
            'usedWeighs' => '1.2 kg/L',
            'strengthOfOther' => '480 g ai/L',
        ],
        ['other' => ['2.05', 'pct_vv_product']],
    ],
    'active: two weights and what their litres weigh' => [
        'match-active',
        [
            'used' => '50 %',
            'strengthOfUsed' => '41 % w/w',
            'usedWeighs' => '1.2 kg/L',
            'strengthOfOther' => '53.8 % w/w',
            'otherWeighs' => '1.3 kg/L',
        ],
        ['other' => ['35.17', 'pct_vv_product']],
    ],
    'active: by weight a litre' => [
        'match-active',
        ['used' => '50 %', 'strengthOfUsed' => '360 g ae/L', 'strengthOfOther' => '480 g ae/L'],
        ['other' => ['37.5', 'pct_vv_product'], 'activeInMix' => ['180', 'g_ae/L']],
    ],
    'active: backwards' => [
        'match-active',
        ['other' => '37.5 %', 'strengthOfUsed' => '360 g ae/L', 'strengthOfOther' => '480 g ae/L'],
        ['used' => ['50', 'pct_vv_product']],
    ],
    'active: in pounds' => [
        'match-active',
        ['used' => '2 %', 'strengthOfUsed' => '3 lb ae/gal', 'strengthOfOther' => '4 lb ae/gal'],
        ['other' => ['1.5', 'pct_vv_product']],
    ],
    'active: what must the other hold' => [
        'match-active',
        ['used' => '50 %', 'other' => '37.5 %', 'strengthOfUsed' => '360 g ae/L'],
        ['strengthOfOther' => ['480', 'g_ae/L']],
    ],
    'active: amounts' => [
        'match-active',
        ['product' => '8 fl oz', 'strengthOfUsed' => '360 g ai/L', 'strengthOfOther' => '480 g ai/L'],
        ['otherProduct' => ['6', 'fl_oz_us']],
    ],
    'active: amounts backwards' => [
        'match-active',
        ['otherProduct' => '6 fl oz', 'strengthOfUsed' => '360 g ai/L', 'strengthOfOther' => '480 g ai/L'],
        ['product' => ['8', 'fl_oz_us']],
    ],
    // 5: 1 qt/ac in 50 gal/ac, 25 gal tank: 16 fl oz a load, 2 loads an acre, 0.5 %
    'area: by the load (US)' => [
        'by-area',
        ['rate' => '1 qt/ac', 'area' => '1 ac', 'perArea' => '50 gal/ac', 'tank' => '25 gal'],
        [
            'product' => ['32', 'fl_oz_us'],
            'perLoad' => ['16', 'fl_oz_us'],
            'loads' => ['2', 'one'],
            'strength' => ['0.5', 'pct_vv_product'],
            'areaPerLoad' => ['0.5', 'ac'],
            'spray' => ['50', 'gal_us'],
        ],
    ],
    'area: metric' => [
        'by-area',
        ['rate' => '2 L/ha', 'area' => '1.5 ha', 'perArea' => '200 L/ha', 'tank' => '100 L'],
        ['product' => ['3', 'L'], 'perLoad' => ['1', 'L'], 'loads' => ['3', 'one'], 'areaPerLoad' => ['0.5', 'ha']],
    ],
    'area: two passes' => [
        'by-area',
        ['rate' => '1 pt/ac', 'area' => '10 ac', 'passes' => '2'],
        ['product' => ['20', 'pt_us'], 'covered' => ['20', 'ac']],
    ],
    'area: dry' => [
        'by-area',
        ['rate' => '1 oz wt/ac', 'area' => '10 ac', 'perArea' => '20 gal/ac', 'tank' => '50 gal'],
        ['product' => ['10', 'oz_wt'], 'perLoad' => ['2.5', 'oz_wt'], 'loads' => ['4', 'one']],
    ],
    'area: the rate that was put out' => [
        'by-area',
        ['product' => '3 L', 'area' => '2 ha'],
        ['rate' => ['1.5', 'L/ha']],
    ],
    'area: how far it goes' => ['by-area', ['product' => '2 gal', 'rate' => '1 qt/ac'], ['area' => ['8', 'ac']]],
    'area: rate of a strength' => [
        'by-area',
        ['strength' => '0.5 %', 'perArea' => '50 gal/ac'],
        ['rate' => ['1', 'qt_us/ac']],
    ],
    'area: spray for a rate' => ['by-area', ['strength' => '1 %', 'rate' => '2 L/ha'], ['perArea' => ['200', 'L/ha']]],
    'area: spray that went out' => ['by-area', ['spray' => '60 L', 'area' => '0.3 ha'], ['perArea' => ['200', 'L/ha']]],
    'area: rate from a load' => [
        'by-area',
        ['perLoad' => '16 fl oz', 'tank' => '25 gal', 'perArea' => '50 gal/ac'],
        ['rate' => ['1', 'qt_us/ac']],
    ],
    // granules: 2 lb on each 1000 sq ft of 3500; 40 kg/ha on 250 m2; 56 lb/ac on a quarter
    'area: granules, US' => [
        'by-area',
        ['rate' => '2 lb/1000 sq ft', 'area' => '3500 sq ft', 'labelMost' => '2 lb/1000 sq ft'],
        ['product' => ['7', 'lb']],
    ],
    'area: granules, metric' => [
        'by-area',
        ['rate' => '40 kg/ha', 'area' => '250 m2', 'labelMost' => '40 kg/ha'],
        ['product' => ['1', 'kg']],
    ],
    'area: granules, acres' => [
        'by-area',
        ['rate' => '56 lb/ac', 'area' => '0.25 ac', 'labelMost' => '60 lb/ac'],
        ['product' => ['14', 'lb']],
    ],
    'area: 1000 square feet' => [
        'by-area',
        ['rate' => '1 fl oz/1000 sq ft', 'area' => '5000 sq ft'],
        ['product' => ['5', 'fl_oz_us']],
    ],
    'area: imperial' => [
        'by-area',
        ['rate' => '2 imp pt/ac', 'area' => '3 ac', 'perArea' => '20 imp gal/ac'],
        ['product' => ['6', 'pt_imp'], 'spray' => ['60', 'gal_imp'], 'strength' => ['1.25', 'pct_vv_product']],
    ],
    'area: 100 square metres' => [
        'by-area',
        ['rate' => '5 mL/100 m2', 'area' => '600 m2', 'perArea' => '5 L/100 m2'],
        ['product' => ['30', 'mL'], 'spray' => ['30', 'L'], 'strength' => ['0.1', 'pct_vv_product']],
    ],
    // 6: 2 1/4, 3 1/3, 4 1/2 tsp a gallon by soil; medium 3 1/3 over 1000 sq ft is 1.51 pt/ac
    'soil: coarse by name' => [
        'by-soil',
        [
            'soil' => 'sandy loam',
            'coarse' => '2.25 tsp/gal',
            'medium' => '3.333 tsp/gal',
            'fine' => '4.5 tsp/gal',
            'finished' => '3 gal',
        ],
        ['product' => ['6.75', 'tsp_us']],
    ],
    'soil: fine' => [
        'by-soil',
        ['soil' => 'fine', 'fine' => '4.5 tsp/gal', 'finished' => '2 gal'],
        ['product' => ['9', 'tsp_us']],
    ],
    'soil: spread thin' => [
        'by-soil',
        ['soil' => 'fine', 'fine' => '4.5 tsp/gal', 'finished' => '1 gal', 'area' => '1000 sq ft'],
        ['rate' => ['2.04', 'pt_us/ac']],
    ],
    'soil: spread thick' => [
        'by-soil',
        ['soil' => 'fine', 'fine' => '4.5 tsp/gal', 'finished' => '5 gal', 'area' => '1000 sq ft'],
        ['rate' => ['10.21', 'pt_us/ac']],
    ],
    'soil: from rate' => [
        'by-soil',
        ['rate' => '2 L/ha', 'area' => '500 m2', 'finished' => '10 L'],
        ['product' => ['100', 'mL'], 'strength' => ['1', 'pct_vv_product'], 'perArea' => ['200', 'L/ha']],
    ],
    'soil: strength of what was made' => [
        'by-soil',
        ['product' => '9 tsp', 'finished' => '2 gal'],
        ['strength' => ['4.5', 'tsp_us/gal_us']],
    ],
    // 7: so many stems, with the allowance of 10 % unless another is given
    'stems: mix' => [
        'by-stems',
        ['stems' => '100', 'perStem' => '5 mL'],
        ['finished' => ['550', 'mL'], 'bare' => ['500', 'mL']],
    ],
    'stems: product' => [
        'by-stems',
        ['stems' => '100', 'perStem' => '5 mL', 'strength' => '50 %'],
        ['product' => ['275', 'mL']],
    ],
    'stems: no allowance' => [
        'by-stems',
        ['stems' => '640', 'perStem' => '0.2 fl oz', 'allowance' => '0 %'],
        ['finished' => ['1', 'gal_us']],
    ],
    'stems: how many' => ['by-stems', ['finished' => '550 mL', 'perStem' => '5 mL'], ['stems' => ['100', 'one']]],
    'stems: how much each' => ['by-stems', ['finished' => '1.1 L', 'stems' => '200'], ['perStem' => ['5', 'mL']]],
    'stems: from the product' => [
        'by-stems',
        ['product' => '275 mL', 'strength' => '50 %', 'perStem' => '5 mL'],
        ['finished' => ['550', 'mL'], 'stems' => ['100', 'one']],
    ],
    'stems: in fluid ounces' => [
        'by-stems',
        ['stems' => '128', 'perStem' => '0.25 fl oz', 'allowance' => '0 %', 'strength' => '50 %'],
        ['finished' => ['1', 'qt_us'], 'product' => ['1', 'pt_us']],
    ],
    // 8: loads
    'loads: imperial' => ['tank-loads', ['total' => '9 imp gal', 'tank' => '3 imp gal'], ['loads' => ['3', 'one']]],
    'loads: how many' => ['tank-loads', ['total' => '10 gal', 'tank' => '4 gal'], ['loads' => ['2.5', 'one']]],
    'loads: with some left over' => [
        'tank-loads',
        ['total' => '10 gal', 'leftover' => '2 gal', 'tank' => '4 gal'],
        ['fresh' => ['8', 'gal_us'], 'loads' => ['2', 'one']],
    ],
    'loads: backwards' => ['tank-loads', ['loads' => '3', 'tank' => '15 L'], ['total' => ['45', 'L']]],
    'loads: which tank' => ['tank-loads', ['total' => '45 L', 'loads' => '3'], ['tank' => ['15', 'L']]],
    // 10: 2 L x 480 g over 0.5 ha = 1.92 kg ae/ha; 4 before, 8 at most: 4 left, 4 kg x 0.5 ha / 0.48 kg/L = 4.167 L
    'limit: acid equivalent' => [
        'yearly-limit',
        [
            'product' => '2 L',
            'area' => '0.5 ha',
            'content' => '480 g ae/L',
            'already' => '4 kg ae/ha',
            'most' => '8 kg ae/ha',
        ],
        [
            'planned' => ['1.92', 'kg_ae/ha'],
            'total' => ['5.92', 'kg_ae/ha'],
            'left' => ['4', 'kg_ae/ha'],
            'allowed' => ['4.167', 'L'],
        ],
    ],
    'limit: in pounds' => [
        'yearly-limit',
        ['product' => '2 qt', 'area' => '1 ac', 'content' => '4 lb ae/gal', 'most' => '8 lb ae/ac'],
        ['planned' => ['2', 'lb_ae/ac'], 'allowed' => ['2', 'gal_us']],
    ],
    'limit: of product' => [
        'yearly-limit',
        ['product' => '2 qt', 'area' => '1 ac', 'most' => '1 gal/ac'],
        ['planned' => ['2', 'qt_us/ac'], 'allowed' => ['1', 'gal_us']],
    ],
    'limit: dry' => [
        'yearly-limit',
        ['product' => '1 oz wt', 'area' => '1 ac', 'most' => '2 oz wt/ac'],
        ['planned' => ['1', 'oz_wt/ac'], 'left' => ['2', 'oz_wt/ac'], 'allowed' => ['2', 'oz_wt']],
    ],
    'limit: what may be used' => [
        'yearly-limit',
        ['area' => '2 ha', 'content' => '360 g ae/L', 'most' => '3.6 kg ae/ha'],
        ['allowed' => ['20', 'L']],
    ],
    'limit: product for a load of active' => [
        'yearly-limit',
        ['planned' => '1.8 kg ae/ha', 'area' => '2 ha', 'content' => '360 g ae/L'],
        ['product' => ['10', 'L']],
    ],
    // 11: measuring
    'measure: fillings' => [
        'to-measure',
        ['fillings' => '3', 'reading' => '8 fl oz'],
        ['measured' => ['24', 'fl_oz_us']],
    ],
    'measure: how many fillings' => [
        'to-measure',
        ['measured' => '57.6 fl oz', 'reading' => '8 fl oz'],
        ['fillings' => ['7.2', 'one']],
    ],
    'measure: what strength they make' => [
        'to-measure',
        ['fillings' => '3', 'reading' => '1 fl oz', 'finished' => '1 gal'],
        ['strength' => ['2.34', 'pct_vv_product']],
    ],
    'measure: for a strength' => [
        'to-measure',
        ['strength' => '2 %', 'finished' => '10 L', 'reading' => '50 mL'],
        ['measured' => ['200', 'mL'], 'fillings' => ['4', 'one']],
    ],
    // half an inch on 1000 sq ft is 311.69 gal, at 10 gal/min 31.17 min; 6 mm on 100 m2 are 600 L; 10 mm on 50 m2 500
    // L, 22 min at 5 imp gal/min
    'watering: gallons' => [
        'water-in',
        ['area' => '1000 sq ft', 'depth' => '1/2 in', 'flow' => '10 gal/min'],
        ['volume' => ['311.69', 'gal_us'], 'run' => ['31.17', 'min']],
    ],
    'watering: litres' => [
        'water-in',
        ['area' => '100 m2', 'depth' => '6 mm', 'flow' => '20 L/min'],
        ['volume' => ['600', 'L'], 'run' => ['30', 'min']],
    ],
    'watering: imperial' => [
        'water-in',
        ['area' => '50 m2', 'depth' => '10 mm', 'flow' => '5 imp gal/min'],
        ['volume' => ['500', 'L'], 'run' => ['22', 'min']],
    ],
    'watering: what the tap gives' => ['water-in', ['volume' => '40 L', 'run' => '2 min'], ['flow' => ['20', 'L/min']]],
    'watering: how deep it came' => [
        'water-in',
        ['flow' => '20 L/min', 'run' => '1/2 h', 'area' => '100 m2', 'labelLeast' => '6 mm'],
        ['depth' => ['6', 'L/m2'], 'volume' => ['600', 'L']],
    ],
    'measure: on a scale' => [
        'to-measure',
        ['strength' => '2 g/L', 'finished' => '15 L', 'reading' => '10 g'],
        ['measured' => ['30', 'g'], 'fillings' => ['3', 'one']],
    ],
]);

it('says what does not go together', function (string $id, array $known, string $code, string $field) {
    expect(
        array_map(static fn(array $f): string => "{$f['code']} {$f['field']}", direction($id, $known)->faults),
    )->toContain("{$code} {$field}");
})->with([
    // half a percent is rounding: 19.1 L for 19.05 agrees, 19.2 does not
    'another volume' => [
        'make-up',
        ['product' => '3 L', 'strength' => '15 %', 'finished' => '21 L'],
        'contradiction',
        'finished',
    ],
    'another rate' => ['by-area', ['product' => '2 L', 'area' => '1 ha', 'rate' => '3 L/ha'], 'contradiction', 'rate'],
    'too many stems' => [
        'by-stems',
        ['stems' => '100', 'perStem' => '5 mL', 'finished' => '700 mL'],
        'contradiction',
        'finished',
    ],
    'more carrier than mix' => ['make-up', ['finished' => '10 L', 'carrier' => '12 L'], 'parts-above-all', 'all'],
    'acid equivalent against active ingredient' => [
        'match-active',
        ['used' => '2 %', 'strengthOfUsed' => '480 g ae/L', 'strengthOfOther' => '500 g ai/L'],
        'other-basis',
        'strengthOfOther',
    ],
    'more there than a year allows' => [
        'yearly-limit',
        ['area' => '1 ha', 'content' => '480 g ae/L', 'already' => '5.8 kg ae/ha', 'most' => '4.48 kg ae/ha'],
        'parts-above-whole',
        'most',
    ],
    'more leftover than the job' => [
        'tank-loads',
        ['total' => '2 gal', 'leftover' => '3 gal', 'tank' => '4 gal'],
        'parts-above-whole',
        'total',
    ],
    'more than pure' => [
        'match-active',
        ['used' => '50 %', 'strengthOfUsed' => '480 g ae/L', 'strengthOfOther' => '180 g ae/L'],
        'above-whole',
        'other',
    ],
    'poured and weighed' => [
        'on-hand',
        ['onHand' => '500 g', 'strength' => '2 %', 'finished' => '10 L'],
        'other-kind',
        'finished',
    ],
    // lines that are not known yet stand before these; 1 % of 50 L is 0.5 L, 100 stems at 5 mL and a tenth are 550 mL
    'a tank that holds another amount' => [
        'by-area',
        ['perLoad' => '1 L', 'strength' => '1 %', 'tank' => '50 L'],
        'contradiction',
        'tank',
    ],
    'a mix of another strength, no stems told' => [
        'by-stems',
        ['product' => '100 mL', 'strength' => '50 %', 'finished' => '550 mL'],
        'contradiction',
        'finished',
    ],
    'a run that gives another depth' => [
        'water-in',
        ['flow' => '20 L/min', 'run' => '30 min', 'volume' => '500 L'],
        'contradiction',
        'run',
    ],
    'above the label' => [
        'make-up',
        ['product' => '1 L', 'finished' => '4 L', 'labelMost' => '20 %'],
        'above-label',
        'strength',
    ],
    'above the label per area' => [
        'by-soil',
        [
            'soil' => 'fine',
            'fine' => '4.5 tsp/gal',
            'finished' => '5 gal',
            'area' => '1000 sq ft',
            'labelMost' => '4 pt/ac',
        ],
        'above-label',
        'rate',
    ],
    'above the year' => [
        'yearly-limit',
        [
            'product' => '5 L',
            'area' => '0.5 ha',
            'content' => '480 g ae/L',
            'already' => '4 kg ae/ha',
            'most' => '8 kg ae/ha',
        ],
        'above-label',
        'total',
    ],
    'a correction above the label' => [
        'in-tank',
        ['inTank' => '10 L', 'strengthNow' => '1 %', 'target' => '3 %', 'labelMost' => '2 %'],
        'above-label',
        'target',
    ],
]);

it('calls solved what was held against every limit given, and says of the rest that it was not', function (
    string $id,
    array $known,
    string $state,
    array $unchecked = [],
) {
    $solved = direction($id, $known);
    expect([$solved->state(), $solved->unchecked])->toBe([$state, $unchecked]);
})->with([
    'a limit of the same kind' => [
        'make-up',
        ['product' => '1 L', 'finished' => '100 L', 'labelMost' => '2 %'],
        'solved',
    ],
    'a limit by weight' => [
        'make-up',
        ['product' => '2 L', 'finished' => '100 L', 'labelMost' => '10 g/L'],
        'solved-unchecked',
        ['labelMost'],
    ],
    // 2 % of 360 g ae/L is 7.2 g ae/L
    'a limit in acid equivalent, and the content' => [
        'make-up',
        ['product' => '2 L', 'finished' => '100 L', 'labelMost' => '7.2 g ae/L', 'content' => '360 g ae/L'],
        'solved',
    ],
    'and passed' => [
        'make-up',
        ['product' => '2 L', 'finished' => '100 L', 'labelMost' => '7.1 g ae/L', 'content' => '360 g ae/L'],
        'contradiction',
    ],
    'a limit of another basis than the content' => [
        'make-up',
        ['product' => '2 L', 'finished' => '100 L', 'labelMost' => '7 g ai/L', 'content' => '360 g ae/L'],
        'solved-unchecked',
        ['labelMost'],
    ],
    // 2 % at 1.2 kg a litre is 24 g/L
    'a limit by weight, and what a litre weighs' => [
        'make-up',
        ['product' => '2 L', 'finished' => '100 L', 'labelMost' => '23 g/L', 'content' => '1200 g/L'],
        'contradiction',
    ],
    // 1 % by weight of 1.02 kg/L is 10.2 g/L; 0.85 % of 1.2 kg/L product is just that
    'a limit by weight, at it' => [
        'make-up',
        [
            'finished' => '100 L',
            'strength' => '0.85 %',
            'labelMost' => '1 % w/w',
            'mixWeighs' => '1.02 kg/L',
            'content' => '1.2 kg/L',
        ],
        'solved',
    ],
    'a limit by weight, above it' => [
        'make-up',
        [
            'finished' => '100 L',
            'strength' => '0.86 %',
            'labelMost' => '1 % w/w',
            'mixWeighs' => '1.02 kg/L',
            'content' => '1.2 kg/L',
        ],
        'contradiction',
    ],
    'quarts against pounds an acre' => [
        'by-area',
        ['rate' => '2 qt/ac', 'area' => '1 ac', 'labelMost' => '1 lb/ac'],
        'solved-unchecked',
        ['labelMost'],
    ],
    // 2 qt/ac of 4 lb ae/gal is 2 lb ae/ac
    'quarts against pounds of acid' => [
        'by-area',
        ['rate' => '2 qt/ac', 'area' => '1 ac', 'labelMost' => '2 lb ae/ac', 'content' => '4 lb ae/gal'],
        'solved',
    ],
    'and a hundredth above' => [
        'by-area',
        ['rate' => '2.01 qt/ac', 'area' => '1 ac', 'labelMost' => '2 lb ae/ac', 'content' => '4 lb ae/gal'],
        'contradiction',
    ],
    'a limit and nothing to hold it against' => [
        'by-stems',
        ['stems' => '100', 'perStem' => '5 mL', 'labelMost' => '20 %'],
        'solved-unchecked',
        ['labelMost'],
    ],
    'on hand, by weight' => [
        'on-hand',
        ['onHand' => '1 L', 'strength' => '2 %', 'labelMost' => '15 g/L'],
        'solved-unchecked',
        ['labelMost'],
    ],
    'in the tank, by weight' => [
        'in-tank',
        ['productIn' => '0.2 L', 'inTank' => '10 L', 'target' => '1 %', 'labelMost' => '15 g/L'],
        'solved-unchecked',
        ['labelMost'],
    ],
    'by soil' => [
        'by-soil',
        ['strength' => '2 %', 'finished' => '10 L', 'area' => '100 m2', 'labelMost' => '1 kg/ha'],
        'solved-unchecked',
        ['labelMost'],
    ],
    'to measure' => [
        'to-measure',
        ['strength' => '2 %', 'finished' => '15 L', 'reading' => '100 mL', 'labelMost' => '10 g/L'],
        'solved-unchecked',
        ['labelMost'],
    ],
    'only what was typed, and a default' => ['make-up', ['finished' => '3 gal'], 'cannotTell'],
    'already told in product' => [
        'yearly-limit',
        [
            'product' => '2 L',
            'area' => '0.5 ha',
            'content' => '480 g ae/L',
            'already' => '8 L/ha',
            'most' => '4.48 kg ae/ha',
        ],
        'contradiction',
    ],
    'already told in product, and no content' => [
        'yearly-limit',
        ['area' => '0.5 ha', 'already' => '8 L/ha', 'most' => '4.48 kg ae/ha'],
        'contradiction',
    ],
    'already in another basis' => [
        'yearly-limit',
        [
            'product' => '1 L',
            'area' => '1 ha',
            'content' => '480 g ae/L',
            'already' => '1 kg ai/ha',
            'most' => '4.48 kg ae/ha',
        ],
        'contradiction',
    ],
]);

it('warns below the least of the label, at it not, and says where it could not be told', function (
    string $id,
    array $known,
    array $warned,
    string $state = 'solved',
) {
    $solved = direction($id, $known);
    expect([
        array_map(static fn(array $w): string => "{$w['code']} {$w['field']}", $solved->warnings),
        $solved->state(),
    ])->toBe([$warned, $state]);
})->with([
    'a hundredth under' => [
        'make-up',
        ['product' => '1.99 L', 'finished' => '100 L', 'labelLeast' => '2 %'],
        ['below-label strength'],
    ],
    'at the least' => [
        'make-up',
        ['product' => '2 L', 'finished' => '100 L', 'labelLeast' => '2 %', 'labelMost' => '2 %'],
        [],
    ],
    // 1 qt/ac of 4 lb ae/gal is 1 lb ae/ac
    'acid equivalent an acre' => [
        'by-area',
        ['rate' => '1 qt/ac', 'area' => '2 ac', 'labelLeast' => '1.01 lb ae/ac', 'content' => '4 lb ae/gal'],
        ['below-label rate'],
    ],
    'and just enough' => [
        'by-area',
        ['rate' => '1 qt/ac', 'area' => '2 ac', 'labelLeast' => '1 lb ae/ac', 'content' => '4 lb ae/gal'],
        [],
    ],
    'water too thin by the label' => [
        'water-in',
        ['flow' => '20 L/min', 'run' => '29 min', 'area' => '100 m2', 'labelLeast' => '6 mm'],
        ['below-label depth'],
    ],
    'a correction to less than the label asks' => [
        'in-tank',
        ['productIn' => '0.2 L', 'inTank' => '10 L', 'target' => '1 %', 'labelLeast' => '1.5 %'],
        ['below-label target'],
    ],
    'by weight, and nobody knows what a litre weighs' => [
        'make-up',
        ['product' => '1 L', 'finished' => '100 L', 'labelLeast' => '20 g/L'],
        [],
        'solved-unchecked',
    ],
    'the least above the most' => [
        'make-up',
        ['product' => '2 L', 'finished' => '100 L', 'labelLeast' => '3 %', 'labelMost' => '2 %'],
        ['below-label strength'],
        'contradiction',
    ],
    'the same in two kinds' => [
        'by-stems',
        [
            'stems' => '10',
            'perStem' => '10 mL',
            'strength' => '1 %',
            'labelLeast' => '8 g ae/L',
            'labelMost' => '2 %',
            'content' => '360 g ae/L',
        ],
        ['below-label strength'],
        'contradiction',
    ],
]);

it('measures out between the least and the most of the label, in whatever kind they are told', function (
    string $id,
    array $known,
    string $most,
    string $short,
    string $enough,
) {
    $solved = direction($id, $known);
    expect((string) $solved->mostToMeasure()?->in(Unit::Millilitre)->toScale(1, RoundingMode::HALF_UP))
        ->toBe($most)
        ->and([$solved->isShort(quantity($short)), $solved->isShort(quantity($enough))])
        ->toBe([true, false]);
})->with([
    // 2 % of 10 L is 200 mL, 1.5 % 150 mL
    'by strength' => [
        'make-up',
        ['finished' => '10 L', 'strength' => '1.8 %', 'labelLeast' => '1.5 %', 'labelMost' => '2 %'],
        '200.0',
        '149.9 mL',
        '150 mL',
    ],
    // 2 lb ae/ac of 4 lb ae/gal is 2 qt/ac, on 2 ac 1 gal; the least of 0.5 lb half a quart an acre, a quart
    'by area, through the content' => [
        'by-area',
        [
            'rate' => '1 qt/ac',
            'area' => '2 ac',
            'content' => '4 lb ae/gal',
            'labelLeast' => '0.5 lb ae/ac',
            'labelMost' => '2 lb ae/ac',
        ],
        '3785.4',
        '31.9 fl oz',
        '32 fl oz',
    ],
    // the finished mix decides, not what was typed of the product within rounding: 2 % of 100 L
    'rounded up when typed' => [
        'make-up',
        [
            'finished' => '100 L',
            'strength' => '2 %',
            'product' => '2.009 L',
            'labelLeast' => '1 %',
            'labelMost' => '2 %',
        ],
        '2000.0',
        '0.99 L',
        '1 L',
    ],
    'what a tool is read for' => [
        'to-measure',
        ['strength' => '2 %', 'finished' => '15 L', 'labelLeast' => '2 %', 'labelMost' => '2.5 %'],
        '375.0',
        '299 mL',
        '300 mL',
    ],
]);

it('counts what lies there already by the content of the product, whatever it was told in', function (
    array $known,
    array $expected,
) {
    $solved = direction('yearly-limit', $known);
    foreach ($expected as $field => [$amount, $unit]) {
        expect((string) $solved->value($field)?->in(Unit::from($unit))->toScale(3, RoundingMode::HALF_UP))->toBe(
            $amount,
            $field,
        );
    }
})->with([
    // 8 L/ha x 480 = 3.84 kg; 4.48 - 3.84 = 0.64 kg/ha = 1.333 L/ha; on 0.5 ha 0.667 L
    'product an area' => [
        ['area' => '0.5 ha', 'content' => '480 g ae/L', 'already' => '8 L/ha', 'most' => '4.48 kg ae/ha'],
        ['left' => ['0.640', 'kg_ae/ha'], 'allowed' => ['0.667', 'L']],
    ],
    'the same in quarts and pounds' => [
        ['area' => '2 ac', 'content' => '4 lb ae/gal', 'already' => '1 qt/ac', 'most' => '3 lb ae/ac'],
        ['left' => ['2.000', 'lb_ae/ac'], 'allowed' => ['1.000', 'gal_us']],
    ],
    // 0.568261 L on 4046.86 m2 is 1.40420 L/ha, 0.50551 kg ae
    'imperial' => [
        ['area' => '1 ac', 'content' => '360 g ae/L', 'already' => '1 imp pt/ac', 'most' => '1 kg ae/ha'],
        ['left' => ['0.494', 'kg_ae/ha']],
    ],
    // a ceiling in litres of product, and 1.8 kg ae/ha already: 5 L/ha of 360
    'a ceiling in product, and acid already there' => [
        ['area' => '1 ha', 'content' => '360 g ae/L', 'already' => '1.8 kg ae/ha', 'most' => '8 L/ha'],
        ['left' => ['3.000', 'L/ha']],
    ],
]);

it('takes what is typed half a percent off as rounding, and no more', function () {
    // 15 % of 19.05 L is 2.8575 L
    expect(direction('make-up', ['product' => '2.858 L', 'strength' => '15 %', 'finished' => '19.05 L'])->isSound())
        ->toBeTrue()
        ->and(direction('make-up', ['product' => '2.8717 L', 'strength' => '15 %', 'finished' => '19.05 L'])->isSound())
        ->toBeTrue()
        ->and(direction('make-up', ['product' => '2.8725 L', 'strength' => '15 %', 'finished' => '19.05 L'])->isSound())
        ->toBeFalse()
        // at the label is not above it
        ->and(direction('make-up', ['product' => '1 L', 'finished' => '5 L', 'labelMost' => '20 %'])->isSound())
        ->toBeTrue();
});

it('leaves open what does not follow and says what would be enough', function () {
    $one = direction('make-up', ['finished' => '3 gal']);
    expect($one->found())
        ->toHaveKeys(['additives'])
        ->not->toHaveKey('product')
        ->and($one->next()[0])
        ->toBe(['missing' => ['strength'], 'gives' => ['product', 'carrier']])
        // a ceiling in acid equivalent wants the content; it is not taken as product
        ->and(
            direction('yearly-limit', ['product' => '2 L', 'area' => '0.5 ha', 'most' => '8 kg ae/ha'])->value(
                'planned',
            ),
        )
        ->toBeNull()
        ->and(direction('by-area', ['rate' => '1 qt/ac'])->value('product'))
        ->toBeNull();
});

it('refuses what cannot be read, at its field', function (array $document, string $pointer) {
    $in = Fields::of($document, $faults = new Faults());
    (new SumReader(catalogue()))->read($in);
    try {
        $faults->throwIfAny();
        $at = [];
    } catch (Refused $e) {
        $at = array_column($e->faults, 'pointer');
    }
    expect($at)->toContain($pointer);
})->with([
    'no such sum' => [['sum' => 'guess', 'known' => ['finished' => '3 gal']], '/sum'],
    'a figure of nobody' => [['sum' => 'make-up', 'known' => ['glugs' => '3']], '/known/glugs'],
    'an area for a volume' => [['sum' => 'make-up', 'known' => ['finished' => '3 ac']], '/known/finished'],
    'ounces of nothing' => [['sum' => 'make-up', 'known' => ['finished' => '3 furlongs']], '/known/finished'],
    'below nought' => [
        ['sum' => 'make-up', 'known' => ['finished' => ['value' => '-3', 'unit' => 'L']]],
        '/known/finished',
    ],
    'worked out only' => [['sum' => 'by-area', 'known' => ['loads' => '3']], '/known/loads'],
    'soil the card must class' => [
        ['sum' => 'by-soil', 'known' => ['soil' => 'silt loam', 'medium' => '3 tsp/gal']],
        '/known/soil',
    ],
    'soil without its direction' => [
        ['sum' => 'by-soil', 'known' => ['soil' => 'fine', 'medium' => '3 tsp/gal']],
        '/known/fine',
    ],
    'a tenth of a tenth' => [['sum' => 'make-up', 'known' => ['strength' => '0:4']], '/known/strength'],
    'by weight, and nobody knows what a litre weighs' => [
        ['sum' => 'make-up', 'known' => ['finished' => '3 L', 'strength' => '2 % w/w']],
        '/known/strength',
    ],
    'by weight against the litre' => [
        [
            'sum' => 'match-active',
            'known' => ['used' => '2 %', 'strengthOfUsed' => '41 % w/w', 'strengthOfOther' => '480 g ai/L'],
        ],
        '/known/strengthOfUsed',
    ],
    'a litre as light as gas' => [
        ['sum' => 'make-up', 'known' => ['finished' => '3 L', 'strength' => '2 % w/w', 'mixWeighs' => '0.4 kg/L']],
        '/known/mixWeighs',
    ],
    'more than all by weight' => [
        ['sum' => 'make-up', 'known' => ['finished' => '3 L', 'strength' => '101 % w/w', 'mixWeighs' => '1 kg/L']],
        '/known/strength',
    ],
    'an area for a depth' => [['sum' => 'water-in', 'known' => ['depth' => '3 ac']], '/known/depth'],
    'nothing known' => [['sum' => 'make-up', 'known' => []], '/known'],
    'a strength of nought' => [
        ['sum' => 'make-up', 'known' => ['finished' => '2 L', 'strength' => '0 %']],
        '/known/strength',
    ],
    'a tank of nought' => [['sum' => 'tank-loads', 'known' => ['total' => '10 L', 'tank' => '0 L']], '/known/tank'],
    'an area of nought' => [['sum' => 'by-area', 'known' => ['rate' => '2 L/ha', 'area' => '0 ha']], '/known/area'],
    'a pass and a half' => [
        ['sum' => 'by-area', 'known' => ['rate' => '2 L/ha', 'area' => '1 ha', 'passes' => '1.5']],
        '/known/passes',
    ],
    'half a stem' => [['sum' => 'by-stems', 'known' => ['stems' => '12.5', 'perStem' => '5 mL']], '/known/stems'],
    'a strength beside another of its soil' => [
        [
            'sum' => 'by-soil',
            'known' => ['strength' => '3 tsp/gal', 'soil' => 'fine', 'fine' => '4.5 tsp/gal', 'finished' => '5 gal'],
        ],
        '/known/strength',
    ],
    'a comma that could be either' => [['sum' => 'make-up', 'known' => ['finished' => '1,500 mL']], '/known/finished'],
    'wide figures' => [['sum' => 'make-up', 'known' => ['finished' => '３ L']], '/known/finished'],
    'a bare number where a unit is due' => [['sum' => 'make-up', 'known' => ['finished' => '3']], '/known/finished'],
]);

it('has a table whose every way gives what it says, and whose lines name only its figures', function (string $id) {
    $table = table($id);
    $sample = static fn(Dimension $d): Quantity => match ($d) {
        Dimension::Volume => Quantity::of('1.5', Unit::Litre),
        Dimension::Mass => Quantity::of(40, Unit::Gram),
        Dimension::Area => Quantity::of('0.4', Unit::Hectare),
        Dimension::VolumePerArea => Quantity::of(3, Unit::LitrePerHectare),
        Dimension::MassPerArea => Quantity::of(30, Unit::GramPerHectare),
        Dimension::EquivalentPerArea => Quantity::of(900, Unit::GramEquivalentPerHectare),
        Dimension::MassPerVolume => Quantity::of(2, Unit::GramPerLitre),
        Dimension::EquivalentPerVolume => Quantity::of(400, Unit::GramEquivalentPerLitre),
        Dimension::IngredientPerVolume => Quantity::of(400, Unit::GramIngredientPerLitre),
        Dimension::VolumePerTime => Quantity::of(20, Unit::LitrePerMinute),
        Dimension::Duration => Quantity::of(30, Unit::Minute),
        Dimension::ProductShare => Quantity::of(5, Unit::PercentProduct),
        Dimension::MassShare => Quantity::of(40, Unit::PercentByWeight),
        default => Quantity::of(12, Unit::One),
    };
    foreach ($table->ways() as $way) {
        $given = [];
        foreach ($way['known'] as $field) {
            $given[$field] = $sample($table->kinds($field)[0]);
        }
        // without a content the limit is one of product
        $id === 'yearly-limit' &&
            !isset($given['content']) &&
            isset($given['most']) &&
            ($given['most'] = Quantity::of(9, Unit::LitrePerHectare));
        // carrier is less than the whole, and a product less than its mix
        isset($given['finished'], $given['carrier']) && ($given['carrier'] = $given['finished']->times('0.9'));
        isset($given['finished'], $given['product']) && ($given['product'] = $given['finished']->times('0.1'));
        isset($given['inTank'], $given['productIn']) && ($given['productIn'] = $given['inTank']->times('0.1'));
        isset($given['leftover']) && ($given['leftover'] = $given['total']->times('0.2'));
        $solved = SumSolver::solve($table, $given);
        expect(array_diff($way['gives'], array_keys($solved->values)))->toBe(
            [],
            $id . ' from ' . implode(', ', $way['known']),
        );
    }
    foreach ([...$table->products(), ...$table->sums()] as $line) {
        expect(array_diff($line, $table->fields(), ['all']))->toBe([]);
    }
    expect(array_diff([...array_keys($table->most()), ...array_values($table->most())], $table->fields()))->toBe([]);
})->with([
    'make-up',
    'on-hand',
    'in-tank',
    'match-active',
    'by-area',
    'by-soil',
    'by-stems',
    'tank-loads',
    'yearly-limit',
    'water-in',
    'to-measure',
]);

it('keeps the balance to the last digit, scales, turns back on itself, and is the same in any unit', function (
    int $seed,
) {
    mt_srand($seed);
    for ($i = 0; $i < 40; ++$i) {
        $finished = Quantity::of(BigRational::of(mt_rand(1, 99999))->dividedBy(mt_rand(1, 997)), Unit::UsGallon);
        $share = Quantity::of(BigRational::of(mt_rand(1, 9999))->dividedBy(100), Unit::PercentProduct);
        $table = table('make-up');
        $forth = SumSolver::solve($table, ['finished' => $finished, 'strength' => $share]);
        [$product, $carrier] = [$forth->value('product'), $forth->value('carrier')];
        // nothing is lost: product and carrier are the whole, exactly
        expect($product?->plus($carrier ?? Quantity::zero(Unit::Litre))->equals($finished))->toBeTrue();
        // back from the carrier alone
        $back = SumSolver::solve($table, ['carrier' => $carrier ?? $finished, 'strength' => $share]);
        expect($back->value('finished')?->equals($finished))->toBeTrue();
        // twice the volume is twice the product
        expect(
            SumSolver::solve($table, ['finished' => $finished->times(2), 'strength' => $share])
                ->value('product')
                ?->equals(($product ?? $finished)->times(2)),
        )->toBeTrue();
        // typed in litres it is the same product
        expect(
            SumSolver::solve($table, ['finished' => $finished->to(Unit::Litre), 'strength' => $share])
                ->value('product')
                ?->equals($product ?? $finished),
        )->toBeTrue();
        // a corrected tank has the target, exactly
        $target = Strength::ofQuantity(
            Quantity::of(BigRational::of(mt_rand(1, 9998))->dividedBy(100), Unit::PercentProduct),
        );
        $correction = TankCorrection::of($finished, Strength::ofQuantity($share), $target);
        $in = ($product ?? $finished)->plus($correction->product ?? Quantity::zero(Unit::Litre));
        expect($in->per($correction->afterwards)->isEqualTo($target->share))->toBeTrue();
    }
})->with([11, 12, 13]);

it('corrects a tank, and knows when it cannot hold the correction', function () {
    $of = static fn(
        string $in,
        string $now,
        string $target,
        ?string $tank = null,
    ): TankCorrection => TankCorrection::of(
        quantity($in),
        Strength::parse($now),
        Strength::parse($target),
        $tank === null ? null : quantity($tank),
    );
    // 10 L at 1 % to 2 %: (0.2 - 0.1) / 0.98 = 0.10204 L of product
    $weak = $of('10 L', '1 %', '2 %', '10.2 L');
    expect([
        $weak->state,
        (string) $weak->product?->decimal(Unit::Millilitre, 2, RoundingMode::HALF_UP),
        $weak->fits,
    ])->toBe(['weak', '102.04', true]);
    // 10 L at 3 % to 2 %: 0.3 / 0.02 = 15 L, so 5 L of carrier
    $strong = $of('10 L', '3 %', '2 %', '15 L');
    expect([$strong->state, (string) $strong->carrier?->decimal(Unit::Litre, 3, RoundingMode::HALF_UP), $strong->fits])
        ->toBe(['strong', '5.000', true])
        ->and($of('10 L', '3 %', '2 %', '14.99 L')->fits)
        ->toBeFalse()
        ->and($of('10 L', '2 %', '2 %')->product)
        ->toBeNull()
        ->and($of('10 L', '2 %', '2 %')->carrier)
        ->toBeNull()
        ->and((string) $of('10 L', '2 %', '2 %')->afterwards->amount)
        ->toBe('10')
        ->and($of('10 L', '2 %', '2 %')->state)
        ->toBe('right')
        ->and($of('10 L', '2 %', '2 %')->fits)
        ->toBeNull()
        ->and(static fn() => $of('10 L', '2 %', '100 %'))
        ->toThrow(Unmixable::class)
        ->and(static fn() => $of('10 L', '2 %', '0 %'))
        ->toThrow(Unmixable::class);
});

it('says how much comes out and how much goes in where the tank has no room', function (
    string $in,
    string $now,
    string $target,
    string $tank,
    string $out,
    string $poured,
    string $unit,
) {
    $fix = TankCorrection::of(quantity($in), Strength::parse($now), Strength::parse($target), quantity($tank));
    $said = static fn(?Quantity $q): string => (string) $q?->in(Unit::from($unit))->toScale(2, RoundingMode::HALF_UP);
    expect([$said($fix->takeOut), $said($fix->product ?? $fix->carrier), $fix->fits])->toBe([$out, $poured, false]);
    // by hand and the other way round: what is left of the old and what came in make the strength wanted in a full tank
    $left = quantity($in)->minus($fix->takeOut ?? throw new LogicException('nothing taken out'));
    $product = $left->times(Strength::parse($now)->share)->plus($fix->product ?? Quantity::zero(Unit::Litre));
    expect($product->per($fix->afterwards)->isEqualTo(Strength::parse($target)->share))
        ->toBeTrue()
        ->and($fix->afterwards->equals(quantity($tank)))
        ->toBeTrue()
        ->and($left->plus($fix->product ?? ($fix->carrier ?? Quantity::zero(Unit::Litre)))->equals(quantity($tank)))
        ->toBeTrue();
})->with([
    // 4 gal x (0.2 - 0.1) / (1 - 0.1) = 0.4444 gal
    'a full tank at 10 %, 20 % wanted' => ['4 gal', '10 %', '20 %', '4 gal', '56.89', '56.89', 'fl_oz_us'],
    // r = (14 x 0.99 - 15 x 0.9) / 0.99 = 0.3636 L; in: 1 + 0.3636
    'room for some of it' => ['14 L', '1 %', '10 %', '15 L', '363.64', '1363.64', 'mL'],
    // r = 4 - 4 x 2 / 3 = 1.3333
    'too strong and full, imperial' => ['4 imp gal', '3 %', '2 %', '4 imp gal', '1.33', '1.33', 'gal_imp'],
    // r = 3 gal - 4 gal x 1 / 2 = 1 gal; in: 1 + 1
    'twice too strong, gallons' => ['3 gal', '2 %', '1 %', '4 gal', '1.00', '2.00', 'gal_us'],
    // r = 14 - 15 x 2 / 3 = 4; in: 1 + 4
    'too strong, some room' => ['14 L', '3 %', '2 %', '15 L', '4.00', '5.00', 'L'],
]);

it('writes one strength in every way, and names the trap of parts', function () {
    $ways = StrengthWays::of(Strength::parse('1:4'), quantity('480 g ae/L'));
    $shown = array_map(
        static fn(Quantity $q): string => $q->decimal($q->unit, 3, RoundingMode::HALF_UP) . ' ' . $q->unit->value,
        $ways->written,
    );
    // 20 %: 200 mL/L, 25.6 fl oz/gal, 153.6 tsp/gal, 32 imp fl oz/imp gal; 96 g ae in a litre
    expect($shown)
        ->toBe([
            '20.000 pct_vv_product',
            '200.000 mL/L',
            '25.600 fl_oz_us/gal_us',
            '153.600 tsp_us/gal_us',
            '32.000 fl_oz_imp/gal_imp',
        ])
        ->and((string) $ways->carrierParts)
        ->toBe('4')
        ->and((string) $ways->misread()?->amount)
        ->toBe('25')
        ->and((string) $ways->active?->in(Unit::GramEquivalentPerLitre)->toScale(0, RoundingMode::HALF_UP))
        ->toBe('96')
        ->and(
            (string) StrengthWays::of(Strength::parse('10 %'), quantity('480 g ai/L'))
                ->active?->in(Unit::GramIngredientPerLitre)
                ->toScale(0, RoundingMode::HALF_UP),
        )
        ->toBe('48')
        ->and(
            (string) StrengthWays::of(Strength::parse('10 %'), quantity('480 g/L'))
                ->active?->in(Unit::GramPerLitre)
                ->toScale(0, RoundingMode::HALF_UP),
        )
        ->toBe('48')
        // 1:3 is 25 %, and taken for 33 %
        ->and((string) StrengthWays::of(Strength::parse('1:3'))->misread()?->amount)
        ->toBe('33')
        // a share by weight is nominal by volume: nothing is told per litre from it
        ->and(StrengthWays::of(Strength::parse('2 %'), quantity('41 % w/w'))->active)
        ->toBeNull()
        ->and(StrengthWays::of(Strength::parse('100 %'))->carrierParts)
        ->toBeNull()
        ->and(StrengthWays::of(Strength::parse('0 %'))->misread())
        ->toBeNull();
});

it('buys the cheapest cover', function (
    string $need,
    string $shelf,
    array $sizes,
    string $bought,
    string $cost,
    string $left,
) {
    $purchase = Purchase::of(
        quantity($need),
        quantity($shelf),
        array_map(static fn(array $s): array => ['size' => quantity($s[0]), 'price' => BigRational::of($s[1])], $sizes),
    );
    expect(
        implode(
            ' + ',
            array_map(
                static fn(array $b): string => $b['count'] . ' x ' . $b['size']->amount . ' ' . $b['size']->unit->value,
                $purchase->bought,
            ),
        ),
    )
        ->toBe($bought)
        ->and((string) $purchase->cost->toScale(2, RoundingMode::HALF_UP))
        ->toBe($cost)
        ->and((string) $purchase->left->decimal(Unit::Millilitre, 0, RoundingMode::HALF_UP))
        ->toBe($left)
        ->and($purchase->proven)
        ->toBeTrue();
})->with([
    'the shelf will do' => ['1 L', '2 L', [['1 L', '20']], '', '0.00', '1000'],
    'exactly the shelf' => ['2 L', '2 L', [], '', '0.00', '0'],
    // 2.7 L short: 3 x 20 = 60 and 300 mL over beats 5 L for 61
    'small ones' => ['3.2 L', '500 mL', [['1 L', '20'], ['5 L', '61']], '3 x 1 L', '60.00', '300'],
    // the same 60 for 5 L: as cheap, but more stays over
    'as cheap, less over' => ['3.2 L', '500 mL', [['1 L', '20'], ['5 L', '60']], '3 x 1 L', '60.00', '300'],
    // a cent cheaper is cheaper
    'a cent less' => ['3.2 L', '500 mL', [['1 L', '20'], ['5 L', '59.99']], '1 x 5 L', '59.99', '2300'],
    'two kinds' => [
        '7 L',
        '0 L',
        [['1 L', '20'], ['5 L', '60'], ['2.5 L', '35']],
        '1 x 5 L + 1 x 5/2 L',
        '95.00',
        '500',
    ],
    // as cheap and nothing over either way: fewer to carry
    'fewer to carry' => ['4 L', '0 L', [['2 L', '10'], ['4 L', '20'], ['1 L', '5']], '1 x 4 L', '20.00', '0'],
    // the best of a litre is not the best of the job: 6 L in one jug of 5 and one of 1, not two of 5
    'not two large ones' => ['6 L', '0 L', [['5 L', '50'], ['1 L', '14']], '1 x 5 L + 1 x 1 L', '64.00', '0'],
    'what is of another kind is passed by' => ['2 L', '0 L', [['1 kg', '1'], ['1 L', '9']], '2 x 1 L', '18.00', '0'],
    // 1 gal = 3.785 L: two quarts short
    'gallons and litres' => ['1.5 gal', '1 gal', [['1 qt', '9'], ['2.5 gal', '60']], '2 x 1 qt_us', '18.00', '0'],
]);

it('cannot buy without a size, nor thousands of thimbles', function () {
    expect(static fn() => Purchase::of(quantity('1 L'), quantity('0 L'), []))
        ->toThrow(Unmixable::class)
        ->and(
            static fn() => Purchase::of(quantity('1 L'), quantity('0 L'), [
                ['size' => quantity('1 lb'), 'price' => BigRational::of(3)],
            ]),
        )
        ->toThrow(Unmixable::class)
        ->and(
            static fn() => Purchase::of(quantity('20 L'), quantity('0 L'), [
                ['size' => quantity('1 mL'), 'price' => BigRational::of(3)],
            ]),
        )
        ->toThrow(Unmixable::class);
});

it('says which figure was given, what follows, and from what', function () {
    $tell = static fn(SolvedSum $solved): array => array_map(
        static fn(array $f): array => [
            $f['code'],
            $f['field'],
            (string) $f['typed']->decimal($f['typed']->unit, 2, RoundingMode::HALF_UP),
            $f['follows'] === null
                ? null
                : (string) $f['follows']->decimal($f['typed']->unit, 2, RoundingMode::HALF_UP),
            $f['from'],
        ],
        $solved->faults,
    );
    // 3 L at 15 % is 20 L, not 21; said once, though other lines disagree too
    expect($tell(direction('make-up', ['product' => '3 L', 'strength' => '15 %', 'finished' => '21 L'])))
        ->toBe([['contradiction', 'finished', '21.00', '20.00', ['product', 'strength']]])
        // in the unit that was typed: 2 qt/ac over 2 ac is a gallon, so half a gallon is a quart an acre
        ->and($tell(direction('by-area', ['rate' => '2 qt/ac', 'area' => '2 ac', 'product' => '0.5 gal'])))
        ->toBe([['contradiction', 'rate', '2.00', '1.00', ['product', 'covered']]])
        // a litre and nine litres are not twelve: only a sum says so
        ->and($tell(direction('in-tank', ['productIn' => '1 L', 'carrierIn' => '9 L', 'inTank' => '12 L'])))
        ->toBe([['contradiction', 'carrierIn', '9.00', '11.00', ['inTank', 'productIn']]])
        // grams over litres are no share of the volume
        ->and($tell(direction('on-hand', ['onHand' => '500 g', 'strength' => '2 %', 'finished' => '10 L'])))
        ->toBe([['other-kind', 'finished', '10.00', null, ['onHand', 'strength']]])
        ->and($tell(direction('tank-loads', ['total' => '2 gal', 'leftover' => '3 gal', 'tank' => '4 gal'])))
        ->toBe([['parts-above-whole', 'total', '2.00', '3.00', ['leftover']]])
        ->and($tell(direction('make-up', ['product' => '1 L', 'finished' => '4 L', 'labelMost' => '20 %'])))
        ->toBe([['above-label', 'strength', '25.00', '20.00', ['labelMost']]])
        ->and(
            $tell(
                direction('match-active', [
                    'used' => '50 %',
                    'strengthOfUsed' => '480 g ae/L',
                    'strengthOfOther' => '180 g ae/L',
                ]),
            ),
        )
        ->toBe([['above-whole', 'other', '133.33', null, ['activeInMix', 'strengthOfOther']]]);
});

it('answers in the unit that was asked in, and keeps what was typed as it was', function () {
    $solved = direction('on-hand', ['onHand' => '1 qt', 'strength' => '20 %', 'perStem' => '5 mL']);
    expect($solved->value('finished')?->unit)
        ->toBe(Unit::UsQuart)
        ->and($solved->value('onHand')?->unit)
        ->toBe(Unit::UsQuart)
        ->and(array_keys($solved->given))
        ->toBe(['onHand', 'strength', 'perStem'])
        ->and(array_keys($solved->found()))
        ->toBe(['finished', 'stems'])
        // 5 qt / 5 mL = 946.35 stems: so many are whole
        ->and((string) $solved->value('stems')?->amount)
        ->toBe('946');
    // two ways lack one figure each: the one that is nearer stands first
    expect(array_column(direction('on-hand', ['onHand' => '1 qt'])->next(), 'missing')[0])->toHaveCount(1);
});

it('reads what is to be bought, and names what cannot be', function (array $document, ?string $pointer) {
    $in = Fields::of($document, $faults = new Faults());
    [$need, $onShelf, $packs] = (new SumReader(catalogue()))->purchase($in);
    $in->noOthers();
    if ($pointer === null) {
        expect($faults->any())
            ->toBeFalse()
            ->and($need?->unit)
            ->toBe(Unit::Litre)
            ->and((string) $onShelf?->amount)
            ->toBe('1/2')
            ->and(
                array_map(
                    static fn(array $p): string => $p['size']->amount .
                        ' ' .
                        $p['size']->unit->value .
                        ' ' .
                        $p['price']->simplified(),
                    $packs,
                ),
            )
            ->toBe(['1 L 20', '5 L 163/2']);

        return;
    }
    expect(static fn() => $faults->throwIfAny())->toThrow(static function (Refused $e) use ($pointer): void {
        expect(array_column($e->faults, 'pointer'))->toBe([$pointer]);
    });
})->with([
    'read' => [
        [
            'need' => '3 L',
            'onShelf' => '0.5 L',
            'packs' => [['size' => '1 L', 'price' => '20'], ['size' => '5 L', 'price' => '81.50']],
        ],
        null,
    ],
    'no need' => [['packs' => [['size' => '1 L', 'price' => '20']]], '/need'],
    'a need in acres' => [['need' => '3 ac'], '/need'],
    'a need below nought' => [['need' => ['value' => '-3', 'unit' => 'L']], '/need'],
    'poured and weighed' => [['need' => '3 L', 'onShelf' => '200 g'], '/onShelf'],
    'a pack that is weighed' => [['need' => '3 L', 'packs' => [['size' => '200 g', 'price' => '20']]], '/packs/0/size'],
    'a price below nothing' => [['need' => '3 L', 'packs' => [['size' => '1 L', 'price' => '-1']]], '/packs/0/price'],
    'the dearest there is' => [
        ['need' => '3 L', 'packs' => [['size' => '1 L', 'price' => '1000000.01']]],
        '/packs/0/price',
    ],
    'a stray field of a pack' => [
        ['need' => '3 L', 'packs' => [['size' => '1 L', 'price' => '1', 'colour' => 'red']]],
        '/packs/0/colour',
    ],
    'a size without a unit' => [['need' => '3 L', 'packs' => [['size' => '1', 'price' => '1']]], '/packs/0/size'],
]);

it(
    'says of what kind a figure is wanted, reads parts however they are sent, and takes nothing for what is not said',
    function () {
        $in = Fields::of(['sum' => 'yearly-limit', 'known' => ['most' => '3 L']], $faults = new Faults());
        (new SumReader(catalogue()))->read($in);
        expect(static fn() => $faults->throwIfAny())->toThrow(static function (Refused $e): void {
            expect($e->faults[0]['message'])->toBe(
                'Write 2 lb ae/ac or 2.2 kg ae/ha, or 2 lb ai/ac or 2.2 kg ai/ha, or 2 qt/ac or 5 L/ha, or 3 oz ' .
                    'dry/ac or 210 g/ha.',
            );
        });
        [$table, $given] = (new SumReader(catalogue()))->read(
            $in = Fields::of(
                [
                    'sum' => 'make-up',
                    'known' => ['strength' => ['typed' => '1:4'], 'finished' => '10 L', 'product' => null],
                ],
                $faults = new Faults(),
            ),
        );
        $in->noOthers();
        expect($faults->any())
            ->toBeFalse()
            ->and($table?->id())
            ->toBe('make-up')
            ->and(array_keys($given))
            ->toEqualCanonicalizing(['strength', 'finished'])
            ->and((string) $given['strength']->amount)
            ->toBe('20');
        // a soil that is named by its class, and none at all
        foreach (['coarse' => '2.25', 'medium' => '3.5', 'fine' => '4.5'] as $soil => $teaspoons) {
            [, $given] = (new SumReader(catalogue()))->read(
                Fields::of(
                    [
                        'sum' => 'by-soil',
                        'known' => [
                            'soil' => $soil,
                            'coarse' => '2.25 tsp/gal',
                            'medium' => '3.5 tsp/gal',
                            'fine' => '4.5 tsp/gal',
                        ],
                    ],
                    $faults = new Faults(),
                ),
            );
            expect($faults->any())
                ->toBeFalse()
                ->and($given['strength']->to(Unit::UsTeaspoonPerUsGallon)->equals(quantity("{$teaspoons} tsp/gal")))
                ->toBeTrue();
        }
        [, $given] = (new SumReader(catalogue()))->read(
            Fields::of(
                ['sum' => 'by-soil', 'known' => ['coarse' => '2.25 tsp/gal', 'finished' => '1 gal']],
                new Faults(),
            ),
        );
        expect(array_keys($given))->toBe(['finished']);
    },
);

it('solves a yearly limit in active ingredient too', function () {
    // 2 L of 400 g ai/L on half a hectare are 1600 g ai/ha; a year's 3 kg are 7.5 L a hectare, 3.75 L here
    $solved = direction('yearly-limit', [
        'product' => '2 L',
        'area' => '0.5 ha',
        'content' => '400 g ai/L',
        'most' => '3 kg ai/ha',
    ]);
    expect($solved->faults)
        ->toBe([])
        ->and((string) $solved->value('planned')?->in(Unit::GramIngredientPerHectare))
        ->toBe('1600')
        ->and((string) $solved->value('allowed')?->in(Unit::Litre))
        ->toBe('15/4');
});

/** Quantities as a person reads them, all the way down. */
function readable(mixed $value): mixed
{
    return match (true) {
        $value instanceof Quantity => Thicket\Measure\Shown::withUnit($value->amount, $value->unit),
        is_array($value) => array_map(readable(...), $value),
        default => $value,
    };
}

/** A square patch whose western six tenths got one load and whose eastern part, from so many tenths on, another. */
function overlapping(string $west, string $east, ?string $most, int $from = 4): array
{
    $ring = static fn(float $w, float $e): array => [
        'type' => 'Polygon',
        'coordinates' => [[[$w, 50.0], [$e, 50.0], [$e, 50.001], [$w, 50.001], [$w, 50.0]]],
    ];

    return [
        'sum' => 'overlap',
        'patch' => $ring(10.0, 10.001),
        'loads' => [
            ['outline' => $ring(10.0, 10.0006), 'load' => $west],
            ['outline' => $ring(10.0 + $from / 10000, 10.001), 'load' => $east],
        ],
    ] + ($most === null ? [] : ['labelMost' => $most]);
}

it('answers a single sum whole', function (array $document, array $values, array $missing = []) {
    $solved = sum($document);
    expect(readable($solved['values']))->toBe($values)->and($solved['missing'])->toBe($missing);
})->with([
    // half a percent of 25 gal; the emulsifier's dose nobody gave
    'a mix' => [
        [
            'sum' => 'finished-mix',
            'finished' => '25 gal',
            'carrier' => 'water',
            'tank' => '10 gal',
            'components' => [
                ['name' => 'one', 'role' => 'solution', 'strength' => '0.5 %'],
                ['name' => 'oil', 'role' => 'oil', 'strength' => '5 %'],
            ],
        ],
        [
            'finished' => '25 US gal',
            'one' => '0.125 US gal',
            'one-percent' => '0.5 % v/v',
            'oil' => '1.25 US gal',
            'oil-percent' => '5 % v/v',
            'fills' => [
                [
                    'times' => 2,
                    'finished' => '10 US gal',
                    'order' => [
                        ['what' => 'water', 'amount' => '5 US gal'],
                        ['what' => 'one', 'amount' => '0.05 US gal'],
                        ['what' => 'oil', 'amount' => '0.5 US gal'],
                        ['what' => 'emulsifier'],
                        ['what' => 'water-to-mark'],
                    ],
                ],
                [
                    'times' => 1,
                    'finished' => '5 US gal',
                    'order' => [
                        ['what' => 'water', 'amount' => '2.5 US gal'],
                        ['what' => 'one', 'amount' => '0.025 US gal'],
                        ['what' => 'oil', 'amount' => '0.25 US gal'],
                        ['what' => 'emulsifier'],
                        ['what' => 'water-to-mark'],
                    ],
                ],
            ],
            'loads' => 3,
            'whole-loads' => 2,
            'last-part' => '5 US gal',
        ],
        ['strength of emulsifier'],
    ],
    // 50 x 41 / 53.8
    'another product, by label percent' => [
        ['sum' => 'equal-active', 'used' => '50 %', 'strengthOfUsed' => '41 %w/w', 'strengthOfOther' => '53.8 %w/w'],
        ['percent' => '38.1 % v/v', 'nominal' => true],
    ],
    'another product, by what a litre holds' => [
        [
            'sum' => 'equal-active',
            'used' => '50 %',
            'strengthOfUsed' => '360 g ae/L',
            'strengthOfOther' => '480 g ae/L',
        ],
        ['percent' => '37.5 % v/v', 'nominal' => false],
    ],
    // a quart an acre over two acres twice is a gallon; 200 gal of spray in eight tanks, half a quart each
    'a rate' => [
        [
            'sum' => 'area-rate',
            'rate' => '1 qt/ac',
            'area' => '2 ac',
            'sprayVolume' => '50 gal/ac',
            'tank' => '25 gal',
            'passes' => 2,
        ],
        [
            'product' => '3.785 L',
            'per-pass' => '1.893 L',
            'spray' => '757.1 L',
            'product-per-load' => '0.4732 L',
            'loads' => 8,
            'whole-loads' => 8,
            'fills' => [['times' => 8, 'finished' => '94.64 L', 'product' => '0.4732 L']],
        ],
    ],
    // 1 qt/ac in 50 gal/ac: half a quart to each 25 gal; 3.5 ac is 175 gal, seven tanks; 3.6 ac leaves 5 gal and 3.2 fl
    // oz
    'a rate with a part load' => [
        [
            'sum' => 'area-rate',
            'rate' => '1 qt/ac',
            'area' => '3.6 ac',
            'sprayVolume' => '50 gal/ac',
            'tank' => '25 gal',
        ],
        [
            'product' => '3.407 L',
            'per-pass' => '3.407 L',
            'spray' => '681.4 L',
            'product-per-load' => '0.4732 L',
            'loads' => 8,
            'whole-loads' => 7,
            'last-part' => '18.93 L',
            'fills' => [
                ['times' => 7, 'finished' => '94.64 L', 'product' => '0.4732 L'],
                ['times' => 1, 'finished' => '18.93 L', 'product' => '0.09464 L'],
            ],
        ],
    ],
    'a rate alone' => [
        ['sum' => 'area-rate', 'rate' => '1 L/ha', 'area' => '2 ha'],
        ['product' => '2 L', 'per-pass' => '2 L'],
    ],
    'a tank without a spray volume' => [
        ['sum' => 'area-rate', 'rate' => '1 L/ha', 'area' => '2 ha', 'tank' => '25 gal'],
        ['product' => '2 L', 'per-pass' => '2 L'],
        ['sprayVolume'],
    ],
    // a ring of half the stump is the whole face, pi/4 x 8 in squared = 50.27 sq in; and so is one of more
    'a ring of half' => [
        ['sum' => 'stump-face', 'stems' => [['diameter' => '8 in', 'count' => 1]], 'ringWidth' => '4 in'],
        ['treated-area' => '0.03243 m²', 'mix' => '0.01621 L', 'film' => '0.5 L/m²', 'whole' => true],
    ],
    'a ring of more than half' => [
        ['sum' => 'stump-face', 'stems' => [['diameter' => '8 in', 'count' => 1]], 'ringWidth' => '6 in'],
        ['treated-area' => '0.03243 m²', 'mix' => '0.01621 L', 'film' => '0.5 L/m²', 'whole' => true],
    ],
    // classes cut by their upper bound: 8 in one cut an inch is 8, 10 x 8; 10 in is 10, 5 x 10: of those some may be
    // over 9 in
    'a class on both sides of the limit' => [
        [
            'sum' => 'injection',
            'spacing' => '1 in',
            'per' => 'diameter',
            'perCut' => '1 mL',
            'mostDiameter' => '9 in',
            'stems' => [
                ['from' => '6 in', 'below' => '8 in', 'count' => 10],
                ['from' => '8 in', 'below' => '10 in', 'count' => 5],
            ],
        ],
        [
            'cuts' => 130,
            'treated' => 15,
            'skipped' => 0,
            'mix' => '130 mL',
            'capped-by-label' => false,
            'unclear' => 5,
            'treated-at-least' => 10,
            'mix-at-least' => '80 mL',
        ],
        ['stems sorted at the limit: a class lies on both sides of it'],
    ],
    // leftover of another strength: 15 L x 2 % - 2 L x 1.5 % = 0.27 L; 15 - 2 - 0.27 = 12.73 L
    'leftover, weaker' => [
        [
            'sum' => 'leftover-into',
            'leftover' => '2 L',
            'leftoverStrength' => '1.5 %',
            'finished' => '15 L',
            'strength' => '2 %',
        ],
        [
            'leftover-used' => '2 L',
            'product' => '0.27 L',
            'carrier' => '12.73 L',
            'leftover-kept' => '0 L',
            'percent' => '2 % v/v',
        ],
    ],
    // 4 gal x 1 % - 1 gal x 2 % = 0.02 gal; 4 - 1 - 0.02 = 2.98 gal
    'leftover, stronger, gallons' => [
        [
            'sum' => 'leftover-into',
            'leftover' => '1 gal',
            'leftoverStrength' => '2 %',
            'finished' => '4 gal',
            'strength' => '1 %',
        ],
        [
            'leftover-used' => '1 US gal',
            'product' => '0.02 US gal',
            'carrier' => '2.98 US gal',
            'leftover-kept' => '0 US gal',
            'percent' => '1 % v/v',
        ],
    ],
    // so strong that only 4 x 1 / 5 = 0.8 of it fits
    'leftover, five times as strong, imperial' => [
        [
            'sum' => 'leftover-into',
            'leftover' => '1 imp gal',
            'leftoverStrength' => '5 %',
            'finished' => '4 imp gal',
            'strength' => '1 %',
        ],
        [
            'leftover-used' => '0.8 imp gal',
            'product' => '0 imp gal',
            'carrier' => '3.2 imp gal',
            'leftover-kept' => '0.2 imp gal',
            'percent' => '1 % v/v',
        ],
    ],
    // weak and much of it: 10 x (1 - 0.1) / (1 - 0.01) = 9.091 L, the rest product
    'leftover that leaves room for product only' => [
        [
            'sum' => 'leftover-into',
            'leftover' => '20 L',
            'leftoverStrength' => '1 %',
            'finished' => '10 L',
            'strength' => '10 %',
        ],
        [
            'leftover-used' => '9.091 L',
            'product' => '0.9091 L',
            'carrier' => '0 L',
            'leftover-kept' => '10.91 L',
            'percent' => '10 % v/v',
        ],
    ],
    // rings of 6 ft round 140 trees: 140 x 28.274 sq ft; 2 qt/ac on 0.09087 ac is 5.816 fl oz
    'rings, feet' => [
        ['sum' => 'rings', 'count' => 140, 'across' => '6 ft', 'rate' => '2 qt/ac'],
        ['one' => '2.627 m²', 'shared' => '0 m²', 'area' => '367.7 m²', 'product' => '0.172 L'],
    ],
    // pi/4 x 4 = 3.1416 m2; 20 L/ha
    'rings, metres, with spray' => [
        ['sum' => 'rings', 'count' => 100, 'across' => '2 m', 'rate' => '5 L/ha', 'sprayVolume' => '200 L/ha'],
        ['one' => '3.142 m²', 'shared' => '0 m²', 'area' => '314.2 m²', 'product' => '0.1571 L', 'spray' => '6.283 L'],
    ],
    // 100 x pi/4 x 36 = 2827.4 sq ft = 0.064909 ac, so 0.064909 imp pt of 568.26 mL
    'rings, imperial' => [
        ['sum' => 'rings', 'count' => 100, 'across' => '6 ft', 'rate' => '1 imp pt/ac'],
        ['one' => '2.627 m²', 'shared' => '0 m²', 'area' => '262.7 m²', 'product' => '0.03689 L'],
    ],
    // granules: 30 x 12.566 sq ft = 0.0086545 ac x 50 lb = 0.43273 lb; 50 x 1.13097 m2 at 40 kg/ha = 226.2 g
    'rings of granules, pounds' => [
        ['sum' => 'rings', 'count' => 30, 'across' => '4 ft', 'rate' => '50 lb/ac'],
        ['one' => '1.167 m²', 'shared' => '0 m²', 'area' => '35.02 m²', 'product' => '196.3 g'],
    ],
    'rings of granules, metric' => [
        ['sum' => 'rings', 'count' => 50, 'across' => '1.2 m', 'rate' => '40 kg/ha'],
        ['one' => '1.131 m²', 'shared' => '0 m²', 'area' => '56.55 m²', 'product' => '226.2 g'],
    ],
    // 2 x 3 / 20 of 10 ac; at 2 qt/ac 6 qt
    'strips of an orchard, feet' => [
        [
            'sum' => 'treated-area',
            'area' => '10 ac',
            'rowSpacing' => '20 ft',
            'stripSide' => '3 ft',
            'rate' => '2 qt/ac',
        ],
        ['treated' => '3 ac', 'percent-of-area' => '30', 'product' => '5.678 L'],
    ],
    // strips that just meet are the whole
    'strips that meet, metres' => [
        ['sum' => 'treated-area', 'area' => '5 ha', 'rowSpacing' => '4 m', 'stripSide' => '2 m'],
        ['treated' => '5 ha', 'percent-of-area' => '100'],
    ],
    'a share that the weed covers' => [
        [
            'sum' => 'treated-area',
            'area' => '1.2 ha',
            'coverPercent' => 15,
            'rate' => '5 L/ha',
            'sprayVolume' => '300 L/ha',
        ],
        ['treated' => '0.18 ha', 'percent-of-area' => '15', 'product' => '0.9 L', 'spray' => '54 L'],
    ],
    // 40 plants of 4 ft at 2 m2 a crown; at 0.99 m they are of the class below, 0.6 m2
    'plants by their crowns' => [['sum' => 'treated-area', 'plants' => 40, 'height' => '4 ft'], ['treated' => '80 m²']],
    'lower plants' => [['sum' => 'treated-area', 'plants' => 40, 'height' => '99 cm'], ['treated' => '24 m²']],
    // the middle of the patch got both jobs, 2 + 1 qt/ac; of 4 qt/ac one is left
    'ground of two jobs' => [
        overlapping('2 qt/ac', '1 qt/ac', '4 qt/ac'),
        ['reached' => true, 'heaviest' => '3 US qt/ac', 'above-label' => false, 'left' => '1 US qt/ac'],
    ],
    'ground of two jobs, at the most' => [
        overlapping('2 L/ha', '1 L/ha', '3 L/ha'),
        ['reached' => true, 'heaviest' => '3 L/ha', 'above-label' => false, 'left' => '0 L/ha'],
    ],
    'ground of two jobs, above it' => [
        overlapping('2 kg ae/ha', '1 kg ae/ha', '2.9 kg ae/ha'),
        ['reached' => true, 'heaviest' => '3 kg a.e./ha', 'above-label' => true, 'left' => '0 kg a.e./ha'],
    ],
    'jobs that only touch' => [overlapping('2 L/ha', '1 L/ha', null, 6), ['reached' => true, 'heaviest' => '2 L/ha']],
    // r 1, s 1: 2 acos(1/2) - sqrt(3)/2 = 1.22837 m2 shared by each pair; 10 trees in 2 rows are 8 pairs
    'rings that overlap' => [
        ['sum' => 'rings', 'count' => 10, 'across' => '2 m', 'apart' => '1 m', 'rows' => 2],
        ['one' => '3.142 m²', 'shared' => '9.827 m²', 'area' => '21.59 m²'],
    ],
    // r 1.5, s 2: 4.5 acos(2/3) - sqrt(5) = 1.54874 m2; 5 trees in a row are 4 pairs, of 5 x 7.06858
    'wider rings that overlap' => [
        ['sum' => 'rings', 'count' => 5, 'across' => '3 m', 'apart' => '2 m'],
        ['one' => '7.069 m²', 'shared' => '6.195 m²', 'area' => '29.15 m²'],
    ],
    'as many rows as trees share nothing' => [
        ['sum' => 'rings', 'count' => 5, 'across' => '3 m', 'apart' => '2 m', 'rows' => 5],
        ['one' => '7.069 m²', 'shared' => '0 m²', 'area' => '35.34 m²'],
    ],
    'jobs that reach nothing of it' => [
        array_replace_recursive(overlapping('2 L/ha', '1 L/ha', '3 L/ha'), [
            'patch' => [
                'coordinates' => [[[11.0, 50.0], [11.001, 50.0], [11.001, 50.001], [11.0, 50.001], [11.0, 50.0]]],
            ],
        ]),
        ['reached' => false, 'above-label' => false, 'left' => '3 L/ha'],
    ],
    'rings that just touch' => [
        ['sum' => 'rings', 'count' => 10, 'across' => '2 m', 'apart' => '2 m'],
        ['one' => '3.142 m²', 'shared' => '0 m²', 'area' => '31.42 m²'],
    ],
    // a dry product, 3 oz an acre on 0.5 ac of strip: 1.5 oz
    'a strip, both sides, dry' => [
        ['sum' => 'strip', 'length' => '2722.5 ft', 'side' => '4 ft', 'rate' => '3 oz dry/ac'],
        ['area' => '2023 m²', 'product' => '42.52 g'],
    ],
    'a strip, one side' => [
        ['sum' => 'strip', 'length' => '500 m', 'side' => '1.2 m', 'sides' => 1, 'rate' => '4 L/ha'],
        ['area' => '600 m²', 'product' => '0.24 L'],
    ],
    // 3 in over 100 sq ft is 25 cu ft, 12.5 bags of 2 cu ft
    'mulch, feet' => [
        ['sum' => 'mulch', 'area' => '100 sq ft', 'depth' => '3 in', 'bag' => '2 cu ft'],
        ['volume' => '707.9 L', 'bags' => 13],
    ],
    'mulch, metres' => [['sum' => 'mulch', 'area' => '20 m2', 'depth' => '7.5 cm'], ['volume' => '1500 L']],
    'a bag of 5-10-10' => [
        ['sum' => 'bag', 'weight' => '20 lb', 'grade' => '5-10-10'],
        ['n' => '1 lb', 'p2o5' => '2 lb', 'k2o' => '2 lb', 'p' => '0.8728 lb', 'k' => '1.66 lb'],
    ],
    'a bag of 0-0-60' => [
        ['sum' => 'bag', 'weight' => '25 kg', 'grade' => '0-0-60'],
        ['n' => '0 kg', 'p2o5' => '0 kg', 'k2o' => '15 kg', 'p' => '0 kg', 'k' => '12.45 kg'],
    ],
    // fluid ounces on 1/128 acre are gallons an acre
    'calibrated by the course' => [
        ['sum' => 'calibration', 'way' => 'course', 'caught' => '24 fl oz'],
        ['gives' => '224.5 L/ha', 'course' => '340.3 sq ft'],
    ],
    'by a course of 100 m2' => [
        ['sum' => 'calibration', 'way' => 'course', 'caught' => '1.8 L', 'area' => '100 m2'],
        ['gives' => '180 L/ha', 'course' => '100 m²'],
    ],
    // 600 x 0.8 / (6 x 0.5)
    'calibrated moving' => [
        ['sum' => 'calibration', 'way' => 'moving', 'flow' => '0.8 L/min', 'speed' => '6 km/h', 'spacing' => '0.5 m'],
        ['gives' => '160 L/ha'],
    ],
    'the same caught in half a minute' => [
        [
            'sum' => 'calibration',
            'way' => 'moving',
            'caught' => '400 mL',
            'time' => '30 s',
            'speed' => '6 km/h',
            'spacing' => '50 cm',
        ],
        ['gives' => '160 L/ha'],
    ],
    'by a known area' => [
        ['sum' => 'calibration', 'way' => 'known-area', 'used' => '2 gal', 'area' => '0.1 ac'],
        ['gives' => '187.1 L/ha'],
    ],
    'a bottle' => [
        ['sum' => 'calibration', 'way' => 'bottle', 'caught' => '40 mL', 'strokes' => 20, 'perTree' => '5 mL'],
        ['stroke' => '2 mL', 'strokes-per-tree' => 3],
    ],
    // mean 0.81; 0.9 is 11.1 % off it and 112.5 % of 0.8
    'nozzles' => [
        [
            'sum' => 'nozzles',
            'caught' => [['amount' => '0.78 L'], ['amount' => '0.75 L'], ['amount' => '0.9 L']],
            'rated' => '0.8 L',
        ],
        [
            'mean' => '0.81 L',
            'replace-set' => true,
            'nozzles' => [
                ['caught' => '0.78 L', 'off-mean-percent' => '-3.7', 'of-rated-percent' => '97.5', 'worn' => false],
                ['caught' => '0.75 L', 'off-mean-percent' => '-7.4', 'of-rated-percent' => '93.8', 'worn' => true],
                ['caught' => '0.9 L', 'off-mean-percent' => '11.1', 'of-rated-percent' => '112.5', 'worn' => true],
            ],
        ],
    ],
    'girth' => [['sum' => 'girth', 'girth' => '40 cm'], ['girth' => '40 cm', 'diameter' => '12.7 cm']],
    'two girths of a tapered stem' => [
        ['sum' => 'girth', 'girth' => '30 in', 'second' => '26 in'],
        ['girth' => '28 in', 'diameter' => '8.91 in'],
    ],
    // 5 mL at 2 mL are 3, 6 mL; round 6 in of stem a cut every 6.283 in; 120 trees are 720 mL, two bottles of 500
    'strokes from the label' => [
        [
            'sum' => 'tree-dose',
            'perTree' => '5 mL',
            'each' => '2 mL',
            'diameter' => '6 in',
            'trees' => 120,
            'bottle' => '500 mL',
        ],
        [
            'times' => 3,
            'given' => '6 mL',
            'short' => false,
            'round-spacing' => '6.28 in',
            'mix' => '720 mL',
            'bottles' => 2,
        ],
    ],
    'strokes under the most of the label' => [
        ['sum' => 'tree-dose', 'perTree' => '5 mL', 'each' => '2 mL', 'labelPerStem' => '5.9 mL'],
        ['times' => 2, 'given' => '4 mL', 'short' => true],
    ],
    'strokes at the most of the label' => [
        ['sum' => 'tree-dose', 'perTree' => '5 mL', 'each' => '2 mL', 'labelPerStem' => '6 mL'],
        ['times' => 3, 'given' => '6 mL', 'short' => false],
    ],
    // half of 31.416 in by 2 in: 7.85, so 8; bark 31.416 - 16 = 15.416, 1.927 between; 40 x 8 mL = 320 mL, 0.68 of 16
    // fl oz
    'a half frill, inches' => [
        [
            'sum' => 'frill',
            'diameter' => '10 in',
            'blade' => '2 in',
            'perCut' => '1 mL',
            'trees' => 40,
            'bottle' => '16 fl oz',
        ],
        [
            'girth' => '31.4 in',
            'cuts' => 8,
            'bridge' => '1.93 in',
            'per-cut' => '1 mL',
            'given' => '8 mL',
            'capped-by-label' => false,
            'mix' => '320 mL',
            'bottles' => 1,
        ],
    ],
    // half of 62.83 cm by 5 cm: 6.28, so 7; bark 27.83 cm, 3.976 between; the label's 6 mL shared by 7
    'a half frill, centimetres, under a label' => [
        ['sum' => 'frill', 'diameter' => '20 cm', 'blade' => '5 cm', 'perCut' => '1 mL', 'labelPerStem' => '6 mL'],
        [
            'girth' => '62.8 cm',
            'cuts' => 7,
            'bridge' => '3.98 cm',
            'per-cut' => '0.8571 mL',
            'given' => '6 mL',
            'capped-by-label' => true,
        ],
    ],
    // 30 days of lead, works 90: laid by 16 August for 15 September; till 13 December
    'a preventer for one flush' => [
        [
            'sum' => 'preventer',
            'flushes' => [['from' => '2026-09-15', 'to' => '2026-11-15']],
            'leadDays' => 30,
            'lastingDays' => 90,
            'from' => '2026-07-01',
            'until' => '2026-12-31',
        ],
        [
            'layings' => [
                [
                    'kind' => 'first',
                    'earliest' => '2026-07-01',
                    'latest' => '2026-08-16',
                    'works-from' => '2026-09-15',
                    'covers-until' => '2026-12-13',
                ],
            ],
            'unprotected' => [],
        ],
    ],
    // asked on 15 September it works from 15 October: a month stays open
    'the same, asked too late' => [
        [
            'sum' => 'preventer',
            'flushes' => [['from' => '2026-09-15', 'to' => '2026-11-15']],
            'leadDays' => 30,
            'lastingDays' => 90,
            'from' => '2026-09-15',
            'until' => '2026-12-31',
        ],
        [
            'layings' => [
                [
                    'kind' => 'first',
                    'earliest' => '2026-09-15',
                    'latest' => '2026-09-15',
                    'works-from' => '2026-10-15',
                    'covers-until' => '2027-01-12',
                ],
            ],
            'unprotected' => [['from' => '2026-09-15', 'to' => '2026-10-14']],
        ],
    ],
    // 7 tsp in two gallons; 768 to the gallon
    'by soil' => [
        [
            'sum' => 'texture-rate',
            'soil' => 'loam',
            'finished' => '2 gal',
            'rates' => ['coarse' => '2.25 tsp/gal', 'medium' => '3.5 tsp/gal', 'fine' => '4.5 tsp/gal'],
        ],
        ['class' => 'medium', 'product' => '0.009115 US gal'],
    ],
    'by class of soil' => [
        [
            'sum' => 'texture-rate',
            'soil' => 'coarse',
            'finished' => '2 gal',
            'rates' => ['coarse' => '3.5 tsp/gal', 'medium' => '3.5 tsp/gal', 'fine' => '4.5 tsp/gal'],
        ],
        ['class' => 'coarse', 'product' => '0.009115 US gal'],
    ],
    'a soil that the card must class' => [
        [
            'sum' => 'texture-rate',
            'soil' => 'silt loam',
            'finished' => '2 gal',
            'rates' => ['coarse' => '2.25 tsp/gal', 'medium' => '3.5 tsp/gal', 'fine' => '4.5 tsp/gal'],
        ],
        [],
        ['texture class of silt loam: the card must say'],
    ],
    'cuts' => [
        [
            'sum' => 'injection',
            'spacing' => '1 in',
            'per' => 'diameter',
            'perCut' => '1 mL',
            'stems' => [['diameter' => '4 in', 'count' => 3]],
        ],
        [
            'cuts' => 12,
            'treated' => 3,
            'skipped' => 0,
            'mix' => '12 mL',
            'capped-by-label' => false,
            'girth' => '12.6 in',
            'cuts-per-stem' => 4,
            'round-spacing' => '3.14 in',
        ],
    ],
    'cuts of two sizes' => [
        [
            'sum' => 'injection',
            'spacing' => '1 in',
            'per' => 'diameter',
            'perCut' => '1 mL',
            'stems' => [['diameter' => '4 in', 'count' => 3], ['diameter' => '2 in', 'count' => 1]],
        ],
        ['cuts' => 14, 'treated' => 4, 'skipped' => 0, 'mix' => '14 mL', 'capped-by-label' => false],
    ],
    'a band' => [
        [
            'sum' => 'basal-band',
            'band' => '14 in',
            'film' => '0.3 L/m2',
            'stems' => [['diameter' => '4 in', 'count' => 10]],
        ],
        ['band-area' => '1.135 m²', 'band' => '14 in', 'film' => '0.3 L/m²', 'mix' => '0.3405 L', 'treated' => 10],
    ],
    // pi x 4 = 12.57 sq in of face; with 4 in of side another 50.27
    'a face' => [
        ['sum' => 'stump-face', 'film' => '0.5 L/m2', 'stems' => [['diameter' => '4 in', 'count' => 1]]],
        ['treated-area' => '0.008107 m²', 'mix' => '0.004054 L', 'film' => '0.5 L/m²', 'whole' => true],
    ],
    'a face and its sides' => [
        [
            'sum' => 'stump-face',
            'film' => '0.5 L/m2',
            'carrier' => 'oil',
            'stems' => [['diameter' => '4 in', 'count' => 1]],
        ],
        ['treated-area' => '0.04054 m²', 'mix' => '0.02027 L', 'film' => '0.5 L/m²', 'whole' => true],
    ],
    'a face with a low side' => [
        [
            'sum' => 'stump-face',
            'film' => '0.5 L/m2',
            'carrier' => 'oil',
            'stumpHeight' => '2 in',
            'stems' => [['diameter' => '4 in', 'count' => 2]],
        ],
        ['treated-area' => '0.04864 m²', 'mix' => '0.02432 L', 'film' => '0.5 L/m²', 'whole' => true],
    ],
    'loads' => [
        ['sum' => 'loads', 'total' => '25 gal', 'tank' => '10 gal'],
        ['loads' => 3, 'whole-loads' => 2, 'last-part' => '5 US gal'],
    ],
    'measuring' => [
        ['sum' => 'measure', 'amount' => '1.1 fl oz', 'graduation' => '0.25 fl oz', 'holds' => '1 fl oz'],
        ['measured' => '1 fl oz', 'fillings' => 1, 'error-percent' => '-9.091'],
    ],
    'measuring under the label' => [
        [
            'sum' => 'measure',
            'amount' => '1.15 fl oz',
            'graduation' => '0.25 fl oz',
            'holds' => '1 fl oz',
            'labelMost' => '1.2 fl oz',
        ],
        ['measured' => '1 fl oz', 'fillings' => 1, 'error-percent' => '-13.04'],
    ],
    'bark' => [['sum' => 'basal-strength', 'diameter' => '1 in', 'texture' => 'smooth'], ['percent' => '15 % v/v']],
    'bark nobody knows' => [['sum' => 'basal-strength', 'diameter' => '1 in'], [], ['bark-texture']],
]);

it('refuses a single sum at the figure that is missing or cannot be', function (array $document, array $pointers) {
    expect(static fn() => sum($document))->toThrow(static function (Refused $e) use ($pointers): void {
        expect(array_column($e->faults, 'pointer'))->toBe($pointers);
    });
})->with([
    'a bag of no grade' => [['sum' => 'bag', 'weight' => '20 lb', 'grade' => 'five ten'], ['/grade']],
    'more in the bag than the bag' => [['sum' => 'bag', 'weight' => '20 lb', 'grade' => '50-40-20'], ['/grade']],
    'a leftover above the label' => [
        [
            'sum' => 'leftover-into',
            'leftover' => '2 L',
            'leftoverStrength' => '1 %',
            'finished' => '15 L',
            'strength' => '3 %',
            'labelMost' => '2 %',
        ],
        ['/strength'],
    ],
    'rings of nothing' => [['sum' => 'rings', 'count' => 10, 'across' => '0 ft'], ['/across']],
    'more rows than trees' => [['sum' => 'rings', 'count' => 3, 'across' => '6 ft', 'rows' => 4], ['/rows']],
    'strips wider than the rows' => [
        ['sum' => 'treated-area', 'area' => '5 ha', 'rowSpacing' => '4 m', 'stripSide' => '2.01 m'],
        ['/stripSide'],
    ],
    'an area by nothing' => [['sum' => 'treated-area', 'area' => '5 ha'], ['/rowSpacing']],
    'an area by two ways' => [
        ['sum' => 'treated-area', 'area' => '5 ha', 'coverPercent' => 5, 'plants' => 4, 'height' => '1 m'],
        ['/plants'],
    ],
    'cover of more than all' => [['sum' => 'treated-area', 'area' => '5 ha', 'coverPercent' => 101], ['/coverPercent']],
    'loads of two kinds' => [overlapping('2 L/ha', '1 kg ae/ha', '4 L/ha'), ['/loads/1/load']],
    'a most of another kind' => [overlapping('2 L/ha', '1 L/ha', '4 kg/ha'), ['/labelMost']],
    'a load that is an amount' => [overlapping('2 L', '1 L/ha', null), ['/loads/0/load']],
    'no jobs at all' => [['loads' => []] + overlapping('2 L/ha', '1 L/ha', null), ['/loads']],
    'jobs on no patch' => [['patch' => null] + overlapping('2 L/ha', '1 L/ha', null), ['/patch']],
    'a rate that is none' => [['sum' => 'rings', 'count' => 3, 'across' => '6 ft', 'rate' => '2 qt'], ['/rate']],
    'one stroke above the label' => [
        ['sum' => 'tree-dose', 'perTree' => '2 mL', 'each' => '2.1 mL', 'labelPerStem' => '2 mL'],
        ['/each'],
    ],
    'a tree above the label' => [
        ['sum' => 'tree-dose', 'perTree' => '3 mL', 'each' => '1 mL', 'labelPerStem' => '2.9 mL'],
        ['/perTree'],
    ],
    'a dose in drops' => [['sum' => 'tree-dose', 'perTree' => '3 L', 'each' => '1 mL'], ['/each']],
    'a blade as wide as the stem' => [
        ['sum' => 'frill', 'diameter' => '1 in', 'blade' => '3.2 in', 'perCut' => '1 mL'],
        ['/blade'],
    ],
    'a frill of hairs' => [['sum' => 'frill', 'diameter' => '1 m', 'blade' => '1 mm', 'perCut' => '1 mL'], ['/blade']],
    'a flush that ends before it begins' => [
        [
            'sum' => 'preventer',
            'flushes' => [['from' => '2026-09-15', 'to' => '2026-09-01']],
            'leadDays' => 30,
            'lastingDays' => 90,
            'from' => '2026-07-01',
            'until' => '2026-12-31',
        ],
        ['/flushes/0/to'],
    ],
    'a calibration of no way' => [['sum' => 'calibration', 'way' => 'guess'], ['/way']],
    'loads without end' => [['sum' => 'loads', 'total' => '9999999 L', 'tank' => '0.000001 mL'], ['/tank']],
    'a mix in thimbles' => [
        [
            'sum' => 'finished-mix',
            'finished' => '9999 L',
            'tank' => '0.001 mL',
            'carrier' => 'water',
            'components' => [['name' => 'one', 'role' => 'solution', 'strength' => '1 %']],
        ],
        ['/tank'],
    ],
    'an area in thimbles' => [
        [
            'sum' => 'area-rate',
            'rate' => '1 L/ha',
            'area' => '100 ha',
            'sprayVolume' => '200 L/ha',
            'tank' => '0.01 mL',
        ],
        ['/tank'],
    ],
    'fillings without end' => [
        ['sum' => 'measure', 'amount' => '9999999 L', 'graduation' => '0.0001 mL', 'holds' => '0.0001 mL'],
        ['/holds'],
    ],
    'cuts without end' => [
        [
            'sum' => 'injection',
            'spacing' => '0.0000001 mm',
            'per' => 'girth',
            'stems' => [['diameter' => '4 m', 'count' => 1000000]],
        ],
        ['/spacing'],
    ],
    'two components of one name' => [
        [
            'sum' => 'finished-mix',
            'finished' => '10 L',
            'carrier' => 'water',
            'components' => [
                ['name' => 'one', 'role' => 'solution', 'strength' => '1 %'],
                ['name' => 'one', 'role' => 'dye', 'strength' => '2 %'],
            ],
        ],
        ['/components/1/name'],
    ],
    'a product called carrier' => [
        [
            'sum' => 'finished-mix',
            'finished' => '10 L',
            'carrier' => 'water',
            'components' => [['name' => 'carrier', 'role' => 'solution', 'strength' => '1 %']],
        ],
        ['/components/0/name'],
    ],
    'a product called as the carrier is' => [
        [
            'sum' => 'finished-mix',
            'finished' => '10 L',
            'carrier' => 'oil',
            'components' => [['name' => 'oil', 'role' => 'emulsifiable', 'strength' => '1 %']],
        ],
        ['/components/0/name'],
    ],
    'a cup for a few drops' => [
        ['sum' => 'measure', 'amount' => '2 mL', 'graduation' => '10 mL', 'holds' => '250 mL'],
        ['/graduation'],
    ],
    'more than the label' => [
        ['sum' => 'measure', 'amount' => '60 mL', 'graduation' => '10 mL', 'holds' => '250 mL', 'labelMost' => '59 mL'],
        ['/amount'],
    ],
    'marks wider than the cup' => [
        ['sum' => 'measure', 'amount' => '60 mL', 'graduation' => '300 mL', 'holds' => '250 mL'],
        ['/graduation'],
    ],
    'a stem without a unit' => [
        ['sum' => 'stump-face', 'stems' => [['diameter' => '10', 'count' => 1]]],
        ['/stems/0/diameter'],
    ],
    'a girth without one' => [
        ['sum' => 'injection', 'spacing' => '3 in', 'per' => 'girth', 'stems' => [['girth' => '40', 'count' => 1]]],
        ['/stems/0/girth'],
    ],
    'a mix of nothing' => [['sum' => 'finished-mix', 'finished' => '3 gal', 'carrier' => 'water'], ['/components']],
    'a mix without volume' => [
        [
            'sum' => 'finished-mix',
            'carrier' => 'water',
            'components' => [['name' => 'a', 'role' => 'dye', 'strength' => '1 %']],
        ],
        ['/finished'],
    ],
    'a mix in soup' => [
        [
            'sum' => 'finished-mix',
            'finished' => '3 gal',
            'carrier' => 'soup',
            'components' => [['name' => 'a', 'role' => 'dye', 'strength' => '1 %']],
        ],
        ['/carrier'],
    ],
    'a stray field of a part' => [
        [
            'sum' => 'finished-mix',
            'finished' => '3 gal',
            'carrier' => 'water',
            'components' => [['name' => 'a', 'role' => 'dye', 'strength' => '1 %', 'colour' => 'red']],
        ],
        ['/components/0/colour'],
    ],
    'a part of no role' => [
        [
            'sum' => 'finished-mix',
            'finished' => '3 gal',
            'carrier' => 'water',
            'components' => [['name' => 'a', 'role' => 'magic', 'strength' => '1 %']],
        ],
        ['/components/0/role'],
    ],
    'a strength without its basis' => [
        ['sum' => 'equal-active', 'used' => '50 %', 'strengthOfUsed' => '41 %', 'strengthOfOther' => '53.8 %w/w'],
        ['/strengthOfUsed'],
    ],
    'nothing to match' => [
        ['sum' => 'equal-active', 'used' => '50 %', 'strengthOfOther' => '53.8 %w/w'],
        ['/strengthOfUsed'],
    ],
    'a rate without ground' => [['sum' => 'area-rate', 'rate' => '1 qt/ac'], ['/area']],
    'no passes' => [['sum' => 'area-rate', 'rate' => '1 qt/ac', 'area' => '1 ac', 'passes' => 0], ['/passes']],
    'too many passes' => [['sum' => 'area-rate', 'rate' => '1 qt/ac', 'area' => '1 ac', 'passes' => 21], ['/passes']],
    'soil of nowhere' => [
        [
            'sum' => 'texture-rate',
            'soil' => 'moondust',
            'finished' => '2 gal',
            'rates' => ['coarse' => '2 tsp/gal', 'medium' => '3 tsp/gal', 'fine' => '4 tsp/gal'],
        ],
        ['/soil'],
    ],
    'a direction for peat' => [
        [
            'sum' => 'texture-rate',
            'soil' => 'loam',
            'finished' => '2 gal',
            'rates' => ['coarse' => '2 tsp/gal', 'medium' => '3 tsp/gal', 'fine' => '4 tsp/gal', 'peat' => '9 tsp/gal'],
        ],
        ['/rates/peat'],
    ],
    'cuts without stems' => [
        ['sum' => 'injection', 'spacing' => '1 in', 'per' => 'diameter', 'perCut' => '1 mL'],
        ['/stems'],
    ],
    'cuts without dose' => [
        [
            'sum' => 'injection',
            'spacing' => '1 in',
            'per' => 'diameter',
            'stems' => [['diameter' => '4 in', 'count' => 3]],
            'perCut' => '0 mL',
        ],
        ['/perCut'],
    ],
    'a band without stems' => [['sum' => 'basal-band', 'band' => '14 in'], ['/stems']],
    'a face without stems' => [['sum' => 'stump-face'], ['/stems']],
    'strength without a stem' => [['sum' => 'basal-strength'], ['/diameter']],
    'loads of no tank' => [['sum' => 'loads', 'total' => '25 gal', 'tank' => '0 gal'], ['/tank']],
    'measuring without marks' => [['sum' => 'measure', 'amount' => '1 fl oz', 'holds' => '1 fl oz'], ['/graduation']],
]);
