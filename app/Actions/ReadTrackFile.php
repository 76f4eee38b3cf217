<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FieldNote;
use App\Models\Sheet;
use App\Models\User;
use App\Support\JobClock;
use Thicket\FieldDay\EventKind;
use Thicket\Input\Refused;
use Thicket\Survey\Exchange\Entry;
use Thicket\Survey\Exchange\FileFormat;
use Thicket\Survey\Mending;

/**
 * Ways that another device recorded, as notes of the field day: one device a stretch, so that two are never joined. The
 * same file makes the same notes. Times in it are not read: the order of the points is what coverage goes by.
 */
final readonly class ReadTrackFile
{
    private const AT_ONCE = 400;
    /** A file of a whole day at a point a second. */
    private const MOST_POINTS = 40_000;

    public function __construct(private JobClock $clock) {}

    /**
     * @return array{notes: list<array<string, mixed>>, known: int} notes as a device sends them, and how many of the
     *     file are here already, whoever brought it and when
     *
     * @throws Refused where there is no way in it, or it lies elsewhere
     */
    public function __invoke(Sheet $sheet, User $user, string $gpx): array
    {
        $ground = $sheet->steps->first()?->patch->ground ?? throw new \LogicException('A sheet without a step.');
        $file = substr(hash('sha256', "{$sheet->id}\n{$gpx}"), 0, 12);
        $now = $this->clock->now();
        $notes = [];
        $points = $stretch = 0;
        foreach (self::entries($gpx) as $entry) {
            foreach ($entry->shape === null || $entry->shape->type === 'Point' ? [] : $entry->shape->parts as $part) {
                $notes === [] && Mending::mustBeNear($part[0], $ground->position(), '/gpx');
                ++$stretch;
                $points += count($part);
                foreach (array_chunk($part, self::AT_ONCE) as $n => $some) {
                    $notes[] = [
                        'id' => self::id("{$file} {$stretch} {$n}"),
                        'kind' => EventKind::Track->value,
                        'at' => $now->format('Y-m-d\TH:i:s\Z'),
                        'device' => "gpx {$file} {$stretch}",
                        'seq' => $n + 1,
                        'by' => $user->name,
                        'points' => self::timed($some, $now->getTimestamp() + $n * self::AT_ONCE),
                    ];
                }
            }
        }
        if ($notes === []) {
            throw Refused::at('/gpx', 'This file has no track; record the walk as a track.');
        }
        if ($points > self::MOST_POINTS) {
            throw Refused::at('/gpx', 'This file has more than ' . self::MOST_POINTS . ' points; part it by days.');
        }
        $known = FieldNote::query()
            ->where('sheet_id', $sheet->id)
            ->whereIn('id', array_column($notes, 'id'))
            ->pluck('id')
            ->all();

        return [
            'notes' => array_values(
                array_filter($notes, static fn(array $note): bool => !in_array($note['id'], $known, true)),
            ),
            'known' => count($known),
        ];
    }

    /**
     * @return list<Entry>
     *
     * @throws Refused at the field of the file
     */
    private static function entries(string $gpx): array
    {
        try {
            return FileFormat::Gpx->read($gpx);
        } catch (Refused $refused) {
            throw Refused::at('/gpx', $refused->faults[0]['message']);
        }
    }

    /**
     * @param list<array{float, float}> $positions
     *
     * @return list<array{float, float, int, null}>
     */
    private static function timed(array $positions, int $from): array
    {
        return array_map(
            static fn(array $p, int $i): array => [$p[0], $p[1], $from + $i, null],
            $positions,
            array_keys($positions),
        );
    }

    /** The same for the same words: an id by name (RFC 9562, 5.5). */
    private static function id(string $of): string
    {
        $hex = substr(sha1("track {$of}"), 0, 32);
        $hex[12] = '5';
        $hex[16] = dechex((hexdec($hex[16]) & 3) | 8);

        return implode(
            '-',
            array_map(
                static fn(int $from, int $length): string => substr($hex, $from, $length),
                [0, 8, 12, 16, 20],
                [8, 4, 4, 4, 12],
            ),
        );
    }
}
