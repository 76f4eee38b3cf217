<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\Cover;
use Thicket\Catalogue\FactName;
use Thicket\Identify\Key;
use Thicket\Identify\ObservedCharacters;
use Thicket\Identify\SeasonalVisibility;
use Thicket\Identify\Unnamed;
use Thicket\Input\Fields;
use Thicket\Label\LabelCard;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Survey\StemGroup;
use Thicket\Verdict\Certainty;

/**
 * Reads a whole situation from one JSON document (docs/schemas/advise.schema.json), as the console and tests give it.
 * Faults are noted in the fields' Faults; call throwIfAny() before using the result.
 */
final readonly class SituationReader
{
    public function __construct(private Catalogue $catalogue) {}

    public function situation(Fields $in): Situation
    {
        $day = $in->day('date') ?? new \DateTimeImmutable('2000-01-01T00:00:00Z');
        $now = $in->momentOrNull('now') ?? $day->setTime(9, 0);
        $targetId = $in->textOrNull('species', 60);
        if ($targetId !== null && !$this->catalogue->hasSpecies($targetId)) {
            $in->fault('species', 'This species is not in the catalogue; leave it out for an unnamed plant.');
            $targetId = null;
        }
        $place = $in->object('place');
        $latitude = $place->decimal('latitude', '-85', '85') ?? '40';
        $elevation = $place->decimal('elevationMetres', '-430', '6000') ?? '200';
        $zone = SeasonalVisibility::readZone($place);
        $place->noOthers();
        $facts = [];
        foreach ($in->objects('facts', 100) as $item) {
            $fact = $this->fact($item, $now);
            $fact !== null && ($facts[] = $fact);
        }
        $stems = [];
        foreach ($in->objects('stems', 200) as $item) {
            $group = $this->stems($item);
            $group !== null && ($stems[] = $group);
        }
        $keepers = [];
        foreach ($in->objects('keepers', 200) as $item) {
            $keepers[] = $this->keeper($item);
        }

        $shift = SeasonShift::forPlace($latitude, $elevation);
        $listed = $this->listed($in);
        $sight = ObservedCharacters::read($in, $this->catalogue);

        $stance = $in->choiceOrNull('stance', ['any', 'least-hazard', 'none']) ?? 'any';
        $plant =
            $targetId === null
                ? new Plant(
                    null,
                    Unnamed::of(
                        (new Key($this->catalogue))->rank($sight, new SeasonalVisibility($shift, $day, zone: $zone)),
                        $this->catalogue,
                        $listed,
                    ),
                )
                : new Plant($this->catalogue->species($targetId));

        return new Situation(
            new Moment($now, $day),
            $plant,
            $shift,
            $facts,
            new Surveyed($stems, $keepers, $in->quantityOrNull('area', Dimension::Area), $this->history($in)),
            new CrewTerms($stance, $listed),
        );
    }

    /** @return list<PastWork> treatments this stand has had: [{on, method, active?, failed?}] */
    private function history(Fields $in): array
    {
        $out = [];
        foreach ($in->objects('history', 100) as $item) {
            $on = $item->day('on');
            $method = $item->text('method', 60);
            $active = $item->textOrNull('active', 60);
            $failed = $item->bool('failed', false);
            $item->noOthers();
            if ($method !== null && !$this->catalogue->hasMethod($method)) {
                $item->fault('method', 'This method is not in the catalogue.');
            } elseif ($active !== null && !$this->catalogue->hasActive($active)) {
                $item->fault('active', 'This active is not in the catalogue.');
            } elseif ($on !== null && $method !== null) {
                $out[] = new PastWork(
                    $on,
                    $method,
                    $active,
                    $active === null ? null : $this->catalogue->active($active)->group(),
                    $failed,
                );
            }
        }

        return $out;
    }

    /** @return array<string, string> species => what the law says of it here */
    private function listed(Fields $in): array
    {
        $listed = $in->map('listed');
        foreach ($listed as $species => $law) {
            $this->catalogue->hasSpecies($species) ||
                $in->fault("listed/{$species}", 'This species is not in the catalogue.');
            in_array($law, ['protected', 'regulated'], true) ||
                $in->fault("listed/{$species}", 'Say protected or regulated.');
        }

        return $listed;
    }

    public function schools(Fields $in): Schools
    {
        $chosen = [];
        foreach ($in->map('schools') as $school => $choice) {
            if (!$this->catalogue->hasSchool($school)) {
                $in->fault("schools/{$school}", 'There is no such school.');
                continue;
            }
            if (!in_array($choice, $this->catalogue->school($school)->choices(), true)) {
                $in->fault(
                    "schools/{$school}",
                    'The choices are ' . implode(', ', $this->catalogue->school($school)->choices()) . '.',
                );
                continue;
            }
            $chosen[$school] = $choice;
        }

        return Schools::of($this->catalogue, $chosen);
    }

    public function shed(Fields $in): Shed
    {
        $cards = [];
        foreach ($in->objects('cards', 100) as $item) {
            $card = LabelCard::read($item, $this->catalogue);
            $card !== null && ($cards[] = $card);
        }

        return new Shed(
            $cards,
            $in->has('tools') ? $in->strings('tools') : $this->none($in, 'tools'),
            $in->strings('clearances', $this->catalogue->clearances()),
            $in->bool('someoneLicensed', false),
            $in->quantityOrNull('leverJaw', Dimension::Length),
            $in->has('prices') ? Prices::read($in->object('prices'), $this->catalogue) : $this->none($in, 'prices'),
            $in->has('figures')
                ? CrewCoefficients::read($in, 'figures', $this->catalogue->coefficients())
                : $this->none($in, 'figures'),
            self::stemLimits($in),
        );
    }

    /**
     * @return array<string, Quantity> the crew's own {stemLeast?, stemMost?} of {stemLimits: {least?, most?}}; faults
     * are noted at their fields
     */
    public static function stemLimits(Fields $in): array
    {
        if (!$in->has('stemLimits')) {
            $in->raw('stemLimits');

            return [];
        }
        $given = $in->object('stemLimits');
        [$least, $most] = [
            $given->quantityOrNull('least', Dimension::Length),
            $given->quantityOrNull('most', Dimension::Length),
        ];
        $given->noOthers();
        if ($least !== null && $most !== null && $least->isGreaterThan($most)) {
            $given->fault('least', 'The thinnest stem must not be thicker than the thickest.');
        }

        return array_filter(['stemLeast' => $least, 'stemMost' => $most]);
    }

    public function fact(Fields $item, \DateTimeImmutable $now): ?Fact
    {
        $name = FactName::tryFrom(
            $item->choice('fact', array_map(static fn(FactName $f): string => $f->value, FactName::cases())) ?? '',
        );
        $certainty = Certainty::from(
            $item->choiceOrNull('certainty', ['measured', 'observed', 'estimated', 'typical', 'assumed']) ?? 'observed',
        );
        $at = $item->momentOrNull('at') ?? $now;
        if ($name === null) {
            $item->raw('value');

            return null;
        }
        $value = match (true) {
            $name->dimension() !== null => $item->quantity(
                'value',
                $name->dimension(),
                $name->dimension() === Dimension::Count ? Unit::One : null,
            ),
            $name->isYesNo() => is_bool($item->raw('value'))
                ? $item->bool('value', false)
                : $item->fault('value', 'Say true or false.'),
            $name->isDay() => $item->day('value'),
            $name === FactName::Setting => $item->choice('value', $this->catalogue->sites()),
            $name === FactName::CoverKind => $item->choice(
                'value',
                array_map(static fn(Cover $kind): string => $kind->id(), $this->catalogue->covers()),
            ),
            default => $item->choice('value', $name->choices() ?? []),
        };
        $item->noOthers();

        return $value === null ? null : new Fact($name, $value, $at, $certainty);
    }

    /**
     * A row of a tally: {diameter | girth | from, below, count, stemsPerClump?, estimated?, bark?, height?}.
     *
     * @param bool $counted false for a size class of a plot form, which has its counts elsewhere
     */
    public function stems(Fields $item, bool $counted = true): ?StemGroup
    {
        $count = $counted ? $item->int('count', 1, 1000000) : 1;
        $perClump = $item->int('stemsPerClump', 1, 500, 1);
        $estimated = $item->bool('estimated', false);
        $exact = $item->quantityOrNull('diameter', Dimension::Length);
        $least = $item->quantityOrNull('from', Dimension::Length);
        $below = $item->quantityOrNull('below', Dimension::Length);
        $girth = $item->quantityOrNull('girth', Dimension::Length);
        $bark = $item->choiceOrNull('bark', ['smooth', 'rough']);
        $height = $item->quantityOrNull('height', Dimension::Length);
        $item->noOthers();
        if ($girth !== null) {
            ($exact !== null || $least !== null) && $item->fault('girth', 'Give the girth or the diameter, not both.');
            // a tape round the stem reads pi times the diameter
            $exact = $girth->dividedBy(\Thicket\Measure\Pi::value());
        }
        if ($height !== null && ($height->isZero() || $height->in(Unit::Metre)->isGreaterThan(120))) {
            $item->fault('height', 'A height is above nought and under 120 m.');
        }
        foreach (['diameter' => $exact, 'below' => $below] as $field => $value) {
            if ($value !== null && ($value->isZero() || $value->in(Unit::Metre)->isGreaterThan(5))) {
                $item->fault($field, 'A stem is thicker than nothing and thinner than 5 m.');
            }
        }
        if ($exact === null && ($least === null || $below === null)) {
            // one that cannot be read has its own fault already
            $item->has('diameter') ||
                $item->has('girth') ||
                ($item->has('from') && $item->has('below')) ||
                $item->fault('diameter', 'Give a diameter, or a class with from and below.');

            return null;
        }
        if ($least !== null && $below !== null && !$below->isGreaterThan($least)) {
            $item->fault('below', 'A size class must end above where it begins.');

            return null;
        }
        if ($count === null || $perClump === null) {
            return null;
        }

        $group =
            $exact !== null
                ? StemGroup::exact($exact, $count, $perClump, $estimated)
                : ($least !== null && $below !== null
                    ? StemGroup::sizeClass($least, $below, $count, $perClump, $estimated)
                    : null);

        return $group?->noted($bark, $height);
    }

    /** @param string $source 'typed', or 'map' where distance and bearing were measured between shapes */
    public function keeper(Fields $item, string $source = 'typed'): ProtectedFeature
    {
        $species = $item->textOrNull('species', 60);
        if ($species !== null && !$this->catalogue->hasSpecies($species)) {
            $item->fault('species', 'This species is not in the catalogue; leave it out.');
        }
        $keeper = new ProtectedFeature(
            $item->choice('kind', ProtectedFeature::KINDS) ?? 'tree',
            $item->text('name', 80) ?? '',
            $item->quantityOrNull('distance', Dimension::Length),
            $species,
            $item->quantityOrNull('crownRadius', Dimension::Length),
            $item->quantityOrNull('height', Dimension::Length),
            $item->bool('downhill', false),
            $this->bearing($item),
            $source,
        );
        $item->noOthers();

        return $keeper;
    }

    private function bearing(Fields $item): ?float
    {
        if (!$item->has('bearing')) {
            return $this->none($item, 'bearing');
        }
        $degrees = $item->decimal('bearing', '0', '360');

        return $degrees === null ? null : (float) $degrees;
    }

    private function none(Fields $in, string $name): null
    {
        $in->raw($name);

        return null;
    }
}
