<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Catalogue\SumTable;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * Solves one sum of handbook 3 in every direction: goes through its products and sums again and again, filling in a
 * figure wherever all others of a line are known, until nothing more follows. Exact throughout; a figure that was typed
 * is never changed. Where a line is known whole, its figures must agree: what people type is rounded, so half a percent
 * apart is taken as rounding and more as a contradiction.
 */
final class SumSolver
{
    private const ROUNDING = '0.005';

    /** @var array<string, Quantity> */
    private array $known = [];

    /** @var array<string, list<string>> figure that followed => those it followed from */
    private array $from = [];

    /** @var list<array{code: string, field: string, typed: Quantity, follows: Quantity|null, from: list<string>}> */
    private array $faults = [];

    /** @var array<string, true> limits that were given and could not be held against anything */
    private array $unchecked = [];

    /** @var list<array{code: string, field: string, typed: Quantity, follows: Quantity|null, from: list<string>}> */
    private array $warnings = [];

    private function __construct(private readonly SumTable $table) {}

    /** @param array<string, Quantity> $given figures by name, each of a kind that the table allows */
    public static function solve(SumTable $table, array $given): SolvedSum
    {
        $solver = new self($table);
        $solver->known = $given + ['all' => Quantity::of(1, Unit::One)];
        $taken = $given;
        foreach ($table->fields() as $field) {
            $default = isset($given[$field]) ? null : $table->default($field, $given);
            if ($default !== null) {
                $solver->known[$field] = $default;
                $taken[$field] = $default;
            }
        }
        $solver->follow();
        // parts that are more than the whole leave nothing else to hold against each other
        $solver->faults === [] && $solver->check($taken);
        unset($solver->known['all']);
        $values = [];
        foreach ($solver->known as $field => $quantity) {
            // so many stems can be done: the part of one is none
            $values[$field] =
                $table->isWhole($field) && !isset($given[$field])
                    ? Quantity::of($quantity->amount->toScale(0, RoundingMode::FLOOR), $quantity->unit)
                    : $quantity;
        }

        return new SolvedSum(
            $table,
            $given,
            $values,
            $solver->faults,
            array_keys($solver->unchecked),
            $solver->warnings,
            $solver->faults === [] ? $solver->atLimits() : [],
        );
    }

    private function follow(): void
    {
        do {
            $before = count($this->known);
            foreach ($this->table->sums() as $line) {
                $this->followSum($line);
            }
            foreach ($this->table->products() as $line) {
                $this->followProduct($line);
            }
        } while (count($this->known) > $before);
    }

    /** @param list<string> $line first = product of the rest */
    private function followProduct(array $line): void
    {
        $unknown = array_values(array_diff($line, array_keys($this->known)));
        $noughts = array_filter(
            array_slice($line, 1),
            fn(string $f): bool => isset($this->known[$f]) && $this->known[$f]->isZero(),
        );
        if ($noughts !== [] && in_array($line[0], $unknown, true)) {
            $this->known[$line[0]] = Quantity::zero($this->unitLike($this->table->kinds($line[0])[0]));
            $this->from[$line[0]] = array_values($noughts);

            return;
        }
        if (count($unknown) !== 1) {
            return;
        }
        [$amount, $vector] = $this->productWithout($line, $unknown[0]) ?? [null, []];
        // acid equivalent over active ingredient is no number: the bases differ
        $contents = array_values(
            array_filter($line, fn(string $f): bool => isset($this->known[$f]) && !isset($this->from[$f])),
        );
        if (isset($vector['e'], $vector['i']) && $contents !== []) {
            $this->otherBasis($contents[count($contents) - 1], $line);
        } elseif ($amount !== null) {
            $this->put($unknown[0], $amount, $vector, $line);
        }
    }

    /** @param list<string> $line */
    private function otherBasis(string $field, array $line): void
    {
        in_array('other-basis', array_column($this->faults, 'code'), true) ||
            ($this->faults[] = [
                'code' => 'other-basis',
                'field' => $field,
                'typed' => $this->known[$field],
                'follows' => null,
                'from' => array_values(array_diff($line, [$field, 'all'])),
            ]);
    }

    /**
     * What one figure of a product must be by the others, in canonical units; null where a divisor is nought.
     *
     * @param list<string> $line
     *
     * @return array{BigRational, array<string, int>}|null
     */
    private function productWithout(array $line, string $wanted): ?array
    {
        $amount = BigRational::one();
        $vector = [];
        foreach ($line as $i => $field) {
            if ($field === $wanted) {
                continue;
            }
            $quantity = $this->known[$field];
            // the wanted one is the head: the others multiply; else the head is divided by the others
            $over = $wanted === $line[0] || $i === 0;
            $canonical = self::canonical($quantity);
            if (!$over && $canonical->isZero()) {
                return null;
            }
            $amount = $over ? $amount->multipliedBy($canonical) : $amount->dividedBy($canonical);
            foreach (self::vector($quantity->dimension()) as $base => $power) {
                $vector[$base] = ($vector[$base] ?? 0) + ($over ? $power : -$power);
            }
        }

        return [$amount->simplified(), array_filter($vector)];
    }

