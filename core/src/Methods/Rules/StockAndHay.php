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

/** Days from spraying to grazing and hay, by the card; silence is no leave (rulings J40). Hay and manure may carry some actives on (J5). */
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
        if ($on === null || $on < $situation->day) {
            return [];
        }
        if ($days === null) {
            return [Finding::unknown($missing, 'rulings-J40', true)];
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
            $days = [...$days, ...($on === null ? [] : [$on->modify('+1 day'), $on->modify('-' . ($wait ?? 0) . ' days')->modify('+1 day')])];
        }

        return $days;
    }
}
