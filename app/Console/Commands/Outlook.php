<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Resources\OutlookResource;
use Thicket\Assess\Board;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Outlook\StandOutlook;
use Thicket\Outlook\Terms;
use Thicket\Situation\SituationReader;

/**
 * The years ahead of one stand by one row of its board; needs no database. Schema and examples:
 * docs/schemas/outlook.schema.json, docs/examples.
 */
final class Outlook extends Twin
{
    private const MOST_LOOKS = 200;

    protected $signature = 'thicket:outlook {file=- : JSON file, or - for standard input}';

    protected $description = 'Look at the years ahead of one stand';

    protected function answer(Fields $in): array
    {
        $catalogue = app(Catalogue::class);
        $row = $in->text('row', 400) ?? '';
        $stand = $in->object('stand');
        $looks = [];
        foreach ($in->objects('looks', self::MOST_LOOKS) as $look) {
            $species = $look->text('species', 60) ?? '';
            $counted = $look->int('counted', 1, 1_000_000) ?? 1;
            $dead = $look->int('dead', 0, 1_000_000) ?? 0;
            $dead > $counted && $look->fault('dead', 'More are dead than were counted.');
            $looks[] = [
                'method' => $look->text('method', 60) ?? '',
                'active' => $look->textOrNull('active', 60),
                'species' => $species,
                'dead' => $dead,
                'counted' => $counted,
            ];
            $look->noOthers();
        }
        $terms = Terms::read($in);
        $in->noOthers();
        $reader = new SituationReader($catalogue);
        $situation = $reader->situation($stand);
        $board = Board::for($situation, $catalogue, $reader->schools($stand), $reader->shed($stand));
        $stand->noOthers();
        $chosen = null;
        foreach ($board->rows as $one) {
            $chosen = $one->option->id() === $row ? $one : $chosen;
        }
        $chosen === null && $row !== '' && $in->fault('row', "The board of this stand has no row {$row}.");
        $in->faults->throwIfAny();
        $outlook = StandOutlook::of(
            $situation,
            $chosen ?? throw new \LogicException('refused above'),
            $board->rows,
            $looks,
            $terms,
        );
        $resource = app(OutlookResource::class);

        return $outlook === null
            ? $resource->lacking($situation->target === null ? 'name' : 'figures')
            : $resource->of($outlook, $chosen->option->shed->prices?->currency, [
                'code' => 'count',
                'day' => $situation->day,
                'worked' => null,
                'left' => 1.0,
            ]);
    }
}
