<?php

declare(strict_types=1);

use App\Models\Stand;
use App\Models\Step;

/** @return array<string, mixed> */
function shelf(Tests\AppTestCase $t, string $lot): array
{
    return collect($t->api('GET', '/shed')->json('stock'))->firstWhere('lot', $lot) ?? [];
}

/** The Norway maples of the demo with a recipe saved: basal bark in oil. */
function maples(Tests\AppTestCase $t): Step
{
    $t->as();
    $step = Stand::query()->findOrFail($t->standId('norway-maple'))->steps()->firstOrFail();
    $recipe = $t->api('GET', "/steps/{$step->id}/recipe?dye=0.25 fl oz/gal")->assertOk();
    $t->api('PUT', "/steps/{$step->id}/recipe", ['dye' => '0.25 fl oz/gal'], ['If-Match' => $recipe->headers->get('ETag')])->assertOk()->assertJsonPath('saved', true);

    return $step;
}
