<?php

declare(strict_types=1);

use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Review\Causes;
use Thicket\Review\Done;
use Thicket\Review\ProductUse;
use Thicket\Review\Result;
use Thicket\Survey\RootKill;

it('gives the exact interval of a share to four digits, as an independent package does', function (array $case) {
    ['low' => $low, 'high' => $high] = RootKill::interval($case['dead'], $case['of'], (float) $case['level']);
    expect([number_format($low, 4), number_format($high, 4)])->toBe([$case['exactLow'], $case['exactHigh']]);
})->with(
    array_map(
        static fn(array $case): array => [$case],
        json_decode(
            (string) file_get_contents(dirname(__DIR__) . '/Core/results.json'),
            true,
            flags: JSON_THROW_ON_ERROR,
        ),
    ),
);

it('covers the true share at least as often as it says, over all that can be counted', function (
    float $share,
    int $of,
) {
    $covered = 0.0;
    $chance = (1 - $share) ** $of;
    for ($dead = 0; $dead <= $of; ++$dead) {
        ['low' => $low, 'high' => $high] = RootKill::interval($dead, $of, 0.9);
        $low <= $share && $share <= $high && ($covered += $chance);
        $chance *= (($of - $dead) / ($dead + 1)) * ($share / (1 - $share));
    }
    expect($covered)->toBeGreaterThanOrEqual(0.9)->toBeLessThan(1.0001);
})->with([[0.05, 20], [0.5, 7], [0.8, 30], [0.93, 58], [0.99, 40]]);

it('calls it worse or better only where the whole interval is', function (
    int $dead,
    int $of,
    ?array $expected,
    ?string $is,
) {
    expect(Result::of($dead, $of, $expected)->against)->toBe($is);
})->with([
    // 46 of 58: 68.6 to 87.6 %
    'the interval reaches into it' => [46, 58, ['low' => 87, 'high' => 97], Result::AS_EXPECTED],
    'and just does not' => [46, 58, ['low' => 88, 'high' => 97], Result::WORSE],
    'better' => [46, 58, ['low' => 40, 'high' => 68], Result::BETTER],
    'not yet better' => [46, 58, ['low' => 40, 'high' => 69], Result::AS_EXPECTED],
    'three of four say little' => [3, 4, ['low' => 85, 'high' => 95], Result::AS_EXPECTED],
    'nothing was expected' => [3, 4, null, null],
]);

it('finds likely causes in the record, the strongest first, and asks for what no record tells', function (
    Done $done,
    array $codes,
) {
    expect(array_column(Causes::of($done), 'code'))->toBe($codes);
})->with([
    'all in order' => [new Done([], [], 1.0, 0, 0, false), ['cause.ask']],
    'dose just enough' => [new Done([], [], 0.7, 0, 0, false), ['cause.ask']],
    'under it' => [new Done([], [], 0.699, 0, 0, false), ['cause.under-dose', 'cause.ask']],
    'no mix' => [new Done([], [], null, 2, 0, false), ['cause.left', 'cause.ask']],
    'everything' => [
        new Done(['wind'], [['gate' => 'not-now', 'reason' => 'the only day']], 0.5, 2, 1, true),
        [
            'cause.outside-limit',
            'cause.passed-not-now',
            'cause.under-dose',
            'cause.missed',
            'cause.left',
            'cause.incident',
            'cause.ask',
        ],
    ],
]);

it('sums up what was put out by product, weighed and poured apart', function () {
    $use = static fn(int $record, string $product, string $amount, Unit $unit): array => [
        'record' => $record,
        'product' => $product,
        'used' => Quantity::of($amount, $unit),
    ];
    $told = array_map(
        static fn(ProductUse $one): array => [
            $one->product,
            (string) $one->sum
                ->in($one->sum->dimension() === Dimension::Mass ? Unit::Gram : Unit::Millilitre)
                ->toScale(2),
            $one->records,
        ],
        ProductUse::sums([
            $use(2, 'Ester', '0.5', Unit::Litre),
            $use(1, 'Amine', '100', Unit::Millilitre),
            $use(3, 'Ester', '250', Unit::Millilitre),
            $use(3, 'Ester', '30', Unit::Gram),
            $use(3, 'Ester', '1', Unit::Millilitre),
        ]),
    );
    expect($told)->toBe([['Amine', '100.00', [1]], ['Ester', '30.00', [3]], ['Ester', '751.00', [2, 3]]]);
});
