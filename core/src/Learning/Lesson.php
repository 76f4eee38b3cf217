<?php

declare(strict_types=1);

namespace Thicket\Learning;

use Thicket\Catalogue\Coefficients;

/** What one signed record says of one figure: what was planned with, and what it would have to be to come out right. */
final readonly class Lesson
{
    public const MIX = 'mix';
    public const HANDS = 'hands';
    /** Tables of rates: who takes half as long goes twice as fast. */
    private const RATES = ['hectaresPerHour', 'kilometresPerHour'];

    /**
     * @param string $planned the figure planned with, in the unit of the table
     * @param string $seen the figure that the record came to
     * @param float $weight 0 to 1: a record of few plants, or one in which the figure had a small part, says less
     * @param bool $asked so far from the usual that a person is asked before it counts
     * @param string $of what the record tells: mix, hands
     */
    public function __construct(
        public string $path,
        public string $planned,
        public string $seen,
        public float $weight,
        public bool $asked,
        public string $of = self::MIX,
    ) {}

    /**
     * Every figure of the plan is off by as much as the whole was: the record does not tell them apart, so each has the
     * weight of its share, and where one of them is out of the common all are asked about at once.
     *
     * @param list<PlannedFigure> $figures
     * @param float $ratio what it took to what was planned for as much work, above nought
     * @param int $done plants that the record is of; 0 where it goes by ground
     *
     * @return list<self> in the order of the figures
     */
    public static function of(string $of, array $figures, float $ratio, int $done, Coefficients $shipped): array
    {
        $terms = $shipped->learning();
        $table = $shipped->changeable();
        $seen = [];
        $asked = false;
        foreach ($ratio > 0 ? $figures : [] as $one) {
            $usual = $table[$one->path]['figures'] ?? null;
            if ($usual === null || $one->share <= 0) {
                continue;
            }
            $isRate = in_array(explode('/', $one->path)[0], self::RATES, true);
            $value = $isRate ? (float) $one->figure / $ratio : (float) $one->figure * $ratio;
            $seen[] = [$one, $value];
            $asked =
                $asked ||
                $value < (float) $usual[0] / $terms['askBeyond'] ||
                $value > (float) $usual[2] * $terms['askBeyond'];
        }
        $weight = $done === 0 ? 1.0 : min(1.0, $done / $terms['wholeFrom']);

        return array_map(
            static fn(array $one): self => new self(
                $one[0]->path,
                $one[0]->figure,
                self::figure($one[1]),
                $one[0]->share * $weight,
                $asked,
                $of,
            ),
            $seen,
        );
    }

    /** Three significant digits, as plain decimals. */
    public static function figure(float $value): string
    {
        $decimals = $value <= 0 ? 0 : max(0, 2 - (int) floor(log10($value)));
        $text = number_format($value, $decimals, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
