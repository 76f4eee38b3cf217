<?php

declare(strict_types=1);

namespace Thicket\Measure\Exception;

use Thicket\Measure\Dimension;
use Thicket\Measure\Reading;
use Thicket\Measure\Unit;
use Thicket\ThicketRefusal;

/** A unit of one kind was given where another kind is needed. */
final class UnitMismatch extends \InvalidArgumentException implements ThicketRefusal
{
    private function __construct(string $message, public readonly Dimension $wanted, public readonly Unit $given)
    {
        parent::__construct($message);
    }

    public static function wanted(Dimension $wanted, Unit $given): self
    {
        $words = static fn(Dimension $d): string => str_replace('-', ' ', $d->value);
        $weighed =
            $given->dimension() === Dimension::MassShare ? ' Percent by weight needs the weight of a litre.' : '';

        return new self(
            "Give {$words($wanted)} here, such as " .
                Reading::example($wanted) .
                "; {$given->label()} measures {$words($given->dimension())}.{$weighed}",
            $wanted,
            $given,
        );
    }
}
