<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Mix\Component;
use Thicket\Mix\FinishedMix;
use Thicket\Mix\TankPlan;

/**
 * Several products in one carrier: how much of each, in which order, and load by load where a tank is given (handbook
 * 3, sums 1-3).
 */
final readonly class FinishedMixFormula implements Formula
{
    /** Names of figures in the answer. */
    private const RESERVED = [
        'finished',
        'carrier',
        'carrier-first',
        'order',
        'loads',
        'whole-loads',
        'last-part',
        'fills',
    ];

    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer
    {
        $finished = $in->positive('finished', Dimension::Volume);
        $carrier = $in->choice('carrier', ['water', 'oil']);
        $tank = $in->positiveOrNull('tank', Dimension::Volume);
        $components = [];
        foreach ($in->objects('components', 12, true) as $item) {
            $name = $item->text('name', 60);
            $role = $item->choice('role', Component::ROLES);
            $strength = $item->strengthOrNull('strength');
            $most = $item->strengthOrNull('labelMost');
            if ($strength !== null && $most !== null && $strength->share->isGreaterThan($most->share)) {
                $item->fault('strength', 'This is above the most on the label card.');
            }
            $taken = in_array($name, [...self::RESERVED, (string) $carrier], true);
            if ($taken || in_array($name, array_map(static fn(Component $c): string => $c->name, $components), true)) {
                $name = $item->fault(
                    'name',
                    $taken
                        ? 'This name is taken by a figure of the answer: call the component otherwise.'
                        : 'Two components cannot have one name.',
                );
            }
            $item->noOthers();
            if ($name !== null && $role !== null) {
                $components[] = new Component($name, $role, $strength);
            }
        }
        if ($finished === null || $carrier === null || $in->faults->any()) {
            return FormulaAnswer::none();
        }
        $mix = FinishedMix::of($finished, $carrier, $components);
        $values = ['finished' => $finished];
        foreach ($mix->parts as $part) {
            if ($part['amount'] !== null) {
                $values[$part['component']->name] = $part['amount'];
            }
            if ($part['component']->role !== 'dye' && $part['component']->strength !== null) {
                $values[$part['component']->name . '-percent'] = $part['component']->strength->percent();
            }
        }
        if ($mix->carrierAmount !== null) {
            $values['carrier'] = $mix->carrierAmount;
        }
        if ($tank !== null && UnitsMixedUp::tooMany($in, 'tank', $finished->per($tank))) {
            return FormulaAnswer::none();
        }
        $plan = $tank === null ? null : TankPlan::of($finished, $tank);
        if ($plan === null || $plan->count() === 1) {
            $values['carrier-first'] = $mix->carrierFirst;
            $values['order'] = self::order($mix);
        }
        if ($plan !== null) {
            // one tank at a time: what goes into a full one, and into the last
            $values['fills'] = array_map(
                static fn(array $fill): array => [
                    'times' => $fill['times'],
                    'finished' => $fill['finished'],
                    'order' => self::order($mix->inVolume($fill['finished'])),
                ],
                $plan->fills(),
            );
            $values = [...$values, ...LoadFigures::of($plan)];
        }

        return new FormulaAnswer(
            $values,
            array_map(static fn(string $name): string => "strength of {$name}", $mix->missing),
        );
    }

    /** @return list<array{what: string, amount?: Quantity}> */
    private static function order(FinishedMix $mix): array
    {
        return array_map(
            static fn(array $step): array => ['what' => $step['what']] +
                ($step['amount'] === null ? [] : ['amount' => $step['amount']]),
            $mix->loadingOrder(),
        );
    }
}
