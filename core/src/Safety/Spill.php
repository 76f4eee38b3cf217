<?php

declare(strict_types=1);

namespace Thicket\Safety;

/** What is done when product or mix is spilt, by what it lies on (handbook 5). Codes; the sentences stand in lang/. */
final class Spill
{
    public const SURFACES = ['soil', 'paving', 'water'];
    private const STEPS = [
        'soil' => ['stop-and-stand-off', 'heap-absorbent', 'scoop-and-bag', 'tell-and-ask'],
        'paving' => ['stop-and-stand-off', 'block-the-drain', 'soak-and-bag', 'tell-and-ask'],
        'water' => ['stop-the-flow', 'dam-with-soil', 'call-spill-number', 'tell-who-draws'],
    ];

    private function __construct() {}

    /** @return list<string> in their order */
    public static function steps(string $surface): array
    {
        return self::STEPS[$surface] ?? throw new \InvalidArgumentException("Nothing is spilt on {$surface}.");
    }
}
