<?php

declare(strict_types=1);

namespace Thicket\Measure;

use Brick\Math\BigRational;

/**
 * The closed list of units that cross the wire (rulings B4). Gallons, ounces and percentages never appear
 * without their kind. Factors are exact and stand only in one table, entry().
 */
enum Unit: string
{
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Metre = 'm';
    case Kilometre = 'km';
    case Inch = 'in';
    case Foot = 'ft';
    case Yard = 'yd';
    case Mile = 'mi';
    case SquareCentimetre = 'cm2';
    case SquareMetre = 'm2';
    case Are = '100m2';
    case Hectare = 'ha';
    case SquareKilometre = 'km2';
    case SquareInch = 'sq_in';
    case SquareFoot = 'sq_ft';
    case ThousandSquareFeet = '1000_sq_ft';
    case SquareYard = 'sq_yd';
    case Acre = 'ac';
    case Millilitre = 'mL';
    case Litre = 'L';
    case CubicMetre = 'm3';
    case MetricTeaspoon = 'tsp_metric';
    case UsTeaspoon = 'tsp_us';
    case UsTablespoon = 'tbsp_us';
    case UsFluidOunce = 'fl_oz_us';
    case UsCup = 'cup_us';
    case UsPint = 'pt_us';
    case UsQuart = 'qt_us';
    case UsGallon = 'gal_us';
    case ImperialFluidOunce = 'fl_oz_imp';
    case ImperialPint = 'pt_imp';
    case ImperialQuart = 'qt_imp';
    case ImperialGallon = 'gal_imp';
    case CubicFoot = 'cu_ft';
    case CubicYard = 'cu_yd';
    case Milligram = 'mg';
    case Gram = 'g';
    case Kilogram = 'kg';
    case Tonne = 't';
    case OunceWeight = 'oz_wt';
    case Pound = 'lb';
    case Celsius = 'degC';
    case Fahrenheit = 'degF';
    case MetrePerSecond = 'm/s';
    case KilometrePerHour = 'km/h';
    case MilePerHour = 'mph';
    case Second = 's';
    case Minute = 'min';
    case Hour = 'h';
    case Day = 'd';
    case LitrePerMinute = 'L/min';
    case UsGallonPerMinute = 'gal_us/min';
    case UsFluidOuncePerMinute = 'fl_oz_us/min';
    case ImperialGallonPerMinute = 'gal_imp/min';
    case MillilitrePerMinute = 'mL/min';
    case Kilopascal = 'kPa';
    case Bar = 'bar';
    case PoundPerSquareInch = 'psi';
    case LitrePerSquareMetre = 'L/m2';
    case MillilitrePerSquareMetre = 'mL/m2';
    case LitrePerAre = 'L/100m2';
    case MillilitrePerAre = 'mL/100m2';
    case LitrePerHectare = 'L/ha';
    case MillilitrePerHectare = 'mL/ha';
    case UsGallonPerAcre = 'gal_us/ac';
    case UsQuartPerAcre = 'qt_us/ac';
    case UsPintPerAcre = 'pt_us/ac';
    case UsFluidOuncePerAcre = 'fl_oz_us/ac';
    case UsGallonPerThousandSquareFeet = 'gal_us/1000_sq_ft';
    case UsFluidOuncePerThousandSquareFeet = 'fl_oz_us/1000_sq_ft';
    case UsTablespoonPerThousandSquareFeet = 'tbsp_us/1000_sq_ft';
    case MillilitrePerThousandSquareFeet = 'mL/1000_sq_ft';
    case UsTeaspoonPerThousandSquareFeet = 'tsp_us/1000_sq_ft';
    case ImperialGallonPerAcre = 'gal_imp/ac';
    case ImperialPintPerAcre = 'pt_imp/ac';
    case GramPerHectare = 'g/ha';
    case KilogramPerHectare = 'kg/ha';
    case GramPerAre = 'g/100m2';
    case OunceWeightPerAcre = 'oz_wt/ac';
    case OunceWeightPerThousandSquareFeet = 'oz_wt/1000_sq_ft';
    case PoundPerThousandSquareFeet = 'lb/1000_sq_ft';
    case PoundPerAcre = 'lb/ac';
    case GramEquivalentPerHectare = 'g_ae/ha';
    case KilogramEquivalentPerHectare = 'kg_ae/ha';
    case PoundEquivalentPerAcre = 'lb_ae/ac';
    case GramIngredientPerHectare = 'g_ai/ha';
    case KilogramIngredientPerHectare = 'kg_ai/ha';
    case PoundIngredientPerAcre = 'lb_ai/ac';
    case GramPerLitre = 'g/L';
    case KilogramPerLitre = 'kg/L';
    case PercentWeightPerVolume = 'pct_wv';
    case OunceWeightPerUsGallon = 'oz_wt/gal_us';
    case PoundPerUsGallon = 'lb/gal_us';
    case GramEquivalentPerLitre = 'g_ae/L';
    case PoundEquivalentPerUsGallon = 'lb_ae/gal_us';
    case GramIngredientPerLitre = 'g_ai/L';
    case PoundIngredientPerUsGallon = 'lb_ai/gal_us';
    case PercentProduct = 'pct_vv_product';
    case MillilitrePerLitre = 'mL/L';
    case UsTeaspoonPerUsGallon = 'tsp_us/gal_us';
    case UsTablespoonPerUsGallon = 'tbsp_us/gal_us';
    case UsFluidOuncePerUsGallon = 'fl_oz_us/gal_us';
    case UsPintPerUsGallon = 'pt_us/gal_us';
    case UsQuartPerUsGallon = 'qt_us/gal_us';
    case ImperialPintPerImperialGallon = 'pt_imp/gal_imp';
    case ImperialFluidOuncePerImperialGallon = 'fl_oz_imp/gal_imp';
    case PercentActive = 'pct_vv_active';
    case PercentByWeight = 'pct_ww';
    case One = 'one';
    case OnePerSquareMetre = 'one/m2';
    case OnePerSquareFoot = 'one/sq_ft';
    case OnePerHectare = 'one/ha';
    case OnePerAcre = 'one/ac';

