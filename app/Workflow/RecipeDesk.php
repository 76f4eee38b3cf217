<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\Batch;
use App\Models\LabelCardVersion;
use App\Models\Stand;
use App\Models\Step;
use App\Repositories\Counts;
use App\Repositories\PriorApplicationsRepository;
use App\Repositories\SituationRepository;
use App\Support\Format;
use App\Support\JobClock;
use Illuminate\Support\Facades\DB;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Reading;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
use Thicket\Mix\Advice\Additions;
use Thicket\Mix\Advice\Advisory;
use Thicket\Mix\Advice\CrewPractice;
use Thicket\Mix\Advice\MixPlan;
use Thicket\Mix\Advice\TankAsked;
use Thicket\Mix\Component;
use Thicket\Mix\Leftover;
use Thicket\Mix\MixedProduct;
use Thicket\Mix\Recipe;
use Thicket\Mix\RecipeSolver;
use Thicket\Mix\TankTerms;
use Thicket\Situation\Option;

/** Solves a step's recipe from what is stored now, and tells whether the saved one still stands. */
final readonly class RecipeDesk
{
    /** What may go in besides product and carrier, by the role it has. */
    public const EXTRAS = ['conditioner', 'oil', 'emulsifier', 'surfactant', 'dye'];

    private const MOST_LEFT_OVER = 20;

    public function __construct(
        private SituationRepository $situations,
        private PriorApplicationsRepository $ceilings,
        private Counts $counts,
        private JobClock $clock,
    ) {}

    public function solve(Stand $stand, Step $step): Recipe
    {
        $option = $this->situations->option($step, $stand->patch->ground->crew);
        $situation = $this->situations->situation($stand);
        $gives = $step->sprayer?->gives();
        $calibrated = $gives?->dimension() === Dimension::VolumePerArea ? $gives : null;
        $solver = new RecipeSolver(
            $situation,
            $option,
            $this->situations->area($stand->patch),
            $this->ceilings->before($stand, $step, self::actives([$option, ...$option->partners])),
            $calibrated,
            $this->counts->zones($stand),
        );
        $asked = $step->recipe ?? [];
        $extras = [];
        foreach (self::EXTRAS as $role) {
            $typed = $asked[$role] ?? null;
            is_string($typed) && ($extras[] = new Component($role, $role, Strength::parse($typed)));
        }
        $plan = new MixPlan(
            $situation,
            $option,
            is_string($asked['carrier'] ?? null) ? $asked['carrier'] : $solver->carrier(),
            new Additions($extras, is_bool($asked['additivesForWater'] ?? null) ? $asked['additivesForWater'] : null),
            new TankAsked(
                $step->sprayer->details['material'] ?? null,
                $step->sprayer->details['solventProof'] ?? null,
                is_string($asked['water'] ?? null) ? $asked['water'] : null,
            ),
            new CrewPractice(
                $this->isNewToCrew($step),
                $this->isNewTogether($step),
                ($stand->patch->ground->crew->settings['fuelOil'] ?? false) === true,
            ),
        );

        return $solver->advised(
            $plan,
            $step->sprayer?->tank(),
            $this->leftover($stand, $step),
            is_int($asked['people'] ?? null) ? $asked['people'] : 1,
        );
    }

    /** What was left from before, with the mix that it came from; null where nothing was. */
    private function leftover(Stand $stand, Step $step): ?Leftover
    {
        $typed = $step->recipe['leftover'] ?? null;
        if (!is_string($typed)) {
            return null;
        }
        $from = $step->recipe['leftoverFrom'] ?? null;
        $batch = is_string($from)
            ? Batch::query()->where('crew_id', $stand->patch->ground->crew_id)->find($from)
            : null;
        $made = $batch->body ?? [];
        [$percent, $carrier] = [$made['percent'] ?? null, $made['carrier'] ?? null];
        $mix = $made['mix'] ?? ($made['cardVersionId'] ?? null);
        $zone = new \DateTimeZone($stand->patch->ground->time_zone);
        $now = $this->clock->now()->setTimezone($zone);

        return new Leftover(
            Reading::parse($typed, Dimension::Volume)->quantity,
            is_string($mix) ? $mix : null,
            is_string($carrier) ? $carrier : '',
            is_string($percent) ? Strength::ofQuantity(Quantity::of($percent, Unit::PercentProduct)) : null,
            $batch === null ? $now : \DateTimeImmutable::createFromInterface($batch->mixed_at)->setTimezone($zone),
            $now,
            $this->holdingHours($step),
        );
    }

    /** @return list<Batch> mixes that something may be left of, the newest first */
    public function recentMixes(Stand $stand): array
    {
        /** @var list<Batch> $batches */
        $batches = array_values(
            Batch::query()
                ->where('crew_id', $stand->patch->ground->crew_id)
                ->where('mixed_at', '>=', $this->clock->now()->modify('-3 days'))
                ->orderByDesc('number')
                ->get()
                ->take(self::MOST_LEFT_OVER)
                ->all(),
        );

        return $batches;
    }

    /**
     * Hash of every figure of the recipe and of what stands against it: it changes when tally, card, school, sprayer,
     * calibration or a fact of the ground change it.
     */
    public function basis(Recipe $recipe): string
    {
        return hash(
            'sha256',
            json_encode(
                [
                    Format::quantity($recipe->need),
                    $recipe->strength?->share->__toString(),
                    Format::quantity($recipe->product()),
                    ...array_map(
                        static fn(MixedProduct $one): array => [
                            $one->option->card?->id,
                            Format::quantity($one->amount),
                        ],
                        $recipe->others(),
                    ),
                    // with the need it tells the loads, however many people share them
                    Format::quantity($recipe->plan?->tank),
                    $recipe->missing,
                    $recipe->blocks,
                    // a word that blocks or asks today, though nothing did when it was saved: water nearer than
                    // thought, a card that changed
                    ...array_values(
                        array_map(
                            static fn(Advisory $w): string => $w->code,
                            array_filter($recipe->words, static fn(Advisory $w): bool => $w->level !== Advisory::CARE),
                        ),
                    ),
                ],
                JSON_THROW_ON_ERROR,
            ),
        );
    }

    public function isFresh(Stand $stand, Step $step): bool
    {
        return $step->recipe_basis !== null &&
            hash_equals($step->recipe_basis, $this->basis($this->solve($stand, $step)));
    }

    /**
     * @param list<Option> $products
     *
     * @return list<string>
     */
    public static function actives(array $products): array
    {
        return array_values(
            array_unique(
                array_merge(
                    ...array_map(
                        static fn(Option $one): array => $one->card === null
                            ? array_filter([$one->active?->id()])
                            : array_column($one->card->contents->actives, 'active'),
                        $products,
                    ),
                ),
            ),
        );
    }

    /** Hours that the finished mix of a step may stand; null where it must be used up on the same day. */
    public function holdingHours(Step $step): ?int
    {
        return (new TankTerms(array_map($this->situations->card(...), $step->cardVersions())))->holdingHours();
    }

    /** Whether the crew has not mixed these products together yet. */
    private function isNewTogether(Step $step): bool
    {
        $partners = $step->partners();
        if ($partners === [] || $step->cardVersion === null) {
            return false;
        }
        $cards = array_map(
            static fn(LabelCardVersion $version): string => $version->label_card_id,
            $step->cardVersions(),
        );

        return DB::table('batch_cards')
            ->where('crew_id', $step->cardVersion->card->crew_id)
            ->whereIn('label_card_id', $cards)
            ->groupBy('batch_id')
            ->havingRaw('COUNT(*) = ?', [count(array_unique($cards))])
            ->doesntExist();
    }

    /** Whether no signed work of the crew was done with this product. */
    private function isNewToCrew(Step $step): bool
    {
        $card = $step->cardVersion?->label_card_id;

        return $card !== null &&
            !Step::query()
                ->whereHas('records')
                ->whereHas('cardVersion', fn($version) => $version->where('label_card_id', $card))
                ->exists();
    }
}
