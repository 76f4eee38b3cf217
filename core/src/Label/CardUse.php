<?php

declare(strict_types=1);

namespace Thicket\Label;

use Thicket\Calendar\Day;
use Thicket\Calendar\MonthDay;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\SoilTexture;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;

/**
 * One line of a label's directions: a use with what it allows, and the growth stages or dates it holds for where the
 * label parts them.
 */
final readonly class CardUse
{
    /**
     * More than six: a line of directions is printed so, and most of its parts are left out.
     *
     * @param Strength|null $min of product in the finished mix
     * @param Quantity|null $perStem most mix per stem
     * @param Quantity|null $rateLeast product, liquid or dry, per treated area
     * @param Quantity|null $spray mix per treated area
     * @param list<string> $stages words of {@see FactName::Stage}; empty holds for every stage
     * @param list<string> $textures soils the line holds for, {@see SoilTexture}; empty holds for every soil (rulings
     *     J49)
     * @param MonthDay|null $from first day as printed, never moved by the season; null with $to holds all year
     * @param MonthDay|null $to last day, itself included; before $from it runs over the new year
     */
    public function __construct(
        public string $method,
        public ?Strength $min = null,
        public ?Strength $max = null,
        public ?Quantity $perStem = null,
        public ?Quantity $rateLeast = null,
        public ?Quantity $rateMost = null,
        public ?Quantity $spray = null,
        public array $stages = [],
        public ?MonthDay $from = null,
        public ?MonthDay $to = null,
        /**
         * Whether the label says amounts to a volume of water, not of finished mix (rulings J27); $min and $max are
         * shares of the mix all the same.
         */
        public bool $toWater = false,
        public array $textures = [],
    ) {}

    /** Reads one line; faults are noted at their fields. Null where it names no use. */
    public static function read(Fields $in, Catalogue $catalogue): ?self
    {
        $method = $in->text('method');
        if ($method !== null && !$catalogue->hasMethod($method)) {
            $in->fault('method', 'This method is not in the catalogue.');
        }
        $toWater = $in->bool('toWater', false);
        $min = self::strength($in, 'min', $toWater);
        $max = self::strength($in, 'max', $toWater);
        if ($min !== null && $max !== null && $min->share->isGreaterThan($max->share)) {
            $in->fault('max', 'The most must not be below the least.');
        }
        $perStem = $in->quantityOrNull('perStem', Dimension::Volume);
        $least = self::rate($in, 'rateLeast');
        $most = self::rate($in, 'rateMost');
        if (
            $least !== null &&
            $most !== null &&
            ($least->dimension() !== $most->dimension() || $least->isGreaterThan($most))
        ) {
            $in->fault('rateMost', 'The most must be of the same kind as the least, and not below it.');
        }
        $spray = self::rate($in, 'spray');
        $stages = $in->strings('stages', FactName::Stage->choices() ?? [], 30);
        $textures = $in->strings(
            'textures',
            array_map(static fn(SoilTexture $t): string => $t->value, SoilTexture::cases()),
            3,
        );
        $from = self::monthDay($in, 'from');
        $to = self::monthDay($in, 'to');
        if ($in->has('from') !== $in->has('to')) {
            $in->fault(
                $in->has('from') ? 'to' : 'from',
                'Give both the first and the last day, such as 03-01 and 05-31, or neither.',
            );
        }
        $in->noOthers();

        return $method === null
            ? null
            : new self($method, $min, $max, $perStem, $least, $most, $spray, $stages, $from, $to, $toWater, $textures);
    }

    /** Whether the label parts this line from others by stage or date. */
    public function isParted(): bool
    {
        return $this->stages !== [] || $this->from !== null || $this->textures !== [];
    }

    /**
     * Whether the line holds on a day at a growth stage on a soil; null where stage or soil decides and is not known.
     *
     * @param string|null $stage null where nobody knows it
     * @param SoilTexture|null $soil null where nobody knows it, or where only the card can say
     */
    public function holds(?string $stage, \DateTimeImmutable $day, ?SoilTexture $soil = null): ?bool
    {
        return match (true) {
            !$this->isInSeason($day) => false,
            $this->textures !== [] && $soil !== null && !in_array($soil->value, $this->textures, true) => false,
            $this->textures !== [] && $soil === null => null,
            $this->stages === [] => true,
            $stage === null => null,
            default => in_array($stage, $this->stages, true),
        };
    }

    /** The first day on or after the one given on which its dates hold; null where it has none. */
    public function opensOn(\DateTimeImmutable $day): ?\DateTimeImmutable
    {
        if ($this->from === null || $this->isInSeason($day)) {
            return $this->from === null ? null : $day;
        }
        $opens = $this->from->inYear(Day::year($day));

        return $opens < $day ? $this->from->inYear(Day::year($day) + 1) : $opens;
    }

    /** @return list<\DateTimeImmutable> the days of a year on which its dates begin to hold or no longer do */
    public function turns(int $year): array
    {
        return $this->from === null || $this->to === null
            ? []
            : [$this->from->inYear($year), $this->to->inYear($year)->modify('+1 day')];
    }

    /**
     * Whether it allows less than another line: by strength, else by rate, else by mix per stem; one that names a most
     * is stricter than one that does not.
     */
    public function isStricterThan(self $other): bool
    {
        foreach (
            [
                [$this->max?->percent(), $other->max?->percent()],
                [$this->rateMost, $other->rateMost],
                [$this->perStem, $other->perStem],
            ]
            as [$mine, $theirs]
        ) {
            if (($mine === null) !== ($theirs === null)) {
                return $mine !== null;
            }
            if (
                $mine !== null &&
                $theirs !== null &&
                $mine->dimension() === $theirs->dimension() &&
                !$mine->equals($theirs)
            ) {
                return $mine->isLessThan($theirs);
            }
        }

        return false;
    }

    private function isInSeason(\DateTimeImmutable $day): bool
    {
        if ($this->from === null || $this->to === null) {
            return true;
        }
        $year = Day::year($day);
        [$from, $to] = [$this->from->inYear($year), $this->to->inYear($year)];

        return $from <= $to ? $day >= $from && $day <= $to : $day >= $from || $day <= $to;
    }

    private static function rate(Fields $in, string $name): ?Quantity
    {
        if (!$in->has($name)) {
            $in->raw($name);

            return null;
        }
        $rate = $in->reading($name, null)?->quantity;
        $dry = $name !== 'spray' && $rate?->dimension() === Dimension::MassPerArea;
        if ($rate !== null && ($rate->isZero() || (!$dry && $rate->dimension() !== Dimension::VolumePerArea))) {
            return $in->fault(
                $name,
                $name === 'spray'
                    ? 'Give the mix per area, such as 20 gal/ac or 200 L/ha.'
                    : 'Give an amount per area, such as 2 qt/ac, 3 L/ha or 1 oz/ac of a dry product.',
            );
        }

        return $rate;
    }

    private static function strength(Fields $in, string $name, bool $toWater): ?Strength
    {
        $given = $in->strengthOrNull($name);

        return $given === null || !$toWater
            ? $given
            : $given->saidToCarrier() ??
                    $in->fault(
                        $name,
                        'To a volume of water only an amount per volume is said, such as 2 fl oz/gal or 10 mL/L.',
                    );
    }

    private static function monthDay(Fields $in, string $name): ?MonthDay
    {
        $text = $in->textOrNull($name, 5);
        if ($text === null) {
            return null;
        }

        return MonthDay::tryParse($text) ?? $in->fault($name, 'Write month and day as MM-DD, such as 03-01.');
    }
}
