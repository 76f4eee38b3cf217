<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Calendar\MonthDay;

/**
 * What the key reads of every species, worked out once when the catalogue is compiled: the chance of each state of each
 * character, and when leaf, flower and fruit show. Plain arrays, so that opcode caching keeps them.
 *
 * @phpstan-type Described array{chance: list<float>, part: list<float>, entropy: float}
 * @phpstan-type Table array<string, array{characters: array<string, Described|null>, shows: array<string, array{string,
 *     string}|null>, burns: list<string>, zones: array{int, int}|null}>
 */
final readonly class KeyTable
{
    /** Chance of seeing a state by the word the file gives it; docs/key.md says how they were chosen. */
    public const CHANCE = ['always' => 0.95, 'often' => 0.7, 'rarely' => 0.2, 'never' => 0.02];
    /** Of a character the file is silent on: about what any one state has on average. */
    public const UNDESCRIBED = 0.3;
    /**
     * Outside the zones it is hardy in a plant counts half (our guess): the zone weighs a name and never excludes it
     * (handbook 1).
     */
    public const OUT_OF_ZONE = 0.5;
    public const BURNING = ['poisonous', 'skin-burning-sap', 'skin-irritant', 'irritant-oil'];

    /** How long a thing shows where the file gives only its beginning: our guess, and generous. */
    private const BLOOM_DAYS = 60;
    private const LONGEST_BLOOM_DAYS = 120;
    private const FRUIT_BEFORE_RIPE_DAYS = 30;
    private const FRUIT_DAYS = 60;

    /**
     * @param list<array<string, mixed>> $characters rows of characters.yaml
     * @param array<string, array<string, mixed>> $species files of core/data/species by id
     *
     * @return Table by species; a character is null where the plant has no such thing, absent where the file is silent;
     *     shows is null all year
     */
    public static function compile(array $characters, array $species): array
    {
        $out = [];
        foreach ($species as $id => $file) {
            /** @var array<string, array<string, string>> $described */
            $described = $file['characters'];
            /** @var list<string> $hazards */
            $hazards = $file['hazards'];
            /** @var list<string> $lacks */
            $lacks = $file['lacks'] ?? [];
            $rows = [];
            foreach ($characters as $character) {
                /**
                 * @var array{id: string, states: list<string>,
                 *     only?: array{character: string, states: list<string>}} $character
                 */
                $only = $character['only'] ?? null;
                $has =
                    $only === null ||
                    !isset($described[$only['character']]) ||
                    array_intersect(
                        $only['states'],
                        array_keys(
                            array_filter($described[$only['character']], static fn(string $f): bool => $f !== 'never'),
                        ),
                    ) !== [];
                if (!$has || in_array($character['id'], $lacks, true)) {
                    $rows[$character['id']] = null;
                } elseif (isset($described[$character['id']])) {
                    $rows[$character['id']] = self::described($character['states'], $described[$character['id']]);
                }
            }
            /** @var array{from: int, to: int}|null $hardiness */
            $hardiness = $file['hardiness'] ?? null;
            $zones = $hardiness === null ? null : [$hardiness['from'], $hardiness['to']];
            $out[$id] = [
                'zones' => $zones,
                'characters' => $rows,
                'shows' => self::shows($file),
                'burns' => array_values(array_intersect(self::BURNING, $hazards)),
            ];
        }

        return $out;
    }

    /**
     * @param list<string> $states
     * @param array<string, string> $frequencies
     *
     * @return Described chance of each state in order; its part of the whole; entropy of the parts in bits
     */
    private static function described(array $states, array $frequencies): array
    {
        $unknown = array_diff(array_keys($frequencies), $states);
        if ($unknown !== []) {
            throw new \LogicException(
                'No such state: ' . implode(', ', $unknown) . '; there are: ' . implode(', ', $states),
            );
        }
        $chance = array_map(
            static fn(string $state): float => (float) (self::CHANCE[$frequencies[$state] ?? 'never'] ??
                throw new \LogicException("'{$frequencies[$state]}' is no frequency.")),
            $states,
        );
        $sum = max(self::CHANCE['never'], array_sum($chance));
        $part = array_map(static fn(float $one): float => $one / $sum, $chance);
        $entropy = 0.0;
        foreach ($part as $p) {
            $entropy -= $p * log($p, 2);
        }

        return ['chance' => $chance, 'part' => $part, 'entropy' => $entropy];
    }

    /**
     * @param array<string, mixed> $file
     *
     * @return array<string, array{string, string}|null> leaf, flower, fruit: catalogue days from and until; null all
     *     year or not known
     */
    private static function shows(array $file): array
    {
        /** @var array<string, string> $phenology */
        $phenology = array_filter(
            is_array($file['phenology']) ? $file['phenology'] : [],
            static fn(mixed $day): bool => $day !== 'unknown',
        );
        $leafy = ($file['evergreen'] ?? false) === true || $file['lifeCycle'] === 'biennial';
        $leafFrom = $phenology['leafOut'] ?? ($phenology['germination'] ?? null);
        $flower = $phenology['flower'] ?? null;
        $ripe = $phenology['fruitRipe'] ?? ($phenology['seedShed'] ?? null);
        $out = [
            'leaf' =>
                $leafy || $leafFrom === null || !isset($phenology['leafFall'])
                    ? null
                    : [$leafFrom, $phenology['leafFall']],
            'flower' =>
                $flower === null
                    ? null
                    : [$flower, $phenology['flowerEnd'] ?? self::bloomEnds($flower, $phenology['seedShed'] ?? null)],
            'fruit' =>
                $ripe === null
                    ? null
                    : [
                        self::later($ripe, -self::FRUIT_BEFORE_RIPE_DAYS),
                        isset($phenology['seedShed'])
                            ? self::later($phenology['seedShed'], self::FRUIT_BEFORE_RIPE_DAYS)
                            : self::later($ripe, self::FRUIT_DAYS),
                    ],
        ];
        /** @var array<string, array{from: string, until: string}> $given */
        $given = $file['visible'] ?? [];
        foreach ($given as $season => $window) {
            $out[$season] = [$window['from'], $window['until']];
        }

        return $out;
    }

    private static function bloomEnds(string $flower, ?string $shed): string
    {
        $least = self::later($flower, self::BLOOM_DAYS);
        $most = self::later($flower, self::LONGEST_BLOOM_DAYS);

        return $shed !== null && $shed > $least && $shed < $most ? $shed : $least;
    }

    /** The month and day so many days on. */
    private static function later(string $monthDay, int $days): string
    {
        return MonthDay::parse($monthDay)->inYear(2001)->modify(sprintf('%+d days', $days))->format('m-d');
    }
}
