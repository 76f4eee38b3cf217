<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Brick\Math\BigRational;
use Thicket\Calendar\Day;
use Thicket\Catalogue\Species;
use Thicket\Measure\Quantity;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Timing\EvaluationDate;

/**
 * How many passes a way of working takes to be done, and when it may be judged (rulings J60). Vines, roses and brambles
 * take two to four leaf sprays (our guess), within the card's number; plans are compared by the whole.
 */
final readonly class Passes
{
    private const NEXT_SEASON_DAYS = 330;

    /** @param int|null $weeksToEnd until the judge date of the last planned pass; null for an unnamed plant */
    private function __construct(public int $count, public ?int $weeksToEnd) {}

    public static function of(Situation $situation, Option $option): self
    {
        $method = $option->method;
        $everyDays = $method->passEveryDays() ?? self::NEXT_SEASON_DAYS;
        $count = null;
        foreach (
            [
                ...array_map(static fn($a): string => $a->id(), $option->actives()),
                self::kind($situation->target),
                $situation->target?->isPerennial() === true ? 'perennial' : 'usual',
                'usual',
            ]
            as $key
        ) {
            $count ??= $method->passesOf($key);
        }
        $count ??= 1;
        foreach ($option->cards() as $card) {
            $most = $card->directions->ceilings[0]->applications;
            // a card allows so many a year; the passes of later years come on top
            $count = $most !== null && $everyDays < self::NEXT_SEASON_DAYS ? min($count, $most) : $count;
        }

        return new self($count, self::weeks($situation, $option, ($count - 1) * $everyDays));
    }

    private static function weeks(Situation $situation, Option $option, int $daysToLast): ?int
    {
        if ($situation->target === null) {
            return null;
        }
        $last = $situation->day->modify("+{$daysToLast} days");
        $late = $option->method->showsLateOn($situation->target);
        $judged = $situation->once(
            "judged {$last->format('Y-m-d')} {$late}",
            static fn(): \DateTimeImmutable => EvaluationDate::day($situation->target, $last, $situation->shift, $late),
        );

        return intdiv(Day::between($situation->day, $judged) + 6, 7);
    }

    /**
     * Control of all passes together: from that of one to what it would be were each as good on what is left, at best.
     *
     * @param int|null $low percent of one pass
     * @param int|null $high percent of one pass
     *
     * @return array{int, int}|null
     */
    public function together(?int $low, ?int $high): ?array
    {
        if ($low === null || $high === null || $this->count === 1) {
            return null;
        }
        $left = BigRational::of(100 - $high)
            ->dividedBy(100)
            ->power($this->count);

        return [
            $low,
            BigRational::one()->minus($left)->multipliedBy(100)->toScale(0, \Brick\Math\RoundingMode::HALF_UP)->toInt(),
        ];
    }

    /** Hours of all passes, each taken as the first (our guess: later ones are smaller). */
    public function hours(?Quantity $one): ?Quantity
    {
        return $one?->times($this->count);
    }

    private static function kind(?Species $target): string
    {
        return match (true) {
            $target?->treatmentClass() === 'bramble' => 'bramble',
            $target?->habit() === 'woody-vine', $target?->habit() === 'herbaceous-vine' => 'vine',
            default => '',
        };
    }
}
