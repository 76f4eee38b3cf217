<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Calendar\MonthDay;

/** A span between two catalogue days (40 N, 200 m), both included; over the turn of the year where it ends earlier. */
final readonly class DaySpan
{
    public function __construct(public MonthDay $from, public MonthDay $to) {}

    public static function read(Node $node): self
    {
        return new self(MonthDay::parse($node->string('from')), MonthDay::parse($node->string('to')));
    }

    public static function parse(string $from, string $to): self
    {
        return new self(MonthDay::parse($from), MonthDay::parse($to));
    }

    public function isOverNewYear(): bool
    {
        return (string) $this->to < (string) $this->from;
    }
}
