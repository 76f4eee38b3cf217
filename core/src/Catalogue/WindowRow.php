<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** A row of windows.yaml: when a season group of methods is good for a class of plants. */
final readonly class WindowRow
{
    public function __construct(private Node $data) {}

    /** The season group of the methods. */
    public function season(): string
    {
        return $this->data->string('season');
    }

    public function source(): string
    {
        return $this->data->string('source');
    }

    /** Whether it is for root-suckering woody plants alone (rulings J42). */
    public function isForSuckering(): bool
    {
        return $this->data->has('suckering');
    }

    public function isForClass(string $treatmentClass): bool
    {
        return array_intersect($this->data->strings('classes'), ['any', $treatmentClass]) !== [];
    }

    /** What shuts these days is only that roots live, so that keeping a plant down goes on (rulings J50). */
    public function keepsDown(): bool
    {
        return $this->data->bool('keepDown');
    }

    /** @return list<WindowSpec> */
    public function windows(): array
    {
        return array_map(
            static fn(Node $node): WindowSpec => new WindowSpec($node),
            array_values($this->data->nodes('windows')),
        );
    }
}
