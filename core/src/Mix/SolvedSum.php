<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Catalogue\SumTable;
use Thicket\Measure\Quantity;

/** What followed from the figures that were given, what contradicts, and what would be enough to know more. */
final readonly class SolvedSum
{
    /**
     * More than six: an answer with all that was told on the way to it.
     *
     * @param array<string, Quantity> $given
     * @param array<string, Quantity> $values every figure known now, typed ones included
     * @param list<array{code: string, field: string, typed: Quantity, follows: Quantity|null,
     *     from: list<string>}> $faults contradiction, other-kind, other-basis, parts-above-whole, parts-above-all,
     *     above-whole, above-label, limits-crossed
     * @param list<string> $unchecked limits that were given and could not be held against any figure
     * @param list<array{code: string, field: string, typed: Quantity, follows: Quantity|null,
     *     from: list<string>}> $warnings below-label: allowed, but too weak by the label to work as it says
     * @param array<string, array<string, Quantity>> $atLimits limit => amount's field => that amount at the limit
     */
    public function __construct(
        public SumTable $table,
        public array $given,
        public array $values,
        public array $faults,
        public array $unchecked = [],
        public array $warnings = [],
        private array $atLimits = [],
    ) {}

    public function value(string $field): ?Quantity
    {
        return $this->values[$field] ?? null;
    }

    /** What is measured out: the product, or what the tool is read for; null where neither is known. */
    public function toMeasure(): ?Quantity
    {
        return $this->value('product') ?? $this->value('measured');
    }

    /**
     * The most of it that measuring may come to: what the label allows, or, where it does not say or cannot be told,
     * the amount itself.
     */
    public function mostToMeasure(): ?Quantity
    {
        return $this->atLimit('labelMost') ?? $this->toMeasure();
    }

    /** Whether a tool's reading falls under the least of the label that the sum itself reaches. */
    public function isShort(Quantity $read): bool
    {
        $least = $this->atLimit('labelLeast');

        return $least !== null && $this->warnings === [] && $read->isLessThan($least);
    }

    private function atLimit(string $limit): ?Quantity
    {
        return $this->atLimits[$limit][$this->value('product') === null ? 'measured' : 'product'] ?? null;
    }

    /** @return array<string, Quantity> figures nobody typed */
    public function found(): array
    {
        return array_diff_key($this->values, $this->given);
    }

    /** Whether anything was found that one of the ways of the sum gives; what only rests on a default is no answer. */
    private function hasAnswer(): bool
    {
        return array_intersect(
            array_keys($this->found()),
            array_merge(...array_map(static fn(array $way): array => $way['gives'], $this->table->ways())),
        ) !== [];
    }

    /**
     * contradiction, cannotTell (nothing followed), solved-unchecked (a limit was given that nothing could be held
     * against), or solved.
     */
    public function state(): string
    {
        return match (true) {
            $this->faults !== [] => 'contradiction',
            !$this->hasAnswer() => 'cannotTell',
            $this->unchecked !== [] => 'solved-unchecked',
            default => 'solved',
        };
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
        usort($out, static fn(array $a, array $b): int => count($a['missing']) <=> count($b['missing']));

        return $out;
    }
}
