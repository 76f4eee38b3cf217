<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\Method;
use Thicket\Catalogue\Species;
use Thicket\Label\LabelCard;
use Thicket\Situation\Option;
use Thicket\Situation\Schools;
use Thicket\Situation\Shed;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/**
 * The board: every method (and product) judged for one stand on one day. A pure function of what it is given (rulings
 * B9). Order: outcome, then the six figures weighed by the crew's weights, then name; the figures are shown (rulings
 * B26).
 */
final readonly class Board
{
    /** @param list<Row> $rows */
    private function __construct(public array $rows, public string $catalogueHash, public Weights $weights) {}

    public static function for(
        Situation $situation,
        Catalogue $catalogue,
        Schools $schools,
        Shed $shed,
        ?RuleSet $rules = null,
        ?Weights $weights = null,
    ): self {
        $rules ??= RuleSet::standard();
        $weights ??= Weights::equal();
        $rows = [];
        foreach (self::options($situation, $catalogue, $schools, $shed) as $option) {
            $rows[] = self::judge($situation, $option, $rules, $weights);
        }
        usort($rows, static fn(Row $a, Row $b): int => $a->compareTo($b));

        return new self($rows, $catalogue->hash, $weights);
    }

    /** One row alone, judged as the board would; null where the board has no such row. */
    public static function rowOf(
        string $id,
        Situation $situation,
        Catalogue $catalogue,
        Schools $schools,
        Shed $shed,
        ?Weights $weights = null,
    ): ?Row {
        foreach (self::options($situation, $catalogue, $schools, $shed) as $option) {
            if ($option->id() === $id) {
                return self::judge($situation, $option, null, $weights);
            }
        }

        return null;
    }

    public function row(string $id): ?Row
    {
        foreach ($this->rows as $row) {
            if ($row->option->id() === $id) {
                return $row;
            }
        }

        return null;
    }

    /**
     * The few that a picture can carry: the one named first, then the best that are not shut, one a method.
     *
     * @return list<Row>
     */
    public function few(int $most, ?Row $first): array
    {
        $few = $first === null ? [] : [$first->option->method->id() => $first];
        foreach ($this->rows as $row) {
            if (
                count($few) < $most &&
                !$row->option->method->removesNothing() &&
                !in_array($row->outcome, [Outcome::DoesNotSuit, Outcome::NotAllowed], true)
            ) {
                $few[$row->option->method->id()] ??= $row;
            }
        }

        return array_values($few);
    }

    /** Judges one row alone, as the gates of a job sheet do. */
    public static function judge(
        Situation $situation,
        Option $option,
        ?RuleSet $rules = null,
        ?Weights $weights = null,
    ): Row {
        $findings = [];
        foreach (($rules ?? RuleSet::standard())->rules as $rule) {
            $found = $rule->evaluate($situation, $option);
            if ($found === []) {
                continue;
            }
            $school = $rule instanceof RestsOnSchool ? $rule->school($situation, $option) : null;
            if ($school !== null) {
                $found = self::withAlternatives($rule, $situation, $option, $school, $found);
            }
            array_push($findings, ...$found);
        }
        // worst first; within one outcome in the order of the rules
        usort($findings, static fn(Finding $a, Finding $b): int => $a->outcome->rank() <=> $b->outcome->rank());

        $measures = Criteria::of($situation, $option);

        return new Row(
            $option,
            $findings,
            $measures,
            Weighing::of($measures, $weights ?? Weights::equal(), $option->catalogue),
        );
    }

    /** @return list<Option> */
    public static function options(Situation $situation, Catalogue $catalogue, Schools $schools, Shed $shed): array
    {
        $out = [];
        foreach ($catalogue->allMethods() as $method) {
            if (!$method->isOnBoard()) {
                continue;
            }
            if (!$method->usesProduct()) {
                $out[] = new Option($method, null, null, $schools, $shed, $catalogue);
                continue;
            }
            foreach ($shed->cards as $card) {
                $lead = self::lead($card, $method, $situation->target);
                $lead === null ||
                    ($out[] = new Option($method, $catalogue->active($lead), $card, $schools, $shed, $catalogue));
            }
            foreach ($method->actives() as $activeId) {
                $held = array_filter($shed->cards, static fn(LabelCard $card): bool => $card->holds($activeId)) !== [];
                $effect = $situation->target?->responseTo($activeId);
                if (!$held && in_array($effect, ['controls', 'suppresses', 'disputed'], true)) {
                    $out[] = new Option($method, $catalogue->active($activeId), null, $schools, $shed, $catalogue);
                }
            }
            $out = [...$out, ...self::mixtures($situation, $method, $catalogue, $schools, $shed)];
            // a chemical method always has a row, so that its refusal is seen
            if (!array_filter($out, static fn(Option $c): bool => $c->method->id() === $method->id())) {
                $out[] = new Option($method, null, null, $schools, $shed, $catalogue);
            }
        }

        return $out;
    }

    /**
     * @return list<Option> typical rows of actives that practice gives together, where no card of the Shed holds all
     * of them
     */
    private static function mixtures(
        Situation $situation,
        Method $method,
        Catalogue $catalogue,
        Schools $schools,
        Shed $shed,
    ): array {
        $out = [];
        foreach ($catalogue->mixtures() as $mixture) {
            $ids = $mixture->actives();
            $held =
                array_filter(
                    $shed->cards,
                    static fn(LabelCard $card): bool => array_diff(
                        $ids,
                        array_column($card->contents->actives, 'active'),
                    ) === [],
                ) !== [];
            if ($held || !$mixture->isFor($method, $situation->target?->treatmentClass())) {
                continue;
            }
            $partners = array_map(
                static fn(array $part): Option => new Option(
                    $method,
                    $catalogue->active($part['active']),
                    null,
                    $schools,
                    $shed,
                    $catalogue,
                    [],
                    $part['strength'],
                ),
                array_slice($mixture->parts(), 1),
            );
            $out[] = new Option(
                $method,
                $catalogue->active($ids[0]),
                null,
                $schools,
                $shed,
                $catalogue,
                $partners,
                $mixture->parts()[0]['strength'],
            );
        }

        return $out;
    }

    /**
     * One row a card, however many actives are in the jug (rulings J41): it is named for the one that does most to the
     * target, of equals the first of the label. Null where the method is given with none of them.
     */
    private static function lead(LabelCard $card, Method $method, ?Species $target): ?string
    {
        $lead = null;
        $best = count(Option::EFFECTS) + 1;
        foreach (array_column($card->contents->actives, 'active') as $id) {
            $at = array_search($target?->responseTo($id), Option::EFFECTS, true);
            $rank = $at === false ? count(Option::EFFECTS) : $at;
            if (in_array($id, $method->actives(), true) && $rank < $best) {
                [$lead, $best] = [$id, $rank];
            }
        }

        return $lead;
    }

    /**
     * @param list<Finding> $found
     *
     * @return list<Finding>
     */
    private static function withAlternatives(
        Rule $rule,
        Situation $situation,
        Option $option,
        string $school,
        array $found,
    ): array {
        $otherwise = [];
        foreach ($option->schools->alternatives($school) as $choice) {
            $otherwise[$choice] = self::worst(
                $rule->evaluate($situation, $option->with($option->schools->with($school, $choice))),
            );
        }
        $mine = self::worst($found);
        if (array_filter($otherwise, static fn(Outcome $o): bool => $o !== $mine) === []) {
            return $found;
        }

        return array_map(static fn(Finding $f): Finding => $f->restingOn($school, $otherwise), $found);
    }

    /** @param list<Finding> $findings */
    private static function worst(array $findings): Outcome
    {
        return array_reduce(
            $findings,
            static fn(Outcome $worst, Finding $f): Outcome => $f->outcome->isWorseThan($worst) ? $f->outcome : $worst,
            Outcome::Fits,
        );
    }
}