    /**
     * Dimension, exact factor to the dimension's canonical unit, and how the unit is written for people.
     * Canonical: m, m2, L, g, degC, m/s, s, L/min, kPa, L/m2, g/m2, g a.e./m2, g/L, g a.e./L, g a.i./L, share (1),
     * count (1), count/m2. Sources: handbook 3 "Exact factors", rulings J27 (weight ounce, tablespoon, imperial ounce,
     * foot, yard, hectare). Compound units are derived from the simple ones, so that no constant stands twice.
     *
     * @return array{Dimension, string, string}
     */
    private function entry(): array
    {
        /** @var array<string, array{Dimension, string, string}> $known a match over so many cases is a long walk */
        static $known = [];

        return $known[$this->value] ??= $this->written();
    }

    /** @return array{Dimension, string, string} */
    private function written(): array
    {
        return match ($this) {
            self::Millimetre => [Dimension::Length, '1/1000', 'mm'],
            self::Centimetre => [Dimension::Length, '1/100', 'cm'],
            self::Metre => [Dimension::Length, '1', 'm'],
            self::Kilometre => [Dimension::Length, '1000', 'km'],
            self::Inch => [Dimension::Length, '0.0254', 'in'],
            self::Foot => [Dimension::Length, '0.3048', 'ft'],
            self::Yard => [Dimension::Length, '0.9144', 'yd'],
            self::Mile => [Dimension::Length, '1609.344', 'mi'],
            self::SquareCentimetre => [Dimension::Area, '0.0001', 'cm²'],
            self::SquareMetre => [Dimension::Area, '1', 'm²'],
            self::Are => [Dimension::Area, '100', '× 100 m²'],
            self::Hectare => [Dimension::Area, '10000', 'ha'],
            self::SquareKilometre => [Dimension::Area, '1000000', 'km²'],
            self::SquareInch => [Dimension::Area, '0.00064516', 'sq in'],
            self::SquareFoot => [Dimension::Area, '0.09290304', 'sq ft'],
            self::ThousandSquareFeet => [Dimension::Area, '92.90304', '× 1000 sq ft'],
            self::SquareYard => [Dimension::Area, '0.83612736', 'sq yd'],
            self::Acre => [Dimension::Area, '4046.8564224', 'ac'],
            self::Millilitre => [Dimension::Volume, '0.001', 'mL'],
            self::Litre => [Dimension::Volume, '1', 'L'],
            self::CubicMetre => [Dimension::Volume, '1000', 'm³'],
            self::MetricTeaspoon => [Dimension::Volume, '0.005', 'metric tsp'],
            self::UsTeaspoon => [Dimension::Volume, '3.785411784/768', 'tsp'],
            self::UsTablespoon => [Dimension::Volume, '3.785411784/256', 'tbsp'],
            self::UsFluidOunce => [Dimension::Volume, '3.785411784/128', 'fl oz'],
            self::UsCup => [Dimension::Volume, '3.785411784/16', 'US cup'],
            self::UsPint => [Dimension::Volume, '3.785411784/8', 'US pt'],
            self::UsQuart => [Dimension::Volume, '3.785411784/4', 'US qt'],
            self::UsGallon => [Dimension::Volume, '3.785411784', 'US gal'],
            self::ImperialFluidOunce => [Dimension::Volume, '4.54609/160', 'imp fl oz'],
            self::ImperialPint => [Dimension::Volume, '4.54609/8', 'imp pt'],
            self::ImperialQuart => [Dimension::Volume, '4.54609/4', 'imp qt'],
            self::ImperialGallon => [Dimension::Volume, '4.54609', 'imp gal'],
            self::CubicFoot => [Dimension::Volume, '28.316846592', 'cu ft'],
            self::CubicYard => [Dimension::Volume, '764.554857984', 'cu yd'],
            self::Milligram => [Dimension::Mass, '0.001', 'mg'],
            self::Gram => [Dimension::Mass, '1', 'g'],
            self::Kilogram => [Dimension::Mass, '1000', 'kg'],
            self::Tonne => [Dimension::Mass, '1000000', 't'],
            self::OunceWeight => [Dimension::Mass, '28.349523125', 'oz (dry)'],
            self::Pound => [Dimension::Mass, '453.59237', 'lb'],
            self::Celsius => [Dimension::Temperature, '1', '°C'],
            self::Fahrenheit => [Dimension::Temperature, '5/9', '°F'],
            self::MetrePerSecond => [Dimension::Speed, '1', 'm/s'],
            self::KilometrePerHour => [Dimension::Speed, '1/3.6', 'km/h'],
            self::MilePerHour => [Dimension::Speed, '1609.344/3600', 'mph'],
            self::Second => [Dimension::Duration, '1', 's'],
            self::Minute => [Dimension::Duration, '60', 'min'],
            self::Hour => [Dimension::Duration, '3600', 'h'],
            self::Day => [Dimension::Duration, '86400', 'days'],
            self::LitrePerMinute => [Dimension::VolumePerTime, '1', 'L/min'],
            self::UsGallonPerMinute => [Dimension::VolumePerTime, '3.785411784', 'US gal/min'],
            self::UsFluidOuncePerMinute => [Dimension::VolumePerTime, '3.785411784/128', 'fl oz/min'],
            self::ImperialGallonPerMinute => [Dimension::VolumePerTime, '4.54609', 'imp gal/min'],
            self::MillilitrePerMinute => [Dimension::VolumePerTime, '0.001', 'mL/min'],
            self::Kilopascal => [Dimension::Pressure, '1', 'kPa'],
            self::Bar => [Dimension::Pressure, '100', 'bar'],
            self::PoundPerSquareInch => [Dimension::Pressure, '6.89475729', 'psi'],
            self::LitrePerSquareMetre => [Dimension::VolumePerArea, 'L/m2', 'L/m²'],
            self::MillilitrePerSquareMetre => [Dimension::VolumePerArea, 'mL/m2', 'mL/m²'],
            self::LitrePerAre => [Dimension::VolumePerArea, 'L/100m2', 'L/100 m²'],
            self::MillilitrePerAre => [Dimension::VolumePerArea, 'mL/100m2', 'mL/100 m²'],
            self::LitrePerHectare => [Dimension::VolumePerArea, 'L/ha', 'L/ha'],
            self::MillilitrePerHectare => [Dimension::VolumePerArea, 'mL/ha', 'mL/ha'],
            self::UsGallonPerAcre => [Dimension::VolumePerArea, 'gal_us/ac', 'US gal/ac'],
            self::UsQuartPerAcre => [Dimension::VolumePerArea, 'qt_us/ac', 'US qt/ac'],
            self::UsPintPerAcre => [Dimension::VolumePerArea, 'pt_us/ac', 'US pt/ac'],
            self::UsFluidOuncePerAcre => [Dimension::VolumePerArea, 'fl_oz_us/ac', 'fl oz/ac'],
            self::UsGallonPerThousandSquareFeet => [Dimension::VolumePerArea, 'gal_us/1000_sq_ft', 'US gal/1000 sq ft'],
            self::UsFluidOuncePerThousandSquareFeet => [
                Dimension::VolumePerArea,
                'fl_oz_us/1000_sq_ft',
                'fl oz/1000 sq ft',
            ],
            self::UsTablespoonPerThousandSquareFeet => [
                Dimension::VolumePerArea,
                'tbsp_us/1000_sq_ft',
                'tbsp/1000 sq ft',
            ],
            self::MillilitrePerThousandSquareFeet => [Dimension::VolumePerArea, 'mL/1000_sq_ft', 'mL/1000 sq ft'],
            self::UsTeaspoonPerThousandSquareFeet => [Dimension::VolumePerArea, 'tsp_us/1000_sq_ft', 'tsp/1000 sq ft'],
            self::ImperialGallonPerAcre => [Dimension::VolumePerArea, 'gal_imp/ac', 'imp gal/ac'],
            self::ImperialPintPerAcre => [Dimension::VolumePerArea, 'pt_imp/ac', 'imp pt/ac'],
            self::GramPerHectare => [Dimension::MassPerArea, 'g/ha', 'g/ha'],
            self::KilogramPerHectare => [Dimension::MassPerArea, 'kg/ha', 'kg/ha'],
            self::GramPerAre => [Dimension::MassPerArea, 'g/100m2', 'g/100 m²'],
            self::OunceWeightPerAcre => [Dimension::MassPerArea, 'oz_wt/ac', 'oz (dry)/ac'],
            self::OunceWeightPerThousandSquareFeet => [
                Dimension::MassPerArea,
                'oz_wt/1000_sq_ft',
                'oz (dry)/1000 sq ft',
            ],
            self::PoundPerThousandSquareFeet => [Dimension::MassPerArea, 'lb/1000_sq_ft', 'lb/1000 sq ft'],
            self::PoundPerAcre => [Dimension::MassPerArea, 'lb/ac', 'lb/ac'],
            self::GramEquivalentPerHectare => [Dimension::EquivalentPerArea, 'g/ha', 'g a.e./ha'],
            self::KilogramEquivalentPerHectare => [Dimension::EquivalentPerArea, 'kg/ha', 'kg a.e./ha'],
            self::PoundEquivalentPerAcre => [Dimension::EquivalentPerArea, 'lb/ac', 'lb a.e./ac'],
            self::GramIngredientPerHectare => [Dimension::IngredientPerArea, 'g/ha', 'g a.i./ha'],
            self::KilogramIngredientPerHectare => [Dimension::IngredientPerArea, 'kg/ha', 'kg a.i./ha'],
            self::PoundIngredientPerAcre => [Dimension::IngredientPerArea, 'lb/ac', 'lb a.i./ac'],
            self::GramPerLitre => [Dimension::MassPerVolume, 'g/L', 'g/L'],
            self::KilogramPerLitre => [Dimension::MassPerVolume, '1000', 'kg/L'],
            // grams in 100 mL of mix
            self::PercentWeightPerVolume => [Dimension::MassPerVolume, '10', '% w/v'],
            self::OunceWeightPerUsGallon => [Dimension::MassPerVolume, 'oz_wt/gal_us', 'oz (dry)/US gal'],
            self::PoundPerUsGallon => [Dimension::MassPerVolume, 'lb/gal_us', 'lb/US gal'],
            self::GramEquivalentPerLitre => [Dimension::EquivalentPerVolume, 'g/L', 'g a.e./L'],
            self::PoundEquivalentPerUsGallon => [Dimension::EquivalentPerVolume, 'lb/gal_us', 'lb a.e./US gal'],
            self::GramIngredientPerLitre => [Dimension::IngredientPerVolume, 'g/L', 'g a.i./L'],
            self::PoundIngredientPerUsGallon => [Dimension::IngredientPerVolume, 'lb/gal_us', 'lb a.i./US gal'],
            self::PercentProduct => [Dimension::ProductShare, '1/100', '% v/v'],
            self::MillilitrePerLitre => [Dimension::ProductShare, 'mL/L', 'mL/L'],
            self::UsTeaspoonPerUsGallon => [Dimension::ProductShare, 'tsp_us/gal_us', 'tsp/US gal'],
            self::UsTablespoonPerUsGallon => [Dimension::ProductShare, 'tbsp_us/gal_us', 'tbsp/US gal'],
            self::UsFluidOuncePerUsGallon => [Dimension::ProductShare, 'fl_oz_us/gal_us', 'fl oz/US gal'],
            self::UsPintPerUsGallon => [Dimension::ProductShare, 'pt_us/gal_us', 'US pt/US gal'],
            self::UsQuartPerUsGallon => [Dimension::ProductShare, 'qt_us/gal_us', 'US qt/US gal'],
            self::ImperialPintPerImperialGallon => [Dimension::ProductShare, 'pt_imp/gal_imp', 'imp pt/imp gal'],
            self::ImperialFluidOuncePerImperialGallon => [
                Dimension::ProductShare,
                'fl_oz_imp/gal_imp',
                'imp fl oz/imp gal',
            ],
            self::PercentActive => [Dimension::ActiveShare, '1/100', '% v/v of active'],
            self::PercentByWeight => [Dimension::MassShare, '1/100', '% w/w'],
            self::One => [Dimension::Count, '1', ''],
            self::OnePerSquareMetre => [Dimension::CountPerArea, '1', 'per m²'],
            self::OnePerSquareFoot => [Dimension::CountPerArea, 'one/sq_ft', 'per sq ft'],
            self::OnePerHectare => [Dimension::CountPerArea, 'one/ha', 'per ha'],
            self::OnePerAcre => [Dimension::CountPerArea, 'one/ac', 'per ac'],
        };
    }

