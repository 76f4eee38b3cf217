<?php

declare(strict_types=1);

namespace Thicket\Calendar;

/**
 * A day of the year without a year, as the catalogue writes it ("07-01"): northern, 40 degrees, 200 m (rulings J13).
 */
final readonly class MonthDay
{
    private function __construct(public int $month, public int $day) {}

    /** @param string $text MM-DD */
    public static function parse(string $text): self
    {
        return self::tryParse($text) ?? throw new \LogicException("'{$text}' is no month and day; write MM-DD.");
    }

    /** @return self|null null where the text is no MM-DD */
    public static function tryParse(string $text): ?self
    {
        /** @var array<string, self> $known at most the 366 days of a year */
        static $known = [];
        if (isset($known[$text])) {
            return $known[$text];
        }

        return preg_match('/^(\d\d)-(\d\d)$/D', $text, $found) === 1 &&
            checkdate((int) $found[1], (int) $found[2], 2000)
            ? ($known[$text] = new self((int) $found[1], (int) $found[2]))
            : null;
    }

    public function __toString(): string
    {
        return sprintf('%02d-%02d', $this->month, $this->day);
    }

    /** In that year; 29 February falls on the 28th in common years. */
    public function inYear(int $year): \DateTimeImmutable
    {
        $day = $this->month === 2 && $this->day === 29 && !checkdate(2, 29, $year) ? 28 : $this->day;

        return Day::of($year, $this->month, $day);
    }
}
