<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Wire\KeyWire;
use Thicket\Input\Fields;
use Thicket\Knowledge\Catalogue;
use Thicket\Plants\Key;

/** Ranks the catalogue by what was seen; needs no database. Schema and examples: docs/schemas/identify.schema.json, docs/examples. */
final class Identify extends Twin
{
    protected $signature = 'thicket:identify {file=- : JSON file, or - for standard input}';

    protected $description = 'Say what a plant could be from what was seen of it';

    protected function answer(Fields $in): array
    {
        $seen = $in->map('seen');
        $in->noOthers();
        $in->faults->throwIfAny();
        $catalogue = app(Catalogue::class);
        $result = app(KeyWire::class)->result((new Key($catalogue))->rank($seen));
        unset($result['characters']);

        return ['catalogue' => $catalogue->hash] + $result;
    }
}
