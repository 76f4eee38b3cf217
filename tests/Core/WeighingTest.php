<?php

declare(strict_types=1);

use Thicket\Assess\Row;
use Thicket\Assess\Weights;
use Thicket\Input\Refused;
use Thicket\Verdict\Outcome;

/** @return list<string> */
function order(array $document, ?Weights $weights = null): array
{
    return array_map(static fn(Row $r): string => $r->option->id(), board($document, $weights)->rows);
}

$wood = stand([
    'species' => 'common-buckthorn',
    'stems' => [['diameter' => '1.5 in', 'count' => 40]],
    'facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'height', 'value' => '4 ft']],
    'tools' => ['lever-puller', 'saw-or-loppers', 'hatchet', 'saw'],
    'clearances' => ['axe', 'saw'],
]);

it('makes hundredths of any wishes, what rounding leaves going to the greatest remainders', function (
    array $wanted,
    array $parts,
) {
    expect(array_values(Weights::of($wanted)->parts))->toBe($parts)->and(array_sum($parts))->toBe(100);
})->with([
    // 100 / 6 = 16 2/3 each: four over, to the first four
    'all alike' => [array_fill_keys(Weights::MEASURES, 1), [17, 17, 17, 17, 16, 16]],
    'one alone' => [['harm' => 3], [0, 100, 0, 0, 0, 0]],
    // 5/8, 2/8, 1/8 of 100: 62.5, 25, 12.5; one over, to the first of the halves
    'five, two and one' => [['control' => 5, 'hours' => 2, 'speed' => 1], [63, 0, 0, 25, 12, 0]],
]);

it('refuses weights that say nothing', function (array $wanted) {
    expect(fn() => Weights::of($wanted))->toThrow(Refused::class, '/weights');
})->with([[[]], [['control' => 0]], [['beauty' => 1]], [['control' => -1]], [['control' => 1001]]]);

/*
 * By hand: buckthorn of 1.5 in, 40 stems, lever pulled. Control 85 of 100 at its worse end: 85/100; harm 1 of 1 to 5:
 * 1; money nobody knows: 0; 40 stems at 3 minutes are 2 h, and one setting up 1.5 h, of 40: 36.5/40; judged after a
 * year, 53 weeks of 156: 103/156; nothing kept: 1.
 */
it('shows the six figures and what each adds, at the worse end and nothing for what nobody knows', function () use (
    $wood,
) {
    $row = array_values(
        array_filter(
            board(
                $wood,
                Weights::of([
                    'control' => 40,
                    'harm' => 20,
                    'money' => 10,
                    'hours' => 20,
                    'speed' => 5,
                    'keep-injury' => 5,
                ]),
            )->rows,
            static fn(Row $r): bool => $r->option->id() === 'lever-pull',
        ),
    )[0];
    $points = array_map(
        static fn(array $s): string => (string) $s['points']->toScale(2, Brick\Math\RoundingMode::HALF_UP),
        $row->weighing->shares(),
    );
    expect($points)
        ->toBe(['34.00', '20.00', '0.00', '18.25', '3.30', '5.00'])
        ->and((string) $row->weighing->total()->toScale(2, Brick\Math\RoundingMode::HALF_UP))
        ->toBe('80.55')
        ->and(array_column($row->weighing->shares(), 'figure')[2])
        ->toBeNull();
});

it('orders by verdict, then by the weighed figures, then by name, and moves when the weights do', function () use (
    $wood,
) {
    $rows = board($wood)->rows;
    for ($i = 1; $i < count($rows); ++$i) {
        expect($rows[$i - 1]->outcome->isWorseThan($rows[$i]->outcome))->toBeFalse();
        if ($rows[$i - 1]->outcome === $rows[$i]->outcome) {
            $more = $rows[$i - 1]->weighing->total()->compareTo($rows[$i]->weighing->total());
            expect($more > 0 || ($more === 0 && $rows[$i - 1]->option->id() < $rows[$i]->option->id()))->toBeTrue();
        }
    }
    expect(order($wood, Weights::of(['hours' => 1])))->not->toBe(order($wood, Weights::of(['control' => 1])));
    expect(array_map(static fn(Outcome $o): int => $o->rank(), Outcome::cases()))->toBe([0, 1, 2, 3, 4, 5]);
});

it('swaps no two rows when another changes: scales are fixed', function () use ($wood) {
    $all = order($wood);
    $without = order(['tools' => ['saw-or-loppers', 'hatchet', 'saw']] + $wood);
    expect($without)
        ->toContain('lever-pull')
        ->and(array_values(array_diff($without, ['lever-pull'])))
        ->toBe(array_values(array_diff($all, ['lever-pull'])));
});

it('counts what is kept near against a row', function (string $row, array $keeper, int $step) use ($wood) {
    $found = array_values(
        array_filter(
            board(['keepers' => [$keeper]] + $wood)->rows,
            static fn(Row $r): bool => $r->option->id() === $row,
        ),
    )[0];
    expect($found->measures->keepInjury)->toBe($step);
})->with([
    'a spray that takes all, beside forbs' => ['foliar-spot/glyphosate', ['kind' => 'forbs', 'name' => 'bank'], 4],
    'a broadleaf spray beside grass' => ['foliar-spot/triclopyr-ester', ['kind' => 'grass', 'name' => 'meadow'], 2],
    'a spray known to take the kept one' => [
        'foliar-spot/glyphosate',
        ['kind' => 'shrub', 'name' => 'rose', 'species' => 'multiflora-rose', 'distance' => '1 m'],
        5,
    ],
    'a cut stump of its own kind' => [
        'cut-stump/glyphosate',
        [
            'kind' => 'tree',
            'name' => 'old one',
            'species' => 'common-buckthorn',
            'distance' => '1 m',
            'crownRadius' => '2 m',
        ],
        3,
    ],
    'pulling by hand' => ['lever-pull', ['kind' => 'tree', 'name' => 'oak', 'distance' => '1 m'], 1],
    'a path is not hurt' => ['foliar-spot/glyphosate', ['kind' => 'path', 'name' => 'lane'], 1],
]);

it('lists what removes nothing of itself behind all that may, and before what is refused', function () use ($wood) {
    $rows = board($wood)->rows;
    $at = static fn(string $method): int => (int) array_search(
        $method,
        array_map(static fn(Row $r): string => $r->option->method->id(), $rows),
        true,
    );
    $worst = array_map(
        static fn(Row $r): int => $r->outcome->rank(),
        array_slice($rows, 0, min($at('cover-crop'), $at('let-it-be'))),
    );
    expect(min($worst))
        ->toBeGreaterThanOrEqual(Thicket\Verdict\Outcome::CannotTell->rank())
        ->and(
            array_filter(
                array_slice($rows, max($at('cover-crop'), $at('let-it-be')) + 1),
                static fn(Row $r): bool => $r->outcome->rank() >= Thicket\Verdict\Outcome::CannotTell->rank(),
            ),
        )
        ->toBe([]);
});
