<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepSighting;
use App\Http\Readers\SightingReader;
use App\Http\SecurityLog;
use App\Models\Sighting;
use App\Repositories\CrewRows;
use App\Resources\SightingResource;
use App\Text\DarwinCore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Thicket\Catalogue\Catalogue;

/** What was found where, by whom, how surely. */
final class SightingController extends Controller
{
    private const PER_PAGE = 50;

    public function __construct(private readonly SightingResource $resource) {}

    public function index(Request $request, Catalogue $catalogue): JsonResponse
    {
        $in = $this->query($request);
        $ground = $in->uuidOrNull('ground');
        $species = $in->textOrNull('species', 60);
        $before = $in->uuidOrNull('before');
        if ($species !== null && $species !== 'unknown' && !$catalogue->hasSpecies($species)) {
            $in->fault('species', 'This species is not in the catalogue; say unknown for those without a name.');
        }
        $this->done($in);
        $query = Sighting::query()->ofCrew($this->user($request))->shown();
        $ground === null || $query->where('ground_id', $ground);
        $species === null || $query->where('species', $species === 'unknown' ? null : $species);
        if ($before !== null) {
            $last = Sighting::query()->ofCrew($this->user($request))->findOrFail($before);
            $query->where(
                fn($q) => $q
                    ->where('seen_at', '<', $last->seen_at)
                    ->orWhere(fn($same) => $same->where('seen_at', $last->seen_at)->where('id', '<', $last->id)),
            );
        }
        $page = $query
            ->orderByDesc('seen_at')
            ->orderByDesc('id')
            ->limit(self::PER_PAGE + 1)
            ->get();

        return $this->json([
            'data' => $page->take(self::PER_PAGE)->map($this->resource->sighting(...))->values()->all(),
            'next' => $page->count() > self::PER_PAGE ? $page->get(self::PER_PAGE - 1)?->id : null,
        ]);
    }

    public function show(Request $request, string $id): JsonResponse
    {
        return $this->answer($this->find($request, $id));
    }

    public function store(Request $request, KeepSighting $keep, SightingReader $reader): JsonResponse
    {
        $in = $this->fields($request);
        $given = $reader->read($in, $this->user($request), null);
        $this->done($in);
        $sighting = $keep($given, $this->user($request), null);

        return $this->answer($this->find($request, $sighting->id), 201);
    }

    /**
     * Place, observer, confidence, confirmer and remarks may be put right; what was seen and how it ranked stay as they
     * were.
     */
    public function update(Request $request, string $id, SightingReader $reader): JsonResponse
    {
        $sighting = $this->find($request, $id);
        $in = $this->fields($request);
        $row = $reader->details($in, $sighting->ground) + $reader->point($in, $sighting->ground);
        $this->done($in);
        $this->mustMatch($request, $sighting->revision, fn(): array => $this->resource->sighting($sighting));
        $sighting->forceFill($row + ['revision' => $sighting->revision + 1])->save();

        return $this->answer($this->find($request, $id));
    }

    /** @return Response Darwin Core occurrences */
    public function csv(Request $request, DarwinCore $file): Response
    {
        $in = $this->query($request);
        $groundId = $in->uuidOrNull('ground');
        $this->done($in);
        $ground = $groundId === null ? null : CrewRows::ground($this->user($request), $groundId);
        $query = Sighting::query()->ofCrew($this->user($request))->shown();
        $ground === null || $query->where('ground_id', $ground->id);

        SecurityLog::note('exported', $request, ['what' => 'sightings']);

        return new Response($file->of($query->orderBy('seen_at')->orderBy('id')->get()), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="sightings-' . Str::slug($ground->name ?? 'all') . '.csv"',
        ]);
    }

    private function answer(Sighting $sighting, int $status = 200): JsonResponse
    {
        return $this->json($this->resource->sighting($sighting), $status, $sighting->revision);
    }

    private function find(Request $request, string $id): Sighting
    {
        return Sighting::query()->ofCrew($this->user($request))->shown()->findOrFail($id);
    }
}
