<?php

declare(strict_types=1);

namespace Thicket\Measure;

use Brick\Math\BigRational;
use Thicket\Measure\Exception\UnitMismatch;
use Thicket\Measure\Exception\UnreadableQuantity;

/**
 * Reads what people type: "1 1/2 in", "2 qt/ac", "15%", "3 gal", "½ tsp". Parts ("1:4") are read by {@see Strength}.
 *
 * A bare gallon, quart, pint or fluid ounce is of the kind the caller names; a bare "oz" is read only where
 * a mass is expected, since dry and fluid ounces are never confused (handbook 3).
 */
final readonly class Reading
{
    private const LONGEST = 64;
    private const FRACTIONS = [
        '½' => '1/2',
        '¼' => '1/4',
        '¾' => '3/4',
        '⅓' => '1/3',
        '⅔' => '2/3',
        '⅛' => '1/8',
        '⅜' => '3/8',
        '⅝' => '5/8',
        '⅞' => '7/8',
    ];
    /** Larger than any field job in any canonical unit; keeps absurd entries out of sums. */
    private const LARGEST = '1000000000000';

    /** Words people write for one simple unit. Wet measures get their kind from the caller. */
    private const WORDS = [
        'mm' => 'mm',
        'millimetre' => 'mm',
        'millimeter' => 'mm',
        'cm' => 'cm',
        'centimetre' => 'cm',
        'centimeter' => 'cm',
        'm' => 'm',
        'metre' => 'm',
        'meter' => 'm',
        'km' => 'km',
        'kilometre' => 'km',
        'kilometer' => 'km',
        'in' => 'in',
        'inch' => 'in',
        'inche' => 'in',
        '"' => 'in',
        '″' => 'in',
        'ft' => 'ft',
        'foot' => 'ft',
        'feet' => 'ft',
        "'" => 'ft',
        '′' => 'ft',
        'yd' => 'yd',
        'yard' => 'yd',
        'mi' => 'mi',
        'mile' => 'mi',
        'cm2' => 'cm2',
        'm2' => 'm2',
        'sqm' => 'm2',
        'ha' => 'ha',
        'hectare' => 'ha',
        'km2' => 'km2',
        '100m2' => '100m2',
        'sqin' => 'sq_in',
        'in2' => 'sq_in',
        'sqft' => 'sq_ft',
        'ft2' => 'sq_ft',
        '1000sqft' => '1000_sq_ft',
        'sqyd' => 'sq_yd',
        'yd2' => 'sq_yd',
        'ac' => 'ac',
        'acre' => 'ac',
        'ml' => 'mL',
        'millilitre' => 'mL',
        'milliliter' => 'mL',
        'cc' => 'mL',
        'l' => 'L',
        'litre' => 'L',
        'liter' => 'L',
        'm3' => 'm3',
        'tsp' => 'tsp_us',
        'teaspoon' => 'tsp_us',
        'tsp_metric' => 'tsp_metric',
        'metrictsp' => 'tsp_metric',
        'tbsp' => 'tbsp_us',
        'tablespoon' => 'tbsp_us',
        'cup' => 'cup_us',
        'floz' => 'fl_oz',
        'fluidounce' => 'fl_oz',
        'pt' => 'pt',
        'pint' => 'pt',
        'qt' => 'qt',
        'quart' => 'qt',
        'gal' => 'gal',
        'gallon' => 'gal',
        'cuft' => 'cu_ft',
        'ft3' => 'cu_ft',
        'cuyd' => 'cu_yd',
        'yd3' => 'cu_yd',
        'mg' => 'mg',
        'g' => 'g',
        'gram' => 'g',
        'kg' => 'kg',
        'kilogram' => 'kg',
        't' => 't',
        'tonne' => 't',
        'oz' => 'oz',
        'ounce' => 'oz',
        'ozdry' => 'oz_wt',
        'dryoz' => 'oz_wt',
        'ozwt' => 'oz_wt',
        'lb' => 'lb',
        'pound' => 'lb',
        'c' => 'degC',
        '°c' => 'degC',
        'degc' => 'degC',
        'f' => 'degF',
        '°f' => 'degF',
        'degf' => 'degF',
        'm/s' => 'm/s',
        'km/h' => 'km/h',
        'kmh' => 'km/h',
        'kph' => 'km/h',
        'mph' => 'mph',
        's' => 's',
        'sec' => 's',
        'second' => 's',
        'min' => 'min',
        'minute' => 'min',
        'h' => 'h',
        'hr' => 'h',
        'hour' => 'h',
        'd' => 'd',
        'day' => 'd',
        'kpa' => 'kPa',
        'bar' => 'bar',
        'psi' => 'psi',
        'gae' => 'g_ae',
        'kgae' => 'kg_ae',
        'lbae' => 'lb_ae',
        'gai' => 'g_ai',
        'kgai' => 'kg_ai',
        'lbai' => 'lb_ai',
        '%' => 'pct',
        'percent' => 'pct',
        '%v/v' => 'pct_vv_product',
        '%w/w' => 'pct_ww',
        '%w/v' => 'pct_wv',
        '%active' => 'pct_vv_active',
    ];
    private const WET = ['fl_oz', 'pt', 'qt', 'gal'];
    /** Symbols whose case decides between two measures: what to write for either. */
    private const CASED = [
        'T' => 'tbsp for tablespoons, t for tonnes',
        'Mg' => 'mg for milligrams, t for tonnes',
        'MG' => 'mg for milligrams, t for tonnes',
        'ML' => 'mL for millilitres',
    ];

    private function __construct(
        public Quantity $quantity,
        public string $typed,
        /** True where the kind of gallon or ounce was not typed but taken from the setting. */
        public bool $kindAssumed,
    ) {}

    /**
     * @param Dimension|null $expected refuses other kinds; also lets "oz" mean the dry ounce where a mass is wanted
     * @param Unit|null $bareUnit unit of a number typed alone; null refuses such a number
     *
     * @throws UnreadableQuantity|UnitMismatch
     */
    public static function parse(
        string $typed,
        ?Dimension $expected = null,
        Gallon $gallon = Gallon::Us,
        ?Unit $bareUnit = null,
    ): self {
        $text = trim($typed);
        if ($text === '') {
            throw UnreadableQuantity::empty();
        }
        if (strlen($text) > self::LONGEST || !mb_check_encoding($text, 'UTF-8')) {
            throw UnreadableQuantity::notANumber(mb_scrub($text));
        }
        foreach (self::FRACTIONS as $sign => $fraction) {
            $text = str_replace($sign, ' ' . $fraction, $text);
        }
        // a thin or fixed space between figures parts thousands
        $text = (string) preg_replace('/(?<=[0-9])[\x{2009}\x{202F}\x{00A0}](?=[0-9]{3}(?![0-9]))/u', '', $text);
        $text = self::decimalComma(trim((string) preg_replace('/\s+/u', ' ', $text)), $typed);
        $inches = self::feetAndInches($text);
        if ($inches !== null) {
            return $expected === null || $expected === Dimension::Length
                ? new self(Quantity::of($inches, Unit::Inch), trim($typed), false)
                : throw UnitMismatch::wanted($expected, Unit::Inch);
        }
        // "1-1/2 in" is how many write one and a half: from one down to a half is no range
        $text = (string) preg_replace_callback(
            '/^([1-9][0-9]*)-([0-9]{1,3})\/([0-9]{1,3})(?![0-9])/',
            static fn(array $p): string => (int) $p[2] < (int) $p[3] ? "{$p[1]} {$p[2]}/{$p[3]}" : $p[0],
            $text,
        );
        self::refuseTwo($text, $typed);
        [$text, $per, $times] = self::perMany($text);
        if (
            preg_match(
                '/^(-?)((?:[0-9]{1,3}(?:,[0-9]{3})+|[0-9]+)?(?:\.[0-9]+)?)(?: ' .
                    '?(?<![0-9.])([0-9]+)\/([0-9]+)|(?<=[0-9]) ' .
                    '([0-9]+)\/([0-9]+)|(?<=[0-9])\/([0-9]+))?(?![0-9,.])\s*(.*)$/u',
                $text,
                $found,
            ) !== 1
        ) {
            throw preg_match('/\d,\d/', $text) === 1
                ? UnreadableQuantity::decimalComma($typed)
                : UnreadableQuantity::notANumber($typed);
        }
        [, $sign, $whole] = $found;
        $amount = self::amount($whole, array_slice($found, 3, 5), $typed);
        $amount = $amount->multipliedBy($times)->dividedBy($per);
        [$unit, $assumed] = self::unit($found[8], $expected, $gallon, $bareUnit, $typed);
        if ($expected !== null && $unit->dimension() !== $expected) {
            throw UnitMismatch::wanted($expected, $unit);
        }
        if ($sign === '-') {
            if ($unit->dimension() !== Dimension::Temperature) {
                throw UnreadableQuantity::negative($typed);
            }
            $amount = $amount->negated();
        }
        if ($amount->multipliedBy($unit->factor())->isGreaterThan(self::LARGEST)) {
            throw UnreadableQuantity::tooLarge($typed);
        }

        return new self(Quantity::of($amount, $unit), trim($typed), $assumed);
    }

    /**
     * "0,5" and "2,75" are decimals, "1,500,000" and "12,345.6" are thousands; "1,500" could be either and is refused
     * with both named.
     *
     * @throws UnreadableQuantity
     */
    private static function decimalComma(string $text, string $typed): string
    {
        if (preg_match('/^(-?)([0-9]+),([0-9]+)(?![0-9,.])(.*)$/us', $text, $found) !== 1) {
            return $text;
        }
        [, $sign, $whole, $decimals, $rest] = $found;
        if (strlen($decimals) === 3 && ltrim($whole, '0') !== '' && strlen($whole) <= 3) {
            throw UnreadableQuantity::twoReadings(
                $typed,
                trim("{$sign}{$whole}{$decimals}{$rest}"),
                trim("{$sign}{$whole}" . rtrim('.' . $decimals, '.0') . $rest),
            );
        }

        return "{$sign}{$whole}.{$decimals}{$rest}";
    }

    /**
     * "1/4-1/2 in" is two figures where one is asked, and is refused.
     *
     * @throws UnreadableQuantity
     */
    private static function refuseTwo(string $text, string $typed): void
    {
        if (
            preg_match(
                '/^([0-9.]+(?: ?[0-9]*\/[0-9]+)?) ?(?:-|–|\bto\b) ?([0-9.]+(?:[ \/][0-9\/]+)?)\s*(.*)$/u',
                $text,
                $found,
            ) === 1
        ) {
            throw UnreadableQuantity::twoFigures(
                $typed,
                trim("{$found[1]} {$found[3]}"),
                trim("{$found[2]} {$found[3]}"),
            );
        }
    }

    /** "6 ft 1 in", "6' 1 1/2\"": a height or a length in both; null where it is not written so. */
    private static function feetAndInches(string $text): ?BigRational
    {
        if (
            preg_match(
                '/^([0-9]{1,5}) ?(?:ft|foot|feet|\'|′) ?([0-9]{1,2})(?: ' .
                    '([0-9]{1,2})\/([0-9]{1,2})|(\.[0-9]{1,4}))? ?(?:in|inch|inches|"|″|\'\')$/u',
                $text,
                $found,
            ) !== 1
        ) {
            return null;
        }
        $inches = BigRational::of($found[2] . ($found[5] ?? ''));
        if (($found[3] ?? '') !== '' && ltrim($found[4] ?? '', '0') !== '') {
            $inches = $inches->plus(BigRational::of($found[3])->dividedBy($found[4]));
        }

        return $inches->isLessThan(12) ? $inches->plus(BigRational::of($found[1])->multipliedBy(12)) : null;
    }

    /**
     * "1 qt/100 gal", "250 mL per 100 L": to so many of the volume, told for one of it.
     *
     * @return array{string, string, string} text for one, what the amount is divided and multiplied by
     */
    private static function perMany(string $text): array
    {
        if (
            preg_match(
                '/^(.+?) ?(?:\/| per ) ?(10|100|1000) ?((?:us |imp\.? |imperial ' .
                    ')?gal(?:s|lon|lons)?|l|litre|litres|liter|liters)$/iu',
                $text,
                $found,
            ) !== 1
        ) {
            return [$text, '1', '1'];
        }
        [, $amount, $many, $volume] = $found;
        $isGallon = preg_match('/gal/i', $volume) === 1;

        // gallons in gallons and litres in litres are plain shares, kilograms in litres are told in grams
        return match (true) {
            $isGallon &&
                preg_match('/^([0-9 .\/]+?) ?(?:us |imp\.? |imperial )?gal(?:s|lon|lons)?$/i', $amount, $of) === 1,
            !$isGallon && preg_match('/^([0-9 .\/]+?) ?(?:l|litre|litres|liter|liters)$/i', $amount, $of) === 1
                => [$of[1] . ' %', $many, '100'],
            !$isGallon && preg_match('/^([0-9 .\/]+?) ?(?:kg|kilograms?)$/i', $amount, $of) === 1 => [
                $of[1] . ' g/L',
                $many,
                '1000',
            ],
            default => ["{$amount}/{$volume}", $many, '1'],
        };
    }

    /** @param list<string> $fraction the captured fraction parts, of which two or one are filled */
    private static function amount(string $whole, array $fraction, string $typed): BigRational
    {
        $whole = str_replace(',', '', $whole);
        [$over, $under, $over2, $under2, $under3] = array_pad($fraction, 5, '');
        if ($whole === '' && $over === '') {
            throw UnreadableQuantity::notANumber($typed);
        }
        if (str_starts_with($whole, '.')) {
            $whole = '0' . $whole;
        }
        $denominator = $under !== '' ? $under : ($under2 !== '' ? $under2 : $under3);
        if ($denominator === '') {
            return BigRational::of($whole);
        }
        if (ltrim($denominator, '0') === '' || str_contains($whole, '.')) {
            throw UnreadableQuantity::notANumber($typed);
        }
        if ($under3 !== '') {
            return BigRational::of($whole)->dividedBy($denominator);
        }

        return BigRational::of($whole === '' ? '0' : $whole)->plus(
            BigRational::of($over !== '' ? $over : $over2)->dividedBy($denominator),
        );
    }

    /** @return array{Unit, bool} */
    private static function unit(
        string $text,
        ?Dimension $expected,
        Gallon $gallon,
        ?Unit $bareUnit,
        string $typed,
    ): array {
        $text = trim($text);
        if ($text === '') {
            return $bareUnit !== null
                ? [$bareUnit, false]
                : throw UnreadableQuantity::noUnit($typed, self::example($expected));
        }
        $exact = Unit::tryFrom($text);
        if ($exact !== null && $exact !== Unit::One) {
            return [$exact, false];
        }
        foreach (explode('/', $text) as $part) {
            $means = self::CASED[trim($part)] ?? null;
            if ($means !== null) {
                throw UnreadableQuantity::whichCase($typed, trim($part), $means);
            }
        }
        $plain = str_replace(
            ['²', '³', ' per ', 'a.e.', 'a.i.', '(', ')'],
            ['2', '3', '/', 'ae', 'ai', '', ''],
            mb_strtolower($text),
        );
        if (in_array($plain, ['%', 'percent', 'per cent'], true)) {
            return [
                $expected === Dimension::ActiveShare
                    ? Unit::PercentActive
                    : ($expected === Dimension::MassShare
                        ? Unit::PercentByWeight
                        : Unit::PercentProduct),
                false,
            ];
        }
        $squashed = str_replace([' ', '.'], '', $plain);
        if (isset(self::WORDS[$squashed]) && str_contains($squashed, '/')) {
            $whole = Unit::tryFrom(self::WORDS[$squashed]);
            if ($whole !== null) {
                return [$whole, false];
            }
        }
        $parts = explode('/', $plain);
        if (count($parts) > 2) {
            throw UnreadableQuantity::unknownUnit($typed, $text);
        }
        $codes = [];
        $assumed = false;
        $dryWanted =
            $expected === Dimension::Mass ||
            $expected === Dimension::MassPerArea ||
            $expected === Dimension::MassPerVolume;
        foreach ($parts as $part) {
            [$codes[], $guessed] = self::word($part, $gallon, $dryWanted, $typed, $text);
            $assumed = $assumed || $guessed;
        }
        // 0.5 L of product to 100 L of mix is a share; the compound codes list the usual pairs only
        $unit = Unit::tryFrom(implode('/', $codes));

        return $unit !== null ? [$unit, $assumed] : throw UnreadableQuantity::unknownUnit($typed, $text);
    }

    /** @return array{string, bool} unit code of one word and whether the wet kind was assumed */
    private static function word(string $part, Gallon $gallon, bool $dryWanted, string $typed, string $text): array
    {
        $part = trim($part);
        $kind = null;
        if (
            preg_match('/^(us|imp|imperial)\.? (.+)$/', $part, $found) === 1 ||
            preg_match('/^(.+?)[ _](us|imp|imperial)$/', $part, $back) === 1
        ) {
            $kind = str_starts_with($found[1] ?? ($back[2] ?? ''), 'us') ? 'us' : 'imp';
            $part = $found[2] ?? ($back[1] ?? '');
        }
        $key = str_replace([' ', '.', '_'], '', $part);
        $code = self::WORDS[$key] ?? (self::WORDS[rtrim($key, 's')] ?? null);
        if ($code === 'oz') {
            return $dryWanted ? ['oz_wt', false] : throw UnreadableQuantity::ambiguousOunce($typed);
        }
        if ($code !== null && in_array($code, self::WET, true)) {
            return [$code . '_' . ($kind ?? ($gallon === Gallon::Us ? 'us' : 'imp')), $kind === null];
        }

        return $code !== null ? [$code, false] : throw UnreadableQuantity::unknownUnit($typed, $text);
    }

    /** Two ways to write an amount of a kind, one of each system. */
    public static function example(?Dimension $expected): string
    {
        return match ($expected) {
            Dimension::Length => '4 in or 10 cm',
            Dimension::Area => '2 ac or 1 ha',
            Dimension::Mass => '5 oz dry or 140 g',
            Dimension::Temperature => '60 F or 15 C',
            Dimension::VolumePerArea => '2 qt/ac or 5 L/ha',
            Dimension::MassPerArea => '3 oz dry/ac or 210 g/ha',
            Dimension::EquivalentPerArea => '2 lb ae/ac or 2.2 kg ae/ha',
            Dimension::IngredientPerArea => '2 lb ai/ac or 2.2 kg ai/ha',
            Dimension::MassPerVolume => '2 oz dry/gal or 15 g/L',
            Dimension::EquivalentPerVolume => '4 lb ae/gal or 480 g ae/L',
            Dimension::IngredientPerVolume => '4 lb ai/gal or 480 g ai/L',
            Dimension::MassShare => '41 % w/w',
            Dimension::Count => 'a number such as 12',
            Dimension::VolumePerTime => '0.5 gal/min or 2 L/min',
            Dimension::Speed => '4 mph or 6 km/h',
            Dimension::Duration => '30 s or 2 min',
            Dimension::Pressure => '30 psi or 2 bar',
            Dimension::ActiveShare => '5 % active',
            Dimension::CountPerArea => '500 one/ac',
            Dimension::ProductShare => '2 % v/v or 20 mL/L',
            default => '3 gal or 10 L',
        };
    }
}
