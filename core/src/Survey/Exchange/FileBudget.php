<?php

declare(strict_types=1);

namespace Thicket\Survey\Exchange;

use Thicket\Input\Refused;

/**
 * What one file may hold, counted down while it is read: a file with more is refused at that moment, not at its end.
 */
final class FileBudget
{
    private int $entries = 0;

    private int $positions = 0;

    /** @throws Refused for the first thing too many */
    public function entry(): void
    {
        if (++$this->entries > FileFormat::MOST_ENTRIES) {
            throw self::tooMany(FileFormat::MOST_ENTRIES, 'things');
        }
    }

    /** @throws Refused when with these there are too many */
    public function positions(int $more): void
    {
        $this->positions += $more;
        if ($this->positions > FileFormat::MOST_POSITIONS) {
            throw self::tooMany(FileFormat::MOST_POSITIONS, 'positions');
        }
    }

    private static function tooMany(int $most, string $what): Refused
    {
        return Refused::at(
            '/text',
            'This file holds more than ' .
                number_format($most) .
                " {$what}, which is the most that is taken at once; split it.",
        );
    }
}
