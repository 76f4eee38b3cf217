<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AskPaper;
use App\Exceptions\Stopped;
use App\Http\SecurityLog;
use App\Models\Paper;
use App\Models\Sheet;
use App\Models\Stand;
use App\Print\MixingCardPdf;
use App\Print\SheetPdf;
use App\Resources\StandResource;
use App\Workflow\RecipeDesk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** PDFs: asked for, waited for with one's place in the queue, fetched. */
final class PaperController extends Controller
{
    public function store(
        Request $request,
        AskPaper $ask,
        SheetPdf $sheets,
        MixingCardPdf $cards,
        RecipeDesk $desk,
        StandResource $resource,
    ): JsonResponse {
        $user = $this->user($request);
        $in = $this->fields($request);
        $kind = $in->choice('kind', Paper::KINDS);
        $of = $in->uuid('of');
        $this->done($in);
        if ($kind === 'sheet') {
            $sheet = Sheet::query()->ofCrew($user)->findOrFail($of);
            [$name, $html] = ["job-sheet-{$sheet->number}.pdf", $sheets->html($sheet, $user->units)];
        } else {
            $stand = Stand::query()
                ->ofCrew($user)
                ->whereHas('steps', fn($steps) => $steps->whereKey($of)->whereNotNull('active'))
                ->withTrail()
                ->firstOrFail();
            $step =
                $stand->steps->firstWhere('id', $of) ??
                throw new \Illuminate\Database\Eloquent\ModelNotFoundException();
            [$name, $html] = [
                'mixing-card.pdf',
                $cards->html(
                    $resource->recipe($stand, $step, $desk->solve($stand, $step)),
                    $stand,
                    $step,
                    $user->units,
                ),
            ];
        }
        SecurityLog::note('exported', $request, ['what' => $kind]);
        $paper = $ask($user, (string) $kind, $name, $html);

        return $this->json($this->told($paper->refresh()), 202);
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
