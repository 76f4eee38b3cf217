<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Measure\Quantity;

/** Two or more actives that practice always gives together (handbook 3, rulings J16, J41). */
final readonly class Mixture
{
    public function __construct(private Node $data) {}

    /** Whether practice gives it so to plants of a treatment class. */
    public function isFor(Method $method, ?string $treatmentClass): bool
    {
        return in_array($method->id(), $this->data->strings('methods'), true) &&
            in_array($treatmentClass, $this->data->strings('classes'), true);
    }

    /** @return list<string> ids, the leading one first */
    public function actives(): array
    {
        return array_column($this->parts(), 'active');
    }

    /**
     * @return non-empty-list<array{active: string, strength: Quantity|null}> strength of each product in the finished
     *     mix, where it is commonly given so
     */
    public function parts(): array
    {
        $parts = array_map(
            static fn(Node $part): array => [
                'active' => $part->string('active'),
                'strength' => $part->quantity('strength'),
            ],
            array_values($this->data->nodes('parts')),
        );

        return $parts === [] ? throw new \LogicException('a mixture has parts') : $parts;
    }
}
