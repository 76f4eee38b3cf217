<?php

declare(strict_types=1);

namespace App\Trail;

use App\Models\Stand;
use App\Models\Step;
use App\Wire\Wire;
use Thicket\Measure\Strength;
use Thicket\Mix\Recipe;
use Thicket\Mix\RecipeSolver;

/** Solves a step's recipe from what is stored now, and tells whether the saved one still stands. */
final readonly class RecipeDesk
{
    public function __construct(private Assembler $assembler, private Ceilings $ceilings)
    {
    }

    public function solve(Stand $stand, Step $step): Recipe
    {
        $candidate = $this->assembler->candidate($step, $stand->patch->ground->crew);
        $solver = new RecipeSolver($this->assembler->situation($stand), $candidate, $this->assembler->area($stand->patch), $this->ceilings->thisYear($stand, $step));
        $dye = $step->recipe['dye'] ?? null;

        return $solver->solve($step->sprayer?->tank(), is_string($dye) ? Strength::parse($dye) : null);
    }

    /** Hash of every figure of the recipe: it changes when tally, card, school or sprayer change it. */
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
}
