<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Sprays over open flowers that insects visit, the target's or those on the ground, seen or estimated (rulings J39,
 * J53): hives within 800 m shut it till the flowers are over or clipped off; hives unknown, cannot tell; none, with
 * care while no bees fly.
 */
final readonly class BeesAndFlowers implements ChangesWithSeason
{
    private const IN_FLOWER = ['flower', 'full-flower'];
    private const SOURCE = 'rulings-J53';
    /** What is found where only the hour decides. */
    public const NOT_WHILE_THEY_FLY = 'bees.not-while-they-fly';

    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->isLeafSpray()) {
            return [];
        }
        if ($situation->isYes(FactName::BeesFlying) === true) {
            return [
                Finding::notNow('bees.in-flower', 'rulings-J39', [], null, 'change.bloom-over', Certainty::Observed),
            ];
        }
        $rests = $this->flowers($situation);
        if ($rests === null) {
            return [];
        }
        foreach ($situation->keepers as $keeper) {
            if (
                $keeper->kind === 'hive' &&
                ($keeper->distance === null ||
                    !$keeper->distance->isGreaterThan(Quantity::of(Downwind::HIVE_METRES, Unit::Metre)))
            ) {
                return [
                    Finding::notNow(
                        'bees.hives-near',
                        self::SOURCE,
                        ['keeper' => $keeper->name],
                        $this->over($situation),
                        'change.bloom-over',
                        $rests,
                    ),
                ];
            }
        }

        return [
            match ($situation->isYes(FactName::HivesNear)) {
                true => Finding::notNow(
                    'bees.hives-told',
                    self::SOURCE,
                    [],
                    $this->over($situation),
                    'change.bloom-over',
                    $rests,
                ),
                false => Finding::withCare(self::NOT_WHILE_THEY_FLY, self::SOURCE, [], null, $rests),
                null => Finding::unknown('hives-near', self::SOURCE, true),
            },
        ];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $visited = $option->isLeafSpray() && $situation->target?->isVisitedByInsects() === true;

        return $visited ? $situation->phenology()?->flowerTurns($year) ?? [] : [];
    }

    /** How it is known that flowers are open; null where none are, or none that insects visit. */
    private function flowers(Situation $situation): ?Certainty
    {
        if ($situation->isYes(FactName::FlowersAround) === true) {
            return Certainty::Observed;
        }
        if ($situation->target?->isVisitedByInsects() !== true) {
            return null;
        }
        $seen = $situation->stageSeen();
        if ($seen !== null) {
            return in_array($seen, self::IN_FLOWER, true) ? Certainty::Observed : null;
        }

        return $situation->phenology()?->mayFlowerOn($situation->day) === true ? Certainty::Estimated : null;
    }

    private function over(Situation $situation): ?\DateTimeImmutable
    {
        return $situation->phenology()?->flowersOverAfter($situation->day);
    }
}
