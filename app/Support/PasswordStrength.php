<?php

declare(strict_types=1);

namespace App\Support;

/**
 * Whether a new password is hard enough to guess (ASVS 2.1): long, not commonly used, not one pattern, not the person's
 * own name.
 */
final class PasswordStrength
{
    public const SHORTEST = 12;
    public const LONGEST = 128;
    private const LEAST_DIFFERENT = 6;
    private const ROWS = [
        'abcdefghijklmnopqrstuvwxyz',
        '01234567890',
        'qwertyuiop',
        'asdfghjkl',
        'zxcvbnm',
        'qwertzuiop',
        'azertyuiop',
    ];

    /**
     * @param list<string> $own words that others know of the person: name, address, crew
     *
     * @return string|null what is wrong and what would be right; null where it will do
     */
    public static function fault(string $password, array $own): ?string
    {
        $length = mb_strlen($password);
        if ($length < self::SHORTEST || $length > self::LONGEST) {
            return 'Take ' .
                self::SHORTEST .
                ' to ' .
                self::LONGEST .
                ' letters; a few words that nobody would put together are good.';
        }
        $folded = mb_strtolower($password);
        $letters = self::plain($folded);
        if (count(array_unique(mb_str_split($folded))) < self::LEAST_DIFFERENT || self::isRun($folded)) {
            return 'This is one pattern over and over; take a few words that nobody would put together.';
        }
        foreach ($own as $word) {
            foreach (preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower($word)) ?: [] as $part) {
                // what is left beside one's own name must be long enough by itself
                if (
                    mb_strlen($part) >= 4 &&
                    mb_strlen(str_replace($part, '', $folded)) < self::SHORTEST - 4 &&
                    str_contains($folded, $part)
                ) {
                    return 'This holds your own name or address; take words that have nothing to do with you.';
                }
            }
        }
        $common = self::common();
        $core = preg_replace('/^[\d\W_]+|[\d\W_]+$/u', '', $letters) ?? $letters;
        $half = mb_substr($letters, 0, intdiv(mb_strlen($letters), 2));

        return isset($common[$folded]) ||
            isset($common[$core]) ||
            ($half . $half === $letters && isset($common[$half])) ||
            self::ofCommon($letters, $common)
            ? 'Many people use this one, so it is tried first; take a few words that nobody would put together.'
            : null;
    }

    /** Figures and signs that stand for letters are read as the letters. */
    private static function plain(string $folded): string
    {
        return strtr($folded, [
            '0' => 'o',
            '3' => 'e',
            '4' => 'a',
            '@' => 'a',
            '$' => 's',
            '5' => 's',
            '7' => 't',
            '!' => 'i',
        ]);
    }

    /** A row of the alphabet or of a keyboard, onward or back, again and again. */
    private static function isRun(string $folded): bool
    {
        $steps = 0;
        $letters = mb_str_split($folded);
        foreach (array_slice($letters, 1) as $i => $letter) {
            $pair = $letters[$i] . $letter;
            foreach (self::ROWS as $row) {
                if (str_contains($row, $pair) || str_contains(strrev($row), $pair)) {
                    ++$steps;
                    break;
                }
            }
        }

        return $steps >= (count($letters) - 1) * 0.7;
    }

    /** @param array<string, true> $common made of nothing but common ones, figures and signs */
    private static function ofCommon(string $letters, array $common): bool
    {
        $rest = $letters;
        foreach (array_keys($common) as $word) {
            $word = (string) $word;
            mb_strlen($word) >= 4 && ($rest = str_replace($word, '', $rest));
        }

        return mb_strlen((string) preg_replace('/[\d\W_]+/u', '', $rest)) < 5;
    }

    /** @return array<string, true> longest first */
    private static function common(): array
    {
        static $words = null;
        if ($words === null) {
            $lines = array_filter(
                array_map(trim(...), file(resource_path('common-passwords.txt')) ?: []),
                static fn(string $l): bool => $l !== '' && $l[0] !== '#',
            );
            usort($lines, static fn(string $a, string $b): int => strlen($b) <=> strlen($a));
            $words = array_fill_keys($lines, true);
        }

        return $words;
    }
}
