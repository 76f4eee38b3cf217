<?php

declare(strict_types=1);

namespace App\Text;

/**
 * What differs between two versions of a label card, field by field, as it was typed (rulings B8); of a list only the
 * lines that differ.
 */
final readonly class CardChanges
{
    public function __construct(private Sentences $sentences) {}

    /**
     * @param array<string, mixed> $was
     * @param array<string, mixed> $now
     *
     * @return list<array{field: string, was: string, now: string}>
     */
    public function between(array $was, array $now): array
    {
        $out = [];
        foreach (array_keys($now + $was) as $field) {
            $before = $was[$field] ?? null;
            $after = $now[$field] ?? null;
            if ($before === $after) {
                continue;
            }
            if (is_array($before) && is_array($after) && array_is_list($before) && array_is_list($after)) {
                [$before, $after] = [self::without($before, $after), self::without($after, $before)];
            }
            $out[] = ['field' => (string) $field, 'was' => $this->plain($before), 'now' => $this->plain($after)];
        }

        return $out;
    }

    /**
     * @param list<mixed> $lines
     * @param list<mixed> $others
     *
     * @return list<mixed>
     */
    private static function without(array $lines, array $others): array
    {
        return array_values(array_filter($lines, static fn(mixed $line): bool => !in_array($line, $others, true)));
    }

    private function plain(mixed $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) && array_is_list($value) => implode('; ', array_map($this->plain(...), $value)),
            is_array($value) => $this->line($value),
            default => is_scalar($value) ? (string) $value : '',
        };
    }

    /** @param array<mixed> $line an amount, an active with its amount, or a use with what it allows */
    private function line(array $line): string
    {
        if (isset($line['typed']) || isset($line['value'])) {
            return is_string($line['typed'] ?? null)
                ? $line['typed']
                : trim(implode(' ', array_filter([$line['value'] ?? '', $line['unit'] ?? ''], is_string(...))));
        }
        $parts = [];
        foreach ($line as $name => $value) {
            if ($value === false) {
                continue;
            }
            $said = match (true) {
                ($name === 'stages' || $name === 'sites') && is_array($value) => implode(
                    ', ',
                    array_map(fn(mixed $s): string => $this->known(rtrim($name, 's'), $s), $value),
                ),
                $value === true => '',
                $name === 'method' => $this->known('method', $value),
                $name === 'active' => is_string($value) ? $value : '',
                default => $this->plain($value),
            };
            $parts[] = in_array($name, ['method', 'active', 'amount', 'stages', 'sites'], true)
                ? $said
                : trim($this->known('card-line', $name) . ' ' . $said);
        }

        return implode(', ', $parts);
    }

    private function known(string $kind, mixed $id): string
    {
        $id = is_scalar($id) ? (string) $id : '';

        return $this->sentences->has("{$kind}.{$id}") ? $this->sentences->name("{$kind}.{$id}") : $id;
    }
}
