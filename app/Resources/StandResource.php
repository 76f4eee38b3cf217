<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Batch;
use App\Models\LabelCardVersion;
use App\Models\Person;
use App\Models\Stand;
use App\Models\Step;
use App\Repositories\LookAlikes;
use App\Repositories\Shelf;
use App\Repositories\SituationRepository;
use App\Repositories\Surroundings;
use App\Support\Format;
use App\Text\CardChanges;
use App\Text\Sentences;
use App\Workflow\DutyDesk;
use App\Workflow\Gates;
use App\Workflow\PatrolDesk;
use App\Workflow\RecipeDesk;
use App\Workflow\Washing;
use App\Workflow\Workflow;
use Thicket\Catalogue\Carrier;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Mix\Recipe;
use Thicket\Mix\TankTerms;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;

/** A stand with its trail: where it is, what is next, and all that the stations show of it. */
final readonly class StandResource
{
    private const STATIONS = [
        'scout' => ['named', 'counted'],
        'methods' => ['chosen'],
        'mix' => ['mixed'],
        'when' => [],
        'field-day' => ['issued', 'done'],
        'look-back' => ['judged'],
    ];

    /** More than six: services that are handed in: a stand is shown from all of them. */
    public function __construct(
        private Catalogue $catalogue,
        private Sentences $sentences,
        private CardChanges $changes,
        private Shelf $shelf,
        private SituationRepository $situations,
        private Surroundings $surroundings,
        private LookAlikes $lookAlikes,
        private RecipeDesk $desk,
        private RecipeResource $recipes,
        private Gates $gates,
        private ProgrammeResource $programmes,
        private Washing $washing,
        private DutyDesk $duties,
        private PatrolDesk $patrols,
    ) {}

    /** @return array<string, mixed> one line for lists */
    public function line(Stand $stand, Workflow $trail): array
    {
        $act = $trail->next ?? 'finished';
        $values =
            $trail->record === null
                ? []
                : ['day' => \DateTimeImmutable::createFromInterface($trail->record->judge_after)];

        return [
            'id' => $stand->id,
            'name' => $this->nameOf($stand),
            'species' => $stand->species,
            'patchId' => $stand->patch_id,
            'patch' => $stand->patch->name,
            'groundId' => $stand->patch->ground_id,
            'ground' => $stand->patch->ground->name,
            'act' => [
                'code' => $act,
                'text' => $this->sentences->in(
                    "act.{$act}",
                    $act === 'judged' ? $values : [],
                    \Thicket\Measure\System::Us,
                ),
            ],
            'station' => $trail->nextStation() ?? 'look-back',
            'from' =>
                $act === 'finished' || $trail->step?->due_from === null || $trail->record !== null
                    ? null
                    : Format::day($trail->step->due_from),
            'position' =>
                $trail->next === null
                    ? count(Workflow::PREDICATES)
                    : (int) array_search($trail->next, Workflow::PREDICATES, true),
            'closed' => $stand->closed_at !== null,
            'assignee' => $stand->person === null ? null : self::person($stand->person),
        ];
    }

    /** @return array{id: string, name: string} */
    private static function person(Person $person): array
    {
        return ['id' => $person->id, 'name' => $person->name];
    }

    /** @return array<string, mixed> */
    public function stand(Stand $stand): array
    {
        $step = Workflow::current($stand);
        $fresh =
            $step === null || $step->active === null || $step->recipe === null || $this->desk->isFresh($stand, $step);
        $trail = Workflow::of($stand, $this->catalogue, $fresh);
        $situation = $this->situations->situation($stand);
        $stage = $situation->stage();
        $gates = $this->gates->of($stand, $step);

        return $this->line($stand, $trail) + [
            'revision' => $stand->revision,
            'crew' => $stand->patch->ground->crew->people->map(self::person(...))->values()->all(),
            'season' => [
                'shiftDays' => $situation->shift->springDays->toScale(0, \Brick\Math\RoundingMode::HALF_UP)->toInt(),
                'trusted' => $situation->shift->isTrusted,
                'day' => Format::day($situation->day),
                'timeZone' => $stand->patch->ground->time_zone,
            ],
            'stations' => $this->stations($trail, array_column($gates, 'station')),
            'gates' => $gates,
            'duties' => $step === null || $trail->record !== null ? [] : $this->duties->told($stand, $step),
            'setting' => $stand->patch->setting,
            'markedUnknown' => $stand->marked_unknown,
            'confirmed' => $stand->sighting?->confirmed_by !== null,
            'seen' => (object) ($stand->sighting->seen ?? []),
            'sightingId' => $stand->sighting?->id,
            'lookAlikes' => array_map($this->lookAlike(...), $this->lookAlikes->of($stand)),
            'stage' =>
                $stage === null
                    ? null
                    : [
                        'code' => $stage[0],
                        'name' => $this->sentences->name("stage.{$stage[0]}"),
                        'certainty' => $stage[1]->value,
                        'why' => $this->stageReason($situation, $stage[1]),
                        'couldBe' => $this->couldBe($situation, $stage[1]),
                    ],
            'tally' =>
                $stand->tally === null
                    ? null
                    : [
                        'visitedOn' => Format::day($stand->tally->visited_on),
                        'rows' => $stand->tally->kind === 'stems' ? $stand->tally->rows : [],
                        'stems' => $situation->stemCount(),
                        'diameterAt' => $stand->tally->diameter_at,
                    ],
            'facts' => $this->facts($stand),
            'step' => $step === null ? null : $this->step($step, $fresh),
            'plan' => $this->programmes->plan($stand, $step),
            'weights' => $stand->weights,
            'sheetId' => $step?->issuedSheet()?->id,
            'recordId' => $trail->record->id ?? ($step === null ? Workflow::lastRecord($stand)?->id : null),
            'patrols' => $this->patrols->told($stand),
            'closedReason' => $stand->closed_reason,
        ];
    }

    /** @return array<string, mixed> */
    public function recipe(Stand $stand, Step $step, Recipe $recipe): array
    {
        $method = $this->catalogue->method($step->method);

        return [
            'stepId' => $step->id,
            'standId' => $stand->id,
            'revision' => $step->revision,
            'saved' => $step->recipe_basis !== null && $step->recipe_basis === $this->desk->basis($recipe),
            'method' => ['id' => $method->id(), 'name' => $this->sentences->name("method.{$method->id()}")],
            'card' =>
                $step->cardVersion === null
                    ? null
                    : [
                        'product' => $step->cardVersion->card->product,
                        'version' => $step->cardVersion->version,
                        'confirmed' => $step->cardVersion->confirmed_at !== null,
                        'newer' => $this->newer($step->cardVersion),
                    ],
            'sprayer' =>
                $step->sprayer === null
                    ? null
                    : [
                        'id' => $step->sprayer->id,
                        'name' => $step->sprayer->name,
                        'tank' => Format::quantity($step->sprayer->tank()),
                        'gives' => Format::quantity($step->sprayer->gives()),
                    ],
            'washFirst' => $this->washing->first($step, $recipe->carrier, $stand->patch->ground->time_zone),
            'asked' => array_map(
                static fn(string $role): array => [
                    'role' => $role,
                    'typed' => is_string($step->recipe[$role] ?? null) ? $step->recipe[$role] : null,
                ],
                RecipeDesk::EXTRAS,
            ),
            'with' => $step->recipe['with'] ?? null,
            'withAlso' => $step->recipe['withAlso'] ?? null,
            'mayJoin' => $this->mayJoin($stand, $step),
            'partners' => array_map(
                fn(LabelCardVersion $v): array => [
                    'versionId' => $v->id,
                    'product' => $v->card->product,
                    'version' => $v->version,
                    'confirmed' => $v->confirmed_at !== null,
                    'newer' => $this->newer($v),
                ],
                $step->partners(),
            ),
            'water' => $step->recipe['water'] ?? null,
            'additivesForWater' => $step->recipe['additivesForWater'] ?? null,
            'carriers' => $this->carriers($step),
            'leftover' => $step->recipe['leftover'] ?? null,
            'leftoverFrom' => $step->recipe['leftoverFrom'] ?? null,
            'leftOver' => array_map(
                static fn(Batch $b): array => [
                    'id' => $b->id,
                    'title' => is_array($b->body['label'] ?? null) ? $b->body['label']['title'] : '',
                    'contents' => is_array($b->body['label'] ?? null) ? $b->body['label']['contents'] : '',
                ],
                $this->desk->recentMixes($stand),
            ),
            'people' => $step->recipe['people'] ?? 1,
            'drawing' => $this->recipes->drawing($recipe),
            'shelf' => $this->shelf($stand, $step, $recipe),
        ] +
            $this->recipes->recipe(
                $recipe,
                $this->situations->measuringKit($stand->patch->ground->crew),
                $this->content($step),
            );
    }

    /**
     * @return list<string> that may be chosen: fuel oil only where a card lists it, so that nobody is led to it
     * (rulings J18)
     */
    private function carriers(Step $step): array
    {
        $listed = array_merge(
            ...array_map(
                fn(LabelCardVersion $version): array => $this->situations->card($version)->directions->carriers,
                $step->cardVersions(),
            ),
        );

        return array_values(
            array_filter(
                Carrier::ALL,
                static fn(string $one): bool => $one !== Carrier::FUEL_OIL || in_array($one, $listed, true),
            ),
        );
    }

    /**
     * @return list<array<string, mixed>> of each product of the recipe: what is left on the shelf, and what it falls
     * short
     */
    private function shelf(Stand $stand, Step $step, Recipe $recipe): array
    {
        $out = [];
        foreach ($step->cardVersions() as $n => $version) {
            $need = $n === 0 ? $recipe->product() : $recipe->products[$n]->amount ?? null;
            if ($need !== null) {
                $left = $this->shelf->left($stand->patch->ground->crew, $version->label_card_id, $need);
                $out[] = [
                    'product' => $version->card->product,
                    'left' => Format::quantity($left),
                    'short' => $left->isLessThan($need) ? Format::quantity($need->minus($left)) : null,
                ];
            }
        }

        return $out;
    }

    /**
     * @return list<array{versionId: string, product: string}> confirmed cards that list this use and could be mixed in;
     * none where the job is no spray
     */
    private function mayJoin(Stand $stand, Step $step): array
    {
        $method = $this->catalogue->method($step->method);
        $out = [];
        foreach (
            $step->cardVersion !== null && TankTerms::mayMix($method)
                ? $stand->patch->ground->crew->labelCards()->with('versions')->orderBy('product')->get()
                : []
            as $card
        ) {
            $version = $card->versions->first(static fn(LabelCardVersion $v): bool => $v->confirmed_at !== null);
            $read =
                $version === null || $card->id === $step->cardVersion?->label_card_id
                    ? null
                    : $this->situations->card($version);
            if (
                $version !== null &&
                $read !== null &&
                ($read->allowsMethod($method->id()) || $read->allowsMethod($method->like()))
            ) {
                $out[] = ['versionId' => $version->id, 'product' => $card->product];
            }
        }

        return $out;
    }

    /**
     * @return array{version: int, changes: list<array{field: string, was: string, now: string}>}|null a newer confirmed
     * version, with what it changes
     */
    private function newer(LabelCardVersion $version): ?array
    {
        $newer = $version->newer();

        return $newer === null
            ? null
            : ['version' => $newer->version, 'changes' => $this->changes->between($version->body, $newer->body)];
    }

    /** How much active a litre of the product holds, by its card. */
    private function content(Step $step): ?Quantity
    {
        $card = $step->cardVersion === null ? null : $this->situations->card($step->cardVersion);
        foreach ($card->contents->actives ?? [] as $content) {
            if ($content['active'] === $step->active) {
                return $content['amount'];
            }
        }

        return null;
    }

    public function nameOf(Stand $stand): string
    {
        return $stand->species === null
            ? $this->sentences->name('plant.unnamed')
            : $this->sentences->called($this->catalogue->species($stand->species)->commonName());
    }

    /**
     * Why a stage is taken: who saw it, or from when to when the catalogue expects it here, and what moved the season.
     */
    private function stageReason(Situation $situation, Certainty $certainty): string
    {
        if ($certainty !== Certainty::Estimated) {
            return $this->sentences->name('stage-why.seen');
        }
        $estimate = $situation->phenology()?->estimateOn($situation->day);
        if ($estimate === null) {
            return '';
        }
        $values = [
            'since' => $this->sentences->day($estimate['since']),
            'until' => $estimate['until'] === null ? '' : $this->sentences->day($estimate['until']),
            'open' => $estimate['until'] === null ? 'yes' : 'no',
            'margin' => $estimate['marginDays'],
        ];

        return $this->sentences->in("stage-why.{$situation->shift->source}", $values, \Thicket\Measure\System::Us);
    }

    /** @return list<string> */
    private function couldBe(Situation $situation, Certainty $certainty): array
    {
        $estimate = $certainty === Certainty::Estimated ? $situation->phenology()?->estimateOn($situation->day) : null;

        return array_map(
            fn(string $stage): string => $this->sentences->name("stage.{$stage}"),
            $estimate['couldBe'] ?? [],
        );
    }

    /**
     * @param list<string> $gated
     *
     * @return list<array{id: string, name: string, state: string}>
     */
    private function stations(Workflow $trail, array $gated): array
    {
        $out = [];
        $nextStation = $trail->nextStation();
        foreach (self::STATIONS as $id => $predicates) {
            $done =
                $predicates !== [] && array_filter($predicates, static fn(string $p): bool => !$trail->met[$p]) === [];
            $state = match (true) {
                $id === $nextStation => 'next',
                $done => 'done',
                $id === 'when' => $trail->met['chosen'] ? 'done' : 'open',
                default => 'open',
            };
            $out[] = [
                'id' => $id,
                'name' => $this->sentences->name("station.{$id}"),
                'state' => $state,
                'gated' => $trail->met['chosen'] && !$trail->met['issued'] && in_array($id, $gated, true),
            ];
        }

        return $out;
    }

    /**
     * @param array{pair: \Thicket\Catalogue\LookAlike, other: string, gated: bool, resolved: bool} $look
     *
     * @return array<string, mixed>
     */
    private function lookAlike(array $look): array
    {
        return [
            'pair' => $look['pair']->id(),
            'other' => [
                'id' => $look['other'],
                'name' => $this->sentences->called($this->catalogue->species($look['other'])->commonName()),
                'scientific' => $this->catalogue->species($look['other'])->scientificName(),
            ],
            'danger' => $look['pair']->danger(),
            'gated' => $look['gated'],
            'resolved' => $look['resolved'],
            'tests' => array_map(
                fn($test): array => [
                    'id' => $test->id(),
                    'question' => $this->sentences->lookTest($test),
                    'handling' => $this->sentences->name('handling.' . $test->handling()),
                    'yes' => $test->pointsTo('yes'),
                ],
                $look['pair']->tests(),
            ),
        ];
    }

    /** @return list<array<string, mixed>> the newest of each fact, stale ones marked */
    private function facts(Stand $stand): array
    {
        $situation = $this->situations->situation($stand);
        $out = [];
        foreach ($this->surroundings->newest($stand->patch) as $fact => $observation) {
            $name = FactName::from($fact);
            $out[] = [
                'fact' => $fact,
                'name' => $this->sentences->in("fact.{$fact}", ['keeper' => ''], \Thicket\Measure\System::Us),
                'value' => $observation->body['value'] ?? null,
                'at' => Format::moment($observation->at, $stand->patch->ground->time_zone),
                'stale' => $situation->fact($name) === null,
            ];
        }

        return $out;
    }

    /** @return array<string, mixed> */
    private function step(Step $step, bool $fresh): array
    {
        return [
            'id' => $step->id,
            'revision' => $step->revision,
            'rowId' => implode('/', array_filter([$step->method, $step->active, $step->label_card_version_id])),
            'method' => ['id' => $step->method, 'name' => $this->sentences->name("method.{$step->method}")],
            'active' =>
                $step->active === null
                    ? null
                    : $this->sentences->called($this->catalogue->active($step->active)->name()),
            'why' => $step->why,
            'usesProduct' => $step->active !== null,
            'product' => $step->cardVersion?->card->product,
            'recipe' =>
                $step->active === null
                    ? 'none'
                    : ($step->recipe_basis === null
                        ? 'missing'
                        : ($fresh
                            ? 'saved'
                            : 'check-again')),
        ];
    }
}
