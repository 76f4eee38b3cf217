<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Stand;
use App\Support\Format;
use App\Text\Sentences;
use Thicket\Catalogue\Species;
use Thicket\Hours\Condition;
use Thicket\Hours\HourBoard;
use Thicket\Hours\HourVerdict;
use Thicket\Hours\Opening;
use Thicket\Hours\Place;
use Thicket\Season\ScoutingSeason;
use Thicket\Verdict\Finding;
use Thicket\Weather\Forecast;

/** Hours of a job: a picture first, then one hour with all that is said of it. */
final readonly class HoursResource
{
    public function __construct(private Sentences $sentences, private BoardResource $board) {}

    /** @return array<string, mixed> */
    public function board(HourBoard $board, Forecast $forecast, Place $place): array
    {
        $first = $board->hours[0];

        return [
            'at' => self::local($board->now, $place),
            'timeZone' => $place->zone->getName(),
            'forecast' => $this->forecast($forecast, $place, $board->now),
            'now' => $this->verdict($first),
            'openUntil' => ($open = $board->openNow()) === null ? null : self::local($open->until(), $place),
            'next' => $this->opening($board->next(), $place),
            'best' => $this->opening($board->best(), $place),
            'conditions' => array_map(
                fn(Condition $c): array => [
                    'id' => $c->value,
                    'name' => $this->sentences->name("condition.{$c->value}"),
                    'threatens' => $this->sentences->name("threatens.{$c->threatens()}"),
                    'opens' => ($at = $board->opensNext($c)) === null ? null : self::local($at, $place),
                ],
                $board->conditions(),
            ),
            'days' => $this->days($board, $place),
        ];
    }

    /** @return array<string, mixed> what stands for and against one hour */
    public function hour(HourVerdict $hour, Place $place): array
    {
        $findings = [];
        foreach (Condition::cases() as $condition) {
            $finding = $hour->findings[$condition->value] ?? null;
            if ($finding === null) {
                continue;
            }
            $told = $this->board->finding($finding);
            $findings[] = [
                'condition' => $condition->value,
                'name' => $this->sentences->name("condition.{$condition->value}"),
                'threatens' => $this->sentences->name("threatens.{$condition->threatens()}"),
                'outcome' => $finding->outcome->value,
                'outcomeName' => $this->sentences->name("outcome.{$finding->outcome->value}"),
                'text' => $told['text'],
                'change' => $told['change']['text'] ?? null,
                'source' => $told['source']['name'],
                'certainty' => $finding->restsOn?->value,
            ];
        }

        return ['at' => self::local($hour->at, $place), 'surety' => $this->sentences->name("surety.{$hour->surety}")] +
            $this->verdict($hour) + ['findings' => $findings];
    }

    /**
     * A job on Today.
     *
     * @param array{opens: \DateTimeImmutable|null, lastDay: \DateTimeImmutable|null} $season
     * @param array{HourBoard, Forecast, Place}|null $hours null where no weather is told
     *
     * @return array<string, mixed>
     */
    public function line(string $standId, array $season, ?array $hours): array
    {
        [$board, , $place] = $hours ?? [null, null, null];
        $open = $board?->openNow();

        return [
            'standId' => $standId,
            'seasonOpens' => Format::day($season['opens']),
            'lastDay' => Format::day($season['lastDay']),
            'openUntil' => $open === null || $place === null ? null : self::local($open->until(), $place),
            'next' => $place === null ? null : $this->opening($board?->next(), $place),
            'why' => $board === null ? null : $this->verdict($board->hours[0])['why'],
        ];
    }

    /** @return array<string, mixed> a plant that gives itself away now */
    public function look(Stand $stand, Species $species, ScoutingSeason $season): array
    {
        return [
            'species' => $species->id(),
            'name' => $this->sentences->called($species->commonName()),
            'ground' => $stand->patch->ground->name,
            'why' => $season->why,
            'until' => Format::day($season->until),
            'fruitIsRipe' => $season->fruitIsRipe,
        ];
    }

    /** @return array<string, mixed>|null */
    public function opening(?Opening $opening, Place $place): ?array
    {
        return $opening === null
            ? null
            : [
                'from' => self::local($opening->from(), $place),
                'until' => self::local($opening->until(), $place),
                'outcome' => $opening->outcome()->value,
                'surety' => $this->sentences->name("surety.{$opening->hours[0]->surety}"),
            ];
    }

    public static function local(\DateTimeImmutable $at, Place $place): string
    {
        return (string) Format::moment($at, $place->zone->getName());
    }

    /** @return array{outcome: string, outcomeName: string, why: array<string, string>|null} */
    public function verdict(HourVerdict $hour): array
    {
        $deciding = $hour->deciding();
        $finding = $deciding === null ? null : $hour->findings[$deciding->value];

        return [
            'outcome' => $hour->outcome->value,
            'outcomeName' => $this->sentences->name("outcome.{$hour->outcome->value}"),
            'why' => $finding instanceof Finding ? $this->board->finding($finding)['text'] : null,
        ];
    }

    /** @return array<string, mixed> */
    private function forecast(Forecast $forecast, Place $place, \DateTimeImmutable $now): array
    {
        return [
            'issued' => self::local($forecast->issued, $place),
            'source' => $forecast->source,
            'stale' => $forecast->isStale($now),
            'notBelieved' => $forecast->notBelieved,
        ];
    }

    /** @return list<array<string, mixed>> */
    private function days(HourBoard $board, Place $place): array
    {
        $days = [];
        foreach ($board->hours as $hour) {
            $day = $place->dayOf($hour->at);
            $key = $day->format('Y-m-d');
            if (!isset($days[$key])) {
                $sun = $place->sunOn($day);
                $days[$key] = [
                    'day' => $key,
                    'sunrise' => $sun->rise === null ? null : self::local($sun->rise, $place),
                    'sunset' => $sun->set === null ? null : self::local($sun->set, $place),
                    'hours' => [],
                ];
            }
            $days[$key]['hours'][] = [
                'at' => self::local($hour->at, $place),
                'outcome' => $hour->outcome->value,
                'deciding' => $hour->deciding()?->value,
                'surety' => $hour->surety,
            ];
        }

        return array_values($days);
    }
}
