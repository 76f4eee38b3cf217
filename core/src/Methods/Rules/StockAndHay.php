<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Situation;
use Thicket\Methods\TurnsWithTheYear;
use Thicket\Timing\Day;

/** Days from spraying to grazing and hay, by the card; silence is no leave (rulings J40), nor are stock that are there already (J51). Hay and manure may carry some actives on (J5). */
final readonly class StockAndHay implements TurnsWithTheYear
{
    private const CARRIED = ['aminopyralid', 'clopyralid', 'picloram'];
    private const SETTINGS = ['pasture', 'new-native-grass'];

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if (!$candidate->method->usesProduct()) {
            return [];
        }
        $findings = [
            ...$this->until($situation, $candidate, FactName::GrazedFrom, $candidate->card?->grazingDays, 'graze', 'card-grazing-days'),
            ...$this->until($situation, $candidate, FactName::HayOn, $candidate->card?->hayDays, 'hay', 'card-hay-days'),
        ];
        $grazed = in_array($situation->word(FactName::Setting), self::SETTINGS, true) || array_filter($situation->keepers, static fn ($k): bool => $k->kind === 'stock') !== [];
        if ($candidate->active !== null && in_array($candidate->active->id(), self::CARRIED, true)) {
            $findings[] = Finding::withCare('carry.hay-and-manure', 'rulings-J5', ['active' => $candidate->active->name()]);
        }
        // a card may ask for days, or be silent: either way somebody has to say when stock come back
        if ($grazed && $candidate->card !== null && $situation->dayOf(FactName::GrazedFrom) === null) {
            $findings[] = Finding::unknown('grazed-from', 'rulings-J40', false);
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function until(Situation $situation, Candidate $candidate, FactName $fact, ?int $days, string $code, string $missing): array
    {
        $on = $situation->dayOf($fact);
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

            return [$days > 0
                ? Finding::notAllowed('graze.stock-on-it', 'rulings-J51', ['since' => $on, 'days' => $days, 'back' => $back], 'change.move-stock')
                : Finding::fits('graze.out-until-dry', 'rulings-J51', ['since' => $on], Certainty::Observed)];
        }
        $left = Day::between($situation->day, $on);
        $values = ['days' => $days, 'left' => $left, 'on' => $on];

        return [$left < $days
            ? Finding::notAllowed("{$code}.too-soon", 'label-card', $values, "change.{$code}-later")
            : Finding::fits("{$code}.days-kept", 'label-card', $values, Certainty::Observed)];
    }

    public function turns(Situation $situation, Candidate $candidate, int $year): array
    {
        $days = [];
        foreach ([[FactName::GrazedFrom, $candidate->card?->grazingDays], [FactName::HayOn, $candidate->card?->hayDays]] as [$fact, $wait]) {
            $on = $situation->dayOf($fact);
            $days = [...$days, ...($on === null ? [] : [$on, $on->modify('+1 day'), $on->modify('-' . ($wait ?? 0) . ' days')->modify('+1 day')])];
        }

        return $days;
    }
}
