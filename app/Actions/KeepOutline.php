<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Patch;
use App\Models\PatchOutline;
use App\Models\User;
use Thicket\Survey\Outline;

/** Gives a patch a new outline from a day on; earlier ones stay (rulings B7). The patch keeps copies of area and box for lists. */
final readonly class KeepOutline
{
    public function __invoke(Patch $patch, Outline $outline, \DateTimeImmutable $validFrom, ?User $by, string $how): PatchOutline
    {
        $box = array_combine(['west', 'south', 'east', 'north'], $outline->box());
        $area = $outline->area()->toWire()['value'];
        $kept = PatchOutline::create($box + [
            'patch_id' => $patch->id, 'valid_from' => $validFrom->format('Y-m-d'), 'outline' => $outline->toGeoJson(), 'coarse' => $outline->coarse()->toGeoJson(),
            'area_m2' => $area, 'made_by' => $by?->id, 'how' => $how,
        ]);
        $newest = $patch->outlines()->firstOrFail();
        if ($newest->is($kept)) {
            $patch->forceFill($box + ['area_m2' => $area])->save();
        }

        return $kept;
    }
}
