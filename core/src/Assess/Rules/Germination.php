<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Calendar\Day;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\Species;
use Thicket\Label\LabelCard;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * A preventer goes on clean ground before the seed sprouts, so that it works when a flush begins, or during the flush
 * before seedlings show (handbook 4 back-scheduling, rulings J48). Lead, lasting time and whether one counts inside the
 * other are the card's; without them nobody can tell.
 */
final readonly class Germination implements ChangesWithSeason
{
    private const SOURCE = 'handbook-4-pre-emergent';
    private const UP = [
        'cotyledon',
        'seedling',
        'vegetative',
        'tillering',
        'shoot-emergence',
        'rosette',
        'bolting',
        'bud',
        'boot',
        'heading',
        'flower',
        'full-flower',
        'seed',
        'seed-set',
        'autumn-regrowth',
        'growing',
    ];

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if (!$option->goesOn('soil') || $target === null || !$option->method->isFor($target)) {
            return [];
        }

        return [...$this->onTheGround($situation), ...$this->dates($situation, $option, $target)];
    }

    /** @return list<Finding> what is up already, or kept, on the ground it would be laid on */
    private function onTheGround(Situation $situation): array
    {
        $findings = [];
        $stage = $situation->stageSeen();
        $up = $situation->isYes(FactName::WeedsUp);
        if ($up === true || ($up === null && in_array($stage, self::UP, true))) {
            $findings[] = Finding::doesNotSuit(
                'sprout.already-up',
                self::SOURCE,
                [],
                'change.after-they-are-up',
                Certainty::Observed,
            );
        } elseif ($up === null) {
            $findings[] = Finding::unknown('weeds-up', self::SOURCE, false);
        }
        if ($situation->isYes(FactName::SelfSownKept) === true) {
            $findings[] = Finding::doesNotSuit(
                'sprout.self-sown-kept',
                'handbook-2',
                [],
                'change.leave-that-part',
                Certainty::Observed,
            );
        }
        if ($situation->fact(FactName::SoilTexture) === null) {
            $findings[] = Finding::unknown('soil-texture', 'handbook-3', false);
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function dates(Situation $situation, Option $option, Species $target): array
    {
        $anyTime = $target->germinations() === null;
        if ($target->germinations() === []) {
            return [
                $target->isPerennial()
                    ? Finding::doesNotSuit(
                        'sprout.root-lives',
                        'rulings-J48',
                        [],
                        'change.after-they-are-up',
                        Certainty::Typical,
                    )
                    : Finding::unknown('germination', self::SOURCE, true),
            ];
        }
        $findings = $target->isPerennial()
            ? [Finding::withCare('sprout.seedlings-only', 'rulings-J48', [], null, Certainty::Typical)]
            : [];
        $lead = $option->card?->intervals->leadDays;
        $lasting = $option->card?->intervals->lastingDays;
        if ($lead === null || $lasting === null) {
            return [...$findings, Finding::unknown('card-lead', 'handbook-8', true)];
        }
        if ($anyTime) {
            return [
                ...$findings,
                Finding::withCare('sprout.any-time', 'rulings-J48', ['days' => $lasting], null, Certainty::Typical),
            ];
        }
        $inside = $option->card?->details->answers['leadInsideLasting'] ?? null;
        $inside === null && ($findings[] = Finding::unknown('card-lead-inside', 'handbook-3', false));

        return [
            ...$findings,
            ...$this->flush($situation, $option, $lead, $this->covers($option->card, $lead, $lasting)),
        ];
    }

    /** @return list<Finding> */
    private function flush(Situation $situation, Option $option, int $lead, int $covers): array
    {
        $autumn = $this->autumn($situation, $option);
        if ($autumn !== null) {
            return [$autumn];
        }
        foreach ($situation->phenology()?->flushes(Day::year($situation->day)) ?? [] as $flush) {
            $last = $flush['from']->modify("-{$lead} days");
            $first = $flush['from']->modify("-{$covers} days");
            $still = $flush['to']->modify("-{$lead} days");
            if ($situation->day > $still) {
                continue;
            }
            $values = ['from' => $first, 'to' => $last, 'sprout' => $flush['from'], 'end' => $flush['to']];
            if ($situation->day < $first) {
                return [
                    Finding::notNow(
                        'sprout.too-early',
                        'label-card',
                        $values + ['opens' => $first],
                        $first,
                        'change.wait-till',
                        Certainty::Estimated,
                    ),
                ];
            }
            $until = $situation->day->modify("+{$covers} days");
            $repeat =
                $until < $flush['to']
                    ? [
                        Finding::fits(
                            'sprout.repeat-by',
                            'rulings-J48',
                            ['by' => $until->modify("-{$lead} days"), 'end' => $flush['to']],
                            Certainty::Estimated,
                        ),
                    ]
                    : [];

            return $situation->day <= $last
                ? [Finding::fits('sprout.in-time', 'label-card', $values, Certainty::Estimated), ...$repeat]
                : [
                    Finding::withCare(
                        'sprout.during',
                        'rulings-J48',
                        $values + ['works' => $situation->day->modify("+{$lead} days")],
                        'change.before-seedlings',
                        Certainty::Estimated,
                    ),
                    ...$repeat,
                ];
        }

        return [Finding::unknown('germination', self::SOURCE, true)];
    }

    /** Laid before frost for next spring, where the crew holds with it and the card allows it (rulings J48). */
    private function autumn(Situation $situation, Option $option): ?Finding
    {
        if (
            $option->schools->choice('preventer-season') !== 'autumn-before-frost' ||
            ($option->card?->details->answers['autumnLaying'] ?? false) !== true
        ) {
            return null;
        }
        $year = Day::year($situation->day);
        $from = $situation->phenology()?->local('10-01', $year);
        $to = $situation->phenology()?->local('11-15', $year);

        return $from !== null && $to !== null && $situation->day >= $from && $situation->day <= $to
            ? Finding::withCare('sprout.before-frost', 'rulings-J48', ['to' => $to], null, Certainty::Estimated)
            : null;
    }

    /** Days from laying that it works to; where the card does not say, the lead is taken to count inside. */
    private function covers(?LabelCard $card, int $lead, int $lasting): int
    {
        return $card?->details->answers['leadInsideLasting'] ?? true ? $lasting : $lead + $lasting;
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        if (!$option->goesOn('soil') || $situation->target === null) {
            return [];
        }
        $lead = $option->card->intervals->leadDays ?? 0;
        $covers = $this->covers($option->card, $lead, $option->card->intervals->lastingDays ?? 0);
        $days = array_filter([
            $situation->phenology()?->local('10-01', $year),
            $situation->phenology()?->local('11-16', $year),
        ]);
        foreach ($situation->phenology()?->flushes($year) ?? [] as $flush) {
            $days = [
                ...$days,
                $flush['from']->modify("-{$covers} days"),
                $flush['from']->modify("-{$lead} days")->modify('+1 day'),
                $flush['to']->modify("-{$lead} days")->modify('+1 day'),
                $flush['to']->modify("-{$covers} days"),
            ];
        }

        return array_values($days);
    }
}
