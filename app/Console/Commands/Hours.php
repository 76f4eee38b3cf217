<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Resources\HoursResource;
use Thicket\Assess\Board;
use Thicket\Catalogue\Catalogue;
use Thicket\Hours\HourBoard;
use Thicket\Hours\Place;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Situation\SituationReader;
use Thicket\Weather\ForecastReader;

/**
 * The hours of one way of working on one stand under one forecast; needs no database. Schema and examples:
 * docs/schemas/hours.schema.json, docs/examples.
 */
final class Hours extends Twin
{
    protected $signature = 'thicket:hours {file=- : JSON file, or - for standard input}';

    protected $description = 'Hold the hours of a forecast against one way of working';

    protected function answer(Fields $in): array
    {
        $catalogue = app(Catalogue::class);
        $row = $in->text('row', 400) ?? '';
        $stand = $in->object('stand');
        $where = $in->object('place');
        $place = [
            $where->decimal('latitude', '-90', '90'),
            $where->decimal('longitude', '-180', '180'),
            $where->decimal('elevationMetres', '-500', '9000'),
        ];
        $zone = $where->text('timeZone', 60) ?? 'UTC';
        in_array($zone, \DateTimeZone::listIdentifiers(), true) ||
            $where->fault('timeZone', 'Give a time zone such as America/New_York.');
        $where->noOthers();
        $days = $in->int('days', 1, HourBoard::DAYS, HourBoard::DAYS) ?? HourBoard::DAYS;
        $weather = $in->raw('weather');
        $in->noOthers();
        $reader = new SituationReader($catalogue);
        $situation = $reader->situation($stand);
        $judged = Board::rowOf($row, $situation, $catalogue, $reader->schools($stand), $reader->shed($stand));
        $stand->noOthers();
        $judged === null && $row !== '' && $in->fault('row', "The board of this stand has no row {$row}.");
        $in->faults->throwIfAny();
        try {
            $forecast = ForecastReader::read($weather, $situation->now);
        } catch (Refused $e) {
            throw Refused::at("/weather{$e->faults[0]['pointer']}", $e->faults[0]['message']);
        }
        [$latitude, $longitude, $elevation] = array_map(floatval(...), $place);
        $place = new Place($latitude, $longitude, $elevation, new \DateTimeZone($zone));

        return app(HoursResource::class)->board(
            HourBoard::of(
                $situation,
                [($judged ?? throw new \LogicException('refused above'))->option],
                $forecast,
                $place,
                $days,
            ),
            $forecast,
            $place,
        );
    }
}
