<?php

declare(strict_types=1);

namespace Thicket\Review;

use Brick\Math\RoundingMode;
use Thicket\Calendar\Day;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\Cover;
use Thicket\Catalogue\DaySpan;
use Thicket\Catalogue\Planting;
use Thicket\Catalogue\Species;
use Thicket\Economics\CoverSeed;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Season\LocalSpans;

/**
 * What may fill the gap, and when: fast covers, and what is planted to stay, each in its next days here, not before the
 * labels of what was put there let anything be sown (handbook 2, 7 "restoration", 8 "refill"). Rates and distances are
 * typical: the bag and the nursery rule.
 *
 * @phpstan-type Sowing array{cover: Cover, first: \DateTimeImmutable, last: \DateTimeImmutable, seed: Quantity|null}
 * @phpstan-type Stay array{kind: Planting, first: \DateTimeImmutable, last: \DateTimeImmutable, seed: Quantity|null,
 *     plants: int|null, natives: list<Species>}
 */
final readonly class GapPlan
{
    /**
     * @param \DateTimeImmutable|null $from the first day on which anything may be sown; null where a label does not say
     * @param list<Sowing> $sowings the soonest first
     * @param list<Stay> $plantings the soonest first
     */
    private function __construct(public ?\DateTimeImmutable $from, public array $sowings, public array $plantings) {}

    /** @param list<int|null> $replantDays of every product that was put there; null where its card does not say */
    public static function of(
        Catalogue $catalogue,
        SeasonShift $shift,
        \DateTimeImmutable $worked,
        array $replantDays,
        \DateTimeImmutable $today,
        OpenGround $ground,
    ): self {
        if (in_array(null, $replantDays, true)) {
            return new self(null, [], []);
        }
        $wait = $replantDays === [] ? 0 : max($replantDays);
        $free = $worked->add(new \DateInterval("P{$wait}D"));
        $from = max($today, $free);
        $sowings = $plantings = [];
        foreach ($catalogue->covers() as $cover) {
            $next = self::next($cover->sown(), $shift, $from);
            $seed = $ground->area === null ? null : CoverSeed::over($cover->rate(), $ground->area);
            $next === null || ($sowings[] = ['cover' => $cover, 'seed' => $seed] + $next);
        }
        foreach ($catalogue->plantings() as $kind) {
            $next = self::next($kind->planted(), $shift, $from);
            $rate = $kind->rate();
            $next === null ||
                ($plantings[] =
                    [
                        'kind' => $kind,
                        'seed' =>
                            $rate === null || $ground->area === null ? null : CoverSeed::over($rate, $ground->area),
                        'plants' => self::plants($kind, $ground->area),
                        'natives' => self::natives($catalogue, $kind, $ground),
                    ] + $next);
        }
        usort(
            $sowings,
            static fn(array $a, array $b): int => [$a['first'], $a['cover']->id()] <=> [$b['first'], $b['cover']->id()],
        );
        usort(
            $plantings,
            static fn(array $a, array $b): int => [$a['first'], $a['kind']->id()] <=> [$b['first'], $b['kind']->id()],
        );

        return new self($free, $sowings, $plantings);
    }

    /** One in every square of their distance, rounded up; null for what is sown, or where nobody drew the ground. */
    private static function plants(Planting $kind, ?Quantity $area): ?int
    {
        $apart = $kind->apart()?->in(Unit::Metre);

        return $apart === null || $area === null
            ? null
            : $area->in(Unit::SquareMetre)->dividedBy($apart->power(2))->toScale(0, RoundingMode::UP)->toInt();
    }

    /** @return list<Species> that live in such a place and are not fought there, by name */
    private static function natives(Catalogue $catalogue, Planting $kind, OpenGround $ground): array
    {
        $natives = array_filter(
            $catalogue->allSpecies(),
            static fn(Species $s): bool => in_array($kind->id(), $s->plantedAs(), true) &&
                in_array($ground->setting, $s->settings(), true) &&
                !in_array($s->id(), $ground->targets, true),
        );
        usort($natives, static fn(Species $a, Species $b): int => $a->commonName() <=> $b->commonName());

        return $natives;
    }

    /**
     * The next days that are not over by then.
     *
     * @param list<DaySpan> $spans
     *
     * @return array{first: \DateTimeImmutable, last: \DateTimeImmutable}|null
     */
    private static function next(array $spans, SeasonShift $shift, \DateTimeImmutable $from): ?array
    {
        $found = null;
        foreach ($spans as $span) {
            foreach ([Day::year($from), Day::year($from) + 1] as $year) {
                foreach (LocalSpans::within($shift, $span, $year) as ['first' => $first, 'last' => $last]) {
                    $first = max($first, $from);
                    if ($first <= $last && ($found === null || $first < $found['first'])) {
                        $found = ['first' => $first, 'last' => $last];
                    }
                }
            }
        }

        return $found;
    }
}
