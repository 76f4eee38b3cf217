<?php

declare(strict_types=1);

namespace Thicket\Hours;

use Thicket\Assess\Board;
use Thicket\Assess\Row;
use Thicket\Assess\Rule;
use Thicket\Assess\Rules\DayWeather;
use Thicket\Assess\Rules\Downwind;
use Thicket\Assess\RuleSet;
use Thicket\Catalogue\FactName;
use Thicket\Hours\Rules\AirTemperature;
use Thicket\Hours\Rules\BeesFly;
use Thicket\Hours\Rules\Daylight;
use Thicket\Hours\Rules\DriftToward;
use Thicket\Hours\Rules\DropsDry;
use Thicket\Hours\Rules\DrySurface;
use Thicket\Hours\Rules\Gusts;
use Thicket\Hours\Rules\HeatAfter;
use Thicket\Hours\Rules\Inversion;
use Thicket\Hours\Rules\NothingBurns;
use Thicket\Hours\Rules\RainAfter;
use Thicket\Hours\Rules\SnowAtBase;
use Thicket\Hours\Rules\SoilReady;
use Thicket\Hours\Rules\Sprinklers;
use Thicket\Hours\Rules\WindAtNozzle;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Fact;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Timing\StartLimits;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;
use Thicket\Weather\Forecast;
use Thicket\Weather\WeatherHour;

/**
 * Can we go, with what, till when: the hours of the coming days held against every condition of the chosen work
 * (handbook 4, rulings J3). The board judges each day of it, the sky left out; the rules of hours judge the sky. A pure
 * function of what it is given.
 */
