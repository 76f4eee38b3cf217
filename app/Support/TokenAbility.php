<?php

declare(strict_types=1);

namespace App\Support;

/** What a token of a script may do, within its owner's role. */
final class TokenAbility
{
    public const READ = 'read';
    public const WRITE = 'write';
    public const ALL = [self::READ, self::WRITE];

    private function __construct() {}
}
