<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Knowledge\Node;
use Thicket\Measure\Quantity;

/** An active by its common chemical name, with values typical of its labels; never a substitute for the card. */
final readonly class Active
{
    public function __construct(public Node $data)
    {
    }

    public function id(): string
    {
        return $this->data->string('id');
    }

    public function name(): string
    {
        return $this->data->string('name');
    }

    public function group(): string
    {
        return $this->data->string('group');
    }

    /** non-selective, broadleaf, grass or sedge. */
    public function selectivity(): string
    {
        return $this->data->string('selectivity');
    }

    public function isSoilActive(): bool
    {
        return $this->data->bool('soilActive');
    }

    /** Left to licensed users in many places. */
    public function isLicensedOnly(): bool
    {
        return $this->data->stringOr('licence', 'ask') === 'licensed-only';
    }

    public function isVolatile(): bool
    {
        return $this->data->bool('volatile');
    }

    public function typicalStrength(string $methodId): ?Quantity
    {
        $strengths = $this->data->nodeOrEmpty('typicalStrengths');

        return $strengths->has($methodId) ? $strengths->node($methodId)->quantity('value') : null;
    }

    /** oil or water for the method; null where no typical strength is known. */
    public function typicalCarrier(string $methodId): ?string
    {
        $strengths = $this->data->nodeOrEmpty('typicalStrengths');

        return $strengths->has($methodId) ? $strengths->node($methodId)->string('carrier') : null;
    }

    /** 1 least to 5 most (handbook 9); null where this use has no step of its own. */
    public function harm(string $methodId): ?int
    {
        $harm = $this->data->nodeOrEmpty('harm');

        return $harm->has($methodId) ? $harm->int($methodId) : null;
    }

    public function isSystemic(): bool
    {
        return $this->data->bool('systemic');
    }

    /** Product per treated area, typical of labels; null where none is known. */
    public function typicalRate(string $methodId): ?Quantity
    {
        return $this->typicalOfArea($methodId, 'value');
    }

    /** Spray per treated area that goes with the typical rate; null where none is known. */
    public function typicalSpray(string $methodId): ?Quantity
    {
        return $this->typicalOfArea($methodId, 'spray');
    }

    private function typicalOfArea(string $methodId, string $what): ?Quantity
    {
        $rates = $this->data->nodeOrEmpty('typicalRates');

        return $rates->has($methodId) ? $rates->node($methodId)->quantity($what) : null;
    }
}
