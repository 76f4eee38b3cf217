<?php

declare(strict_types=1);

namespace App\Resources;

use App\Support\Format;
use App\Text\Sentences;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\LookAlike;
use Thicket\Catalogue\LookTest;
use Thicket\Catalogue\Method;
use Thicket\Catalogue\NameSearch;
use Thicket\Catalogue\Species;
use Thicket\Catalogue\ToolKind;
use Thicket\Identify\Comparison;

/** The knowledge as pages for reading and search. */
final readonly class HandbookResource
{
    public function __construct(private Catalogue $catalogue, private Sentences $sentences) {}

    /** @return array<string, mixed> */
    public function index(): array
    {
        return [
            'species' => $this->sentences->inOrder(array_map($this->brief(...), $this->catalogue->allSpecies())),
            'habits' => array_map(
                fn(string $h): array => ['id' => $h, 'name' => $this->sentences->name("habit.{$h}")],
                $this->habits(),
            ),
            'methods' => $this->sentences->inOrder(
                array_map(
                    fn($m): array => [
                        'id' => $m->id(),
                        'name' => $this->sentences->name("method.{$m->id()}"),
                        'also' => $this->alsoCalled($m),
                        'family' => $this->sentences->name("family.{$m->family()}"),
                        'product' => $m->usesProduct()
                            ? ($m->isOfArea() && $m->like() === $m->id()
                                ? 'rate'
                                : 'strength')
                            : 'none',
                        'steps' => array_map(fn(string $s): string => $this->sentences->name("step.{$s}"), $m->steps()),
                        'mistakes' => array_map(
                            fn(string $s): string => $this->sentences->name("mistake.{$s}"),
                            $m->mistakes(),
                        ),
                    ],
                    $this->catalogue->allMethods(),
                ),
            ),
            'actives' => $this->sentences->inOrder(
                array_map(
                    fn($a): array => [
                        'id' => $a->id(),
                        'name' => $this->sentences->called($a->name()),
                        'group' => $a->group(),
                        'selectivity' => $a->selectivity(),
                        'soilActive' => $a->isSoilActive(),
                        'volatile' => $a->isVolatile(),
                        'cautions' => array_map(
                            fn(string $c): string => $this->sentences->name("caution.active-{$c}"),
                            $a->cautions(),
                        ),
                    ],
                    $this->catalogue->allActives(),
                ),
            ),
            'schools' => array_map(
                fn($s): array => [
                    'id' => $s->id(),
                    'name' => $this->sentences->name("school.{$s->id()}"),
                    'reason' => $this->sentences->name("reason.{$s->reason()}"),
                    'choices' => array_map(
                        fn(string $c): array => [
                            'id' => $c,
                            'name' => $this->sentences->name("choice.{$s->id()}.{$c}"),
                            'default' => $c === $s->default(),
                        ],
                        $s->choices(),
                    ),
                ],
                $this->catalogue->allSchools(),
            ),
            'settings' => $this->sentences->inOrder(
                array_map(
                    fn(string $s): array => ['id' => $s, 'name' => $this->sentences->name("site.{$s}")],
                    $this->catalogue->sites(),
                ),
            ),
            'tools' => $this->sentences->inOrder(
                array_map(
                    fn(ToolKind $t): array => ['id' => $t->id(), 'name' => $this->sentences->name("tool.{$t->id()}")],
                    array_filter($this->catalogue->toolKinds(), static fn(ToolKind $t): bool => !$t->isNeed()),
                ),
            ),
            'clearances' => $this->sentences->inOrder(
                array_map(
                    fn(string $c): array => ['id' => $c, 'name' => $this->sentences->name("clearance.{$c}")],
                    $this->catalogue->clearances(),
                ),
            ),
        ];
    }

    /** @return array<string, mixed> */
    public function species(Species $species): array
    {
        return $this->brief($species) + [
            'names' => $species->allNames(),
            'family' => $species->family(),
            'origin' => $this->sentences->ofPlant($species->id(), 'origin'),
            'why' => $this->sentences->ofPlant($species->id(), 'why'),
            'mechanical' => $this->sentences->ofPlant($species->id(), 'by-hand'),
            'lookFirst' => $this->sentences->ofPlant($species->id(), 'look-first'),
            'spread' => $species->spread(),
            'instead' => $this->sentences->ofPlant($species->id(), 'instead'),
            'hazards' => array_map(
                fn(string $h): string => $this->sentences->name("caution.plant-{$h}"),
                $species->hazards(),
            ),
            'seedBankYears' => $species->seedBankYears(),
            'sapFlow' => $species->sapFlow(),
            'root' => $this->sentences->name("root.{$species->rootForm()}"),
            'resprouts' => $species->resprouts(),
            'rootSuckering' => $species->isRootSuckering(),
            'phenology' => $species->events() ?: new \stdClass(),
            'responses' => array_map(
                fn(string $a): array => [
                    'active' => $this->sentences->called($this->catalogue->active($a)->name()),
                    'effect' => $species->responseTo($a),
                ],
                $species->knownResponses(),
            ),
            'lookAlikes' => array_map(
                fn(LookAlike $pair): array => $this->lookAlike($pair, $species),
                $this->catalogue->lookAlikesOf($species->id()),
            ),
            'kept' => $species->keptAs() === null ? null : $this->sentences->name("kept.{$species->keptAs()}"),
            'settings' => array_map(fn(string $s): string => $this->sentences->name("site.{$s}"), $species->settings()),
            'height' => Format::ground($species->greatestHeight()),
            'characters' => array_map(
                fn(string $c): array => ['id' => $c, 'states' => $this->states($species->characters()[$c])],
                array_keys($species->characters()),
            ),
            'facts' => $this->facts($species),
            'drawing' => DrawingResource::of($species),
        ];
    }

    /** @return array<string, mixed> two or three species, the parting characters first */
    public function comparison(Comparison $comparison): array
    {
        $ids = array_map(static fn(Species $s): string => $s->id(), $comparison->species);
        $pairs = [];
        foreach ($ids as $id) {
            foreach ($this->catalogue->lookAlikesOf($id) as $pair) {
                array_diff($pair->species(), $ids) === [] && ($pairs[$pair->id()] = $pair);
            }
        }

        return [
            'species' => array_map(
                fn(Species $s): array => $this->brief($s) + [
                    'hazards' => array_map(
                        fn(string $h): string => $this->sentences->name("caution.plant-{$h}"),
                        $s->hazards(),
                    ),
                    'facts' => $this->facts($s),
                    'drawing' => DrawingResource::of($s),
                ],
                $comparison->species,
            ),
            'parting' => $comparison->parting(),
            'rows' => array_map(
                fn(array $row): array => [
                    'character' => $row['character'],
                    'parts' => number_format($row['parts'], 2, '.', ''),
                    'cells' => array_map(
                        fn(?array $states): ?array => $states === null ? null : $this->states($states),
                        $row['states'],
                    ),
                ],
                $comparison->rows,
            ),
            'tests' => array_merge(
                [],
                ...array_map(
                    fn(LookAlike $pair): array => array_map($this->test(...), $pair->tests()),
                    array_values($pairs),
                ),
            ),
        ];
    }

    /** @return list<array<string, mixed>> */
    public function briefs(Species ...$species): array
    {
        return array_map($this->brief(...), array_values($species));
    }

    /** @return array<string, list<string>> what the language spoken calls each plant, by species */
    public function namesHere(): array
    {
        $names = [];
        foreach ($this->catalogue->allSpecies() as $species) {
            $names[$species->id()] = [$this->sentences->called($species->commonName())];
        }

        return $names;
    }

    /** @return list<string> in the order of the key */
    public function habits(): array
    {
        return $this->catalogue->characters()[0]->states();
    }

    /**
     * @param array<string, string> $frequencies
     *
     * @return list<array{id: string, name: string, frequency: string}>
     */
    private function states(array $frequencies): array
    {
        $out = [];
        foreach ($frequencies as $state => $frequency) {
            $frequency === 'never' ||
                ($out[] = [
                    'id' => (string) $state,
                    'name' => $this->sentences->name("state.{$state}"),
                    'frequency' => $frequency,
                ]);
        }

        return $out;
    }

    /** @return array<string, mixed> */
    private function lookAlike(LookAlike $pair, Species $species): array
    {
        $other = $this->catalogue->species($pair->otherThan($species->id()));

        return [
            'id' => $other->id(),
            'name' => $this->sentences->called($other->commonName()),
            'scientific' => $other->scientificName(),
            'danger' => $pair->danger(),
            'tests' => array_map($this->test(...), $pair->tests()),
            'drawing' => DrawingResource::of($other),
            'differs' => Comparison::of([$species->id(), $other->id()], $this->catalogue)->parting(),
        ];
    }

    /** @return array{question: string, handling: string, yes: string, no: string} names of what an answer points to */
    private function test(LookTest $test): array
    {
        return [
            'question' => $this->sentences->lookTest($test),
            'handling' => $this->sentences->name('handling.' . $test->handling()),
            'yes' => $this->sentences->called($this->catalogue->species($test->pointsTo('yes'))->commonName()),
            'no' => $this->sentences->called($this->catalogue->species($test->pointsTo('no'))->commonName()),
        ];
    }

    /** @return list<array{id: string, value: string|null}> what decides verdicts; null is not known */
    private function facts(Species $species): array
    {
        $yesNo = fn(?bool $value): ?string => $value === null
            ? null
            : $this->sentences->name($value ? 'word.yes' : 'word.no');
        $word = fn(?string $kind, ?string $value): ?string => $value === null || $value === 'unknown'
            ? null
            : $this->sentences->name("{$kind}.{$value}");
        $years = $species->seedBankYears();
        $stems = $species->stemsPerClump();
        $facts = [
            'life-cycle' => $word('cycle', $species->lifeCycle()),
            'root-depth' => $word('depth', $species->rootDepth()),
            'resprouts' => $yesNo($species->resprouts()),
            'suckers' => $yesNo($species->suckers()),
            'fragments' => $yesNo($species->fragmentsRegrow()),
            'ripens-after-cutting' => $yesNo($species->seedsRipenAfterCutting()),
            'waxy-leaf' => $yesNo($species->hasWaxyLeaf()),
            'sap-flow' => $word('sap-is', $species->sapFlow()),
            'seed-years' => $years === null ? null : "{$years['min']}–{$years['typical']}–{$years['max']}",
            'stems' => $stems === null ? null : "{$stems['typical']}–{$stems['most']}",
            'shade' => $word('standing', $species->standsShade()),
            'drought' => $word('standing', $species->standsDrought()),
        ];
        if ($species->isWoody()) {
            $facts['bark'] =
                $species->barkTexture() === null && $species->barkThickness() === null
                    ? null
                    : implode(
                        ', ',
                        array_filter([
                            $word('bark-is', $species->barkTexture()),
                            $word('bark-is', $species->barkThickness()),
                        ]),
                    );
        }

        return array_map(
            static fn(string $id, ?string $value): array => ['id' => $id, 'value' => $value],
            array_keys($facts),
            array_values($facts),
        );
    }

    /** @return list<array{kind: string, id: string, name: string, detail: string}> */
    public function search(string $words): array
    {
        $hits = [];
        foreach (
            ['today', 'ground', 'scout', 'methods', 'mix', 'when', 'field-day', 'look-back', 'shed', 'handbook']
            as $station
        ) {
            $name = $this->sentences->name("station.{$station}");
            NameSearch::closest($words, [$name]) === null ||
                ($hits[] = ['kind' => 'station', 'id' => $station, 'name' => ucfirst($name), 'detail' => '']);
        }
        $found = array_map(
            static fn(array $f): array => ['kind' => 'species', 'id' => $f['species']] + $f,
            (new NameSearch($this->catalogue, $this->namesHere()))->find($words),
        );
        foreach ($this->catalogue->allMethods() as $method) {
            $best = NameSearch::closest($words, [
                $this->sentences->name("method.{$method->id()}"),
                ...$this->alsoCalled($method),
            ]);
            $best === null || ($found[] = ['kind' => 'method', 'id' => $method->id()] + $best);
        }
        foreach ($this->catalogue->allActives() as $active) {
            $best = NameSearch::closest($words, [$this->sentences->called($active->name()), $active->name()]);
            $best === null || ($found[] = ['kind' => 'active', 'id' => $active->id()] + $best);
        }
        usort($found, static fn(array $a, array $b): int => $a['closeness'] <=> $b['closeness']);

        return [...$hits, ...array_map($this->hit(...), $found)];
    }

    /**
     * @param array{kind: string, id: string, name: string, closeness: int} $found
     *
     * @return array{kind: string, id: string, name: string, detail: string}
     */
    private function hit(array $found): array
    {
        [$name, $detail] = match ($found['kind']) {
            'method' => [
                $this->sentences->name("method.{$found['id']}"),
                $this->sentences->name('family.' . $this->catalogue->method($found['id'])->family()),
            ],
            'active' => [
                $this->sentences->called($this->catalogue->active($found['id'])->name()),
                $this->sentences->name('word.active'),
            ],
            default => [
                $this->sentences->called($this->catalogue->species($found['id'])->commonName()),
                $this->catalogue->species($found['id'])->scientificName(),
            ],
        };
        $known = in_array($found['name'], [$name, $detail], true);

        return [
            'kind' => $found['kind'],
            'id' => $found['id'],
            'name' => $name,
            'detail' => $known ? $detail : "{$detail} ({$found['name']})",
        ];
    }

    /** @return array{id: string, name: string, scientific: string, habit: string} */
    private function brief(Species $species): array
    {
        return [
            'id' => $species->id(),
            'name' => $this->sentences->called($species->commonName()),
            'scientific' => $species->scientificName(),
            'habit' => $this->sentences->name("habit.{$species->habit()}"),
        ];
    }

    /** @return list<string> what else a way of working is called where people do it */
    private function alsoCalled(Method $method): array
    {
        $code = "also.{$method->id()}";

        return $this->sentences->has($code) ? explode('; ', $this->sentences->name($code)) : [];
    }
}
