<?php

declare(strict_types=1);

namespace Thicket\FieldDay;

/** Parts of a work record (handbook 7, rulings J29), in the order of its form. */
final class RecordFields
{
    /** What can be put right by adding to a signed record. */
    public const AMENDED = [
        'workedOn',
        'start',
        'stop',
        'people',
        'treated',
        'skipped',
        'mixUsed',
        'weather',
        'wind',
        'temperature',
        'equipment',
        ...self::FURTHER,
        'incident',
        'remarks',
        'other',
    ];
    /** What minutes and mL of the crew are learned from. */
    public const TAUGHT_BY = ['start', 'stop', 'people', 'treated', 'mixUsed'];
    /** What an inspector asks for besides. */
    public const FURTHER = [
        'owner',
        'supervisor',
        'mixers',
        'nozzle',
        'pressure',
        'height',
        'droplets',
        'instrument',
        'buffers',
        'permits',
        'notices',
        'leftovers',
        'containers',
    ];
    /** As spray is classed, the finest first. */
    public const DROPLETS = ['very-fine', 'fine', 'medium', 'coarse', 'very-coarse', 'extremely-coarse'];

    private function __construct() {}
}
