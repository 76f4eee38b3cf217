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

/**
 * A preventer goes on clean ground before the seed sprouts: no later than the expected germination less the days it needs to work, no
 * earlier than still covers the flush (handbook 4 back-scheduling). Lead and lasting time are the card's; without them nobody can tell
 * (handbook 8 preventer-lead).
 */
final readonly class Germination implements TurnsWithTheYear
{
    private const SOURCE = 'handbook-4-pre-emergent';

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $target = $situation->target;
        if (!$candidate->goesOn('soil') || $target === null || !$candidate->method->isFor($target)) {
            return [];
        }
        $findings = [];
        if ($situation->isYes(FactName::WeedsUp) === true) {
            $findings[] = Finding::doesNotSuit('sprout.already-up', self::SOURCE, [], 'change.after-they-are-up', Certainty::Observed);
        }
        if ($situation->isYes(FactName::SelfSownKept) === true) {
            $findings[] = Finding::doesNotSuit('sprout.self-sown-kept', 'handbook-2', [], 'change.leave-that-part', Certainty::Observed);
        }
        $sown = $situation->dayOf(FactName::SownNext);
        if ($sown !== null && $sown >= $situation->day) {
            $findings[] = Finding::doesNotSuit('sprout.sown-next', 'handbook-2', ['sown' => $sown], 'change.leave-that-part', Certainty::Observed);
        }
        if ($situation->fact(FactName::SoilTexture) === null) {
            $findings[] = Finding::unknown('soil-texture', 'handbook-3', false);
        }

        return [...$findings, ...$this->dates($situation, $candidate)];
    }

    /** @return list<Finding> */
    private function dates(Situation $situation, Candidate $candidate): array
    {
        $lead = $candidate->card?->leadDays;
        $lasting = $candidate->card?->lastingDays;
        $sprout = $this->nextGermination($situation);
        if ($sprout === null) {
            return [Finding::unknown('germination', self::SOURCE, true)];
        }
        if ($lead === null || $lasting === null) {
            return [Finding::unknown('card-lead', 'handbook-8', true)];
        }
        $last = $sprout->modify("-{$lead} days");
        $first = $sprout->modify("-{$lasting} days");
        $values = ['from' => $first, 'to' => $last, 'sprout' => $sprout];
        if ($situation->day > $last) {
            return [Finding::doesNotSuit('sprout.too-late', 'label-card', $values, 'change.after-they-are-up', Certainty::Estimated)];
        }

        return [$situation->day < $first
            ? Finding::notNow('sprout.too-early', 'label-card', $values + ['opens' => $first], $first, 'change.wait-till', Certainty::Estimated)
            : Finding::fits('sprout.in-time', 'label-card', $values, Certainty::Estimated)];
    }

    /** Of this season: a germination of up to two months ago is the one that was missed. */
    private function nextGermination(Situation $situation): ?\DateTimeImmutable
    {
        $year = Day::year($situation->day);
        foreach ([$year - 1, $year, $year + 1] as $of) {
            $day = $situation->phenology()?->dayOf('germination', $of);
            if ($day !== null && $day >= $situation->day->modify('-60 days')) {
                return $day;
            }
        }

        return null;
    }

    public function turns(Situation $situation, Candidate $candidate, int $year): array
    {
        if (!$candidate->goesOn('soil')) {
            return [];
        }
        $lead = $candidate->card->leadDays ?? 0;
        $lasting = $candidate->card->lastingDays ?? 0;
        $days = [];
        foreach ([$year - 1, $year, $year + 1] as $of) {
            $sprout = $situation->phenology()?->dayOf('germination', $of);
            // after two months it is next year's seed that is spoken of
            $days = [...$days, ...($sprout === null ? [] : [$sprout->modify("-{$lasting} days"), $sprout->modify("-{$lead} days")->modify('+1 day'), $sprout->modify('+61 days')])];
        }
        $sown = $situation->dayOf(FactName::SownNext);

        return [...$days, ...($sown === null ? [] : [$sown->modify('+1 day')])];
    }
}
