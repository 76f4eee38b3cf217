<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Stand;
use App\Repositories\LookAlikes;
use App\Resources\StandResource;
use App\Support\JobClock;
use App\Workflow\DutyDesk;
use App\Workflow\FieldDays;
use App\Workflow\PatrolDesk;
use App\Workflow\Reminders;
use App\Workflow\Workflow;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Catalogue\Catalogue;

/**
 * What is next on every open stand, earliest station first, and which look-backs are due. No hours: there is no weather
 * yet (rulings B33).
 */
final class TodayController extends Controller
{
    private const MOST_SCOUTED = 100;

    /** More than six: services that are handed in: a day gathers from all of them. */
    public function __invoke(
        Request $request,
        StandResource $resource,
        Catalogue $catalogue,
        JobClock $clock,
        LookAlikes $lookAlikes,
        Reminders $reminders,
        FieldDays $fieldDays,
        DutyDesk $duties,
        PatrolDesk $patrolDesk,
    ): JsonResponse {
        $user = $this->user($request);
        $lines = [];
        $due = [];
        $patrols = [];
        $open = fn(): Builder => Stand::query()->ofCrew($user)->inHand();
        // all that is under way; of what is only scouted, the newest: the rest is found at Ground
        $scouted = $open()->whereDoesntHave('steps');
        $more = max(0, (clone $scouted)->count() - self::MOST_SCOUTED);
        $listed = [
            ...$open()->whereHas('steps')->pluck('id'),
            ...$scouted->orderByDesc('updated_at')->orderByDesc('id')->limit(self::MOST_SCOUTED)->pluck('id'),
        ];
        /** @var Stand $stand */
        foreach (Stand::query()->withLine()->whereKey($listed)->get() as $stand) {
            $trail = Workflow::of($stand, $catalogue);
            $line = $resource->line($stand, $trail) + ['lookAlikesOpen' => count($lookAlikes->open($stand))];
            $lines[] = $line;
            $patrol = $trail->next === null ? $patrolDesk->of($stand) : null;
            $next = $patrol === null ? null : min($patrol->next, $patrolDesk->again($stand) ?? $patrol->next);
            if ($next !== null && $next <= $clock->today($stand->patch->ground->time_zone)) {
                $patrols[] = [
                    'standId' => $stand->id,
                    'name' => $line['name'],
                    'patch' => $line['patch'],
                    'next' => $next->format('Y-m-d'),
                ];
            }
            if ($trail->next === 'judged' && $trail->record !== null) {
                $due[] = [
                    'standId' => $stand->id,
                    'recordId' => $trail->record->id,
                    'name' => $line['name'],
                    'patch' => $line['patch'],
                    'judgeAfter' => $trail->record->judge_after->format('Y-m-d'),
                    'due' =>
                        $trail->record->judge_after->format('Y-m-d') <=
                        $clock->today($stand->patch->ground->time_zone)->format('Y-m-d'),
                ];
            }
        }
        usort(
            $lines,
            static fn(array $a, array $b): int => [$a['position'], $a['ground'], $a['patch'], $a['name']] <=> [
                $b['position'],
                $b['ground'],
                $b['patch'],
                $b['name'],
            ],
        );

        return $this->json([
            'day' => $clock->today($user->crew->timeZone())->format('Y-m-d'),
            'person' => $user->crew->people()->where('user_id', $user->id)->value('id'),
            'lines' => $lines,
            'lookBacks' => $due,
            'patrols' => $patrols,
            'field' => $fieldDays->open($user),
            'standing' => $fieldDays->standing($user),
            'duties' => $duties->underWay($user),
            'sheets' => $fieldDays->toBeDone($user),
            'shed' => $reminders->of($user->crew),
            'more' => $more,
        ]);
    }
}
