<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** Two species that are taken for each other; a pair lives in one file and is mutual (rulings B13). */
final readonly class LookAlike
{
    public function __construct(private Node $data) {}

    /** Both ids, parted by two dashes, as the file has them. */
    public function id(): string
    {
        return implode('--', $this->species());
    }

    /** @return list<string> ids of the two */
    public function species(): array
    {
        return $this->data->strings('pair');
    }

    public function has(string $speciesId): bool
    {
        return in_array($speciesId, $this->species(), true);
    }

    /** The one of the two that this is taken for. */
    public function otherThan(string $speciesId): string
    {
        return array_values(array_diff($this->species(), [$speciesId]))[0];
    }

    /** What it costs to be wrong; none where it costs nothing. */
    public function danger(): string
    {
        return $this->data->string('danger');
    }

    /** @return list<LookTest> */
    public function tests(): array
    {
        return array_map(
            fn(Node $test): LookTest => new LookTest($test, $this->id()),
            array_values($this->data->nodes('tests')),
        );
    }
}
