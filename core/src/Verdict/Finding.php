<?php

declare(strict_types=1);

namespace Thicket\Verdict;

use Thicket\Measure\Quantity;

/**
 * One reason on the board: what it says, the values compared, where the limit comes from, and what would change it.
 * Text is rendered from code and values at the edge (rulings B14).
 */
final readonly class Finding
{
    /**
     * More than six: what a rule says, with all that its sentence may need; made only by the named ways below.
     *
     * @param string $code stable, "area.reason", with a sentence in every language file
     * @param array<string, Quantity|\DateTimeImmutable|int|string> $values named values for the sentence; strings are
     *     codes or names
     * @param string $source where the limit or fact comes from: a handbook chapter, ruling, 'label-card', 'observation'
     * @param string|null $change code of the sentence that says what would change it
     * @param string|null $missing the fact that is not known; with essential it makes the row 'cannot tell'
     * @param array<string, Outcome> $otherwise outcome of this very rule under each other choice of the school
     */
    private function __construct(
        public string $code,
        public Outcome $outcome,
        public array $values,
        public string $source,
        public ?string $change,
        public ?\DateTimeImmutable $opens,
        public ?string $missing,
        public ?Certainty $restsOn,
        public ?string $school = null,
        public array $otherwise = [],
    ) {}

    /** @param array<string, Quantity|\DateTimeImmutable|int|string> $values */
    public static function fits(string $code, string $source, array $values = [], ?Certainty $restsOn = null): self
    {
        return new self($code, Outcome::Fits, $values, $source, null, null, null, $restsOn);
    }

    /** @param array<string, Quantity|\DateTimeImmutable|int|string> $values */
    public static function withCare(
        string $code,
        string $source,
        array $values = [],
        ?string $change = null,
        ?Certainty $restsOn = null,
    ): self {
        return new self($code, Outcome::WithCare, $values, $source, $change, null, null, $restsOn);
    }

    /**
     * @param array<string, Quantity|\DateTimeImmutable|int|string> $values
     * @param \DateTimeImmutable|null $opens first day it is open again, where that can be known
     */
    public static function notNow(
        string $code,
        string $source,
        array $values = [],
        ?\DateTimeImmutable $opens = null,
        ?string $change = null,
        ?Certainty $restsOn = null,
    ): self {
        return new self($code, Outcome::NotNow, $values, $source, $change, $opens, null, $restsOn);
    }

    /**
     * A fact nobody has given. Essential for the method: the row cannot tell; else it shows as 'with care, not checked'
     * (rulings B3).
     *
     * @param array<string, Quantity|\DateTimeImmutable|int|string> $values
     */
    public static function unknown(string $fact, string $source, bool $essential, array $values = []): self
    {
        return new self(
            $essential ? 'unknown.need' : 'unknown.not-checked',
            $essential ? Outcome::CannotTell : Outcome::WithCare,
            $values + ['fact' => $fact],
            $source,
            'change.tell-fact',
            null,
            $fact,
            Certainty::Unknown,
        );
    }

    /** @param array<string, Quantity|\DateTimeImmutable|int|string> $values */
    public static function doesNotSuit(
        string $code,
        string $source,
        array $values = [],
        ?string $change = null,
        ?Certainty $restsOn = null,
    ): self {
        return new self($code, Outcome::DoesNotSuit, $values, $source, $change, null, null, $restsOn);
    }

    /** @param array<string, Quantity|\DateTimeImmutable|int|string> $values */
    public static function notAllowed(string $code, string $source, array $values = [], ?string $change = null): self
    {
        return new self($code, Outcome::NotAllowed, $values, $source, $change, null, null, null);
    }

    /** The same finding told by a sentence of its own. */
    public function told(string $code, ?string $change): self
    {
        return new self(
            $code,
            $this->outcome,
            $this->values,
            $this->source,
            $change,
            $this->opens,
            $this->missing,
            $this->restsOn,
            $this->school,
            $this->otherwise,
        );
    }

    /** @param array<string, Outcome> $otherwise choice => outcome */
    public function restingOn(string $school, array $otherwise): self
    {
        return new self(
            $this->code,
            $this->outcome,
            $this->values,
            $this->source,
            $this->change,
            $this->opens,
            $this->missing,
            $this->restsOn,
            $school,
            $otherwise,
        );
    }
}
