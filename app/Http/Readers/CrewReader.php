<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\Crew;
use App\Repositories\CrewSettings;
use App\Support\Format;
use App\Text\Languages;
use Thicket\Input\Fields;
use Thicket\Situation\SituationReader;

/** What a crew sets for all its work; what is not said stays, and an empty text takes out what was said before. */
final readonly class CrewReader
{
    private const MOST_KEEP_YEARS = 50;

    private function __construct() {}

    /** @return array{name: string, settings: array<string, mixed>} */
    public static function read(Fields $in, Crew $crew): array
    {
        $settings = $crew->settings;
        $name = $in->textOrNull('name', 120);
        $put = [
            'units' => $in->choiceOrNull('units', CrewSettings::UNITS),
            'locale' => $in->choiceOrNull('locale', Languages::all()),
            'stance' => $in->choiceOrNull('stance', ['any', 'least-hazard', 'none']),
            'fuelOil' => self::flag($in, 'fuelOil'),
            'oneAlone' => self::flag($in, 'oneAlone'),
            'keepYears' => $in->intOrNull('keepYears', CrewSettings::KEEP_YEARS, self::MOST_KEEP_YEARS),
            'doneBelow' => $in->has('doneBelow') ? $in->decimal('doneBelow', '0.01', '50') : null,
            'stemLimits' => self::limits($in),
        ];
        $in->has('doneBelow') || $in->raw('doneBelow');
        $settings = array_filter($put, static fn(mixed $said): bool => $said !== null) + $settings;
        foreach (['jurisdiction' => 500, 'poisonCentre' => 80] as $text => $most) {
            $taken = $in->raw($text);
            if ($taken === '') {
                unset($settings[$text]);
            } elseif ($taken !== null) {
                $settings[$text] = (string) $in->text($text, $most);
            }
        }
        $currency = $in->textOrNull('currency', 3);
        if ($currency !== null) {
            preg_match('/^[A-Z]{3}$/D', $currency) === 1 ||
                $in->fault('currency', 'Give the three letters of the currency, such as USD or EUR.');
            $settings['prices'] = ['currency' => $currency] + (array) ($settings['prices'] ?? []);
        }

        return ['name' => $name ?? $crew->name, 'settings' => $settings];
    }

    private static function flag(Fields $in, string $name): ?bool
    {
        if (!$in->has($name)) {
            $in->raw($name);

            return null;
        }

        return $in->bool($name, false);
    }

    /** @return array<string, string>|null */
    private static function limits(Fields $in): ?array
    {
        if (!$in->has('stemLimits')) {
            $in->raw('stemLimits');

            return null;
        }

        return array_map(Format::kept(...), SituationReader::stemLimits($in));
    }
}
