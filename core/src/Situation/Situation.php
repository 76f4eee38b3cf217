<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Calendar\Day;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\SoilTexture;
use Thicket\Catalogue\Species;
use Thicket\Identify\Unnamed;
use Thicket\Measure\Quantity;
use Thicket\Season\Phenology;
use Thicket\Survey\StemGroup;
use Thicket\Verdict\Certainty;

/** All that is known of one stand at one moment. The engine reads this and never reaches for data itself (model.md). */
final readonly class Situation
{
    /**
     * Metres to water within which a card without a buffer cannot be judged (rulings J52), the mixing distance of J15.
     */
    public const NEAR_WATER = 30;

    /** The season of this ground: of its place, or of a leaf-out that somebody saw this year. */
    public SeasonShift $shift;

    /** The season of the ground itself, before any plant's own base. */
    private SeasonShift $place;

    /** @var array<string, Fact> freshest and surest fact of each name */
    private array $facts;

    /** What was worked out once from these facts, which never change; every row of a board asks again. */
    private Memo $memo;

    private const FIRST_SEASON_DAYS = 365;
    private const BY_LEAVES = [
        'seed-leaves' => 'cotyledon',
        'two-to-four' => 'seedling',
        'five-or-more' => 'vegetative',
    ];

    /* Of the moment, the plant, the survey and the crew: every rule asks for them. */
    public \DateTimeImmutable $now;
    public \DateTimeImmutable $day;
    public ?Species $target;
    public ?Unnamed $unnamed;
    /** @var list<StemGroup> */
    public array $stems;
    /** @var list<ProtectedFeature> */
    public array $keepers;
    public ?Quantity $area;
    /** @var list<PastWork> */
    public array $history;
    public string $stance;
    /** @var array<string, string> */
    public array $listed;

    /** @param list<Fact> $facts several of one name are allowed; stale ones count as unknown (rulings B24) */
    public function __construct(
        private Moment $at,
        private Plant $plant,
        SeasonShift $shift,
        array $facts = [],
        private Surveyed $surveyed = new Surveyed(),
        private CrewTerms $terms = new CrewTerms(),
    ) {
        [$now, $target] = [$at->now, $plant->target];
        $this->now = $now;
        $this->day = $at->day;
        $this->target = $target;
        $this->unnamed = $plant->unnamed;
        $this->stems = $surveyed->stems;
        $this->keepers = $surveyed->keepers;
        $this->area = $surveyed->area;
        $this->history = $surveyed->history;
        $this->stance = $terms->stance;
        $this->listed = $terms->listed;
        $best = [];
        foreach ($facts as $fact) {
            if (
                $fact->isFresh($now, $this->targetIsAnnual()) &&
                (!isset($best[$fact->name->value]) || $fact->beats($best[$fact->name->value]))
            ) {
                $best[$fact->name->value] = $fact;
            }
        }
        $this->facts = $best;
        $this->place = $shift;
        $this->shift = $this->localSeason(Phenology::shiftFor($target, $shift));
        $this->memo = new Memo();
    }

    /**
     * The same situation on another day of the season; observations that age with the weather drop out by themselves.
     */
    public function onDay(\DateTimeImmutable $day): self
    {
        return $this->once("on {$day->format('Y-m-d')}", fn(): self => $this->movedTo($day));
    }

    private function movedTo(\DateTimeImmutable $day): self
    {
        return new self(
            $this->at->onDay($day),
            $this->plant,
            $this->place,
            array_values($this->facts),
            $this->surveyed,
            $this->terms,
        );
    }

    /** The same situation, were the plant called so. */
    public function named(Species $target): self
    {
        return new self(
            $this->at,
            new Plant($target),
            $this->place,
            array_values($this->facts),
            $this->surveyed,
            $this->terms,
        );
    }

    /**
     * The same situation with other stems: a denser stand, a later year.
     *
     * @param list<StemGroup> $stems
     */
    public function withStems(array $stems): self
    {
        return $this->knowing(array_values($this->facts), $stems);
    }

    /** The same situation, were all of it at another growth stage, seen. */
    public function atStage(string $stage): self
    {
        $facts = array_filter(
            $this->facts,
            static fn(Fact $f): bool => !in_array(
                $f->name,
                [FactName::Stage, FactName::AlsoStage, FactName::LeafCount],
                true,
            ),
        );

        return $this->knowing(
            [...array_values($facts), new Fact(FactName::Stage, $stage, $this->now, Certainty::Observed)],
            $this->stems,
        );
    }

    /**
     * The same situation, with some facts forgotten and others taken for known.
     *
     * @param list<FactName> $forgotten
     * @param list<Fact> $taken
     */
    public function insteadOf(array $forgotten, array $taken): self
    {
        $kept = array_filter($this->facts, static fn(Fact $f): bool => !in_array($f->name, $forgotten, true));

        return $this->knowing([...array_values($kept), ...$taken], $this->stems);
    }

    /** Only what does not age with the weather: what a year can be judged by. */
    public function seasonOnly(): self
    {
        return $this->once(
            'season only',
            fn(): self => $this->knowing(
                array_values(array_filter($this->facts, static fn(Fact $f): bool => $f->name->holdsHours() === null)),
                $this->stems,
            ),
        );
    }

    /**
     * First day after the first season of what was sown or planted, a year after (rulings J14, J45); null where nobody
     * told the day.
     */
    public function firstSeasonOver(): ?\DateTimeImmutable
    {
        return $this->dayOf(FactName::PlantedOn)?->modify('+' . self::FIRST_SEASON_DAYS . ' days');
    }

    /** What will have come back after a first pass: how thick and how tall it is, nobody knows yet. */
    public function comeBack(): self
    {
        $facts = array_values(
            array_filter(
                $this->facts,
                static fn(Fact $f): bool => !in_array(
                    $f->name,
                    [FactName::Height, FactName::DiameterAt, FactName::Stage, FactName::HoursAtHand],
                    true,
                ),
            ),
        );

        return $this->knowing($facts, []);
    }

    /**
     * @param list<Fact> $facts
     * @param list<StemGroup> $stems
     */
    private function knowing(array $facts, array $stems): self
    {
        return new self(
            $this->at,
            $this->plant,
            $this->place,
            $facts,
            $this->surveyed->withStems($stems),
            $this->terms,
        );
    }

    public function fact(FactName $name): ?Fact
    {
        return $this->facts[$name->value] ?? null;
    }

    public function isYes(FactName $name): ?bool
    {
        $value = $this->fact($name)?->value;

        return is_bool($value) ? $value : null;
    }

    public function quantity(FactName $name): ?Quantity
    {
        $value = $this->fact($name)?->value;

        return $value instanceof Quantity ? $value : null;
    }

    public function word(FactName $name): ?string
    {
        $value = $this->fact($name)?->value;

        return is_string($value) ? $value : null;
    }

    public function dayOf(FactName $name): ?\DateTimeImmutable
    {
        $value = $this->fact($name)?->value;

        return $value instanceof \DateTimeImmutable ? $value : null;
    }

    /**
     * Growth stage with how it is known: what the crew saw, else the estimate from date and place (handbook 1).
     *
     * @return array{string, Certainty}|null
     */
    public function stage(): ?array
    {
        return $this->once('stage', $this->workOutStage(...));
    }

    /** Growth stage that somebody saw and that still holds; null where only the calendar speaks. */
    public function stageSeen(): ?string
    {
        [$stage, $certainty] = $this->stage() ?? [null, Certainty::Estimated];

        return $certainty === Certainty::Estimated ? null : $stage;
    }

    /** Which way the sugar stream runs on the day: up, down or still; null without a name. */
    public function flow(): ?string
    {
        return $this->once('flow', fn(): ?string => $this->phenology()?->flowOn($this->day));
    }

    /**
     * Works out once what depends on nothing but this situation and the key.
     *
     * @template T
     *
     * @param callable(): T $work
     *
     * @return T
     */
    public function once(string $key, callable $work): mixed
    {
        return $this->memo->once($key, $work);
    }

    /** @return array{string, Certainty}|null */
    private function workOutStage(): ?array
    {
        $seen = $this->fact(FactName::Stage);
        if ($seen !== null && is_string($seen->value)) {
            return [$seen->value, $seen->certainty];
        }
        // leaves counted tell the stage of what comes from seed (handbook 1: seedling is 2-4 leaves)
        $counted = $this->targetIsAnnual() ? self::BY_LEAVES[$this->word(FactName::LeafCount)] ?? null : null;
        if ($counted !== null) {
            return [$counted, Certainty::Observed];
        }
        $estimate = $this->shift->isTrusted ? $this->phenology()?->stageOn($this->day) : null;

        return $estimate === null ? null : [$estimate, Certainty::Estimated];
    }

    public function phenology(): ?Phenology
    {
        return $this->once(
            'phenology',
            fn(): ?Phenology => $this->target === null ? null : new Phenology($this->target, $this->shift),
        );
    }

    public function stemCount(): int
    {
        return array_sum(array_map(static fn(StemGroup $g): int => $g->count, $this->stems));
    }

    public function mostStemsPerClump(): int
    {
        return $this->stems === []
            ? 0
            : max(array_map(static fn(StemGroup $g): int => $g->stemsPerClump, $this->stems));
    }

    /** The tallest stems of the tally, where heights were noted there. */
    public function tallestTallied(): ?Quantity
    {
        $tallest = null;
        foreach ($this->stems as $group) {
            if ($group->height !== null && ($tallest === null || $group->height->isGreaterThan($tallest))) {
                $tallest = $group->height;
            }
        }

        return $tallest;
    }

    /**
     * Bark texture of the patch as observed, else of the tally where all noted stems agree; null where it is not known
     * or mixed.
     */
    public function barkTexture(): ?string
    {
        $tallied = array_values(
            array_unique(array_filter(array_map(static fn(StemGroup $g): ?string => $g->bark, $this->stems))),
        );

        return $this->word(FactName::BarkTexture) ?? (count($tallied) === 1 ? $tallied[0] : null);
    }

    /** Degrees the wind blows from, as somebody on site said within the hour. */
    public function windFrom(): ?float
    {
        $at = array_search($this->word(FactName::WindFrom), FactName::COMPASS, true);

        return $at === false ? null : $at * 45.0;
    }

    /** Nearest water: what somebody measured, else the nearest keeper that is water. */
    public function waterDistance(): ?Quantity
    {
        $nearest = $this->quantity(FactName::WaterDistance);
        foreach ($this->keepers as $keeper) {
            if (
                $keeper->isWater() &&
                $keeper->distance !== null &&
                ($nearest === null || $keeper->distance->isLessThan($nearest))
            ) {
                $nearest = $keeper->distance;
            }
        }

        return $nearest;
    }

    /** A leaf-out of the target seen in the year asked about moves the season by its own difference. */
    private function localSeason(SeasonShift $place): SeasonShift
    {
        $seen = $this->dayOf(FactName::LeafOut);
        $catalogue = $this->target?->dayOf('leafOut');

        return $seen !== null && $catalogue !== null && abs(Day::between($seen, $this->day)) <= 366
            ? $place->seenOn($seen, $catalogue)
            : $place;
    }

    /**
     * Texture class of the soil; null where nobody told, or where only a card can say what class a soil is (handbook
     * 3).
     */
    public function soil(): ?SoilTexture
    {
        $told = $this->word(FactName::SoilTexture);

        return $told === null ? null : SoilTexture::ofSoil(str_replace('-', ' ', $told));
    }

    /**
     * Whether stock use this ground: by what was told, by what is kept, by the setting; null where nothing tells
     * (rulings J51).
     */
    public function isGrazed(): ?bool
    {
        $kind = $this->word(FactName::StockKind);
        if ($kind === 'none') {
            return false;
        }
        $kept = array_filter($this->keepers, static fn(ProtectedFeature $k): bool => $k->kind === 'stock') !== [];

        return $kind !== null ||
            $kept ||
            $this->dayOf(FactName::GrazedFrom) !== null ||
            $this->word(FactName::Setting) === 'pasture'
            ? true
            : null;
    }

    private function targetIsAnnual(): bool
    {
        return in_array($this->target?->lifeCycle(), ['summer-annual', 'winter-annual'], true);
    }
}
