<?php

declare(strict_types=1);

namespace Thicket\Catalogue\Exception;

/** A data file does not fit its schema; a fault of ours, found when the catalogue is compiled. */
final class BrokenData extends \LogicException
{
    /** @param list<string> $faults each "file: pointer: what is wrong" */
    public static function in(array $faults): self
    {
        return new self("core/data does not fit its schemas:\n- " . implode("\n- ", $faults));
    }
}
