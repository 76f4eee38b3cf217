<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Input\Fields;
use Thicket\Knowledge\Catalogue;
use Thicket\Measure\Dimension;
use Thicket\Measure\Exception\UnitMismatch;
use Thicket\Measure\Exception\UnreadableQuantity;
use Thicket\Measure\Quantity;
use Thicket\Measure\Reading;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;

/** Reads what somebody knows of a sum: {sum, known: {figure: quantity}}; a figure of a soil class may stand in for the strength. */
final readonly class SumReader
{
    private const MOST_PACKS = 8;

    public function __construct(private Catalogue $catalogue)
    {
    }

    /** @return array{SumTable|null, array<string, Quantity>} null where the sum is none; faults are noted at their fields */
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
            $quantity === null || $given[$field] = $quantity;
        }
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

    /** @return array{Quantity|null, Quantity|null, list<array{size: Quantity, price: BigRational}>} need, what is on the shelf, sizes to be had */
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
            if (in_array(Dimension::ProductShare, $kinds, true) && preg_match('/^\s*[\d.]+\s*(?::|(?:parts?\s+)?(?:in|to)\s)\s*[\d.]+(?:\s+parts?)?\s*$/iD', $this->typed($known, $field)) === 1) {
                return Strength::parse($this->typed($known, $field))->percent();
            }
        } catch (UnreadableQuantity|UnitMismatch $e) {
            return $known->fault($field, $e->getMessage());
        }
        $quantity = $known->reading($field, null, $kinds === [Dimension::Count] ? Unit::One : null)?->quantity;
        if ($quantity === null) {
            return null;
        }
        if (!in_array($quantity->dimension(), $kinds, true)) {
            $byWeight = $quantity->dimension() === Dimension::MassShare ? ' Percent by weight needs the weight of a litre.' : '';

            return $known->fault($field, 'Write ' . implode(', or ', array_map(Reading::example(...), $kinds)) . ".{$byWeight}");
        }
        if ($quantity->isNegative()) {
            return $known->fault($field, 'This cannot be below nought.');
        }
        if ($quantity->isZero() && !$table->mayBeNought($field)) {
            return $known->fault($field, 'This must be above nought; leave it out where you do not know it.');
        }
        if ($table->isCounted($field) && !$quantity->amount->isEqualTo($quantity->amount->toScale(0, RoundingMode::DOWN))) {
            return $known->fault($field, 'This is counted: give a whole number.');
        }

        return $quantity;
    }

    private function typed(Fields $known, string $field): string
    {
        $value = $known->raw($field);
        $value = is_array($value) ? ($value['typed'] ?? '') : $value;

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
            $known->fault('soil', "Whether {$soil} counts as coarse, medium or fine is the card's to say; give the class.");
        } elseif ($by[$class->value] === null) {
            $known->fault($class->value, 'Give the direction for this soil.');
        } elseif (isset($given['strength']) && !$given['strength']->equals($by[$class->value]->percent())) {
            $known->fault('strength', 'For this soil the directions say ' . $by[$class->value]->typed . ': leave the strength out, or the soil.');
        } else {
            return ['strength' => $by[$class->value]->percent()] + $given;
        }

        return $given;
    }

    private function amount(Fields $in, string $name): ?Quantity
    {
        $quantity = $in->reading($name, null)?->quantity;
        if ($quantity !== null && (!in_array($quantity->dimension(), [Dimension::Volume, Dimension::Mass], true) || $quantity->isNegative())) {
            return $in->fault($name, 'Give a volume such as 2.5 gal or 5 L, or a weight such as 8 oz wt or 500 g.');
        }

        return $quantity;
    }
}
