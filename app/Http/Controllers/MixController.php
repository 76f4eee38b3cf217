<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\MixBatch;
use App\Exceptions\Stopped;
use App\Http\SecurityLog;
use App\Models\Batch;
use App\Models\LabelCard;
use App\Models\LabelCardVersion;
use App\Models\Stand;
use App\Models\Step;
use App\Repositories\SituationRepository;
use App\Resources\MixResource;
use App\Resources\ShedResource;
use App\Resources\Shopping;
use App\Resources\StandResource;
use App\Support\JobClock;
use App\Workflow\RecipeDesk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Mix\Purchase;
use Thicket\Mix\SumReader;
use Thicket\Mix\SumSolver;

/** The bench of sums, what is to be bought, and the mixing itself. */
final class MixController extends Controller
{
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly SituationRepository $situations,
        private readonly MixResource $wire,
    ) {}

    public function sums(Request $request): JsonResponse
    {
        $this->done($this->query($request));

        return $this->json(['sums' => $this->wire->sums()]);
    }

    /** What follows from the figures that are known; contradictions are part of the answer. */
    public function solve(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        [$table, $given] = (new SumReader($this->catalogue))->read($in);
        $this->done($in);
        if ($table === null) {
            throw new \LogicException('refused above');
        }

        return $this->json(
            $this->wire->solved(
                SumSolver::solve($table, $given),
                $this->situations->measuringKit($this->user($request)->crew),
            ),
        );
    }

    public function purchase(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        [$need, $onShelf, $packs] = (new SumReader($this->catalogue))->purchase($in);
        $this->done($in);
        if ($need === null) {
            throw new \LogicException('refused above');
        }

        return $this->json($this->wire->purchase(Purchase::of($need, $onShelf ?? Quantity::zero($need->unit), $packs)));
    }

    public function shopping(Request $request, Shopping $shopping): JsonResponse
    {
        $this->done($this->query($request));

        return $this->json($shopping->list($this->user($request)->crew));
    }

    public function shoppingCsv(Request $request, Shopping $shopping): Response
    {
        SecurityLog::note('exported', $request, ['what' => 'shopping']);

        return new Response($shopping->csv($this->user($request)->crew), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="shopping.csv"',
        ]);
    }

    /** Sizes that a product is sold in, each with its price and the day of the price. */
    public function putPacks(Request $request, string $cardId, ShedResource $shed, JobClock $clock): JsonResponse
    {
        Gate::authorize('lead');
        $user = $this->user($request);
        $card = LabelCard::query()->where('crew_id', $user->crew_id)->findOrFail($cardId);
        $in = $this->fields($request);
        $packs = [];
        foreach ($in->objects('packs', 8) as $item) {
            $size = $item->reading('size', null)?->quantity;
            if (
                $size !== null &&
                (!in_array($size->dimension(), [Dimension::Volume, Dimension::Mass], true) ||
                    !$size->amount->isPositive())
            ) {
                $item->fault(
                    'size',
                    'Give a volume such as 2.5 gal or 5 L, or a weight of a dry product such as 8 oz wt.',
                );
            }
            $price = $item->decimal('price', '0', '1000000');
            $on = $item->pastDayOrNull('on', $clock->today($user->crew->timeZone()));
            $item->noOthers();
            if ($size !== null && $price !== null) {
                $packs[] = [
                    'size' => $size->toWire()['value'] . ' ' . $size->unit->value,
                    'price' => $price,
                    'on' => $on?->format('Y-m-d'),
                ];
            }
        }
        $this->done($in);
        $crew = $user->crew;
        $this->mustMatch($request, $crew->revision, fn(): array => $shed->shed($crew));
        $card->update(['packs' => $packs]);
        $crew->revision++;
        $crew->save();

        return $this->json($shed->shed($crew), 200, $crew->revision);
    }

    /**
     * The step goes over to the newest confirmed version of its card; its recipe is reckoned again and has to be saved
     * again.
     */
    public function takeCard(Request $request, string $stepId, RecipeDesk $desk, StandResource $wire): JsonResponse
    {
        [$stand, $step] = $this->findStep($request, $stepId);
        $this->done($this->fields($request));
        $this->mustMatch(
            $request,
            $step->revision,
            fn(): array => $wire->recipe($stand, $step, $desk->solve($stand, $step)),
        );
        $newer = $step->cardVersion?->newer();
        $recipe = $step->recipe;
        foreach (Step::PARTNERS as $name) {
            $id = $recipe[$name] ?? null;
            $partner = is_string($id) ? LabelCardVersion::query()->find($id)?->newer() : null;
            $recipe = $partner === null ? $recipe : [$name => $partner->id] + ($recipe ?? []);
        }
        if ($newer === null && $recipe === $step->recipe) {
            throw new Stopped(409, 'The card of this step is the newest that is confirmed.');
        }
        if ($step->issuedSheet() !== null || $step->records->isNotEmpty()) {
            throw new Stopped(409, 'A sheet of this step is out; withdraw it first.');
        }
        $step->update([
            'label_card_version_id' => $newer->id ?? $step->label_card_version_id,
            'recipe' => $recipe,
            'recipe_basis' => null,
            'revision' => $step->revision + 1,
        ]);
        [$stand, $step] = $this->findStep($request, $stepId);

        return $this->json($wire->recipe($stand, $step, $desk->solve($stand, $step)), 200, $step->revision);
    }

    /**
     * One load mixed: every addition confirmed once and in order, its product drawn from the shelf, its label written.
     */
    public function storeBatch(Request $request, string $stepId, MixBatch $mix, StandResource $wire): JsonResponse
    {
        [$stand, $step] = $this->findStep($request, $stepId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $load = $in->int('load', 0, 100, 0);
        $confirmed = $in->strings('confirmed', null, 20);
        $draws = array_map(
            static fn(Fields $d): array => [
                $d,
                $d->uuid('containerId'),
                $d->has('amount') ? $d->reading('amount', null)?->quantity : null,
            ],
            $in->objects('draws', 6),
        );
        foreach ($draws as [$d]) {
            $d->has('amount') || $d->raw('amount');
            $d->noOthers();
        }
        $this->done($in);
        $this->mustBeNew($id, new Batch());
        $batch = $mix(
            $stand,
            $step,
            (int) $load,
            $confirmed,
            array_map(static fn(array $d): array => ['containerId' => (string) $d[1], 'amount' => $d[2]], $draws),
            $this->user($request),
            $id,
        );

        return $this->json($mix->told($batch), 201);
    }

    public function batches(Request $request, string $stepId, MixBatch $mix): JsonResponse
    {
        [, $step] = $this->findStep($request, $stepId);
        $this->done($this->query($request));

        /** @var list<Batch> $rows */
        $rows = array_values(
            Batch::query()->where('step_id', $step->id)->orderByDesc('number')->get()->take(50)->all(),
        );

        return $this->json(['data' => array_map($mix->told(...), $rows)]);
    }

    /** @return array{Stand, \App\Models\Step} */
    private function findStep(Request $request, string $id): array
    {
        $stand = Stand::query()
            ->ofCrew($this->user($request))
            ->whereHas('steps', fn($steps) => $steps->whereKey($id)->whereNotNull('active'))
            ->withTrail()
            ->firstOrFail();

        return [
            $stand,
            $stand->steps->firstWhere('id', $id) ?? throw new \Illuminate\Database\Eloquent\ModelNotFoundException(),
        ];
    }
}
