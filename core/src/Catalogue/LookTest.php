<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** One thing that parts two look-alikes: a question, and whom each answer points to. */
final readonly class LookTest
{
    public function __construct(private Node $data, private string $pair) {}

    public function id(): string
    {
        return $this->data->string('id');
    }

    /** Name of its sentences: pair and test. */
    public function key(): string
    {
        return "{$this->pair}.{$this->id()}";
    }

    /** look, touch or cut: how near one has to come. */
    public function handling(): string
    {
        return $this->data->string('handling');
    }

    /**
     * @param string $answer yes or no
     *
     * @return string id of the species that it speaks for
     */
    public function pointsTo(string $answer): string
    {
        return $this->data->node('points')->string($answer);
    }
}
