<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Calibration as Row;
use App\Models\Sprayer;
use App\Models\Stand;
use App\Models\Step;
use App\Models\User;
use App\Support\JobClock;
use App\Workflow\RecipeDesk;
use Brick\Math\RoundingMode;
use Illuminate\Support\Facades\DB;
use Thicket\Measure\Quantity;
use Thicket\Mix\Calibration;
use Thicket\Mix\CalibrationResult;

/** Keeps a calibration, and says which saved recipes no longer stand by it. */
final readonly class Calibrate
{
    public function __construct(private JobClock $clock, private RecipeDesk $desk) {}

    /**
     * @return list<array{standId: string, name: string}> plans whose saved recipe changed by it
     */
    public function __invoke(Sprayer $sprayer, CalibrationResult $measured, User $user): array
    {
        $gives = $measured->gives ?? throw new \LogicException('refused before');
        $today = $this->clock->today($user->crew->timeZone());
        $before = $this->freshPlans($sprayer);
        // far finer than anybody catches, and the same number wherever it is read again
        $kept = (string) $gives->amount->toScale(9, RoundingMode::HALF_UP)->stripTrailingZeros();
        DB::transaction(static function () use ($sprayer, $measured, $gives, $kept, $user, $today): void {
            Row::create([
                'sprayer_id' => $sprayer->id,
                'way' => $measured->way,
                'body' => [
                    'flows' => array_map(static fn(Quantity $q): array => $q->toWire(), $measured->flows),
                    'worn' => $measured->worn(),
                ],
                'gives_value' => $kept,
                'gives_unit' => $gives->unit->value,
                'made_on' => $today->format('Y-m-d'),
                'made_by' => $user->id,
            ]);
            $sprayer->fill([
                'gives_value' => $kept,
                'gives_unit' => $gives->unit->value,
                'calibrated_on' => $today->format('Y-m-d'),
                'due_on' => $today->modify('+1 year')->format('Y-m-d'),
            ]);
            $sprayer->revision++;
            $sprayer->save();
        });
        $out = [];
        foreach ($before as $stand) {
            $fresh = Stand::query()->withTrail()->findOrFail($stand->id);
            foreach ($fresh->steps as $step) {
                if (
                    $step->sprayer_id === $sprayer->id &&
                    $step->recipe_basis !== null &&
                    $step->records->isEmpty() &&
                    !$this->desk->isFresh($fresh, $step)
                ) {
                    $out[] = ['standId' => $fresh->id, 'name' => $fresh->patch->name];
                }
            }
        }

        return $out;
    }

    /** @return list<Stand> stands with a saved recipe in this sprayer that still stands */
    private function freshPlans(Sprayer $sprayer): array
    {
        $stands = Stand::query()
            ->where('closed_at', null)
            ->whereHas(
                'steps',
                fn($steps) => $steps
                    ->where('sprayer_id', $sprayer->id)
                    ->where('recipe_basis', '!=', null)
                    ->whereDoesntHave('records'),
            )
            ->withTrail()
            ->get();

        return array_values(
            $stands
                ->filter(
                    fn(Stand $stand): bool => $stand->steps->contains(
                        fn(Step $step): bool => $step->sprayer_id === $sprayer->id &&
                            $this->desk->isFresh($stand, $step),
                    ),
                )
                ->all(),
        );
    }
}
