<?php

declare(strict_types=1);

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Thicket\Catalogue\SumTable;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\Formula\FormulaSet;
use Thicket\Mix\SolvedSum;
use Thicket\Mix\SumReader;
use Thicket\Mix\SumSolver;

/*
 * Random figures through the whole table of sums: any figures known, of any kind the table allows and of some it does
 * not, in any unit, of any size, spelled as people spell. Seeded; THICKET_SUMS_SEED and THICKET_SUMS_COUNT make others
 * and more.
 */

/** @return list<Unit> */
function unitsOf(Dimension $kind): array
{
    return array_values(
        array_filter(Unit::cases(), static fn(Unit $u): bool => $u->dimension() === $kind && $u !== Unit::One),
    );
}

/**
 * A figure as somebody may type it: plain, with a fraction, with a decimal comma, with spaces, or with what is none.
 */
function spelled(Randomizer $random, Dimension $kind): string
{
    $units = unitsOf($kind);
    $unit = $units === [] ? '' : $units[$random->getInt(0, count($units) - 1)]->value;
    $whole = (string) $random->getInt(1, [9, 99, 999, 99999][$random->getInt(0, 3)]);

    return match ($random->getInt(0, 13)) {
        0 => "{$whole} 1/{$random->getInt(2, 9)} {$unit}",
        1 => "0,{$random->getInt(1, 99)} {$unit}",
        2 => "  {$whole}   {$unit} ",
        3 => "1,500 {$unit}",
        4 => $whole,
        5 => "{$whole} T",
        6 => "0 {$unit}",
        7 => "-{$whole} {$unit}",
        8 => "３ {$unit}",
        9 => str_repeat('9', $random->getInt(1, 70)) . " {$unit}",
        default => "{$whole}.{$random->getInt(0, 99)} {$unit}",
    };
}

/** @return array<string, string> some figures of a sum, each of one of its kinds or, seldom, of another */
function randomFigures(Randomizer $random, SumTable $table): array
{
    $known = [];
    foreach ($table->fields() as $field) {
        if ($table->isDerived($field) || $random->getInt(0, 9) < 5) {
            continue;
        }
        $kinds =
            $random->getInt(0, 19) === 0
                ? Dimension::cases()
                : [...$table->kinds($field), ...$table->weightFor($field) === null ? [] : [Dimension::MassShare]];
        // what a litre weighs is seldom far from water
        $known[$field] =
            str_ends_with($field, 'Weighs') && $random->getInt(0, 4) > 0
                ? "1.{$random->getInt(0, 99)} kg/L"
                : spelled($random, $kinds[$random->getInt(0, count($kinds) - 1)]);
    }

    return $known;
}

/**
 * Canonical amount of a figure, brought to another kind by what a litre holds; null where that does not lead there.
 * Written apart from the solver.
 */
function asKind(SolvedSum $solved, Quantity $quantity, Dimension $kind): ?BigRational
{
    $own = $quantity->amount->multipliedBy($quantity->unit->factor());
    $content = $solved->value('content');
    $per = [
        [Dimension::ProductShare, Dimension::EquivalentPerVolume, Dimension::EquivalentPerVolume],
        [Dimension::ProductShare, Dimension::IngredientPerVolume, Dimension::IngredientPerVolume],
        [Dimension::ProductShare, Dimension::MassPerVolume, Dimension::MassPerVolume],
        [Dimension::VolumePerArea, Dimension::EquivalentPerVolume, Dimension::EquivalentPerArea],
        [Dimension::VolumePerArea, Dimension::IngredientPerVolume, Dimension::IngredientPerArea],
        [Dimension::VolumePerArea, Dimension::MassPerVolume, Dimension::MassPerArea],
    ];
    if ($quantity->dimension() === $kind) {
        return $own;
    }
    foreach ($content === null ? [] : $per as [$from, $by, $to]) {
        $c = $content->amount->multipliedBy($content->unit->factor());
        if ($content->dimension() === $by && $from === $quantity->dimension() && $to === $kind) {
            return $own->multipliedBy($c);
        }
        if ($content->dimension() === $by && $to === $quantity->dimension() && $from === $kind && !$c->isZero()) {
            return $own->dividedBy($c);
        }
    }

    return null;
}

