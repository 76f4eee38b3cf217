<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Crew;
use App\Models\LabelCard as LabelCardRow;
use App\Models\LabelCardVersion;
use App\Models\Observation;
use App\Models\Patch;
use App\Models\Person;
use App\Models\Stand;
use App\Models\Step;
use App\Models\Tool;
use App\Support\JobClock;
use Illuminate\Database\Eloquent\Collection;
use Thicket\Assess\Weights;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\FactName;
use Thicket\Identify\Key;
use Thicket\Identify\ObservedCharacters;
use Thicket\Identify\Ranking;
use Thicket\Identify\SeasonalVisibility;
use Thicket\Identify\Unnamed;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Label\LabelCard;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Reading;
use Thicket\Measure\Unit;
use Thicket\Mix\MeasuringKit;
use Thicket\Mix\MeasuringTool;
use Thicket\Situation\CrewCoefficients;
use Thicket\Situation\CrewTerms;
use Thicket\Situation\Fact;
use Thicket\Situation\Moment;
use Thicket\Situation\Option;
use Thicket\Situation\PastWork;
use Thicket\Situation\Plant;
use Thicket\Situation\Prices;
use Thicket\Situation\Schools;
use Thicket\Situation\Shed;
use Thicket\Situation\Situation;
use Thicket\Situation\Surveyed;
use Thicket\Verdict\Certainty;

/**
 * Gathers what is stored of a stand into the plain objects of the core. Stored bodies were read by the core once, so
 * they read again.
 */
final class SituationRepository
{
    /** @var \WeakMap<Crew, Shed> a request meets one crew, and asks for its shed several times */
    private \WeakMap $sheds;

