<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Ground;
use App\Models\Patch;
use App\Models\PatchOutline;
use App\Models\ProtectedFeature;
use App\Models\User;
use App\Support\ImportProgress;
use App\Support\JobClock;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Situation\SituationReader;
use Thicket\Survey\Exchange\Entry;
use Thicket\Survey\Mending;
use Thicket\Survey\Outline;
use Thicket\Survey\Shape;

/** Takes chosen rows of a file in one transaction: every bad row is named, and then nothing is taken. */
final readonly class ImportShapes
{
    private const ROWS_A_STATEMENT = 100;

    public function __construct(
        private JobClock $clock,
        private Catalogue $catalogue,
        private ImportProgress $progress,
    ) {}

    /**
     * @param list<Entry> $entries
     * @param list<array{entry: int|null, pointer: string, as: string|null, name: string|null, setting: mixed,
     *     kind: mixed}> $rows
     *
     * @return array{patches: int, keepers: int, left: int}
     *
     * @throws Refused with each bad row's pointer
     * @throws \App\Exceptions\Stopped where somebody stopped it on the way
     */
    public function __invoke(Ground $ground, array $entries, array $rows, User $by): array
    {
        $faults = [];
        $shapes = [];
        foreach ($rows as $i => $row) {
            $this->progress->at($i + 1);
            $entry = $entries[$row['entry'] ?? -1] ?? null;
            try {
                $shapes[$i] =
                    $entry === null
                        ? throw Refused::at('', 'There is no such row in the file.')
                        : ($row['as'] === 'leave'
                            ? null
                            : $this->shape($entry, $row, $ground));
                $row['as'] === 'keeper' && $this->mustBeReadable(self::body($entry, $row));
            } catch (Refused $e) {
                $faults[] = [
                    'pointer' => "{$row['pointer']}/entry",
                    'message' => ($entry === null ? '' : "Row {$entry->row}: ") . $e->faults[0]['message'],
                ];
            }
        }
        if ($faults !== []) {
            throw new Refused($faults);
        }

        $done = ['patches' => 0, 'keepers' => 0, 'left' => count($entries)];
        $kept = ['patches' => [], 'outlines' => [], 'keepers' => []];
        foreach ($rows as $i => $row) {
            $shape = $shapes[$i] ?? null;
            if ($shape === null) {
                continue;
            }
            $entry = $entries[$row['entry'] ?? -1];
            if ($row['as'] === 'patch') {
                [$kept['patches'][], $kept['outlines'][]] = $this->patch($ground, $entry, $row, $shape, $by);
            } else {
                $kept['keepers'][] = $this->keeper($ground, $entry, $row, $shape);
            }
            ++$done[$row['as'] === 'patch' ? 'patches' : 'keepers'];
            --$done['left'];
        }
        DB::transaction(static function () use ($kept): void {
            self::insert(Patch::class, $kept['patches']);
            self::insert(PatchOutline::class, $kept['outlines']);
            self::insert(ProtectedFeature::class, $kept['keepers']);
        });

        return $done;
    }

    /**
     * Many rows a statement: a file of thousands is kept in seconds.
     *
     * @param class-string<Model> $model
     * @param list<array<string, mixed>> $rows with the same columns each
     */
    private static function insert(string $model, array $rows): void
    {
        foreach (array_chunk($rows, self::ROWS_A_STATEMENT) as $chunk) {
            $model::query()->insert(
                array_map(static function (array $columns) use ($model): array {
                    $row = (new $model())->forceFill($columns);
                    $row->usesTimestamps() && $row->updateTimestamps();

                    return $row->getAttributes();
                }, $chunk),
            );
        }
    }

    /**
     * @param array{entry: int|null, pointer: string, as: string|null, name: string|null, setting: mixed,
     *     kind: mixed} $row
     *
     * @return array{kind: mixed, name: string, species?: string, crownRadius?: string, height?: string} as somebody
     *     would have typed it
     */
    private static function body(Entry $entry, array $row): array
    {
        $body = ['kind' => $row['kind'], 'name' => mb_substr((string) $row['name'], 0, 80)];
        foreach (['species' => 'species', 'crown_radius' => 'crownRadius', 'height' => 'height'] as $called => $field) {
            isset($entry->ours[$called]) && ($body[$field] = $entry->ours[$called]);
        }

        return $body;
    }

    /**
     * What a file says of a kept thing is read like what people type.
     *
     * @param array<string, mixed> $body
     *
     * @throws Refused
     */
    private function mustBeReadable(array $body): void
    {
        $in = Fields::of($body, $faults = new Faults());
        (new SituationReader($this->catalogue))->keeper($in);
        $faults->throwIfAny();
    }

    /**
     * @param array{entry: int|null, pointer: string, as: string|null, name: string|null, setting: mixed,
     *     kind: mixed} $row
     */
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

    /**
     * @param array{entry: int|null, pointer: string, as: string|null, name: string|null, setting: mixed,
     *     kind: mixed} $row
     *
     * @return array{array<string, mixed>, array<string, mixed>} the patch and its outline
     */
    private function patch(Ground $ground, Entry $entry, array $row, Shape $shape, User $by): array
    {
        $outline = KeepOutline::columns(
            Outline::trusted($shape->parts),
            $this->clock->today($ground->time_zone),
            $by,
            'imported',
        );
        $id = (string) Str::uuid7();

        return [
            [
                'id' => $id,
                'ground_id' => $ground->id,
                'name' => $row['name'],
                'setting' => $row['setting'],
                'properties' => $entry->properties === [] ? null : $entry->properties,
            ] + KeepOutline::copies($outline),
            ['id' => (string) Str::uuid7(), 'patch_id' => $id] + $outline,
        ];
    }

    /**
     * @param array{entry: int|null, pointer: string, as: string|null, name: string|null, setting: mixed,
     *     kind: mixed} $row
     *
     * @return array<string, mixed>
     */
    private function keeper(Ground $ground, Entry $entry, array $row, Shape $shape): array
    {
        $body = self::body($entry, $row);

        return [
            'id' => (string) Str::uuid7(),
            'ground_id' => $ground->id,
            'kind' => $row['kind'],
            'name' => $body['name'],
            'body' => $body,
            'shape' => $shape->toGeoJson(),
            'properties' => $entry->properties === [] ? null : $entry->properties,
        ] + array_combine(['west', 'south', 'east', 'north'], $shape->box());
    }
}
