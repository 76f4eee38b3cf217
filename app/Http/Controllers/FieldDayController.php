<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\IssueSheet;
use App\Actions\SignRecord;
use App\Actions\WithdrawSheet;
use App\Exceptions\Stopped;
use App\Http\SecurityLog;
use App\Models\LookBack;
use App\Models\Record;
use App\Models\Sealed;
use App\Models\Sheet;
use App\Models\Stand;
use App\Models\Step;
use App\Resources\RecordResource;
use App\Seal\Chain;
use App\Support\Format;
use App\Support\JobClock;
use App\Text\CardChanges;
use App\Workflow\Gates;
use App\Workflow\Workflow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/** Gates, job sheet, signed record, look-back. */
final class FieldDayController extends Controller
{
    public function __construct(private readonly CardChanges $changes) {}

    public function gates(Request $request, string $standId, Gates $gates): JsonResponse
    {
        $stand = $this->stand($request, $standId);

        return $this->json(['gates' => $gates->of($stand, Workflow::current($stand))]);
    }

    public function issue(Request $request, string $standId, IssueSheet $issue): JsonResponse
    {
        $stand = $this->stand($request, $standId);
        Gate::authorize('lead');
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $passes = [];
        foreach ($in->objects('passes', 20) as $item) {
            $gate = $item->text('gate', 40);
            $reason = $item->text('reason', 300);
            $item->noOthers();
            $gate !== null && $reason !== null && ($passes[$gate] = $reason);
        }
        $this->done($in);
        $this->passwordAgain($request);
        $this->mustBeNew($id, new Sheet());
        $sheet = $issue($stand, $this->user($request), $passes, $id);

        return $this->json($this->sheetBody($sheet), 201);
    }

    public function sheet(Request $request, string $sheetId): JsonResponse
    {
        return $this->json($this->sheetBody($this->findSheet($request, $sheetId)));
    }

    /** A sheet that must not be worked by any longer, with the reason; the step waits for another. */
    public function withdraw(Request $request, string $sheetId, WithdrawSheet $withdraw): JsonResponse
    {
        Gate::authorize('lead');
        $sheet = $this->findSheet($request, $sheetId);
        $in = $this->fields($request);
        $reason = $in->text('reason', 300);
        $this->done($in);
        $sheet = $withdraw($sheet, $this->user($request), (string) $reason);

        return $this->json($this->sheetBody($sheet));
    }

    public function sign(Request $request, string $sheetId, SignRecord $sign, RecordResource $wire): JsonResponse
    {
        $sheet = $this->findSheet($request, $sheetId);
        Gate::authorize('write');
        $in = $this->fields($request);
        $body = $sign->read($in, $sheet);
        $id = $in->uuidOrNull('id');
        $this->done($in);
        $this->passwordAgain($request);
        $this->mustBeNew($id, new Record());

        return $this->json($wire->record($sign($sheet, $this->user($request), $body, $id)), 201);
    }

    /** The newest seal of the crew, signed: to be kept where this database is not (thicket:verify --head). */
    public function head(Request $request, Chain $chain): JsonResponse
    {
        SecurityLog::note('exported', $request, ['what' => 'head of the seals']);

        return $this->json($chain->head($this->user($request)->crew));
    }

    public function record(Request $request, string $recordId, RecordResource $wire): JsonResponse
    {
        return $this->json($wire->record($this->findRecord($request, $recordId)));
    }

    public function lookBack(
        Request $request,
        string $recordId,
        RecordResource $wire,
        JobClock $clock,
        Chain $chain,
    ): JsonResponse {
        $record = $this->findRecord($request, $recordId);
        Gate::authorize('write');
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $looked = $in->pastDay('lookedOn', $clock->today($record->patch->ground->time_zone));
        $scored = $in->bool('scored', false);
        $counted = $in->int('counted', 1, 1000000);
        $dead = $in->int('dead', 0, 1000000);
        $resprouted = $in->int('resprouted', 0, 1000000, 0);
        $remarks = $in->textOrNull('remarks', 2000);
        if ($counted !== null && ($dead ?? 0) + ($resprouted ?? 0) > $counted) {
            $in->fault('dead', 'Dead and resprouted together are more than were counted.');
        }
        if ($looked !== null && $looked->format('Y-m-d') < $record->worked_on->format('Y-m-d')) {
            $in->fault('lookedOn', 'This day lies before the work.');
        }
        $this->done($in);
        if ($scored && $looked !== null && $looked->format('Y-m-d') < $record->judge_after->format('Y-m-d')) {
            throw new Stopped(
                409,
                'It cannot be judged before ' .
                    $record->judge_after->format('Y-m-d') .
                    '. Keep what you saw as a sign; root kill shows later.',
                ['judgeAfter' => $record->judge_after->format('Y-m-d')],
            );
        }
        $this->mustBeNew($id, new LookBack());
        DB::transaction(function () use (
            $chain,
            $id,
            $record,
            $looked,
            $scored,
            $counted,
            $dead,
            $resprouted,
            $remarks,
            $request,
        ): void {
            $look = LookBack::create(
                array_filter(['id' => $id]) + [
                    'record_id' => $record->id,
                    'looked_on' => $looked?->format('Y-m-d'),
                    'scored' => $scored,
                    'body' => [
                        'counted' => $counted,
                        'dead' => $dead,
                        'resprouted' => $resprouted,
                        'remarks' => $remarks,
                    ],
                    'made_by' => $this->user($request)->id,
                ],
            );
            $chain->add($record->crew_id, Sealed::LookBack, $look->id);
        });

        return $this->json($wire->record($this->findRecord($request, $recordId)), 201);
    }

    /** @return array<string, mixed> */
    private function sheetBody(Sheet $sheet): array
    {
        return [
            'id' => $sheet->id,
            'number' => $sheet->number,
            'issuedAt' => Format::moment($sheet->issued_at, $sheet->steps->first()?->patch->ground->time_zone),
            'withdrawn' => $sheet->withdrawn_at !== null,
            'withdrawal' =>
                $sheet->withdrawn_why === null
                    ? null
                    : ['by' => $sheet->withdrawn_by, 'reason' => $sheet->withdrawn_why],
            'cardChanges' => $this->cardChanges($sheet),
            'snapshot' => $sheet->snapshot,
        ];
    }

    private function stand(Request $request, string $id): Stand
    {
        return Stand::query()->ofCrew($this->user($request))->withTrail()->findOrFail($id);
    }

    private function findSheet(Request $request, string $id): Sheet
    {
        return Sheet::query()
            ->ofCrew($this->user($request))
            ->with(['steps.patch.ground', 'steps.records'])
            ->findOrFail($id);
    }

    private function findRecord(Request $request, string $id): Record
    {
        return Record::query()
            ->ofCrew($this->user($request))
            ->with(['lookBacks', 'patch.ground', 'seal'])
            ->findOrFail($id);
    }

    /**
     * @return list<array{field: string, was: string, now: string}> what a newer card says otherwise than the sheet that
     * is out; until a signed record closes it (rulings B8)
     */
    private function cardChanges(Sheet $sheet): array
    {
        $step = $sheet->steps->first();
        $out = [];
        foreach (
            $sheet->withdrawn_at !== null || $step === null || $step->records->isNotEmpty() ? [] : $step->cardVersions()
            as $version
        ) {
            $newer = $version->newer();
            $out = [...$out, ...$newer === null ? [] : $this->changes->between($version->body, $newer->body)];
        }

        return $out;
    }
}
