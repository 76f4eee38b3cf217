<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Models\Stand;
use App\Models\Step;
use App\Models\User;
use App\Repositories\CrewRows;
use App\Resources\HoursResource;
use App\Text\Refusals;
use App\Workflow\HourDesk;
use App\Workflow\SeasonDesk;
use App\Workflow\Workflow;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Catalogue\Catalogue;
use Thicket\Weather\Forecast;

/** Can we go today, with what, till when. Asked anew each time: hours pass though nobody writes. */
final class HoursController extends Controller
{
    /** Of today and tomorrow: whoever asks in the evening wants the morning. */
    private const DAYS_OF_TODAY = 2;
    private const MOST_STANDS = 40;

    public function __construct(
        private readonly Refusals $refusals,
        private readonly HourDesk $desk,
        private readonly HoursResource $resource,
        private readonly SeasonDesk $seasons,
    ) {}

    public function show(Request $request, string $standId): JsonResponse
    {
        [$stand, $step] = $this->job($request, $standId);

        return $this->json($this->resource->board(...$this->desk->of($stand, $step)));
    }

    /** One hour with all that is said of it. */
    public function hour(Request $request, string $standId): JsonResponse
    {
        [$stand, $step] = $this->job($request, $standId);
        $in = $this->query($request);
        $at = $in->moment('at');
        $this->done($in);
        [$board, , $place] = $this->desk->of($stand, $step);
        $begin = $at === null ? 0 : Forecast::begin($at);
        foreach ($board->hours as $hour) {
            if ($hour->at->getTimestamp() === $begin) {
                return $this->json($this->resource->hour($hour, $place));
            }
        }

        throw new Stopped(404, 'That hour lies outside the ten days that are looked at.');
    }

    /**
     * The jobs that are chosen and not done, by when they may be done today and tomorrow and till when their season
     * lasts; and the plants that give themselves away now.
     */
    public function today(Request $request, Catalogue $catalogue): JsonResponse
    {
        $user = $this->user($request);
        $more = max(0, self::chosen($user)->count() - self::MOST_STANDS);
        $lines = [];
        $silent = null;
        $looked = self::chosen($user)->withTrail()->orderByDesc('updated_at')->orderBy('id')->limit(self::MOST_STANDS);
        /** @var Stand $stand */
        foreach ($looked->get() as $stand) {
            $step = Workflow::current($stand);
            if ($step === null || Workflow::of($stand, $catalogue)->record !== null) {
                continue;
            }
            $season = $this->seasons->around($stand, $step);
            if ($season['opens'] !== null && $season['opens'] == $step->dueFrom()) {
                // its programme has it later, whatever the hours are like
                $lines[] = $this->resource->line($stand->id, $season, null);
                continue;
            }
            try {
                $hours = $this->desk->of($stand, $step, self::DAYS_OF_TODAY);
            } catch (Stopped $e) {
                // the season is known all the same
                [$hours, $silent] = [null, $this->refusals->say($e->getMessage())];
            }
            $lines[] = $this->resource->line($stand->id, $season, $hours);
        }

        return $this->json([
            'lines' => $lines,
            'more' => $more,
            'silent' => $silent,
            'looks' => array_map(
                fn(array $look): array => $this->resource->look(...$look),
                $this->seasons->looks($user),
            ),
        ]);
    }

    /** @return Builder<Stand> */
    private static function chosen(User $user): Builder
    {
        return Stand::query()->ofCrew($user)->inHand()->whereHas('steps');
    }

    /** @return array{Stand, Step} */
    private function job(Request $request, string $standId): array
    {
        $stand = CrewRows::standToJudge($this->user($request), $standId)->loadMissing('steps.cardVersion');

        return [
            $stand,
            Workflow::current($stand) ??
            throw new Stopped(409, 'Choose a way of working first: its hours follow from it.'),
        ];
    }
}
