<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Calibration as Row;
use App\Models\Sprayer;
use App\Models\Stand;
use App\Models\Step;
use App\Models\User;
use App\Support\Format;
use App\Support\JobClock;
use App\Workflow\RecipeDesk;
use Brick\Math\RoundingMode;
use Illuminate\Support\Facades\DB;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Reading;
use Thicket\Measure\Unit;
use Thicket\Mix\Calibration;
use Thicket\Mix\NozzleCheck;

/** Reads one calibration as measured, keeps it, and says which saved recipes no longer stand by it. */
final readonly class Calibrate
{
    public function __construct(private JobClock $clock, private RecipeDesk $desk) {}

    /**
     * @return array{way: string, body: array<string, mixed>, gives: Quantity|null, check: NozzleCheck|null} gives is
     * null only while faults are noted
     */
    public function read(Fields $in, Sprayer $sprayer): array
    {
        $way = $in->choice('way', Calibration::WAYS) ?? '';
        $gives = match ($way) {
            'course' => $this->course($in),
            'moving' => $this->moving($in),
            'known-area' => $this->knownArea($in),
            'bottle' => $this->bottle($in),
            default => null,
        };
        $flows = [];
        foreach ($in->strings('nozzles', null, 40) as $i => $typed) {
            try {
                $flows[] = Reading::parse($typed, Dimension::Volume)->quantity;
            } catch (\Thicket\ThicketRefusal $e) {
                $in->fault("nozzles/{$i}", $e->getMessage());
            }
        }
        $rated = isset($sprayer->details['ratedFlow'])
            ? Reading::parse($sprayer->details['ratedFlow'], Dimension::Volume)->quantity
            : null;

        return [
            'way' => $way,
            'body' => ['flows' => array_map(static fn(Quantity $q): array => $q->toWire(), $flows)],
            'gives' => $gives,
            'check' => $flows === [] ? null : NozzleCheck::of($flows, $rated),
        ];
    }

    /**
     * @param array{way: string, body: array<string, mixed>, gives: Quantity|null, check: NozzleCheck|null} $measured
     *
     * @return list<array{standId: string, name: string}> plans whose saved recipe changed by it
     */
    public function keep(Sprayer $sprayer, array $measured, User $user): array
    {
        $gives = $measured['gives'] ?? throw new \LogicException('refused before');
        $today = $this->clock->today($user->crew->timeZone());
        $before = $this->freshPlans($sprayer);
        $worn =
            $measured['check'] === null ? null : count(array_filter(array_column($measured['check']->nozzles, 'worn')));
        // far finer than anybody catches, and the same number wherever it is read again
        $kept = (string) $gives->amount->toScale(9, RoundingMode::HALF_UP)->stripTrailingZeros();
        DB::transaction(static function () use ($sprayer, $measured, $gives, $kept, $user, $today, $worn): void {
            Row::create([
                'sprayer_id' => $sprayer->id,
                'way' => $measured['way'],
                'body' => $measured['body'] + ['worn' => $worn],
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

    /**
     * @param array{way: string, body: array<string, mixed>, gives: Quantity|null, check: NozzleCheck|null} $measured
     * @param list<array{standId: string, name: string}> $changed
     *
     * @return array<string, mixed>
     */
    public function told(array $measured, array $changed): array
    {
        $percent = static fn(\Brick\Math\BigRational $share): string => (string) $share
            ->multipliedBy(100)
            ->toScale(1, RoundingMode::HALF_UP)
            ->stripTrailingZeros();
        $check = $measured['check'];

        return [
            'way' => $measured['way'],
            'gives' => Format::quantity($measured['gives']),
            'changed' => $changed,
            'nozzles' =>
                $check === null
                    ? null
                    : [
                        'mean' => Format::quantity($check->mean),
                        'replaceSet' => $check->replaceSet,
                        'each' => array_map(
                            static fn(array $n): array => [
                                'flow' => Format::quantity($n['flow']),
                                'offMean' => $percent($n['offMean']),
                                'ofRated' => $n['ofRated'] === null ? null : $percent($n['ofRated']),
                                'worn' => $n['worn'],
                            ],
                            $check->nozzles,
                        ),
                    ],
        ];
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

    private function course(Fields $in): ?Quantity
    {
        $caught = $in->positive('caught', Dimension::Volume);
        $area = $in->has('area') ? $in->positive('area', Dimension::Area) : Calibration::course();
        $in->raw('area');

        return $caught === null || $area === null ? null : Calibration::byCourse($caught, $area);
    }

    private function moving(Fields $in): ?Quantity
    {
        [$caught, $time, $speed, $spacing] = [
            $in->positive('caught', Dimension::Volume),
            $in->positive('time', Dimension::Duration, Unit::Second),
            $in->positive('speed', Dimension::Speed),
            $in->positive('spacing', Dimension::Length),
        ];

        return $caught === null || $time === null || $speed === null || $spacing === null
            ? null
            : Calibration::moving($caught, $time, $speed, $spacing);
    }

    private function knownArea(Fields $in): ?Quantity
    {
        [$used, $area] = [$in->positive('used', Dimension::Volume), $in->positive('area', Dimension::Area)];

        return $used === null || $area === null ? null : Calibration::knownArea($used, $area);
    }

    private function bottle(Fields $in): ?Quantity
    {
        $caught = $in->positive('caught', Dimension::Volume);
        $strokes = $in->int('strokes', 1, 1000);

        return $caught === null || $strokes === null ? null : Calibration::bottle($caught, $strokes);
    }
}