    /** @param list<string> $line first = sum of the rest */
    private function followSum(array $line): void
    {
        $unknown = array_values(array_diff($line, array_keys($this->known)));
        if (count($unknown) !== 1) {
            return;
        }
        [$amount, $vector] = $this->sumWithout($line, $unknown[0]) ?? [null, []];
        if ($amount !== null && !$amount->isNegative()) {
            $this->put($unknown[0], $amount, $vector, $line);
        } elseif ($amount !== null && $this->faults === []) {
            $parts = self::canonical($this->known[$line[0]])->minus($amount);
            $this->faults[] = [
                'code' => $line[0] === 'all' ? 'parts-above-all' : 'parts-above-whole',
                'field' => $line[0],
                'typed' => $this->known[$line[0]],
                'follows' => $line[0] === 'all' ? null : self::inUnit($parts, $this->known[$line[0]]->unit),
                'from' => array_values(array_diff($line, $unknown, ['all', $line[0]])),
            ];
            // a nought stops the line from being said twice
            $this->put($unknown[0], BigRational::zero(), $vector, $line);
        }
    }

    /**
     * @param list<string> $line
     *
     * @return array{BigRational, array<string, int>}|null null where the head is the wanted one and no part has its
     *     kind
     */
    private function sumWithout(array $line, string $wanted): ?array
    {
        $head = $line[0];
        $parts = array_values(array_filter(array_slice($line, 1), fn(string $f): bool => $f !== $wanted));
        $kinds = array_map(
            self::vector(...),
            $this->table->has($head) ? $this->table->kinds($head) : [Dimension::Count],
        );
        $vector =
            isset($this->known[$head]) && $head !== $wanted ? self::vector($this->known[$head]->dimension()) : null;
        $amount = BigRational::zero();
        foreach ($parts as $part) {
            $own = self::vector($this->known[$part]->dimension());
            if ($vector === null && in_array($own, $kinds, true)) {
                $vector = $own;
            }
            if ($own === $vector) {
                $amount = $amount->plus(self::canonical($this->known[$part]));
            } elseif ($vector !== null && !$this->table->takesNoRoom($part)) {
                $same = $this->converted($this->known[$part], $vector);
                if ($same === null) {
                    $this->unfit($part, $line);

                    return null;
                }
                $amount = $amount->plus($same);
            }
        }
        if ($vector === null) {
            return null;
        }

        return $head === $wanted
            ? [$amount->simplified(), $vector]
            : [self::canonical($this->known[$head])->minus($amount)->simplified(), $vector];
    }

    /**
     * The same amount in another kind, by what a litre of the product holds (its content or weight); null where nobody
     * told that, or it does not lead there.
     *
     * @param array<string, int> $vector
     */
    private function converted(Quantity $quantity, array $vector): ?BigRational
    {
        $content = $this->known[$this->table->content()] ?? null;
        if ($content === null || $content->dimension() === Dimension::Count || $content->isZero()) {
            return null;
        }
        $by = self::vector($content->dimension());
        foreach ([1, -1] as $power) {
            $to = self::vector($quantity->dimension());
            foreach ($by as $base => $times) {
                $to[$base] = ($to[$base] ?? 0) + $power * $times;
            }
            if (array_filter($to) == $vector) {
                return $power === 1
                    ? self::canonical($quantity)->multipliedBy(self::canonical($content))
                    : self::canonical($quantity)->dividedBy(self::canonical($content));
            }
        }

        return null;
    }

    /**
     * A part that cannot be added to the others: said once.
     *
     * @param list<string> $line
     */
    private function unfit(string $part, array $line): void
    {
        if (!in_array($part, array_column($this->faults, 'field'), true)) {
            $this->faults[] = [
                'code' => 'other-kind',
                'field' => $part,
                'typed' => $this->known[$part],
                'follows' => null,
                'from' => array_values(array_diff($line, [$part, 'all'])),
            ];
        }
    }

    /**
     * @param array<string, int> $vector
     * @param list<string> $line
     */
    private function put(string $field, BigRational $amount, array $vector, array $line): void
    {
        foreach ($this->table->kinds($field) as $kind) {
            if (self::vector($kind) == $vector) {
                $this->known[$field] = self::inUnit($amount, $this->unitLike($kind));
                $this->from[$field] = array_values(array_diff($line, [$field, 'all']));

                return;
            }
        }
    }

