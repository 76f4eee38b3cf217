<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Ground;
use App\Models\Patch;
use Thicket\Identify\ObservedCharacters;

/** One sighting as somebody tells it: where, what was seen, what it is taken for. */
final readonly class GivenSighting
{
    /**
     * More than six: a row of sightings before it is kept.
     *
     * @param list<array{pair: string, test?: string, points: string, by?: string}> $tests
     * @param array<string, mixed> $row columns of who, when, how sure, where
     * @param bool $founds whether it founds a stand on its patch
     */
    public function __construct(
        public ?string $id,
        public ?Patch $patch,
        public ?Ground $ground,
        public ObservedCharacters $sight,
        public ?string $species,
        public bool $unknown,
        public array $tests,
        public array $row,
        public bool $founds,
    ) {}
}
