<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Measure\Quantity;

/** One choice of a school, with the working values that come with it; what they are called is the school's own. */
final readonly class SchoolChoice
{
    public function __construct(private Node $data) {}

    /** @return Quantity|null null where this choice gives none */
    public function quantity(string $name): ?Quantity
    {
        return $this->data->quantity($name);
    }

    /** @throws Exception\BrokenData where this choice gives none */
    public function string(string $name): string
    {
        return $this->data->string($name);
    }
}
