<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\Container;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Label\LabelCard as Card;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/** What a container holds, as a volume or a weight, and what is left by its weight. */
final readonly class ContainerReader
{
    public function __construct(private Catalogue $catalogue) {}

    /** A volume, or a weight of a dry product. */
    public function amount(Fields $in, string $name): ?Quantity
    {
        $quantity = $in->reading($name, null)?->quantity;
        if (
            $quantity !== null &&
            (!in_array($quantity->dimension(), [Dimension::Volume, Dimension::Mass], true) || $quantity->isNegative())
        ) {
            return $in->fault(
                $name,
                'Give a volume such as 2.5 gal or 5 L, or a weight of a dry product such as 8 oz wt or 500 g.',
            );
        }

        return $quantity;
    }

    /** Off a scale: weight less the empty container, by the litre weight of the card where the product is poured. */
    public function leftByWeight(Fields $in, Container $container, Quantity $weight): ?Quantity
    {
        $tare = $container->tare();
        if ($tare === null) {
            return $in->fault('weight', 'Give the weight of the empty container first.');
        }
        if ($weight->isLessThan($tare)) {
            return $in->fault('weight', 'This is less than the empty container weighs.');
        }
        $net = $weight->minus($tare->to($weight->unit));
        if ($container->unit() === Unit::Gram) {
            return $net;
        }
        $version = $container->card->versions->first();
        $card =
            $version === null
                ? null
                : Card::read(Fields::of($version->body, new \Thicket\Input\Faults()), $this->catalogue);

        return $card?->contents->volumeOf($net) ??
            $in->fault(
                'weight',
                'The label card does not say what a litre weighs; measure the level, or add the density to the card.',
            );
    }
}
