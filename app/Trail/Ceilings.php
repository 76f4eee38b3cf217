<?php

declare(strict_types=1);

namespace App\Trail;

use App\Models\PatchOutline;
use App\Models\Record;
use App\Models\Stand;
use App\Models\Step;
use App\Support\JobClock;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Survey\Outline;
use Thicket\Survey\Overlap;
use Thicket\Timing\Day;

/**
 * Active already put this calendar year on the ground of a patch, from the signed records of every patch that shares ground with it (rulings J7). The same
 * active under two names is one active.
 */
final class Ceilings
{
    /** @var array<string, list<array{patch: string, day: string, load: Quantity}>> by crew, year and active; a request asks several times */
    private array $loads = [];

    public function __construct(private readonly JobClock $clock)
    {
    }

    /** Last day on which this active was put on ground of the patch; null where no record says so. */
    public function lastDay(Stand $stand, Step $step): ?\DateTimeImmutable
    {
        if ($step->active === null) {
            return null;
        }
        $last = null;
        foreach ($this->loads($stand->patch->ground->crew_id, $step->active, null) as $one) {
            if (($last === null || $one['day'] > $last) && $this->reaches($stand, $one)) {
                $last = $one['day'];
            }
        }

        return $last === null ? null : Day::parse($last);
    }

    public function thisYear(Stand $stand, Step $step): ?Quantity
    {
        if ($step->active === null) {
            return null;
        }
        $loads = $this->loads($stand->patch->ground->crew_id, $step->active, $this->clock->today($stand->patch->ground->time_zone)->format('Y'));
        $outline = $stand->patch->outline;
        $total = null;
        $elsewhere = [];
        foreach ($loads as $one) {
            $at = $outline === null || $one['patch'] === $stand->patch_id ? null : $this->outlineOn($one['patch'], $one['day']);
            if ($one['patch'] === $stand->patch_id) {
                $total = $total?->plus($one['load']) ?? $one['load'];
            } elseif ($at !== null) {
                $elsewhere[] = ['outline' => $at, 'load' => $one['load']];
            }
        }
        if ($outline === null || $elsewhere === []) {
            return $total;
        }
        $shared = Overlap::heaviest(Outline::trusted($outline->outline['coordinates']), $elsewhere);

        return $shared === null ? $total : ($total?->plus($shared) ?? $shared);
    }

    /** @param array{patch: string, day: string, load: Quantity} $one */
    private function reaches(Stand $stand, array $one): bool
    {
        if ($one['patch'] === $stand->patch_id) {
            return true;
        }
        $at = $stand->patch->outline === null ? null : $this->outlineOn($one['patch'], $one['day']);

        return $at !== null && $stand->patch->outline !== null && Overlap::heaviest(Outline::trusted($stand->patch->outline->outline['coordinates']), [['outline' => $at, 'load' => $one['load']]]) !== null;
    }

    /** @return list<array{patch: string, day: string, load: Quantity}> */
    private function loads(string $crew, string $active, ?string $year): array
    {
        return $this->loads["{$crew} {$active} {$year}"] ??= $this->read($crew, $active, $year);
    }

    /** @return list<array{patch: string, day: string, load: Quantity}> */
    private function read(string $crew, string $active, ?string $year): array
    {
        $records = Record::query()->where('crew_id', $crew)->where('body', 'like', '%"active":"' . $active . '"%');
        $year === null || $records->whereBetween('worked_on', ["{$year}-01-01", "{$year}-12-31"]);
        $out = [];
        foreach ($records->get() as $record) {
            $body = json_decode($record->body, true, 64, JSON_THROW_ON_ERROR);
            $put = is_array($body) ? ($body['activePerArea'] ?? null) : null;
            $was = is_array($put) ? ($put['active'] ?? null) : (is_array($body) ? ($body['sheet']['snapshot']['product']['active'] ?? null) : null);
            if ($was !== $active) {
                continue;
            }
            if (is_array($put) && is_string($put['value'] ?? null) && is_string($put['unit'] ?? null)) {
                $out[] = ['patch' => $record->patch_id, 'day' => $record->worked_on->format('Y-m-d'), 'load' => Quantity::of($put['value'], Unit::from($put['unit']))];
            } elseif ($year === null) {
                // an interval counts from any work with the active, reckoned per area or not
                $out[] = ['patch' => $record->patch_id, 'day' => $record->worked_on->format('Y-m-d'), 'load' => Quantity::of(1, Unit::GramEquivalentPerHectare)];
            }
        }

        return $out;
    }

    /** The outline of a patch as it was on a day: work lies where it was done, also after the patch was cut. */
    private function outlineOn(string $patch, string $day): ?Outline
    {
        $row = PatchOutline::query()->where('patch_id', $patch)->where('valid_from', '<=', $day)->orderByDesc('valid_from')->orderByDesc('id')->first() ?? PatchOutline::query()->where('patch_id', $patch)->orderBy('valid_from')->first();

        return $row === null ? null : Outline::trusted($row->outline['coordinates']);
    }
}
