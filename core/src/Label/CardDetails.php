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
    public const HOURS = ['irrigationHours', 'irrigationResumeHours', 'holdingHours', 'waterInHours'];
    public const MINUTES = ['waterInAfterMinutes'];
    /** Yes, no, or not read yet. */
    public const YES_NO = [
        'cabRequired',
        'forageAllowed',
        'leadInsideLasting',
        'concentrateExists',
        'tankMixAllowed',
        'seasonallyDry',
        'autumnLaying',
    ];
    public const BUYERS = ['home', 'farm', 'licensed'];

    /**
     * @param list<string> $formerNames under which somebody may still know the product
     * @param array<string, string> $texts by TEXTS
     * @param array<string, int> $numbers by DAYS, HOURS and MINUTES; one that is absent was not given, which is not the
     *     same as none
     * @param array<string, bool> $answers by YES_NO
     * @param Quantity|null $density weight of a litre, for reading what is left off a scale
     * @param Quantity|null $exclusion how far others stay while it is sprayed (rulings J9)
     */
    private function __construct(
        public array $formerNames,
        public array $texts,
        public array $numbers,
        public array $answers,
        public ?string $buyers,
        public ?Quantity $density,
        public ?Quantity $exclusion,
        public ?int $lawCheckedYear,
        /** @var list<string> species of grass the label calls tolerant; empty where it lists none or nobody read it */
        public array $grassesTolerant,
        /** @var list<string> species of grass the label calls not tolerant */
        public array $grassesHarmed,
        /** @var list<AllowedPlant> what it may be laid among, with ages */
        public array $plants,
        /** How deep it is to be worked in. */
        public ?Quantity $incorporation,
        /** @var list<string> percent by weight of N, P2O5 and K2O; empty for a product without fertiliser */
        public array $fertiliser,
        /** Water that carries it into the ground, as depth of rain. */
        public ?Quantity $waterInDepth,
    ) {}

    /** Reads the fields of a card that {@see LabelCard::read()} does not take itself. */
    public static function read(Fields $in, Catalogue $catalogue): self
    {
        $texts = $numbers = $answers = [];
        foreach (self::TEXTS as $name) {
            $text = $in->textOrNull($name, 1000);
            $text === null || ($texts[$name] = $text);
        }
        foreach ([...self::DAYS, ...self::HOURS, ...self::MINUTES] as $name) {
            $number = $in->has($name) ? $in->int($name, 0, 5000) : null;
            $in->has($name) || $in->raw($name);
            $number === null || ($numbers[$name] = $number);
        }
        foreach (self::YES_NO as $name) {
            if ($in->has($name)) {
                $answers[$name] = $in->bool($name, false);
            } else {
                $in->raw($name);
            }
        }
        $density = $in->quantityOrNull('density', Dimension::MassPerVolume);
        if (
            $density !== null &&
            ($density->isLessThan(Quantity::of(300, Unit::GramPerLitre)) ||
                $density->isGreaterThan(Quantity::of(3000, Unit::GramPerLitre)))
        ) {
            $density = $in->fault(
                'density',
                'A litre of product weighs between 300 g and 3 kg; give it as 1100 g/L or 9.2 lb/gal.',
            );
        }
        $waterIn = $in->quantityOrNull('waterInDepth', Dimension::Length);
        if (
            $waterIn !== null &&
            ($waterIn->isLessThan(Quantity::of(1, Unit::Millimetre)) ||
                $waterIn->isGreaterThan(Quantity::of(100, Unit::Millimetre)))
        ) {
            $waterIn = $in->fault(
                'waterInDepth',
                'Watering in is told as depth of rain, 1 to 100 mm, such as 1/4 in or 6 mm.',
            );
        }
        if (($numbers['waterInAfterMinutes'] ?? 0) > ($numbers['waterInHours'] ?? PHP_INT_MAX) * 60) {
            $in->fault('waterInAfterMinutes', 'The earliest to water it in is after the latest; read both again.');
        }
        $year = $in->has('lawCheckedYear') ? $in->int('lawCheckedYear', 1990, 2100) : null;
        $in->has('lawCheckedYear') || $in->raw('lawCheckedYear');

        return new self(
            $in->strings('formerNames', null, 12),
            $texts,
            $numbers,
            $answers,
            $in->choiceOrNull('buyers', self::BUYERS),
            $density,
            $in->quantityOrNull('exclusionDistance', Dimension::Length),
            $year,
            self::grasses($in, 'grassesTolerant', $catalogue),
            self::grasses($in, 'grassesHarmed', $catalogue),
            array_values(
                array_filter(
                    array_map(
                        static fn(Fields $line): ?AllowedPlant => AllowedPlant::read($line, $catalogue),
                        $in->objects('plants', 40),
                    ),
                ),
            ),
            $in->quantityOrNull('incorporation', Dimension::Length),
            self::fertiliser($in),
            $waterIn,
        );
    }

    /** Whether the label allows oil on ground that is dry only in season (rulings J52). */
    public function seasonallyDry(): bool
    {
        return $this->answers['seasonallyDry'] ?? false;
    }

    /** Whether the label wants water over it after it is put on. */
    public function isWateredIn(): bool
    {
        return $this->waterInDepth !== null ||
            isset($this->numbers['waterInHours']) ||
            isset($this->numbers['waterInAfterMinutes']);
    }

    public function hasNitrogen(): bool
    {
        return $this->fertiliser !== [] && $this->fertiliser[0] !== '0';
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

    /** @return list<string> */
    private static function fertiliser(Fields $in): array
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

    /** How much of the product a weight is; null where the card does not say what a litre weighs. */
    public function volumeOf(Quantity $weight): ?Quantity
    {
        return $this->density === null
            ? null
            : Quantity::of($weight->in(Unit::Gram)->dividedBy($this->density->in(Unit::GramPerLitre)), Unit::Litre);
    }
}
