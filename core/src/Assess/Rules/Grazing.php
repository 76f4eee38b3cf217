<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Calendar\Day;
use Thicket\Label\LabelCard;
use Thicket\Situation\Option;
use Thicket\Situation\PastWork;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Stock as helpers: never on what poisons them (rulings J4), nor before the days of what was sprayed here are over (J5,
 * J40).
 */
final readonly class Grazing implements ChangesWithSeason
{
    private const TOXIC = ['poisonous', 'toxic-to-stock', 'toxic-when-wilted', 'nitrate-former', 'cyanide-former'];
    /** Carried-over traces harm beds for so long (rulings J5). */
    private const CARRIED_MONTHS = 18;
    /**
     * A spray older than this asks no card any more (our guess; the longest days on a card of the catalogue's kind).
     */
    private const ASKED_DAYS = 365;

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if ($option->method->work() !== 'animals' || $target === null) {
            return [];
        }
        $findings = [
            Finding::withCare($target->isWoody() ? 'graze.seedlings-only' : 'graze.check-first', 'handbook-2'),
        ];
        if ($target->hasHazard(...self::TOXIC)) {
            $findings[] = Finding::doesNotSuit('graze.toxic', 'rulings-J4', [], 'change.other-helpers');
        }
        foreach ($situation->history as $past) {
            $findings = [...$findings, ...$this->after($past, $situation, $option)];
        }

        return $findings;
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $turns = [];
        foreach ($option->method->work() === 'animals' ? $situation->history : [] as $past) {
            $days = $past->active === null ? null : $this->days($option, $past->active);
            $turns = [
                ...$turns,
                ...$days === null ? [] : [$past->on->modify("+{$days} days")],
                Day::plusMonths($past->on, self::CARRIED_MONTHS),
            ];
        }

        return $turns;
    }

    /** @return list<Finding> what one earlier spray asks of the stock that would graze now */
    private function after(PastWork $past, Situation $situation, Option $option): array
    {
        if ($past->active === null || $past->on > $situation->day) {
            return [];
        }
        $active = $option->catalogue->active($past->active);
        $values = ['active' => $active->name(), 'on' => $past->on];
        $findings = [];
        $days = $this->days($option, $past->active);
        if ($days === null && $past->on->modify('+' . self::ASKED_DAYS . ' days') > $situation->day) {
            $findings[] = Finding::unknown('card-grazing-days', 'rulings-J40', true, $values);
        }
        if ($days !== null && $situation->day < $past->on->modify("+{$days} days")) {
            $until = $past->on->modify("+{$days} days");
            $findings[] = Finding::notAllowed(
                'graze.card-days-run',
                'label-card',
                ['active' => $active->name(), 'on' => $past->on, 'days' => $days, 'until' => $until],
                'change.graze-after-days',
            );
        }
        if ($active->carriesOver() && Day::plusMonths($past->on, self::CARRIED_MONTHS) > $situation->day) {
            $findings[] = Finding::withCare('graze.carried-over', 'rulings-J5', $values, null, Certainty::Observed);
        }

        return $findings;
    }

    /** Grazing days of the cards that hold it, the most; null where no card of the Shed says. */
    private function days(Option $option, string $active): ?int
    {
        $days = array_filter(
            array_map(
                static fn(LabelCard $c): ?int => $c->holds($active) ? $c->intervals->grazingDays : null,
                $option->shed->cards,
            ),
            is_int(...),
        );

        return $days === [] ? null : max($days);
    }
}
