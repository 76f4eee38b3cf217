<?php

declare(strict_types=1);

namespace App\Resources;

use Thicket\Catalogue\Species;
use Thicket\Safety\DangerousParts;

/** What a plant is drawn from: its looks, the surest first, and the parts that are to be marked. */
final readonly class DrawingResource
{
    private const SUREST_FIRST = ['always', 'often', 'rarely'];

    /** @return array{looks: object, marked: object} openapi Drawing */
    public static function of(Species $species): array
    {
        $looks = [];
        foreach ($species->characters() as $character => $frequencies) {
            foreach (self::SUREST_FIRST as $frequency) {
                foreach (array_keys($frequencies, $frequency, true) as $state) {
                    $looks[$character][] = $state;
                }
            }
        }

        return ['looks' => (object) $looks, 'marked' => (object) DangerousParts::of($species)];
    }
}
