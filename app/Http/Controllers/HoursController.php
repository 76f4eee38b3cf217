<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Models\Stand;
use App\Models\Step;
use App\Repositories\CrewRows;
use App\Repositories\SituationRepository;
use App\Resources\HoursResource;
use App\Support\Format;
use App\Support\JobClock;
use App\Workflow\HourDesk;
use App\Workflow\Workflow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Assess\YearOutlook;
use Thicket\Catalogue\Catalogue;
use Thicket\Season\Phenology;
use Thicket\Season\ScoutingSeason;
use Thicket\Weather\Forecast;

/** Can we go today, with what, till when. Asked anew each time: hours pass though nobody writes. */
final class HoursController extends Controller
{
    /** Of today and tomorrow: whoever asks in the evening wants the morning. */
    private const DAYS_OF_TODAY = 2;
    private const MOST_STANDS = 40;

    public function __construct(
        private readonly HourDesk $desk,
        private readonly HoursResource $resource,
        private readonly SituationRepository $situations,
        private readonly JobClock $clock,
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

    /** The jobs that are chosen and not done, by when they may be done today and tomorrow. */
    public function today(Request $request, Catalogue $catalogue): JsonResponse
    {
        $open = Stand::query()
            ->ofCrew($this->user($request))
            ->where('closed_at', null)
            ->whereHas('patch', static fn($patch) => $patch->where('archived_at', null))
            ->whereHas('steps')
            ->withTrail()
            ->limit(self::MOST_STANDS)
            ->get();
        $lines = [];
        $silent = null;
        foreach ($open as $stand) {
            $step = Workflow::current($stand);
            $trail = Workflow::of($stand, $catalogue);
            if ($step === null || $trail->record !== null) {
                continue;
            }
            try {
                [$board, , $place] = $this->desk->of($stand, $step, self::DAYS_OF_TODAY);
            } catch (Stopped $e) {
                $silent = $e->getMessage();
                continue;
            }
            $openNow = $board->openNow();
            $situation = $this->situations->situation($stand);
            $season = YearOutlook::of(
                $situation,
                $this->situations->option($step, $stand->patch->ground->crew),
                (int) $situation->day->format('Y'),
            )->seasonOf($situation->day);
            $lines[] =
                [
                    'standId' => $stand->id,
                    'seasonOpens' => Format::day($season['opens']),
                    'lastDay' => Format::day($season['lastDay']),
                    'openUntil' => $openNow === null ? null : HoursResource::local($openNow->until(), $place),
                    'next' => $this->resource->opening($board->next(), $place),
                ] + $this->resource->verdict($board->hours[0]);
        }

        return $this->json(['lines' => $lines, 'silent' => $silent, 'looks' => $this->looks($request, $catalogue)]);
    }

    /**
     * Plants of the crew that give themselves away today, by ground.
     *
     * @return list<array<string, mixed>>
     */
    private function looks(Request $request, Catalogue $catalogue): array
    {
        $looks = [];
        $stands = Stand::query()
            ->ofCrew($this->user($request))
            ->whereNotNull('species')
            ->whereHas('patch', static fn($patch) => $patch->where('archived_at', null))
            ->with('patch.ground.crew')
            ->get()
            ->unique(static fn(Stand $s): string => "{$s->patch->ground_id} {$s->species}");
        foreach ($stands as $stand) {
            $ground = $stand->patch->ground;
            $species = $catalogue->species((string) $stand->species);
            $base = $species->datesHoldAt();
            $shift = $ground->seasonShift();
            $season = ScoutingSeason::on(
                $species,
                new Phenology($species, $base === null ? $shift : $shift->countedFrom(...$base)),
                $this->clock->today($ground->time_zone),
            );
            if ($season !== null) {
                $looks[] = [
                    'species' => $species->id(),
                    'name' => $species->commonName(),
                    'ground' => $ground->name,
                    'why' => $season->why,
                    'until' => Format::day($season->until),
                    'fruitIsRipe' => $season->fruitIsRipe,
                ];
            }
        }

        return $looks;
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
