<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/**
 * Finds species by any name or synonym, tolerant of spelling: names that begin with the words come first, then those
 * that hold them, then those within a slip of the pen: one wrong, missing or added letter for every four typed.
 */
final readonly class NameSearch
{
    private const LETTERS_PER_SLIP = 4;

    /** @param array<string, list<string>> $further names of another language, by species */
    public function __construct(private Catalogue $catalogue, private array $further = []) {}

    /**
     * @return list<array{species: string, name: string, closeness: int}> best first; name is the one that fitted,
     * closeness 0 begins with, 1 holds, 2 and more slips
     */
    public function find(string $typed): array
    {
        $found = [];
        foreach ($this->catalogue->allSpecies() as $species) {
            $best = self::closest($typed, [...$this->further[$species->id()] ?? [], ...$species->allNames()]);
            $best === null || ($found[] = ['species' => $species->id(), ...$best]);
        }
        usort(
            $found,
            static fn(array $a, array $b): int => [$a['closeness'], $a['name']] <=> [$b['closeness'], $b['name']],
        );

        return $found;
    }

    /**
     * Which of the names of one thing fits what was typed best.
     *
     * @param list<string> $names
     *
     * @return array{name: string, closeness: int}|null null: none of them, or nothing was typed
     */
    public static function closest(string $typed, array $names): ?array
    {
        $words = self::plain($typed);
        $best = null;
        foreach ($words === '' ? [] : $names as $name) {
            $closeness = self::closeness($words, self::plain($name));
            if ($closeness !== null && ($best === null || $closeness < $best['closeness'])) {
                $best = ['name' => $name, 'closeness' => $closeness];
            }
        }

        return $best;
    }

    private static function closeness(string $words, string $name): ?int
    {
        if (str_starts_with($name, $words)) {
            return 0;
        }
        if (str_contains($name, $words)) {
            return 1;
        }
        $most = intdiv(strlen($words), self::LETTERS_PER_SLIP);
        $least = null;
        foreach ($most === 0 ? [] : [$name, ...explode(' ', $name)] as $part) {
            $slips = levenshtein($words, $part);
            $least = $slips <= $most && ($least === null || $slips < $least) ? $slips : $least;
        }

        return $least === null ? null : 1 + $least;
    }

    /**
     * Small letters without their accents, spaces between words, nothing else: "St John's-wort" reads "st johns wort",
     * "Táscate" "tascate".
     */
    private static function plain(string $text): string
    {
        $text = str_replace(["'", '’'], '', mb_strtolower(mb_substr($text, 0, 80)));
        $apart = \Normalizer::normalize($text, \Normalizer::FORM_D);
        $text = (string) preg_replace('/\p{Mn}+/u', '', is_string($apart) ? $apart : $text);

        return trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', $text));
    }
}
