<?php

declare(strict_types=1);

namespace Thicket\Learning;

use Thicket\Catalogue\Coefficients;

/**
 * A figure of the table, drawn towards what the crew's own records say (rulings B10). A mean of logarithms, as such
 * figures are off by times rather than by amounts. What ships stands for as many records as `learning/worth` says, so
 * n records pull by n / (n + worth): few pull only a little. The span narrows as they come, but never below what jobs
 * differ by among themselves: of the spread (of logarithms, squared) one part in worth + 1 is what crews differ by and
 * goes as they pull, the rest stays.
 */
final readonly class LearnedFigure
{
    /**
     * @param array{string, string, string} $usual low, use, high as shipped
     * @param array{string, string, string} $three low, use, high as drawn
     * @param int $records behind it
     */
    private function __construct(public string $path, public array $usual, public array $three, public int $records) {}

    /**
     * @param list<Lesson> $lessons that count, of all figures
     *
     * @return array<string, self> by path
     */
    public static function all(array $lessons, Coefficients $shipped): array
    {
        $by = [];
        foreach ($lessons as $lesson) {
            $by[$lesson->path][] = $lesson;
        }
        ksort($by, SORT_STRING);
        $table = $shipped->changeable();
        $out = [];
        foreach ($by as $path => $of) {
            $one = isset($table[$path])
                ? self::of($path, $table[$path]['figures'], $of, $shipped->learning()['worth'])
                : null;
            $one === null || ($out[$path] = $one);
        }

        return $out;
    }

    /**
     * @param array{string, string, string} $usual
     * @param list<Lesson> $lessons
     */
    private static function of(string $path, array $usual, array $lessons, float $worth): ?self
    {
        $weight = $logs = 0.0;
        foreach ($lessons as $lesson) {
            $weight += $lesson->weight;
            $logs += $lesson->weight * log((float) $lesson->seen);
        }
        if ($weight <= 0) {
            return null;
        }
        $pull = $weight / ($weight + $worth);
        [$low, $use, $high] = array_map(floatval(...), $usual);
        $drawn = exp((1 - $pull) * log($use) + ($pull * $logs) / $weight);
        $narrower = sqrt(1 - $pull / ($worth + 1));

        return new self(
            $path,
            $usual,
            [
                Lesson::figure($drawn * ($low / $use) ** $narrower),
                Lesson::figure($drawn),
                Lesson::figure($drawn * ($high / $use) ** $narrower),
            ],
            count($lessons),
        );
    }
}
