<?php

declare(strict_types=1);

namespace Thicket\Situation;

/** What the crew has noted of its owner's stance and its law. */
final readonly class CrewTerms
{
    /**
     * @param string $stance any, least-hazard or none (handbook 8 herbicide-stance)
     * @param array<string, string> $listed species => 'protected' or 'regulated'
     */
    public function __construct(public string $stance = 'any', public array $listed = []) {}
}
