<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ImportShapes;
use App\Exceptions\Stopped;
use App\Http\Readers\ShapeFileReader;
use App\Http\SecurityLog;
use App\Models\Patch;
use App\Models\ProtectedFeature;
use App\Repositories\CrewRows;
use App\Resources\ImportResource;
use App\Support\ImportProgress;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Refused;
use Thicket\Situation\ProtectedFeature as KeeperKind;
use Thicket\Survey\Exchange\CsvFile;
use Thicket\Survey\Exchange\Entry;
use Thicket\Survey\Exchange\FileFormat;
use Thicket\Survey\Shape;

/** Shapes come and go as files: looked at first, then taken all or not at all; written out the way they came. */
final class ExchangeController extends Controller
{
    public function __construct(private readonly ShapeFileReader $reader, private readonly Catalogue $catalogue) {}

    /**
     * Every row of the file with what it would become, what is wrong with it, and what is here already. Nothing is
     * kept.
     */
    public function preview(Request $request, string $groundId, ImportResource $resource): JsonResponse
    {
        $ground = CrewRows::ground($this->user($request), $groundId);
        $in = $this->fields($request);
        [$format, $text, $columns] = $this->reader->read($in);
        $this->done($in);
        $headers = $format === FileFormat::Csv ? CsvFile::headers((string) $text) : [];
        $matched = $columns === [] && $headers !== [] ? CsvFile::guessed($headers) : $columns;
        try {
            $entries = $format?->read((string) $text, $columns) ?? [];
            $refusal = null;
        } catch (Refused $e) {
            // a table whose columns are not matched yet is no fault: its headers are shown for matching
            if ($headers === [] || !str_starts_with($e->faults[0]['pointer'], '/columns')) {
                throw $e;
            }
            [$entries, $refusal] = [[], $e->faults[0]['message']];
        }

        return $this->json(
            $resource->preview($ground, $format ?? FileFormat::GeoJson, $entries, $headers, $matched, $refusal),
        );
    }

    /** Takes the rows that were chosen, all of them or, where one is bad, none. */
    public function store(
        Request $request,
        string $groundId,
        ImportShapes $import,
        ImportProgress $progress,
    ): JsonResponse {
        $ground = CrewRows::ground($this->user($request), $groundId);
        $in = $this->fields($request);
        [$format, $text, $columns] = $this->reader->read($in);
        $rows = [];
        foreach ($in->objects('rows', FileFormat::MOST_ENTRIES, true) as $item) {
            $rows[] = [
                'entry' => $item->int('entry', 0, FileFormat::MOST_ENTRIES),
                'pointer' => $item->pointer,
                'as' => ($as = $item->choice('as', ['patch', 'keeper', 'leave'])),
                'name' => $as === 'leave' ? $item->textOrNull('name', 120) : $item->text('name', 120),
                'setting' =>
                    $as === 'patch' ? $item->choice('setting', $this->catalogue->sites()) : $item->raw('setting'),
                'kind' => $as === 'keeper' ? $item->choice('kind', KeeperKind::KINDS) : $item->raw('kind'),
            ];
            $item->noOthers();
        }
        $this->done($in);
        $progress->begin($this->user($request)->id, (string) $request->headers->get('Idempotency-Key'), count($rows));
        $entries = $format?->read((string) $text, $columns) ?? [];

        return $this->json($import($ground, $entries, $rows, $this->user($request)), 201);
    }

    /** How many rows of an import are through; it is named by its Idempotency-Key. */
    public function progress(Request $request, string $import): JsonResponse
    {
        return $this->json($this->known($request, $import));
    }

    /** An import on its way is stopped, and nothing of it is kept. */
    public function stop(Request $request, string $import): JsonResponse
    {
        $known = $this->known($request, $import);
        ImportProgress::stop($this->user($request)->id, $import);

        return $this->json($known);
    }

    /** @return array{done: int, of: int} */
    private function known(Request $request, string $import): array
    {
        return ImportProgress::of($this->user($request)->id, $import) ??
            throw new Stopped(404, 'No import of yours goes by this key; it may not have begun yet.');
    }

    /** Patches in use and everything drawn, as a file; properties that came in go out again. */
    public function export(Request $request, string $groundId): Response
    {
        $ground = CrewRows::ground($this->user($request), $groundId)->load(['patches.outline', 'keepers']);
        $in = $this->query($request);
        $format = FileFormat::from($in->choice('format', array_column(FileFormat::cases(), 'value')) ?? 'geojson');
        $this->done($in);
        $entries = [];
        foreach ($ground->patches as $patch) {
            if ($patch->archived_at === null && $patch->outline !== null) {
                $entries[] = $this->patchEntry(count($entries) + 1, $patch);
            }
        }
        foreach ($ground->keepers as $keeper) {
            $entries[] = $this->keeperEntry(count($entries) + 1, $keeper);
        }
        SecurityLog::note('exported', $request, ['what' => 'ground', 'format' => $format->value]);
        $name = Str::slug($ground->name) . '.' . $format->value;

        return new Response($format->write($entries), 200, [
            'Content-Type' => $format->mediaType(),
            'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }

    private function patchEntry(int $row, Patch $patch): Entry
    {
        return Entry::of(
            $row,
            $patch->name,
            Shape::fromGeoJson($patch->outline?->outline),
            ($patch->properties ?? []) + [
                'thicket_what' => 'patch',
                'thicket_setting' => $patch->setting,
                'thicket_area_m2' => rtrim(rtrim((string) $patch->outline?->area_m2, '0'), '.'),
            ],
        );
    }

    private function keeperEntry(int $row, ProtectedFeature $keeper): Entry
    {
        $ours = ['thicket_what' => 'keeper', 'thicket_kind' => $keeper->kind];
        foreach (['species' => 'species', 'crownRadius' => 'crown_radius', 'height' => 'height'] as $field => $called) {
            $value = $keeper->body[$field] ?? null;
            $typed = is_array($value) ? $value['typed'] ?? null : $value;
            is_string($typed) && ($ours["thicket_{$called}"] = $typed);
        }

        return Entry::of($row, $keeper->name, Shape::fromGeoJson($keeper->shape), ($keeper->properties ?? []) + $ours);
    }
}
