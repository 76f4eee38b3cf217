<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Calendar\Day;
use Thicket\Catalogue\FactName;
use Thicket\Label\LabelCard;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * What else the cards of a tank say (handbook 3 "The label card also holds"): a closed cab, who may buy it, crops,
 * sprinklers, how long ago the law was looked up, antagonists in one tank. Grazing, grasses, trees, buffers and times
 * have rules of their own.
 */
final readonly class LabelWords implements Rule
{
    /** A check of the law older than this is looked up again (our guess). */
    private const LAW_YEARS = 2;
    private const AT_HOMES = ['bed-lawn-paving'];
    private const CAB = 'cab';
    private const SOURCE = 'label-card';

    public function evaluate(Situation $situation, Option $option): array
    {
        $findings = [];
        foreach ($option->cards() as $card) {
            $findings = [...$findings, ...$this->ofCard($situation, $option, $card)];
        }

        return [...$findings, ...$this->antagonists($option)];
    }

    /** @return list<Finding> */
    private function ofCard(Situation $situation, Option $option, LabelCard $card): array
    {
        $details = $card->details;
        $values = ['product' => $card->product];
        $findings = [];
        if (($details->answers['cabRequired'] ?? false) && $option->method->work() === 'spray') {
            $findings[] =
                in_array(self::CAB, $option->shed->tools ?? [], true) && $option->method->isOfArea()
                    ? Finding::withCare('card.in-the-cab', self::SOURCE, $values)
                    : Finding::notAllowed('card.cab-required', self::SOURCE, $values, 'change.cab-or-other');
        }
        $buyers = $details->buyers;
        if ($buyers === 'licensed' && !$option->shed->someoneLicensed) {
            $findings[] = Finding::notAllowed('card.nobody-licensed', self::SOURCE, $values, 'change.licensed-person');
        }
        if ($buyers === 'farm' && in_array($situation->word(FactName::Setting), self::AT_HOMES, true)) {
            $findings[] = Finding::notAllowed('card.farm-only', self::SOURCE, $values, 'change.home-product');
        }
        if ($buyers === 'home' && !in_array($situation->word(FactName::Setting), self::AT_HOMES, true)) {
            $findings[] = Finding::withCare('card.home-product', self::SOURCE, $values);
        }
        if (($details->numbers['irrigationHours'] ?? 0) > 0) {
            $findings[] = Finding::withCare(
                'card.no-irrigation',
                self::SOURCE,
                $values + ['hours' => $details->numbers['irrigationHours']],
            );
        }
        if (
            $details->lawCheckedYear !== null &&
            Day::year($situation->day) - $details->lawCheckedYear > self::LAW_YEARS
        ) {
            $findings[] = Finding::withCare(
                'card.law-checked-long-ago',
                self::SOURCE,
                $values + ['year' => (string) $details->lawCheckedYear],
                'change.check-law',
            );
        }

        return $findings;
    }

    /** @return list<Finding> actives that lessen one another in one tank (rulings J41) */
    private function antagonists(Option $option): array
    {
        $all = $option->actives();
        $ids = array_map(static fn($a): string => $a->id(), $all);
        $findings = [];
        foreach ($all as $active) {
            foreach (array_intersect($active->weakenedBy(), $ids) as $by) {
                $findings[] = Finding::withCare(
                    'card.weaken-one-another',
                    'rulings-J41',
                    ['active' => $active->name(), 'by' => $option->catalogue->active($by)->name()],
                    'change.apart-by-days',
                );
            }
        }

        return $findings;
    }
}
