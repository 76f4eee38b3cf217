<?php

declare(strict_types=1);

namespace Thicket\Methods;

use Thicket\Knowledge\Catalogue;

/**
 * The board: every method (and product) judged for one stand on one day. A pure function of what it is given (rulings B9).
 * Order: outcome, then the six figures weighed by the crew's weights, then name; the figures are shown (rulings B26).
 */
final readonly class Board
{
    /** @param list<Row> $rows */
    private function __construct(public array $rows, public string $catalogueHash, public Weights $weights)
    {
    }

    public static function for(Situation $situation, Catalogue $catalogue, Schools $schools, Shed $shed, ?RuleSet $rules = null, ?Weights $weights = null): self
    {
        $rules ??= RuleSet::standard();
        $weights ??= Weights::equal();
        $rows = [];
        foreach (self::candidates($situation, $catalogue, $schools, $shed) as $candidate) {
            $rows[] = self::judge($situation, $candidate, $rules, $weights);
        }
        usort($rows, static fn (Row $a, Row $b): int => $a->compareTo($b));

        return new self($rows, $catalogue->hash, $weights);
    }

    /**
     * The few that a picture can carry: the one named first, then the best that are not shut, one a method.
     *
     * @return list<Row>
     */
    public function few(int $most, ?Row $first): array
    {
        $few = $first === null ? [] : [$first->candidate->method->id() => $first];
        foreach ($this->rows as $row) {
            if (count($few) < $most && !in_array($row->outcome, [Outcome::DoesNotSuit, Outcome::NotAllowed], true)) {
                $few[$row->candidate->method->id()] ??= $row;
            }
        }

        return array_values($few);
    }

    /** Judges one row alone, as the gates of a job sheet do. */
    public static function judge(Situation $situation, Candidate $candidate, ?RuleSet $rules = null, ?Weights $weights = null): Row
    {
        $findings = [];
        foreach (($rules ?? RuleSet::standard())->rules as $rule) {
            $found = $rule->evaluate($situation, $candidate);
            $school = $rule instanceof RestsOnSchool && $found !== [] ? $rule->school($situation, $candidate) : null;
            if ($school !== null) {
                $found = self::withAlternatives($rule, $situation, $candidate, $school, $found);
            }
            $findings = [...$findings, ...$found];
        }
        // worst first; within one outcome in the order of the rules
        usort($findings, static fn (Finding $a, Finding $b): int => $a->outcome->rank() <=> $b->outcome->rank());

        $measures = Measures::of($situation, $candidate);

        return new Row($candidate, $findings, $measures, Weighing::of($measures, $weights ?? Weights::equal(), $candidate->catalogue));
    }

    /** @return list<Candidate> */
    public static function candidates(Situation $situation, Catalogue $catalogue, Schools $schools, Shed $shed): array
    {
        $out = [];
        foreach ($catalogue->allMethods() as $method) {
            if (!$method->isOnBoard()) {
                continue;
            }
            if (!$method->usesProduct()) {
                $out[] = new Candidate($method, null, null, $schools, $shed, $catalogue);
                continue;
            }
            foreach ($method->actives() as $activeId) {
                $active = $catalogue->active($activeId);
                $cards = array_values(array_filter($shed->cards, static fn ($card): bool => $card->holds($activeId)));
                foreach ($cards as $card) {
                    $out[] = new Candidate($method, $active, $card, $schools, $shed, $catalogue);
                }
                $effect = $situation->target?->responseTo($activeId);
                if ($cards === [] && in_array($effect, ['controls', 'suppresses', 'disputed'], true)) {
                    $out[] = new Candidate($method, $active, null, $schools, $shed, $catalogue);
                }
            }
            // a chemical method always has a row, so that its refusal is seen
            if (!array_filter($out, static fn (Candidate $c): bool => $c->method->id() === $method->id())) {
                $out[] = new Candidate($method, null, null, $schools, $shed, $catalogue);
            }
        }

        return $out;
    }

    /**
     * @param list<Finding> $found
     *
     * @return list<Finding>
     */
    private static function withAlternatives(Rule $rule, Situation $situation, Candidate $candidate, string $school, array $found): array
    {
        $otherwise = [];
        foreach ($candidate->schools->alternatives($school) as $choice) {
            $otherwise[$choice] = self::worst($rule->evaluate($situation, $candidate->with($candidate->schools->with($school, $choice))));
        }
        $mine = self::worst($found);
        if (array_filter($otherwise, static fn (Outcome $o): bool => $o !== $mine) === []) {
            return $found;
        }

        return array_map(static fn (Finding $f): Finding => $f->restingOn($school, $otherwise), $found);
    }

    /** @param list<Finding> $findings */
    private static function worst(array $findings): Outcome
    {
        return array_reduce($findings, static fn (Outcome $worst, Finding $f): Outcome => $f->outcome->isWorseThan($worst) ? $f->outcome : $worst, Outcome::Fits);
    }
}
