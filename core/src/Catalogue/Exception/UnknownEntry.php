<?php

declare(strict_types=1);

namespace Thicket\Catalogue\Exception;

use Thicket\ThicketRefusal;

/** Somebody named a species, active, method or school that the catalogue does not hold. */
final class UnknownEntry extends \InvalidArgumentException implements ThicketRefusal
{
    public static function of(string $kind, string $id): self
    {
        return new self('There is no "' . mb_strimwidth(mb_scrub($id), 0, 40, '…') . "\" in the catalogue of {$kind}.");
    }
}
