<?php

declare(strict_types=1);

namespace App\Wire;

use App\Text\Sentences;
use Thicket\Knowledge\Catalogue;
use Thicket\Plants\NameSearch;
use Thicket\Plants\Species;

/** The knowledge as pages for reading and search. */
final readonly class HandbookWire
{
    public function __construct(private Catalogue $catalogue, private Sentences $sentences)
    {
    }

    /** @return array<string, mixed> */
    public function index(): array
    {
        return [
            'species' => array_map($this->brief(...), $this->catalogue->allSpecies()),
            'methods' => array_map(fn ($m): array => ['id' => $m->id(), 'name' => $this->sentences->name("method.{$m->id()}"), 'family' => $this->sentences->name("family.{$m->family()}"), 'steps' => array_map(fn (string $s): string => $this->sentences->name("step.{$s}"), $m->data->strings('steps')), 'mistakes' => array_map(fn (string $s): string => $this->sentences->name("mistake.{$s}"), $m->data->strings('mistakes'))], $this->catalogue->allMethods()),
            'actives' => array_map(fn ($a): array => ['id' => $a->id(), 'name' => $a->name(), 'group' => $a->group(), 'selectivity' => $a->selectivity(), 'soilActive' => $a->isSoilActive(), 'volatile' => $a->isVolatile(), 'cautions' => array_map(fn (string $c): string => $this->sentences->name("caution.active-{$c}"), $a->data->strings('cautions'))], $this->catalogue->allActives()),
            'schools' => array_map(fn ($s): array => ['id' => $s->id(), 'name' => $this->sentences->name("school.{$s->id()}"), 'reason' => $this->sentences->name("reason.{$s->data->string('reason')}"), 'choices' => array_map(fn (string $c): array => ['id' => $c, 'name' => $this->sentences->name("choice.{$s->id()}.{$c}"), 'default' => $c === $s->default()], $s->choices())], $this->catalogue->allSchools()),
            'settings' => array_map(fn (string $s): array => ['id' => $s, 'name' => $this->sentences->name("site.{$s}")], $this->catalogue->sites()),
        ];
    }

    /** @return array<string, mixed> */
    public function species(Species $species): array
    {
        $phenology = $species->data->nodeOrEmpty('phenology')->data;

        return $this->brief($species) + [
            'names' => $species->allNames(), 'family' => $species->data->string('family'), 'origin' => $species->data->string('origin'), 'why' => $species->data->string('whyItMatters'), 'mechanical' => $species->data->string('mechanical'),
            'lookFirst' => $species->data->stringOr('lookFirst', ''), 'spread' => $species->data->strings('spread'), 'replacements' => $species->data->strings('replacements'),
            'hazards' => array_map(fn (string $h): string => $this->sentences->name("caution.plant-{$h}"), $species->hazards()), 'seedBankYears' => $species->seedBankYears(), 'sapFlow' => $species->sapFlow(),
            'root' => $this->sentences->name("root.{$species->rootForm()}"), 'resprouts' => $species->resprouts(), 'rootSuckering' => $species->isRootSuckering(),
            'phenology' => array_filter(array_map(static fn ($day): ?string => is_string($day) && $day !== 'unknown' ? $day : null, $phenology)) ?: new \stdClass(),
            'responses' => array_map(fn (string $a): array => ['active' => $this->catalogue->active($a)->name(), 'effect' => $species->responseTo($a)], $species->knownResponses()),
            'lookAlikes' => array_map(fn ($pair): string => $this->catalogue->species(array_values(array_diff($pair->strings('pair'), [$species->id()]))[0])->commonName(), $this->catalogue->lookAlikesOf($species->id())),
        ];
    }

    /** @return list<array{kind: string, id: string, name: string, detail: string}> */
    public function search(string $words): array
    {
        $hits = [];
        foreach (['today', 'ground', 'scout', 'methods', 'mix', 'when', 'field-day', 'look-back', 'shed', 'handbook'] as $station) {
            $name = $this->sentences->name("station.{$station}");
            str_contains(mb_strtolower($name), $words) && $hits[] = ['kind' => 'station', 'id' => $station, 'name' => ucfirst($name), 'detail' => 'Station'];
        }
        foreach ((new NameSearch($this->catalogue))->find($words) as $found) {
            $species = $this->catalogue->species($found['species']);
            $name = $found['name'];
            $hits[] = ['kind' => 'species', 'id' => $species->id(), 'name' => $species->commonName(), 'detail' => $species->scientificName() . ($name === $species->commonName() || $name === $species->scientificName() ? '' : " ({$name})")];
        }

        return $hits;
    }

    /** @return array<string, mixed> */
    private function brief(Species $species): array
    {
        return ['id' => $species->id(), 'name' => $species->commonName(), 'scientific' => $species->scientificName(), 'habit' => $this->sentences->name("habit.{$species->habit()}")];
    }
}
