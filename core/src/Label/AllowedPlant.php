<?php

declare(strict_types=1);

namespace Thicket\Label;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;

/** A kind of plant, or one species, that a label allows a product to be laid among, from an age on (rulings J47). */
final readonly class AllowedPlant
{
    public const KINDS = ['tree', 'shrub', 'planting'];

    /** @param int $years time in the ground that the label asks for; 0 for any age */
    private function __construct(public string $kind, public ?string $species, public int $years) {}

    /** Reads one line {kind, species?, years?}; faults are noted at their fields. */
    public static function read(Fields $in, Catalogue $catalogue): ?self
    {
        $kind = $in->choice('kind', self::KINDS);
        $species = $in->textOrNull('species', 60);
        $known = $species === null ? null : $catalogue->speciesCalled($species);
        if ($species !== null && $known === null) {
            $in->fault('species', 'This species is not in the catalogue; leave it out for every plant of the kind.');
        }
        $years = $in->int('years', 0, 50, 0) ?? 0;
        $in->noOthers();

        return $kind === null ? null : new self($kind, $known?->id(), $years);
    }

    public function names(string $kind, ?string $species): bool
    {
        return $this->kind === $kind && ($this->species === null || $this->species === $species);
    }
}
