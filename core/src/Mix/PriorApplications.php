<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Label\LabelLimit;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Survey\Outline;
use Thicket\Survey\Overlap;

/** What earlier work put of one active on the ground of a job, by the year that a card counts (rulings J7). */
final readonly class PriorApplications
{
    /**
     * @param array<string, array{loads: list<Quantity>, times: int}> $byYear by {@see LabelLimit::YEARS}; loads per
     * area on the heaviest spot, one of each kind; times counts the days of it
     */
    public function __construct(private array $byYear = []) {}

    /**
     * What lies on a patch by each way in which a card counts a year.
     *
     * @param Outline|null $patch null where nobody drew it: then only its own work counts
     * @param list<PastLoad> $all
     * @param bool $south whether the ground lies there, where the year of a season turns in July
     */
    public static function of(?Outline $patch, array $all, \DateTimeImmutable $today, bool $south): self
    {
        $byYear = [];
        foreach ($all === [] ? [] : LabelLimit::YEARS as $year) {
            $from = LabelLimit::yearBegins($year, $today, $south)->format('Y-m-d');
            $since = array_filter($all, static fn(PastLoad $one): bool => $one->day->format('Y-m-d') >= $from);
            $byYear[$year] = self::onHeaviestSpot($patch, array_values($since));
        }

        return new self($byYear);
    }

    /**
     * @param list<PastLoad> $all
     *
     * @return array{loads: list<Quantity>, times: int} one load of each kind
     */
    private static function onHeaviestSpot(?Outline $patch, array $all): array
    {
        $days = [];
        /** @var array<string, Quantity> $here */
        $here = [];
        /** @var array<string, list<array{outline: Outline, load: Quantity}>> $elsewhere */
        $elsewhere = [];
        foreach ($all as $one) {
            if (!$one->reaches($patch)) {
                continue;
            }
            $day = $one->day->format('Y-m-d');
            $days[$day] = true;
            // work of which nobody knows how much: a kind of its own, so that nothing is told of the sum
            $load = $one->load ?? Quantity::of(1, Unit::One);
            $kind = $load->dimension()->value;
            if ($one->isHere) {
                $here[$kind] = isset($here[$kind]) ? $here[$kind]->plus($load) : $load;
            } elseif ($one->outline !== null) {
                $elsewhere[$kind][] = ['outline' => $one->outline, 'load' => $load];
            }
        }
        $loads = [];
        foreach (array_keys($here + $elsewhere) as $kind) {
            $own = $here[$kind] ?? null;
            $shared =
                $patch === null || !isset($elsewhere[$kind]) ? null : Overlap::heaviest($patch, $elsewhere[$kind]);
            $sum = $own === null || $shared === null ? $own ?? $shared : $own->plus($shared);
            $sum === null || ($loads[] = $sum);
        }

        return ['loads' => $loads, 'times' => count($days)];
    }

    /** @return list<Quantity> */
    public function loads(string $year): array
    {
        return $this->byYear[$year]['loads'] ?? [];
    }

    public function times(string $year): int
    {
        return $this->byYear[$year]['times'] ?? 0;
    }
}