    public function dimension(): Dimension
    {
        return $this->entry()[0];
    }

    /** How people read it, kind included ("US gal", "oz (dry)"). */
    public function label(): string
    {
        return $this->entry()[2];
    }

    /** Exact number of canonical units in one of this unit; for Fahrenheit the size of a degree. */
    public function factor(): BigRational
    {
        /** @var array<string, BigRational> $known */
        static $known = [];

        return $known[$this->value] ??= self::rational($this->entry()[1])->simplified();
    }

    /** The factor as a float, for comparisons that are not close. */
    public function roughFactor(): float
    {
        /** @var array<string, float> $known */
        static $known = [];

        return $known[$this->value] ??= $this->factor()->toFloat();
    }

    /** How many of the other unit are in one of this; both of one dimension, and no temperatures. */
    public function ratioTo(self $other): BigRational
    {
        /** @var array<string, BigRational> $known */
        static $known = [];

        return $known["{$this->value}:{$other->value}"] ??= $this->factor()->dividedBy($other->factor())->simplified();
    }

    private static function rational(string $factor): BigRational
    {
        $parts = explode('/', $factor);
        if (count($parts) === 1) {
            return BigRational::of($parts[0]);
        }
        [$over, $under] = $parts;
        if (is_numeric($over) && is_numeric($under)) {
            return BigRational::of($over)->dividedBy($under);
        }

        return self::from($over)
            ->factor()
            ->dividedBy(self::from($under)->factor());
    }

    /** @return list<string> every code, for the wire schema */
    public static function codes(): array
    {
        return array_map(static fn(self $unit): string => $unit->value, self::cases());
    }
}
