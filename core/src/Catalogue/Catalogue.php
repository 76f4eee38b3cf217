<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Catalogue\Exception\UnknownEntry;

/**
 * The knowledge of core/data as one object, handed to whatever needs it (rulings B29). Built from the plain arrays
 * that {@see CatalogueFiles} reads and checks; never reads files itself.
 *
 * @phpstan-import-type Table from KeyTable
 */
final class Catalogue
{
    private readonly Node $root;

    /*
     * Entries and lists are made once: they never change, and every rule asks for them again.
     */
    /** @var array<string, Species> */
    private array $species = [];
    /** @var array<string, Active> */
    private array $active = [];
    /** @var array<string, Method> */
    private array $method = [];
    /** @var array<string, School> */
    private array $school = [];
    /** @var array<string, mixed> */
    private array $made = [];

    /** @param array<string, mixed> $data as {@see CatalogueFiles::read()} returns it */
    public function __construct(private readonly array $data, public readonly string $hash)
    {
        $this->root = new Node($data, 'catalogue');
    }

    public function species(string $id): Species
    {
        return $this->species[$id] ??= new Species($this->entry('species', $id));
    }

    public function hasSpecies(string $id): bool
    {
        return isset($this->root->node('species')->data[$id]);
    }

    /** @return list<Species> in order of common name */
    public function allSpecies(): array
    {
        return $this->once('all species', function (): array {
            $all = $this->entries('species', $this->species(...));
            usort($all, static fn(Species $a, Species $b): int => $a->commonName() <=> $b->commonName());

            return $all;
        });
    }

    public function active(string $id): Active
    {
        return $this->active[$id] ??= new Active($this->entry('actives', $id));
    }

    public function hasActive(string $id): bool
    {
        return isset($this->root->node('actives')->data[$id]);
    }

    /** @return list<Active> */
    public function allActives(): array
    {
        return $this->once('all actives', fn(): array => $this->entries('actives', $this->active(...)));
    }

    public function method(string $id): Method
    {
        return $this->method[$id] ??= new Method($this->entry('methods', $id));
    }

    public function hasMethod(string $id): bool
    {
        return isset($this->root->node('methods')->data[$id]);
    }

    /** @return list<Method> in order of id */
    public function allMethods(): array
    {
        return $this->once('all methods', fn(): array => $this->entries('methods', $this->method(...)));
    }

    /** @throws UnknownEntry */
    public function programme(string $id): Programme
    {
        return new Programme($this->entry('programmes', $id));
    }

    public function hasProgramme(string $id): bool
    {
        return $this->root->node('programmes')->has($id);
    }

    /** A species by its id, or by one of its names as people write it; null where there is none. */
    public function speciesCalled(string $name): ?Species
    {
        if ($this->hasSpecies($name)) {
            return $this->species($name);
        }
        foreach ($this->allSpecies() as $species) {
            if (in_array(mb_strtolower(trim($name)), array_map(mb_strtolower(...), $species->allNames()), true)) {
                return $species;
            }
        }

        return null;
    }

    /** @return list<School> those that say how the work of this method is done */
    public function schoolsOfMethod(string $method): array
    {
        return $this->once(
            "schools of {$method}",
            fn(): array => array_values(
                array_filter($this->allSchools(), static fn(School $s): bool => $s->isOfMethod($method)),
            ),
        );
    }

    /** @return list<Programme> */
    public function allProgrammes(): array
    {
        return array_values(
            array_map(static fn(Node $node): Programme => new Programme($node), $this->root->nodes('programmes')),
        );
    }

    public function school(string $id): School
    {
        return $this->school[$id] ??= new School($this->entry('schools', $id));
    }

    public function hasSchool(string $id): bool
    {
        return isset($this->root->node('schools')->data[$id]);
    }

    /** @return list<School> */
    public function allSchools(): array
    {
        return $this->once('all schools', fn(): array => $this->entries('schools', $this->school(...)));
    }

    /** @return list<LookAlike> pairs that name the species */
    public function lookAlikesOf(string $speciesId): array
    {
        $all = $this->once(
            'look-alikes',
            fn(): array => array_map(
                static fn(Node $pair): LookAlike => new LookAlike($pair),
                array_values($this->root->nodes('lookalikes')),
            ),
        );

        return array_values(array_filter($all, static fn(LookAlike $pair): bool => $pair->has($speciesId)));
    }

