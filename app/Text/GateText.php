<?php

declare(strict_types=1);

namespace App\Text;

use Thicket\Measure\Quantity;
use Thicket\Measure\System;
use Thicket\Practice\Gate;

/** A gate that is shut, told: what shuts it, what opens it, and where. */
final readonly class GateText
{
    public function __construct(private Sentences $sentences) {}

    /**
     * @return array{code: string, text: array{us: string, metric: string}, opens: string, station: string,
     *     passable: bool}
     */
    public function of(Gate $gate): array
    {
        $values = array_map(
            fn(string|Quantity|\DateTimeImmutable $value): string|Quantity => $value instanceof \DateTimeImmutable
                ? $this->sentences->day($value)
                : $value,
            $gate->values,
        );
        if (is_string($duty = $values['duty'] ?? null)) {
            $values['duty'] = $this->sentences->name("duty.{$duty}");
        }
        if (is_string($missing = $values['missing'] ?? null) && $missing !== '') {
            $values['missing'] = $this->sentences->in(
                "fact.{$missing}",
                ['keeper' => $values['keeper'] ?? ''],
                System::Us,
            );
        }

        return [
            'code' => $gate->kind->value,
            'text' => $this->sentences->both("gate.{$gate->kind->value}", $values),
            'opens' => $this->sentences->in("gate.opens.{$gate->kind->value}", $values, System::Us),
            'station' => $gate->kind->station(),
            'passable' => $gate->kind->isPassable(),
        ];
    }
}
