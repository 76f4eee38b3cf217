<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/**
 * A sequence of jobs as core/data/programmes describes it: what it is for, its steps and how they follow each other.
 */
final readonly class Programme
{
    public function __construct(private Node $data) {}

    public function id(): string
    {
        return $this->data->string('id');
    }

    public function usesProduct(): bool
    {
        return $this->data->bool('chemical');
    }

    public function source(): string
    {
        return $this->data->string('source');
    }

    /** Whom it is made for. */
    public function fits(): Fits
    {
        return new Fits($this->data->nodeOrEmpty('fits'));
    }

    /** @return list<string>|null settings where it is listed first, all where empty; null where it is not */
    public function standsFirstIn(): ?array
    {
        return array_key_exists('standsFirst', $this->data->data)
            ? $this->data->nodeOrEmpty('standsFirst')->strings('settings')
            : null;
    }

    /** @return list<ProgrammeStep> */
    public function steps(): array
    {
        return array_map(
            static fn(Node $step): ProgrammeStep => new ProgrammeStep($step),
            array_values($this->data->nodes('steps')),
        );
    }

    /** @return array{int, int}|null years of work before it is judged as a whole; patrols apart */
    public function years(): ?array
    {
        $years = $this->data->nodeOrEmpty('years');

        return $years->has('from') ? [$years->int('from'), $years->int('to')] : null;
    }
}
