<?php

declare(strict_types=1);

namespace Thicket\Review;

use Thicket\Calendar\Day;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\Cover;
use Thicket\Economics\CoverSeed;
use Thicket\Measure\Quantity;
use Thicket\Season\LocalSpans;

/**
 * What may fill the gap, and when: each kind of cover in its next sowing days here, not before the labels of what was
 * put there let anything be sown (handbook 2 and 7 "restoration"). Rates are typical: the bag rules.
 *
 * @phpstan-type Sowing array{cover: Cover, first: \DateTimeImmutable, last: \DateTimeImmutable, seed: Quantity|null}
 */
final readonly class GapPlan
{
    /**
     * @param \DateTimeImmutable|null $from the first day on which anything may be sown; null where a label does not say
     * @param list<Sowing> $sowings the soonest first
     */
    private function __construct(public ?\DateTimeImmutable $from, public array $sowings) {}

    /**
     * @param list<Cover> $covers
     * @param list<int|null> $replantDays of every product that was put there; null where its card does not say
     * @param Quantity|null $area that lies open
     */
    public static function of(
        array $covers,
        SeasonShift $shift,
        \DateTimeImmutable $worked,
        array $replantDays,
        \DateTimeImmutable $today,
        ?Quantity $area,
    ): self {
        $known = !in_array(null, $replantDays, true);
        $wait = $replantDays === [] ? 0 : max(array_map(static fn(?int $days): int => $days ?? 0, $replantDays));
        $free = $worked->add(new \DateInterval("P{$wait}D"));
        $from = max($today, $free);
        $sowings = [];
        foreach ($known ? $covers : [] as $cover) {
            $next = self::next($cover, $shift, $from);
            $next === null ||
                ($sowings[] = [
                    'cover' => $cover,
                    'first' => $next[0],
                    'last' => $next[1],
                    'seed' => $area === null ? null : CoverSeed::over($cover, $area),
                ]);
        }
        usort(
            $sowings,
            static fn(array $a, array $b): int => [$a['first'], $a['cover']->id()] <=> [$b['first'], $b['cover']->id()],
        );

        return new self($known ? $free : null, $sowings);
    }

    /** @return array{\DateTimeImmutable, \DateTimeImmutable}|null the next days of sowing that are not over by then */
    private static function next(Cover $cover, SeasonShift $shift, \DateTimeImmutable $from): ?array
    {
        $found = null;
        foreach ($cover->sown() as $span) {
            foreach ([Day::year($from), Day::year($from) + 1] as $year) {
                foreach (LocalSpans::within($shift, $span, $year) as ['first' => $first, 'last' => $last]) {
                    $first = max($first, $from);
                    if ($first <= $last && ($found === null || $first < $found[0])) {
                        $found = [$first, $last];
                    }
                }
            }
        }

        return $found;
    }
}
