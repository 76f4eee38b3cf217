<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ReadTrackFile;
use App\Actions\TakeFieldNotes;
use App\Exceptions\Stopped;
use App\Models\FieldNote;
use App\Models\Sheet;
use App\Repositories\CrewRows;
use App\Resources\FieldResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Input\Refused;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Survey\Exchange\FileFormat;
use Thicket\Survey\Outline;

/** Notes of a field day, from phones that were without signal. */
final class FieldController extends Controller
{
    /** At once; a device sends the rest after. */
    private const MOST_NOTES = 200;
    /** What a browser can count to. */
    private const MOST_NUMBER = 9_007_199_254_740_991;

    public function __construct(private readonly FieldResource $resource) {}

    /** What others noted since, and what all notes tell together. */
    public function show(Request $request, string $sheetId): JsonResponse
    {
        $sheet = CrewRows::sheet($this->user($request), $sheetId);
        $in = $this->query($request);
        $after = $in->int('after', 0, self::MOST_NUMBER, 0) ?? 0;
        $this->done($in);

        return $this->json($this->body($sheet, $after));
    }

    public function store(Request $request, string $sheetId, TakeFieldNotes $take): JsonResponse
    {
        $sheet = CrewRows::sheet($this->user($request), $sheetId);
        $in = $this->fields($request);
        $after = $in->int('after', 0, self::MOST_NUMBER, 0) ?? 0;
        $notes = $in->raw('notes');
        if (!is_array($notes) || !array_is_list($notes) || $notes === [] || count($notes) > self::MOST_NOTES) {
            $in->fault('notes', 'Send 1 to ' . self::MOST_NOTES . ' notes at once.');
            $notes = [];
        }
        $this->done($in);

        $taken = $take($sheet, $this->user($request), $notes);
        if ($taken['taken'] + $taken['known'] === 0) {
            throw new Refused(
                array_map(
                    static fn(array $r): array => ['pointer' => $r['pointer'], 'message' => $r['message']],
                    $taken['refused'],
                ),
            );
        }

        return $this->json($taken + $this->body($sheet, $after));
    }

    /** A way that another device recorded. */
    public function storeTracks(
        Request $request,
        string $sheetId,
        ReadTrackFile $read,
        TakeFieldNotes $take,
    ): JsonResponse {
        $user = $this->user($request);
        $sheet = CrewRows::sheet($user, $sheetId);
        $in = $this->fields($request);
        $gpx = $in->document('gpx', FileFormat::MOST_BYTES);
        $this->done($in);
        ['notes' => $notes, 'known' => $known] = $read($sheet, $user, (string) $gpx);
        $taken = $take($sheet, $user, $notes);

        return $this->json(['known' => $taken['known'] + $known] + $taken + $this->body($sheet, 0));
    }

    /** What the tracks of the day cover of the patch as it stood when the sheet was issued. */
    public function coverage(Request $request, string $sheetId): JsonResponse
    {
        $sheet = CrewRows::sheet($this->user($request), $sheetId);
        $in = $this->query($request);
        $width = $in->positive('width', Dimension::Length);
        if ($width !== null && ($width->isLessThan(self::narrowest()) || $width->isGreaterThan(self::widest()))) {
            $in->fault('width', 'A pass is 10 cm to 50 m wide, such as 5 ft or 1.5 m.');
        }
        $this->done($in);
        $outline = $sheet->snapshot['map']['patch']['shape'] ?? null;
        if ($outline === null || $width === null) {
            throw new Stopped(409, 'This patch has no outline: nothing can be held against its ground.');
        }

        return $this->json($this->resource->coverage(Outline::fromGeoJson($outline), $sheet->fieldLog(), $width));
    }

    private static function narrowest(): Quantity
    {
        return Quantity::of(10, Unit::Centimetre);
    }

    private static function widest(): Quantity
    {
        return Quantity::of(50, Unit::Metre);
    }

    /** @return array<string, mixed> */
    private function body(Sheet $sheet, int $after): array
    {
        $notes = $sheet->load('fieldNotes')->fieldNotes;
        $signed = $sheet->steps->first()?->records->first();

        return [
            'notes' => $notes
                ->filter(static fn(FieldNote $n): bool => $n->number > $after)
                ->map($this->resource->note(...))
                ->values()
                ->all(),
            'last' => (int) $notes->max('number'),
            'withdrawn' => $sheet->withdrawn_at !== null,
            'signed' => $signed !== null,
            // noted or sent after the record was signed: kept beside it
            'late' => $signed === null ? 0 : $notes->where('record_id', null)->count(),
            'day' => $this->resource->day($sheet, $sheet->fieldLog()),
        ];
    }
}
