<?php

declare(strict_types=1);

namespace Thicket\FieldDay;

use Thicket\Catalogue\FactName;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Safety\Spill;

/** Reads one note of a field day as a device sends it. */
final class FieldEventReader
{
    public const SKY = ['clear', 'part-cloud', 'overcast', 'fog', 'drizzle'];
    public const WORK = ['start', 'pause', 'stop'];
    public const MARKS = ['treated', 'left', 'missed'];
    public const INCIDENTS = ['spill', 'exposure', 'drift', 'injury', 'visitor', 'other'];
    /** Fields of the record that are said on the way. */
    public const FIELDS = ['equipment', 'nozzle', 'pressure', 'leftover', 'weather', 'remarks'];
    /** A clock beyond these years is not set. */
    private const FIRST_YEAR = 2000;
    private const LAST_YEAR = 2100;
    private const MOST_COUNTED = 1000;
    private const MOST_POINTS = 500;
    private const MOST_SEQ = 1_000_000_000;

    private function __construct() {}

    /** Null where it cannot be read; the faults say why. */
    public static function read(Fields $in): ?FieldEvent
    {
        $id = $in->uuid('id');
        $kind = $in->choice('kind', array_column(EventKind::cases(), 'value'));
        $at = $in->moment('at')?->setTimezone(new \DateTimeZone('UTC'));
        if ($at !== null && ((int) $at->format('Y') < self::FIRST_YEAR || (int) $at->format('Y') > self::LAST_YEAR)) {
            $in->fault('at', 'The clock of this device is far off; set it and note this again.');
        }
        $device = $in->text('device', 60);
        $seq = $in->int('seq', 1, self::MOST_SEQ);
        $by = $in->text('by', 120);
        $body = $kind === null ? [] : self::body($in, EventKind::from($kind));
        $in->noOthers();

        return $id === null || $kind === null || $at === null || $device === null || $seq === null || $by === null
            ? null
            : new FieldEvent(
                $id,
                EventKind::from($kind),
                $at,
                $device,
                $seq,
                $by,
                array_filter($body, static fn(mixed $v): bool => $v !== null),
            );
    }

    /** @return array<string, mixed> */
    private static function body(Fields $in, EventKind $kind): array
    {
        return match ($kind) {
            EventKind::Tick => ['what' => $in->text('what', 80), 'on' => $in->bool('on', true)],
            EventKind::Count => ['group' => $in->text('group', 40), 'n' => $in->int('n', 1, self::MOST_COUNTED)],
            EventKind::Skip => [
                'group' => $in->text('group', 40),
                'n' => $in->int('n', 1, self::MOST_COUNTED),
                'why' => $in->textOrNull('why', 200),
            ],
            EventKind::Work => ['what' => $in->choice('what', self::WORK)],
            EventKind::Reading => self::reading($in),
            EventKind::Refill => [
                'amount' => self::wire($in->positive('amount', Dimension::Volume)),
                'load' => $in->intOrNull('load', 1, 1000),
                'bottle' => $in->textOrNull('bottle', 60),
            ],
            EventKind::Timer => [
                'clock' => $in->text('clock', 40),
                'of' => $in->textOrNull('of', 60),
                'on' => $in->bool('on', true),
            ],
            EventKind::Mark => [
                'state' => $in->choice('state', self::MARKS),
                'position' => self::position($in, 'position'),
                'within' => self::wire($in->positiveOrNull('within', Dimension::Length)),
                'why' => $in->textOrNull('why', 200),
            ],
            EventKind::Track => ['points' => self::points($in)],
            EventKind::Say => [
                'field' => $in->choice('field', self::FIELDS),
                'value' => $in->text('value', 1000),
                'over' => $in->strings('over', null, 50, 40),
            ],
            EventKind::Incident => [
                'what' => $in->choice('what', self::INCIDENTS),
                'on' => $in->choiceOrNull('on', Spill::SURFACES),
                'text' => $in->text('text', 2000),
            ],
            EventKind::Photo => ['photo' => $in->uuid('photo'), 'text' => $in->textOrNull('text', 500)],
            EventKind::Note => ['text' => $in->text('text', 2000)],
            EventKind::Undo => ['of' => $in->uuid('of')],
        };
    }

    /** @return array<string, mixed> */
    private static function reading(Fields $in): array
    {
        $told = [
            'wind' => self::wire($in->quantityOrNull('wind', Dimension::Speed)),
            'windFrom' => $in->choiceOrNull('windFrom', FactName::COMPASS),
            'air' => self::wire($in->quantityOrNull('air', Dimension::Temperature)),
            'humidity' => $in->intOrNull('humidity', 0, 100),
            'sky' => $in->choiceOrNull('sky', self::SKY),
        ];
        if (array_filter($told, static fn(mixed $v): bool => $v !== null) === [] && !$in->faults->any()) {
            $in->fault('wind', 'Say something of the weather: wind, air, humidity or sky.');
        }

        return $told;
    }

    /** @return array{value: string, unit: string}|null */
    private static function wire(?Quantity $quantity): ?array
    {
        return $quantity?->toWire();
    }

    /** @return array{float, float}|null longitude, latitude; WGS 84 degrees */
    private static function position(Fields $in, string $name): ?array
    {
        $raw = $in->raw($name);
        if ($raw === null) {
            return null;
        }
        $point = is_array($raw) && array_is_list($raw) && count($raw) === 2 ? self::degrees($raw) : null;

        return $point ?? $in->fault($name, 'Give longitude and latitude in degrees, such as [-72.1, 44.2].');
    }

    /** @return list<array{float, float, int, float|null}>|null longitude, latitude, seconds since 1970, error in m */
    private static function points(Fields $in): ?array
    {
        $raw = $in->raw('points');
        $out = [];
        if (!is_array($raw) || !array_is_list($raw) || $raw === [] || count($raw) > self::MOST_POINTS) {
            return $in->fault('points', 'Give 1 to ' . self::MOST_POINTS . ' points of a track.');
        }
        foreach ($raw as $i => $one) {
            $at = is_array($one) && array_is_list($one) && count($one) >= 3 ? $one[2] : null;
            $one = is_array($one) && array_is_list($one) ? $one : [];
            [$point, $at] = [self::degrees($one), $one[2] ?? null];
            $error = self::metres($one[3] ?? null);
            if ($point === null || !is_int($at) || $at < 0 || $error === false) {
                return $in->fault(
                    "points/{$i}",
                    'A point is [longitude, latitude, seconds since 1970, metres of error].',
                );
            }
            $out[] = [...$point, $at, $error];
        }

        return $out;
    }

    /**
     * @param array<mixed> $raw
     *
     * @return array{float, float}|null
     */
    private static function degrees(array $raw): ?array
    {
        [$longitude, $latitude] = [self::number($raw[0] ?? null), self::number($raw[1] ?? null)];

        return $longitude !== null && $latitude !== null && abs($longitude) <= 180 && abs($latitude) <= 90
            ? [$longitude, $latitude]
            : null;
    }

    private static function number(mixed $value): ?float
    {
        return is_int($value) || is_float($value) ? (float) $value : null;
    }

    /** Null where the device did not say; false where it is no number. */
    private static function metres(mixed $error): float|false|null
    {
        $metres = self::number($error);

        return $metres === null ? ($error === null ? null : false) : abs($metres);
    }
}
