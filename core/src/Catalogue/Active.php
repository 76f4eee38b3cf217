<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Measure\Quantity;

/** An active by its common chemical name, with values typical of its labels; never a substitute for the card. */
final readonly class Active
{
    public function __construct(private Node $data) {}

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

    /** Passes through animals and compost unbroken: hay, manure and clippings carry it on (rulings J5). */
    public function carriesOver(): bool
    {
        return $this->data->bool('carriesOver', false);
    }

    /** @return list<string> codes of what its labels warn of */
    public function cautions(): array
    {
        return $this->data->strings('cautions');
    }

    /** What the product looks like as it comes; empty where it is not told. */
    public function neatLook(): string
    {
        return $this->data->stringOr('neatLook', '');
    }

    /** @return list<Quantity> first and last day on which it shows; empty where nobody knows */
    public function daysToShow(): array
    {
        $symptoms = $this->data->nodeOrEmpty('symptoms');
        [$from, $to] = [$symptoms->quantity('from'), $symptoms->quantity('to')];

        return $from === null || $to === null ? [] : [$from, $to];
    }

    /** Given on stumps at a strength of its own, whatever the stump school says. */
    public function hasOwnStumpStrength(): bool
    {
        return $this->data->bool('ownStumpStrength');
    }

    /** Yellows, thins or kills wanted grasses, by kind and form: the card's list of grasses decides (rulings J45). */
    public function injuresGrasses(): bool
    {
        return $this->data->bool('injuresGrasses');
    }

    /** @return list<string> sowings that do not stand it in the soil, by {@see FactName::SownCrop} (rulings J48) */
    public function sensitiveSowings(): array
    {
        return $this->data->strings('sensitiveSowings');
    }

    /** Reaches shallow groundwater (rulings J26). */
    public function leaches(): bool
    {
        return $this->data->bool('leaches', false);
    }

    /** Never offered for homes, gardens or volunteers (rulings J26). */
    public function isNeverAtHomes(): bool
    {
        return $this->data->bool('neverAtHomes', false);
    }

    /** yes, on-area, families, with-care, no or unknown: whether trees take harm through their roots (rulings J47). */
    public function harmsTreesByRoots(): string
    {
        return $this->data->string('harmsTreesByRoots');
    }

    /** @return list<string> plant families whose trees take harm through their roots */
    public function treeFamiliesHarmed(): array
    {
        return $this->data->strings('treeFamiliesHarmed');
    }

    /** Whether an established sedge is expected to be taken; null where nobody knows (rulings J46). */
    public function takesSedges(): ?bool
    {
        return match ($this->data->stringOr('sedges', '')) {
            'takes' => true,
            'spares' => false,
            default => null,
        };
    }

    /** @return list<string> actives that lessen its effect in one tank (rulings J41) */
    public function weakenedBy(): array
    {
        return $this->data->strings('weakenedBy');
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

    /** Grams of active in a litre of mix below which it is too weak for the use; null where nobody wrote it. */
    public function leastGrams(string $methodId): ?Quantity
    {
        return $this->data->nodeOrEmpty('typicalStrengths')->nodeOrEmpty($methodId)->quantity('leastGrams');
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
