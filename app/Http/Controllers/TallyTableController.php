<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\SecurityLog;
use App\Models\Tally;
use App\Repositories\Counts;
use App\Repositories\CrewRows;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Situation\SituationReader;
use Thicket\Survey\Exchange\CsvFile;

/** A tally as a table, in and out. */
final class TallyTableController extends Controller
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

    public function __construct(private readonly Catalogue $catalogue) {}

    /** The stems that hold, as a table. */
    public function show(Request $request, string $standId, Counts $counts): Response
    {
        $stand = CrewRows::stand($this->user($request), $standId);
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
    public function read(Request $request, string $standId): JsonResponse
    {
        CrewRows::openStand($this->user($request), $standId);
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
}
