<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Crew;
use App\Models\Sprayer;
use App\Models\Stand;
use App\Models\Step;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Thicket\Programmes\Offer;

/**
 * Makes each job of a programme a later step of the stand. Steps never issued nor worked give way; what was issued or
 * signed stays.
 */
final readonly class FollowProgramme
{
    /** @param array<string, string> $schools as the crew has chosen them now (rulings B12) */
    public function __invoke(Stand $stand, Offer $offer, Crew $crew, array $schools): void
    {
        DB::transaction(static function () use ($stand, $offer, $crew, $schools): void {
            $stand->dropOpenSteps();
            $position = (int) $stand->steps()->max('position');
            $run = (string) Str::uuid7();
            foreach ($offer->steps as $planned) {
                $option = $planned->row->option;
                $step = Step::create([
                    'patch_id' => $stand->patch_id,
                    'position' => ++$position,
                    'method' => $option->method->id(),
                    'active' => $option->active?->id(),
                    'label_card_version_id' => $option->card?->id,
                    'schools' => $schools,
                    'sprayer_id' => $option->active === null ? null : Sprayer::usualFor($crew, $option->method)?->id,
                    'programme' => $offer->programme->id(),
                    'run' => $run,
                    'note' => $planned->note,
                    'due_from' => $planned->from->format('Y-m-d'),
                    'due_to' => $planned->to?->format('Y-m-d'),
                ]);
                $step->stands()->attach($stand->id);
            }
            $stand->revision++;
            $stand->save();
        });
    }
}
