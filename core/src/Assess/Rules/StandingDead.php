<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Situation\TallStems;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * A tree killed where it stands falls one day (rulings J57): from 4 in (10 cm) or 16 ft (5 m), within two heights of
 * where people or stock are, not allowed unless felling or fencing it is a step of the plan; elsewhere, and smaller
 * stems, with care.
 */
final readonly class StandingDead implements Rule
{
    private const WHERE_PEOPLE_ARE = ['path', 'building', 'stock'];
    /** What a dead tree on its feet still stands in the way of (handbook 6: the purpose decides). */
    private const IN_THE_WAY = ['access', 'fire'];
    private const SOURCE = 'rulings-J57';

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if (
            $target === null ||
            !in_array($target->habit(), ['tree', 'shrub'], true) ||
            !$option->method->isFor($target)
        ) {
            return [];
        }
        if (!$option->leavesStanding()) {
            return $this->takenDown($situation, $option);
        }
        $purpose = $situation->word(FactName::RemovalFor);
        $against = in_array($purpose, self::IN_THE_WAY, true)
            ? [Finding::withCare("purpose.stays-standing-{$purpose}", 'handbook-6', [], 'change.take-down')]
            : [];

        return [...$this->standing($situation, $option), ...$against];
    }

    /**
     * @return list<Finding> dead trees are wanted, and this takes them down (handbook 2: good snags are habitat away
     * from paths)
     */
    private function takenDown(Situation $situation, Option $option): array
    {
        $fells = $option->method->work() === 'machine' || $option->how('cut');

        return $fells && $situation->isYes(FactName::KeptAsSnags) === true && TallStems::thick($situation->stems) !== []
            ? [
                Finding::withCare(
                    'dead.snags-wanted',
                    'handbook-2-girdle-spray',
                    [],
                    'change.girdle-snags',
                    Certainty::Observed,
                ),
            ]
            : [];
    }

    /** @return list<Finding> */
    private function standing(Situation $situation, Option $option): array
    {
        $height = TallStems::height($situation);
        if (TallStems::thick($situation->stems) === [] && !TallStems::areTall($height)) {
            return $option->goesOn('leaf') || $situation->stems === []
                ? []
                : [Finding::withCare('dead.stands', self::SOURCE)];
        }
        $reach = TallStems::reach($situation);
        foreach ($situation->keepers as $keeper) {
            if (
                !in_array($keeper->kind, self::WHERE_PEOPLE_ARE, true) ||
                ($reach !== null && $keeper->distance !== null && $keeper->distance->isGreaterThan($reach))
            ) {
                continue;
            }
            $values =
                ['keeper' => $keeper->name] +
                ($keeper->distance === null ? [] : ['distance' => $keeper->distance]) +
                ($reach === null ? [] : ['reach' => $reach]);
            if ($situation->isYes(FactName::FellingPlanned) === true) {
                return [Finding::withCare('dead.felled-in-time', self::SOURCE, $values)];
            }

            return [
                match (true) {
                    $keeper->distance === null => Finding::unknown('keeper-distance', self::SOURCE, true, [
                        'keeper' => $keeper->name,
                    ]),
                    // the tallest of its kind reaches it, this one perhaps not
                    $height === null => Finding::unknown('height', self::SOURCE, true, ['keeper' => $keeper->name]),
                    default => Finding::notAllowed('dead.near-people', self::SOURCE, $values, 'change.plan-felling'),
                },
            ];
        }
        if ($situation->isYes(FactName::PublicWay) === true && $situation->isYes(FactName::FellingPlanned) !== true) {
            return [Finding::notAllowed('dead.public-way', self::SOURCE, [], 'change.plan-felling')];
        }

        return [
            Finding::withCare(
                $situation->isYes(FactName::KeptAsSnags) === true ? 'dead.kept-as-snags' : 'dead.stands',
                self::SOURCE,
            ),
        ];
    }
}