it(
    'never calls solved what passes a limit or was not held against one, keeps every line in balance, and never breaks',
    function () {
        $random = new Randomizer(new Mt19937((int) (getenv('THICKET_SUMS_SEED') ?: 20261128)));
        $states = array_fill_keys(['solved', 'solved-unchecked', 'cannotTell', 'contradiction', 'refused'], 0);
        $tables = catalogue()->sums();
        for ($i = 0, $all = (int) (getenv('THICKET_SUMS_COUNT') ?: 3000); $i < $all; ++$i) {
            $table = $tables[$random->getInt(0, count($tables) - 1)];
            $known = randomFigures($random, $table);
            $said = json_encode(['sum' => $table->id(), 'known' => $known], JSON_UNESCAPED_UNICODE);
            try {
                $in = Fields::of(
                    ['sum' => $table->id(), 'known' => $known === [] ? (object) [] : $known],
                    $faults = new Faults(),
                );
                [, $given] = (new SumReader(catalogue()))->read($in);
                $faults->throwIfAny();
            } catch (Refused $e) {
                ++$states['refused'];
                // a refusal names a field that was given, or says that nothing was
                expect(
                    $e->faults[0]['pointer'] === '/known' || isset($known[substr($e->faults[0]['pointer'], 7)]),
                )->toBeTrue((string) $said);
                continue;
            }
            $solved = SumSolver::solve($table, $given);
            ++$states[$solved->state()];
            foreach ($given as $field => $typed) {
                expect($solved->value($field)?->equals($typed))->toBeTrue("{$field} was changed: {$said}");
            }
            if ($solved->faults !== []) {
                continue;
            }
            foreach ($table->most() as $field => $cap) {
                $most = $solved->value($cap);
                if ($most === null || !isset($given[$cap])) {
                    continue;
                }
                $own = $solved->value($field);
                $same = $own === null ? null : asKind($solved, $own, $most->dimension());
                expect($same === null)
                    ->toBe(in_array($cap, $solved->unchecked, true), (string) $said)
                    ->and($same === null || !$same->isGreaterThan($most->amount->multipliedBy($most->unit->factor())))
                    ->toBeTrue("above its limit: {$said}");
            }
            foreach ($table->least() as $field => $floor) {
                $least = isset($given[$floor]) ? $solved->value($floor) : null;
                $own = $least === null ? null : $solved->value($field);
                $same = $own === null || $least === null ? null : asKind($solved, $own, $least->dimension());
                expect($least !== null && $same === null)
                    ->toBe(in_array($floor, $solved->unchecked, true), (string) $said)
                    ->and($solved->warnings !== [])
                    ->toBe(
                        $same !== null &&
                            $least !== null &&
                            $same->isLessThan($least->amount->multipliedBy($least->unit->factor())),
                        "under its least: {$said}",
                    );
            }
            foreach ($table->products() as $line) {
                $figures = array_map(static fn(string $f): ?Quantity => $solved->value($f), $line);
                if (
                    !in_array(null, $figures, true) &&
                    !array_filter($line, static fn(string $f): bool => $table->isWhole($f))
                ) {
                    // flow goes by the minute
                    $canonical = array_map(
                        static fn(Quantity $q): BigRational => $q->dimension() === Dimension::Duration
                            ? $q->in(Unit::Minute)
                            : $q->amount->multipliedBy($q->unit->factor()),
                        $figures,
                    );
                    $head = array_shift($canonical);
                    $product = array_reduce(
                        $canonical,
                        static fn(BigRational $all, BigRational $one): BigRational => $all->multipliedBy($one),
                        BigRational::one(),
                    );
                    // a weighed product and a poured one never meet in one line; what people type is half a percent off
                    // at most
                    expect(
                        $head
                            ->minus($product)
                            ->abs()
                            ->isGreaterThan($product->abs()->multipliedBy('0.0051')),
                    )->toBeFalse(implode(' ', $line) . ": {$said}");
                }
            }
        }
        expect($states['solved'])
            ->toBeGreaterThan(20)
            ->and($states['contradiction'])
            ->toBeGreaterThan(20)
            ->and($states['solved-unchecked'])
            ->toBeGreaterThan(5)
            ->and($states['refused'])
            ->toBeGreaterThan(100);
    },
);

