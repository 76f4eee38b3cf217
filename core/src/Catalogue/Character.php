<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** A field character of the key, with the states it can have. */
final readonly class Character
{
    public function __construct(private Node $data) {}

    public function id(): string
    {
        return $this->data->string('id');
    }

    /** @return list<string> */
    public function states(): array
    {
        return $this->data->strings('states');
    }

    /** look, touch or cut: how near one has to come (rulings J1). */
    public function handling(): string
    {
        return $this->data->string('handling');
    }

    /** @return string|null leaf, flower or fruit, which must be on the plant; null where it shows all year */
    public function season(): ?string
    {
        return $this->data->has('season') ? $this->data->string('season') : null;
    }
}
