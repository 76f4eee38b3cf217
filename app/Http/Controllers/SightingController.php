<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepSighting;
use App\Http\SecurityLog;
use App\Models\Ground;
use App\Models\Photo;
use App\Models\Sealed;
use App\Models\Sighting;
use App\Photos\PhotoStore;
use App\Resources\SightingResource;
use App\Seal\Chain;
use App\Text\DarwinCore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Refused;

/** Sightings with their place, their confirmer and their photos; as a list, and as a file that others can read. */
final class SightingController extends Controller
{
    private const PER_PAGE = 50;
    private const MOST_PHOTOS = 12;

    public function __construct(private readonly SightingResource $wire) {}

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
            'data' => $page->take(self::PER_PAGE)->map($this->wire->sighting(...))->values()->all(),
            'next' => $page->count() > self::PER_PAGE ? $page->get(self::PER_PAGE - 1)?->id : null,
        ]);
    }

    public function show(Request $request, string $id): JsonResponse
    {
        return $this->answer($this->find($request, $id));
    }

    public function store(Request $request, KeepSighting $keep): JsonResponse
    {
        $sighting = $keep($this->fields($request), $this->user($request), null);

        return $this->answer($this->find($request, $sighting->id), 201);
    }

    /**
     * Place, observer, confidence, confirmer and remarks may be put right; what was seen and how it ranked stay as they
     * were.
     */
    public function update(Request $request, string $id, KeepSighting $keep): JsonResponse
    {
        $sighting = $this->find($request, $id);
        $in = $this->fields($request);
        $row = $keep->told($in, $sighting->ground) + $keep->point($in, $sighting->ground);
        $this->done($in);
        $this->mustMatch($request, $sighting->revision, fn(): array => $this->wire->sighting($sighting));
        $sighting->forceFill($row + ['revision' => $sighting->revision + 1])->save();

        return $this->answer($this->find($request, $id));
    }

    /** The place that the camera wrote is told in the answer and kept nowhere; the person takes it over or not. */
    public function storePhoto(Request $request, string $id, PhotoStore $store, Chain $chain): JsonResponse
    {
        $sighting = $this->find($request, $id);
        $upload = $request->file('photo');
        if (!($upload instanceof UploadedFile) || !$upload->isValid()) {
            throw Refused::at(
                '/photo',
                $upload instanceof UploadedFile
                    ? 'The picture did not arrive whole; it may be larger than 12 MB.'
                    : 'Send one picture as the form field photo.',
            );
        }
        if ($sighting->photos->count() >= self::MOST_PHOTOS) {
            throw Refused::at('/photo', 'A sighting holds at most ' . self::MOST_PHOTOS . ' pictures.');
        }
        $photoId = (string) Str::uuid7();
        $taken = $store->take($upload->getPathname(), $photoId);
        $offered = $taken['offered'];
        unset($taken['offered']);
        try {
            $photo = Photo::create(
                ['id' => $photoId, 'sighting_id' => $sighting->id, 'made_by' => $this->user($request)->id] + $taken,
            );
            $chain->add($sighting->ground->crew_id, Sealed::Photo, $photo->id);
        } catch (\Throwable $e) {
            $store->drop($photoId);
            throw $e;
        }

        return $this->json(
            [
                'sighting' => $this->wire->sighting($this->find($request, $id)),
                'photo' => $photoId,
                'offeredPlace' => $offered,
            ],
            201,
        );
    }

    public function dropPhoto(Request $request, string $id, PhotoStore $store, Chain $chain): JsonResponse
    {
        $photo = $this->photo($id);
        Gate::authorize('delete', $photo);
        $chain->add($photo->sighting->ground->crew_id, Sealed::PhotoDropped, $photo->id);
        $photo->delete();
        // the file goes once it is sure that the row is gone
        DB::afterCommit(static fn() => $store->drop($photo->file));

        return $this->answer($this->find($request, $photo->sighting_id));
    }

    /** Opened by an img element, so by the plain session. */
    public function photoFile(string $id, string $size, PhotoStore $store): BinaryFileResponse
    {
        $photo = $this->photo($id);
        Gate::authorize('view', $photo);

        return new BinaryFileResponse(
            $store->path($photo->file, $size),
            200,
            [
                'Content-Type' => 'image/jpeg',
                'Cache-Control' => 'private, max-age=86400',
                'Content-Security-Policy' => "default-src 'none'",
            ],
            false,
        );
    }

    /** @return Response Darwin Core occurrences */
    public function csv(Request $request, DarwinCore $file): Response
    {
        $in = $this->query($request);
        $groundId = $in->uuidOrNull('ground');
        $this->done($in);
        $ground = $groundId === null ? null : Ground::query()->ofCrew($this->user($request))->findOrFail($groundId);
        $query = Sighting::query()->ofCrew($this->user($request))->shown();
        $ground === null || $query->where('ground_id', $ground->id);

        SecurityLog::note('exported', $request, ['what' => 'sightings']);

        return new Response($file->of($query->orderBy('seen_at')->orderBy('id')->get()), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="sightings-' . Str::slug($ground->name ?? 'all') . '.csv"',
        ]);
    }

    private function photo(string $id): Photo
    {
        return Photo::query()
            ->with(['sighting.ground'])
            ->findOrFail($id);
    }

    private function find(Request $request, string $id): Sighting
    {
        return Sighting::query()->ofCrew($this->user($request))->shown()->findOrFail($id);
    }

    private function answer(Sighting $sighting, int $status = 200): JsonResponse
    {
        return $this->json($this->wire->sighting($sighting), $status, $sighting->revision);
    }
}
