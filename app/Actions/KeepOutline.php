<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Patch;
use App\Models\PatchOutline;
use App\Models\User;
use Thicket\Survey\Outline;

/**
 * Gives a patch a new outline from a day on; earlier ones stay (rulings B7). The patch keeps copies of area and box for
 * lists.
 */
final readonly class KeepOutline
{
    public function __invoke(
        Patch $patch,
        Outline $outline,
        \DateTimeImmutable $validFrom,
        ?User $by,
        string $how,
    ): PatchOutline {
        $kept = PatchOutline::create(['patch_id' => $patch->id] + self::columns($outline, $validFrom, $by, $how));
        $newest = $patch->outlines()->firstOrFail();
        if ($newest->is($kept)) {
            $patch->forceFill(self::copies($kept->getAttributes()))->save();
        }

        return $kept;
    }

    /** @return array<string, mixed> of a row of outlines but for its patch */
    public static function columns(Outline $outline, \DateTimeImmutable $validFrom, ?User $by, string $how): array
    {
        return array_combine(['west', 'south', 'east', 'north'], $outline->box()) + [
            'valid_from' => $validFrom->format('Y-m-d'),
            'outline' => $outline->toGeoJson(),
            'coarse' => $outline->coarse()->toGeoJson(),
            'area_m2' => $outline->area()->toWire()['value'],
            'made_by' => $by?->id,
            'how' => $how,
        ];
    }

    /**
     * @param array<string, mixed> $columns of the newest outline
     *
     * @return array<string, mixed> what its patch keeps of it
     */
    public static function copies(array $columns): array
    {
        return array_intersect_key($columns, ['west' => 1, 'south' => 1, 'east' => 1, 'north' => 1, 'area_m2' => 1]);
    }
}
