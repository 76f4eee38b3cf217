<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\Species;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Doing nothing is a row like the others, with what happens then (rulings J62): not allowed where there is a duty to
 * control, with care at best while poison is in reach of stock or children.
 */
final readonly class LetItBe implements Rule
{
    private const SOURCE = 'rulings-J62';
    private const POISONS = [
        'poisonous',
        'toxic-to-stock',
        'toxic-when-eaten',
        'toxic-when-wilted',
        'skin-burning-sap',
        'irritant-oil',
        'cyanide-former',
        'nitrate-former',
    ];

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if (!$option->how('leave') || $target === null) {
            return [];
        }
        $findings = [];
        if (($situation->listed[$target->id()] ?? null) === 'regulated') {
            $findings[] = Finding::notAllowed('leave.duty', self::SOURCE, [], 'change.any-other-row');
        }
        if (
            $target->hasHazard(...self::POISONS) &&
            ($situation->isGrazed() === true ||
                $situation->isYes(FactName::ChildrenPets) === true ||
                $situation->isYes(FactName::SchoolGround) === true)
        ) {
            $findings[] = Finding::withCare(
                'leave.poison-in-reach',
                self::SOURCE,
                [],
                'change.fence-off',
                Certainty::Typical,
            );
        }

        return [...$findings, $this->whatHappens($situation, $target)];
    }

    private function whatHappens(Situation $situation, Species $target): Finding
    {
        $values = ['years' => $target->seedBankYears()['typical'] ?? 0];
        $orchard = $situation->word(FactName::Setting) === 'orchard';

        return match (true) {
            $orchard && $target->lifeCycle() === 'winter-annual' => Finding::fits(
                'leave.winter-annual-in-orchard',
                'handbook-2',
                [],
                Certainty::Typical,
            ),
            $target->suckers() === true || in_array('rhizomes', $target->spread(), true) => Finding::withCare(
                'leave.spreads-by-roots',
                self::SOURCE,
                $values,
                null,
                Certainty::Typical,
            ),
            $target->isWoody() => Finding::withCare('leave.thickens', self::SOURCE, $values, null, Certainty::Typical),
            $target->isPerennial() => Finding::withCare('leave.stays', self::SOURCE, $values, null, Certainty::Typical),
            default => Finding::withCare('leave.seeds', self::SOURCE, $values, null, Certainty::Typical),
        };
    }
}
