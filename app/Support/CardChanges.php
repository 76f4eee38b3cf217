<?php

declare(strict_types=1);

namespace App\Support;

/** What differs between two versions of a label card, field by field, as it was typed (rulings B8). */
final readonly class CardChanges
{
    private function __construct()
    {
    }

    /**
     * @param array<string, mixed> $was
     * @param array<string, mixed> $now
     *
     * @return list<array{field: string, was: string, now: string}>
     */
    public static function between(array $was, array $now): array
    {
        $out = [];
        foreach (array_keys($now + $was) as $field) {
            $before = $was[$field] ?? null;
            $after = $now[$field] ?? null;
            if ($before !== $after) {
                $out[] = ['field' => (string) $field, 'was' => self::plain($before), 'now' => self::plain($after)];
            }
        }

        return $out;
    }

    private static function plain(mixed $value): string
    {
        return match (true) {
            $value === null => '', is_bool($value) => $value ? 'yes' : 'no', is_array($value) => (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES), default => is_scalar($value) ? (string) $value : '',
        };
    }
}
