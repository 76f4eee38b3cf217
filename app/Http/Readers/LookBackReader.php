<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\Record;
use App\Support\Format;
use App\Support\JobClock;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Review\LookSigns;
use Thicket\Survey\Positions;

/** What was seen of the work of a record: in all or plot by plot, and what else the crew goes by. */
final readonly class LookBackReader
{
    private const MOST = 1_000_000;
    private const MOST_PLOTS = 60;

    public function __construct(private JobClock $clock) {}

    /** @return array{looked: \DateTimeImmutable|null, scored: bool, body: array<string, mixed>} */
    public function read(Fields $in, Record $record): array
    {
        $looked = $in->pastDay('lookedOn', $this->clock->today($record->patch->ground->time_zone));
        $scored = $in->bool('scored', false);
        $plots = $this->plots($in);
        $count = $plots === [] ? self::count($in, true) : self::sum($plots);
        $in->has('plots') || $in->raw('plots');
        $plots === [] || array_map($in->raw(...), ['counted', 'dead', 'resprouted']);
        $tops = $in->intOrNull('topDead', 0, self::MOST);
        if ($tops !== null && ($tops < ($count['dead'] ?? 0) || $tops > ($count['counted'] ?? 0))) {
            $in->fault('topDead', 'Tops that are dead: at least as many as roots, at most as many as were counted.');
        }
        $shoots = $in->intOrNull('shoots', 0, self::MOST);
        if ($shoots !== null && $shoots < ($count['resprouted'] ?? 0)) {
            $in->fault('shoots', 'Each that came back has one shoot at least.');
        }
        $seedlings = $in->intOrNull('seedlings', 0, self::MOST);
        $area = $in->positiveOrNull('seedlingArea', Dimension::Area);
        if ($seedlings !== null && $area === null) {
            $in->fault('seedlingArea', 'On how much ground were the seedlings counted?');
        }
        $injury = $in->choiceOrNull('injury', LookSigns::INJURIES);
        $injured = $in->intOrNull('injured', 0, self::MOST);
        $released = $in->intOrNull('released', 0, self::MOST);
        $measured = [];
        foreach ($in->objects('measured', count(LookSigns::MEASURED)) as $one) {
            $measured[] = ['what' => $one->choice('what', LookSigns::MEASURED), 'value' => $one->text('value', 80)];
            $one->noOthers();
        }
        $remarks = $in->textOrNull('remarks', 2000);
        if ($looked !== null && $looked->format('Y-m-d') < $record->worked_on->format('Y-m-d')) {
            $in->fault('lookedOn', 'This day lies before the work.');
        }

        return [
            'looked' => $looked,
            'scored' => $scored,
            'body' => $count +
                array_filter(
                    [
                        'plots' => $plots,
                        'topDead' => $tops,
                        'shoots' => $shoots,
                        'seedlings' => $seedlings,
                        'seedlingArea' => Format::quantity($area),
                        'injury' => $injury,
                        'injured' => $injured,
                        'released' => $released,
                        'measured' => $measured,
                    ],
                    static fn(mixed $given): bool => $given !== null && $given !== [],
                ) + ['remarks' => $remarks],
        ];
    }

    /** @return list<array{counted: int, dead: int, resprouted: int, position?: array{float, float}}> */
    private function plots(Fields $in): array
    {
        $plots = [];
        foreach ($in->has('plots') ? $in->objects('plots', self::MOST_PLOTS) : [] as $plot) {
            ['counted' => $counted, 'dead' => $dead, 'resprouted' => $resprouted] = self::count($plot, false);
            $position = $plot->has('position') ? Positions::read($plot, 'position') : null;
            $plot->noOthers();
            $plots[] =
                ['counted' => $counted ?? 0, 'dead' => $dead ?? 0, 'resprouted' => $resprouted ?? 0] +
                array_filter(['position' => $position]);
        }
        $plots !== [] &&
            array_sum(array_column($plots, 'counted')) < 1 &&
            $in->fault('plots', 'No plant was counted in any of the plots.');

        return $plots;
    }

    /** @return array{counted: int|null, dead: int|null, resprouted: int|null} */
    private static function count(Fields $in, bool $some): array
    {
        $counted = $in->int('counted', $some ? 1 : 0, self::MOST);
        $dead = $in->int('dead', 0, self::MOST);
        $resprouted = $in->int('resprouted', 0, self::MOST, 0);
        if ($counted !== null && ($dead ?? 0) + ($resprouted ?? 0) > $counted) {
            $in->fault('dead', 'Dead and resprouted together are more than were counted.');
        }

        return ['counted' => $counted, 'dead' => $dead, 'resprouted' => $resprouted];
    }

    /**
     * @param non-empty-list<array{counted: int, dead: int, resprouted: int, ...}> $plots
     *
     * @return array{counted: int, dead: int, resprouted: int}
     */
    private static function sum(array $plots): array
    {
        $sum = static fn(string $of): int => (int) array_sum(array_column($plots, $of));

        return ['counted' => $sum('counted'), 'dead' => $sum('dead'), 'resprouted' => $sum('resprouted')];
    }
}