    /** The unit somebody typed for this kind, so that the answer comes in what was asked in. */
    private function unitLike(Dimension $kind): Unit
    {
        foreach ($this->known as $field => $quantity) {
            if ($field !== 'all' && $quantity->dimension() === $kind && !isset($this->from[$field])) {
                return $quantity->unit;
            }
        }

        return self::unitOf($kind);
    }

    /** @param array<string, Quantity> $given */
    private function check(array $given): void
    {
        foreach ([...$this->table->products(), ...$this->table->sums()] as $i => $line) {
            if (array_diff($line, array_keys($this->known)) !== []) {
                continue;
            }
            // hold the typed figure of the line against what the rest of it says
            $typed = array_values(array_filter($line, static fn(string $f): bool => isset($given[$f])));
            $field = $typed[count($typed) - 1] ?? null;
            if ($field === null) {
                continue;
            }
            $isProduct = $i < count($this->table->products());
            [$amount, $vector] = ($isProduct
                ? $this->productWithout($line, $field)
                : $this->sumWithout($line, $field)) ?? [null, []];
            $own = $this->known[$field];
            if ($amount === null || (!$isProduct && self::vector($own->dimension()) !== $vector)) {
                continue;
            }
            $kind = $own->dimension();
            if (self::vector($kind) != $vector) {
                $this->faults[] = [
                    'code' => 'other-kind',
                    'field' => $field,
                    'typed' => $own,
                    'follows' => null,
                    'from' => array_values(array_diff($line, [$field, 'all'])),
                ];
                continue;
            }
            $apart = self::canonical($own)->minus($amount)->abs();
            if (
                $apart->isGreaterThan($amount->abs()->multipliedBy(self::ROUNDING)) &&
                !in_array('contradiction', array_column($this->faults, 'code'), true)
            ) {
                $this->faults[] = [
                    'code' => 'contradiction',
                    'field' => $field,
                    'typed' => $own,
                    'follows' => self::inUnit($amount, $own->unit),
                    'from' => array_values(array_diff($line, [$field, 'all'])),
                ];
            }
        }
        foreach ($this->known as $field => $quantity) {
            if (
                $quantity->dimension() === Dimension::ProductShare &&
                $field !== 'allowance' &&
                self::canonical($quantity)->isGreaterThan(1)
            ) {
                $this->faults[] = [
                    'code' => 'above-whole',
                    'field' => $field,
                    'typed' => $quantity,
                    'follows' => null,
                    'from' => $this->from[$field] ?? [],
                ];
            }
        }
        foreach ($this->table->most() as $field => $cap) {
            if ($this->beside($field, $cap) === 1) {
                $this->faults[] = [
                    'code' => 'above-label',
                    'field' => $field,
                    'typed' => $this->known[$field],
                    'follows' => $this->known[$cap],
                    'from' => [$cap],
                ];
            }
        }
        foreach ($this->table->least() as $field => $floor) {
            if ($this->beside($field, $floor) === -1) {
                $this->warnings[] = [
                    'code' => 'below-label',
                    'field' => $field,
                    'typed' => $this->known[$field],
                    'follows' => $this->known[$floor],
                    'from' => [$floor],
                ];
            }
            $cap = $this->table->most()[$field] ?? null;
            if (
                $cap !== null &&
                isset($this->known[$cap], $this->known[$floor]) &&
                $this->compared($this->known[$floor], $this->known[$cap]) === 1
            ) {
                $this->faults[] = [
                    'code' => 'limits-crossed',
                    'field' => $floor,
                    'typed' => $this->known[$floor],
                    'follows' => $this->known[$cap],
                    'from' => [$cap],
                ];
            }
        }
    }

    /**
     * A figure held against a limit of it: -1 below, 0 at, 1 above; null where none was given or, which is noted, it
     * cannot be told.
     */
    private function beside(string $field, string $limit): ?int
    {
        if (!isset($this->known[$limit])) {
            return null;
        }
        $beside = isset($this->known[$field]) ? $this->compared($this->known[$field], $this->known[$limit]) : null;
        $beside !== null || isset($this->from[$limit]) || ($this->unchecked[$limit] = true);

        return $beside;
    }

