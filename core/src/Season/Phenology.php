<?php

declare(strict_types=1);

namespace Thicket\Season;

use Thicket\Calendar\Day;
use Thicket\Calendar\MonthDay;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\Species;

/**
 * Estimates stage and sap stream of a species on a day at a ground, from its catalogue dates moved by the season
 * shift (handbook 1 "Growth stages", 4 "Why season decides"). Always an estimate: what the crew saw wins elsewhere.
 */
final readonly class Phenology
{
    /** Event that opens each stage, in order of the year, by life cycle. */
    private const STAGES = [
        'woody' => [
            'leafOut' => 'leaf-out',
            'fullLeaf' => 'full-leaf',
            'flower' => 'flower',
            'fruitRipe' => 'after-fruit',
            'firstColour' => 'colour-change',
            'leafFall' => 'dormant',
        ],
        'evergreen' => ['leafOut' => 'new-soft-flush', 'fullLeaf' => 'full-leaf'],
        'herb' => [
            'leafOut' => 'shoot-emergence',
            'fullLeaf' => 'vegetative',
            'bud' => 'bud',
            'flower' => 'flower',
            'seedShed' => 'seed',
            'autumnRegrowth' => 'autumn-regrowth',
            'leafFall' => 'dormant',
        ],
        'annual' => [
            'germination' => 'seedling',
            'fullLeaf' => 'vegetative',
            'bud' => 'bud',
            'flower' => 'flower',
            'seedShed' => 'seed-set',
            'leafFall' => 'dead',
        ],
        'biennial' => [
            'autumnRegrowth' => 'rosette',
            'bolt' => 'bolting',
            'flower' => 'flower',
            'seedShed' => 'seed',
            'leafFall' => 'dead',
        ],
        'grass' => [
            'leafOut' => 'tillering',
            'boot' => 'boot',
            'flower' => 'heading',
            'seedShed' => 'seed',
            'autumnRegrowth' => 'autumn-regrowth',
            'leafFall' => 'dormant',
        ],
    ];

    /** How far the rule of thumb may be off (our guess), and a ground's own dates. */
    private const MARGIN_DAYS = 7;
    private const MARGIN_DAYS_SEEN = 3;

    public function __construct(private Species $species, private SeasonShift $shift) {}

    /** By the season of a ground, for a plant whose dates may hold elsewhere (rulings J44). */
    public static function of(Species $species, SeasonShift $ofGround): self
    {
        return new self($species, self::shiftFor($species, $ofGround));
    }

    public static function shiftFor(?Species $species, SeasonShift $ofGround): SeasonShift
    {
        $base = $species?->datesHoldAt();

        return $base === null ? $ofGround : $ofGround->countedFrom(...$base);
    }

    /** Local day of a catalogue event in that year; null where the species file does not know it. */
    public function dayOf(string $event, int $year): ?\DateTimeImmutable
    {
        $day = $this->species->dayOf($event);

        return $day === null ? null : $this->shift->local($day, $year);
    }

    public function local(string $monthDay, int $year): \DateTimeImmutable
    {
        return $this->shift->local(MonthDay::parse($monthDay), $year);
    }

    /** The stage expected on that day; null where no dates are known. */
    public function stageOn(\DateTimeImmutable $day): ?string
    {
        return $this->spanOn($day)['stage'] ?? null;
    }

    /**
     * The stage expected on that day with its reason: since when and until when by the catalogue's dates at this
     * ground, and which other stages are as likely within the margin (a week by rule of thumb, three days once somebody
     * saw a date here).
     *
     * @return array{stage: string, since: \DateTimeImmutable, until: \DateTimeImmutable|null, marginDays: int,
     *     couldBe: list<string>}|null
     */
    public function estimateOn(\DateTimeImmutable $day): ?array
    {
        $span = $this->spanOn($day);
        if ($span === null) {
            return null;
        }
        $margin = $this->marginDays();
        $near = array_unique(
            array_filter([
                $this->stageOn($day->modify("-{$margin} days")),
                $span['stage'],
                $this->stageOn($day->modify("+{$margin} days")),
            ]),
        );

        return $span + ['marginDays' => $margin, 'couldBe' => array_values(array_diff($near, [$span['stage']]))];
    }

    /**
     * @return list<\DateTimeImmutable> the days round a year on which another stage is expected, or the stream turns
     */
    public function turns(int $year): array
    {
        $days = [];
        // a season moved by half a year, or a late stage, begins in the calendar year after its own
        foreach ([$year - 1, $year, $year + 1] as $of) {
            foreach (array_keys(self::STAGES[$this->plan()]) as $event) {
                $days[] = $this->dayOf($event, $of);
            }
            $days = [
                ...$days,
                $this->shift->local(MonthDay::parse('01-16'), $of),
                $this->turnsDown($of),
                $this->stops($of),
            ];
        }

        return array_values(array_filter($days));
    }

    /**
     * @return list<\DateTimeImmutable> the days round a year on which flowers may begin to be open, or surely are over
     */
    public function flowerTurns(int $year): array
    {
        $days = [];
        foreach ([$year - 1, $year, $year + 1] as $of) {
            $span = $this->flowering($of);
            $days = [...$days, ...$span === null ? [] : [$span['from'], $span['to']->modify('+1 day')]];
        }

        return $days;
    }

    /** @return list<\DateTimeImmutable> the days round a year on which fruit may begin to hang, or surely is gone */
    public function fruitTurns(int $year): array
    {
        $days = [];
        foreach ([$year - 1, $year, $year + 1] as $of) {
            $span = $this->fruiting($of);
            $days = [...$days, ...$span === null ? [] : [$span['from'], $span['to']->modify('+1 day')]];
        }

        return $days;
    }

    /** @return array{stage: string, since: \DateTimeImmutable, until: \DateTimeImmutable|null}|null */
    private function spanOn(\DateTimeImmutable $day): ?array
    {
        $since = $until = $stage = null;
        foreach ([Day::year($day) - 1, Day::year($day), Day::year($day) + 1] as $year) {
            foreach (self::STAGES[$this->plan()] as $event => $name) {
                $start = $this->dayOf($event, $year);
                if ($start !== null && $start <= $day && ($since === null || $start >= $since)) {
                    [$since, $stage] = [$start, $name];
                }
                if ($start !== null && $start > $day && ($until === null || $start < $until)) {
                    $until = $start;
                }
            }
        }

        return $since === null || $stage === null ? null : ['stage' => $stage, 'since' => $since, 'until' => $until];
    }

    /**
     * Days that flowers last where the file names no end (our guess): shrubs and trees four weeks, herbs till seed is
     * shed or nine weeks.
     */
    private const FLOWERS_WOODY_DAYS = 28;
    private const FLOWERS_HERB_DAYS = 63;
    /** Days that fruit hangs where nothing tells its end (our guess; on shrubs often well into winter). */
    private const FRUIT_DAYS = 90;

    /**
     * @return array{from: \DateTimeImmutable, to: \DateTimeImmutable}|null when flowers may be open, at its widest: the
     * margin counts on both sides
     */
    public function flowering(int $year): ?array
    {
        $span = $this->flowers($year);
        $margin = $this->marginDays();

        return $span === null
            ? null
            : [
                'from' => $span['from']->modify("-{$margin} days"),
                'to' => $span['to']->modify("+{$margin} days"),
            ];
    }

    /** @return array{from: \DateTimeImmutable, to: \DateTimeImmutable}|null when it flowers, without a margin */
    public function flowers(int $year): ?array
    {
        $from = $this->dayOf('flower', $year);
        if ($from === null) {
            return null;
        }
        $end = $this->dayOf('flowerEnd', $year);
        if ($end === null || $end < $from) {
            $shed = $this->species->isWoody() ? null : $this->dayOf('seedShed', $year);
            $days = $this->species->isWoody() ? self::FLOWERS_WOODY_DAYS : self::FLOWERS_HERB_DAYS;
            $end = $shed !== null && $shed > $from ? $shed : $from->modify("+{$days} days");
        }

        return ['from' => $from, 'to' => $end];
    }

    public function mayFlowerOn(\DateTimeImmutable $day): bool
    {
        return $this->flowersOverAfter($day) !== null;
    }

    /** First day on which flowers that may be open on a day are surely over; null where none are expected then. */
    public function flowersOverAfter(\DateTimeImmutable $day): ?\DateTimeImmutable
    {
        foreach ([Day::year($day) - 1, Day::year($day), Day::year($day) + 1] as $year) {
            $span = $this->flowering($year);
            if ($span !== null && $day >= $span['from'] && $day <= $span['to']) {
                return $span['to']->modify('+1 day');
            }
        }

        return null;
    }

    /** Whether fruit or seed may hang; null where the file knows no such day. */
    public function mayFruitOn(\DateTimeImmutable $day): ?bool
    {
        $known = null;
        foreach ([Day::year($day) - 1, Day::year($day), Day::year($day) + 1] as $year) {
            $span = $this->fruiting($year);
            $known = $span === null ? $known : $known ?? false;
            if ($span !== null && $day >= $span['from'] && $day <= $span['to']) {
                return true;
            }
        }

        return $known;
    }

    /** @return array{from: \DateTimeImmutable, to: \DateTimeImmutable}|null when fruit or seed may hang */
    private function fruiting(int $year): ?array
    {
        $ripe = $this->dayOf('fruitRipe', $year);
        $early = 2 * $this->marginDays();

        return $ripe === null
            ? null
            : ['from' => $ripe->modify("-{$early} days"), 'to' => $ripe->modify('+' . self::FRUIT_DAYS . ' days')];
    }

    /**
     * The flushes of seed around a year, in order; one that runs over New Year is whole.
     *
     * @return list<array{from: \DateTimeImmutable, to: \DateTimeImmutable}>
     */
    public function flushes(int $year): array
    {
        $out = [];
        foreach ([$year - 1, $year, $year + 1] as $of) {
            foreach ($this->species->germinations() ?? [] as [$from, $to]) {
                $first = $this->shift->local($from, $of);
                $last = $this->shift->local($to, $of);
                $out[] = ['from' => $first, 'to' => $last < $first ? $this->shift->local($to, $of + 1) : $last];
            }
        }
        usort($out, static fn(array $a, array $b): int => $a['from'] <=> $b['from']);

        return $out;
    }

    private function marginDays(): int
    {
        return $this->shift->source === 'observed' ? self::MARGIN_DAYS_SEEN : self::MARGIN_DAYS;
    }

    /**
     * Which way the sugar stream runs: 'up' from sap rise to the end of fruiting (about midsummer), 'down' until
     * leaf fall, 'still' while dormant (handbook 4).
     */
    public function flowOn(\DateTimeImmutable $day): string
    {
        $best = 'still';
        $latest = null;
        foreach ([Day::year($day) - 1, Day::year($day)] as $year) {
            $turns = [
                'up' => $this->shift->local(MonthDay::parse('01-16'), $year),
                'down' => $this->turnsDown($year),
                'still' => $this->stops($year),
            ];
            foreach ($turns as $flow => $start) {
                if ($start <= $day && ($latest === null || $start >= $latest)) {
                    $latest = $start;
                    $best = $flow;
                }
            }
        }

        return $best;
    }

    /**
     * The stream turns after flowering and fruiting, about midsummer: 15 July, where the late growing season begins
     * (rulings J12).
     */
    private function turnsDown(int $year): \DateTimeImmutable
    {
        return $this->shift->local(MonthDay::parse('07-15'), $year);
    }

    private function stops(int $year): \DateTimeImmutable
    {
        return $this->dayOf('leafFall', $year) ?? $this->shift->local(MonthDay::parse('11-01'), $year);
    }

    private function plan(): string
    {
        return match (true) {
            $this->species->isEvergreen() => 'evergreen',
            $this->species->isWoody() => 'woody',
            $this->species->lifeCycle() === 'biennial' => 'biennial',
            in_array($this->species->lifeCycle(), ['summer-annual', 'winter-annual'], true) => 'annual',
            in_array($this->species->habit(), ['grass', 'reed'], true) => 'grass',
            default => 'herb',
        };
    }
}
