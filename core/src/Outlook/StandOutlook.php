<?php

declare(strict_types=1);

namespace Thicket\Outlook;

use Thicket\Assess\Row;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\LifeTable;
use Thicket\Economics\Labour;
use Thicket\Economics\Money;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\RecipeSolver;
use Thicket\Situation\Option;
use Thicket\Situation\ProtectedFeature;
use Thicket\Situation\Situation;
use Thicket\Verdict\Outcome;

/** The years ahead of one stand by the way chosen for it, and by what else could be done. */
final readonly class StandOutlook
{
    private const KEPT = ['planting', 'crop'];
    private const OPEN = [Outcome::Fits, Outcome::WithCare, Outcome::NotNow];

    /** More than six: an outlook and all that it rests on. */
    private function __construct(
        public Projection $projection,
        public Start $start,
        public Assumptions $assumptions,
        public Way $planned,
        public ?Way $byHand,
        public float $threshold,
        public int $years,
    ) {}

    /**
     * @param list<Row> $board rows among which the best way without product is found
     * @param list<array{method: string, active: string|null, species: string, dead: int, counted: int}> $looks scored
     *     look-backs of the crew
     * @param float $left share of what was counted that a look-back found not dead since
     *
     * @return self|null null where the plant has no name, nothing was counted or drawn, or nobody knows how much the
     *     way controls and takes
     */
    public static function of(
        Situation $situation,
        Row $row,
        array $board,
        array $looks,
        Terms $terms,
        float $left = 1.0,
    ): ?self {
        $start = Start::of($situation, $row->option, $left);
        if ($situation->target === null || $start === null) {
            return null;
        }
        $life = $row->option->catalogue->life();
        $keeps = array_filter(
            $situation->keepers,
            static fn(ProtectedFeature $k): bool => in_array($k->kind, self::KEPT, true) && $k->isAmongTargets(),
        );
        $assumptions = Assumptions::of(
            $situation->target,
            $life,
            $situation->isYes(FactName::FirstFound) === true,
            $keeps !== [],
        )->with($terms->given);
        $alike = $assumptions->spans['jobsAlike']->use;
        $way = static fn(Row $one, string $name): ?Way => self::way(
            $situation,
            $one,
            $start,
            $looks,
            $alike,
            $terms,
            $name,
        );
        $planned = $way($row, 'control');
        if ($planned === null) {
            return null;
        }
        $hand = $row->option->method->usesProduct() ? self::best($board) : null;
        $byHand = $hand === null ? null : $way($hand, 'controlByHand');
        $threshold = $terms->threshold ?? max(1.0, ceil($start->counted * $terms->doneBelow));

        return new self(
            Projection::of(
                $start,
                $assumptions,
                Course::all($planned, $byHand, $terms->years),
                $terms->years,
                $threshold,
                $terms->seed,
                $terms->runs,
            ),
            $start,
            $assumptions,
            $planned,
            $byHand,
            $threshold,
            $terms->years,
        );
    }

    /**
     * The way without product that controls most, of those that are open here at some time.
     *
     * @param list<Row> $board
     */
    private static function best(array $board): ?Row
    {
        $best = null;
        foreach ($board as $row) {
            $suits =
                !$row->option->method->usesProduct() &&
                !$row->option->method->removesNothing() &&
                $row->measures->controlUse !== null &&
                in_array($row->outcome, self::OPEN, true);
            $best =
                $suits && ($best === null || $row->measures->controlUse > $best->measures->controlUse) ? $row : $best;
        }

        return $best;
    }

    /**
     * More than six: what a way is made of.
     *
     * @param list<array{method: string, active: string|null, species: string, dead: int, counted: int}> $looks
     */
    private static function way(
        Situation $situation,
        Row $row,
        Start $start,
        array $looks,
        float $alike,
        Terms $terms,
        string $name,
    ): ?Way {
        $option = $row->option;
        $effort = self::effort($situation, $option, $start);
        $given = $terms->given[$name] ?? null;
        $m = $row->measures;
        $expected = match (true) {
            $given !== null => Span::of($given, Span::GIVEN),
            $m->controlLow === null || $m->controlUse === null || $m->controlHigh === null => null,
            default => new Span($m->controlLow / 100, $m->controlUse / 100, $m->controlHigh / 100, Span::BOARD),
        };
        if ($effort === null || $expected === null) {
            return null;
        }
        $kind = $situation->target === null ? '' : LifeTable::kindOf($situation->target);
        $mine = array_filter(
            $looks,
            static fn(array $look): bool => $look['method'] === $option->method->id() &&
                $look['active'] === $option->active?->id() &&
                $option->catalogue->hasSpecies($look['species']) &&
                LifeTable::kindOf($option->catalogue->species($look['species'])) === $kind,
        );

        $control = Control::expected($expected)->seen($given === null ? array_values($mine) : [], $alike);

        return new Way($option->id(), $control, $effort, $control->jobs > 0 ? Span::RECORDS : $expected->source);
    }

    private static function effort(Situation $situation, Option $option, Start $start): ?Effort
    {
        $labour = Labour::of($situation, $option);
        if ($labour->hands === null) {
            return null;
        }
        $minutes = static fn(Quantity $q): float => $q->in(Unit::Minute)->toFloat();
        $hands = array_map(static fn(Quantity $q): float => $minutes($q) / $start->counted, $labour->hands);
        $uses = $option->method->usesProduct();
        $litres = $uses
            ? RecipeSolver::plain($situation, $option)->solve(null)->need?->in(Unit::Litre)->toFloat()
            : 0.0;
        $product = $uses ? Money::of($situation, $option, $labour)?->product->toFloat() : 0.0;
        $setUp = array_map($minutes, $labour->setUp);

        return new Effort(
            $start->counted,
            new Span($hands[0], $hands[1], $hands[2]),
            $labour->walking === null ? 0.0 : $minutes($labour->walking),
            new Span($setUp[0], $setUp[1], $setUp[2]),
            $litres === null ? null : $litres / $start->counted,
            $product === null ? null : $product / $start->counted,
            $option->shed->prices?->ofHours(Quantity::of(1, Unit::Hour))?->toFloat(),
        );
    }
}