    /**
     * What every amount that goes with a limited figure in one line would be at the limit: the product at the most, or
     * the least, of the label.
     *
     * @return array<string, array<string, Quantity>> limit => amount's field => that amount
     */
    private function atLimits(): array
    {
        $out = [];
        foreach (
            [
                ...array_map(null, array_keys($this->table->most()), $this->table->most()),
                ...array_map(null, array_keys($this->table->least()), $this->table->least()),
            ]
            as [$field, $limit]
        ) {
            $own = $this->known[$field] ?? null;
            $most = $this->known[$limit] ?? null;
            $share = $own === null || $most === null || $own->isZero() ? null : $this->inKindOf($own, $most);
            if ($own === null || $most === null || $share === null || $share->isZero()) {
                continue;
            }
            $limited = self::canonical($own)->multipliedBy(self::canonical($most))->dividedBy($share);
            foreach ($this->table->products() as $line) {
                $head = array_shift($line);
                $rest = array_values(array_diff($line, [$field]));
                $other = $this->known[$rest[0] ?? ''] ?? null;
                if (count($rest) === 1 && count($line) === 2 && $other !== null && isset($this->known[$head])) {
                    $out[$limit][$head] = self::inUnit(
                        $limited->multipliedBy(self::canonical($other)),
                        $this->known[$head]->unit,
                    );
                }
            }
        }

        return $out;
    }

    /** @return int|null null where the two are of kinds that the content does not turn into each other */
    private function compared(Quantity $own, Quantity $limit): ?int
    {
        return $this->inKindOf($own, $limit)?->compareTo(self::canonical($limit));
    }

    private function inKindOf(Quantity $own, Quantity $limit): ?BigRational
    {
        return self::vector($own->dimension()) == self::vector($limit->dimension())
            ? self::canonical($own)
            : $this->converted($own, self::vector($limit->dimension()));
    }

    private static function canonical(Quantity $quantity): BigRational
    {
        return $quantity->amount->multipliedBy(self::factor($quantity->unit));
    }

    private static function inUnit(BigRational $canonical, Unit $unit): Quantity
    {
        return Quantity::of($canonical->dividedBy(self::factor($unit))->simplified(), $unit);
    }

    /** Time goes by the minute here, as what flows does (L/min). */
    private static function factor(Unit $unit): BigRational
    {
        return $unit->dimension() === Dimension::Duration
            ? $unit->factor()->dividedBy(Unit::Minute->factor())
            : $unit->factor();
    }

    /**
     * Powers of volume, mass, area, acid equivalent, active ingredient, weight share and time; a share and a count are
     * pure numbers.
     *
     * @return array<string, int>
     */
    private static function vector(Dimension $kind): array
    {
        return match ($kind) {
            Dimension::Volume => ['v' => 1],
            Dimension::Mass => ['m' => 1],
            Dimension::Area => ['a' => 1],
            Dimension::VolumePerArea => ['v' => 1, 'a' => -1],
            Dimension::MassPerArea => ['m' => 1, 'a' => -1],
            Dimension::EquivalentPerArea => ['e' => 1, 'a' => -1],
            Dimension::IngredientPerArea => ['i' => 1, 'a' => -1],
            Dimension::MassPerVolume => ['m' => 1, 'v' => -1],
            Dimension::EquivalentPerVolume => ['e' => 1, 'v' => -1],
            Dimension::IngredientPerVolume => ['i' => 1, 'v' => -1],
            Dimension::MassShare => ['w' => 1],
            Dimension::Duration => ['t' => 1],
            Dimension::VolumePerTime => ['v' => 1, 't' => -1],
            Dimension::ProductShare, Dimension::Count => [],
            default => throw new \LogicException("No sum measures in {$kind->value}."),
        };
    }

    /** What an answer is told in where nobody typed a unit of its kind. */
    private static function unitOf(Dimension $kind): Unit
    {
        return match ($kind) {
            Dimension::Volume => Unit::Litre,
            Dimension::Mass => Unit::Gram,
            Dimension::Area => Unit::SquareMetre,
            Dimension::VolumePerArea => Unit::LitrePerHectare,
            Dimension::MassPerArea => Unit::GramPerHectare,
            Dimension::EquivalentPerArea => Unit::GramEquivalentPerHectare,
            Dimension::IngredientPerArea => Unit::GramIngredientPerHectare,
            Dimension::MassPerVolume => Unit::GramPerLitre,
            Dimension::EquivalentPerVolume => Unit::GramEquivalentPerLitre,
            Dimension::IngredientPerVolume => Unit::GramIngredientPerLitre,
            Dimension::Duration => Unit::Minute,
            Dimension::VolumePerTime => Unit::LitrePerMinute,
            Dimension::MassShare => Unit::PercentByWeight,
            Dimension::ProductShare => Unit::PercentProduct,
            Dimension::Count => Unit::One,
            default => throw new \LogicException("No sum measures in {$kind->value}."),
        };
    }
}
