<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Str;

/** Something told once and never kept: only its hash is, and whoever brings it back has it. */
final readonly class Secret
{
    /** Of 62 letters and figures: 256 bits. */
    public const LETTERS = 43;

    private function __construct(#[\SensitiveParameter] public string $told, public string $hash) {}

    public static function anew(): self
    {
        $told = Str::random(self::LETTERS);

        return new self($told, self::hashOf($told));
    }

    public static function hashOf(#[\SensitiveParameter] string $told): string
    {
        return hash('sha256', $told);
    }
}