final readonly class HourBoard
{
    public const DAYS = 10;
    private const BEST_HOURS = 2;
    private const WEEK_DAYS = 7;
    /** What the sky says of an hour is not what somebody saw before. */
    private const OF_THE_SKY = [
        FactName::WindSpeed,
        FactName::WindFrom,
        FactName::AirTemperature,
        FactName::BarkWetness,
        FactName::LeafWetness,
        FactName::SnowAtBase,
    ];

    /** @param list<HourVerdict> $hours from the present one on */
    private function __construct(public array $hours, public \DateTimeImmutable $now) {}

    /**
     * @param non-empty-list<Option> $tank all that goes into it, the leading product first
     * @param int $days how far ahead, today included
     */
    public static function of(
        Situation $situation,
        array $tank,
        Forecast $forecast,
        Place $place,
        int $days = self::DAYS,
    ): self {
        $rules = self::rules();
        $limits = StartLimits::ofTank($tank, $situation->target);
        $first = Forecast::begin($situation->now);
        $hours = [];
        /** @var array<string, array{Situation, Finding, \Thicket\Weather\Sun}> $byDay */
        $byDay = [];
        for ($i = 0; $i < 24 * $days; ++$i) {
            $at = $situation->now->setTimezone(new \DateTimeZone('UTC'))->setTimestamp($first + 3600 * $i);
            $day = $place->dayOf($at);
            $byDay[$day->format('Y-m-d')] ??= self::day($situation, $tank[0], $forecast, $place, $day);
            [$onDay, $season, $sun] = $byDay[$day->format('Y-m-d')];
            $told = $forecast->at($at) ?? new WeatherHour($at);
            $hour = new WorkHour(
                $onDay,
                $tank,
                $limits,
                $i === 0 ? self::asMeasured($told, $situation) : $told,
                $forecast,
                $place,
                $sun,
                $i === 0,
            );
            $findings = [Condition::Season->value => $season];
            foreach ($rules as $rule) {
                $found = $rule->evaluate($hour);
                $found === null || ($findings[$rule->condition()->value] = $found);
            }
            $hours[] = new HourVerdict($at, $findings, $forecast->surety($at));
        }

        return new self($hours, $situation->now);
    }

    /** @return list<HourRule> */
    public static function rules(): array
    {
        return [
            new Daylight(),
            new WindAtNozzle(),
            new Gusts(),
            new DriftToward(),
            new BeesFly(),
            new Inversion(),
            new AirTemperature(),
            new HeatAfter(),
            new DropsDry(),
            new DrySurface(),
            new RainAfter(),
            new Sprinklers(),
            new SoilReady(),
            new SnowAtBase(),
            new NothingBurns(),
        ];
    }

    /** @return list<Condition> those that this work is held against, in the order in which people look */
    public function conditions(): array
    {
        $asked = array_merge(
            [],
            ...array_map(static fn(HourVerdict $h): array => array_keys($h->findings), $this->hours),
        );

        return array_values(
            array_filter(Condition::cases(), static fn(Condition $c): bool => in_array($c->value, $asked, true)),
        );
    }

    /** @return list<Opening> */
    public function openings(): array
    {
        $openings = [];
        $run = [];
        foreach ($this->hours as $hour) {
            if ($hour->isOpen()) {
                $run[] = $hour;
            } elseif ($run !== []) {
                $openings[] = new Opening($run);
                $run = [];
            }
        }

        return $run === [] ? $openings : [...$openings, new Opening($run)];
    }

    /** The opening that runs now; null where it is shut. */
    public function openNow(): ?Opening
    {
        $first = $this->openings()[0] ?? null;

        return $first !== null && $first->from() <= $this->now ? $first : null;
    }

    /** The next opening that has not begun. */
    public function next(): ?Opening
    {
        foreach ($this->openings() as $opening) {
            if ($opening->from() > $this->now) {
                return $opening;
            }
        }

        return null;
    }

    /** First hour from now on in which this condition shuts nothing; null where the forecast shows none. */
    public function opensNext(Condition $condition): ?\DateTimeImmutable
    {
        foreach ($this->hours as $hour) {
            $finding = $hour->findings[$condition->value] ?? null;
            if ($finding === null || !$finding->outcome->isWorseThan(Outcome::WithCare)) {
                return $hour->at;
            }
        }

        return null;
    }

    /**
     * The best two hours on end of the coming week: fitting before with care, surely told before roughly, then the
     * earliest. Null where no two hours on end are open.
     */
    public function best(): ?Opening
    {
        $until = $this->now->modify('+' . self::WEEK_DAYS . ' days');
        $best = null;
        $bestRank = null;
        foreach ($this->openings() as $opening) {
            for ($i = 0; $i + self::BEST_HOURS <= count($opening->hours); ++$i) {
                $pair = array_slice($opening->hours, $i, self::BEST_HOURS);
                if ($pair === [] || $pair[0]->at >= $until) {
                    break;
                }
                $rank = [
                    -(new Opening($pair))->outcome()->rank(),
                    array_search($pair[count($pair) - 1]->surety, ['sure', 'fair', 'rough'], true),
                ];
                if ($bestRank === null || $rank < $bestRank) {
                    [$best, $bestRank] = [new Opening($pair), $rank];
                }
            }
        }

        return $best;
    }

    /** @return array{Situation, Finding, \Thicket\Weather\Sun} the ground on that day, what its season says, the sun */
    private static function day(
        Situation $situation,
        Option $option,
        Forecast $forecast,
        Place $place,
        \DateTimeImmutable $day,
    ): array {
        $moved = $day == $situation->day ? $situation : $situation->onDay($day);
        $noon = $forecast->at(new \DateTimeImmutable($day->format('Y-m-d') . ' 12:00', $place->zone));
        $assumed = [
            new Fact(FactName::BarkWetness, 'dry', $moved->now, Certainty::Estimated, 'forecast'),
            new Fact(FactName::LeafWetness, 'dry', $moved->now, Certainty::Estimated, 'forecast'),
            new Fact(
                FactName::SnowAtBase,
                Quantity::zero(Unit::Centimetre),
                $moved->now,
                Certainty::Estimated,
                'forecast',
            ),
        ];
        if ($noon?->soil !== null) {
            $assumed[] = new Fact(
                FactName::SoilTemperature,
                $noon->soil,
                $moved->now,
                Certainty::Estimated,
                'forecast',
            );
        }
        $row = Board::judge($moved->insteadOf(self::OF_THE_SKY, $assumed), $option, self::ofTheDay());

        return [$moved, self::worst($row), $place->sunOn($day)];
    }

    /** The rules of the board but those that read the sky. */
    private static function ofTheDay(): RuleSet
    {
        return new RuleSet(
            array_values(
                array_filter(
                    RuleSet::standard()->rules,
                    static fn(Rule $r): bool => !($r instanceof DayWeather) && !($r instanceof Downwind),
                ),
            ),
        );
    }

    private static function worst(Row $row): Finding
    {
        return $row->findings[0] ?? Finding::fits('hour.in-season', 'handbook-4');
    }

    /** What somebody measured within the hour beats what was told of it (rulings J3, B24). */
    private static function asMeasured(WeatherHour $told, Situation $situation): WeatherHour
    {
        return new WeatherHour(
            $told->at,
            $situation->quantity(FactName::AirTemperature) ?? $told->air,
            $told->humidity,
            $situation->quantity(FactName::WindSpeed) ?? $told->wind,
            $told->gust,
            $situation->windFrom() ?? $told->windFrom,
            $told->rain,
            $told->rainChance,
            $told->cloud,
            $situation->quantity(FactName::SnowAtBase) ?? $told->snow,
            $told->soil,
            $told->topsoil,
        );
    }
}
