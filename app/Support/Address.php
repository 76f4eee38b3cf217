<?php

declare(strict_types=1);

namespace App\Support;

/** The one form in which an account's e-mail address is kept, looked up and counted. */
final class Address
{
    /**
     * Letters that only look different (case, width, composed or not) become one; letters with an accent stay others.
     */
    public static function folded(string $typed): string
    {
        $composed = \Normalizer::normalize(trim($typed), \Normalizer::FORM_KC);

        return mb_convert_case($composed === false ? trim($typed) : $composed, MB_CASE_FOLD_SIMPLE, 'UTF-8');
    }
}
