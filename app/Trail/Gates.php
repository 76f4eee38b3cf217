<?php

declare(strict_types=1);

namespace App\Trail;

use App\Models\Person;
use App\Models\Stand;
use App\Models\Step;
use App\Support\JobClock;
use App\Text\Sentences;
use Thicket\Knowledge\Catalogue;
use Thicket\Measure\Quantity;
use Thicket\Measure\System;
use Thicket\Methods\Board;
use Thicket\Methods\Outcome;
use Thicket\Methods\StemGroup;
use Thicket\Mix\Recipe;

/**
 * What stops a job sheet (rulings B2), each with what opens it. Label, law, licence, look-alike and cannot-tell are
 * never passed; effect, calibration and estimate may be passed by a lead with a written reason.
 */
final readonly class Gates
{
    private const PASSABLE = ['not-now', 'does-not-suit', 'estimated-tally', 'calibration'];

    public function __construct(private Catalogue $catalogue, private Assembler $assembler, private LookAlikes $lookAlikes, private RecipeDesk $recipes, private Sentences $sentences, private JobClock $clock, private Ceilings $ceilings)
    {
    }

    /** @return list<array{code: string, text: array{us: string, metric: string}, opens: string, station: string, passable: bool}> shut gates; empty means ready */
    public function of(Stand $stand, ?Step $step): array
    {
        $shut = [];
        // a plant marked unknown is judged by the board as the worst it could be (rulings J25)
        if (!$stand->marked_unknown && ($stand->species === null || $stand->sighting?->confirmed_by === null)) {
            $shut[] = $this->gate('named', 'scout');
        }
        foreach ($this->lookAlikes->open($stand) as $other) {
            $shut[] = $this->gate('look-alike', 'scout', ['other' => $this->catalogue->species($other)->commonName()]);
        }
        if ($step === null) {
            return [...$shut, $this->gate('chosen', 'methods')];
        }

        return [...$shut, ...$this->ofBoard($stand, $step), ...$this->ofProduct($stand, $step), ...$this->ofCount($stand)];
    }

    /** @return list<array{code: string, text: array{us: string, metric: string}, opens: string, station: string, passable: bool}> */
    private function ofBoard(Stand $stand, Step $step): array
    {
        $candidate = $this->assembler->candidate($step, $stand->patch->ground->crew);
        $row = Board::judge($this->assembler->situation($stand), $candidate);
        $shut = [];
        foreach ($row->findings as $finding) {
            $gate = match ($finding->outcome) {
                Outcome::NotAllowed => 'not-allowed', Outcome::CannotTell => 'cannot-tell', Outcome::NotNow => 'not-now', Outcome::DoesNotSuit => 'does-not-suit', default => null,
            };
            if ($gate !== null && !isset($shut[$gate])) {
                $missing = $finding->missing === null ? '' : $this->sentences->in("fact.{$finding->missing}", ['keeper' => $finding->values['keeper'] ?? ''], System::Us);
                $shut[$gate] = $this->gate($gate, $gate === 'cannot-tell' ? 'scout' : 'methods', ['missing' => $missing]);
            }
        }
        $clearance = $candidate->method->clearance();
        if ($clearance !== 'none' && !in_array($clearance, $candidate->shed->clearances, true)) {
            $shut['clearance'] = $this->gate('clearance', 'shed', ['tool' => $clearance]);
        }

        return array_values($shut);
    }

    /** @return list<array{code: string, text: array{us: string, metric: string}, opens: string, station: string, passable: bool}> */
    private function ofProduct(Stand $stand, Step $step): array
    {
        if ($step->active === null) {
            return [];
        }
        if ($step->cardVersion === null) {
            return [$this->gate('no-card', 'shed')];
        }
        $shut = [];
        if ($step->cardVersion->confirmed_at === null) {
            $shut[] = $this->gate('card-unconfirmed', 'shed');
        }
        if ($step->cardVersion->newer() !== null) {
            $shut[] = $this->gate('card-newer', 'mix');
        }
        if ($step->recipe === null || !$this->recipes->isFresh($stand, $step)) {
            $shut[] = $this->gate('recipe', 'mix');
        }
        $recipe = $this->recipes->solve($stand, $step);
        if (in_array('ceiling', $recipe->blocks, true) || $recipe->ceiling?->kept === null) {
            $left = $this->remaining($stand, $step, $recipe);
            $shut[] = $this->gate($left === null ? 'ceiling' : 'ceiling-left', 'mix', $left === null ? [] : ['left' => $left]);
        }
        $interval = $this->assembler->card($step->cardVersion)->intervalDays;
        $last = $interval === null ? null : $this->ceilings->lastDay($stand, $step);
        $again = $last?->modify("+{$interval} days");
        if ($again !== null && $again > $this->clock->today($stand->patch->ground->time_zone)) {
            $shut[] = $this->gate('interval', 'when', ['opens' => $this->sentences->day($again)]);
        }
        $licensed = $stand->patch->ground->crew->people->contains(fn (Person $p): bool => $p->isLicensedOn($this->clock->now()));
        if ($this->assembler->card($step->cardVersion)->licensedOnly && !$licensed) {
            $shut[] = $this->gate('licence', 'shed');
        }
        $due = $step->sprayer?->dueOn();
        if ($step->sprayer !== null && ($due === null || $due->format('Y-m-d') < $this->clock->now()->format('Y-m-d'))) {
            $shut[] = $this->gate('calibration', 'shed');
        }

        return $shut;
    }

    /** Product that the label's yearly maximum still leaves for this ground; null where that cannot be told. */
    private function remaining(Stand $stand, Step $step, Recipe $recipe): ?Quantity
    {
        return $step->cardVersion === null || $step->active === null ? null : $recipe->ceiling?->remaining($this->assembler->card($step->cardVersion), $step->active, $this->ceilings->thisYear($stand, $step));
    }

    /** @return list<array{code: string, text: array{us: string, metric: string}, opens: string, station: string, passable: bool}> */
    private function ofCount(Stand $stand): array
    {
        $estimated = array_filter($this->assembler->stems($stand), static fn (StemGroup $g): bool => $g->estimated);

        return $estimated === [] ? [] : [$this->gate('estimated-tally', 'scout')];
    }

    /**
     * @param array<string, string|Quantity> $values
     *
     * @return array{code: string, text: array{us: string, metric: string}, opens: string, station: string, passable: bool}
     */
    private function gate(string $code, string $station, array $values = []): array
    {
        return ['code' => $code, 'text' => $this->sentences->both("gate.{$code}", $values), 'opens' => $this->sentences->in("gate.opens.{$code}", $values, System::Us), 'station' => $station, 'passable' => in_array($code, self::PASSABLE, true)];
    }
}
