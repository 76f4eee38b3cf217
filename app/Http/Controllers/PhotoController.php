<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Photo;
use App\Models\Sealed;
use App\Models\Sighting;
use App\Photos\PhotoStore;
use App\Resources\SightingResource;
use App\Seal\Chain;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Thicket\Input\Refused;

/** Photos of a sighting. */
final class PhotoController extends Controller
{
    private const MOST_PHOTOS = 12;

    public function __construct(private readonly SightingResource $resource) {}

    /** The place that the camera wrote is told in the answer and kept nowhere; the person takes it over or not. */
    public function store(Request $request, string $id, PhotoStore $store, Chain $chain): JsonResponse
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
                'sighting' => $this->resource->sighting($this->find($request, $id)),
                'photo' => $photoId,
                'offeredPlace' => $offered,
            ],
            201,
        );
    }

    public function destroy(Request $request, string $id, PhotoStore $store, Chain $chain): JsonResponse
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
    public function file(string $id, string $size, PhotoStore $store): BinaryFileResponse
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

    private function find(Request $request, string $id): Sighting
    {
        return Sighting::query()->ofCrew($this->user($request))->shown()->findOrFail($id);
    }

    private function photo(string $id): Photo
    {
        return Photo::query()
            ->with(['sighting.ground'])
            ->findOrFail($id);
    }

    private function answer(Sighting $sighting, int $status = 200): JsonResponse
    {
        return $this->json($this->resource->sighting($sighting), $status, $sighting->revision);
    }
}
