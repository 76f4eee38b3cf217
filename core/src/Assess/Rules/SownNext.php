<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Assess\RestsOnSchool;
use Thicket\Calendar\Day;
use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Label\LabelCard;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * What is sown next where a product lies in the soil (rulings J48): sowings that do not stand it refuse it, the card's
 * days decide for the others; a crop that is up takes it only in the school and by the card that allow it (handbook 8
 * preventer-crop).
 */
final readonly class SownNext implements RestsOnSchool, ChangesWithSeason
{
    public function school(Situation $situation, Option $option): ?string
    {
        return $option->goesOn('soil') ? 'preventer-crop' : null;
    }

    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->method->usesProduct() || (!$option->goesOn('soil') && !$option->isSoilActive())) {
            return [];
        }
        $findings = [];
        if ($option->goesOn('soil') && $situation->isYes(FactName::CropUp) === true) {
            $findings[] =
                $option->schools->choice('preventer-crop') === 'also-after'
                    ? Finding::withCare('sown.crop-up-by-card', 'handbook-8', [], null, Certainty::Observed)
                    : Finding::doesNotSuit(
                        'sown.crop-up',
                        'handbook-8',
                        [],
                        'change.before-planting',
                        Certainty::Observed,
                    );
        }
        $sown = $situation->dayOf(FactName::SownNext);
        if ($sown === null || $sown < $situation->day) {
            return $findings;
        }
        $crop = $situation->word(FactName::SownCrop);
        $values = ['sown' => $sown, 'active' => $option->activeNames()];
        if (
            $crop !== null &&
            $option->goesOn('soil') &&
            $option->anyActive(static fn(Active $a): bool => in_array($crop, $a->sensitiveSowings(), true))
        ) {
            return [
                ...$findings,
                Finding::notAllowed(
                    'sown.does-not-stand-it',
                    'rulings-J48',
                    $values + ['crop' => $crop],
                    'change.other-sowing',
                ),
            ];
        }
        $days = $this->days($option);
        if ($days === null) {
            return [
                ...$findings,
                $option->card === null
                    ? Finding::unknown('card-replant-days', 'rulings-J48', $option->goesOn('soil'), $values)
                    : Finding::unknown('card-replant-days', 'label-card', true, $values),
            ];
        }
        if ($crop === null && $option->goesOn('soil')) {
            $findings[] = Finding::unknown('sown-crop', 'rulings-J48', true, $values);
        }
        $left = Day::between($situation->day, $sown);
        $values += ['days' => $days, 'left' => $left];

        return [
            ...$findings,
            $left < $days
                ? Finding::notAllowed('sown.too-soon', 'label-card', $values, 'change.sow-later')
                : Finding::fits('sown.days-kept', 'label-card', $values, Certainty::Observed),
        ];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $sown = $situation->dayOf(FactName::SownNext);
        $days = $this->days($option);

        return $sown === null
            ? []
            : [$sown->modify('+1 day'), ...$days === null ? [] : [$sown->modify("-{$days} days")->modify('+1 day')]];
    }

    /** The most days any card of the tank asks for; null where one is silent. */
    private function days(Option $option): ?int
    {
        $all = array_map(
            static fn(LabelCard $c): ?int => $c->details->numbers['replantDays'] ?? null,
            $option->cards(),
        );

        return $all === [] || in_array(null, $all, true) ? null : max($all);
    }
}
