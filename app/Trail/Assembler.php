<?php

declare(strict_types=1);

namespace App\Trail;

use App\Models\Crew;
use App\Models\Keeper as KeeperRow;
use App\Models\LabelCardVersion;
use App\Models\Observation;
use App\Models\Patch;
use App\Models\Person;
use App\Models\Stand;
use App\Models\Step;
use App\Models\Tool;
use App\Support\JobClock;
use Thicket\Assess\Weights;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\FactName;
use Thicket\Identify\Key;
use Thicket\Identify\Ranking;
use Thicket\Identify\Showing;
use Thicket\Identify\Sight;
use Thicket\Identify\Unnamed;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Label\LabelCard;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Candidate;
use Thicket\Situation\Fact;
use Thicket\Situation\OwnFigures;
use Thicket\Situation\PastWork;
use Thicket\Situation\Prices;
use Thicket\Situation\Schools;
use Thicket\Situation\Shed;
use Thicket\Situation\Situation;
use Thicket\Situation\SituationReader;
use Thicket\Survey\Nearest;
use Thicket\Survey\Outline;
use Thicket\Survey\Shape;
use Thicket\Verdict\Certainty;

/**
 * Gathers what is stored of a stand into the plain objects of the core. Stored bodies were read by the core once, so
 * they read again.
 */
final class Assembler
{
    /** Things further off do not bear on a patch. */
    private const SEEN_METRES = 1000;

    /** @var \WeakMap<Patch, list<array{keeper: \Thicket\Situation\Keeper, row: KeeperRow}>> */
    private \WeakMap $keepers;

