<?php

declare(strict_types=1);

use Thicket\Economics\PlannedWork;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Learning\LearnedFigure;
use Thicket\Learning\Lesson;
use Thicket\Learning\PlannedFigure;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\RecipeSolver;
use Thicket\Situation\CrewCoefficients;

/** Forty trees at 60 mL, a cut 1 mL; 120 minutes, of which 30 of walking in woods at 1.8 km/h. */
function planned(int $plants = 40): PlannedWork
{
    return new PlannedWork(
        0.06,
        120.0,
        $plants,
        [new PlannedFigure('cut', '1', 1.0)],
        [
            new PlannedFigure('minutesPerCut/drill-fill', '0.15', 0.75),
            new PlannedFigure('kilometresPerHour/wood', '1.8', 0.25),
        ],
    );
}

/** @return list<array{string, string, float, bool}> */
function taught(PlannedWork $planned, int $treated, ?string $litres, ?int $minutes = null): array
{
    return array_map(
        static fn(Lesson $l): array => [$l->path, $l->seen, round($l->weight, 3), $l->asked],
        $planned->teaches(
            $treated,
            $litres === null ? null : Quantity::of($litres, Unit::Litre),
            $minutes,
            catalogue()->coefficients(),
        ),
    );
}

it('reads of a record what its figures would have to be', function (array $told, array $lessons) {
    expect(taught(...$told))->toBe($lessons);
})->with([
    'half as much again' => [[planned(), 40, '0.09'], [['cut', '1.5', 1.0, false]]],
    'half of the trees, with half of that' => [[planned(), 20, '0.045'], [['cut', '1.5', 1.0, false]]],
    'nine trees say less than ten' => [[planned(), 9, '0.0135'], [['cut', '1', 0.9, false]]],
    'ten say all they can' => [[planned(), 10, '0.015'], [['cut', '1', 1.0, false]]],
    // twice as long for 120 minutes: each figure twice, the pace half; by their shares
    'twice as long' => [
        [planned(), 40, null, 240],
        [['minutesPerCut/drill-fill', '0.3', 0.75, false], ['kilometresPerHour/wood', '0.9', 0.25, false]],
    ],
    'nothing done says nothing' => [[planned(), 0, '0.06', 60], []],
    // the count of work that goes by ground does not make it less of the whole
    'by ground' => [[planned(0), 3, '0.09'], [['cut', '1.5', 1.0, false]]],
    // low 0.5, high 2, twice beyond: to 4 mL and down to 0.25 it counts by itself
    'as much as counts' => [[planned(), 40, '0.24'], [['cut', '4', 1.0, false]]],
    'more is asked' => [[planned(), 40, '0.241'], [['cut', '4.02', 1.0, true]]],
    'as little as counts' => [[planned(), 40, '0.015'], [['cut', '0.25', 1.0, false]]],
    'less is asked' => [[planned(), 40, '0.0149'], [['cut', '0.248', 1.0, true]]],
    'no mix used, no lesson of it' => [[planned(), 40, '0'], []],
]);

it('is drawn a quarter of the way by one record, half by three, and narrows', function (
    int $n,
    float $weight,
    array $to,
) {
    $lessons = array_fill(0, $n, new Lesson('cut', '1', '1.5', $weight, false));
    $drawn = LearnedFigure::all($lessons, catalogue()->coefficients())['cut'];
    expect([$drawn->records, $drawn->usual, $drawn->three])->toBe([$n, ['0.5', '1', '2'], $to]);
})->with([
    // 1.5^(1/4); half and double of it, drawn together by the root of 1 - 1/16
    'one' => [1, 1.0, ['0.566', '1.11', '2.17']],
    'one of few trees: 0.5 of 3.5' => [1, 0.5, ['0.536', '1.06', '2.09']],
    'three: 1.5^(1/2), by the root of 1 - 1/8' => [3, 1.0, ['0.64', '1.22', '2.34']],
    'many: nearly what they say, by the root of 1 - 97/400' => [97, 1.0, ['0.811', '1.48', '2.71']],
]);

it('takes the mean of logarithms: a half and a double leave it where it was', function () {
    $drawn = LearnedFigure::all(
        [new Lesson('cut', '1', '0.5', 1, false), new Lesson('cut', '1', '2', 1, false)],
        catalogue()->coefficients(),
    );
    expect($drawn['cut']->three[1])->toBe('1');
});

it('reckons with what somebody put in before what records say', function () {
    $shipped = catalogue()->coefficients();
    $faults = new Faults();
    $own = CrewCoefficients::read(
        Fields::of(['figures' => ['wick' => ['1', '3', '4']]], $faults),
        'figures',
        $shipped,
    )->drawnBy(
        LearnedFigure::all([new Lesson('cut', '1', '1.5', 1, false), new Lesson('wick', '1', '2', 1, false)], $shipped),
    );
    expect($own->inForce())
        ->toBe(['wick' => ['1', '3', '4'], 'cut' => ['0.566', '1.11', '2.17']])
        ->and($own->learnedInForce('wick'))
        ->toBeNull()
        ->and($own->learnedInForce('cut')?->records)
        ->toBe(1)
        ->and((string) $shipped->with($own->inForce())->perCut()->amount->toScale(2))
        ->toBe('1.11');
});

it('keeps with a sheet what its amounts and hours came of', function (string $row, array $mix, array $hands) {
    [$situation, $option] = situated(
        stand([
            'date' => '2026-09-10',
            'area' => '0.5 ha',
            'stems' => [['diameter' => '2 cm', 'count' => 30], ['diameter' => '8 cm', 'count' => 10]],
        ]),
        $row,
    );
    $kept = PlannedWork::kept(
        json_decode(
            json_encode(
                PlannedWork::of($situation, $option, RecipeSolver::plain($situation, $option)->solve(null))->told(),
                JSON_THROW_ON_ERROR,
            ),
            true,
        ),
    );
    $told = static fn(array $of): array => array_map(static fn(PlannedFigure $f): array => [$f->path, $f->figure], $of);
    expect($told($kept->mix ?? []))
        ->toBe($mix)
        ->and($told($kept->hands ?? []))
        ->toBe($hands)
        ->and($kept?->plants)
        ->toBe(40)
        ->and(round($kept->minutes ?? 0, 1))
        // 30 x 0.4 + 10 x 2 min, and 0.7124 sqrt(5000 x 40) x 1.3 = 414.2 m at 3 km/h
        ->toBe(40.3);
})->with([
    'stumps' => [
        'cut-stump/glyphosate',
        [['film/stump', '0.5']],
        [['minutesPerStem/cut-stump/0', '0.4'], ['minutesPerStem/cut-stump/1', '2'], ['kilometresPerHour/open', '3']],
    ],
]);
