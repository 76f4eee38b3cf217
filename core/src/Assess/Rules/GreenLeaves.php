<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Suckerers are treated through leaves that still carry (rulings J42): less than half green seen, limp or blackened
 * leaves, or a night of 28 F (-2.2 C) or colder shut it till leaves are seen sound again. Dead leaves that hang on are
 * no leaves.
 */
final readonly class GreenLeaves implements ChangesWithSeason
{
    private const SOURCE = 'rulings-J42';
    private const GREEN = ['more-than-half', 'about-half'];

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        $season = in_array($option->method->season(), ['basal', 'cut-stem', 'foliar'], true);
        if (
            $target?->isRootSuckering() !== true ||
            !$season ||
            !$option->method->usesProduct() ||
            !$option->method->isFor($target) ||
            $this->takesAnyTime($situation, $option)
        ) {
            return [];
        }
        $green = $situation->word(FactName::GreenLeaf);
        if ($situation->isYes(FactName::LeavesLimp) === true) {
            return [Finding::notNow('green.limp', self::SOURCE, [], null, 'change.sound-leaves', Certainty::Observed)];
        }
        if ($green !== null && !in_array($green, self::GREEN, true)) {
            return [
                Finding::notNow('green.too-little', self::SOURCE, [], null, 'change.next-summer', Certainty::Observed),
            ];
        }
        if ($option->isLeafSpray() && $green === 'about-half') {
            return [
                Finding::notNow(
                    'green.too-little-for-leaves',
                    self::SOURCE,
                    [],
                    null,
                    'change.stem-work',
                    Certainty::Observed,
                ),
            ];
        }
        $froze = $situation->dayOf(FactName::FreezeOn);
        $seenAt = $situation->fact(FactName::GreenLeaf)?->at;
        $growing = $situation->phenology()?->local('07-01', (int) $situation->day->format('Y'));
        if (
            $froze !== null &&
            $froze <= $situation->day &&
            $growing !== null &&
            $froze >= $growing &&
            ($seenAt === null || $seenAt->setTime(0, 0) <= $froze)
        ) {
            return [
                Finding::notNow(
                    'green.after-frost',
                    self::SOURCE,
                    ['on' => $froze],
                    null,
                    'change.sound-leaves',
                    Certainty::Observed,
                ),
            ];
        }

        return [];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        return array_filter([$situation->dayOf(FactName::FreezeOn)]);
    }

    /** The school that treats beech at any time asks no leaves of the bark (handbook 8). */
    private function takesAnyTime(Situation $situation, Option $option): bool
    {
        return $option->goesOn('bark') &&
            $situation->target?->mayCutFirst() === true &&
            $option->schools->choice('basal-suckerer-season') === 'beech-any-time';
    }
}
