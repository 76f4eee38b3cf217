<?php

declare(strict_types=1);

namespace Thicket\Calendar\Exception;

use Thicket\ThicketRefusal;

final class UnreadableDate extends \InvalidArgumentException implements ThicketRefusal
{
    public static function day(string $typed): self
    {
        return new self('Write the day as 2026-09-03; got "' . mb_strimwidth(mb_scrub($typed), 0, 40, '…') . '".');
    }

    public static function time(string $typed): self
    {
        return new self(
            'Write the time as 2026-09-03T10:15:00-05:00; got "' . mb_strimwidth(mb_scrub($typed), 0, 40, '…') . '".',
        );
    }
}
