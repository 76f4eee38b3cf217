<?php

declare(strict_types=1);

namespace Thicket\Season;

use Thicket\Calendar\Day;
use Thicket\Catalogue\Species;

/**
 * When a plant gives itself away: it alone is green while natives are leafless, early in spring or late in autumn, or
 * it is in flower (handbook 4). Late autumn is easiest, but then fruit is ripe and spreads when it is disturbed: that
 * is told beside it.
 */
final readonly class ScoutingSeason
{
    /** Natives of 40 degrees: first leaf (our guess), and bare (rulings J12). */
    private const NATIVES_LEAF_OUT = '04-20';
    private const NATIVES_BARE = '11-01';
    /** Less of a lead than this nobody sees from afar (our guess). */
    private const LEAD_DAYS = 7;

    /** @param string $why alone-green-early, alone-green-late or flower */
    private function __construct(public string $why, public \DateTimeImmutable $until, public bool $fruitIsRipe) {}

    /** What to look for on that day; null where the plant hides among the others, or nobody wrote its dates. */
    public static function on(Species $species, Phenology $phenology, \DateTimeImmutable $day): ?self
    {
        foreach (self::spans($species, $phenology, $day) as $why => [$first, $last]) {
            if ($first !== null && $last !== null && $day >= $first && $day <= $last) {
                return new self($why, $last, $phenology->mayFruitOn($day) === true);
            }
        }

        return null;
    }

    /**
     * @return iterable<string, array{\DateTimeImmutable|null, \DateTimeImmutable|null}> first and last day, the surest
     *     sign first
     */
    private static function spans(Species $species, Phenology $phenology, \DateTimeImmutable $day): iterable
    {
        $year = Day::year($day);
        $natives = $phenology->local(self::NATIVES_LEAF_OUT, $year);
        $bare = $phenology->local(self::NATIVES_BARE, $year);
        if ($species->isWoody() && !$species->isConifer()) {
            $out = $species->isEvergreen() ? Day::of($year, 1, 1) : $phenology->dayOf('leafOut', $year);
            $fall = $species->isEvergreen() ? Day::of($year, 12, 31) : $phenology->dayOf('leafFall', $year);
            if ($out !== null && Day::between($out, $natives) >= self::LEAD_DAYS) {
                yield 'alone-green-early' => [$out, $natives->modify('-1 day')];
            }
            if ($fall !== null && Day::between($bare, $fall) >= self::LEAD_DAYS) {
                yield 'alone-green-late' => [$bare, $fall];
            }
        }
        $flowers = $phenology->flowers($year);
        yield 'flower' => [$flowers['from'] ?? null, $flowers['to'] ?? null];
    }
}
