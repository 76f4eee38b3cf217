<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\SoilTexture;
use Thicket\Catalogue\SumTable;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Exception\UnitMismatch;
use Thicket\Measure\Exception\UnreadableQuantity;
use Thicket\Measure\Quantity;
use Thicket\Measure\Reading;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;

/**
 * Reads what somebody knows of a sum: {sum, known: {figure: quantity}}; a figure of a soil class may stand in for the
 * strength.
 */
final readonly class SumReader
{
    private const MOST_PACKS = 8;

    public function __construct(private Catalogue $catalogue) {}

    /**
     * @return array{SumTable|null, array<string, Quantity>} null where the sum is none; faults are noted at their
     * fields
     */
    public function read(Fields $in): array
    {
        $tables = [];
        foreach ($this->catalogue->sums() as $sum) {
            $tables[$sum->id()] = $sum;
        }
        $id = $in->choice('sum', array_keys($tables));
        $known = $in->object('known');
        if ($id === null) {
            return [null, []];
        }
        $table = $tables[$id];
        $given = [];
        foreach ($table->fields() as $field) {
            if ($known->has($field) && $table->isDerived($field)) {
                $known->fault($field, 'This figure is only ever worked out.');
            }
            $quantity = $known->has($field) ? $this->figure($known, $field, $table) : null;
            $known->has($field) || $known->raw($field);
            $quantity === null || ($given[$field] = $quantity);
        }
        self::weightAgainstVolume($known, $given, $table);
        $asked = $given !== [] || $in->faults->any();
        if ($id === 'by-soil') {
            $given = $this->ofSoil($known, $given);
        }
        $known->noOthers();
        if (!$asked && $given === [] && !$in->faults->any()) {
            $in->fault('known', 'Give at least one figure that you know.');
        }

        return [$table, $given];
    }

    /**
     * @return array{Quantity|null, Quantity|null, list<array{size: Quantity, price: BigRational}>} need, what is on the
     * shelf, sizes to be had
     */
    public function purchase(Fields $in): array
    {
        $need = $this->amount($in, 'need');
        $onShelf = $in->has('onShelf') ? $this->amount($in, 'onShelf') : null;
        $in->has('onShelf') || $in->raw('onShelf');
        if ($need !== null && $onShelf !== null && $need->dimension() !== $onShelf->dimension()) {
            $in->fault('onShelf', 'Measure it like the need: both a volume, or both a weight.');
        }
        $packs = [];
        foreach ($in->objects('packs', self::MOST_PACKS) as $item) {
            $size = $this->amount($item, 'size');
            $price = $item->decimal('price', '0', '1000000');
            if ($size !== null && $need !== null && $size->dimension() !== $need->dimension()) {
                $size = $item->fault('size', 'Measure it like the need: both a volume, or both a weight.');
            }
            $item->noOthers();
            if ($size !== null && $price !== null) {
                $packs[] = ['size' => $size, 'price' => BigRational::of($price)];
            }
        }

        return [$need, $onShelf, $packs];
    }

    private function figure(Fields $known, string $field, SumTable $table): ?Quantity
    {
        $kinds = $table->kinds($field);
        try {
            // "1:4" is a strength too
            if (
                in_array(Dimension::ProductShare, $kinds, true) &&
                preg_match(
                    '/^\s*[\d.]+\s*(?::|(?:parts?\s+)?(?:in|to)\s)\s*[\d.]+(?:\s+parts?)?\s*$/iD',
                    $this->typed($known, $field),
                ) === 1
            ) {
                return Strength::parse($this->typed($known, $field))->percent();
            }
        } catch (UnreadableQuantity | UnitMismatch $e) {
            return $known->fault($field, $e->getMessage());
        }
        $quantity = $known->reading(
            $field,
            $kinds === [Dimension::MassPerVolume] ? Dimension::MassPerVolume : null,
            $kinds === [Dimension::Count] ? Unit::One : null,
        )?->quantity;
        if ($quantity === null) {
            return null;
        }
        if ($table->isLayer($field) && $quantity->dimension() === Dimension::Length) {
            $quantity = Layer::perArea($quantity);
        }
        $litre = $quantity->dimension() === Dimension::MassShare ? $table->weightFor($field) : null;
        if ($litre !== null && $known->has($litre)) {
            $quantity = self::byLitre($known, $field, $quantity, $litre, $table);
            if ($quantity === null) {
                return null;
            }
        }
        if (!in_array($quantity->dimension(), $kinds, true)) {
            $byWeight = match (true) {
                $quantity->dimension() !== Dimension::MassShare => '',
                $litre === null => ' Percent by weight needs the weight of a litre.',
                default => " Percent by weight needs the weight of a litre of the mix: give {$litre} too.",
            };

            $examples = $table->isLayer($field)
                ? ['a depth such as 1/4 in or 6 mm']
                : array_map(Reading::example(...), $kinds);

            return $known->fault($field, 'Write ' . implode(', or ', $examples) . ".{$byWeight}");
        }
        if ($quantity->isNegative()) {
            return $known->fault($field, 'This cannot be below nought.');
        }
        if ($quantity->isZero() && !$table->mayBeNought($field)) {
            return $known->fault($field, 'This must be above nought; leave it out where you do not know it.');
        }
        if (
            $table->isCounted($field) &&
            !$quantity->amount->isEqualTo($quantity->amount->toScale(0, RoundingMode::DOWN))
        ) {
            return $known->fault($field, 'This is counted: give a whole number.');
        }

        return $quantity;
    }

    /**
     * A share by weight told by the litre: 2 % by weight of a mix of 1010 g/L is 20.2 g/L; with a product of 1200 g/L
     * that is 1.68 % by volume too. A content by weight is that of the ingredient as printed. Exact, nothing is taken
     * for water.
     */
    private static function byLitre(
        Fields $known,
        string $field,
        Quantity $share,
        string $litre,
        SumTable $table,
    ): ?Quantity {
        $weighs = $known->positive($litre, Dimension::MassPerVolume);
        if ($weighs === null) {
            return null;
        }
        if ($share->isNegative() || $share->isGreaterThan(Quantity::of(100, Unit::PercentByWeight))) {
            return $known->fault($field, 'A share by weight lies between 0 and 100 %.');
        }
        $grams = $share->in(Unit::PercentByWeight)->dividedBy(100)->multipliedBy($weighs->in(Unit::GramPerLitre));
        $kinds = $table->kinds($field);
        if (!in_array(Dimension::MassPerVolume, $kinds, true)) {
            return Quantity::of($grams, Unit::GramIngredientPerLitre);
        }
        $ofProduct = $known->has($table->content()) ? $known->reading($table->content(), null)?->quantity : null;

        return $ofProduct !== null &&
            $ofProduct->dimension() === Dimension::MassPerVolume &&
            $ofProduct->amount->isPositive()
            ? Quantity::of(
                $grams->dividedBy($ofProduct->in(Unit::GramPerLitre))->multipliedBy(100),
                Unit::PercentProduct,
            )
            : Quantity::of($grams, Unit::GramPerLitre);
    }

    /**
     * Contents of two products, one by weight and one by the litre, are not held against each other before somebody
     * tells what a litre weighs.
     *
     * @param array<string, Quantity> $given
     */
    private static function weightAgainstVolume(Fields $known, array $given, SumTable $table): void
    {
        $contents = array_filter(
            $given,
            static fn(string $field): bool => $table->weightFor($field) !== null && !$table->isStrength($field),
            ARRAY_FILTER_USE_KEY,
        );
        $byWeight = array_filter(
            $contents,
            static fn(Quantity $one): bool => $one->dimension() === Dimension::MassShare,
        );
        foreach ($byWeight === [] || count($byWeight) === count($contents) ? [] : array_keys($byWeight) as $field) {
            $known->fault(
                $field,
                "By weight here and by the litre there: give {$table->weightFor(
                    $field,
                )}, what a litre of it weighs, such as 1.17 kg/L.",
            );
        }
    }

    private function typed(Fields $known, string $field): string
    {
        $value = $known->raw($field);
        $value = is_array($value) ? $value['typed'] ?? '' : $value;

        return is_string($value) ? $value : '';
    }

    /**
     * The card's direction by soil: one of three strengths, by the class of the soil (handbook 3, Traps in the sums).
     *
     * @param array<string, Quantity> $given
     *
     * @return array<string, Quantity>
     */
    private function ofSoil(Fields $known, array $given): array
    {
        $soil = $known->choiceOrNull('soil', ['coarse', 'medium', 'fine', ...SoilTexture::names()]);
        $by = [];
        foreach (['coarse', 'medium', 'fine'] as $class) {
            $by[$class] = $known->strengthOrNull($class);
        }
        if ($soil === null) {
            return $given;
        }
        $class = SoilTexture::tryFrom($soil) ?? SoilTexture::ofSoil($soil);
        if ($class === null) {
            $known->fault(
                'soil',
                "Whether {$soil} counts as coarse, medium or fine is the card's to say; give the class.",
            );
        } elseif ($by[$class->value] === null) {
            $known->fault($class->value, 'Give the direction for this soil.');
        } elseif (isset($given['strength']) && !$given['strength']->equals($by[$class->value]->percent())) {
            $known->fault(
                'strength',
                'For this soil the directions say ' .
                    $by[$class->value]->typed .
                    ': leave the strength out, or the soil.',
            );
        } else {
            return ['strength' => $by[$class->value]->percent()] + $given;
        }

        return $given;
    }

    private function amount(Fields $in, string $name): ?Quantity
    {
        $quantity = $in->reading($name, null)?->quantity;
        if (
            $quantity !== null &&
            (!in_array($quantity->dimension(), [Dimension::Volume, Dimension::Mass], true) || $quantity->isNegative())
        ) {
            return $in->fault($name, 'Give a volume such as 2.5 gal or 5 L, or a weight such as 8 oz wt or 500 g.');
        }

        return $quantity;
    }
}
