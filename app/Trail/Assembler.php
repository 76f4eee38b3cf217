<?php

declare(strict_types=1);

namespace App\Trail;

use App\Models\Crew;
use App\Models\Keeper as KeeperRow;
use App\Models\LabelCardVersion;
use App\Models\Observation;
use App\Models\Patch;
use App\Models\Person;
use App\Models\Stand;
use App\Models\Step;
use App\Support\JobClock;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Knowledge\Catalogue;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\Fact;
use Thicket\Methods\FactName;
use Thicket\Methods\Schools;
use Thicket\Methods\Shed;
use Thicket\Methods\Situation;
use Thicket\Methods\SituationReader;
use Thicket\Mix\LabelCard;

/** Gathers what is stored of a stand into the plain objects of the core. Stored bodies were read by the core once, so they read again. */
final readonly class Assembler
{
    public function __construct(private Catalogue $catalogue, private JobClock $clock)
    {
    }

    /** @param \DateTimeImmutable|null $day another day of the season than today */
    public function situation(Stand $stand, ?\DateTimeImmutable $day = null): Situation
    {
        $patch = $stand->patch;
        $zone = new \DateTimeZone($patch->ground->time_zone);
        $today = $this->clock->today($patch->ground->time_zone);
        $situation = new Situation(
            $this->clock->now()->setTimezone($zone),
            $today,
            $stand->species === null ? null : $this->catalogue->species($stand->species),
            $patch->ground->seasonShift(),
            [new Fact(FactName::Setting, $patch->setting, null, Certainty::Observed, 'patch'), ...$this->facts($patch)],
            $this->stems($stand),
            $this->keepers($patch),
            $patch->ground->crew->settings['stance'] ?? 'any',
        );

        return $day === null || $day == $today ? $situation : $situation->onDay($day);
    }

    /** @return list<\Thicket\Methods\StemGroup> */
    public function stems(Stand $stand): array
    {
        return $stand->tally === null ? [] : $this->stemsOf($stand->tally->rows);
    }

    /**
     * @param list<array<string, mixed>> $rows
     *
     * @return list<\Thicket\Methods\StemGroup>
     */
    public function stemsOf(array $rows): array
    {
        $faults = new Faults();
        $groups = [];
        foreach ($rows as $row) {
            $groups[] = (new SituationReader($this->catalogue))->stems(Fields::of($row, $faults));
        }
        $faults->throwIfAny();

        return array_values(array_filter($groups));
    }

    /** @return list<\Thicket\Methods\Keeper> */
    public function keepers(Patch $patch): array
    {
        return array_values($patch->keepers->map(fn (KeeperRow $row): \Thicket\Methods\Keeper => (new SituationReader($this->catalogue))->keeper(Fields::of($row->body, new Faults())))->all());
    }

    public function shed(Crew $crew): Shed
    {
        $cards = [];
        foreach ($crew->labelCards()->with('versions')->get() as $card) {
            $version = $card->versions->first(fn (LabelCardVersion $v): bool => $v->confirmed_at !== null) ?? $card->versions->first();
            $version !== null && $cards[] = $this->card($version);
        }
        $people = $crew->people()->get();
        $day = $this->clock->now();
        $jaw = $crew->settings['leverJaw'] ?? null;

        return new Shed(
            $cards,
            $crew->settings['tools'] ?? null,
            array_values(array_unique($people->flatMap(fn (Person $p): array => $p->clearances)->all())),
            $people->contains(fn (Person $p): bool => $p->isLicensedOn($day)),
            $jaw === null ? null : \Thicket\Measure\Reading::parse($jaw, Dimension::Length)->quantity,
        );
    }

    public function card(LabelCardVersion $version): LabelCard
    {
        $faults = new Faults();
        $body = ['id' => $version->id, 'version' => $version->version, 'confirmed' => $version->confirmed_at !== null] + $version->body;
        $card = LabelCard::read(Fields::of($body, $faults), $this->catalogue);
        $faults->throwIfAny();

        return $card ?? throw new \LogicException("Label card version {$version->id} cannot be read.");
    }

    /** @param array<string, string> $other choices for this look only */
    public function schools(Crew $crew, array $other = []): Schools
    {
        return Schools::of($this->catalogue, $other + ($crew->settings['schools'] ?? []));
    }

    public function candidate(Step $step, Crew $crew): Candidate
    {
        return new Candidate(
            $this->catalogue->method($step->method),
            $step->active === null ? null : $this->catalogue->active($step->active),
            $step->cardVersion === null ? null : $this->card($step->cardVersion),
            Schools::of($this->catalogue, $step->schools),
            $this->shed($crew),
            $this->catalogue,
        );
    }

    public function area(Patch $patch): ?Quantity
    {
        return $patch->outline === null ? null : Quantity::of(rtrim(rtrim($patch->outline->area_m2, '0'), '.'), Unit::SquareMetre);
    }

    /** @return list<Fact> */
    private function facts(Patch $patch): array
    {
        $facts = [];
        foreach ($patch->observations as $observation) {
            $fact = (new SituationReader($this->catalogue))->fact(Fields::of($observation->body, new Faults()), \DateTimeImmutable::createFromInterface($observation->at));
            $fact !== null && $facts[] = $fact;
        }

        return $facts;
    }

    /** @return array<string, Observation> newest observation of each fact */
    public function newest(Patch $patch): array
    {
        $out = [];
        foreach ($patch->observations as $observation) {
            $out[$observation->fact] ??= $observation;
        }

        return $out;
    }
}
