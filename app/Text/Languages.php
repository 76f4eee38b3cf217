<?php

declare(strict_types=1);

namespace App\Text;

/** The languages that people may choose: every folder of lang/ is one (CONTRIBUTING.md). */
final class Languages
{
    /** The one where nobody chose, whose words stand in where another has none. */
    public const FIRST = 'en';

    /** @var list<string>|null */
    private static ?array $all = null;

    private function __construct() {}

    /** @return list<string> the first one first */
    public static function all(): array
    {
        return self::$all ??= [
            self::FIRST,
            ...array_diff(array_map(basename(...), glob(dirname(__DIR__, 2) . '/lang/*', GLOB_ONLYDIR) ?: []), [
                self::FIRST,
            ]),
        ];
    }
}
