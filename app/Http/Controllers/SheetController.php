<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DraftSheet;
use App\Actions\IssueSheet;
use App\Actions\WithdrawSheet;
use App\Exceptions\Stopped;
use App\Models\Record;
use App\Models\Sheet;
use App\Models\Step;
use App\Repositories\CrewRows;
use App\Support\Format;
use App\Text\CardChanges;
use App\Text\GateText;
use App\Text\Sentences;
use App\Workflow\DutyDesk;
use App\Workflow\Gates;
use App\Workflow\Workflow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Gates and job sheets. */
final class SheetController extends Controller
{
    public function __construct(
        private readonly CardChanges $changes,
        private readonly DutyDesk $duties,
        private readonly GateText $gateText,
        private readonly Sentences $sentences,
    ) {}

    public function gates(Request $request, string $standId, Gates $gates): JsonResponse
    {
        $stand = CrewRows::stand($this->user($request), $standId);

        return $this->json(['gates' => $gates->of($stand, Workflow::current($stand))]);
    }

    /** The sheet as it would be if it were issued now. */
    public function draft(Request $request, string $standId, DraftSheet $draft): JsonResponse
    {
        $this->done($this->query($request));
        $user = $this->user($request);
        $stand = CrewRows::stand($user, $standId);
        $step = Workflow::current($stand) ?? throw new Stopped(409, 'Choose a way of working first.');

        return $this->json(['snapshot' => $draft($stand, $step, $user, [])]);
    }

    public function store(Request $request, string $standId, IssueSheet $issue): JsonResponse
    {
        $stand = CrewRows::stand($this->user($request), $standId);
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

    public function show(Request $request, string $sheetId): JsonResponse
    {
        return $this->json($this->sheetBody(CrewRows::sheet($this->user($request), $sheetId)));
    }

    /** A sheet that must not be worked by any longer, with the reason; the step waits for another. */
    public function withdraw(Request $request, string $sheetId, WithdrawSheet $withdraw): JsonResponse
    {
        Gate::authorize('lead');
        $sheet = CrewRows::sheet($this->user($request), $sheetId);
        $in = $this->fields($request);
        $reason = $in->text('reason', 300);
        $this->done($in);
        $sheet = $withdraw($sheet, $this->user($request), (string) $reason);

        return $this->json($this->sheetBody($sheet));
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
            'dutiesOpen' => $this->dutiesOpen($sheet),
            'snapshot' => $sheet->told($this->sentences->locale()),
        ];
    }

    /**
     * @return list<array{us: string, metric: string}> what was settled with others when it was issued and is not any
     *     more: taken back, run out, new on the map
     */
    private function dutiesOpen(Sheet $sheet): array
    {
        $step = $sheet->steps->first();
        $stand = $step?->stands()->withTrail()->first();

        return $sheet->withdrawn_at !== null || $step === null || $stand === null || $step->records->isNotEmpty()
            ? []
            : array_column(array_map($this->gateText->of(...), $this->duties->gates($stand, $step)), 'text');
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
