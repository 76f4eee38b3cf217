<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** Low, use and high of one figure of the table of labour, and where it stands there. */
final readonly class LabourFigure
{
    private function __construct(public string $path, public string $low, public string $use, public string $high) {}

    /** @param list<string> $figures low, use, high: minutes, or a rate where the table has one */
    public static function of(string $path, array $figures): self
    {
        return count($figures) === 3
            ? new self($path, $figures[0], $figures[1], $figures[2])
            : throw new \LogicException("{$path} wants low, use, high.");
    }

    /** @return array{string, string, string} */
    public function three(): array
    {
        return [$this->low, $this->use, $this->high];
    }
}
