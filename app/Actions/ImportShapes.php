<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Ground;
use App\Models\Keeper;
use App\Models\Patch;
use App\Models\User;
use App\Support\JobClock;
use Illuminate\Support\Facades\DB;
use Thicket\Input\Refused;
use Thicket\Survey\Exchange\Entry;
use Thicket\Survey\Mending;
use Thicket\Survey\Outline;
use Thicket\Survey\Shape;

/** Takes chosen rows of a file in one transaction: every bad row is named, and then nothing is taken. */
final readonly class ImportShapes
{
    public function __construct(private KeepOutline $keepOutline, private JobClock $clock)
    {
    }

    /**
     * @param list<Entry> $entries
     * @param list<array{entry: int|null, pointer: string, as: string|null, name: string|null, setting: mixed, kind: mixed}> $rows
     *
     * @return array{patches: int, keepers: int, left: int}
     *
     * @throws Refused with each bad row's pointer
     */
    public function __invoke(Ground $ground, array $entries, array $rows, User $by): array
    {
        $faults = [];
        $shapes = [];
        foreach ($rows as $i => $row) {
            $entry = $entries[$row['entry'] ?? -1] ?? null;
            try {
                $shapes[$i] = $entry === null ? throw Refused::at('', 'There is no such row in the file.') : ($row['as'] === 'leave' ? null : $this->shape($entry, $row, $ground));
            } catch (Refused $e) {
                $faults[] = ['pointer' => "{$row['pointer']}/entry", 'message' => ($entry === null ? '' : "Row {$entry->row}: ") . $e->faults[0]['message']];
            }
        }
        if ($faults !== []) {
            throw new Refused($faults);
        }

        return DB::transaction(function () use ($ground, $entries, $rows, $shapes, $by): array {
            $done = ['patches' => 0, 'keepers' => 0, 'left' => count($entries)];
            foreach ($rows as $i => $row) {
                $shape = $shapes[$i] ?? null;
                if ($shape === null) {
                    continue;
                }
                $entry = $entries[$row['entry'] ?? -1];
                $row['as'] === 'patch' ? $this->patch($ground, $entry, $row, $shape, $by) : $this->keeper($ground, $entry, $row, $shape);
                ++$done[$row['as'] === 'patch' ? 'patches' : 'keepers'];
                --$done['left'];
            }

            return $done;
        });
    }

    /** @param array{entry: int|null, pointer: string, as: string|null, name: string|null, setting: mixed, kind: mixed} $row */
    private function shape(Entry $entry, array $row, Ground $ground): Shape
    {
        $shape = $entry->shape ?? throw Refused::at('', $entry->fault ?? 'It has no shape.');
        Mending::mustBeNear($shape->parts[0][0], [(float) $ground->longitude, (float) $ground->latitude], '');
        if ($row['as'] !== 'patch' || $shape->type === 'Polygon') {
            return $shape;
        }

        // a walked line is closed into an outline; a point cannot be
        return $shape->type === 'LineString'
            ? Shape::fromGeoJson(['type' => 'Polygon', 'coordinates' => [$shape->parts[0]]])
            : throw Refused::at('', 'A point cannot be a patch; take it as something kept.');
    }

    /** @param array{entry: int|null, pointer: string, as: string|null, name: string|null, setting: mixed, kind: mixed} $row */
    private function patch(Ground $ground, Entry $entry, array $row, Shape $shape, User $by): void
    {
        $patch = Patch::create(['ground_id' => $ground->id, 'name' => $row['name'], 'setting' => $row['setting'], 'properties' => $entry->properties === [] ? null : $entry->properties]);
        ($this->keepOutline)($patch, Outline::trusted($shape->parts), $this->clock->today($ground->time_zone), $by, 'imported');
    }

    /** @param array{entry: int|null, pointer: string, as: string|null, name: string|null, setting: mixed, kind: mixed} $row */
    private function keeper(Ground $ground, Entry $entry, array $row, Shape $shape): void
    {
        $body = ['kind' => $row['kind'], 'name' => mb_substr((string) $row['name'], 0, 80)];
        foreach (['species' => 'species', 'crown_radius' => 'crownRadius', 'height' => 'height'] as $called => $field) {
            isset($entry->ours[$called]) && $body[$field] = $entry->ours[$called];
        }
        Keeper::create(['ground_id' => $ground->id, 'kind' => $row['kind'], 'name' => $body['name'], 'body' => $body, 'shape' => $shape->toGeoJson(), 'properties' => $entry->properties === [] ? null : $entry->properties] + array_combine(['west', 'south', 'east', 'north'], $shape->box()));
    }
}
