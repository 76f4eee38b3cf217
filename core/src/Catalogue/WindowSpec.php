<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** One stretch of a season as windows.yaml gives it: days of the catalogue or events of the plant. */
final readonly class WindowSpec
{
    public function __construct(private Node $data) {}

    public function grade(): WindowGrade
    {
        return WindowGrade::from($this->data->string('grade'));
    }

    /** A reason code of the message files. */
    public function reason(): string
    {
        return $this->data->string('reason');
    }

    /** @return list<string> days (MM-DD) or events, the first that is known counts */
    public function begins(): array
    {
        return $this->named('from', 'orFrom');
    }

    /** @return list<string> */
    public function ends(): array
    {
        return $this->named('to', 'orTo');
    }

    /** Days that it goes on past its end. */
    public function plusDays(): int
    {
        return $this->data->int('plusDays', 0);
    }

    /** @return string|null event; where the plant's file knows it, this window does not count */
    public function ifMissing(): ?string
    {
        return $this->data->has('ifMissing') ? $this->data->string('ifMissing') : null;
    }

    /** @return list<string> stages which, seen, open it outside its calendar (rulings J43) */
    public function opensAt(): array
    {
        return $this->data->strings('stages');
    }

    /** @return list<string> stages which, seen, close it */
    public function closedBy(): array
    {
        return $this->data->strings('closedBy');
    }

    /** Leaves burn and roots live. */
    public function isTopKill(): bool
    {
        return $this->data->bool('topKill');
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
