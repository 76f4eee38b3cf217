<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AskPaper;
use App\Exceptions\Stopped;
use App\Http\SecurityLog;
use App\Models\Paper;
use App\Models\Stand;
use App\Models\User;
use App\Print\MixingCardPdf;
use App\Print\ReentrySignPdf;
use App\Print\ReportPdf;
use App\Print\SeasonPdf;
use App\Print\SheetPdf;
use App\Repositories\CrewRows;
use App\Resources\StandResource;
use App\Workflow\RecipeDesk;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** PDFs: asked for, waited for with one's place in the queue, fetched. */
final class PaperController extends Controller
{
    /** More than six: services that are handed in: one for each kind of paper. */
    public function __construct(
        private readonly SheetPdf $sheets,
        private readonly ReentrySignPdf $signs,
        private readonly MixingCardPdf $cards,
        private readonly SeasonPdf $seasons,
        private readonly ReportPdf $reports,
        private readonly RecipeDesk $desk,
        private readonly StandResource $stands,
    ) {}

    public function store(Request $request, AskPaper $ask): JsonResponse
    {
        $user = $this->user($request);
        $in = $this->fields($request);
        $kind = $in->choice('kind', Paper::KINDS);
        $yearly = in_array($kind, Paper::OF_A_YEAR, true);
        $year = $yearly ? $in->int('year', 2000, 2100) : null;
        $of = $yearly ? null : $in->uuid('of');
        $this->done($in);
        [$name, $html] = match ($kind) {
            'season' => $this->season($user, (int) $year),
            'accounts' => ["accounts-{$year}.pdf", $this->reports->accounts($user, (int) $year)],
            'review' => ["season-review-{$year}.pdf", $this->reports->review($user, (int) $year)],
            'sheet', 're-entry-sign' => $this->ofSheet($user, $kind, (string) $of),
            default => $this->mixingCard($user, (string) $of),
        };
        SecurityLog::note('exported', $request, ['what' => $kind]);
        $paper = $ask($user, (string) $kind, $name, $html);

        return $this->json($this->told($paper->refresh()), 202);
    }

    /** @return array{string, string} name of the file and what is printed */
    private function season(User $user, int $year): array
    {
        return [
            "work-records-{$year}.pdf",
            $this->seasons->html(CrewRows::recordsOf($user, $year), $user->crew, $year, $user->units),
        ];
    }

    /** @return array{string, string} */
    private function ofSheet(User $user, string $kind, string $id): array
    {
        $sheet = CrewRows::sheet($user, $id);

        return $kind === 'sheet'
            ? ["job-sheet-{$sheet->number}.pdf", $this->sheets->html($sheet, $user->units)]
            : ["keep-out-{$sheet->number}.pdf", $this->signs->html($sheet, $user->crew)];
    }

    /** @return array{string, string} */
    private function mixingCard(User $user, string $stepId): array
    {
        $stand = Stand::query()
            ->ofCrew($user)
            ->whereHas('steps', fn($steps) => $steps->whereKey($stepId)->whereNotNull('active'))
            ->withTrail()
            ->firstOrFail();
        $step = $stand->steps->firstWhere('id', $stepId) ?? throw new ModelNotFoundException();
        $recipe = $this->stands->recipe($stand, $step, $this->desk->solve($stand, $step));

        return ['mixing-card.pdf', $this->cards->html($recipe, $stand, $step, $user->units)];
    }

    public function show(Request $request, string $paperId): JsonResponse
    {
        return $this->json($this->told($this->find($request, $paperId)));
    }

    /** Opened as a page of its own, so by the plain session. */
    public function file(Request $request, string $paperId): BinaryFileResponse
    {
        $paper = $this->find($request, $paperId);
        if ($paper->state !== 'ready' || !is_file($paper->file('pdf'))) {
            throw new Stopped(409, 'This PDF is not made yet, or was put away; ask for it again.');
        }

        return new BinaryFileResponse(
            $paper->file('pdf'),
            200,
            [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => "inline; filename=\"{$paper->name}\"",
                'Cache-Control' => 'private, no-store',
            ],
            false,
        );
    }

    /** @return array{id: string, kind: string, state: string, ahead: int} */
    private function told(Paper $paper): array
    {
        return ['id' => $paper->id, 'kind' => $paper->kind, 'state' => $paper->state, 'ahead' => $paper->ahead()];
    }

    private function find(Request $request, string $id): Paper
    {
        return Paper::query()->ofCrew($this->user($request))->findOrFail($id);
    }
}