    /** @var \WeakMap<Stand, Situation> */
    private \WeakMap $situations;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly JobClock $clock,
        private readonly Counts $counts,
        private readonly Surroundings $surroundings,
        private readonly KeptWork $kept,
        private readonly Lessons $lessons,
    ) {
        $this->sheds = new \WeakMap();
        $this->situations = new \WeakMap();
    }

    /**
     * As the stand was when it was loaded: a write loads it anew before it is shown.
     *
     * @param \DateTimeImmutable|null $day another day of the season than today
     */
    public function situation(Stand $stand, ?\DateTimeImmutable $day = null): Situation
    {
        $situation = $this->situations[$stand] ??= $this->gather($stand);

        return $day === null || $day == $situation->day ? $situation : $situation->onDay($day);
    }

    private function gather(Stand $stand): Situation
    {
        $patch = $stand->patch;
        $zone = new \DateTimeZone($patch->ground->time_zone);
        $today = $this->clock->today($patch->ground->time_zone);

        $settings = $patch->ground->crew->settings;
        $listed = $settings['listed'] ?? [];

        return new Situation(
            new Moment($this->clock->now()->setTimezone($zone), $today),
            $stand->species === null
                ? new Plant(null, Unnamed::of($this->ranking($stand, $today), $this->catalogue, $listed))
                : new Plant($this->catalogue->species($stand->species)),
            $this->seasonOf($patch),
            [
                new Fact(FactName::Setting, $patch->setting, null, Certainty::Observed, 'patch'),
                ...$this->surroundings->facts($patch),
                ...$this->measuredAt($stand),
            ],
            new Surveyed(
                $this->stems($stand),
                $this->surroundings->keepers($patch),
                $this->area($patch),
                $this->history($stand),
            ),
            new CrewTerms($settings['stance'] ?? 'any', $listed),
        );
    }

    /** How the newest sighting of a stand ranks by the catalogue and season of today. */
    public function ranking(Stand $stand, \DateTimeImmutable $today): Ranking
    {
        return (new Key($this->catalogue))->rank(
            ObservedCharacters::of($stand->sighting->seen ?? [], $this->catalogue),
            new SeasonalVisibility($this->seasonOf($stand->patch), $today, zone: $stand->patch->ground->hardiness_zone),
        );
    }

    /** @return list<\Thicket\Survey\StemGroup> */
    public function stems(Stand $stand): array
    {
        return $this->counts->stems($stand);
    }

    public function shed(Crew $crew): Shed
    {
        return $this->sheds[$crew] ??= $this->kept->of(
            "shed.{$crew->id}",
            $crew,
            fn(): Shed => $this->gatherShed($crew),
        );
    }

    private function gatherShed(Crew $crew): Shed
    {
        $cards = [];
        $labelCards = $crew->labelCards()->with('versions')->get();
        foreach ($labelCards as $card) {
            $version =
                $card->versions->first(fn(LabelCardVersion $v): bool => $v->confirmed_at !== null) ??
                $card->versions->first();
            $version !== null && ($cards[] = $this->card($version));
        }
        $people = $crew->people;
        $day = $this->clock->today($crew->timeZone());
        $tools = $crew->tools()->with('loans')->get();
        $hand = $tools->filter(static fn(Tool $tool): bool => !isset($tool->details['graduation']));
        $widest = null;
        foreach ($hand->filter(static fn(Tool $tool): bool => !$tool->isLent()) as $tool) {
            $typed = $tool->details['jaw'] ?? null;
            $jaw = $typed === null ? null : Reading::parse($typed, Dimension::Length)->quantity;
            $widest = $widest === null || $jaw?->isGreaterThan($widest) === true ? $jaw : $widest;
        }

        return new Shed(
            $cards,
            $hand->isEmpty()
                ? null
                : array_values(
                    $hand->filter(static fn(Tool $tool): bool => !$tool->isLent())->pluck('kind')->unique()->all(),
                ),
            array_values(array_unique($people->flatMap(fn(Person $p): array => $p->clearances)->all())),
            $people->contains(fn(Person $p): bool => $p->isLicensedOn($day)),
            $widest,
            $this->prices($crew, $labelCards),
            $this->figures($crew),
            array_map(
                static fn(string $typed): Quantity => Reading::parse($typed, Dimension::Length)->quantity,
                $crew->settings['stemLimits'] ?? [],
            ),
        );
    }

    /** What the crew measures with; what is out on loan is not there. */
    public function measuringKit(Crew $crew): MeasuringKit
    {
        $out = [];
        foreach ($crew->tools()->with('loans')->get() as $tool) {
            [$graduation, $holds] = [$tool->details['graduation'] ?? null, $tool->details['holds'] ?? null];
            if ($graduation !== null && $holds !== null && !$tool->isLent()) {
                $out[] = new MeasuringTool(
                    $tool->name,
                    Reading::parse($graduation, null)->quantity,
                    Reading::parse($holds, null)->quantity,
                    $tool->kind,
                );
            }
        }

        return new MeasuringKit($out);
    }

    public function activeName(string $active): string
    {
        return $this->catalogue->active($active)->name();
    }

    public function card(LabelCardVersion $version): LabelCard
    {
        $faults = new Faults();
        $body =
            ['id' => $version->id, 'version' => $version->version, 'confirmed' => $version->confirmed_at !== null] +
            $version->body;
        $card = LabelCard::read(Fields::of($body, $faults), $this->catalogue);
        $faults->throwIfAny();

        return $card ?? throw new \LogicException("Label card version {$version->id} cannot be read.");
    }

    /** @param array<string, string> $other choices for this look only */
    public function schools(Crew $crew, array $other = []): Schools
    {
        return Schools::of($this->catalogue, $other + ($crew->settings['schools'] ?? []));
    }

    /** @param Collection<int, LabelCardRow>|null $cards of the crew with their versions, where they are at hand */
    public function prices(Crew $crew, ?Collection $cards = null): ?Prices
    {
        $kept = $crew->settings['prices'] ?? null;
        if ($kept === null) {
            return null;
        }
        $faults = new Faults();
        $prices = Prices::read(Fields::of($kept, $faults), $this->catalogue);
        $faults->throwIfAny();

        return $prices->withPacks(
            $this->packs($cards ?? $crew->labelCards()->with('versions')->get()),
            $this->clock->today($crew->timeZone()),
        );
    }

    /**
     * @param Collection<int, LabelCardRow> $cards
     *
     * @return list<array{active: string, size: Quantity, price: \Brick\Math\BigRational, on: \DateTimeImmutable|null}>
     * sizes that products of one active are sold in
     */
    private function packs(Collection $cards): array
    {
        $out = [];
        foreach ($cards as $card) {
            $actives = array_column($card->versions->first()->body['actives'] ?? [], 'active');
            foreach (count($actives) === 1 && is_string($actives[0]) ? $card->packs ?? [] : [] as $pack) {
                $out[] = [
                    'active' => $actives[0],
                    'size' => Reading::parse($pack['size'], null)->quantity,
                    'price' => \Brick\Math\BigRational::of($pack['price']),
                    'on' => $pack['on'] === null ? null : new \DateTimeImmutable($pack['on']),
                ];
            }
        }

        return $out;
    }

    /** The crew's own coefficients, put in or learned; null where it keeps to the shipped table. */
    public function figures(Crew $crew): ?CrewCoefficients
    {
        $kept = $crew->settings['figures'] ?? [];
        $learned = $this->lessons->learned($crew);
        if ($kept === [] && $learned === []) {
            return null;
        }
        $faults = new Faults();
        $figures = CrewCoefficients::read(
            Fields::of(['figures' => $kept], $faults),
            'figures',
            $this->catalogue->coefficients(),
        );
        $faults->throwIfAny();

        return $figures->drawnBy($learned);
    }

    /** @return list<PastWork> signed work on this stand; failed where a scored look-back found most of it alive */
    private function history(Stand $stand): array
    {
        $out = [];
        foreach ($stand->steps as $step) {
            foreach ($step->records as $record) {
                $scored = $record->scored();
                [$counted, $dead] = [$scored->body['counted'] ?? null, $scored->body['dead'] ?? null];
                // of several products in the tank each was put there
                foreach (
                    [
                        $step->active,
                        ...array_map(
                            fn(LabelCardVersion $v): string => $this->card($v)->contents->actives[0]['active'],
                            $step->partners(),
                        ),
                    ]
                    as $active
                ) {
                    $past = new PastWork(
                        \Thicket\Calendar\Day::parse($record->worked_on->format('Y-m-d')),
                        $step->method,
                        $active,
                        $active === null ? null : $this->catalogue->active($active)->group(),
                    );
                    $out[] = is_int($counted) && is_int($dead) ? $past->judged($counted, $dead) : $past;
                }
            }
        }

        return $out;
    }

    /**
     * How a plan is weighed: as somebody kept it for this stand, else as the crew weighs; all alike until a lead says
     * otherwise.
     */
    public function weights(Crew $crew, ?Stand $stand = null): Weights
    {
        $kept = $stand->weights ?? ($crew->settings['weights'] ?? []);

        return $kept === [] ? Weights::equal() : Weights::of($kept);
    }

    public function option(Step $step, Crew $crew): Option
    {
        return new Option(
            $this->catalogue->method($step->method),
            $step->active === null ? null : $this->catalogue->active($step->active),
            $step->cardVersion === null ? null : $this->card($step->cardVersion),
            Schools::of($this->catalogue, $step->schools),
            $this->shed($crew),
            $this->catalogue,
            // the board and the gates judge the jug whole (rulings J41)
            array_map(
                fn(LabelCardVersion $version): Option => $this->partner($step, $version, $crew),
                $step->partners(),
            ),
        );
    }

    private function partner(Step $step, LabelCardVersion $version, Crew $crew): Option
    {
        $card = $this->card($version);

        return new Option(
            $this->catalogue->method($step->method),
            $this->catalogue->active($card->contents->actives[0]['active']),
            $card,
            Schools::of($this->catalogue, $step->schools),
            $this->shed($crew),
            $this->catalogue,
        );
    }

    /**
     * Further products of the tank, as their cards stand (rulings J16); each stands for the first active of its card.
     *
     * @return list<Option>
     */
    public function partners(Step $step, Crew $crew): array
    {
        return array_map(
            fn(LabelCardVersion $version): Option => $this->partner($step, $version, $crew),
            $step->partners(),
        );
    }

    public function area(Patch $patch): ?Quantity
    {
        return $patch->outline === null
            ? null
            : Quantity::of(rtrim(rtrim($patch->outline->area_m2, '0'), '.'), Unit::SquareMetre);
    }

    /**
     * The season of a ground: by place, or by the newest leaf-out that somebody saw anywhere on it within the year
     * (handbook 1: a local date improves every later estimate on the same ground).
     */
    public function seasonOf(Patch $patch): \Thicket\Calendar\SeasonShift
    {
        $seen = $this->surroundings->leafOutSeen($patch);
        $place = $patch->ground->seasonShift();

        return $seen === null ? $place : $place->seenOn($seen['day'], $seen['catalogue']);
    }

    /** Degrees the wind blows from at this patch, as somebody said within the hour; null where nobody did. */
    public function windFrom(Patch $patch): ?float
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $said = Observation::query()
            ->where('patch_id', $patch->id)
            ->where('fact', FactName::WindFrom->value)
            ->whereBetween('at', [$now->modify('-' . FactName::WindFrom->holdsHours() . ' hours'), $now])
            ->orderByDesc('at')
            ->orderByDesc('id')
            ->first();
        $at = array_search($said?->body['value'] ?? null, FactName::COMPASS, true);

        return $at === false ? null : $at * 45.0;
    }

    /** @return list<Fact> */
    private function measuredAt(Stand $stand): array
    {
        $at = $this->counts->diameterAt($stand);

        $cover = $this->counts->current($stand, ['cover'])->first();
        $class = is_array($cover?->body) ? $cover->body['class'] ?? null : null;

        return [
            ...$at === null ? [] : [new Fact(FactName::DiameterAt, $at, null, Certainty::Observed, 'tally')],
            // what a tally of cover says of this stand goes before what was noted of the patch
            ...is_string($class) ? [new Fact(FactName::TargetCover, $class, null, Certainty::Measured, 'tally')] : [],
        ];
    }
}
