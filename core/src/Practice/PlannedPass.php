<?php

declare(strict_types=1);

namespace Thicket\Practice;

use Brick\Math\RoundingMode;
use Thicket\Assess\Rules\Untrained;
use Thicket\Assess\RuleSet;
use Thicket\Assess\YearOutlook;
use Thicket\Calendar\Day;
use Thicket\Catalogue\FactName;
use Thicket\Economics\Labour;
use Thicket\Economics\Money;
use Thicket\Label\LabelCard;
use Thicket\Measure\Unit;
use Thicket\Mix\RecipeSolver;
use Thicket\Programmes\Planner;
use Thicket\SeasonPlan\Needs;
use Thicket\SeasonPlan\Span;
use Thicket\SeasonPlan\Worth;
use Thicket\Situation\Fact;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Situation\ToolsAtHand;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/** One pass of a chosen job as the season plan sees it: what it takes, when it is open, what it is worth. */
final readonly class PlannedPass
{
    /** @var list<string> codes of findings that shut nothing here */
    private array $aside;

    /** Whoever volunteers keeps off what this is asked for (rulings J55). */
    public const TRAINED = 'trained';
    public const LICENCE = 'licence';
    /** Seed that is down later than in half a year is no reason to go sooner (ours). */
    private const SOON_DAYS = 183;

    /**
     * @param non-empty-list<Option> $tank the product of the step and its partners
     * @param list<string> $answered codes of findings that its programme answers
     */
    public function __construct(private Situation $situation, private array $tank, array $answered = [])
    {
        // a tool can still be got, as where programmes are laid out
        $this->aside = [...$answered, ...Planner::CAN_BE_GOT];
    }

    /** What shuts it on a day, weather left aside; null where nothing does. */
    public function shutBy(\DateTimeImmutable $day): ?Finding
    {
        $then = $this->situation->seasonOnly()->onDay($day);
        foreach ($this->tank as $option) {
            foreach (RuleSet::standard()->rules as $rule) {
                foreach ($rule->evaluate($then, $option) as $finding) {
                    if (YearOutlook::isShut($finding->outcome) && !in_array($finding->code, $this->aside, true)) {
                        return $finding;
                    }
                }
            }
        }

        return null;
    }

    /** @param list<string> $kit units of the crew that it is done with */
    public function needs(array $kit): Needs
    {
        $option = $this->tank[0];
        $labour = Labour::of($this->situation, $option);
        $minutes = $labour->total()?->in(Unit::Minute)->toScale(0, RoundingMode::CEILING)->toInt();
        $recipe = $option->method->usesProduct() ? RecipeSolver::plain($this->situation, $option)->solve(null) : null;
        $litres = $recipe?->need?->in(Unit::Litre)->toScale(0, RoundingMode::CEILING)->toInt();
        $money = Money::of($this->situation, $option, $labour)?->product;
        $clearance = $option->method->clearance();
        $needsClearance = $clearance !== 'none' && !ToolsAtHand::onlyWithoutClearance($option);

        return new Needs(
            $minutes === null ? null : max(1, $minutes),
            1,
            $this->isForTrained() ? [self::TRAINED] : [],
            [...$this->isLicensed() ? [self::LICENCE] : [], ...$needsClearance ? [$clearance] : []],
            $kit,
            implode('+', array_map(static fn(Option $o): string => $o->card->product ?? '', $this->tank)),
            $option->method->usesProduct() ? $litres : 0,
            $option->method->usesProduct() ? $money?->multipliedBy(100)->toScale(0, RoundingMode::CEILING)->toInt() : 0,
            ToolsAtHand::counted($option),
        );
    }

    /**
     * Days of these on which neither season nor card shuts it; what weather and the day will show is left aside.
     *
     * @param \DateTimeImmutable|null $notBefore by its programme
     * @param \DateTimeImmutable|null $notAfter
     *
     * @return list<Span>
     */
    public function open(
        \DateTimeImmutable $first,
        \DateTimeImmutable $last,
        ?\DateTimeImmutable $notBefore = null,
        ?\DateTimeImmutable $notAfter = null,
    ): array {
        $first = $notBefore === null ? $first : max($first, $notBefore);
        $last = $notAfter === null ? $last : min($last, $notAfter);
        $days = [];
        for ($year = Day::year($first); $year <= Day::year($last); ++$year) {
            $days = [...$days, ...$this->spansOf($year)];
        }
        $open = [];
        foreach ($days as $span) {
            $from = max($first, $span->first);
            $until = min($last, $span->last);
            if ($from > $until) {
                continue;
            }
            $before = array_pop($open);
            $joins =
                $before !== null && $before->withCare === $span->withCare && $before->last->modify('+1 day') == $from;
            $before === null || $joins || ($open[] = $before);
            $open[] = new Span($joins ? $before->first : $from, $until, $span->withCare);
        }

        return $open;
    }

    /**
     * Days on which every product of the tank is open, of a year. A pass that is with care at its best, for whatever
     * reason stays the year round, is so on its best days too: only what is worse than that counts as care here.
     *
     * @return list<Span>
     */
    private function spansOf(int $year): array
    {
        $spans = [new Span(Day::of($year, 1, 1), Day::of($year, 12, 31))];
        foreach ($this->tank as $option) {
            $outlook = YearOutlook::of($this->situation, $option, $year, answered: $this->aside);
            $best = $outlook->between(Day::of($year, 1, 1), Day::of($year, 12, 31))['best'];
            $both = [];
            foreach ($outlook->spans as $of) {
                foreach (YearOutlook::isShut($of['outcome']) ? [] : $spans as $span) {
                    $from = max($span->first, $of['first']);
                    $until = min($span->last, $of['last']);
                    $from > $until ||
                        ($both[] = new Span($from, $until, $span->withCare || $of['outcome']->isWorseThan($best)));
                }
            }
            usort($both, static fn(Span $a, Span $b): int => $a->first <=> $b->first);
            $spans = $both;
        }

        return $spans;
    }

    /**
     * @param bool $followsOn an earlier job of its programme is done
     * @param bool $isEdge the stand spreads from here
     * @param \DateTimeImmutable|null $promised to somebody, by that day
     */
    public function worth(bool $followsOn, bool $isEdge, ?\DateTimeImmutable $promised): Worth
    {
        $seed = $this->beforeSeed();
        $days = array_filter([$seed, $promised]);

        return Worth::of(
            array_keys(
                array_filter([
                    'follows-on' => $followsOn,
                    'sets-seed' => $seed !== null,
                    'spreading-edge' => $isEdge,
                    'promised' => $promised !== null,
                ]),
            ),
            $days === [] ? null : min($days),
        );
    }

    /**
     * The last day before a herb's seed is down, where that is still ahead within the half year; of what is woody one
     * year's seed is not what a pass is for.
     */
    private function beforeSeed(): ?\DateTimeImmutable
    {
        if ($this->situation->target?->isWoody() !== false) {
            return null;
        }
        $day = $this->situation->day;
        foreach ([0, 1] as $more) {
            $shed = $this->situation->phenology()?->dayOf('seedShed', Day::year($day) + $more);
            if ($shed !== null && $shed > $day) {
                return Day::between($day, $shed) <= self::SOON_DAYS ? $shed->modify('-1 day') : null;
            }
        }

        return null;
    }

    /**
     * Hours of the longest re-entry that a card of the tank names; null where nothing is put there. A card that is
     * silent gives no number: the patch is shut for the rest of that day at least, and Afterwards says so.
     */
    public function reentryHours(): ?int
    {
        return $this->tank[0]->method->usesProduct()
            ? max([0, ...array_map(static fn(LabelCard $c): int => $c->protection->reentryHours ?? 0, $this->cards())])
            : null;
    }

    private function isLicensed(): bool
    {
        return array_filter($this->cards(), static fn(LabelCard $c): bool => $c->protection->licensedOnly) !== [];
    }

    /** @return list<LabelCard> */
    private function cards(): array
    {
        return array_values(array_filter(array_map(static fn(Option $o): ?LabelCard => $o->card, $this->tank)));
    }

    /** Whether volunteers are kept off it, or do no more than their half of a split row. */
    private function isForTrained(): bool
    {
        if ($this->tank[0]->method->usesProduct()) {
            return true;
        }
        $asked = $this->situation->insteadOf(
            [FactName::Volunteers],
            [new Fact(FactName::Volunteers, true, $this->situation->now, Certainty::Observed)],
        );
        foreach ((new Untrained())->evaluate($asked, $this->tank[0]) as $finding) {
            if ($finding->outcome === Outcome::NotAllowed) {
                return true;
            }
        }

        return false;
    }
}
