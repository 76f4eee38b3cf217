<?php

declare(strict_types=1);

namespace App\Actions;

use Thicket\Measure\Quantity;

/** One load of a recipe as somebody says that it was mixed. */
final readonly class MixedLoad
{
    /**
     * @param int $load which of the recipe, from 0
     * @param list<string> $confirmed what went in, by the codes of the load's steps, in order
     * @param list<array{containerId: string, amount: Quantity|null}> $draws where the product came from; an amount may
     *     be left out where there is one container
     * @param string|null $id of the batch, where the browser made it
     */
    public function __construct(public int $load, public array $confirmed, public array $draws, public ?string $id) {}
}
