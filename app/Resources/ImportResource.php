<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Ground;
use App\Models\Patch;
use App\Models\ProtectedFeature;
use App\Support\Format;
use App\Text\Refusals;
use Thicket\Situation\ProtectedFeature as KeeperKind;
use Thicket\Survey\Exchange\Entry;
use Thicket\Survey\Exchange\FileFormat;
use Thicket\Survey\Mending;
use Thicket\Survey\Outline;

/** What a file would bring, row by row, before anything is taken. */
final readonly class ImportResource
{
    public function __construct(private Refusals $refusals) {}

    /**
     * @param list<Entry> $entries
     * @param list<string> $headers
     * @param array<string, string> $matched
     *
     * @return array<string, mixed>
     */
    public function preview(
        Ground $ground,
        FileFormat $format,
        array $entries,
        array $headers,
        array $matched,
        ?string $refusal,
    ): array {
        $here = $this->shapesOf($ground);
        $rows = [];
        foreach ($entries as $i => $entry) {
            $rows[] = $this->row($i, $entry, $ground, $here);
        }

        return [
            'format' => $format->value,
            'headers' => $headers,
            'columns' => (object) $matched,
            'needs' => $refusal === null ? null : $this->refusals->say($refusal),
            'rows' => $rows,
            'bad' => count(array_filter($rows, static fn(array $r): bool => $r['fault'] !== null)),
        ];
    }

    /**
     * @param array<string, string> $here shapes met so far, by their hash: what they are called
     *
     * @return array<string, mixed>
     */
    private function row(int $i, Entry $entry, Ground $ground, array &$here): array
    {
        $fault = $entry->fault;
        $shape = $entry->shape;
        if ($shape !== null) {
            try {
                Mending::mustBeNear($shape->parts[0][0], [(float) $ground->longitude, (float) $ground->latitude], '');
            } catch (\Thicket\Input\Refused $e) {
                $fault = $e->faults[0]['message'];
            }
        }
        $hash = $shape === null ? '' : self::hash($shape->toGeoJson());
        $same = $here[$hash] ?? null;
        $name = $entry->name;
        $shape === null || ($here[$hash] ??= $name);
        $as =
            $fault !== null || $same !== null
                ? 'leave'
                : $entry->ours['what'] ?? ($shape?->type === 'Polygon' ? 'patch' : 'keeper');
        $kind = $entry->ours['kind'] ?? null;

        return [
            'entry' => $i,
            'row' => $entry->row,
            'name' => $name,
            'type' => $shape?->type,
            'fault' => $fault === null ? null : $this->refusals->say($fault),
            'note' => $entry->note,
            'same' => $same,
            'as' => in_array($as, ['patch', 'keeper', 'leave'], true) ? $as : 'leave',
            'kind' => in_array($kind, KeeperKind::KINDS, true) ? $kind : null,
            'setting' => $entry->ours['setting'] ?? null,
            'size' =>
                $shape === null || $shape->type === 'Point'
                    ? null
                    : Format::quantity(
                        $shape->type === 'Polygon' ? Outline::trusted($shape->parts)->area() : $shape->length(),
                    ),
            'properties' => count($entry->properties),
        ];
    }

    /** @return array<string, string> */
    private function shapesOf(Ground $ground): array
    {
        $out = [];
        foreach (
            Patch::query()->where('ground_id', $ground->id)->where('archived_at', null)->with('outline')->lazy(500)
            as $patch
        ) {
            $patch->outline === null || ($out[self::hash($patch->outline->outline)] = $patch->name);
        }
        foreach (
            ProtectedFeature::query()
                ->where('ground_id', $ground->id)
                ->where('shape', '!=', null)
                ->where('archived_at', null)
                ->get()
            as $keeper
        ) {
            $out[self::hash($keeper->shape ?? [])] = $keeper->name;
        }

        return $out;
    }

    /** @param array<string, mixed> $shape */
    private static function hash(array $shape): string
    {
        return hash(
            'xxh128',
            json_encode([$shape['type'] ?? null, $shape['coordinates'] ?? null], JSON_THROW_ON_ERROR),
        );
    }
}