    /** @var \WeakMap<Crew, Shed> a request meets one crew, and asks for its shed several times */
    private \WeakMap $sheds;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly JobClock $clock,
        private readonly Counts $counts,
    ) {
        $this->keepers = new \WeakMap();
        $this->sheds = new \WeakMap();
    }

    /** @param \DateTimeImmutable|null $day another day of the season than today */
    public function situation(Stand $stand, ?\DateTimeImmutable $day = null): Situation
    {
        $patch = $stand->patch;
        $zone = new \DateTimeZone($patch->ground->time_zone);
        $today = $this->clock->today($patch->ground->time_zone);
        $situation = new Situation(
            $this->clock->now()->setTimezone($zone),
            $today,
            $stand->species === null ? null : $this->catalogue->species($stand->species),
            $this->seasonOf($patch),
            [
                new Fact(FactName::Setting, $patch->setting, null, Certainty::Observed, 'patch'),
                ...$this->facts($patch),
                ...$this->measuredAt($stand),
            ],
            $this->stems($stand),
            $this->keepers($patch),
            $patch->ground->crew->settings['stance'] ?? 'any',
            $stand->species === null
                ? Unnamed::of(
                    $this->ranking($stand, $today),
                    $this->catalogue,
                    $patch->ground->crew->settings['listed'] ?? [],
                )
                : null,
            $patch->ground->crew->settings['listed'] ?? [],
            $this->area($patch),
            $this->history($stand),
        );

        return $day === null || $day == $today ? $situation : $situation->onDay($day);
    }

    /** How the newest sighting of a stand ranks by the catalogue and season of today. */
    public function ranking(Stand $stand, \DateTimeImmutable $today): Ranking
    {
        return (new Key($this->catalogue))->rank(
            Sight::of($stand->sighting->seen ?? [], $this->catalogue),
            new Showing($this->seasonOf($stand->patch), $today, zone: $stand->patch->ground->hardiness_zone),
        );
    }

    /** @return list<\Thicket\Survey\StemGroup> */
    public function stems(Stand $stand): array
    {
        return $this->counts->stems($stand);
    }

    /**
     * What is kept near a patch: drawn things with distance and bearing from its outline, and those known by words.
     *
     * @return list<array{keeper: \Thicket\Situation\Keeper, row: KeeperRow}> nearest first
     */
    public function keepersOf(Patch $patch): array
    {
        if (isset($this->keepers[$patch])) {
            return $this->keepers[$patch];
        }
        $out = [];
        foreach ($patch->keepers as $row) {
            $row->archived_at === null && ($out[] = ['keeper' => $this->keeper($row, []), 'row' => $row]);
        }
        $shape =
            $patch->outline === null
                ? null
                : Shape::ofOutline(Outline::trusted($patch->outline->outline['coordinates']));
        $nearby = $shape === null ? [] : $this->drawnNear($patch, $shape);
        foreach ($nearby as $row) {
            $near = Nearest::between($shape, Shape::fromGeoJson($row->shape));
            if ($near->distance->in(Unit::Metre)->isLessThanOrEqualTo(self::SEEN_METRES)) {
                $out[] = [
                    'keeper' => $this->keeper(
                        $row,
                        ['distance' => $near->distance->toWire()] +
                            ($near->bearing === null ? [] : ['bearing' => number_format($near->bearing, 1, '.', '')]),
                    ),
                    'row' => $row,
                ];
            }
        }
        usort(
            $out,
            static fn(array $a, array $b): int => ($a['keeper']->distance?->float(Unit::Metre) ?? INF) <=>
                ($b['keeper']->distance?->float(Unit::Metre) ?? INF),
        );

        return $this->keepers[$patch] = $out;
    }

    /** @return list<\Thicket\Situation\Keeper> */
    public function keepers(Patch $patch): array
    {
        return array_column($this->keepersOf($patch), 'keeper');
    }

    /**
     * @return \Illuminate\Database\Eloquent\Collection<int, KeeperRow> drawn things of the ground whose box comes near
     */
    private function drawnNear(Patch $patch, Shape $shape): \Illuminate\Database\Eloquent\Collection
    {
        [$west, $south, $east, $north] = $shape->box();
        $up = self::SEEN_METRES / 110_000;
        $along = $up / max(0.05, cos(deg2rad(max(abs($south), abs($north)))));

        return KeeperRow::query()
            ->where('ground_id', $patch->ground_id)
            ->where('shape', '!=', null)
            ->where('archived_at', null)
            ->where('west', '<=', $east + $along)
            ->where('east', '>=', $west - $along)
            ->where('south', '<=', $north + $up)
            ->where('north', '>=', $south - $up)
            ->get();
    }

    /** @param array<string, mixed> $seen what the map says of it */
    private function keeper(KeeperRow $row, array $seen): \Thicket\Situation\Keeper
    {
        $faults = new Faults();
        $keeper = (new SituationReader($this->catalogue))->keeper(
            Fields::of($seen + $row->body, $faults),
            $row->shape === null ? 'typed' : 'map',
        );
        $faults->throwIfAny();

        return $keeper;
    }

    public function shed(Crew $crew): Shed
    {
        $cards = [];
        foreach ($crew->labelCards()->with('versions')->get() as $card) {
            $version =
                $card->versions->first(fn(LabelCardVersion $v): bool => $v->confirmed_at !== null) ??
                $card->versions->first();
            $version !== null && ($cards[] = $this->card($version));
        }
        $people = $crew->people()->get();
        $day = $this->clock->today($crew->timeZone());
        $tools = $crew->tools()->with('loans')->get();
        $hand = $tools->filter(static fn(Tool $tool): bool => !isset($tool->details['graduation']));
        $widest = null;
        foreach ($hand->filter(static fn(Tool $tool): bool => !$tool->isLent()) as $tool) {
            $typed = $tool->details['jaw'] ?? null;
            $jaw = $typed === null ? null : \Thicket\Measure\Reading::parse($typed, Dimension::Length)->quantity;
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
            $this->prices($crew),
            $this->figures($crew),
            array_map(
                static fn(string $typed): Quantity => \Thicket\Measure\Reading::parse($typed, Dimension::Length)
                    ->quantity,
                $crew->settings['stemLimits'] ?? [],
            ),
        );
    }

    /** @return list<\Thicket\Mix\MeasuringTool> of the crew, those out on loan left out */
    public function measuringTools(Crew $crew): array
    {
        $out = [];
        foreach ($crew->tools()->with('loans')->get() as $tool) {
            [$graduation, $holds] = [$tool->details['graduation'] ?? null, $tool->details['holds'] ?? null];
            if ($graduation !== null && $holds !== null && !$tool->isLent()) {
                $out[] = new \Thicket\Mix\MeasuringTool(
                    $tool->name,
                    \Thicket\Measure\Reading::parse($graduation, null)->quantity,
                    \Thicket\Measure\Reading::parse($holds, null)->quantity,
                    $tool->kind,
                );
            }
        }

        return $out;
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

    public function prices(Crew $crew): ?Prices
    {
        $kept = $crew->settings['prices'] ?? null;
        if ($kept === null) {
            return null;
        }
        $faults = new Faults();
        $prices = Prices::read(Fields::of($kept, $faults), $this->catalogue);
        $faults->throwIfAny();

        return $prices->withPacks($this->packs($crew), $this->clock->today($crew->timeZone()));
    }

    /**
     * @return list<array{active: string, size: Quantity, price: \Brick\Math\BigRational, on: \DateTimeImmutable|null}>
     * sizes that products of one active are sold in
     */
    private function packs(Crew $crew): array
    {
        $out = [];
        foreach ($crew->labelCards()->with('versions')->get() as $card) {
            $actives = array_column($card->versions->first()->body['actives'] ?? [], 'active');
            foreach (count($actives) === 1 && is_string($actives[0]) ? $card->packs ?? [] : [] as $pack) {
                $out[] = [
                    'active' => $actives[0],
                    'size' => \Thicket\Measure\Reading::parse($pack['size'], null)->quantity,
                    'price' => \Brick\Math\BigRational::of($pack['price']),
                    'on' => $pack['on'] === null ? null : new \DateTimeImmutable($pack['on']),
                ];
            }
        }

        return $out;
    }

    /** The crew's own coefficients; null where it keeps to the shipped table. */
    public function figures(Crew $crew): ?OwnFigures
    {
        $kept = $crew->settings['figures'] ?? [];
        if ($kept === []) {
            return null;
        }
        $faults = new Faults();
        $figures = OwnFigures::read(
            Fields::of(['figures' => $kept], $faults),
            'figures',
            $this->catalogue->coefficients(),
        );
        $faults->throwIfAny();

        return $figures;
    }

    /** @return list<PastWork> signed work on this stand; failed where a scored look-back found most of it alive */
    private function history(Stand $stand): array
    {
        $out = [];
        foreach ($stand->steps as $step) {
            foreach ($step->records as $record) {
                $scored = $record->lookBacks->first(fn($look): bool => $look->scored);
                [$counted, $dead] = [$scored->body['counted'] ?? null, $scored->body['dead'] ?? null];
                // of several products in the tank each was put there
                foreach (
                    [
                        $step->active,
                        ...array_map(
                            fn(LabelCardVersion $v): string => $this->card($v)->actives[0]['active'],
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

    public function candidate(Step $step, Crew $crew): Candidate
    {
        return new Candidate(
            $this->catalogue->method($step->method),
            $step->active === null ? null : $this->catalogue->active($step->active),
            $step->cardVersion === null ? null : $this->card($step->cardVersion),
            Schools::of($this->catalogue, $step->schools),
            ($this->sheds[$crew] ??= $this->shed($crew)),
            $this->catalogue,
            // the board and the gates judge the jug whole (rulings J41)
            array_map(
                fn(LabelCardVersion $version): Candidate => $this->partner($step, $version, $crew),
                $step->partners(),
            ),
        );
    }

    private function partner(Step $step, LabelCardVersion $version, Crew $crew): Candidate
    {
        $card = $this->card($version);

        return new Candidate(
            $this->catalogue->method($step->method),
            $this->catalogue->active($card->actives[0]['active']),
            $card,
            Schools::of($this->catalogue, $step->schools),
            ($this->sheds[$crew] ??= $this->shed($crew)),
            $this->catalogue,
        );
    }

    /**
     * Further products of the tank, as their cards stand (rulings J16); each stands for the first active of its card.
     *
     * @return list<Candidate>
     */
    public function partners(Step $step, Crew $crew): array
    {
        return array_map(
            fn(LabelCardVersion $version): Candidate => $this->partner($step, $version, $crew),
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
        $seen = $this->leafOutSeen($patch);
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

    /** @return array{day: \DateTimeImmutable, catalogue: \Thicket\Calendar\MonthDay, species: string}|null */
    public function leafOutSeen(Patch $patch): ?array
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $observed = Observation::query()
            ->where('ground_id', $patch->ground_id)
            ->where('fact', FactName::LeafOut->value)
            ->whereNotNull('species')
            ->whereBetween('at', [$now->modify('-366 days'), $now])
            ->orderByDesc('at')
            ->orderByDesc('id')
            ->get();
        foreach ($observed as $one) {
            $catalogue = $this->catalogue->hasSpecies((string) $one->species)
                ? $this->catalogue->species((string) $one->species)->dayOf('leafOut')
                : null;
            if ($catalogue !== null && is_string($one->body['value'] ?? null)) {
                return [
                    'day' => \Thicket\Calendar\Day::parse($one->body['value']),
                    'catalogue' => $catalogue,
                    'species' => (string) $one->species,
                ];
            }
        }

        return null;
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

    /** @return list<Fact> a leaf-out bears on the season, not on the target alone, and is read by seasonOf() */
    private function facts(Patch $patch): array
    {
        $facts = [];
        foreach ($patch->observations as $observation) {
            if ($observation->fact === FactName::LeafOut->value && $observation->species !== null) {
                continue;
            }
            $fact = (new SituationReader($this->catalogue))->fact(
                Fields::of($observation->body, new Faults()),
                \DateTimeImmutable::createFromInterface($observation->at),
            );
            $fact !== null && ($facts[] = $fact);
        }

        return $facts;
    }

    /** @return array<string, Observation> newest observation of each fact */
    public function newest(Patch $patch): array
    {
        $out = [];
        foreach ($patch->observations as $observation) {
            $out[$observation->fact] ??= $observation;
        }

        return $out;
    }
}
