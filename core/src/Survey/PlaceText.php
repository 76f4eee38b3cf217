<?php

declare(strict_types=1);

namespace Thicket\Survey;

use Thicket\Input\Refused;
use Thicket\Survey\Exchange\FileFormat;

/**
 * Where a place is, as people paste it: two decimals, degrees with minutes and seconds, a geo: address (RFC 5870), or a
 * file of shapes, of which the middle is meant. Latitude comes first where no letter says otherwise.
 */
final readonly class PlaceText
{
    private const LONGEST_TYPED = 120;

    /**
     * @param array{float, float} $position longitude, latitude
     * @param int $shapes of the file; nought where it was typed
     */
    private function __construct(public array $position, public int $shapes) {}

    /** @throws Refused where it tells no place */
    public static function read(string $text): self
    {
        $typed = trim($text);
        if (mb_strlen($typed) <= self::LONGEST_TYPED && preg_match('/^[{<]/', $typed) !== 1) {
            return new self(self::typed($typed), 0);
        }
        $format = FileFormat::detect($text);
        // a table tells its columns only once somebody is asked
        $format = $format === FileFormat::Csv ? null : $format;
        $positions = [];
        $shapes = 0;
        foreach ($format?->read($text) ?? [] as $entry) {
            if ($entry->shape !== null) {
                ++$shapes;
                array_push($positions, ...array_merge(...$entry->shape->parts));
            }
        }
        if ($positions === []) {
            throw Refused::at('/text', 'No shape is found in this file; give a GPX, KML or GeoJSON file in WGS 84.');
        }
        [$west, $south, $east, $north] = Positions::box($positions);

        return new self([round(($west + $east) / 2, 6), round(($south + $north) / 2, 6)], $shapes);
    }

    /** @return array{float, float} */
    private static function typed(string $text): array
    {
        $plain = preg_replace('/^geo:([^;?]+).*$/iD', '$1', $text) ?? $text;
        // a comma between figures is a decimal one only where something else parts the two numbers
        if (preg_match('/^[^,]*\d,\d+[^,]*[;\s][^,]*\d,\d+[^,]*$/D', $plain) === 1) {
            $plain = strtr($plain, [',' => '.']);
        }
        $parts = self::parts($plain);
        if ($parts === null) {
            throw Refused::at(
                '/text',
                'Give latitude and longitude, such as 44.05, -71.4 or 44\u{00B0} 3\' N 71\u{00B0} 24\' W.',
            );
        }

        return Positions::one([$parts['E'], $parts['N']], '/text');
    }

    /** @return array{N: float, E: float}|null */
    private static function parts(string $text): ?array
    {
        preg_match_all('/[-+]?\d+(?:\.\d+)?|[NSEWO]/iu', $text, $found);
        $rest = preg_replace('/[-+]?\d+(?:\.\d+)?|[NSEWO]|[\s,;]|[\x{00B0}\x{00BA}\x{2032}\x{2033}\'"]/iu', '', $text);
        $tokens = array_map(mb_strtoupper(...), $found[0]);
        if ($rest !== '' || $tokens === []) {
            return null;
        }
        $letters = array_values(array_filter($tokens, ctype_alpha(...)));
        if ($letters === []) {
            return count($tokens) === 2 ? ['N' => (float) $tokens[0], 'E' => (float) $tokens[1]] : null;
        }
        // a letter stands before each of the two, or behind each
        $before = ctype_alpha($tokens[0]);
        $groups = [];
        $numbers = [];
        $letter = '';
        foreach ([...$tokens, $before ? 'END' : ''] as $token) {
            if (!ctype_alpha($token)) {
                $token === '' || ($numbers[] = $token);
                continue;
            }
            $named = $before ? $letter : $token;
            $named === '' || ($groups[$named] = $numbers);
            $numbers === [] || ($numbers = []);
            $letter = $token;
        }
        $north = self::degrees($groups['N'] ?? null) ?? self::degrees($groups['S'] ?? null, -1);
        // oeste
        $east =
            self::degrees($groups['E'] ?? null) ??
            (self::degrees($groups['W'] ?? null, -1) ?? self::degrees($groups['O'] ?? null, -1));

        return count($letters) !== 2 || $north === null || $east === null ? null : ['N' => $north, 'E' => $east];
    }

    /** @param list<string>|null $numbers degrees, minutes, seconds */
    private static function degrees(?array $numbers, int $sign = 1): ?float
    {
        if ($numbers === null || $numbers === [] || count($numbers) > 3) {
            return null;
        }
        $sum = 0.0;
        foreach ($numbers as $i => $number) {
            if ((float) $number < 0 || ($i > 0 && (float) $number >= 60)) {
                return null;
            }
            $sum += (float) $number / 60 ** $i;
        }

        return round($sign * $sum, 6);
    }
}
