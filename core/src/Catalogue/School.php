<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Catalogue\Exception\UnknownEntry;

/** A question on which practitioners differ, with named choices (handbook 8, rulings B12). */
final readonly class School
{
    private string $id;
    private string $default;
    /** @var list<string> */
    private array $choices;

    public function __construct(private Node $data)
    {
        $this->id = $data->string('id');
        $this->default = $data->string('default');
        $this->choices = array_map(strval(...), array_keys($data->node('choices')->data));
    }

    public function id(): string
    {
        return $this->id;
    }

    public function default(): string
    {
        return $this->default;
    }

    /** Whether it says how the work of this method is done. */
    public function isOfMethod(string $method): bool
    {
        return in_array($method, $this->data->strings('methods'), true);
    }

    /** Why schools differ: a code. */
    public function reason(): string
    {
        return $this->data->string('reason');
    }

    /** @return list<string> species it is about; empty where it is about all */
    public function species(): array
    {
        return $this->data->strings('species');
    }

    /** The choice that leaves the fewest alive with that active (our guess); null where none is known to. */
    public function surest(?string $activeId): ?string
    {
        $for = $this->data->stringsOrEmpty('surestFor');

        return $this->data->has('surest') && ($for === [] || in_array($activeId, $for, true))
            ? $this->data->string('surest')
            : null;
    }

    /** The choice that goes with an active, of a school that has a choice by active; null where none is told. */
    public function choiceFor(string $activeId): ?string
    {
        return $this->data->stringMap('byActive')[$activeId] ?? null;
    }

    /** @return list<string> ids of the choices, default first */
    public function choices(): array
    {
        return $this->choices;
    }

    public function choice(string $id): SchoolChoice
    {
        $choices = $this->data->node('choices');

        return array_key_exists($id, $choices->data)
            ? new SchoolChoice($choices->nodeOrEmpty($id))
            : throw UnknownEntry::of("choices of {$this->id()}", $id);
    }
}
