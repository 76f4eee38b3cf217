<?php

declare(strict_types=1);

namespace Thicket\Programmes;

use Thicket\Assess\Board;
use Thicket\Assess\Row;
use Thicket\Calendar\Day;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\Programme;
use Thicket\Catalogue\ProgrammeStep;
use Thicket\Catalogue\Species;
use Thicket\Catalogue\WindowGrade;
use Thicket\Economics\Labour;
use Thicket\Situation\Option;
use Thicket\Situation\Schools;
use Thicket\Situation\Shed;
use Thicket\Situation\Situation;
use Thicket\Timing\Laying;
use Thicket\Timing\PreventerCalendar;
use Thicket\Timing\PreventerTerms;
use Thicket\Timing\SeasonWindows;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/**
 * Lays the programmes of the catalogue out for one stand (handbook 2, 4, 6: many jobs are sequences): each step on its
 * next days, judged by the same board on the first of them. A pure function of what it is given.
 */
final readonly class Planner
{
    /** A seed that outlasts this is not planned to its end: "for as long as you hold the ground" (rulings J23). */
    private const LONGEST_YEARS = 10;
    /** What the day will show; none of it shuts a plan. */
    private const SEEN_ON_THE_DAY = [Outcome::NotNow, Outcome::CannotTell];
    private const SHUT = [Outcome::NotAllowed, Outcome::DoesNotSuit];
    /** A tool or a trained person can still be got. */
    public const CAN_BE_GOT = ['tool.missing', 'tool.nobody-cleared'];

    public function __construct(private Catalogue $catalogue, private Schools $schools, private Shed $shed) {}

    /** @return list<Offer> those that can be done first, of one verdict the shorter, then those without product */
    public function offers(Situation $situation): array
    {
        $target = $situation->target;
        $offers = [];
        foreach ($target === null ? [] : $this->catalogue->allProgrammes() as $programme) {
            if ($target !== null && (new ProgrammeFit($programme))->isFor($target, $situation)) {
                $offers[] = $this->layOut($programme, $target, $situation);
            }
        }
        usort(
            $offers,
            static fn(Offer $a, Offer $b): int => [
                $b->canBeDone(),
                (new ProgrammeFit($b->programme))->standsFirst($situation),
                $b->outcome->rank(),
                $a->years,
                $a->programme->usesProduct(),
                $a->programme->id(),
            ] <=> [
                $a->canBeDone(),
                (new ProgrammeFit($a->programme))->standsFirst($situation),
                $a->outcome->rank(),
                $b->years,
                $b->programme->usesProduct(),
                $b->programme->id(),
            ],
        );

        return $offers;
    }

    public function layOut(Programme $programme, Species $target, Situation $situation): Offer
    {
        [$patrolYears, $openEnded] = $this->patrolYears($target);
        $steps = [];
        $previous = null;
        $lastYear = 1;
        $laid = [];
        foreach ($programme->steps() as $given) {
            if (!$this->isOfSchool($given)) {
                continue;
            }
            $earliest = $previous === null ? $situation->day : $previous->modify('+' . $given->afterDays() . ' days');
            $first = null;
            $days = $given->followsEach()
                ? $this->following($laid, $given->afterDays())
                : $this->days($given, $target, $situation, $earliest, $patrolYears);
            $laid = [];
            foreach ($days as [$from, $to, $year]) {
                $step = $this->step($given, $situation, $from, $to, $steps);
                if ($step === null) {
                    continue;
                }
                $laid[] = [$from, $to, $year];
                $first ??= $from;
                $steps[] = $step;
                $lastYear = max($lastYear, $year);
            }
            $previous = $first ?? $previous;
        }
        usort($steps, static fn(PlannedStep $a, PlannedStep $b): int => [$a->from, $a->note] <=> [$b->from, $b->note]);
        $own = $programme->years() ?? [1, 1];
        $end = $steps === [] ? $situation->day : end($steps)->from;

        return new Offer(
            $programme,
            $steps,
            [$own[0], max($own[1], intdiv(max(0, Day::between($situation->day, $end)) + 364, 365))],
            $openEnded,
        );
    }

    /**
     * First and last day of each occurrence of a step, with the year of the programme it falls in.
     *
     * @return list<array{\DateTimeImmutable, \DateTimeImmutable|null, int}>
     */
    private function days(
        ProgrammeStep $given,
        Species $target,
        Situation $situation,
        \DateTimeImmutable $earliest,
        int $patrolYears,
    ): array {
        $years = $given->years($patrolYears);
        if ($given->isByFlush()) {
            return $this->layings($given, $situation, $earliest, $years);
        }
        $out = [];
        $after = $earliest;
        for ($year = 1; $year <= $years; ++$year) {
            [$from, $to] = $this->next($given, $target, $situation, $after);
            for ($round = 0; $round < $given->rounds(); ++$round) {
                $day = $from->modify('+' . $round * $given->everyDays() . ' days');
                // a round after the window's end is left out, but never the first
                if ($round === 0 || $to === null || $day <= $to) {
                    $out[] = [$day, $to, $year];
                }
            }
            // counted from where the season begins, not from where this year's was entered
            $begins = $given->begins() !== [] ? $this->begins($given, $situation, $from) : $from;
            $after = $begins->modify('+330 days');
            $after = $to !== null && $to >= $after ? $to->modify('+1 day') : $after;
        }

        return $out;
    }

    /**
     * @param list<array{\DateTimeImmutable, \DateTimeImmutable|null, int}> $days of the step before
     *
     * @return list<array{\DateTimeImmutable, \DateTimeImmutable|null, int}>
     */
    private function following(array $days, int $after): array
    {
        return array_map(static fn(array $day): array => [$day[0]->modify("+{$after} days"), null, $day[2]], $days);
    }

    /** The season's own first day of the occurrence that a day lies in. */
    private function begins(ProgrammeStep $given, Situation $situation, \DateTimeImmutable $in): \DateTimeImmutable
    {
        $best = null;
        foreach ([-1, 0] as $back) {
            $day = $this->day($situation, $given->begins(), Day::year($in) + $back);
            $best = $day !== null && $day <= $in ? $day : $best;
        }

        return $best ?? $in;
    }

    /** A step that only some choices of a school take is left out under the others. */
    private function isOfSchool(ProgrammeStep $given): bool
    {
        foreach ($given->schools() as $school => $choices) {
            if (!in_array($this->schools->choice($school), $choices, true)) {
                return false;
            }
        }

        return true;
    }

    /**
     * When a preventer is laid: before each flush, and again inside one, by the card held, else a month before the
     * flush (handbook 8 preventer-lead).
     *
     * @return list<array{\DateTimeImmutable, \DateTimeImmutable|null, int}>
     */
    private function layings(
        ProgrammeStep $given,
        Situation $situation,
        \DateTimeImmutable $earliest,
        int $years,
    ): array {
        $flushes = array_merge(
            ...array_map(
                static fn(int $year): array => $situation
                    ->phenology()
                    ?->flushes(Day::year($situation->day) + 2 * $year) ?? [],
                range(0, intdiv($years, 2) + 1),
            ),
        );
        $flushes = array_values(array_unique($flushes, SORT_REGULAR));
        $card = null;
        foreach ($this->shed->cards as $held) {
            $card ??=
                $held->intervals->leadDays !== null &&
                $held->intervals->lastingDays !== null &&
                array_filter($given->methods(), $held->allowsMethod(...)) !== []
                    ? $held
                    : null;
        }
        $until = $earliest->modify("+{$years} years");
        $calendar = PreventerCalendar::of($flushes, PreventerTerms::of($card), $earliest, $until);

        return array_map(
            static fn(Laying $l): array => [
                $l->earliest,
                $l->latest,
                1 + intdiv(max(0, Day::between($earliest, $l->latest)), 365),
            ],
            $calendar->layings,
        );
    }

    /** @return array{\DateTimeImmutable, \DateTimeImmutable|null} */
    private function next(
        ProgrammeStep $given,
        Species $target,
        Situation $situation,
        \DateTimeImmutable $earliest,
    ): array {
        if ($given->isInWindow()) {
            $window = $this->nextWindow($given, $situation, $earliest);
            if ($window !== null) {
                return $window;
            }
        }
        $year = Day::year($earliest);
        foreach ([$year - 1, $year, $year + 1, $year + 2] as $of) {
            $from = $this->day($situation, $given->begins(), $of);
            $to = $this->day($situation, $given->endsBefore(), $of);
            if ($from !== null && $to !== null && $to < $from) {
                $to = $this->day($situation, $given->ends(), $of + 1);
            }
            if ($from === null && $to === null && $given->begins() === []) {
                return [$earliest, null];
            }
            if ($to !== null && $to < $earliest) {
                continue;
            }
            if ($from !== null || ($to !== null && $given->begins() === [])) {
                return [$from === null ? $earliest : max($from, $earliest), $to];
            }
        }

        return [$earliest, null];
    }

    /**
     * The next open window of the first of its methods that has one: a good one, else one with care.
     *
     * @return array{\DateTimeImmutable, \DateTimeImmutable|null}|null null where the species file knows no such days
     */
    private function nextWindow(ProgrammeStep $given, Situation $situation, \DateTimeImmutable $earliest): ?array
    {
        $careful = null;
        foreach ($given->methods() as $method) {
            $option = new Option(
                $this->catalogue->method($method),
                null,
                null,
                $this->schools,
                $this->shed,
                $this->catalogue,
            );
            foreach ([$earliest, $earliest->modify('+1 year')] as $around) {
                $windows = SeasonWindows::for($situation->onDay($around), $option);
                foreach ($windows->windows ?? [] as $window) {
                    $days = [max($window->first, $earliest), $window->last];
                    if (
                        $window->last >= $earliest &&
                        in_array($window->grade, [WindowGrade::Best, WindowGrade::Workable], true)
                    ) {
                        return $days;
                    }
                    $careful ??= $window->last >= $earliest && $window->grade === WindowGrade::WithCare ? $days : null;
                }
            }
        }

        return $careful;
    }

    /** @param list<string> $names the first that is known: a catalogue day or an event of the plant */
    private function day(Situation $situation, array $names, int $year): ?\DateTimeImmutable
    {
        foreach ($names as $name) {
            $day = match (true) {
                $name === '' => null,
                preg_match('/^\d\d-\d\d$/', $name) === 1 => $situation->phenology()?->local($name, $year),
                default => $situation->phenology()?->dayOf($name, $year),
            };
            if ($day !== null) {
                return $day;
            }
        }

        return null;
    }

    /**
     * The best of the step's methods on that day; null for an optional step that is shut.
     *
     * @param list<PlannedStep> $before
     */
    private function step(
        ProgrammeStep $given,
        Situation $situation,
        \DateTimeImmutable $from,
        ?\DateTimeImmutable $to,
        array $before,
    ): ?PlannedStep {
        $then = $situation->onDay($from);
        $then = $given->isAfterwards() ? $then->comeBack() : $then;
        $answers = $given->answers();
        $last = $given->rotates() ? $this->lastGroup($before) : null;
        $best = null;
        foreach ($this->options($given, $then) as $option) {
            $row = Board::judge($then, $option);
            [$outcome, $against] = $this->counting($row, $answers);
            // a card that is held and open goes before a typical active, a method named earlier before a better weighed
            // one
            $open = !in_array($outcome, self::SHUT, true) ? 1 : 0;
            $order =
                $given->isInOrder() &&
                $open === 1 &&
                array_filter($row->findings, static fn(Finding $f): bool => $f->code === 'tool.missing') === []
                    ? 100 - (int) array_search($option->method->id(), $given->methods(), true)
                    : 0;
            $rank = [
                1000 * $open + 10 * $order + ($open === 1 && $option->card !== null ? 7 : 0) + $outcome->rank(),
                $last !== null && $option->active?->group() === $last ? 1 : 0,
            ];
            // the worst outcome has the lowest rank; of equals, another group first, then the better weighed
            if (
                $best === null ||
                $rank[0] > $best['rank'][0] ||
                ($rank[0] === $best['rank'][0] &&
                    ($rank[1] < $best['rank'][1] ||
                        ($rank[1] === $best['rank'][1] && $row->compareTo($best['row']) < 0)))
            ) {
                $best = ['rank' => $rank, 'row' => $row, 'outcome' => $outcome, 'against' => $against];
            }
        }
        $optional = $given->isOptional();
        if ($best === null || ($optional && in_array($best['outcome'], self::SHUT, true))) {
            return null;
        }

        return new PlannedStep(
            $from,
            $to,
            $given->note(),
            $best['row'],
            $best['outcome'],
            $best['against'],
            Labour::of($situation, $best['row']->option)->range(),
            $optional,
            $given->isAfterwards(),
        );
    }

    /** @return list<Option> */
    private function options(ProgrammeStep $given, Situation $situation): array
    {
        $methods = $given->methods();
        $actives = $given->actives();
        $out = [];
        foreach ($methods as $id) {
            $method = $this->catalogue->method($id);
            if (!$method->isOnBoard()) {
                $out[] = new Option($method, null, null, $this->schools, $this->shed, $this->catalogue);
            }
        }
        foreach (Board::options($situation, $this->catalogue, $this->schools, $this->shed) as $option) {
            if (
                in_array($option->method->id(), $methods, true) &&
                ($actives === [] || in_array($option->active?->id(), $actives, true))
            ) {
                $out[] = $option;
            }
        }

        return $out;
    }

    /**
     * What counts for the plan: findings the sequence answers are set aside, what the day will show is with care.
     *
     * @param list<string> $answers
     *
     * @return array{Outcome, list<Finding>}
     */
    private function counting(Row $row, array $answers): array
    {
        $worst = Outcome::Fits;
        $against = [];
        foreach ($row->findings as $finding) {
            if ($finding->outcome === Outcome::Fits || in_array($finding->code, $answers, true)) {
                continue;
            }
            $softened =
                in_array($finding->outcome, self::SEEN_ON_THE_DAY, true) ||
                in_array($finding->code, self::CAN_BE_GOT, true);
            $outcome = $softened ? Outcome::WithCare : $finding->outcome;
            $finding->outcome === Outcome::WithCare || ($against[] = $finding);
            $worst = $outcome->isWorseThan($worst) ? $outcome : $worst;
        }
        // a chemical step without an active has nothing to go with
        if ($row->option->method->usesProduct() && $row->option->active === null) {
            $worst = Outcome::DoesNotSuit;
        }

        return [$worst, $against];
    }

    /** @param list<PlannedStep> $before */
    private function lastGroup(array $before): ?string
    {
        foreach (array_reverse($before) as $step) {
            if ($step->row->option->active !== null) {
                return $step->row->option->active->group();
            }
        }

        return null;
    }

    /** @return array{int, bool} years of patrols, and whether they go on past any plan */
    private function patrolYears(Species $target): array
    {
        $bank = $target->seedBankYears();
        if ($bank === null) {
            return [3, true];
        }

        return [max(1, min(self::LONGEST_YEARS, $bank['typical'])), $bank['max'] > self::LONGEST_YEARS];
    }
}
