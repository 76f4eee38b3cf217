<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** Every rule of a mix, what stops it first. */
final readonly class MixRules
{
    /** @return list<MixRule> */
    public static function all(): array
    {
        return [
            new EveryCardAllowsTheUse(),
            new EveryCardAllowsTheMix(),
            new CarrierOnCard(),
            new FuelOilOnlyByCard(),
            new WaterBorneInOil(),
            new BarkWantsOil(),
            new OneOrTheOther(),
            new SurfactantOnce(),
            new ClearWater(),
            new TankMetal(),
            new SealsStandOil(),
            new VapourInHeat(),
            new AdditivesByWater(),
            new WaterInAfterRainfast(),
            new WateringDepth(),
            new LineOfTheCard(),
            new SeasonBeforeStrength(),
            new SlowKillReachesRoots(),
            new ContactWantsSmallWeeds(),
            new OilWantsEmulsifier(),
            new WaxyLeafWantsSurfactant(),
            new HardWater(),
            new WickStaysDripFree(),
            new LookInsideTheShield(),
            new OneActiveTwice(),
            new SmallAreaFirst(),
            new JarTest(),
            new DyeShowsWhere(),
        ];
    }

    /** @return list<Advisory> what blocks, then what asks, then what to mind */
    public static function judge(MixPlan $plan): array
    {
        $words = array_values(
            array_filter(array_map(static fn(MixRule $rule): ?Advisory => $rule->judge($plan), self::all())),
        );
        $order = [Advisory::BLOCKS, Advisory::ASKS, Advisory::CARE];
        usort(
            $words,
            static fn(Advisory $a, Advisory $b): int => array_search($a->level, $order, true) <=>
                array_search($b->level, $order, true),
        );

        return $words;
    }
}
