<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** A known mistake in naming (handbook 1): it springs when every line of it fits what was seen. */
final readonly class Trap
{
    public function __construct(private Node $data) {}

    public function id(): string
    {
        return $this->data->string('id');
    }

    /** @return string|null character of which a seen state is a common error */
    public function softens(): ?string
    {
        return $this->data->has('softens') ? $this->data->string('softens') : null;
    }

    /** @return list<string> warned of until the name is settled */
    public function hazards(): array
    {
        return $this->data->stringsOrEmpty('hazards');
    }

    /** @return list<array{character: string, states: list<string>, orUnseen: bool}> */
    public function lines(): array
    {
        return array_map(
            static fn(Node $line): array => [
                'character' => $line->string('character'),
                'states' => $line->strings('states'),
                'orUnseen' => $line->bool('orUnseen'),
            ],
            array_values($this->data->nodes('when')),
        );
    }
}
