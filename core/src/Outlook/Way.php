<?php

declare(strict_types=1);

namespace Thicket\Outlook;

/** One way of working as the outlook sees it: how much it kills, what it takes. */
final readonly class Way
{
    /**
     * @param string $id of the row on the board
     * @param string $source who says how much it kills: Span's
     */
    public function __construct(
        public string $id,
        public Control $control,
        public Effort $effort,
        public string $source = Span::BOARD,
    ) {}
}
