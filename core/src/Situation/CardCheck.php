<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Label\CardUse;
use Thicket\Label\LabelCard;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * What a label card lets and forbids of one way of working on a stand (handbook 3): method, site, carrier, strength,
 * licence, and the line that holds. Without a card only typical values speak (rulings B9).
 */
final readonly class CardCheck
{
    /**
     * @return list<Finding> an active that many places leave to licensed people says so before any card is entered
     * (rulings J26)
     */
    private function licence(Option $option): array
    {
        $licensed = array_filter($option->actives(), static fn(Active $a): bool => $a->isLicensedOnly());
        if ($licensed === []) {
            return [];
        }
        $values = ['active' => reset($licensed)->name()];

        return [
            $option->shed->someoneLicensed
                ? Finding::withCare('card.licensed-active', 'rulings-J26', $values)
                : Finding::notAllowed('card.licensed-active-nobody', 'rulings-J26', $values, 'change.licensed-person'),
        ];
    }

    /** @return list<Finding> */
    public function findings(Situation $situation, Option $option): array
    {
        if (!$option->method->usesProduct()) {
            return [];
        }
        $card = $option->card;
        if ($card === null) {
            return [
                Finding::withCare('card.typical-only', 'handbook-3', [], 'change.confirm-card', Certainty::Typical),
                ...$this->licence($option),
            ];
        }
        $values = ['product' => $card->product];
        $findings = [];
        if (!$card->confirmed) {
            $findings[] = Finding::unknown('card-confirmation', 'handbook-3', true, $values);
        }
        if (!$card->allowsMethod($option->cardUse())) {
            $findings[] = Finding::notAllowed('card.method-not-listed', 'label-card', $values, 'change.other-card');
        } else {
            $findings = [...$findings, ...$this->lineThatHolds($situation, $option, $card)];
        }
        $carrier = $option->carrier();
        if (
            $carrier !== null &&
            $card->directions->carriers !== [] &&
            !in_array($carrier, $card->directions->carriers, true)
        ) {
            $findings[] = Finding::notAllowed(
                'card.carrier-not-listed',
                'label-card',
                $values + ['carrier' => $carrier],
                'change.other-card',
            );
        }
        if ($this->isTooWeak($situation, $option)) {
            $findings[] = Finding::doesNotSuit('card.too-weak', 'rulings-J63', $values, 'change.concentrate');
        }
        $setting = $situation->word(FactName::Setting);
        if ($setting === null) {
            $findings[] = Finding::unknown('setting', 'label-card', true);
        } elseif (!in_array($setting, $card->directions->sites, true)) {
            $findings[] = Finding::notAllowed(
                'card.site-not-listed',
                'label-card',
                $values + ['site' => $setting],
                'change.other-card',
            );
        }
        if ($card->protection->licensedOnly) {
            $findings[] = $option->shed->someoneLicensed
                ? Finding::withCare('card.licensed-only', 'label-card', $values)
                : Finding::notAllowed('card.nobody-licensed', 'label-card', $values, 'change.licensed-person');
        }

        return $findings === [] ? [Finding::fits('card.allows', 'label-card', $values)] : $findings;
    }

    /**
     * Any product is judged by strength and card, not by name (rulings J63): where the card gives no least for stump,
     * injection or wiper, below half of the lowest strength of any school for that active and way, in g ae/L, it is too
     * weak. The neat product is the strongest it can be put on.
     */
    private function isTooWeak(Situation $situation, Option $option): bool
    {
        $card = $option->card;
        $line = $option->lineOfCard($situation);
        $typical = $option->active?->leastGrams($option->method->like());
        if (
            $card === null ||
            $line?->min !== null ||
            $typical === null ||
            !$option->goesOn('wood', 'stump', 'leaf') ||
            ($option->goesOn('leaf') && $option->method->work() !== 'wipe')
        ) {
            return false;
        }
        $strength =
            $option->active === null
                ? null
                : array_column($card->contents->actives, 'amount', 'active')[$option->active->id()] ?? null;

        return $strength?->dimension() === \Thicket\Measure\Dimension::EquivalentPerVolume &&
            $strength->isLessThan($typical->dividedBy(2));
    }

    /**
     * @return list<Finding> where the label parts a use by growth stage or dates: whether any line holds, and whether
     * the stage still decides
     */
    private function lineThatHolds(Situation $situation, Option $option, LabelCard $card): array
    {
        $values = ['product' => $card->product];
        $lines = $card->lines($option->cardUse());
        $stage = $situation->stageSeen();
        if ($option->lineOfCard($situation) === null) {
            $opens = array_filter(
                array_map(static fn(CardUse $line): ?\DateTimeImmutable => $line->opensOn($situation->day), $lines),
            );
            $later = array_filter($opens, static fn(\DateTimeImmutable $day): bool => $day > $situation->day);

            if (
                $situation->soil() !== null &&
                array_filter(
                    $lines,
                    static fn(CardUse $line): bool => $line->textures !== [] &&
                        $line->holds($stage, $situation->day) !== false,
                ) !== []
            ) {
                return [Finding::unknown('card-soil', 'rulings-J49', true, $values)];
            }

            return [
                Finding::notNow(
                    'card.not-at-this-stage',
                    'label-card',
                    $values,
                    $later === [] ? null : min($later),
                    'change.stage-on-card',
                    Certainty::Observed,
                ),
            ];
        }
        $holds = array_map(
            static fn(CardUse $line): ?bool => $line->holds($stage, $situation->day, $situation->soil()),
            $lines,
        );
        if (!in_array(null, $holds, true)) {
            return [];
        }
        $byStage =
            $stage === null && array_filter($lines, static fn(CardUse $line): bool => $line->stages !== []) !== [];
        $bySoil =
            $situation->soil() === null &&
            array_filter($lines, static fn(CardUse $line): bool => $line->textures !== []) !== [];

        // a rate by soil is never the highest in silence (rulings J49)
        return [
            ...$byStage ? [Finding::unknown('stage', 'label-card', !in_array(true, $holds, true), $values)] : [],
            ...$bySoil ? [Finding::unknown('soil-texture', 'rulings-J49', true, $values)] : [],
        ];
    }
}
