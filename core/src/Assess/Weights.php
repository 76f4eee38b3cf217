<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Thicket\Input\Fields;
use Thicket\Input\Refused;

/** How much each of the six measures counts; whole parts of a hundred (rulings B26). */
final readonly class Weights
{
    public const MEASURES = ['control', 'harm', 'money', 'hours', 'speed', 'keep-injury'];
    private const MOST = 1000;

    /** @param array<string, int> $parts measure => part, 100 together */
    private function __construct(public array $parts) {}

    public static function equal(): self
    {
        return self::of(array_fill_keys(self::MEASURES, 1));
    }

    /**
     * Takes any whole numbers for how much a measure matters and makes hundredths of them; what is left over by
     * rounding down goes to the greatest remainders, earlier measures first.
     *
     * @param array<string, int> $wanted measure => 0 to 1000; one left out counts nothing
     *
     * @throws Refused when all are nought, or a name or number is none
     */
    public static function of(array $wanted): self
    {
        foreach ($wanted as $measure => $weight) {
            if (!in_array($measure, self::MEASURES, true) || $weight < 0 || $weight > self::MOST) {
                throw Refused::at(
                    '/weights',
                    'Give whole numbers from 0 to ' . self::MOST . ' for: ' . implode(', ', self::MEASURES) . '.',
                );
            }
        }
        $sum = array_sum($wanted);
        if ($sum === 0) {
            throw Refused::at('/weights', 'At least one measure has to count.');
        }
        $parts = $left = [];
        foreach (self::MEASURES as $i => $measure) {
            $weight = 100 * ($wanted[$measure] ?? 0);
            $parts[$measure] = intdiv($weight, $sum);
            $left[$measure] = [-($weight % $sum), $i];
        }
        asort($left);
        foreach (array_slice(array_keys($left), 0, 100 - array_sum($parts)) as $measure) {
            ++$parts[$measure];
        }

        return new self($parts);
    }

    /** Reads the field 'weights'; equal where there is none. */
    public static function read(Fields $in): self
    {
        $given = $in->raw('weights') ?? [];
        if (!is_array($given) || ($given !== [] && array_is_list($given))) {
            $in->fault('weights', 'Give an object: measure to whole number.');
            $given = [];
        }
        $wanted = [];
        foreach ($given as $measure => $weight) {
            // a query string has no numbers, only digits
            if (!(is_int($weight) || is_string($weight)) || preg_match('/^\d{1,4}$/D', (string) $weight) !== 1) {
                $in->fault("weights/{$measure}", 'Give a whole number from 0 to ' . self::MOST . '.');
                continue;
            }
            $wanted[(string) $measure] = (int) $weight;
        }
        try {
            return $given === [] ? self::equal() : self::of($wanted);
        } catch (Refused $e) {
            $in->fault('weights', $e->faults[0]['message']);

            return self::equal();
        }
    }
}
