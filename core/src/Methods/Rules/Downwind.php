<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Methods\Candidate;
use Thicket\Methods\Finding;
use Thicket\Methods\Keeper;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/**
 * What lies where a leaf spray would drift (rulings J9, J39, handbook 5): a hive within 800 m is told of; a group 4 product waits while
 * a broadleaf crop lies downwind within 400 m; anything kept downwind nearer than the exclusion distance is named.
 */
final readonly class Downwind implements Rule
{
    private const HIVE_METRES = 800;
    private const CROP_METRES = 400;
    private const NEAR_METRES = 30;

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if (!$candidate->isLeafSpray() || $candidate->active === null) {
            return [];
        }
        $wind = $situation->windFrom();
        $findings = [];
        foreach ($situation->keepers as $keeper) {
            $finding = $keeper->distance === null ? null : $this->ofKeeper($keeper, $keeper->distance, $wind, $candidate->active->group() === '4');
            $finding === null || $findings[] = $finding;
        }

        return $findings;
    }

    private function ofKeeper(Keeper $keeper, Quantity $distance, ?float $wind, bool $hormone): ?Finding
    {
        $within = static fn (int $metres): bool => !$distance->isGreaterThan(Quantity::of($metres, Unit::Metre));
        $values = ['keeper' => $keeper->name, 'distance' => $distance];
        if ($keeper->kind === 'hive') {
            return $within(self::HIVE_METRES) ? Finding::withCare('drift.hive-near', 'rulings-J39', $values, 'change.tell-owner') : null;
        }
        $downwind = $wind === null ? null : $keeper->isDownwind($wind);
        if ($keeper->kind === 'crop' && $hormone && $downwind === true && $within(self::CROP_METRES)) {
            return Finding::notNow('drift.crop-downwind', 'rulings-J39', $values, null, 'change.wind-away');
        }

        return $downwind === true && $within(self::NEAR_METRES) ? Finding::withCare('drift.keeper-downwind', 'handbook-5', $values, 'change.wind-away') : null;
    }
}
