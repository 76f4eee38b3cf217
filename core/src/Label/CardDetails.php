<?php

declare(strict_types=1);

namespace Thicket\Label;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * The further particulars of a label card (handbook 3), as printed: what people read on the sheet, and a few numbers
 * that sums use.
 */
final readonly class CardDetails
{
    /** Words of the label, in the order in which labels print them. */
    public const TEXTS = ['growthStage', 'grasses', 'crops', 'treeAges', 'drift', 'runoff', 'storage', 'disposal'];
    public const GRASS_LISTS = ['grassesTolerant', 'grassesHarmed'];
    public const DAYS = ['dairyDays', 'slaughterDays', 'strawDays', 'replantDays'];
    public const HOURS = ['irrigationHours', 'irrigationResumeHours', 'holdingHours'];
    /** Yes, no, or not read yet. */
    public const YES_NO = [
        'cabRequired',
        'forageAllowed',
        'leadInsideLasting',
        'concentrateExists',
        'tankMixAllowed',
        'seasonallyDry',
        'autumnLaying',
        'repeatIfNeeded',
        'protectedLifeCheck',
    ];
    public const BUYERS = ['home', 'farm', 'licensed'];

    /**
     * @param array<string, string> $texts by TEXTS
     * @param array<string, int> $numbers by DAYS and HOURS; one that is absent was not given, which is not the same as
     *     none
     * @param array<string, bool> $answers by YES_NO
     */
    private function __construct(
        public array $texts,
        public array $numbers,
        public array $answers,
        public ?string $buyers,
        public ?int $lawCheckedYear,
    ) {}

    /** Reads words, further days and hours, and what was answered by yes or no. */
    public static function read(Fields $in): self
    {
        $texts = $numbers = $answers = [];
        foreach (self::TEXTS as $name) {
            $text = $in->textOrNull($name, 1000);
            $text === null || ($texts[$name] = $text);
        }
        foreach ([...self::DAYS, ...self::HOURS] as $name) {
            $number = self::number($in, $name);
            $number === null || ($numbers[$name] = $number);
        }
        foreach (self::YES_NO as $name) {
            if ($in->has($name)) {
                $answers[$name] = $in->bool($name, false);
            } else {
                $in->raw($name);
            }
        }
        $year = $in->has('lawCheckedYear') ? $in->int('lawCheckedYear', 1990, 2100) : null;
        $in->has('lawCheckedYear') || $in->raw('lawCheckedYear');

        return new self($texts, $numbers, $answers, $in->choiceOrNull('buyers', self::BUYERS), $year);
    }

    private static function number(Fields $in, string $name): ?int
    {
        $number = $in->has($name) ? $in->int($name, 0, 5000) : null;
        $in->has($name) || $in->raw($name);

        return $number;
    }

    /** What is done to the soil afterwards. */
    public static function readSoilWork(Fields $in): SoilWork
    {
        $depth = $in->quantityOrNull('waterInDepth', Dimension::Length);
        if (
            $depth !== null &&
            ($depth->isLessThan(Quantity::of(1, Unit::Millimetre)) ||
                $depth->isGreaterThan(Quantity::of(100, Unit::Millimetre)))
        ) {
            $depth = $in->fault(
                'waterInDepth',
                'Watering in is told as depth of rain, 1 to 100 mm, such as 1/4 in or 6 mm.',
            );
        }
        [$hours, $after] = [self::number($in, 'waterInHours'), self::number($in, 'waterInAfterMinutes')];
        if (($after ?? 0) > ($hours ?? PHP_INT_MAX) * 60) {
            $in->fault('waterInAfterMinutes', 'The earliest to water it in is after the latest; read both again.');
        }

        return new SoilWork($in->quantityOrNull('incorporation', Dimension::Length), $depth, $hours, $after);
    }

    public static function readDensity(Fields $in): ?Quantity
    {
        $density = $in->quantityOrNull('density', Dimension::MassPerVolume);

        return $density !== null &&
            ($density->isLessThan(Quantity::of(300, Unit::GramPerLitre)) ||
                $density->isGreaterThan(Quantity::of(3000, Unit::GramPerLitre)))
            ? $in->fault(
                'density',
                'A litre of product weighs between 300 g and 3 kg; give it as 1100 g/L or 9.2 lb/gal.',
            )
            : $density;
    }

    public static function readPlants(Fields $in, Catalogue $catalogue): PlantsNamed
    {
        return new PlantsNamed(
            array_values(
                array_filter(
                    array_map(
                        static fn(Fields $line): ?AllowedPlant => AllowedPlant::read($line, $catalogue),
                        $in->objects('plants', 40),
                    ),
                ),
            ),
            self::grasses($in, 'grassesTolerant', $catalogue),
            self::grasses($in, 'grassesHarmed', $catalogue),
        );
    }

    /** Whether the label asks to look up the official check for protected life before each use (rulings J20). */
    public function protectedLifeCheck(): bool
    {
        return $this->answers['protectedLifeCheck'] ?? false;
    }

    /** Whether the label allows oil on ground that is dry only in season (rulings J52). */
    public function seasonallyDry(): bool
    {
        return $this->answers['seasonallyDry'] ?? false;
    }

    /** @return list<string> */
    private static function grasses(Fields $in, string $field, Catalogue $catalogue): array
    {
        $list = [];
        foreach ($in->strings($field, null, 40) as $name) {
            $species = $catalogue->speciesCalled($name);
            if ($species?->plantKind() === 'grass') {
                $list[] = $species->id();
            } else {
                $in->fault($field, 'Name grasses of the catalogue, such as bahiagrass or tall fescue.');
            }
        }

        return $list;
    }

    /** @return list<string> percent by weight of N, P2O5 and K2O; empty for a product without fertiliser */
    public static function readFertiliser(Fields $in): array
    {
        $text = $in->textOrNull('fertiliser', 20);
        if ($text === null) {
            return [];
        }
        if (preg_match('/^(\d{1,2}(?:\.\d)?)-(\d{1,2}(?:\.\d)?)-(\d{1,2}(?:\.\d)?)$/', $text, $part) !== 1) {
            $in->fault('fertiliser', 'Write the three figures of the bag, N-P2O5-K2O by weight, such as 5-10-10.');

            return [];
        }

        return array_slice($part, 1);
    }

    /**
     * Hours a finished mix may stand before it must be used; null where the card is silent: then it is used up on the
     * same day.
     */
    public function holdingHours(): ?int
    {
        return $this->numbers['holdingHours'] ?? null;
    }
}
