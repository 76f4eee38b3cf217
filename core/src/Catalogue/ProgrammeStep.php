<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** One job of a programme as its file gives it: by which methods, when, how often. */
final readonly class ProgrammeStep
{
    public function __construct(private Node $data) {}

    /** Code of the sentence that says what it is for. */
    public function note(): string
    {
        return $this->data->string('note');
    }

    /** @return list<string> ids; the best of these on the day is taken */
    public function methods(): array
    {
        return $this->data->strings('methods');
    }

    /** @return list<string> ids that its products hold; empty where any will do */
    public function actives(): array
    {
        return $this->data->strings('actives');
    }

    /** @return list<string> codes of findings that the sequence answers */
    public function answers(): array
    {
        return $this->data->strings('answers');
    }

    /** @return array<string, list<string>> by school, the choices that take this step; empty where all do */
    public function schools(): array
    {
        $schools = $this->data->nodeOrEmpty('schools');
        $out = [];
        foreach (array_keys($schools->data) as $school) {
            $out[(string) $school] = $schools->strings((string) $school);
        }

        return $out;
    }

    /** @return list<string> catalogue days (MM-DD) or events of the plant, the first that is known counts */
    public function begins(): array
    {
        return $this->named('from', 'orFrom');
    }

    /** @return list<string> */
    public function ends(): array
    {
        return $this->named('to');
    }

    /** @return list<string> what it is done before, where no end is named */
    public function endsBefore(): array
    {
        return $this->named('to', 'before');
    }

    /** No sooner than so many days after the step before. */
    public function afterDays(): int
    {
        return $this->data->int('afterDays', 0);
    }

    /** Days from the job before it, by that one's note: a round of its own after a round, else it follows a step. */
    public function daysAfter(?string $noteBefore): int
    {
        return max(1, $noteBefore === $this->note() ? $this->everyDays() : $this->afterDays());
    }

    public function rounds(): int
    {
        return $this->data->int('rounds', 1);
    }

    /** Days from one round to the next. */
    public function everyDays(): int
    {
        return $this->data->int('everyDays', 0);
    }

    /** @param int $patrol years that the seed bank lives, for a step that goes on as long */
    public function years(int $patrol): int
    {
        if (!$this->data->has('years')) {
            return 1;
        }

        return $this->data->says('years', 'seed-bank') ? $patrol : $this->data->int('years');
    }

    /** In the next open season window of the method. */
    public function isInWindow(): bool
    {
        return $this->data->bool('window');
    }

    /** Laid before each flush of the weed. */
    public function isByFlush(): bool
    {
        return $this->data->bool('flush');
    }

    /** After each occurrence of the step before. */
    public function followsEach(): bool
    {
        return $this->data->bool('followsEach');
    }

    /** On what came back after the removal. */
    public function isAfterwards(): bool
    {
        return $this->data->bool('afterwards');
    }

    /** With another group than the last product had. */
    public function rotates(): bool
    {
        return $this->data->bool('rotate');
    }

    /** A method named earlier goes before a better weighed one. */
    public function isInOrder(): bool
    {
        return $this->data->bool('inOrder');
    }

    /** Left out where it is shut. */
    public function isOptional(): bool
    {
        return $this->data->bool('optional');
    }

    /** @return list<string> */
    private function named(string ...$keys): array
    {
        return array_values(
            array_filter(
                array_map(fn(string $key): string => $this->data->stringOr($key, ''), $keys),
                static fn(string $name): bool => $name !== '',
            ),
        );
    }
}
