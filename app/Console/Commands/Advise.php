<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Wire\BoardWire;
use Thicket\Input\Fields;
use Thicket\Knowledge\Catalogue;
use Thicket\Methods\Board;
use Thicket\Methods\SituationReader;
use Thicket\Methods\Weights;

/** The board of one situation; needs no database. Schema and examples: docs/schemas/advise.schema.json, docs/examples. */
final class Advise extends Twin
{
    protected $signature = 'thicket:advise {file=- : JSON file, or - for standard input}';

    protected $description = 'Judge every method for one situation';

    protected function answer(Fields $in): array
    {
        $catalogue = app(Catalogue::class);
        $reader = new SituationReader($catalogue);
        $situation = $reader->situation($in);
        $schools = $reader->schools($in);
        $shed = $reader->shed($in);
        $weights = Weights::read($in);
        $in->noOthers();
        $in->faults->throwIfAny();

        return app(BoardWire::class)->board(Board::for($situation, $catalogue, $schools, $shed, null, $weights), $situation);
    }
}
