<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\LabelCardVersion;
use App\Models\Person;
use App\Models\Stand;
use App\Models\Step;
use App\Repositories\LookAlikes;
use App\Repositories\PriorApplicationsRepository;
use App\Repositories\SituationRepository;
use App\Support\JobClock;
use App\Text\GateText;
use Thicket\Assess\Board;
use Thicket\Catalogue\Catalogue;
use Thicket\Mix\TankTerms;
use Thicket\Practice\Gate;
use Thicket\Practice\GateKind;
use Thicket\Practice\Gates as CoreGates;
use Thicket\Situation\Option;
use Thicket\Situation\ToolsAtHand;

/** What stops a job sheet, told: what is known of the job is gathered here, the core says which gates are shut. */
final readonly class Gates
{
    /** More than six: services that are handed in: each gate asks another. */
    public function __construct(
        private Catalogue $catalogue,
        private SituationRepository $situations,
        private LookAlikes $lookAlikes,
        private RecipeDesk $recipes,
        private GateText $text,
        private JobClock $clock,
        private PriorApplicationsRepository $prior,
        private Washing $washing,
        private DutyDesk $duties,
    ) {}

    /**
     * @return list<array{code: string, text: array{us: string, metric: string}, opens: string, station: string,
     * passable: bool}> shut gates; empty means ready
     */
    public function of(Stand $stand, ?Step $step): array
    {
        return array_map($this->text->of(...), array_values(array_filter($this->shut($stand, $step))));
    }

    /** @return list<Gate|null> */
    private function shut(Stand $stand, ?Step $step): array
    {
        $shut = [];
        // a plant marked unknown is judged by the board as the worst it could be (rulings J25)
        if (!$stand->marked_unknown && ($stand->species === null || $stand->sighting?->confirmed_by === null)) {
            $shut[] = new Gate(GateKind::Named);
        }
        foreach ($this->lookAlikes->open($stand) as $other) {
            $shut[] = new Gate(GateKind::LookAlike, ['other' => $this->catalogue->species($other)->commonName()]);
        }
        if ($step === null) {
            return [...$shut, new Gate(GateKind::Chosen)];
        }

        return [
            ...$shut,
            ...$this->ofBoard($stand, $step),
            ...$this->ofProduct($stand, $step),
            ...$this->duties->gates($stand, $step),
            CoreGates::ofCount($this->situations->stems($stand)),
        ];
    }

    /** @return list<Gate> */
    private function ofBoard(Stand $stand, Step $step): array
    {
        $option = $this->situations->option($step, $stand->patch->ground->crew);
        $situation = $this->situations->situation($stand);
        $shut = CoreGates::ofFindings(
            array_merge(
                ...array_map(static fn(Option $one): array => Board::judge($situation, $one)->findings, [
                    $option,
                    ...$option->partners,
                ]),
            ),
        );
        $clearance = ToolsAtHand::of($situation, $option)->clearance;

        return $clearance === null ? $shut : [...$shut, new Gate(GateKind::Clearance, ['tool' => $clearance])];
    }

    /** @return list<Gate|null> */
    private function ofProduct(Stand $stand, Step $step): array
    {
        if ($step->active === null) {
            return [];
        }
        if ($step->cardVersion === null) {
            return [new Gate(GateKind::NoCard)];
        }
        $versions = $step->cardVersions();
        $cards = array_map($this->situations->card(...), $versions);
        $terms = new TankTerms($cards);
        $today = $this->clock->today($stand->patch->ground->time_zone);
        $last = [];
        foreach (CoreGates::actives($cards) as $active) {
            $last[$active] = $this->prior->lastDay($stand, $active);
        }
        $recipe = $this->recipes->solve($stand, $step);
        $is = static fn(bool $shut, GateKind $kind): ?Gate => $shut ? new Gate($kind) : null;

        return [
            $is(
                array_filter($versions, static fn(LabelCardVersion $v): bool => $v->confirmed_at === null) !== [],
                GateKind::CardUnconfirmed,
            ),
            $is(
                array_filter($versions, static fn(LabelCardVersion $v): bool => $v->newer() !== null) !== [],
                GateKind::CardNewer,
            ),
            $is($step->recipe === null || !$this->recipes->isFresh($stand, $step), GateKind::Recipe),
            CoreGates::ofCeilings($recipe->products),
            CoreGates::ofWait($terms, array_filter($last), $stand->patch->setting, $today),
            CoreGates::ofLicence(
                $terms,
                $stand->patch->ground->crew->people->contains(static fn(Person $p): bool => $p->isLicensedOn($today)),
            ),
            $step->sprayer === null ? null : CoreGates::ofCalibration($step->sprayer->dueOn(), $today),
            $this->washing->gate($step, $recipe->carrier, $stand->patch->ground->time_zone),
        ];
    }
}
