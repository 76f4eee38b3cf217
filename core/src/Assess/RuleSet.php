<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Thicket\Assess\Rules\AmongTrees;
use Thicket\Assess\Rules\AmongYoungTrees;
use Thicket\Assess\Rules\BareGround;
use Thicket\Assess\Rules\Bark;
use Thicket\Assess\Rules\BeesAndFlowers;
use Thicket\Assess\Rules\Budget;
use Thicket\Assess\Rules\CardInterval;
use Thicket\Assess\Rules\CardLimits;
use Thicket\Assess\Rules\DayWeather;
use Thicket\Assess\Rules\DiameterPlace;
use Thicket\Assess\Rules\Downwind;
use Thicket\Assess\Rules\Droplets;
use Thicket\Assess\Rules\FillsTheHole;
use Thicket\Assess\Rules\FirstFound;
use Thicket\Assess\Rules\Flame;
use Thicket\Assess\Rules\FoliarHeight;
use Thicket\Assess\Rules\FoodTaken;
use Thicket\Assess\Rules\Fragments;
use Thicket\Assess\Rules\Germination;
use Thicket\Assess\Rules\GirdleAlone;
use Thicket\Assess\Rules\GrassHeight;
use Thicket\Assess\Rules\GrassOnCard;
use Thicket\Assess\Rules\Grazing;
use Thicket\Assess\Rules\GreenLeaves;
use Thicket\Assess\Rules\GrowthStage;
use Thicket\Assess\Rules\Hazards;
use Thicket\Assess\Rules\HoldOfRoots;
use Thicket\Assess\Rules\HoneysuckleBark;
use Thicket\Assess\Rules\KeptParent;
use Thicket\Assess\Rules\KnockDownFirst;
use Thicket\Assess\Rules\LabelWords;
use Thicket\Assess\Rules\LeafCondition;
use Thicket\Assess\Rules\LetItBe;
use Thicket\Assess\Rules\ListedPlant;
use Thicket\Assess\Rules\MadeFor;
use Thicket\Assess\Rules\MulchSchool;
use Thicket\Assess\Rules\NamedTarget;
use Thicket\Assess\Rules\Nesting;
use Thicket\Assess\Rules\NewGrassSpray;
use Thicket\Assess\Rules\NewNativeGrass;
use Thicket\Assess\Rules\OrchardFloor;
use Thicket\Assess\Rules\OtherStage;
use Thicket\Assess\Rules\OwnersStance;
use Thicket\Assess\Rules\People;
use Thicket\Assess\Rules\PlantForm;
use Thicket\Assess\Rules\PlantsKept;
use Thicket\Assess\Rules\PoisonAndStock;
use Thicket\Assess\Rules\Reach;
use Thicket\Assess\Rules\Response;
use Thicket\Assess\Rules\RootsOfKeepers;
use Thicket\Assess\Rules\SameAgain;
use Thicket\Assess\Rules\SapFlow;
use Thicket\Assess\Rules\Season;
use Thicket\Assess\Rules\SecondLaying;
use Thicket\Assess\Rules\SeedInSoil;
use Thicket\Assess\Rules\SharedRoots;
use Thicket\Assess\Rules\SickBark;
use Thicket\Assess\Rules\SoilTakesIt;
use Thicket\Assess\Rules\SownNext;
use Thicket\Assess\Rules\StandingDead;
use Thicket\Assess\Rules\StandsAbove;
use Thicket\Assess\Rules\Steep;
use Thicket\Assess\Rules\StemSize;
use Thicket\Assess\Rules\StemsPerClump;
use Thicket\Assess\Rules\StemSurface;
use Thicket\Assess\Rules\StockAndHay;
use Thicket\Assess\Rules\StripWidth;
use Thicket\Assess\Rules\Tillage;
use Thicket\Assess\Rules\TrailingMat;
use Thicket\Assess\Rules\Untrained;
use Thicket\Assess\Rules\WarmSoil;
use Thicket\Assess\Rules\WaterEdge;
use Thicket\Assess\Rules\WorkingWay;
use Thicket\Assess\Rules\YoungBark;

/** Every rule of the board, in the order their findings are shown within one outcome. */
final readonly class RuleSet
{
    /** @param list<Rule> $rules */
    public function __construct(public array $rules) {}

    public static function standard(): self
    {
        return new self([
            new NamedTarget(),
            new ListedPlant(),
            new OwnersStance(),
            new Untrained(),
            new People(),
            new CardLimits(),
            new LabelWords(),
            new WaterEdge(),
            new PlantForm(),
            new MadeFor(),
            new LetItBe(),
            new TrailingMat(),
            new AmongYoungTrees(),
            new KnockDownFirst(),
            new Germination(),
            new SecondLaying(),
            new SownNext(),
            new BareGround(),
            new OrchardFloor(),
            new AmongTrees(),
            new YoungBark(),
            new Tillage(),
            new StripWidth(),
            new FillsTheHole(),
            new StandsAbove(),
            new Steep(),
            new SoilTakesIt(),
            new Season(),
            new GreenLeaves(),
            new SapFlow(),
            new StemSize(),
            new DiameterPlace(),
            new Bark(),
            new HoneysuckleBark(),
            new StemSurface(),
            new StemsPerClump(),
            new FoliarHeight(),
            new LeafCondition(),
            new GrowthStage(),
            new OtherStage([new MadeFor(), new Season(), new GrowthStage(), new Flame()]),
            new WarmSoil(),
            new DayWeather(),
            new Droplets(),
            new Downwind(),
            new GrassHeight(),
            new NewNativeGrass(),
            new NewGrassSpray(),
            new StockAndHay(),
            new PoisonAndStock(),
            new Flame(),
            new Grazing(),
            new Fragments(),
            new HoldOfRoots(),
            new SeedInSoil(),
            new FirstFound(),
            new Nesting(),
            new Response(),
            new CardInterval(),
            new SameAgain(),
            new RootsOfKeepers(),
            new GrassOnCard(),
            new PlantsKept(),
            new Hazards(),
            new BeesAndFlowers(),
            new FoodTaken(),
            new StandingDead(),
            new SickBark(),
            new KeptParent(),
            new SharedRoots(),
            new GirdleAlone(),
            new MulchSchool(),
            new WorkingWay(),
            new Reach(),
            new Budget(),
        ]);
    }
}
