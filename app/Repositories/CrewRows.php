<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Exceptions\Stopped;
use App\Models\Ground;
use App\Models\Record;
use App\Models\Sheet;
use App\Models\Stand;
use App\Models\Step;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\ModelNotFoundException;

/**
 * Rows of the crew of whoever asks, with what is read of them; those of another crew are not found (404).
 *
 * @throws ModelNotFoundException
 */
final class CrewRows
{
    private function __construct() {}

    /** With its whole trail. */
    public static function stand(User $user, string $id): Stand
    {
        return Stand::query()->ofCrew($user)->withTrail()->findOrFail($id);
    }

    /** One that is to be changed: a closed one is not (409). */
    public static function openStand(User $user, string $id): Stand
    {
        $stand = self::stand($user, $id);

        return $stand->closed_at === null ? $stand : throw new Stopped(409, 'This stand is closed.');
    }

    /** With what the board judges by, and no more. */
    public static function standToJudge(User $user, string $id): Stand
    {
        $stand = Stand::query()->ofCrew($user)->toJudge()->findOrFail($id);
        $stand->patch->ground->setRelation('crew', $user->crew);
        $stand->species === null && $stand->load('sighting');

        return $stand;
    }

    public static function step(User $user, string $id): Step
    {
        return Step::query()
            ->whereHas('patch.ground', static fn($ground) => $ground->where('crew_id', $user->crew_id))
            ->findOrFail($id);
    }

    /** @return array{Stand, Step} a step that something is mixed for, with its stand (409 where nothing is) */
    public static function mixedStep(User $user, string $id): array
    {
        $stand = Stand::query()
            ->ofCrew($user)
            ->whereHas('steps', fn($steps) => $steps->whereKey($id))
            ->withTrail()
            ->firstOrFail();
        $step = $stand->steps->firstWhere('id', $id) ?? throw new ModelNotFoundException();
        if ($step->active === null) {
            throw new Stopped(409, 'This step uses no product, so there is nothing to mix.');
        }

        return [$stand, $step];
    }

    public static function ground(User $user, string $id): Ground
    {
        return Ground::query()->ofCrew($user)->findOrFail($id);
    }

    public static function sheet(User $user, string $id): Sheet
    {
        return Sheet::query()
            ->ofCrew($user)
            ->with(['steps.patch.ground', 'steps.records'])
            ->findOrFail($id);
    }

    public static function record(User $user, string $id): Record
    {
        return Record::query()
            ->ofCrew($user)
            ->with(['lookBacks', 'amendments.author', 'patch.ground', 'seal', 'sheet', 'standing.looker'])
            ->findOrFail($id);
    }

    /** @return Collection<int, Record> by the days of the work; of all years where none is named */
    public static function recordsOf(User $user, ?int $year): Collection
    {
        $query = Record::query()
            ->ofCrew($user)
            ->with(['lookBacks', 'amendments.author', 'patch.ground', 'seal', 'sheet', 'standing.looker']);
        $year === null || $query->whereBetween('worked_on', ["{$year}-01-01", "{$year}-12-31"]);

        return $query->orderBy('worked_on')->orderBy('seq')->get();
    }
}
