<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/** The days of the week on which somebody works, how long, and when they are away. */
final readonly class WorkingWeek
{
    /** A crew-day of handbook 9: six hours, Monday to Friday. */
    public const USUAL_MINUTES = 360;
    public const USUAL_DAYS = [1, 2, 3, 4, 5];

    /**
     * @param list<int> $days ISO: 1 Monday to 7 Sunday
     * @param int $minutes a day, ways included
     */
    public function __construct(public array $days = self::USUAL_DAYS, public int $minutes = self::USUAL_MINUTES) {}

    /**
     * @param list<array{\DateTimeImmutable, \DateTimeImmutable}> $away first and last day of each time away
     *
     * @return array<string, int> minutes by day (Y-m-d), days without work left out
     */
    public function minutes(\DateTimeImmutable $first, \DateTimeImmutable $last, array $away = []): array
    {
        $out = [];
        for ($day = $first; $day <= $last; $day = $day->modify('+1 day')) {
            if (!in_array((int) $day->format('N'), $this->days, true)) {
                continue;
            }
            foreach ($away as [$from, $until]) {
                if ($from <= $day && $day <= $until) {
                    continue 2;
                }
            }
            $out[$day->format('Y-m-d')] = $this->minutes;
        }

        return $out;
    }
}
