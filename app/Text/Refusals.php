<?php

declare(strict_types=1);

namespace App\Text;

/**
 * What is refused, in the language spoken. The rules refuse in English, wherever they stand; here, where an answer
 * leaves, that sentence is looked up (lang/LOCALE/refusals.json), with {1}, {2} for what was filled into it. A sentence
 * that is not found leaves as it came.
 */
final class Refusals
{
    private const PREFIX = 'refused.';

    /** @var array<string, array<string, string>> patterns by locale, each with the words of that language */
    private array $patterns = [];

    public function __construct(private readonly Sentences $sentences) {}

    public function say(string $english): string
    {
        $whole = $this->sentences->own(self::PREFIX . $english);
        if ($whole !== null) {
            return $whole;
        }
        foreach ($this->patterns() as $pattern => $said) {
            if (preg_match($pattern, $english, $filled) === 1) {
                return (string) preg_replace_callback(
                    '/\{(\d)\}/',
                    static fn(array $m): string => $filled[(int) $m[1]] ?? '',
                    $said,
                );
            }
        }

        return $english;
    }

    /** @return array<string, string> those with something filled in, the longest first: it says the most */
    private function patterns(): array
    {
        $locale = $this->sentences->locale();
        if (isset($this->patterns[$locale])) {
            return $this->patterns[$locale];
        }
        $all = array_filter(
            $this->sentences->ownUnder(self::PREFIX),
            static fn(string $english): bool => str_contains($english, '{1}'),
            ARRAY_FILTER_USE_KEY,
        );
        uksort($all, static fn(string $a, string $b): int => strlen($b) <=> strlen($a));
        $patterns = [];
        foreach ($all as $english => $said) {
            $pattern = (string) preg_replace('/\\\\\{\d\\\\\}/', '(.*?)', preg_quote($english, '/'));
            $patterns["/^{$pattern}$/us"] = $said;
        }

        return $this->patterns[$locale] = $patterns;
    }
}
