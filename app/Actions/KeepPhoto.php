<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Photo;
use App\Models\Sealed;
use App\Models\User;
use App\Photos\PhotoStore;
use App\Seal\Chain;
use Illuminate\Http\UploadedFile;

/** Keeps a picture with its file, and seals it; neither stays where the other fails. */
final readonly class KeepPhoto
{
    public function __construct(private PhotoStore $store, private Chain $chain) {}

    /**
     * @param array<string, string> $of sighting_id or sheet_id
     *
     * @return array{latitude: string, longitude: string}|null the place that the camera wrote; kept nowhere
     */
    public function __invoke(UploadedFile $upload, string $id, User $user, array $of): ?array
    {
        $taken = $this->store->take($upload->getPathname(), $id);
        $offered = $taken['offered'];
        unset($taken['offered']);
        try {
            $photo = Photo::create(['id' => $id, 'made_by' => $user->id] + $of + $taken);
            $this->chain->add($user->crew_id, Sealed::Photo, $photo->id);
        } catch (\Throwable $e) {
            $this->store->drop($id);
            throw $e;
        }

        return $offered;
    }
}
