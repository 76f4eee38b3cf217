<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** A kind of tool, or a need that several kinds meet (core/data/tools.yaml). */
final readonly class ToolKind
{
    public function __construct(private Node $data) {}

    public function id(): string
    {
        return $this->data->string('id');
    }

    /** Anybody has it; no shed lists it. */
    public function isCommon(): bool
    {
        return $this->data->bool('common');
    }

    /** Only a need, met by tools of other names. */
    public function isNeed(): bool
    {
        return $this->data->bool('need');
    }

    public function meets(string $need): bool
    {
        return $this->id() === $need || in_array($need, $this->data->strings('serves'), true);
    }

    /** What a person needs to be cleared for; null where anybody shown how may use it. */
    public function clearance(): ?string
    {
        return $this->data->has('clearance') ? $this->data->string('clearance') : null;
    }
}
