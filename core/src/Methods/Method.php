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

    /** hand, cutting, machine, fire, spray, injection, animals or cover: what is done to the plant. */
    public function work(): string
    {
        return $this->data->string('work');
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
