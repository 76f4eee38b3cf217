<?php

declare(strict_types=1);

namespace Thicket\Methods;

use Thicket\Knowledge\Node;
use Thicket\Measure\Quantity;
use Thicket\Plants\Species;

/** A way of working, as core/data/methods describes it. */
final readonly class Method
{
    /** Training that a person needs for a tool (handbook 5). */
    public const CLEARANCES = ['saw', 'axe', 'mower', 'tractor', 'flame'];

    public function __construct(public Node $data)
    {
    }

    public function id(): string
    {
        return $this->data->string('id');
    }

    /** mechanical, cultural, biological or chemical. */
    public function family(): string
    {
        return $this->data->string('family');
    }

    /** hand, cutting, machine, fire, spray, wipe, injection, animals or cover: what is done to the plant. */
    public function work(): string
    {
        return $this->data->string('work');
    }

    /** bark, wood, stump, leaf or soil: what a product is put on; empty without a product. */
    public function onto(): string
    {
        return $this->data->stringOr('onto', '');
    }

    /** Worked as an area with a rate, not plant by plant. */
    public function isOfArea(): bool
    {
        return $this->data->stringOr('reach', 'plant') === 'area';
    }

    /** shield, wick or class: what spares the plants kept; empty where nothing does. */
    public function guard(): string
    {
        return $this->data->stringOr('guard', '');
    }

    /** The method whose typical strengths and label permission hold for this one too; its own id where it stands alone. */
    public function like(): string
    {
        return $this->data->stringOr('like', $this->id());
    }

    /** False for what is only ever a step of a programme. */
    public function isOnBoard(): bool
    {
        return $this->data->bool('onBoard', true);
    }

    public function usesProduct(): bool
    {
        return $this->data->bool('usesProduct');
    }

    /** @return list<string> */
    public function actives(): array
    {
        return $this->data->strings('actives');
    }

    /** Season group of windows.yaml, or 'any' / 'mow'. */
    public function season(): string
    {
        return $this->data->string('season');
    }

    public function source(): string
    {
        return $this->data->string('source');
    }

    public function limit(string $name): ?Quantity
    {
        return $this->data->node('limits')->quantity($name);
    }

    /** True when a value exactly on the limit still fits (handbook 2 "Limits have a stated side"). */
    public function limitIsInclusive(string $name): bool
    {
        return $this->data->node('limits')->node($name)->bool('inclusive', true);
    }

    /** @return list<string> */
    public function tools(): array
    {
        return $this->data->strings('tools');
    }

    public function clearance(): string
    {
        return $this->data->string('clearance');
    }

    /** Whether the method is made for such a plant at all. */
    public function isFor(Species $species): bool
    {
        $kind = match (true) {
            $species->habit() === 'cactus' => 'cactus',
            in_array($species->habit(), ['tree', 'shrub'], true) => 'woody',
            in_array($species->habit(), ['woody-vine', 'herbaceous-vine'], true) => 'vine',
            default => 'herb',
        };

        return in_array($kind, $this->data->strings('plants'), true)
            || ($kind === 'vine' && $species->isWoody() && $this->id() === 'cut-stump');
    }
}
