<?php

declare(strict_types=1);

namespace App\Support;

/** The same thing told in two languages: what differs in the second, to be laid over the first. */
final class Wording
{
    private function __construct() {}

    /**
     * @param array<array-key, mixed> $first
     * @param array<array-key, mixed> $other of the same shape; where it is not, the first stays
     *
     * @return array<array-key, mixed> the texts of the other that differ, at their places
     */
    public static function differing(array $first, array $other): array
    {
        $differing = [];
        foreach ($first as $key => $value) {
            $said = $other[$key] ?? null;
            if (is_string($value) && is_string($said) && $value !== $said) {
                $differing[$key] = $said;
            } elseif (is_array($value) && is_array($said) && array_keys($value) === array_keys($said)) {
                $within = self::differing($value, $said);
                $within === [] || ($differing[$key] = $within);
            }
        }

        return $differing;
    }

    /**
     * @param array<array-key, mixed> $first
     * @param array<array-key, mixed> $differing as {@see differing()} gave it
     *
     * @return array<array-key, mixed>
     */
    public static function over(array $first, array $differing): array
    {
        return array_replace_recursive($first, $differing);
    }
}
