<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Stopped;
use App\Models\LabelCardVersion;
use App\Models\Stand;
use App\Models\Step;
use App\Models\User;
use App\Print\Paper;
use App\Repositories\LookAlikes;
use App\Repositories\SituationRepository;
use App\Repositories\Surroundings;
use App\Resources\StandResource;
use App\Support\Format;
use App\Text\Sentences;
use App\Workflow\DutyDesk;
use App\Workflow\RecipeDesk;
use Thicket\Assess\Board;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\LookTest;
use Thicket\Economics\PlannedWork;
use Thicket\FieldDay\AlarmZone;
use Thicket\FieldDay\AlarmZones;
use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;
use Thicket\Mix\Recipe;
use Thicket\Mix\TankTerms;
use Thicket\Safety\Cautions;
use Thicket\Safety\CleanUp;
use Thicket\Safety\StandingTrees;
use Thicket\Safety\Steps;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Survey\Shape;
use Thicket\Timing\EvaluationDate;
use Thicket\Timing\StartLimit;
use Thicket\Timing\StartLimits;
use Thicket\Timing\StumpClock;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/** A job sheet as it would be today: what is shown before it is issued, and what is kept for good when it is. */
final readonly class DraftSheet
{
    /** Nearest things on the printed map. */
    private const MOST_ON_MAP = 40;
    /** What speaks for the way, on a sheet that is read in the field. */
    private const MOST_EVIDENCE = 5;

    /** More than six: services that are handed in: a sheet gathers from all of them. */
    public function __construct(
        private Catalogue $catalogue,
        private SituationRepository $situations,
        private Surroundings $surroundings,
        private LookAlikes $lookAlikes,
        private RecipeDesk $desk,
        private StandResource $resource,
        private Sentences $sentences,
        private Puts $puts,
        private FieldTerms $field,
        private DutyDesk $duties,
    ) {}

    /**
     * @param list<array{gate: string, text: string, reason: string}> $passes gates that were shut, with the written
     *     reason of the lead
     *
     * @return array<string, mixed> the snapshot, openapi Sheet/snapshot
     *
     * @throws Stopped 409 where nobody has named the plant yet
     */
    public function __invoke(Stand $stand, Step $step, User $lead, array $passes): array
    {
        $situation = $this->situations->situation($stand);
        $option = $this->situations->option($step, $stand->patch->ground->crew);
        $species = $situation->target ?? throw new Stopped(409, 'Name the plant first: a sheet is of one.');
        $products = [$option, ...$this->situations->partners($step, $stand->patch->ground->crew)];
        $cautions = Cautions::ofTank($situation, $products);
        $label = array_merge(...array_map($this->labelWords(...), $products));
        $recipe = $step->active === null ? null : $this->desk->solve($stand, $step);
        $card = $option->card;
        $names = fn(string $kind, array $codes): array => array_map(
            fn(string $code): string => $this->sentences->name("{$kind}.{$code}"),
            $codes,
        );
        $ground = $stand->patch->ground;

        return [
            'issuedBy' => $lead->name,
            'catalogue' => $this->catalogue->hash,
            'day' => Format::day($situation->day),
            'standId' => $stand->id,
            'stepId' => $step->id,
            'place' => [
                'ground' => $ground->name,
                'patch' => $stand->patch->name,
                'latitude' => $ground->latitude,
                'longitude' => $ground->longitude,
                'area' => Format::quantity($this->situations->area($stand->patch)),
            ],
            'map' => $this->map($stand, $situation, $products),
            'target' => [
                'name' => $this->sentences->called($species->commonName()),
                'scientific' => $species->scientificName(),
                'stems' => $situation->stemCount(),
                'stage' =>
                    ($situation->stage()[0] ?? null) === null
                        ? null
                        : $this->sentences->name('stage.' . $situation->stage()[0]),
            ],
            'lookAlikes' => array_map(
                fn(array $l): array => [
                    'name' => $this->sentences->called($this->catalogue->species($l['other'])->commonName()),
                    'tests' => array_map(
                        fn(LookTest $t): string => $this->sentences->both('sheet.look-test', [
                            'test' => $this->sentences->lookTest($t),
                            'plant' => $this->sentences->called(
                                $this->catalogue->species($t->pointsTo('yes'))->commonName(),
                            ),
                        ])['us'],
                        $l['pair']->tests(),
                    ),
                ],
                $this->lookAlikes->of($stand),
            ),
            'reason' => $this->reason($situation, $step, $option),
            'method' => [
                'id' => $step->method,
                'name' => $this->sentences->name("method.{$step->method}"),
                'steps' => $names('step', Steps::of($situation, $option)),
                'mistakes' => $names('mistake', $option->method->mistakes()),
            ],
            'keepers' => array_map(
                fn($k): array => [
                    'name' => $k->name,
                    'distance' => Format::quantity($k->distance),
                    'side' =>
                        $k->bearing === null
                            ? null
                            : $this->sentences->name('compass.' . FactName::COMPASS[(int) round($k->bearing / 45) % 8]),
                ],
                $situation->keepers,
            ),
            'recipe' => $recipe === null ? null : $this->resource->recipe($stand, $step, $recipe),
            'puts' => $recipe === null ? [] : $this->puts($stand, $recipe),
            'product' => $card === null ? null : $this->product($option, $step->cardVersion),
            'partners' => array_map(
                fn(LabelCardVersion $version, Option $one): array => $this->product($one, $version),
                $step->partners(),
                array_slice($products, 1),
            ),
            'strictest' => $card === null ? null : $this->strictest($products),
            'clock' => $this->clockText($option),
            'startOnlyIf' => array_map(
                fn(StartLimit $l): array => [
                    'fact' => $l->fact->value,
                    'comparator' => $l->least ? 'least' : 'most',
                    'limit' => Format::quantity($l->value),
                    'text' => $this->sentences->both($l->code(), ['limit' => $l->value]),
                    'source' => $l->source,
                    'typed' => FieldTerms::typed($l),
                ],
                StartLimits::ofTank($products, $species)->limits,
            ),
            'field' => $this->field->of($situation, $products),
            'sprayer' => $step->sprayer === null ? null : ['id' => $step->sprayer->id, 'name' => $step->sprayer->name],
            'duties' => $this->duties->forSheet($stand, $step),
            'standing' => $this->standing($situation, $option),
            'planned' => PlannedWork::of($situation, $option, $recipe)->told(),
            'wearing' => $names('wear', $cautions->wearing),
            'cautions' => [...$names('caution', $cautions->cautions), ...$label],
            'kit' => $names('kit', $cautions->kit),
            'cleanUp' => array_map(
                fn(string $code): array => ['code' => $code, 'name' => $this->sentences->name("cleanup.{$code}")],
                CleanUp::of($situation, $products),
            ),
            'jurisdiction' => $ground->crew->settings['jurisdiction'] ?? null,
            'emergency' => [
                'poisonCentre' => $ground->crew->settings['poisonCentre'] ?? null,
                'place' => "{$stand->patch->name}, {$ground->name}",
                'position' => "{$ground->latitude}, {$ground->longitude}",
            ],
            'judgeAfter' => Format::day(
                EvaluationDate::day(
                    $species,
                    $situation->day,
                    $situation->shift,
                    $this->catalogue->method($step->method)->showsLateOn($species),
                ),
            ),
            'passes' => $passes,
        ];
    }

    /**
     * @return array<string, mixed>|null trees that die on their feet by it: count, reach, snags, text
     */
    private function standing(Situation $situation, Option $option): ?array
    {
        $trees = StandingTrees::of($situation, $option);
        if ($trees === null) {
            return null;
        }
        $code = 'sheet.standing' . ($trees->snags ? '-snags' : '') . ($trees->reach === null ? '' : '-reach');

        return [
            'count' => $trees->count,
            'reach' => Format::quantity($trees->reach),
            'snags' => $trees->snags,
            'text' => $this->sentences->both(
                $code,
                ['n' => $trees->count] + ($trees->reach === null ? [] : ['reach' => $trees->reach]),
            ),
        ];
    }

    /**
     * The stump clock of the crew's school, for water-borne mixes only (rulings J21).
     *
     * @return array{us: string, metric: string}|null
     */
    private function clockText(Option $option): ?array
    {
        if (!$option->goesOn('stump') || $option->carrier() !== 'water') {
            return null;
        }
        $limit =
            $option->schools->values('stump-delay')->quantity('limit') ??
            throw new \LogicException('stump-delay has no limit.');

        return $this->sentences->both('clock.stump', ['limit' => $limit, 'again' => StumpClock::cutAgainFrom()]);
    }

    /**
     * @return list<string> what the label says besides its figures, word by word, and the days and hours that follow
     * the work
     */
    private function labelWords(Option $one): array
    {
        if ($one->card === null) {
            return [];
        }
        [$details, $soil] = [$one->card->details, $one->card->directions->soil];
        $numbers = $details->numbers + [
            'waterInAfterMinutes' => $soil->waterInAfterMinutes,
            'waterInHours' => $soil->waterInHours,
        ];
        $said = [];
        foreach ($details->texts as $field => $text) {
            $said[] = $this->sentences->in("label.{$field}", ['text' => $text], \Thicket\Measure\System::Metric);
        }
        $soil->waterInDepth === null ||
            ($said[] = $this->sentences->in(
                'label.waterInDepth',
                ['depth' => Paper::both(Format::quantity($soil->waterInDepth), 'us')],
                \Thicket\Measure\System::Metric,
            ));
        foreach (
            [
                'irrigationHours',
                'irrigationResumeHours',
                'waterInAfterMinutes',
                'waterInHours',
                'replantDays',
                'slaughterDays',
                'strawDays',
            ]
            as $field
        ) {
            isset($numbers[$field]) &&
                ($said[] = $this->sentences->in(
                    "label.{$field}",
                    ['n' => $numbers[$field]],
                    \Thicket\Measure\System::Metric,
                ));
        }

        return $said;
    }

    /** @return array<string, mixed> what a sheet says of one product of the tank, with the card as it stood */
    private function product(Option $one, ?LabelCardVersion $version): array
    {
        $card = $one->card ?? throw new \LogicException('A product without its card.');

        return [
            'name' => $card->product,
            'registration' => $card->of->registration,
            'version' => $card->version,
            'active' => $one->active?->id(),
            'activeName' => $one->active === null ? null : $this->sentences->called($one->active->name()),
            'group' => $one->active?->group(),
            'reentryHours' => $card->protection->reentryHours,
            'rainfastHours' => $card->start->rainfastHours,
            'waterBuffer' => Format::quantity($card->start->waterBuffer),
            'wearing' => $card->protection->wearing,
            'firstAid' => $card->protection->firstAid,
            'licensedOnly' => $card->protection->licensedOnly,
            'card' => $version?->body,
        ];
    }

    /**
     * What the cards of the tank ask together.
     *
     * @param non-empty-list<Option> $products
     *
     * @return array{reentryHours: int|null, rainfastHours: int|null, waterBuffer: array<string, mixed>|null,
     *     licensedOnly: bool}
     */
    private function strictest(array $products): array
    {
        $terms = new TankTerms(
            array_values(array_filter(array_map(static fn(Option $one): ?LabelCard => $one->card, $products))),
        );

        return [
            'reentryHours' => $terms->reentryHours(),
            'rainfastHours' => $terms->rainfastHours(),
            'waterBuffer' => Format::quantity($terms->waterBuffer()),
            'licensedOnly' => $terms->licensedOnly(),
        ];
    }

    /**
     * @return list<array{active: string, value: string, unit: string}> planned by the sheet: counts for the ceilings of
     * other work until its record is signed (rulings J7)
     */
    private function puts(Stand $stand, Recipe $recipe): array
    {
        $area = $recipe->working['area'] ?? $this->situations->area($stand->patch);
        if (!($area instanceof Quantity)) {
            return [];
        }
        $out = [];
        foreach ($recipe->products as $one) {
            if ($one->option->card !== null && $one->amount !== null) {
                $out = [...$out, ...$this->puts->of($one->option->card, $one->amount, $area)];
            }
        }

        return $out;
    }

    /**
     * What the removal is for, why this way was chosen, and what speaks for it: expected control and whatever fitted on
     * the day of the sheet.
     *
     * @return array{for: string|null, snags: string|null, why: string|null, expected: array{low: int, high: int}|null,
     *     evidence: list<array{text: array{us: string, metric: string}, source: string}>, roles: list<array{us: string,
     *     metric: string}>}
     */
    private function reason(Situation $situation, Step $step, Option $option): array
    {
        $row = Board::judge($situation, $option);
        $for = $situation->word(FactName::RemovalFor);
        $evidence = [];
        $expected =
            $row->measures->controlLow === null || $row->measures->controlHigh === null
                ? null
                : ['low' => $row->measures->controlLow, 'high' => $row->measures->controlHigh];
        if ($expected !== null) {
            $evidence[] = [
                'text' => $this->sentences->both('sheet.expected', $expected),
                'source' => $this->sentences->source('handbook-9'),
            ];
        }
        foreach ($row->findings as $finding) {
            if (
                $finding->outcome === Outcome::Fits &&
                $finding->school === null &&
                count($evidence) < self::MOST_EVIDENCE
            ) {
                $evidence[] = [
                    'text' => $this->sentences->sentence($finding->code, $finding->values),
                    'source' => $this->sentences->source($finding->source),
                ];
            }
        }

        $split =
            array_values(
                array_filter($row->findings, static fn(Finding $f): bool => $f->code === 'volunteer.split-row'),
            )[0] ?? null;

        return [
            'roles' =>
                $split === null
                    ? []
                    : [$this->sentences->both('role.cuts'), $this->sentences->both('role.treats', $split->values)],
            'for' => $for === null ? null : $this->sentences->name("removal.{$for}"),
            'why' => $step->why,
            'snags' => $situation->isYes(FactName::KeptAsSnags) === true ? $this->sentences->name('sheet.snags') : null,
            'expected' => $expected,
            'evidence' => $evidence,
        ];
    }

    /**
     * @param non-empty-list<Option> $products
     *
     * @return array<string, mixed>|null shapes for the map page, as they stood when the sheet was issued
     */
    private function map(Stand $stand, Situation $situation, array $products): ?array
    {
        $outline = $stand->patch->outline;
        if ($outline === null) {
            return null;
        }
        $near = array_filter(
            $this->surroundings->keepersOf($stand->patch),
            static fn(array $k): bool => $k['row']->shape !== null,
        );

        $zones = AlarmZones::of(
            $situation,
            $products,
            array_values(
                array_map(
                    static fn(array $k): array => [
                        'keeper' => $k['keeper'],
                        'shape' => Shape::fromGeoJson($k['row']->shape),
                    ],
                    array_slice($near, 0, self::MOST_ON_MAP),
                ),
            ),
        );

        return [
            'zones' => array_map(
                static fn(AlarmZone $zone): array => [
                    'name' => $zone->name,
                    'distance' => Format::ground($zone->distance),
                    'polygons' => $zone->polygons,
                ],
                $zones,
            ),
            'patch' => ['name' => $stand->patch->name, 'shape' => $outline->outline],
            'near' => array_values(
                array_map(
                    static fn(array $k): array => [
                        'name' => $k['row']->name,
                        'kind' => $k['row']->kind,
                        'shape' => $k['row']->shape,
                    ],
                    array_slice($near, 0, self::MOST_ON_MAP),
                ),
            ),
        ];
    }
}
