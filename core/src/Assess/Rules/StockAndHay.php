<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Calendar\Day;
use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Label\LabelCard;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Days from spraying to grazing and hay, by the kind of stock and the line of every card in the tank; silence is no
 * leave (rulings J40), nor are stock that are there already (J51). Hay and manure may carry some actives on (J5).
 */
final readonly class StockAndHay implements ChangesWithSeason
{
    private const MILK = ['milking-cows', 'dry-dairy'];

    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->method->usesProduct()) {
            return [];
        }
        $findings = [];
        $carried = array_filter($option->actives(), static fn(Active $a): bool => $a->carriesOver());
        if ($carried !== []) {
            $findings[] = Finding::withCare('carry.hay-and-manure', 'rulings-J5', [
                'active' => implode(' + ', array_map(static fn(Active $a): string => $a->name(), $carried)),
            ]);
        }
        $forage = in_array(
            false,
            array_map(
                static fn(LabelCard $c): ?bool => $c->details->answers['forageAllowed'] ?? null,
                $option->cards(),
            ),
            true,
        );
        if ($forage && ($situation->isGrazed() === true || $situation->dayOf(FactName::HayOn) !== null)) {
            return [...$findings, Finding::notAllowed('graze.not-for-forage', 'label-card', [], 'change.other-card')];
        }

        return [
            ...$findings,
            ...$this->until(
                $situation,
                $option,
                FactName::GrazedFrom,
                $this->grazingDays($situation, $option),
                'graze',
                'card-grazing-days',
            ),
            ...$this->until(
                $situation,
                $option,
                FactName::HayOn,
                $this->days($option, 'hayDays'),
                'hay',
                'card-hay-days',
            ),
            ...$this->notTold($situation, $option),
            ...$this->slaughter($situation, $option),
        ];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $days = [];
        foreach (
            [
                [FactName::GrazedFrom, $this->grazingDays($situation, $option)],
                [FactName::HayOn, $this->days($option, 'hayDays')],
            ]
            as [$fact, $wait]
        ) {
            $on = $situation->dayOf($fact);
            $days = [
                ...$days,
                ...$on === null
                    ? []
                    : [$on, $on->modify('+1 day'), $on->modify('-' . ($wait ?? 0) . ' days')->modify('+1 day')],
            ];
        }

        return $days;
    }

    /**
     * @return list<Finding> a pasture of which nobody said when stock come back: the card's days cannot be kept (J51)
     */
    private function notTold(Situation $situation, Option $option): array
    {
        if (
            $option->card === null ||
            $situation->isGrazed() !== true ||
            $situation->dayOf(FactName::GrazedFrom) !== null
        ) {
            return [];
        }

        return [
            $this->grazingDays($situation, $option) === 0
                ? Finding::fits('graze.out-until-dry', 'rulings-J51', [])
                : Finding::unknown('grazed-from', 'rulings-J51', true),
        ];
    }

    /** @return list<Finding> what else the cards ask of animals that grazed there */
    private function slaughter(Situation $situation, Option $option): array
    {
        $findings = [];
        foreach (['slaughterDays' => 'graze.slaughter', 'strawDays' => 'hay.straw'] as $field => $code) {
            $days = $this->days($option, $field);
            if (
                $days !== null &&
                $days > 0 &&
                ($field === 'strawDays' ? $situation->dayOf(FactName::HayOn) !== null : $situation->isGrazed() === true)
            ) {
                $findings[] = Finding::withCare($code, 'label-card', ['days' => $days]);
            }
        }

        return $findings;
    }

    /** Of the kind of stock: dairy animals have a line of their own where the card gives one. */
    private function grazingDays(Situation $situation, Option $option): ?int
    {
        $general = $this->days($option, 'grazingDays');
        if (!in_array($situation->word(FactName::StockKind), self::MILK, true)) {
            return $general;
        }
        $dairy = $this->days($option, 'dairyDays');

        return $dairy === null ? $general : max($dairy, $general ?? 0);
    }

    /** The most that any card of the tank asks for; null where one is silent. */
    private function days(Option $option, string $field): ?int
    {
        $all = array_map(
            static fn(LabelCard $c): ?int => match ($field) {
                'grazingDays' => $c->intervals->grazingDays,
                'hayDays' => $c->intervals->hayDays,
                default => $c->details->numbers[$field] ?? null,
            },
            $option->cards(),
        );

        return $all === [] || in_array(null, $all, true) ? null : max($all);
    }

    /** @return list<Finding> */
    private function until(
        Situation $situation,
        Option $option,
        FactName $fact,
        ?int $days,
        string $code,
        string $missing,
    ): array {
        $on = $situation->dayOf($fact);
        if ($fact === FactName::GrazedFrom && $situation->isGrazed() === false) {
            return [];
        }
        // hay that was cut is cut; stock that were let in are there, until somebody says that they were moved
        $there = $fact === FactName::GrazedFrom && $on !== null && $on <= $situation->day;
        if ($on === null || (!$there && $on < $situation->day)) {
            return [];
        }
        if ($days === null) {
            return [Finding::unknown($missing, 'rulings-J40', true)];
        }
        if ($there) {
            $back = $situation->day->modify("+{$days} days");

            return [
                $days > 0
                    ? Finding::notAllowed(
                        'graze.stock-on-it',
                        'rulings-J51',
                        ['since' => $on, 'days' => $days, 'back' => $back],
                        'change.move-stock',
                    )
                    : Finding::fits('graze.out-until-dry', 'rulings-J51', ['since' => $on], Certainty::Observed),
            ];
        }
        $left = Day::between($situation->day, $on);
        $values = ['days' => $days, 'left' => $left, 'on' => $on];

        return [
            $left < $days
                ? Finding::notAllowed("{$code}.too-soon", 'label-card', $values, "change.{$code}-later")
                : Finding::fits("{$code}.days-kept", 'label-card', $values, Certainty::Observed),
        ];
    }
}