    /** @return list<Character> field characters of the key, in file order */
    public function characters(): array
    {
        return $this->once(
            'characters',
            fn(): array => array_map(
                static fn(Node $node): Character => new Character($node),
                array_values($this->root->nodes('characters')),
            ),
        );
    }

    /** @return list<Trap> known mistakes in naming */
    public function traps(): array
    {
        return array_map(static fn(Node $trap): Trap => new Trap($trap), array_values($this->root->nodes('traps')));
    }

    /** @return Table what the key reads, compiled with the catalogue */
    public function keyTable(): array
    {
        /** @var Table $table */
        $table = $this->data['keyTable'];

        return $table;
    }

    /** @return list<WindowRow> in file order */
    public function windowRows(): array
    {
        return $this->once(
            'windows',
            fn(): array => array_map(
                static fn(Node $row): WindowRow => new WindowRow($row),
                array_values($this->root->nodes('windows')),
            ),
        );
    }

    /** @return list<WeighingScale> of the six measures */
    public function weighing(): array
    {
        return $this->once(
            'weighing',
            fn(): array => array_map(
                static fn(Node $node): WeighingScale => new WeighingScale($node),
                array_values($this->root->nodes('weighing')),
            ),
        );
    }

    /** How plants live and multiply: what the outlook over years rests on. */
    public function life(): LifeTable
    {
        return $this->once('life', fn(): LifeTable => new LifeTable($this->root->node('life')));
    }

    public function coefficients(): Coefficients
    {
        return $this->once('coefficients', fn(): Coefficients => new Coefficients($this->root->node('coefficients')));
    }

    /** @return list<SumTable> the sums of handbook 3 with their directions */
    public function sums(): array
    {
        return array_map(
            static fn(Node $node): SumTable => new SumTable($node),
            array_values($this->root->nodes('sums')),
        );
    }

    /** @throws UnknownEntry */
    public function sum(string $id): SumTable
    {
        foreach ($this->sums() as $table) {
            if ($table->id() === $id) {
                return $table;
            }
        }
        throw UnknownEntry::of('sums', $id);
    }

    /** @return list<string> */
    public function sites(): array
    {
        return $this->root->strings('sites');
    }

    /** @return list<Cover> kinds of cover crop */
    public function covers(): array
    {
        return array_map(static fn(Node $kind): Cover => new Cover($kind), array_values($this->root->nodes('covers')));
    }

    /** @return list<Planting> kinds of planting */
    public function plantings(): array
    {
        return array_map(
            static fn(Node $kind): Planting => new Planting($kind),
            array_values($this->root->nodes('plantings')),
        );
    }

    /** @return list<CardTemplate> label cards to begin with */
    public function cardTemplates(): array
    {
        return array_map(
            static fn(Node $card): CardTemplate => new CardTemplate($card),
            array_values($this->root->nodes('card-templates')),
        );
    }

    /** @return list<Mixture> actives that practice gives together */
    public function mixtures(): array
    {
        return $this->once(
            'mixtures',
            fn(): array => array_map(
                static fn(Node $node): Mixture => new Mixture($node),
                array_values($this->root->nodes('mixtures')),
            ),
        );
    }

    /** @return list<string> what a person may be cleared for */
    public function clearances(): array
    {
        return $this->root->node('tools')->strings('clearances');
    }

    /** @return list<ToolKind> */
    public function toolKinds(): array
    {
        return $this->once(
            'tools',
            fn(): array => array_map(
                static fn(Node $node): ToolKind => new ToolKind($node),
                array_values($this->root->node('tools')->nodes('tools')),
            ),
        );
    }

    /** @return list<ToolKind> kinds that meet a need */
    public function toolsThatMeet(string $need): array
    {
        return $this->once(
            "tools for {$need}",
            fn(): array => array_values(
                array_filter($this->toolKinds(), static fn(ToolKind $kind): bool => $kind->meets($need)),
            ),
        );
    }

    /**
     * @template T
     *
     * @param \Closure(string): T $entry
     *
     * @return list<T>
     */
    private function entries(string $kind, \Closure $entry): array
    {
        return array_map(
            static fn(int|string $id): mixed => $entry((string) $id),
            array_keys($this->root->node($kind)->data),
        );
    }

    private function entry(string $kind, string $id): Node
    {
        $all = $this->root->node($kind);

        return $all->has($id) ? $all->node($id) : throw UnknownEntry::of($kind, $id);
    }

    /**
     * @template T
     *
     * @param \Closure(): T $make
     *
     * @return T
     */
    private function once(string $key, \Closure $make): mixed
    {
        return $this->made[$key] ??= $make();
    }
}
