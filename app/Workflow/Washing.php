<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\LabelCardVersion;
use App\Models\Step;
use App\Support\JobClock;
use App\Text\Sentences;
use Thicket\Measure\Quantity;
use Thicket\Practice\Gate;
use Thicket\Practice\GateKind;
use Thicket\Practice\Gates as CoreGates;

/** Whether the sprayer of a step is to be washed before its mix goes in, and why. */
final readonly class Washing
{
    public function __construct(private JobClock $clock, private Sentences $sentences) {}

    /** Null where it holds nothing, or the same as today, or nobody said what the step is put out with. */
    public function gate(Step $step, string $carrier, string $timeZone): ?Gate
    {
        return $step->sprayer === null
            ? null
            : CoreGates::ofCleaning(
                $step->sprayer->name,
                $step->sprayer->residue($timeZone),
                array_map(static fn(LabelCardVersion $v): string => $v->label_card_id, $step->cardVersions()),
                $carrier,
                $this->clock->today($timeZone),
            );
    }

    /** @return array{us: string, metric: string}|null what is in the way of mixing: another product, never the same */
    public function first(Step $step, string $carrier, string $timeZone): ?array
    {
        $gate = $this->gate($step, $carrier, $timeZone);

        return $gate?->kind === GateKind::Cleaning
            ? $this->sentences->both(
                "gate.{$gate->kind->value}",
                array_map(
                    fn(string|Quantity|\DateTimeImmutable $v): string|Quantity => $v instanceof \DateTimeImmutable
                        ? $this->sentences->day($v)
                        : $v,
                    $gate->values,
                ),
            )
            : null;
    }
}
