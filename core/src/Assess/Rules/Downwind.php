<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\Active;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\ProtectedFeature;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * What lies where a leaf spray would drift (rulings J9, J39, J53): an organic field, or beside a group 4 product a
 * sensitive broadleaf crop, within 400 m downwind shuts the row; with the wind not told the row names it and asks; what
 * is kept downwind nearer than 30 m is named.
 */
final readonly class Downwind implements Rule
{
    /** Bees fly so far (rulings J39). */
    public const HIVE_METRES = 800;
    /** Organic fields and sensitive crops are looked after so far (rulings J39). */
    public const CROP_METRES = 400;
    /** The widest ground that nobody enters while it is sprayed (rulings J9). */
    public const NEAR_METRES = 30;
    /** What is found where a neighbour could be reached and nobody tells the wind. */
    public const ASK_WIND = 'drift.ask-wind';

    public function evaluate(Situation $situation, Option $option): array
    {
        return self::under($situation->windFrom(), $situation, $option);
    }

    /**
     * @param float|null $wind degrees it blows from; null where nobody tells
     *
     * @return list<Finding>
     */
    public static function under(?float $wind, Situation $situation, Option $option): array
    {
        if (!$option->isLeafSpray() || $option->actives() === []) {
            return [];
        }
        $hormone = $option->anyActive(static fn(Active $a): bool => $a->group() === '4');
        $findings = [];
        foreach ($situation->keepers as $keeper) {
            $finding = $keeper->distance === null ? null : self::ofKeeper($keeper, $keeper->distance, $wind, $hormone);
            $finding === null || ($findings[] = $finding);
        }

        return $findings;
    }

    private static function ofKeeper(
        ProtectedFeature $keeper,
        Quantity $distance,
        ?float $wind,
        bool $hormone,
    ): ?Finding {
        $within = static fn(int $metres): bool => !$distance->isGreaterThan(Quantity::of($metres, Unit::Metre));
        $values = ['keeper' => $keeper->name, 'distance' => $distance];
        if ($keeper->kind === 'hive') {
            return $within(self::HIVE_METRES)
                ? Finding::withCare('drift.hive-near', 'rulings-J39', $values, 'change.tell-owner')
                : null;
        }
        $downwind = $wind === null ? null : $keeper->isDownwind($wind);
        $sensitive = $keeper->kind === 'organic' || ($keeper->kind === 'crop' && $hormone);
        if ($sensitive && $within(self::CROP_METRES)) {
            return match ($downwind) {
                true => Finding::notNow('drift.crop-downwind', 'rulings-J39', $values, null, 'change.wind-away'),
                false => null,
                // neither the wind nor where it lies is known
                null => Finding::withCare(self::ASK_WIND, 'rulings-J53', $values, 'change.tell-wind'),
            };
        }

        return $downwind === true && $within(self::NEAR_METRES)
            ? Finding::withCare('drift.keeper-downwind', 'handbook-5', $values, 'change.wind-away')
            : null;
    }
}
