<?php

declare(strict_types=1);

namespace Thicket\Safety;

use Thicket\Catalogue\Species;

/**
 * Parts of a plant that burn the skin, poison people or animals, or prick; for marking them on a drawing. The
 * catalogue says what a plant does, not with which part: where it is not in the word itself, every green part counts
 * (handbook 5).
 */
final readonly class DangerousParts
{
    private const GREEN = ['stem', 'leaf', 'flower', 'fruit'];
    /** What is worst comes first: a part bears one mark. */
    private const OF = [
        'burns' => [
            'skin-burning-sap' => self::GREEN,
            'irritant-oil' => ['stem', 'leaf', 'flower', 'fruit', 'root'],
            'skin-irritant' => ['stem', 'leaf'],
        ],
        'poisons' => [
            'poisonous' => ['stem', 'leaf', 'flower', 'fruit', 'root'],
            'cyanide-former' => self::GREEN,
            'toxic-when-eaten' => self::GREEN,
        ],
        'harmsStock' => [
            'toxic-when-wilted' => ['stem', 'leaf'],
            'toxic-to-stock' => self::GREEN,
            'poisonous-when-dry' => ['stem', 'leaf', 'flower'],
            'nitrate-former' => ['stem', 'leaf'],
        ],
        'pricks' => ['thorns' => ['thorn'], 'spines' => ['thorn']],
    ];

    /** @return array<string, 'burns'|'poisons'|'harmsStock'|'pricks'> part of the plant => the worst it does */
    public static function of(Species $species): array
    {
        $marked = [];
        foreach (self::OF as $does => $hazards) {
            foreach (array_intersect_key($hazards, array_flip($species->hazards())) as $parts) {
                $marked += array_fill_keys($parts, $does);
            }
        }

        return $marked;
    }
}
