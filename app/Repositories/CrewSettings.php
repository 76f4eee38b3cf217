<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Crew;
use Thicket\Outlook\Terms;

/** What a crew sets once for all its work, each with what holds where nobody said. */
final readonly class CrewSettings
{
    public const UNITS = ['us', 'metric'];
    /** Years for which records are kept at the least (rulings J29). */
    public const KEEP_YEARS = 7;
    /** In the order in which they are shown. */
    public const NAMES = [
        'name',
        'units',
        'locale',
        'jurisdiction',
        'poisonCentre',
        'currency',
        'stance',
        'fuelOil',
        'stemLeast',
        'stemMost',
        'doneBelow',
        'oneAlone',
        'keepYears',
    ];

    private function __construct() {}

    /** @return array<string, string|null> by name, as it is told */
    public static function of(Crew $crew): array
    {
        $s = $crew->settings;
        $flag = static fn(bool $on): string => $on ? 'yes' : 'no';

        return [
            'name' => $crew->name,
            'units' => $s['units'] ?? 'us',
            'locale' => $s['locale'] ?? 'en',
            'jurisdiction' => $s['jurisdiction'] ?? null,
            'poisonCentre' => $s['poisonCentre'] ?? null,
            'currency' => $crew->currency(),
            'stance' => $s['stance'] ?? 'any',
            'fuelOil' => $flag($s['fuelOil'] ?? false),
            'stemLeast' => $s['stemLimits']['stemLeast'] ?? null,
            'stemMost' => $s['stemLimits']['stemMost'] ?? null,
            'doneBelow' => $s['doneBelow'] ?? (string) (100 * Terms::DONE_BELOW),
            'oneAlone' => $flag($s['oneAlone'] ?? false),
            'keepYears' => (string) ($s['keepYears'] ?? self::KEEP_YEARS),
        ];
    }

    /**
     * @param array<string, string|null> $before
     * @param array<string, string|null> $after
     *
     * @return array<string, array{from: string|null, to: string|null}> what is another
     */
    public static function changes(array $before, array $after): array
    {
        $changes = [];
        foreach ($after as $name => $to) {
            $from = $before[$name] ?? null;
            $from === $to || ($changes[$name] = ['from' => $from, 'to' => $to]);
        }

        return $changes;
    }
}
