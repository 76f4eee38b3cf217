<?php

declare(strict_types=1);

namespace Thicket\Methods;

/** Every rule of the board, in the order their findings are shown within one outcome. */
final readonly class RuleSet
{
    /** @param list<Rule> $rules */
    public function __construct(public array $rules) {}

    public static function standard(): self
    {
        return new self([
            new Rules\NamedTarget(),
            new Rules\ListedPlant(),
            new Rules\OwnersStance(),
            new Rules\Untrained(),
            new Rules\People(),
            new Rules\CardLimits(),
            new Rules\LabelWords(),
            new Rules\WaterEdge(),
            new Rules\PlantForm(),
            new Rules\MadeFor(),
            new Rules\LetItBe(),
            new Rules\TrailingMat(),
            new Rules\AmongYoungTrees(),
            new Rules\KnockDownFirst(),
            new Rules\Germination(),
            new Rules\SecondLaying(),
            new Rules\SownNext(),
            new Rules\BareGround(),
            new Rules\OrchardFloor(),
            new Rules\AmongTrees(),
            new Rules\YoungBark(),
            new Rules\Tillage(),
            new Rules\StripWidth(),
            new Rules\FillsTheHole(),
            new Rules\StandsAbove(),
            new Rules\Steep(),
            new Rules\SoilTakesIt(),
            new Rules\Season(),
            new Rules\GreenLeaves(),
            new Rules\SapFlow(),
            new Rules\StemSize(),
            new Rules\DiameterPlace(),
            new Rules\Bark(),
            new Rules\HoneysuckleBark(),
            new Rules\StemSurface(),
            new Rules\StemsPerClump(),
            new Rules\FoliarHeight(),
            new Rules\LeafCondition(),
            new Rules\GrowthStage(),
            new Rules\OtherStage([new Rules\MadeFor(), new Rules\Season(), new Rules\GrowthStage(), new Rules\Flame()]),
            new Rules\WarmSoil(),
            new Rules\DayWeather(),
            new Rules\Droplets(),
            new Rules\Downwind(),
            new Rules\GrassHeight(),
            new Rules\NewNativeGrass(),
            new Rules\NewGrassSpray(),
            new Rules\StockAndHay(),
            new Rules\PoisonAndStock(),
            new Rules\Flame(),
            new Rules\Grazing(),
            new Rules\Fragments(),
            new Rules\HoldOfRoots(),
            new Rules\SeedInSoil(),
            new Rules\FirstFound(),
            new Rules\Nesting(),
            new Rules\Response(),
            new Rules\CardInterval(),
            new Rules\SameAgain(),
            new Rules\RootsOfKeepers(),
            new Rules\GrassOnCard(),
            new Rules\PlantsKept(),
            new Rules\Hazards(),
            new Rules\BeesAndFlowers(),
            new Rules\FoodTaken(),
            new Rules\StandingDead(),
            new Rules\SickBark(),
            new Rules\KeptParent(),
            new Rules\SharedRoots(),
            new Rules\GirdleAlone(),
            new Rules\MulchSchool(),
            new Rules\WorkingWay(),
            new Rules\Reach(),
            new Rules\Budget(),
        ]);
    }
}
