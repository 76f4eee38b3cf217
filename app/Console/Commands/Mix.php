<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Wire\Wire;
use Thicket\Input\Fields;
use Thicket\Knowledge\Catalogue;
use Thicket\Mix\Sums;

/** One sum of mixing; needs no database. Schema and examples: docs/schemas/mix.schema.json, docs/examples. */
final class Mix extends Twin
{
    protected $signature = 'thicket:mix {file=- : JSON file, or - for standard input}';

    protected $description = 'Work out one mixing sum';

    protected function answer(Fields $in): array
    {
        $solved = (new Sums(app(Catalogue::class)))->solve($in);

        return ['outcome' => $solved['missing'] === [] ? 'solved' : 'cannotTell', 'values' => Wire::values($solved['values']), 'missing' => $solved['missing']];
    }
}
