<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Http\SecurityLog;
use App\Models\PlotPlan;
use App\Models\Stand;
use App\Models\Tally;
use App\Models\Zone;
use App\Repositories\Counts;
use App\Resources\CountResource;
use App\Resources\StandResource;
use App\Support\JobClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Measure\Dimension;
use Thicket\Situation\SituationReader;
use Thicket\Survey\Exchange\CsvFile;
use Thicket\Survey\Outline;
use Thicket\Survey\PlotPlan as Placing;

/**
 * How much of it there is: stems one by one, in sample plots, seedlings in frames, cover by class. Counts are added,
 * never overwritten.
 */
final class TallyController extends Controller
{
    /** Columns of a tally as a table, and the field each fills. */
    private const CSV = [
        'from' => 'from',
        'below' => 'below',
        'diameter' => 'diameter',
        'girth' => 'girth',
        'count' => 'count',
        'stems per clump' => 'stemsPerClump',
        'bark' => 'bark',
        'height' => 'height',
        'estimated' => 'estimated',
    ];
    private const MOST_CSV_BYTES = 200_000;
    private const MOST_CSV_ROWS = 200;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly JobClock $clock,
        private readonly CountResource $wire,
    ) {}

    public function put(Request $request, string $standId, StandResource $stands): JsonResponse
    {
        $stand = $this->find($request, $standId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $today = $this->clock->today($stand->patch->ground->time_zone);
        $visited = $in->pastDayOrNull('visitedOn', $today) ?? $today;
        $kind = $in->choiceOrNull('kind', ['stems', 'plots', 'seedlings', 'cover']) ?? 'stems';
        $zone = $this->zone($in, $stand);
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
                'class' => $in->choice(
                    'cover',
                    array_values(
                        array_map(
                            static fn($c): string => $c->string('id'),
                            $this->catalogue->coefficients()->node('cover')->nodes('classes'),
                        ),
                    ),
                ),
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
        $this->done($in);
        $this->mustBeNew($id, new Tally());
        Tally::create(
            array_filter(['id' => $id]) + [
                'stand_id' => $stand->id,
                'zone_id' => $zone?->id,
                'kind' => $kind,
                'visited_on' => $visited->format('Y-m-d'),
                'diameter_at' => $at,
                'rows' => $rows,
                'body' => $body,
                'made_by' => $this->user($request)->id,
            ],
        );

        return $this->json($stands->stand($fresh = $this->find($request, $standId)), 200, $fresh->revision);
    }

    /** What holds now, what follows from it, and every count that was made. */
    public function count(Request $request, string $standId): JsonResponse
    {
        $stand = $this->find($request, $standId);
        $in = $this->query($request);
        $share = $in->has('share') ? $in->decimal('share', '0.01', '1') : '0.2';
        $this->done($in);

        return $this->json($this->wire->count($stand, (float) ($share ?? '0.2')));
    }

    /** Where to put plots; asked again with the same seed it gives the same. */
    public function plan(Request $request, string $standId): JsonResponse
    {
        $stand = $this->find($request, $standId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $plots = $in->int('plots', 2, Placing::MOST_PLOTS);
        $typed = $in->raw('radius');
        $radius = $in->quantity('radius', Dimension::Length);
        $placement = $in->choice('placement', Placing::PLACEMENTS);
        $seed = $in->int('seed', 1, 2_000_000_000, random_int(1, 999_999));
        $zone = $this->zone($in, $stand);
        $outline = $zone !== null ? $zone->outline : $stand->patch->outline?->outline;
        if ($radius !== null && ($radius->isZero() || $radius->in(\Thicket\Measure\Unit::Metre)->isGreaterThan(50))) {
            $in->fault('radius', 'A plot has a radius above nought and at most 50 m.');
        }
        if ($outline === null) {
            $in->fault('plots', 'Draw the outline of the patch first.');
        }
        $this->done($in);
        $this->mustBeNew($id, new PlotPlan());
        if ($plots === null || $radius === null || $placement === null || $seed === null || $outline === null) {
            throw new \LogicException('A plot plan without its figures.');
        }
        $placed = Placing::place(Outline::trusted($outline['coordinates']), $plots, $radius, $placement, $seed);
        $plan = PlotPlan::create(
            array_filter(['id' => $id]) + [
                'stand_id' => $stand->id,
                'zone_id' => $zone?->id,
                'radius' => is_string($typed) ? $typed : "{$radius->toWire()['value']} {$radius->toWire()['unit']}",
                'placement' => $placement,
                'seed' => $seed,
                'plots' => array_map(
                    static fn(array $p): array => ['position' => $p['position'], 'inside' => $p['inside']->toWire()],
                    $placed,
                ),
                'made_by' => $this->user($request)->id,
            ],
        );

        return $this->json($this->wire->plan($plan), 201);
    }

    /** The stems that hold, as a table. */
    public function csv(Request $request, string $standId, Counts $counts): Response
    {
        $stand = $this->find($request, $standId);
        $rows = [['zone', 'visited', ...array_keys(self::CSV)]];
        foreach ($counts->current($stand, ['stems']) as $tally) {
            foreach ($tally->rows as $row) {
                $cells = [$tally->zone->name ?? '', $tally->visited_on->format('Y-m-d')];
                foreach (self::CSV as $field) {
                    $value = $row[$field] ?? '';
                    $value = is_array($value)
                        ? $value['typed'] ?? ($value['value'] ?? '') . ' ' . ($value['unit'] ?? '')
                        : $value;
                    $cells[] = is_bool($value) ? ($value ? 'yes' : 'no') : (is_scalar($value) ? (string) $value : '');
                }
                $rows[] = $cells;
            }
        }
        SecurityLog::note('exported', $request, ['what' => 'tally']);

        return new Response(CsvFile::written($rows), 200, [
            'Content-Type' => 'text/csv',
            'Content-Disposition' => 'attachment; filename="tally-' . Str::slug($stand->patch->name) . '.csv"',
        ]);
    }

    /** Reads a table into rows of the grid; nothing is kept, each bad row is named. */
    public function readCsv(Request $request, string $standId): JsonResponse
    {
        $this->find($request, $standId);
        $in = $this->fields($request);
        $text = $in->raw('text');
        if (!is_string($text) || strlen($text) > self::MOST_CSV_BYTES || !mb_check_encoding($text, 'UTF-8')) {
            throw Refused::at('/text', 'Bring a CSV table of at most 200 kB, saved as UTF-8.');
        }
        $this->done($in);
        $text = (string) preg_replace('/^\xEF\xBB\xBF/', '', $text);
        $decimalComma = CsvFile::delimiter($text) !== ',';
        $table = CsvFile::table($text, self::MOST_CSV_ROWS);
        if (count($table) > self::MOST_CSV_ROWS + 1) {
            throw Refused::at(
                '/text',
                'A count has at most ' . self::MOST_CSV_ROWS . ' rows; add up stems of one size.',
            );
        }
        $headers = array_map(static fn(string $h): string => strtolower(trim($h)), array_shift($table) ?? []);
        if (!in_array('count', $headers, true) || array_intersect(['from', 'diameter', 'girth'], $headers) === []) {
            throw Refused::at('/text', 'The header needs count, and diameter, girth, or from and below.');
        }
        $rows = [];
        $faults = [];
        foreach ($table as $i => $cells) {
            $rows[] = $row = self::rowOf(
                $headers,
                array_map(static fn(string $cell): string => CsvFile::number($cell, $decimalComma), $cells),
            );
            $item = Fields::of($row, $own = new \Thicket\Input\Faults());
            (new SituationReader($this->catalogue))->stems($item);
            try {
                $own->throwIfAny();
            } catch (Refused $e) {
                $faults[] = ['row' => $i + 2, 'message' => $e->faults[0]['message']];
            }
        }

        return $this->json(['rows' => $rows, 'faults' => $faults]);
    }

    /**
     * @param list<string> $headers
     * @param list<string> $cells
     *
     * @return array<string, mixed>
     */
    private static function rowOf(array $headers, array $cells): array
    {
        $row = [];
        foreach ($headers as $column => $header) {
            $field = self::CSV[$header] ?? null;
            $cell = trim($cells[$column] ?? '');
            if ($field === null || $cell === '') {
                continue;
            }
            $row[$field] = match ($field) {
                'count', 'stemsPerClump' => ctype_digit($cell) && strlen($cell) < 9 ? (int) $cell : -1,
                'estimated' => in_array(strtolower($cell), ['yes', 'true', '1'], true),
                default => $cell,
            };
        }

        return $row;
    }

    private function zone(Fields $in, Stand $stand): ?Zone
    {
        $id = $in->uuidOrNull('zoneId');
        $zone =
            $id === null
                ? null
                : Zone::query()->where('patch_id', $stand->patch_id)->where('archived_at', null)->find($id);
        if ($id !== null && $zone === null) {
            $in->fault('zoneId', 'This patch has no such zone.');
        }

        return $zone;
    }

    private function find(Request $request, string $id): Stand
    {
        $stand = Stand::query()->ofCrew($this->user($request))->withTrail()->findOrFail($id);

        return $stand->closed_at !== null && $request->method() !== 'GET'
            ? throw new Stopped(409, 'This stand is closed.')
            : $stand;
    }
}
