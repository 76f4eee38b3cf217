<?php

declare(strict_types=1);

use Brick\Math\RoundingMode;
use Thicket\Catalogue\SprayerKind;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
use Thicket\Mix\Component;
use Thicket\Mix\FinishedMix;
use Thicket\Mix\Load;
use Thicket\Mix\LoadDraws;
use Thicket\Mix\LoadStep;
use Thicket\Mix\MeasuringKind;
use Thicket\Mix\MeasuringKit;
use Thicket\Mix\MeasuringTool;
use Thicket\Mix\TankPlan;

/* Loads as they are filled, what they are measured with, and what is drawn for them. */

$mix = static fn(string $finished): FinishedMix => FinishedMix::of(quantity($finished), 'water', [
    new Component('product', 'solution', Strength::parse('2 %')),
    new Component('dye', 'dye', Strength::parse('1 fl oz/gal')),
]);

it('fills each kind of load in order, and says how full the tank is after each thing', function () use ($mix) {
    // 10 L with 3 L of before in a tank of 4 L: one load that 3 L are carried into, one full one, the rest
    $loads = Load::ofPlan($mix('10 L'), TankPlan::of(quantity('10 L'), quantity('4 L'), quantity('3 L')));
    $told = static fn(Load $load): array => array_map(
        static fn(LoadStep $step): string => $step->what .
            ' ' .
            $step->mark->decimal(Unit::Litre, 3, RoundingMode::HALF_UP),
        $load->steps(),
    );
    expect(array_sum(array_map(static fn(Load $load): int => $load->times, $loads)))
        ->toBe(3)
        ->and((string) $loads[0]->finished->in(Unit::Litre))
        ->toBe('4')
        ->and((string) $loads[0]->mix->finished->in(Unit::Litre))
        ->toBe('1')
        ->and($told($loads[0])[0])
        ->toBe('leftover 3.000')
        ->and($told($loads[0])[1])
        ->toBe('water 3.500')
        ->and($told($loads[1])[0])
        ->toBe('water 2.000')
        ->and($loads[1]->carried)
        ->toBeNull()
        ->and(array_column(array_map(static fn(Load $load): array => ['part' => $load->isPart], $loads), 'part'))
        ->toBe([false, false, true]);
    foreach ($loads as $load) {
        $steps = $load->steps();
        // dye takes no room that is told, so the last mark is the full load
        expect((string) $steps[count($steps) - 1]->share->toScale(4, RoundingMode::HALF_UP))->toBe('1.0000');
    }
});

it('takes a draw that is 2 % off what the load takes, and not one that is further off', function (
    string $drawn,
    ?string $code,
) {
    $checked = LoadDraws::check(['one' => quantity('100 mL')], [['product' => 'one', 'amount' => quantity($drawn)]]);
    expect($checked->fault['code'] ?? null)->toBe($code);
})->with([
    'just enough' => ['98 mL', null],
    'a little short' => ['97.9 mL', 'sum'],
    'just too much' => ['102 mL', null],
    'over' => ['102.1 mL', 'sum'],
    'weighed, though it is poured' => ['100 g', 'amount'],
]);

it('asks for amounts only where a product comes from several containers', function () {
    $takes = ['one' => quantity('100 mL'), 'two' => quantity('50 mL')];
    $draw = static fn(?string $product, ?string $amount): array => [
        'product' => $product,
        'amount' => $amount === null ? null : quantity($amount),
    ];
    $check = static fn(array ...$draws): LoadDraws => LoadDraws::check($takes, array_values($draws));
    expect(
        array_map(
            strval(...),
            array_map(
                static fn(Quantity $q) => $q->in(Unit::Millilitre),
                $check($draw('two', null), $draw('one', '60 mL'), $draw('one', '40 mL'))->amounts,
            ),
        ),
    )
        ->toBe(['50', '60', '40'])
        ->and($check($draw('one', null), $draw('one', '40 mL'))->fault)
        ->toBe(['draw' => 0, 'code' => 'amount', 'product' => 'one'])
        ->and($check($draw('one', null), $draw('three', null))->fault['code'] ?? '')
        ->toBe('other-product')
        ->and($check($draw(null, null))->fault['draw'] ?? null)
        ->toBe(0)
        // what nothing is drawn of came from elsewhere
        ->and($check()->fault)
        ->toBeNull();
});

it('measures with the crew’s own tools where it has some of the kind, and never above the most', function () {
    $own = new MeasuringKit([new MeasuringTool('beaker', quantity('5 mL'), quantity('250 mL'))]);
    $read = $own->readings(quantity('57.6 mL'), quantity('57.6 mL'));
    expect(array_map(static fn($r) => (string) $r->measured->in(Unit::Millilitre), $read))
        ->toBe(['us' => '55', 'metric' => '55'])
        ->and($read['us']->isUnder)
        ->toBeTrue()
        ->and($own->isOwn(quantity('1 g')->dimension()))
        ->toBeFalse()
        // nothing of its own weighs: the usual scales do, one in each system
        ->and(array_keys($own->readings(quantity('10 g'), null)))
        ->toBe(['us', 'metric'])
        // less than half a mark is nothing
        ->and($own->readings(quantity('2 mL'), null))
        ->toBe([]);
    $three = (new MeasuringKit())->readings(quantity('2.5 fl oz'), null)['us'];
    expect([$three->tool->name, $three->fillings, (string) $three->lastShare()->toScale(4)])->toBe([
        '8 oz cup',
        1,
        '0.3125',
    ]);
});

it('takes a tool as somebody gives it, or says what cannot be', function (array $given, ?string $pointer) {
    $faults = new Faults();
    $tool = MeasuringTool::read(Fields::of($given, $faults), 'mine', MeasuringKind::Cup);
    try {
        $faults->throwIfAny();
        $at = null;
    } catch (Refused $e) {
        $at = $e->faults[0]['pointer'];
    }
    expect($at)
        ->toBe($pointer)
        ->and($tool === null)
        ->toBe($pointer !== null);
})->with([
    'marks of its size' => [['graduation' => '100 mL', 'holds' => '100 mL'], null],
    'marks beyond its size' => [['graduation' => '101 mL', 'holds' => '100 mL'], '/graduation'],
    'no marks' => [['graduation' => '0 mL', 'holds' => '100 mL'], '/graduation'],
    'no size' => [['graduation' => '5 mL'], '/holds'],
    'weighs' => [['graduation' => '1 g', 'holds' => '100 g'], '/graduation'],
]);

it('fits what a mix is put out with to what is done', function (string $method, array $fits) {
    $kinds = array_filter(
        SprayerKind::cases(),
        static fn(SprayerKind $kind): bool => catalogue()->method($method)->isPutOutWith($kind),
    );
    expect(array_values(array_map(static fn(SprayerKind $kind): string => $kind->value, $kinds)))->toBe($fits);
})->with([
    'wiping' => ['wick', ['wick']],
    'spraying' => ['foliar-spot', ['backpack', 'boom', 'hand-can']],
    'cuts' => ['hack-and-squirt', []],
]);
