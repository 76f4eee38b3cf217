<?php

declare(strict_types=1);

namespace Thicket\Timing;

use Thicket\Catalogue\Catalogue;
use Thicket\Season\LocalSpans;
use Thicket\Season\Phenology;
use Thicket\Situation\Situation;

/**
 * Spans of a year that bear on every method: frost, nesting, and the soft growth of what is kept (rulings J14:
 * seedlings, flowering and stressed keepers are taken as sensitive). Frost and nesting days are our guess
 * (coefficients.yaml), moved to the ground.
 */
final readonly class SensitivePeriods
{
    private const MOST_KEEPERS = 3;

    /**
     * @return list<array{kind: string, name: string, first: \DateTimeImmutable, last: \DateTimeImmutable}> name is that
     * of a keeper, else empty
     */
    public static function spans(Situation $situation, int $year, Catalogue $catalogue): array
    {
        $out = [];
        foreach ($situation->target?->isWoody() === true ? ['frost', 'nesting'] : ['frost'] as $kind) {
            foreach (LocalSpans::within($situation->shift, $catalogue->coefficients()->season($kind), $year) as $span) {
                $out[] = ['kind' => $kind, 'name' => ''] + $span;
            }
        }
        $told = [];
        foreach ($situation->keepers as $keeper) {
            $species = $keeper->speciesId === null ? null : $catalogue->species($keeper->speciesId);
            if ($species === null || isset($told[$species->id()]) || count($told) >= self::MOST_KEEPERS) {
                continue;
            }
            $phenology = new Phenology($species, $situation->shift);
            [$first, $last] = [$phenology->dayOf('leafOut', $year), $phenology->dayOf('fullLeaf', $year)];
            if ($first !== null && $last !== null && $first <= $last) {
                $told[$species->id()] = true;
                $out[] = ['kind' => 'keeper', 'name' => $keeper->name, 'first' => $first, 'last' => $last];
            }
        }

        return $out;
    }
}
