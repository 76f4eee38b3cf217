<?php

declare(strict_types=1);

namespace Thicket\Measure\Exception;

use Thicket\Measure\Dimension;
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
        return new self("Give a {$wanted->value}; '{$given->value}' measures {$given->dimension()->value}.", $wanted, $given);
    }
}
