<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;

/** What the crew has: confirmed cards, tools and clearances; plain values, no ids of tables (rulings B9). */
final readonly class Shed
{
    /**
     * More than six: what a crew owns and knows, shelf by shelf.
     *
     * @param list<LabelCard> $cards
     * @param list<string>|null $tools tool kinds at hand; null where nobody listed the tools, which is not the same as
     *     none
     * @param list<string> $clearances saw, axe, mower: what somebody of the crew may use
     */
    public function __construct(
        public array $cards = [],
        public ?array $tools = null,
        public array $clearances = [],
        public bool $someoneLicensed = false,
        public ?Quantity $leverJaw = null,
        public ?Prices $prices = null,
        public ?CrewCoefficients $figures = null,
        /**
         * @var array<string, Quantity> thinnest and thickest stem that the crew injects, stemLeast and stemMost, where
         * it set its own
         */
        public array $stemLimits = [],
    ) {}
}
