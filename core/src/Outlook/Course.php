<?php

declare(strict_types=1);

namespace Thicket\Outlook;

/** Which way is taken in which year. */
final readonly class Course
{
    public const PLANNED = 'planned';
    public const SKIP_A_YEAR = 'skip-a-year';
    public const STOP_AFTER_TWO = 'stop-after-two';
    public const BY_HAND = 'non-chemical';
    public const NEXT_YEAR = 'start-next-year';
    public const LEAVE = 'leave';

    /** @param array<int, bool> $years by number of the year, the first is 1; what is not there is not worked in */
    private function __construct(public string $id, public ?Way $way, private array $years) {}

    /**
     * As planned, with a year left out, given up after two, without product, begun a year later, left alone.
     *
     * @param Way|null $byHand the best way without product; null where the planned one has none, or none is known
     *
     * @return list<self>
     */
    public static function all(Way $planned, ?Way $byHand, int $years): array
    {
        $every = array_fill(1, $years, true);

        return [
            new self(self::PLANNED, $planned, $every),
            new self(self::SKIP_A_YEAR, $planned, array_diff_key($every, [2 => true])),
            new self(self::STOP_AFTER_TWO, $planned, array_intersect_key($every, [1 => true, 2 => true])),
            ...$byHand === null ? [] : [new self(self::BY_HAND, $byHand, $every)],
            new self(self::NEXT_YEAR, $planned, array_diff_key($every, [1 => true])),
            new self(self::LEAVE, null, []),
        ];
    }

    public function wayIn(int $year): ?Way
    {
        return $this->years[$year] ?? false ? $this->way : null;
    }
}
