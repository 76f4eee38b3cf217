<?php

declare(strict_types=1);

namespace Thicket\Measure;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * Writes a quantity for people in either unit system, in the unit a crew would use at that size, at most four
 * significant digits, lengths three. Rounded for reading only; sums never start from these strings.
 */
final readonly class Shown
{
    /** Number as a person writes it: at most $digits significant digits, no trailing zeros, whole digits kept. */
    public static function number(
        BigRational $amount,
        int $digits = 4,
        RoundingMode $rounding = RoundingMode::HALF_UP,
    ): string {
        $decimal = $amount->toScale(12, RoundingMode::HALF_UP);
        if ($decimal->isZero()) {
            return '0';
        }
        $wholeDigits = $decimal->abs()->isGreaterThanOrEqualTo(1)
            ? strlen((string) $decimal->abs()->toScale(0, RoundingMode::DOWN))
            : -strspn(explode('.', (string) $decimal->abs())[1] ?? '', '0');
        $rounded = $amount->toScale(max(0, min(9, $digits - $wholeDigits)), $rounding)->stripTrailingZeros();
        $rounded = $rounded->getScale() < 0 ? $rounded->toScale(0) : $rounded;

        return self::grouped($rounded);
    }

    public static function in(Quantity $quantity, System $system): string
    {
        $unit = self::unitFor($quantity, $system);

        return self::withUnit($quantity->in($unit), $unit);
    }

    /** @return array{us: string, metric: string} */
    public static function both(Quantity $quantity): array
    {
        return ['us' => self::in($quantity, System::Us), 'metric' => self::in($quantity, System::Metric)];
    }

    /**
     * A limit as its label or rule wrote it: where the reader's unit is another, the unit of the writer stands beside
     * it ("65.6 ft (20 m)"), so that nobody takes a rounded figure for the limit.
     */
    public static function asWritten(Quantity $quantity, System $system): string
    {
        $read = self::in($quantity, $system);
        $written = self::withUnit($quantity->amount, $quantity->unit);
        $isOther =
            $written === self::in($quantity, $system === System::Us ? System::Metric : System::Us) &&
            $written !== $read;

        return $isOther || !self::isPlain($quantity->in(self::unitFor($quantity, $system)), 4)
            ? ($written === $read
                ? $read
                : "{$read} ({$written})")
            : $read;
    }

    /**
     * A length, an area or a wind as people say it: "65 ft", "110 ft", "1/3 ac". A figure that is plain already stays
     * as it is; all else too; and so does one that rounding would bring to a limit told beside it, or past it.
     *
     * @param list<Quantity> $limits told in the same sentence
     *
     * @return array{text: string, about: bool} about: whether it was rounded, so that it is said with an "about"
     */
    public static function told(Quantity $quantity, System $system, array $limits = []): array
    {
        $unit = self::unitFor($quantity, $system);
        $unit =
            $unit === Unit::Inch &&
            $quantity->compareTo(Quantity::of(1, Unit::Foot)) >= 0 &&
            !self::isPlain($quantity->in($unit), 2)
                ? Unit::Foot
                : $unit;
        $amount = $quantity->in($unit);
        $isSaid = in_array($quantity->dimension(), [Dimension::Length, Dimension::Area, Dimension::Speed], true);
        if (!$isSaid || !$amount->isPositive() || self::isPlain($amount, 2)) {
            return ['text' => self::in($quantity, $system), 'about' => false];
        }
        $rounded = self::nearest($amount, self::steps($amount, $unit));
        foreach ($limits as $limit) {
            $isLike = $limit->dimension() === $quantity->dimension();
            if ($isLike && $quantity->compareTo($limit) !== Quantity::of($rounded, $unit)->compareTo($limit)) {
                return ['text' => self::in($quantity, $system), 'about' => false];
            }
        }

        return ['text' => self::fraction($rounded, $unit) . ' ' . $unit->label(), 'about' => true];
    }

    /**
     * An amount for reading, not for a jug: as few digits, at least two, as stay within a share of it. A figure that is
     * plain already stays as it is.
     *
     * @param string $within share of the amount that rounding may move it, such as '1/100'
     *
     * @return array{text: string, about: bool} about: whether it was rounded
     */
    public static function roughly(
        Quantity $quantity,
        System $system,
        string $within,
        RoundingMode $rounding = RoundingMode::HALF_UP,
    ): array {
        $unit = self::unitFor($quantity, $system);
        $amount = $quantity->in($unit);
        foreach ([2, 3] as $digits) {
            if (self::isPlain($amount, $digits)) {
                break;
            }
            $text = self::number($amount, $digits, $rounding);
            $off = BigRational::of(str_replace("\u{00A0}", '', $text))->minus($amount)->abs();
            if ($off->isLessThanOrEqualTo($amount->abs()->multipliedBy($within))) {
                return ['text' => "{$text} {$unit->label()}", 'about' => true];
            }
        }

        return ['text' => self::in($quantity, $system), 'about' => false];
    }

    /** Whether it can be written whole, or with so many significant digits, and nothing is lost. */
    private static function isPlain(BigRational $amount, int $digits): bool
    {
        $shown = BigRational::of(str_replace("\u{00A0}", '', self::number($amount, $digits)));

        return $shown->isEqualTo($amount) ||
            ($amount->isGreaterThan(10) && $amount->simplified()->getDenominator()->isEqualTo(1));
    }

    /** @return list<string> what a figure of this size is said in: steps to the next, or the very parts of one */
    private static function steps(BigRational $amount, Unit $unit): array
    {
        if ($unit === Unit::Acre && $amount->isLessThan('0.9')) {
            return ['1/4', '1/3', '1/2', '2/3', '3/4'];
        }
        $isSmall = in_array(
            $unit,
            [Unit::SquareFoot, Unit::SquareInch, Unit::SquareMetre, Unit::SquareCentimetre],
            true,
        );
        $digits = strlen((string) $amount->toScale(0, RoundingMode::DOWN));

        return [
            match (true) {
                $unit->dimension() === Dimension::Speed => $amount->isLessThan(10) ? '1/10' : '1',
                $isSmall || $digits > 2 => $digits > 2 ? '1' . str_repeat('0', $digits - 2) : '1',
                // fifty for forty-nine, but not thirty-five for thirty-three
                $amount->isGreaterThanOrEqualTo(20) &&
                    self::nearest($amount, ['5'])
                        ->minus($amount)
                        ->abs()
                        ->isLessThanOrEqualTo($amount->multipliedBy('3/100'))
                    => '5',
                $amount->isGreaterThanOrEqualTo(10) => '1',
                $unit === Unit::Hectare && $amount->isLessThan(1) => '1/100',
                in_array($unit, [Unit::Hectare, Unit::Kilometre], true) ||
                    ($unit === Unit::Metre && $amount->isLessThan(5))
                    => '1/10',
                $unit === Unit::Mile => '1/4',
                default => '1/2',
            },
        ];
    }

    /** @param list<string> $steps */
    private static function nearest(BigRational $amount, array $steps): BigRational
    {
        if (count($steps) === 1) {
            $times = $amount->dividedBy($steps[0])->toScale(0, RoundingMode::HALF_UP);

            return BigRational::of($steps[0])
                ->multipliedBy($times->isZero() ? 1 : $times)
                ->simplified();
        }
        $parts = array_map(BigRational::of(...), $steps);
        usort(
            $parts,
            static fn(BigRational $a, BigRational $b): int => $a
                ->minus($amount)
                ->abs()
                ->compareTo($b->minus($amount)->abs()),
        );

        return $parts[0];
    }

    /** Halves, thirds and quarters of what is not metric; else a decimal. */
    private static function fraction(BigRational $amount, Unit $unit): string
    {
        $under = $amount->simplified()->getDenominator();
        if ($under->isEqualTo(1) || !in_array($unit, [Unit::Foot, Unit::Inch, Unit::Mile, Unit::Acre], true)) {
            return self::number($amount);
        }
        [$whole, $rest] = $amount->simplified()->getNumerator()->quotientAndRemainder($under);

        return ($whole->isZero() ? '' : $whole . ' ') . $rest . '/' . $under;
    }

    public static function withUnit(BigRational $amount, Unit $unit): string
    {
        if ($unit === Unit::Inch) {
            return self::inches($amount) . ' in';
        }
        $label = $unit->label();
        // neither a thermometer nor a kitchen clock reads hundredths
        $amount = in_array($unit->dimension(), [Dimension::Temperature, Dimension::Duration], true)
            ? BigRational::of($amount->toScale(1, RoundingMode::HALF_UP))
            : $amount;

        return self::number($amount, $unit->dimension() === Dimension::Length ? 3 : 4) .
            ($label === '' ? '' : ' ' . $label);
    }

    /** Inches as halves to sixteenths where they are just that, else as decimals. */
    private static function inches(BigRational $amount): string
    {
        $amount = $amount->simplified();
        $under = $amount->getDenominator();
        if (
            $amount->isPositive() &&
            $under->isGreaterThan(1) &&
            $under->isLessThanOrEqualTo(16) &&
            in_array($under->toInt(), [2, 4, 8, 16], true) &&
            $amount->isLessThan(100)
        ) {
            $whole = $amount->getNumerator()->quotient($under);
            $rest = $amount->getNumerator()->remainder($under);

            return ($whole->isZero() ? '' : $whole . ' ') . $rest . '/' . $under;
        }

        return self::number($amount, 3);
    }

    private static function unitFor(Quantity $quantity, System $system): Unit
    {
        $us = $system === System::Us;
        $atLeast = static fn(string $amount, Unit $unit): bool => $quantity->compareTo(Quantity::of($amount, $unit)) >=
            0;

        return match ($quantity->dimension()) {
            Dimension::Length => $us
                ? ($atLeast('1', Unit::Mile)
                    ? Unit::Mile
                    : ($atLeast('6', Unit::Foot)
                        ? Unit::Foot
                        : Unit::Inch))
                : ($atLeast('2', Unit::Kilometre)
                    ? Unit::Kilometre
                    : ($atLeast('1', Unit::Metre)
                        ? Unit::Metre
                        : ($atLeast('1', Unit::Centimetre)
                            ? Unit::Centimetre
                            : Unit::Millimetre))),
            Dimension::Area => $us
                ? ($atLeast('0.25', Unit::Acre)
                    ? Unit::Acre
                    : ($atLeast('10', Unit::SquareFoot)
                        ? Unit::SquareFoot
                        : Unit::SquareInch))
                : ($atLeast('0.1', Unit::Hectare)
                    ? Unit::Hectare
                    : ($atLeast('0.1', Unit::SquareMetre)
                        ? Unit::SquareMetre
                        : Unit::SquareCentimetre)),
            Dimension::Volume => $us
                ? ($atLeast('1', Unit::UsGallon)
                    ? Unit::UsGallon
                    : ($atLeast('0.5', Unit::UsFluidOunce)
                        ? Unit::UsFluidOunce
                        : Unit::UsTeaspoon))
                : ($atLeast('1', Unit::Litre)
                    ? Unit::Litre
                    : Unit::Millilitre),
            Dimension::Mass => $us
                ? ($atLeast('1', Unit::Pound)
                    ? Unit::Pound
                    : Unit::OunceWeight)
                : ($atLeast('1', Unit::Kilogram)
                    ? Unit::Kilogram
                    : Unit::Gram),
            Dimension::Temperature => $us ? Unit::Fahrenheit : Unit::Celsius,
            Dimension::Speed => $us ? Unit::MilePerHour : Unit::MetrePerSecond,
            Dimension::Duration => $atLeast('2', Unit::Day)
                ? Unit::Day
                : ($atLeast('2', Unit::Hour)
                    ? Unit::Hour
                    : Unit::Minute),
            Dimension::VolumePerTime => $us
                ? ($atLeast('0.5', Unit::UsGallonPerMinute)
                    ? Unit::UsGallonPerMinute
                    : Unit::UsFluidOuncePerMinute)
                : ($atLeast('1', Unit::LitrePerMinute)
                    ? Unit::LitrePerMinute
                    : Unit::MillilitrePerMinute),
            Dimension::Pressure => $us ? Unit::PoundPerSquareInch : Unit::Bar,
            Dimension::VolumePerArea => self::volumePerArea($quantity, $us),
            Dimension::MassPerArea => $us
                ? ($atLeast('1', Unit::PoundPerAcre)
                    ? Unit::PoundPerAcre
                    : Unit::OunceWeightPerAcre)
                : ($atLeast('1', Unit::KilogramPerHectare)
                    ? Unit::KilogramPerHectare
                    : Unit::GramPerHectare),
            Dimension::EquivalentPerArea => $us
                ? Unit::PoundEquivalentPerAcre
                : ($atLeast('1', Unit::KilogramEquivalentPerHectare)
                    ? Unit::KilogramEquivalentPerHectare
                    : Unit::GramEquivalentPerHectare),
            Dimension::IngredientPerArea => $us
                ? Unit::PoundIngredientPerAcre
                : ($atLeast('1', Unit::KilogramIngredientPerHectare)
                    ? Unit::KilogramIngredientPerHectare
                    : Unit::GramIngredientPerHectare),
            Dimension::MassPerVolume => $us ? Unit::PoundPerUsGallon : Unit::GramPerLitre,
            Dimension::EquivalentPerVolume => $us ? Unit::PoundEquivalentPerUsGallon : Unit::GramEquivalentPerLitre,
            Dimension::IngredientPerVolume => $us ? Unit::PoundIngredientPerUsGallon : Unit::GramIngredientPerLitre,
            Dimension::ProductShare => $atLeast('0.1', Unit::PercentProduct)
                ? Unit::PercentProduct
                : ($us
                    ? Unit::UsFluidOuncePerUsGallon
                    : Unit::MillilitrePerLitre),
            Dimension::ActiveShare => Unit::PercentActive,
            Dimension::MassShare => Unit::PercentByWeight,
            Dimension::Count => Unit::One,
            // seedlings are counted by the square metre, stems by the hectare or acre
            Dimension::CountPerArea => $atLeast('1', Unit::OnePerSquareMetre)
                ? ($us
                    ? Unit::OnePerSquareFoot
                    : Unit::OnePerSquareMetre)
                : ($us
                    ? Unit::OnePerAcre
                    : Unit::OnePerHectare),
        };
    }

    /**
     * Films (a tenth of a litre per square metre and more) read per square metre or square foot, field rates per acre
     * or hectare.
     */
    private static function volumePerArea(Quantity $quantity, bool $us): Unit
    {
        $film = $quantity->compareTo(Quantity::of('0.1', Unit::LitrePerSquareMetre)) >= 0;
        if ($film) {
            return $us ? Unit::UsGallonPerThousandSquareFeet : Unit::LitrePerSquareMetre;
        }
        if (!$us) {
            return $quantity->compareTo(Quantity::of('1', Unit::LitrePerHectare)) >= 0
                ? Unit::LitrePerHectare
                : Unit::MillilitrePerHectare;
        }

        return match (true) {
            $quantity->compareTo(Quantity::of('1', Unit::UsGallonPerAcre)) >= 0 => Unit::UsGallonPerAcre,
            $quantity->compareTo(Quantity::of('1', Unit::UsPintPerAcre)) >= 0 => Unit::UsPintPerAcre,
            default => Unit::UsFluidOuncePerAcre,
        };
    }

    /**
     * Thousands stand apart by a fixed space from five figures on: "20,000" could be twenty elsewhere, and what is
     * shown can be typed back ({@see Reading}).
     */
    private static function grouped(BigDecimal $number): string
    {
        $parts = explode('.', (string) $number);
        $whole =
            strlen(ltrim($parts[0], '-')) < 5
                ? $parts[0]
                : (string) preg_replace('/(?<=\d)(?=(\d{3})+$)/', "\u{00A0}", $parts[0]);

        return $whole . (isset($parts[1]) ? '.' . $parts[1] : '');
    }
}
