<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\LabelCardVersion;
use App\Models\Sprayer;
use App\Models\Stand;
use App\Models\Step;
use App\Repositories\SituationRepository;
use App\Resources\BoardResource;
use App\Resources\StandResource;
use App\Resources\YearResource;
use App\Workflow\RecipeDesk;
use App\Workflow\Workflow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Thicket\Assess\Board;
use Thicket\Assess\Weights;
use Thicket\Catalogue\Carrier;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Reading;
use Thicket\Measure\Strength;
use Thicket\Mix\Advice\MixPlan;
use Thicket\Mix\TankTerms;
use Thicket\Situation\Schools;
use Thicket\Situation\Situation;

/** Judging and choosing: the board, the year, the chosen step and its recipe. */
final class BoardController extends Controller
{
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly SituationRepository $situations,
        private readonly StandResource $wire,
    ) {}

    public function board(Request $request, string $standId, BoardResource $wire): JsonResponse
    {
        $stand = $this->toJudge($request, $standId);
        $in = $this->query($request);
        [$situation, $schools, $weights] = $this->asked($in, $stand);
        $this->done($in);
        $board = Board::for(
            $situation,
            $this->catalogue,
            $schools,
            $this->situations->shed($stand->patch->ground->crew),
            null,
            $weights,
        );

        return $this->json($wire->board($board, $situation));
    }

    /** One row of the board with all its reasons. */
    public function row(Request $request, string $standId, BoardResource $wire): JsonResponse
    {
        $stand = $this->toJudge($request, $standId);
        $in = $this->query($request);
        $id = $in->text('row', 400);
        [$situation, $schools, $weights] = $this->asked($in, $stand);
        $row =
            $id === null
                ? null
                : Board::rowOf(
                    $id,
                    $situation,
                    $this->catalogue,
                    $schools,
                    $this->situations->shed($stand->patch->ground->crew),
                    $weights,
                );
        $id !== null && $row === null && $in->fault('row', "The board of this stand has no row {$id}.");
        $this->done($in);

        return $this->json($wire->row($row ?? throw new \LogicException('refused above')));
    }

    /** @return array{Situation, Schools, Weights} what a board is asked for: the day, by which schools and weights */
    private function asked(Fields $in, Stand $stand): array
    {
        $day = $in->dayOrNull('date');
        $schools = $this->chosenSchools($in);
        $weights = $in->has('weights') ? Weights::read($in) : null;
        $crew = $stand->patch->ground->crew;

        return [
            $this->situations->situation($stand, $day),
            $this->situations->schools($crew, $schools),
            $weights ?? $this->situations->weights($crew, $stand),
        ];
    }

    public function year(Request $request, string $standId, YearResource $wire): JsonResponse
    {
        $stand = $this->toJudge($request, $standId)->loadMissing('steps.cardVersion');
        $in = $this->query($request);
        $situation = $this->situations->situation($stand);
        $year = $in->int('year', 2000, 2100, (int) $situation->day->format('Y'));
        $this->done($in);
        $crew = $stand->patch->ground->crew;

        $board = Board::for(
            $situation,
            $this->catalogue,
            $this->situations->schools($crew),
            $this->situations->shed($crew),
            null,
            $this->situations->weights($crew, $stand),
        );
        $chosen = Workflow::current($stand);

        return $this->json(
            $wire->year(
                $situation,
                (int) $year,
                $board,
                $chosen === null ? null : Board::judge($situation, $this->situations->option($chosen, $crew)),
            ),
        );
    }

    public function putStep(Request $request, string $standId): JsonResponse
    {
        $stand = $this->find($request, $standId);
        $in = $this->fields($request);
        $method = $in->text('method', 60);
        $active = $in->textOrNull('active', 60);
        $versionId = $in->uuidOrNull('cardVersionId');
        $schools = $this->chosenSchools($in);
        $why = $in->textOrNull('why', 500);
        if ($method !== null && !$this->catalogue->hasMethod($method)) {
            $in->fault('method', 'This method is not in the catalogue.');
        } elseif ($method !== null && $this->catalogue->method($method)->usesProduct() !== ($active !== null)) {
            $in->fault('active', $active === null ? 'This method needs an active.' : 'This method uses no product.');
        } elseif (
            $method !== null &&
            $active !== null &&
            !in_array($active, $this->catalogue->method($method)->actives(), true)
        ) {
            $in->fault('active', 'This method does not go with that active.');
        }
        $version =
            $versionId === null
                ? null
                : LabelCardVersion::query()
                    ->whereHas('card', fn($card) => $card->where('crew_id', $this->user($request)->crew_id))
                    ->find($versionId);
        if (
            $versionId !== null &&
            ($version === null || $active === null || !$this->situations->card($version)->holds($active))
        ) {
            $in->fault('cardVersionId', 'There is no such card with that active in your Shed.');
        }
        $this->done($in);
        $this->mustMatch($request, $stand->revision, fn(): array => $this->wire->stand($stand));
        DB::transaction(function () use ($request, $stand, $method, $active, $version, $schools, $why): void {
            $step =
                $stand->steps->first(fn(Step $s): bool => $s->issuedSheet() === null && $s->records->isEmpty()) ??
                new Step(['patch_id' => $stand->patch_id, 'position' => $stand->steps->count() + 1]);
            $crew = $this->user($request)->crew;
            $sprayer =
                $active === null || $method === null
                    ? null
                    : Sprayer::usualFor($crew, $this->catalogue->method($method));
            $step->fill([
                'method' => $method,
                'active' => $active,
                'label_card_version_id' => $version?->id,
                'schools' => $this->situations->schools($crew, $schools)->chosen,
                'sprayer_id' => $sprayer?->id,
                'why' => $why,
                'recipe' => null,
                'recipe_basis' => null,
            ]);
            $step->revision = ($step->revision ?? 0) + 1;
            $step->save();
            $step->stands()->syncWithoutDetaching([$stand->id]);
            $stand->revision++;
            $stand->save();
        });
        $stand = $this->find($request, $standId);

        return $this->json($this->wire->stand($stand), 200, $stand->revision);
    }

    public function recipe(Request $request, string $stepId, RecipeDesk $desk): JsonResponse
    {
        [$stand, $step] = $this->findStep($request, $stepId);
        $in = $this->query($request);
        $this->prepare($in, $request, $step);
        $this->done($in);

        return $this->json($this->wire->recipe($stand, $step, $desk->solve($stand, $step)), 200, $step->revision);
    }

    public function putRecipe(Request $request, string $stepId, RecipeDesk $desk): JsonResponse
    {
        [$stand, $step] = $this->findStep($request, $stepId);
        $in = $this->fields($request);
        $revision = $step->revision;
        $this->prepare($in, $request, $step);
        $this->done($in);
        $this->mustMatch(
            $request,
            $revision,
            fn(): array => $this->wire->recipe($stand, $step, $desk->solve($stand, $step)),
        );
        $recipe = $desk->solve($stand, $step);
        if (!$recipe->isFinished()) {
            throw new \App\Exceptions\Stopped(409, 'This recipe is not finished; answer what is missing first.', [
                'recipe' => $this->wire->recipe($stand, $step, $recipe),
            ]);
        }
        $step->recipe = ['savedBy' => $this->user($request)->name] + ($step->recipe ?? []);
        $step->recipe_basis = $desk->basis($recipe);
        $step->revision = $revision + 1;
        $step->save();

        return $this->json($this->wire->recipe($stand, $step, $recipe), 200, $step->revision);
    }

    /**
     * Sprayer, additives, water, leftover and helpers as asked, on the step in memory only; what is not said stays as
     * it was kept.
     */
    private function prepare(Fields $in, Request $request, Step $step): void
    {
        $sprayerId = $in->uuidOrNull('sprayerId');
        $asked = [];
        foreach (RecipeDesk::EXTRAS as $role) {
            // an empty text takes the additive out again
            $asked[$role] = $in->has($role) ? trim((string) $in->textOrNull($role, 40)) : $step->recipe[$role] ?? null;
            $in->has($role) || $in->raw($role);
            if ($asked[$role] === '' || $asked[$role] === null) {
                $asked[$role] = null;
                continue;
            }
            try {
                Strength::parse((string) $asked[$role]);
            } catch (\Thicket\ThicketRefusal $e) {
                $in->fault($role, $e->getMessage());
            }
        }
        $asked['water'] = $in->has('water') ? $in->choice('water', MixPlan::WATERS) : $step->recipe['water'] ?? null;
        $asked['carrier'] = $in->has('carrier')
            ? $in->choice('carrier', Carrier::ALL)
            : $step->recipe['carrier'] ?? null;
        $leftover = $in->has('leftover')
            ? trim((string) $in->textOrNull('leftover', 40))
            : $step->recipe['leftover'] ?? null;
        if (is_string($leftover) && $leftover !== '') {
            try {
                $amount = Reading::parse($leftover, Dimension::Volume)->quantity;
                $amount->isNegative() && $in->fault('leftover', 'This cannot be below nought.');
            } catch (\Thicket\ThicketRefusal $e) {
                $in->fault('leftover', $e->getMessage());
            }
        }
        $asked['leftover'] = $leftover === '' ? null : $leftover;
        $asked['leftoverFrom'] = $in->has('leftoverFrom')
            ? $in->uuid('leftoverFrom')
            : $step->recipe['leftoverFrom'] ?? null;
        $asked['people'] = $in->has('people') ? $in->int('people', 1, 20) : $step->recipe['people'] ?? 1;
        $answer = $in->has('additivesForWater') ? $in->choice('additivesForWater', ['yes', 'no']) : null;
        $asked['additivesForWater'] = $answer === null ? $step->recipe['additivesForWater'] ?? null : $answer === 'yes';
        $this->partners($in, $request, $step, $asked);
        foreach (
            ['water', 'additivesForWater', 'carrier', 'leftover', 'leftoverFrom', 'people', ...Step::PARTNERS]
            as $name
        ) {
            $in->has($name) || $in->raw($name);
        }
        if ($sprayerId !== null) {
            $sprayer = Sprayer::query()->where('crew_id', $this->user($request)->crew_id)->find($sprayerId);
            $sprayer === null
                ? $in->fault('sprayerId', 'There is no such sprayer in your Shed.')
                : $step->sprayer()->associate($sprayer);
        }
        $step->recipe = $asked;
    }

    /**
     * A second and a third product of the tank, by the version of their card; an empty text takes one out again.
     *
     * @param array<string, mixed> $asked
     */
    private function partners(Fields $in, Request $request, Step $step, array &$asked): void
    {
        $taken = array_filter([$step->cardVersion?->label_card_id]);
        foreach (Step::PARTNERS as $name) {
            $id = $in->has($name) ? trim((string) $in->textOrNull($name, 40)) : $step->recipe[$name] ?? null;
            $asked[$name] = $id === '' ? null : $id;
            if (!is_string($asked[$name])) {
                continue;
            }
            $version = LabelCardVersion::query()
                ->whereHas('card', fn($card) => $card->where('crew_id', $this->user($request)->crew_id))
                ->find($asked[$name]);
            match (true) {
                $version === null => $in->fault($name, 'There is no such label card in your Shed.'),
                !TankTerms::mayMix($this->catalogue->method($step->method)) => $in->fault(
                    $name,
                    'Only sprays on leaf or soil take a second product.',
                ),
                in_array($version->label_card_id, $taken, true) => $in->fault(
                    $name,
                    'This product is in the tank already.',
                ),
                default => ($taken[] = $version->label_card_id),
            };
        }
    }

    /** @return array<string, string> */
    private function chosenSchools(Fields $in): array
    {
        return (new \Thicket\Situation\SituationReader($this->catalogue))->schools($in)->chosen;
    }

    private function toJudge(Request $request, string $id): Stand
    {
        $stand = Stand::query()->ofCrew($this->user($request))->toJudge()->findOrFail($id);
        $stand->patch->ground->setRelation('crew', $this->user($request)->crew);
        $stand->species === null && $stand->load('sighting');

        return $stand;
    }

    private function find(Request $request, string $id): Stand
    {
        return Stand::query()->ofCrew($this->user($request))->withTrail()->findOrFail($id);
    }

    /** @return array{Stand, Step} */
    private function findStep(Request $request, string $id): array
    {
        $stand = Stand::query()
            ->ofCrew($this->user($request))
            ->whereHas('steps', fn($steps) => $steps->whereKey($id))
            ->withTrail()
            ->firstOrFail();
        $step =
            $stand->steps->firstWhere('id', $id) ?? throw new \Illuminate\Database\Eloquent\ModelNotFoundException();
        if ($step->active === null) {
            throw new \App\Exceptions\Stopped(409, 'This step uses no product, so there is nothing to mix.');
        }

        return [$stand, $step];
    }
}
