<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\Stand;
use App\Repositories\Counts;
use App\Support\JobClock;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Situation\SituationReader;

/** A count as somebody made it: stems one by one, plots, seedlings in frames, cover by class. */
final readonly class TallyReader
{
    public function __construct(private Catalogue $catalogue, private JobClock $clock, private ZoneReader $zones) {}

    /**
     * @return array{zone_id: string|null, kind: string, visited_on: string, diameter_at: string|null, rows: mixed,
     *     body: mixed}
     */
    public function read(Fields $in, Stand $stand): array
    {
        $today = $this->clock->today($stand->patch->ground->time_zone);
        $visited = $in->pastDayOrNull('visitedOn', $today) ?? $today;
        $kind = $in->choiceOrNull('kind', ['stems', 'plots', 'seedlings', 'cover']) ?? 'stems';
        $zone = $this->zones->read($in, $stand);
        $at = $in->choiceOrNull('diameterAt', ['base', 'breast-height']);
        $rows = [];
        $body = null;
        if ($kind === 'stems') {
            $rows = $in->raw('rows');
            $reader = new SituationReader($this->catalogue);
            foreach ($in->objects('rows', 200, true) as $item) {
                $reader->stems($item);
            }
        } elseif ($kind === 'cover') {
            $body = [
                'class' => $in->choice('cover', array_column($this->catalogue->coefficients()->coverClasses(), 'id')),
            ];
        } else {
            $sample = $in->object('sample');
            Counts::readPlots($sample, $this->catalogue);
            $sample->raw('planId');
            $sample->noOthers();
            $body = $in->raw('sample');
            if (is_array($body)) {
                unset($body['planId']);
            }
        }

        return [
            'zone_id' => $zone?->id,
            'kind' => $kind,
            'visited_on' => $visited->format('Y-m-d'),
            'diameter_at' => $at,
            'rows' => $rows,
            'body' => $body,
        ];
    }
}
