<?php

declare(strict_types=1);

namespace App\Trail;

use App\Models\Batch;
use App\Models\Stand;
use App\Models\Step;
use App\Support\JobClock;
use App\Wire\Wire;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Reading;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
use Thicket\Methods\FactName;
use Thicket\Mix\Advice\MixPlan;
use Thicket\Mix\Component;
use Thicket\Mix\Leftover;
use Thicket\Mix\Recipe;
use Thicket\Mix\RecipeSolver;

/** Solves a step's recipe from what is stored now, and tells whether the saved one still stands. */
final readonly class RecipeDesk
{
    /** What may go in besides product and carrier, by the role it has. */
    public const EXTRAS = ['conditioner', 'oil', 'emulsifier', 'surfactant', 'dye'];

    private const MOST_LEFT_OVER = 20;

    public function __construct(private Assembler $assembler, private Ceilings $ceilings, private JobClock $clock)
    {
    }

    public function solve(Stand $stand, Step $step): Recipe
    {
        $candidate = $this->assembler->candidate($step, $stand->patch->ground->crew);
        $situation = $this->assembler->situation($stand);
        $gives = $step->sprayer?->gives();
        $calibrated = $gives?->dimension() === Dimension::VolumePerArea ? $gives : null;
        $solver = new RecipeSolver($situation, $candidate, $this->assembler->area($stand->patch), $this->ceilings->thisYear($stand, $step), $calibrated);
        $asked = $step->recipe ?? [];
        $extras = [];
        foreach (self::EXTRAS as $role) {
            $typed = $asked[$role] ?? null;
            is_string($typed) && $extras[] = new Component($role, $role, Strength::parse($typed));
        }
        $plan = new MixPlan(
            $situation,
            $candidate,
            is_string($asked['carrier'] ?? null) ? $asked['carrier'] : $solver->carrier(),
            $extras,
            is_string($asked['water'] ?? null) ? $asked['water'] : null,
            $step->sprayer->details['material'] ?? null,
            $step->sprayer->details['solventProof'] ?? null,
            $this->isNewToCrew($step),
            $situation->quantity(FactName::AirTemperature),
        );

        return $solver->advised($plan, $step->sprayer?->tank(), $this->leftover($stand, $step), is_int($asked['people'] ?? null) ? $asked['people'] : 1);
    }

    /** What was left from before, with the mix that it came from; null where nothing was. */
    private function leftover(Stand $stand, Step $step): ?Leftover
    {
        $typed = $step->recipe['leftover'] ?? null;
        if (!is_string($typed)) {
            return null;
        }
        $from = $step->recipe['leftoverFrom'] ?? null;
        $batch = is_string($from) ? Batch::query()->where('crew_id', $stand->patch->ground->crew_id)->find($from) : null;
        $percent = $batch?->body['percent'] ?? null;
        $zone = new \DateTimeZone($stand->patch->ground->time_zone);
        $now = $this->clock->now()->setTimezone($zone);

        return new Leftover(
            Reading::parse($typed, Dimension::Volume)->quantity,
            is_string($batch?->body['cardVersionId'] ?? null) ? $batch->body['cardVersionId'] : null,
            is_string($batch?->body['carrier'] ?? null) ? $batch->body['carrier'] : '',
            is_string($percent) ? Strength::ofQuantity(Quantity::of($percent, Unit::PercentProduct)) : null,
            $batch === null ? $now : \DateTimeImmutable::createFromInterface($batch->mixed_at)->setTimezone($zone),
            $now,
            $step->cardVersion === null ? null : $this->assembler->card($step->cardVersion)->details?->holdingHours(),
        );
    }

    /** @return list<Batch> mixes that something may be left of, the newest first */
    public function recentMixes(Stand $stand): array
    {
        /** @var list<Batch> $batches */
        $batches = array_values(Batch::query()->where('crew_id', $stand->patch->ground->crew_id)->where('mixed_at', '>=', $this->clock->now()->modify('-3 days'))->orderByDesc('number')->get()->take(self::MOST_LEFT_OVER)->all());

        return $batches;
    }

    /** Hash of every figure of the recipe: it changes when tally, card, school, sprayer or calibration change it. */
    public function basis(Recipe $recipe): string
    {
        return hash('sha256', json_encode([
            Wire::quantity($recipe->need), $recipe->strength?->share->__toString(), Wire::quantity($recipe->product()),
            $recipe->loads?->loads(), Wire::quantity($recipe->loads?->lastPart), $recipe->missing, $recipe->blocks,
        ], JSON_THROW_ON_ERROR));
    }

    public function isFresh(Stand $stand, Step $step): bool
    {
        return $step->recipe_basis !== null && hash_equals($step->recipe_basis, $this->basis($this->solve($stand, $step)));
    }

    /** Whether no signed work of the crew was done with this product. */
    private function isNewToCrew(Step $step): bool
    {
        $card = $step->cardVersion?->label_card_id;

        return $card !== null && !Step::query()->whereHas('records')->whereHas('cardVersion', fn ($version) => $version->where('label_card_id', $card))->exists();
    }
}
