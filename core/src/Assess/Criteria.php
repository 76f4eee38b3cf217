<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Brick\Math\RoundingMode;
use Thicket\Catalogue\WindowGrade;
use Thicket\Economics\Labour;
use Thicket\Economics\Money;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Timing\SeasonWindows;

/**
 * The figures by which rows are weighed: expected control of one pass in its window, harm step, hours, money
 * (handbook 9). Our guesses until the crew's records say otherwise; ranges always shown (rulings B10).
 */
final readonly class Criteria
{
    /** 1 least to 5 most. */
    public int $harm;
    /** 1 none expected to 5 loss. */
    public int $keepInjury;
    /** Percent of plants dead at the judge date, low, use and high; null where not known. */
    public ?int $controlLow;
    public ?int $controlUse;
    public ?int $controlHigh;
    /** Minutes with hands on the plants, walking apart; null without a tally. */
    public ?Quantity $minutes;
    /** Weeks until it shows, first and latest; null where nobody knows. */
    public ?int $weeksLow;
    public ?int $weeksHigh;
    /** Weeks till the whole plan may be scored (rulings J60). */
    public ?int $weeksToEnd;

    /**
     * @param list<int> $control low, use, high; empty where not known
     * @param list<int> $weeks first and latest; empty where not known
     * @param array{int, int} $harms of the way, 1 least to 5 most; to what is kept, 1 none expected to 5 loss
     * @param Labour $labour hours of one pass with walking and setting up, as far as they are known
     */
    private function __construct(
        array $control,
        array $weeks,
        array $harms,
        public Labour $labour,
        public ?Money $money,
        public Passes $passes,
    ) {
        [$this->controlLow, $this->controlUse, $this->controlHigh] = $control + [null, null, null];
        [$this->weeksLow, $this->weeksHigh] = $weeks + [null, null];
        [$this->harm, $this->keepInjury] = $harms;
        $this->minutes = $labour->hands[1] ?? null;
        $this->weeksToEnd = $passes->weeksToEnd;
    }

    public static function of(Situation $situation, Option $option): self
    {
        $labour = Labour::of($situation, $option);

        return new self(
            self::control($situation, $option),
            self::weeks($option),
            [$option->harm(), KeepInjury::of($situation, $option)],
            $labour,
            Money::of($situation, $option, $labour),
            Passes::of($situation, $option),
        );
    }

    /** @return list<int> first and last week in which it shows; the method's own word goes before the active's */
    private static function weeks(Option $option): array
    {
        $own = $option->method->weeksToShow();

        return $own !== []
            ? $own
            : array_map(
                static fn(Quantity $q): int => $q->in(Unit::Day)->dividedBy(7)->toScale(0, RoundingMode::UP)->toInt(),
                $option->active?->daysToShow() ?? [],
            );
    }

    /** Spring on perennials, unless the season of this plant is its best one by now (mesquite in warm ground). */
    private static function killsTopsOnly(Situation $situation, Option $option): bool
    {
        $window = SeasonWindows::for($situation, $option)?->on($situation->day);

        return $window?->grade !== WindowGrade::Best && $situation->flow() === 'up';
    }

    /**
     * The active of the tank with the highest known control; never a sum (rulings J41).
     *
     * @param array<string, list<int>> $table
     */
    private static function strongest(array $table, Option $option): string
    {
        $best = '';
        foreach ($option->actives() as $active) {
            $id = $active->id();
            if (isset($table[$id]) && ($best === '' || $table[$id][1] > $table[$best][1])) {
                $best = $id;
            }
        }

        return $best;
    }

    /** @return list<int> low, use, high; empty where not known */
    private static function control(Situation $situation, Option $option): array
    {
        $table = $option->method->control();
        $target = $situation->target;
        // what a method does to a plant that nobody knows is not known either
        if ($target === null) {
            return [];
        }
        // a figure of handbook 9 is of what an active controls; of what it only holds back, or nobody knows, expect
        // less, how much is not known
        if ($option->active !== null && $option->bestResponse($target)[0] !== 'controls') {
            return [];
        }
        $key = match ($option->method->controlBy()) {
            'active' => self::strongest($table, $option),
            // what brambles answered in trials, sprayed after the stream had turned down (handbook 3)
            'bramble' => $target->treatmentClass() === 'bramble' && $situation->flow() === 'down'
                ? self::strongest($table, $option)
                : '',
            'class' => $target->treatmentClass() === 'bulblet' ? 'bulblet' : 'season',
            'flow' => self::killsTopsOnly($situation, $option) ? 'spring' : 'late',
            'root' => in_array(
                $target->rootForm(),
                ['rhizome', 'creeping-root', 'bulblet', 'tuber', 'suckering-root'],
                true,
            )
                ? 'rootLeft'
                : 'rootOut',
            'stage' => ($situation->stage()[0] ?? '') === 'cotyledon' ? 'cotyledon' : 'later',
            // a hoe takes seedlings of any size, and tops of what has roots to live on
            'hoeing' => $target->isPerennial() ? 'later' : 'cotyledon',
            default => 'inWindow',
        };

        return $table[$key] ?? [];
    }
}
