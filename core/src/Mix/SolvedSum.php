<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Quantity;

/** What followed from the figures that were given, what contradicts, and what would be enough to know more. */
final readonly class SolvedSum
{
    /**
     * @param array<string, Quantity> $given
     * @param array<string, Quantity> $values every figure known now, typed ones included
     * @param list<array{code: string, field: string, typed: Quantity, follows: Quantity|null, from: list<string>}> $faults contradiction, other-kind, parts-above-whole, above-whole, above-label
     */
    public function __construct(public SumTable $table, public array $given, public array $values, public array $faults)
    {
    }

    public function value(string $field): ?Quantity
    {
        return $this->values[$field] ?? null;
    }

    /** @return array<string, Quantity> figures nobody typed */
    public function found(): array
    {
        return array_diff_key($this->values, $this->given);
    }

    public function isSound(): bool
    {
        return $this->faults === [];
    }

    /**
     * Ways that would give more, those that need the fewest further figures first.
     *
     * @return list<array{missing: list<string>, gives: list<string>}>
     */
    public function next(): array
    {
        $out = [];
        foreach ($this->table->ways() as $way) {
            $missing = array_values(array_diff($way['known'], array_keys($this->values)));
            $gives = array_values(array_diff($way['gives'], array_keys($this->values)));
            if ($missing !== [] && $gives !== []) {
                $out[] = ['missing' => $missing, 'gives' => $gives];
            }
        }
        usort($out, static fn (array $a, array $b): int => count($a['missing']) <=> count($b['missing']));

        return $out;
    }
}
