<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Stopped;
use App\Models\Batch;
use App\Models\FieldNote;
use App\Models\LabelCardVersion;
use App\Models\Record;
use App\Models\Sealed;
use App\Models\Sheet;
use App\Models\Stand;
use App\Models\StandingTree;
use App\Models\Step;
use App\Models\StockWithdrawal;
use App\Models\User;
use App\Resources\FieldResource;
use App\Seal\Chain;
use App\Support\CanonicalJson;
use App\Support\Format;
use Illuminate\Support\Facades\DB;
use Thicket\Calendar\Day;
use Thicket\Catalogue\Catalogue;
use Thicket\FieldDay\CarriedLimits;
use Thicket\FieldDay\EventKind;
use Thicket\FieldDay\FieldLog;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\MixedProduct;
use Thicket\Practice\ThreeHands;
use Thicket\Timing\EvaluationDate;
use Thicket\Timing\Signs;

/**
 * Signs and seals a work record: a new link of the crew's chain (rulings B17, J29). Signed once, then only added
 * to.
 */
final readonly class SignRecord
{
    /** More than six: services that are handed in: what hangs on a record is kept with it. */
    public function __construct(
        private Catalogue $catalogue,
        private \App\Repositories\SituationRepository $situations,
        private Puts $puts,
        private Chain $chain,
        private FieldResource $field,
        private Learn $learn,
        private NoteSprayer $sprayers,
    ) {}

    /** @throws Stopped 409 in a crew of three and more where nobody else had a hand in it */
    private function mustNotBeAlone(Sheet $sheet, Step $step, User $user): void
    {
        $versions = array_filter([$step->loadMissing('cardVersion')->cardVersion, ...$step->partners()]);
        $confirmed = array_map(
            static fn(LabelCardVersion $version): ?string => $version->confirmed_by,
            array_values($versions),
        );
        $hands = $user->crew
            ->members()
            ->whereIn('role', ['lead', 'member'])
            ->count();
        $oneAlone = ($user->crew->settings['oneAlone'] ?? false) === true;
        if (!ThreeHands::allow($confirmed, (string) $sheet->issued_by, $user->id, $hands, $oneAlone)) {
            throw new Stopped(
                409,
                'In a crew of three and more nobody confirms the card, issues the sheet and signs alone: ' .
                    'let somebody else sign, or change it with the settings of the crew.',
            );
        }
    }

    /** @param array<string, mixed> $body as RecordReader reads it */
    public function __invoke(Sheet $sheet, User $user, array $body, ?string $id): Record
    {
        $user->loadMissing(['person', 'crew']);

        return DB::transaction(function () use ($sheet, $user, $body, $id): Record {
            $worked = Day::parse(is_string($body['workedOn']) ? $body['workedOn'] : '');
            // held before anything of it is looked at: of two who sign, or of one who signs and one who withdraws, the
            // second finds what the first did
            $step = Step::held($sheet->steps[0]->id ?? '');
            $sheet->refresh();
            if ($sheet->withdrawn_at !== null) {
                throw new Stopped(409, 'This sheet was withdrawn.');
            }
            if ($step->records->isNotEmpty()) {
                throw new Stopped(409, 'The record of this sheet is signed already; corrections are added to it.');
            }
            if (
                ($sheet->snapshot['strictest']['licensedOnly'] ??
                    ($sheet->snapshot['product']['licensedOnly'] ?? false)) ===
                    true &&
                $user->person?->isLicensedOn($worked) !== true
            ) {
                throw new Stopped(403, 'This product is signed for by somebody with a valid licence.');
            }
            $this->mustNotBeAlone($sheet, $step, $user);
            $stand = Stand::query()
                ->withTrail()
                ->findOrFail($sheet->snapshot['standId'] ?? '');
            $species = $this->catalogue->species((string) $stand->species);
            $judge = EvaluationDate::day(
                $species,
                $worked,
                $stand->patch->ground->seasonShift(),
                $this->catalogue->method($step->method)->showsLateOn($species),
            );
            /** @var \Illuminate\Database\Eloquent\Collection<int, Batch> $batches */
            $batches = Batch::query()
                ->where('step_id', $step->id)
                ->where('record_id', null)
                ->with('draws.container')
                ->orderBy('number')
                ->lockForUpdate()
                ->get();
            $notes = $sheet->load('fieldNotes')->fieldNotes;
            $log = $sheet->fieldLog();
            $body += $this->used($sheet, $stand, $body) + [
                    'batches' => self::mixed($batches, $stand->patch->ground->time_zone),
                ] + [
                    'outsideLimits' => self::outside($sheet, $body, $log),
                    'field' => $notes->isEmpty() ? null : $this->field->day($sheet, $log),
                    'signs' => array_map(
                        static fn(array $sign): array => [
                            'code' => $sign['code'],
                            'from' => Format::day($sign['from']),
                            'to' => Format::day($sign['to']),
                        ],
                        Signs::of(
                            $this->situations->option($step, $stand->patch->ground->crew),
                            $species,
                            $stand->patch->ground->seasonShift(),
                            $worked,
                            $judge,
                        ),
                    ),
                    'signedBy' => $user->name,
                    'licence' => $user->person?->licence,
                    'sheet' => ['number' => $sheet->number, 'snapshot' => $sheet->told()],
                ];
            $last = Record::query()->where('crew_id', $sheet->crew_id)->orderByDesc('seq')->lockForUpdate()->first();
            $seq = ($last->seq ?? 0) + 1;
            $record = Record::create(
                array_filter(['id' => $id]) + [
                    'crew_id' => $sheet->crew_id,
                    'seq' => $seq,
                    'sheet_id' => $sheet->id,
                    'step_id' => $step->id,
                    'patch_id' => $stand->patch_id,
                    'worked_on' => $worked->format('Y-m-d'),
                    'judge_after' => $judge->format('Y-m-d'),
                    'body' => CanonicalJson::of($body),
                    'signed_by' => $user->id,
                    'signed_at' => now(),
                ],
            );
            // what was noted up to here is signed with it, and part of its seal
            FieldNote::query()
                ->whereIn('id', $notes->pluck('id'))
                ->update(['record_id' => $record->id]);
            $this->learn->fromRecord($record, $sheet, $body, $log);
            self::leaveStanding($record, $sheet, $body);
            // a batch was noted when it was mixed; what was mixed elsewhere is when the work began
            $carrier = $sheet->snapshot['recipe']['carrier']['id'] ?? null;
            if ($batches->isEmpty() && is_string($carrier) && is_string($body['start'])) {
                $zone = $stand->patch->ground->time_zone;
                $this->sprayers->wasFilled($step, $carrier, self::began($worked, $body['start'], $zone), $user);
            }
            // a draw is linked to its record by way of its batch
            $batches->each(static fn(Batch $batch) => $batch->update(['record_id' => $record->id]));

            $this->chain->add($sheet->crew_id, Sealed::Record, $record->id);

            return $record->load(['lookBacks', 'seal', 'patch.ground']);
        });
    }

    /**
     * What was to die on its feet stands from now on, as many as were treated.
     *
     * @param array<string, mixed> $body
     */
    private static function leaveStanding(Record $record, Sheet $sheet, array $body): void
    {
        $standing = $sheet->snapshot['standing'] ?? null;
        $treated = $body['treated'] ?? null;
        if (is_array($standing) && is_int($standing['count'] ?? null) && is_int($treated) && $treated > 0) {
            StandingTree::create([
                'crew_id' => $record->crew_id,
                'record_id' => $record->id,
                'patch_id' => $record->patch_id,
                'count' => min($treated, $standing['count']),
                'reach' => $standing['reach'] ?? null,
                'snags' => ($standing['snags'] ?? false) === true,
                'since' => $record->worked_on->format('Y-m-d'),
            ]);
        }
    }

    private static function began(\DateTimeImmutable $day, string $start, string $zone): \DateTimeImmutable
    {
        return new \DateTimeImmutable("{$day->format('Y-m-d')} {$start}", new \DateTimeZone($zone));
    }

    /**
     * What was mixed for this work, with the containers it came from.
     *
     * @param \Illuminate\Database\Eloquent\Collection<int, Batch> $batches
     *
     * @return list<array<string, mixed>>
     */
    private static function mixed(\Illuminate\Database\Eloquent\Collection $batches, string $zone): array
    {
        return array_values(
            $batches
                ->map(
                    static fn(Batch $batch): array => [
                        'number' => $batch->number,
                        'mixedAt' => Format::moment($batch->mixed_at, $zone),
                        'finished' => $batch->body['finished'] ?? null,
                        'product' => $batch->body['product'] ?? null,
                        'cardVersion' => $batch->body['cardVersion'] ?? null,
                        'drawn' => array_values(
                            $batch->draws
                                ->map(
                                    static fn(StockWithdrawal $draw): array => [
                                        'amount' => $draw->typed,
                                        'lot' => $draw->container->lot,
                                    ],
                                )
                                ->all(),
                        ),
                    ],
                )
                ->all(),
        );
    }

    /**
     * Product and active that the mix used means, from the sheet's own strength; planned beside it.
     *
     * @param array<string, mixed> $body
     *
     * @return array<string, mixed>
     */
    private function used(Sheet $sheet, Stand $stand, array $body): array
    {
        $recipe = $sheet->snapshot['recipe'] ?? null;
        $mix = $body['mixUsed'] ?? null;
        if (!is_array($recipe) || !is_array($mix)) {
            return ['planned' => null];
        }
        $amount = Quantity::ofWire(...);
        $used = $amount($mix)?->to(Unit::Litre) ?? Quantity::zero(Unit::Litre);
        $need = $amount($recipe['need'] ?? null);
        $cards = ($stand->steps->firstWhere('id', $sheet->snapshot['stepId'] ?? '') ?? new Step())->cardVersions();
        $area = $amount($recipe['working']['area'] ?? null) ?? $this->situations->area($stand->patch);
        $out = [
            'planned' => ['mix' => $recipe['need'], 'product' => $recipe['product']],
            'productUsed' => null,
            'productsUsed' => [],
            'activesPerArea' => [],
        ];
        // sheets issued before several products went into one tank name one
        $products = $recipe['products'] ?? [
            [
                'strength' => $recipe['strength'] ?? null,
                'amount' => $recipe['product'],
                'product' => $sheet->snapshot['product']['name'] ?? '',
            ],
        ];
        foreach (is_array($products) ? array_values($products) : [] as $n => $one) {
            $product = MixedProduct::usedIn(
                $used,
                $amount($one['strength']['percent'] ?? null),
                $amount($one['amount'] ?? null),
                $need,
            );
            $out['productsUsed'][] = ['product' => $one['product'], 'used' => Format::quantity($product)];
            $n === 0 && ($out['productUsed'] = Format::quantity($product));
            $version = $cards[$n] ?? null;
            if ($product !== null && $version !== null && $area !== null) {
                $out['activesPerArea'] = [
                    ...$out['activesPerArea'],
                    ...$this->puts->of($this->situations->card($version), $product, $area),
                ];
            }
        }

        return $out;
    }

    /**
     * Limits that the sheet carries and that what was signed, or a reading on the way, did not keep.
     *
     * @param array<string, mixed> $body
     *
     * @return list<string>
     */
    private static function outside(Sheet $sheet, array $body, FieldLog $log): array
    {
        $limits = CarriedLimits::of($sheet->snapshot['startOnlyIf'] ?? []);
        $signed = ['wind' => $body['wind'] ?? null, 'air' => $body['temperature'] ?? null];
        $out = $limits->brokenBy(static fn(string $told): mixed => $signed[$told] ?? null);
        foreach ($log->kind(EventKind::Reading) as $reading) {
            $out = [...$out, ...$limits->outside($reading)];
        }

        return array_values(array_unique(array_column($out, 'us')));
    }
}
