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
 * Stock and hay beside poisonous plants, whatever is done to them (rulings J4, J51), independent of the label's days:
 * out for 21 days and till nothing stands green; plants that stay poisonous when dry till the debris is gone, and no
 * hay from there.
 */
final readonly class PoisonAndStock implements ChangesWithSeason
{
    private const POISONS = ['toxic-to-stock', 'toxic-when-wilted', 'nitrate-former', 'cyanide-former', 'poisonous'];
    private const DAYS = 21;
    private const SOURCE = 'rulings-J51';

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        // what is laid against seed or left to stock touches no standing plant; grazing has its own rule
        if (
            $target === null ||
            !$target->hasHazard(...self::POISONS) ||
            $option->goesOn('soil') ||
            in_array($option->method->how(), ['graze', 'sow', 'guard', 'look'], true)
        ) {
            return [];
        }
        $gone = $situation->isYes(FactName::DebrisGone) === true;
        $dry = $target->hasHazard('poisonous-when-dry');
        $findings = [];
        $hay = $situation->dayOf(FactName::HayOn);
        if ($hay !== null && $hay >= $situation->day && !$gone) {
            $findings[] = Finding::notAllowed(
                $dry ? 'poison.no-hay-ever' : 'poison.no-hay',
                self::SOURCE,
                ['on' => $hay],
                'change.carry-debris-off',
            );
        }
        if ($situation->isGrazed() !== true) {
            return $findings;
        }
        $from = $situation->dayOf(FactName::GrazedFrom);
        $back = $situation->day->modify('+' . self::DAYS . ' days');
        $findings[] = match (true) {
            $from !== null && $from <= $situation->day => Finding::notAllowed(
                $dry ? 'poison.move-stock-dry' : 'poison.move-stock',
                self::SOURCE,
                ['since' => $from, 'back' => $back],
                'change.move-stock-first',
            ),
            $dry && !$gone => Finding::withCare(
                'poison.out-till-gone',
                self::SOURCE,
                [],
                'change.carry-debris-off',
                Certainty::Typical,
            ),
            $from !== null && $from < $back => Finding::notAllowed(
                'poison.back-too-soon',
                self::SOURCE,
                ['from' => $from, 'back' => $back, 'days' => self::DAYS],
                'change.graze-after',
            ),
            default => Finding::withCare(
                'poison.stock-out',
                self::SOURCE,
                ['days' => self::DAYS, 'back' => $back],
                null,
                Certainty::Typical,
            ),
        };
        if ($option->goesOn('leaf')) {
            $findings[] = Finding::withCare('poison.eaten-more', self::SOURCE, [], null, Certainty::Typical);
        }

        return $findings;
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $from = $situation->dayOf(FactName::GrazedFrom);
        $hay = $situation->dayOf(FactName::HayOn);

        return [
            ...$from === null ? [] : [$from, $from->modify('-' . self::DAYS . ' days')->modify('+1 day')],
            ...$hay === null ? [] : [$hay->modify('+1 day')],
        ];
    }
}
