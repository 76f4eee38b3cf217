<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\Stand;
use App\Models\Step;
use App\Models\User;
use App\Repositories\SituationRepository;
use App\Support\JobClock;
use Thicket\Assess\YearOutlook;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\Species;
use Thicket\Season\Phenology;
use Thicket\Season\ScoutingSeason;

/** What the season asks of stands: until when a chosen job may be done, and which plants give themselves away now. */
final readonly class SeasonDesk
{
    public function __construct(
        private SituationRepository $situations,
        private Catalogue $catalogue,
        private JobClock $clock,
    ) {}

    /**
     * Of the chosen job, by its season and by the days that its programme gives it.
     *
     * @return array{opens: \DateTimeImmutable|null, lastDay: \DateTimeImmutable|null}
     */
    public function around(Stand $stand, Step $step): array
    {
        return YearOutlook::seasonAround(
            $this->situations->situation($stand),
            $this->situations->option($step, $stand->patch->ground->crew),
            $step->dueFrom(),
            $step->dueTo(),
        );
    }

    /**
     * Of each plant that a crew has in hand on a ground: whether it gives itself away now.
     *
     * @return list<array{Stand, Species, ScoutingSeason}>
     */
    public function looks(User $user): array
    {
        // one stand of each plant and ground, however many there are
        $one = Stand::query()
            ->ofCrew($user)
            ->inHand()
            ->whereNotNull('species')
            ->join('patches', 'patches.id', '=', 'stands.patch_id')
            ->groupBy('patches.ground_id', 'stands.species')
            ->selectRaw('min(stands.id) as id');
        $shifts = [];
        $looks = [];
        foreach (Stand::query()->with('patch.ground.crew')->whereKey($one->pluck('id'))->get() as $stand) {
            $ground = $stand->patch->ground;
            $species = $this->catalogue->species((string) $stand->species);
            $shifts[$ground->id] ??= $this->situations->seasonOf($stand->patch);
            $season = ScoutingSeason::on(
                $species,
                Phenology::of($species, $shifts[$ground->id]),
                $this->clock->today($ground->time_zone),
            );
            $season === null || ($looks[] = [$stand, $species, $season]);
        }

        return $looks;
    }
}
