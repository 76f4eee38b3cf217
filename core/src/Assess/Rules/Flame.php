<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Calendar\Day;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\Species;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\ProtectedFeature;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Everything whose work is fire (rulings J35, J54): what may burn, what was sprayed, what is too big to die, what
 * stands beside.
 */
final readonly class Flame implements ChangesWithSeason
{
    public const MOST_WIND_METRES_A_SECOND = '4';
    private const DAYS_SINCE_SPRAY = 30;
    /** Litter nearer than this catches (our guess; "on or beside the ground"). */
    private const BESIDE_METRES = 2;
    private const SMALL = ['cotyledon'];
    private const LATE = ['seedling'];
    private const NOTHING_GREEN = ['dormant', 'dead', 'leaf-fall'];

    public function evaluate(Situation $situation, Option $option): array
    {
        if ($option->method->work() !== 'fire') {
            return [];
        }
        $target = $situation->target;

        return [
            ...$target === null || !$option->method->isFor($target) ? [] : $this->plant($situation, $target),
            ...$this->litter($situation),
            ...$this->sprayed($situation, $option),
            ...$this->weather($situation),
            ...$this->beside($situation),
        ];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $days = $situation->phenology()?->turns($year) ?? [];
        foreach ($option->method->work() === 'fire' ? $situation->history : [] as $past) {
            $days = [...$days, $past->on, $past->on->modify('+' . self::DAYS_SINCE_SPRAY . ' days')];
        }

        return $option->method->work() === 'fire' ? $days : [];
    }

    /** @return list<Finding> */
    private function plant(Situation $situation, Species $target): array
    {
        if (in_array($target->habit(), ['grass', 'sedge', 'reed'], true)) {
            return [Finding::doesNotSuit('flame.grass', 'handbook-2-flame', [], 'change.other-helpers')];
        }
        $stage = $situation->stage();
        if ($stage === null) {
            return [Finding::unknown('stage', 'handbook-2-flame', true)];
        }
        [$name, $certainty] = $stage;
        $values = ['stage' => $name];
        $seen = $certainty !== Certainty::Estimated;

        return [
            match (true) {
                in_array($name, self::SMALL, true) => Finding::fits(
                    'flame.seed-leaves',
                    'rulings-J54',
                    $values,
                    $certainty,
                ),
                in_array($name, self::LATE, true) => Finding::withCare(
                    'flame.seedling',
                    'rulings-J54',
                    $values,
                    null,
                    $certainty,
                ),
                in_array($name, self::NOTHING_GREEN, true) && $seen => Finding::notNow(
                    'flame.nothing-green',
                    'rulings-J54',
                    $values,
                    null,
                    'change.at-stage',
                    $certainty,
                ),
                $target->isPerennial() || $target->lifeCycle() === 'biennial' => Finding::withCare(
                    'flame.perennial',
                    'rulings-J54',
                    $values,
                    null,
                    $certainty,
                ),
                $seen => Finding::doesNotSuit(
                    'flame.too-late',
                    'rulings-J54',
                    $values,
                    'change.hoe-or-pull',
                    $certainty,
                ),
                // the calendar alone closes nothing (rulings J43)
                default => Finding::withCare(
                    'flame.look-at-size',
                    'rulings-J54',
                    $values,
                    'change.at-stage',
                    $certainty,
                ),
            },
        ];
    }

    /** @return list<Finding> */
    private function litter(Situation $situation): array
    {
        $lies = $situation->word(FactName::Litter);
        $kept = array_filter(
            $situation->keepers,
            static fn(ProtectedFeature $k): bool => $k->kind === 'litter' &&
                ($k->distance === null || !$k->distance->isGreaterThan(Quantity::of(self::BESIDE_METRES, Unit::Metre))),
        );

        return [
            match (true) {
                $lies === 'dry' || ($kept !== [] && $lies !== 'wet') => Finding::notAllowed(
                    'flame.dry-litter',
                    'rulings-J54',
                    [],
                    'change.wet-mulch',
                ),
                $lies === 'wet' => Finding::withCare('flame.mulch', 'rulings-J54', [], null, Certainty::Observed),
                $lies === 'none' => Finding::fits('flame.bare', 'rulings-J54', [], Certainty::Observed),
                default => Finding::unknown('litter', 'rulings-J54', false),
            },
        ];
    }

    /** @return list<Finding> */
    private function sprayed(Situation $situation, Option $option): array
    {
        $told = $situation->isYes(FactName::SprayedLately);
        foreach ($situation->history as $past) {
            $days = Day::between($past->on, $situation->day);
            if ($past->active !== null && $days >= 0 && $days < self::DAYS_SINCE_SPRAY) {
                $values = [
                    'active' => $option->catalogue->active($past->active)->name(),
                    'on' => $past->on,
                    'until' => $past->on->modify('+' . self::DAYS_SINCE_SPRAY . ' days'),
                ];

                return [Finding::notAllowed('flame.after-spray', 'rulings-J54', $values, 'change.wait-thirty-days')];
            }
        }

        return match (true) {
            $told === true => [
                Finding::notAllowed('flame.sprayed-lately', 'rulings-J54', [], 'change.wait-thirty-days'),
            ],
            $told === false => [Finding::fits('flame.not-sprayed', 'rulings-J54', [], Certainty::Observed)],
            $situation->history === [] => [Finding::unknown('sprayed-lately', 'rulings-J54', true)],
            default => [],
        };
    }

    /** @return list<Finding> */
    private function weather(Situation $situation): array
    {
        $findings = [];
        if ($situation->isYes(FactName::Drought) === true) {
            $findings[] = Finding::notNow(
                'flame.drought',
                'rulings-J35',
                [],
                null,
                'change.after-rain',
                Certainty::Observed,
            );
        }
        $wind = $situation->quantity(FactName::WindSpeed);
        $limit = Quantity::of(self::MOST_WIND_METRES_A_SECOND, Unit::MetrePerSecond);
        if ($wind !== null && $wind->isGreaterThan($limit)) {
            $findings[] = Finding::notNow(
                'flame.wind',
                'rulings-J35',
                ['wind' => $wind, 'limit' => $limit],
                null,
                'change.calm',
                Certainty::Measured,
            );
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function beside(Situation $situation): array
    {
        $findings = [];
        if ($situation->isYes(FactName::CropUp) === true) {
            $findings[] = Finding::notAllowed('flame.crop-up', 'rulings-J54', [], 'change.hoe-or-pull');
        }
        foreach ($situation->keepers as $keeper) {
            if (in_array($keeper->kind, ['tree', 'shrub', 'planting'], true) && $keeper->isAmongTargets()) {
                $findings[] = Finding::withCare('flame.shield-bark', 'rulings-J54', ['keeper' => $keeper->name]);
            }
        }

        return $findings;
    }
}
