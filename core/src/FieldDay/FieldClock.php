<?php

declare(strict_types=1);

namespace Thicket\FieldDay;

/** A clock of the field day: what it counts from and when it sounds. */
final readonly class FieldClock
{
    /**
     * @param string $code what it is for, clock.CODE in the message files
     * @param non-empty-list<int> $alarms minutes after it was started
     * @param bool $repeats starts anew after its last alarm, until it is ended
     * @param bool $perBatch one for each batch of stems, not one for the job
     */
    public function __construct(
        public string $code,
        public array $alarms,
        public string $source,
        public bool $repeats = false,
        public bool $perBatch = false,
    ) {}
}
