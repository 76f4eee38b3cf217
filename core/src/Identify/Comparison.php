<?php

declare(strict_types=1);

namespace Thicket\Identify;

use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\Species;
use Thicket\Input\Refused;

/** Two or three species side by side: the characters that part them best come first, then those they share. */
final readonly class Comparison
{
    public const MOST = 3;
    /** From so many bits on a character is worth looking at to tell the plants apart; ours, about one answer in six. */
    private const PARTING = 0.3;

    /**
     * @param list<Species> $species
     * @param list<array{character: string, parts: float, states: list<array<string, string>|null>}> $rows parts is 0 to
     *     log2 of the number of species, in bits; states is frequency by state, empty where the file is silent, null
     *     where the plant has no such thing
     */
    private function __construct(public array $species, public array $rows) {}

    /**
     * @param list<string> $ids
     *
     * @throws Refused when there are not two or three different species of the catalogue
     */
    public static function of(array $ids, Catalogue $catalogue): self
    {
        $ids = array_values(array_unique($ids));
        foreach ($ids as $id) {
            $catalogue->hasSpecies($id) ||
                throw Refused::at(
                    '/species',
                    'This species is not in the catalogue: ' . mb_strimwidth(mb_scrub($id), 0, 60) . '.',
                );
        }
        if (count($ids) < 2 || count($ids) > self::MOST) {
            throw Refused::at('/species', 'Give two or three different species.');
        }
        $key = new Key($catalogue);
        $table = $catalogue->keyTable();
        $species = array_map($catalogue->species(...), $ids);
        $rows = [];
        foreach ($catalogue->characters() as $character) {
            $name = $character->id();
            $states = array_map(
                static fn(Species $s): ?array => array_key_exists($name, $table[$s->id()]['characters']) &&
                $table[$s->id()]['characters'][$name] === null
                    ? null
                    : $s->characters()[$name] ?? [],
                $species,
            );
            if (array_filter($states) === []) {
                continue;
            }
            // what one of them does not have at all, or where the file of one is silent, parts nothing for sure
            $parts =
                in_array([], $states, true) || in_array(null, $states, true) ? 0.0 : round($key->parts($name, $ids), 4);
            $rows[] = ['character' => $name, 'parts' => $parts, 'states' => $states];
        }
        usort($rows, static fn(array $a, array $b): int => $b['parts'] <=> $a['parts']);

        return new self($species, $rows);
    }

    /** @return list<string> characters that tell the plants apart, the best first */
    public function parting(): array
    {
        return array_column(
            array_filter($this->rows, static fn(array $row): bool => $row['parts'] >= self::PARTING),
            'character',
        );
    }
}
