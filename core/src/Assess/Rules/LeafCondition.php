<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Assess\RestsOnSchool;
use Thicket\Calendar\Day;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Foliar spray wants whole, growing, dry leaves (handbook 2), not cut in the last eight weeks (rulings J12), wax
 * broken.
 */
final readonly class LeafCondition implements RestsOnSchool, ChangesWithSeason
{
    private const SOURCE = 'handbook-2-foliar-spot';
    private const REGROWTH_DAYS = 56;
    private const BARE = ['dormant', 'leaf-fall', 'dead', 'sap-rise'];

    public function school(Situation $situation, Option $option): string
    {
        return 'mow-first';
    }

    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->goesOn('leaf') || $situation->target === null) {
            return [];
        }
        $findings = [];
        foreach (
            [
                [FactName::Drought, 'leaf.drought', 'change.after-rain'],
                [FactName::LeafDamage, 'leaf.damaged', 'change.whole-leaves'],
                [FactName::FreshFlush, 'leaf.fresh-flush', 'change.hardened-leaves'],
            ]
            as [$fact, $code, $change]
        ) {
            if ($situation->isYes($fact) === true) {
                $findings[] = Finding::notNow($code, self::SOURCE, [], null, $change, Certainty::Observed);
            }
        }
        foreach ($this->notLookedAt($situation, $option) as $fact) {
            $findings[] = Finding::unknown($fact->value, self::SOURCE, false);
        }
        if ($situation->word(FactName::LeafWetness) === 'wet') {
            $findings[] = Finding::notNow('leaf.wet', self::SOURCE, [], null, 'change.leaves-dry', Certainty::Observed);
        }
        $mown = $situation->dayOf(FactName::LastMown);
        $wait = $option->schools->values('mow-first')->quantity('wait');
        $days = $wait === null ? self::REGROWTH_DAYS : $wait->in(Unit::Day)->toScale(0)->toInt();
        if (
            $mown !== null &&
            Day::between($mown, $situation->day) >= 0 &&
            Day::between($mown, $situation->day) < $days
        ) {
            $opens = $mown->modify("+{$days} days");
            $findings[] = Finding::notNow(
                'leaf.just-mown',
                'rulings-J12',
                ['mown' => $mown, 'opens' => $opens],
                $opens,
                'change.wait-till',
                Certainty::Observed,
            );
        }
        $stage = $situation->stage();
        $inShade =
            $situation->target->livesOnInShade() &&
            $stage !== null &&
            $stage[0] === 'dead' &&
            $stage[1] === Certainty::Estimated;
        if ($inShade) {
            // in shade it may live on through the warm months, whatever the calendar says
            $findings[] = match ($situation->isYes(FactName::Shade)) {
                true => Finding::fits('leaf.lives-in-shade', 'handbook-1', [], Certainty::Observed),
                false => Finding::withCare(
                    'leaf.perhaps-none',
                    'rulings-J43',
                    ['stage' => $stage[0]],
                    'change.look-at-stage',
                    $stage[1],
                ),
                null => Finding::unknown('shade', 'handbook-1', false),
            };
        } elseif ($stage !== null && in_array($stage[0], self::BARE, true)) {
            $findings[] =
                $stage[1] === Certainty::Estimated
                    ? Finding::withCare(
                        'leaf.perhaps-none',
                        'rulings-J43',
                        ['stage' => $stage[0]],
                        'change.look-at-stage',
                        $stage[1],
                    )
                    : Finding::notNow(
                        'leaf.none',
                        self::SOURCE,
                        ['stage' => $stage[0]],
                        null,
                        'change.green-leaves',
                        $stage[1],
                    );
        }
        if ($situation->target->hasWaxyLeaf() === true) {
            $findings[] = Finding::withCare(
                'leaf.waxy',
                self::SOURCE,
                [],
                'change.surfactant-or-bruise',
                Certainty::Typical,
            );
        }

        return $findings;
    }

    /** @return list<FactName> what nobody looked at: it is said, not passed in silence */
    private function notLookedAt(Situation $situation, Option $option): array
    {
        $wanted = [
            FactName::LeafWetness,
            FactName::LeafDamage,
            ...$situation->target?->isWoody() === true ? [FactName::FreshFlush] : [],
        ];

        return $option->isLeafSpray()
            ? array_values(array_filter($wanted, static fn(FactName $f): bool => $situation->fact($f) === null))
            : [];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        if (!$option->goesOn('leaf')) {
            return [];
        }
        $mown = $situation->dayOf(FactName::LastMown);
        $wait = $option->schools->values('mow-first')->quantity('wait');
        $days = $wait === null ? self::REGROWTH_DAYS : $wait->in(Unit::Day)->toScale(0)->toInt();

        return [
            ...$situation->phenology()?->turns($year) ?? [],
            ...$mown === null ? [] : [$mown, $mown->modify("+{$days} days")],
        ];
    }
}
