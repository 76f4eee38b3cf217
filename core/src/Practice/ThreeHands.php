<?php

declare(strict_types=1);

namespace Thicket\Practice;

/** In a crew of three and more nobody confirms a card, issues a sheet by it and signs for the work alone (B25). */
final readonly class ThreeHands
{
    private const CREW = 3;

    private function __construct() {}

    /**
     * @param list<string|null> $confirmed who confirmed the label cards of the sheet
     * @param int $hands people of the crew who may write
     * @param bool $oneAlone the crew lets one person do all three
     */
    public static function allow(array $confirmed, string $issued, string $signs, int $hands, bool $oneAlone): bool
    {
        return $oneAlone ||
            $hands < self::CREW ||
            $confirmed === [] ||
            $issued !== $signs ||
            array_filter($confirmed, static fn(?string $who): bool => $who !== $signs) !== [];
    }
}
