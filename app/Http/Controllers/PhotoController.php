<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepPhoto;
use App\Exceptions\Stopped;
use App\Models\Photo;
use App\Models\Sealed;
use App\Models\Sighting;
use App\Photos\PhotoStore;
use App\Repositories\CrewRows;
use App\Resources\SightingResource;
use App\Seal\Chain;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;

/** Photos of a sighting, and of a field day. */
final class PhotoController extends Controller
{
    private const MOST_PHOTOS = 12;
    private const MOST_OF_A_DAY = 60;

    public function __construct(private readonly SightingResource $resource) {}

    /** The place that the camera wrote is told in the answer and kept nowhere; the person takes it over or not. */
    public function store(Request $request, string $id, KeepPhoto $keep): JsonResponse
    {
        $sighting = $this->find($request, $id);
        $upload = self::upload($request);
        if ($sighting->photos->count() >= self::MOST_PHOTOS) {
            throw Refused::at('/photo', 'A sighting holds at most ' . self::MOST_PHOTOS . ' pictures.');
        }
        $photoId = (string) Str::uuid7();
        $offered = $keep($upload, $photoId, $this->user($request), ['sighting_id' => $sighting->id]);

        return $this->json(
            [
                'sighting' => $this->resource->sighting($this->find($request, $id)),
                'photo' => $photoId,
                'offeredPlace' => $offered,
            ],
            201,
        );
    }

    /** A picture of a field day, with the id that its note names: sent twice, it is kept once. */
    public function storeOfSheet(Request $request, string $sheetId, KeepPhoto $keep): JsonResponse
    {
        $user = $this->user($request);
        $sheet = CrewRows::sheet($user, $sheetId);
        $in = Fields::of($request->except('photo'), new Faults());
        $id = (string) $in->uuid('id');
        $this->done($in);
        $there = Photo::query()->find($id);
        if ($there !== null && $there->sheet_id !== $sheet->id) {
            throw Refused::at('/id', 'This id is taken; make a new one.');
        }
        if ($there === null) {
            $upload = self::upload($request);
            if (Photo::query()->where('sheet_id', $sheet->id)->count() >= self::MOST_OF_A_DAY) {
                throw Refused::at('/photo', 'A field day holds at most ' . self::MOST_OF_A_DAY . ' pictures.');
            }
            $keep($upload, $id, $user, ['sheet_id' => $sheet->id]);
        }

        return $this->json(['photo' => $id], $there === null ? 201 : 200);
    }

    private static function upload(Request $request): UploadedFile
    {
        $upload = $request->file('photo');
        if (!($upload instanceof UploadedFile) || !$upload->isValid()) {
            throw Refused::at(
                '/photo',
                $upload instanceof UploadedFile
                    ? 'The picture did not arrive whole; it may be larger than 12 MB.'
                    : 'Send one picture as the form field photo.',
            );
        }

        return $upload;
    }

    public function destroy(Request $request, string $id, PhotoStore $store, Chain $chain): JsonResponse
    {
        $photo = $this->photo($id);
        Gate::authorize('delete', $photo);
        if ($photo->sighting_id === null) {
            throw new Stopped(409, 'A picture of a field day stays with its day; take back its note instead.');
        }
        $chain->add((string) $photo->crewId(), Sealed::PhotoDropped, $photo->id);
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
            ->with(['sighting.ground', 'sheet'])
            ->findOrFail($id);
    }

    private function answer(Sighting $sighting, int $status = 200): JsonResponse
    {
        return $this->json($this->resource->sighting($sighting), $status, $sighting->revision);
    }
}
