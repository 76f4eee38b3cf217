<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Resources\KeyResource;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\Catalogue;
use Thicket\Identify\Key;
use Thicket\Identify\ObservedCharacters;
use Thicket\Identify\SeasonalVisibility;
use Thicket\Input\Fields;

/**
 * Ranks the catalogue by what was seen; needs no database. Schema and examples: docs/schemas/identify.schema.json,
 * docs/examples.
 */
final class Identify extends Twin
{
    protected $signature = 'thicket:identify {file=- : JSON file, or - for standard input}';

    protected $description = 'Say what a plant could be from what was seen of it';

    protected function answer(Fields $in): array
    {
        $catalogue = app(Catalogue::class);
        $sight = ObservedCharacters::read($in, $catalogue);
        $day = $in->dayOrNull('date');
        $place = $in->has('place') ? $in->object('place') : null;
        $shift =
            $place === null
                ? SeasonShift::none()
                : SeasonShift::forPlace(
                    $place->decimal('latitude', '-85', '85') ?? '40',
                    $place->decimal('elevationMetres', '-430', '6000') ?? '200',
                );
        $zone = $place === null ? null : SeasonalVisibility::readZone($place);
        $place?->noOthers();
        $in->noOthers();
        $in->faults->throwIfAny();
        $result = app(KeyResource::class)->result(
            (new Key($catalogue))->rank(
                $sight,
                $day === null ? null : new SeasonalVisibility($shift, $day, zone: $zone),
            ),
        );
        unset($result['characters']);

        return ['catalogue' => $catalogue->hash] + $result;
    }
}
