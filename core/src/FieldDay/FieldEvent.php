<?php

declare(strict_types=1);

namespace Thicket\FieldDay;

/** One note of a field day, as a device made it; never changed, only taken back by another. */
final readonly class FieldEvent
{
    /**
     * More than six: one line of the day's log.
     *
     * @param string $id UUID that the device made: the same id is the same note, however often it comes
     * @param \DateTimeImmutable $at by the device's clock
     * @param string $device made up once on each device
     * @param int $seq counted on by the device, so that its own notes keep their order whatever its clock does
     * @param string $by name of whose work it tells
     * @param array<string, mixed> $body by kind (FieldEventReader), plain JSON
     */
    public function __construct(
        public string $id,
        public EventKind $kind,
        public \DateTimeImmutable $at,
        public string $device,
        public int $seq,
        public string $by,
        public array $body,
    ) {}

    public function text(string $name): string
    {
        $value = $this->body[$name] ?? '';

        return is_string($value) ? $value : '';
    }

    public function number(string $name): int
    {
        $value = $this->body[$name] ?? 0;

        return is_int($value) ? $value : 0;
    }
}
