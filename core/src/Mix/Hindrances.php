<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Mix\Advice\Advisory;

/** What keeps a recipe from being finished. */
final readonly class Hindrances
{
    /**
     * @param list<string> $missing facts without which it cannot be reckoned
     * @param list<string> $blocks codes of what forbids it
     * @param list<Advisory> $words what blocks, what is asked; what is only to be minded hinders nothing
     */
    public function __construct(public array $missing = [], public array $blocks = [], public array $words = []) {}

    public function areNone(): bool
    {
        return $this->missing === [] &&
            $this->blocks === [] &&
            array_filter($this->words, static fn(Advisory $word): bool => $word->level !== Advisory::CARE) === [];
    }

    /** @param list<Advisory> $words */
    public function saying(array $words): self
    {
        return new self($this->missing, $this->blocks, $words);
    }
}
