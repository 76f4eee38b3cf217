<?php

declare(strict_types=1);

namespace App\Support;

/**
 * Canonical JSON after RFC 8785 for what we seal: objects with sorted keys, no white space; strings, whole numbers,
 * booleans and null only.
 */
final class CanonicalJson
{
    public static function of(mixed $value): string
    {
        return json_encode(self::sorted($value), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    private static function sorted(mixed $value): mixed
    {
        if ($value instanceof \stdClass) {
            return (array) $value === [] ? $value : (object) self::sorted((array) $value);
        }
        if (!is_array($value)) {
            return is_float($value) ? (string) $value : $value;
        }
        if (!array_is_list($value)) {
            // by UTF-16 code units, as the RFC asks
            uksort(
                $value,
                static fn(int|string $a, int|string $b): int => strcmp(
                    mb_convert_encoding((string) $a, 'UTF-16BE'),
                    mb_convert_encoding((string) $b, 'UTF-16BE'),
                ),
            );
        }

        return array_map(self::sorted(...), $value);
    }
}