it('answers the same whatever units the figures were typed in, and grows with what is allowed', function () {
    $random = new Randomizer(new Mt19937(20261129));
    $compared = 0;
    foreach (catalogue()->sums() as $table) {
        foreach ($table->ways() as $way) {
            $one = $other = [];
            foreach ($way['known'] as $field) {
                $kind = $table->kinds($field)[0];
                $units = $kind === Dimension::Count ? [Unit::One] : unitsOf($kind);
                $typed = Quantity::of(
                    BigRational::of($random->getInt(1, 9999))->dividedBy($kind === Dimension::Count ? 1 : 100),
                    $units[$random->getInt(0, count($units) - 1)],
                );
                $one[$field] = $typed;
                $other[$field] = $typed->to($units[$random->getInt(0, count($units) - 1)]);
            }
            [$here, $there] = [SumSolver::solve($table, $one), SumSolver::solve($table, $other)];
            expect($there->state())->toBe($here->state());
            foreach ($here->found() as $field => $value) {
                $compared += $value->isZero() ? 0 : 1;
                expect($there->value($field)?->equals($value))->toBeTrue(
                    "{$field} of {$table->id()} by " . implode(', ', $way['known']),
                );
            }
        }
    }
    expect($compared)->toBeGreaterThan(60);
    // a higher ceiling never allows less
    foreach (['1', '2', '4.48', '8'] as $n => $most) {
        $allowed = static fn(string $kg): BigRational => SumSolver::solve(
            array_values(
                array_filter(catalogue()->sums(), static fn(SumTable $t): bool => $t->id() === 'yearly-limit'),
            )[0],
            [
                'area' => Quantity::of('0.5', Unit::Hectare),
                'content' => Quantity::of(480, Unit::GramEquivalentPerLitre),
                'already' => Quantity::of('0.5', Unit::KilogramEquivalentPerHectare),
                'most' => Quantity::of($kg, Unit::KilogramEquivalentPerHectare),
            ],
        )->value('allowed')->amount ?? BigRational::zero();
        $n === 0 || expect($allowed($most)->isGreaterThan($allowed(['1', '2', '4.48', '8'][$n - 1])))->toBeTrue();
    }
});

it('reads hostile figures of the single sums without breaking', function () {
    $random = new Randomizer(new Mt19937(20261130));
    $fields = [
        'finished',
        'tank',
        'rate',
        'area',
        'sprayVolume',
        'total',
        'amount',
        'graduation',
        'holds',
        'labelMost',
        'spacing',
        'perCut',
        'diameter',
        'band',
        'film',
        'leftover',
        'leftoverStrength',
        'strength',
        'across',
        'apart',
        'length',
        'side',
        'depth',
        'bag',
        'flow',
        'weight',
        'caught',
        'used',
        'speed',
        'time',
        'girth',
        'second',
        'ringWidth',
        'stumpHeight',
        'perTree',
        'each',
        'labelPerStem',
        'blade',
        'bottle',
    ];
    $solved = 0;
    for ($i = 0; $i < 1500; ++$i) {
        $names = FormulaSet::names();
        $document = [
            'sum' => $names[$random->getInt(0, count($names) - 1)],
            'carrier' => 'water',
            'way' => 'course',
            'per' => 'girth',
            'count' => $random->getInt(-1, 2000),
            'grade' => '5-10-10',
        ];
        foreach ($fields as $field) {
            $random->getInt(0, 2) === 0 ||
                ($document[$field] = spelled(
                    $random,
                    Dimension::cases()[$random->getInt(0, count(Dimension::cases()) - 1)],
                ));
        }
        try {
            (new FormulaSet(catalogue()))->solve(Fields::of($document, new Faults()));
            ++$solved;
        } catch (Refused $e) {
            expect($e->faults)->not->toBeEmpty();
        }
    }
    // a document that says only what its sum asks is answered
    expect($solved)
        ->toBeLessThan(1500)
        ->and(
            (string) (new FormulaSet(catalogue()))
                ->solve(Fields::of(['sum' => 'girth', 'girth' => '31.4159 cm'], new Faults()))
                ->values['diameter']->in(Unit::Centimetre)
                ->toScale(2, RoundingMode::HALF_UP),
        )
        ->toBe('10.00');
});
