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
final readonly class Catalogue
{
    /** @param array<string, mixed> $data as {@see CatalogueFiles::read()} returns it */
    public function __construct(private array $data, public string $hash) {}

    public function species(string $id): Species
    {
        return new Species($this->entry('species', $id));
    }

    public function hasSpecies(string $id): bool
    {
        return isset($this->root()->node('species')->data[$id]);
    }

    /** @return list<Species> in order of common name */
    public function allSpecies(): array
    {
        $all = array_map(
            static fn(Node $node): Species => new Species($node),
            array_values($this->root()->nodes('species')),
        );
        usort($all, static fn(Species $a, Species $b): int => $a->commonName() <=> $b->commonName());

        return $all;
    }

    public function active(string $id): Active
    {
        return new Active($this->entry('actives', $id));
    }

    public function hasActive(string $id): bool
    {
        return isset($this->root()->node('actives')->data[$id]);
    }

    /** @return list<Active> */
    public function allActives(): array
    {
        return array_map(
            static fn(Node $node): Active => new Active($node),
            array_values($this->root()->nodes('actives')),
        );
    }

    public function method(string $id): Method
    {
        return new Method($this->entry('methods', $id));
    }

    public function hasMethod(string $id): bool
    {
        return isset($this->root()->node('methods')->data[$id]);
    }

    /** @return list<Method> in order of id */
    public function allMethods(): array
    {
        return array_map(
            static fn(Node $node): Method => new Method($node),
            array_values($this->root()->nodes('methods')),
        );
    }

    /** @throws UnknownEntry */
    public function programme(string $id): Programme
    {
        return new Programme($this->entry('programmes', $id));
    }

    public function hasProgramme(string $id): bool
    {
        return $this->root()->node('programmes')->has($id);
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
        return array_values(
            array_filter(
                $this->allSchools(),
                static fn(School $school): bool => in_array($method, $school->data->strings('methods'), true),
            ),
        );
    }

    /** @return list<Programme> */
    public function allProgrammes(): array
    {
        return array_values(
            array_map(static fn(Node $node): Programme => new Programme($node), $this->root()->nodes('programmes')),
        );
    }

    public function school(string $id): School
    {
        return new School($this->entry('schools', $id));
    }

    public function hasSchool(string $id): bool
    {
        return isset($this->root()->node('schools')->data[$id]);
    }

    /** @return list<School> */
    public function allSchools(): array
    {
        return array_map(
            static fn(Node $node): School => new School($node),
            array_values($this->root()->nodes('schools')),
        );
    }

    /**
     * @return list<Node> look-alike pairs that name the species; a pair lives in one file and is mutual (rulings B13)
     */
    public function lookAlikesOf(string $speciesId): array
    {
        return array_values(
            array_filter(
                $this->root()->nodes('lookalikes'),
                static fn(Node $pair): bool => in_array($speciesId, $pair->strings('pair'), true),
            ),
        );
    }

    /** @return list<Node> field characters of the key, in file order */
    public function characters(): array
    {
        return array_values($this->root()->nodes('characters'));
    }

    /** @return list<Node> known mistakes in naming */
    public function traps(): array
    {
        return array_values($this->root()->nodes('traps'));
    }

    /** @return Table what the key reads, compiled with the catalogue */
    public function keyTable(): array
    {
        /** @var Table $table */
        $table = $this->data['keyTable'];

        return $table;
    }

    /** @return list<Node> rows of windows.yaml in file order */
    public function windowRows(): array
    {
        return array_values($this->root()->nodes('windows'));
    }

    /** @return list<Node> the six measures with their fixed scales */
    public function weighing(): array
    {
        return array_values($this->root()->nodes('weighing'));
    }

    public function coefficients(): Node
    {
        return $this->root()->node('coefficients');
    }

    /** @return list<SumTable> the sums of handbook 3 with their directions */
    public function sums(): array
    {
        return array_map(
            static fn(Node $node): SumTable => new SumTable($node),
            array_values($this->root()->nodes('sums')),
        );
    }

    /** @return list<string> */
    public function sites(): array
    {
        return $this->root()->strings('sites');
    }

    /** @return list<Node> kinds of cover crop: id, sow, rate, standsUntil?, ends, basis */
    public function covers(): array
    {
        return array_values($this->root()->nodes('covers'));
    }

    /** @return list<Node> actives that practice gives together */
    public function mixtures(): array
    {
        return array_values($this->root()->nodes('mixtures'));
    }

    /** @return list<string> what a person may be cleared for */
    public function clearances(): array
    {
        return $this->root()->node('tools')->strings('clearances');
    }

    /** @return list<ToolKind> */
    public function toolKinds(): array
    {
        return array_map(
            static fn(Node $node): ToolKind => new ToolKind($node),
            array_values($this->root()->node('tools')->nodes('tools')),
        );
    }

    private function entry(string $kind, string $id): Node
    {
        $all = $this->root()->node($kind);

        return $all->has($id) ? $all->node($id) : throw UnknownEntry::of($kind, $id);
    }

    private function root(): Node
    {
        return new Node($this->data, 'catalogue');
    }
}
