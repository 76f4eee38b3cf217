<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Models\Loan;
use App\Models\Tool;
use App\Resources\ShedResource;
use App\Support\JobClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Tools that are out. */
final class LoanController extends Controller
{
    public function __construct(private readonly ShedResource $resource, private readonly JobClock $clock) {}

    public function store(Request $request, string $toolId): JsonResponse
    {
        $user = $this->user($request);
        $tool = Tool::query()
            ->where('crew_id', $user->crew_id)
            ->where('gone_at', null)
            ->with('loans')
            ->findOrFail($toolId);
        $in = $this->fields($request);
        $to = $in->text('to', 120);
        $due = $in->dayOrNull('dueOn');
        $today = $this->clock->today($user->crew->timeZone())->format('Y-m-d');
        if ($due !== null && $due->format('Y-m-d') < $today) {
            $in->fault('dueOn', 'This day is over.');
        }
        $this->done($in);
        if ($tool->isLent()) {
            throw new Stopped(409, 'This tool is out already; take it back first.');
        }
        Loan::create([
            'tool_id' => $tool->id,
            'borrower' => $to,
            'lent_on' => $today,
            'due_on' => $due?->format('Y-m-d'),
            'lent_by' => $user->id,
        ]);

        return $this->json($this->resource->shed($user->crew), 201);
    }

    public function takeBack(Request $request, string $loanId): JsonResponse
    {
        $user = $this->user($request);
        $loan = Loan::query()
            ->whereHas('tool', fn($tool) => $tool->where('crew_id', $user->crew_id))
            ->findOrFail($loanId);
        $this->done($this->fields($request));
        if ($loan->returned_on !== null) {
            throw new Stopped(409, 'This tool is back already.');
        }
        $loan->update(['returned_on' => $this->clock->today($user->crew->timeZone())->format('Y-m-d')]);

        return $this->json($this->resource->shed($user->crew));
    }
}
