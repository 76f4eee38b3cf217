<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\PatchOutline;
use App\Models\Record;
use App\Models\Sheet;
use App\Models\Stand;
use App\Models\Step;
use App\Support\JobClock;
use Illuminate\Support\Facades\DB;
use Thicket\Calendar\Day;
use Thicket\Measure\Quantity;
use Thicket\Mix\PastLoad;
use Thicket\Mix\PriorApplications;
use Thicket\Survey\Outline;

/**
 * Active already put on the ground of a patch, from the signed records of every patch that shares ground with it and
 * from sheets that are out and not signed yet (rulings J7). The same active under two names is one active.
 *
 * @phpstan-type Load array{patch: string, day: string, load: Quantity|null}
 */
final class PriorApplicationsRepository
{
    /** @var array<string, list<Load>> by crew and active; a request asks several times */
    private array $loads = [];

    /**
     * @var array<string, list<array{patch: string, day: string, step: string, puts: list<array<string, mixed>>}>> by
     * crew
     */
    private array $sheets = [];

    public function __construct(private readonly JobClock $clock) {}

    /** Last day on which any of these actives was put on ground of the patch; null where no record says so. */
    public function lastDay(Stand $stand, string ...$actives): ?\DateTimeImmutable
    {
        $last = null;
        foreach ($actives as $active) {
            foreach ($this->records($stand->patch->ground->crew_id, $active) as $one) {
                if (
                    ($last === null || $one['day'] > $last) &&
                    $this->past($stand, $one)->reaches(self::outline($stand))
                ) {
                    $last = $one['day'];
                }
            }
        }

        return $last === null ? null : Day::parse($last);
    }

    /**
     * What lies there by each way in which a card counts a year.
     *
     * @param list<string> $actives
     *
     * @return array<string, PriorApplications> by active id
     */
    public function before(Stand $stand, Step $step, array $actives): array
    {
        $ground = $stand->patch->ground;
        $today = $this->clock->today($ground->time_zone);
        $out = [];
        foreach ($actives as $active) {
            $all = [...$this->records($ground->crew_id, $active), ...$this->planned($ground->crew_id, $active, $step)];
            $out[$active] = PriorApplications::of(
                self::outline($stand),
                array_map(fn(array $one): PastLoad => $this->past($stand, $one), $all),
                $today,
                str_starts_with($ground->latitude, '-'),
            );
        }

        return $out;
    }

    /** @param Load $one */
    private function past(Stand $stand, array $one): PastLoad
    {
        $isHere = $one['patch'] === $stand->patch_id;

        return new PastLoad(
            $one['patch'],
            Day::parse($one['day']),
            $one['load'],
            $isHere,
            $isHere || $stand->patch->outline === null ? null : $this->outlineOn($one['patch'], $one['day']),
        );
    }

    private static function outline(Stand $stand): ?Outline
    {
        return $stand->patch->outline === null
            ? null
            : Outline::trusted($stand->patch->outline->outline['coordinates']);
    }

    /** @return list<Load> by every signed record with this active */
    private function records(string $crew, string $active): array
    {
        return $this->loads["{$crew} {$active}"] ??= $this->read($crew, $active);
    }

    /** @return list<Load> */
    private function read(string $crew, string $active): array
    {
        $out = [];
        // '' is a record that could not be read when it came
        $withIt = DB::table('record_actives')
            ->select('record_id')
            ->where('crew_id', $crew)
            ->whereIn('active', [$active, '']);
        /** @var Record $record */
        foreach (Record::query()->whereIn('id', $withIt)->get() as $record) {
            $body = $record->content();
            $day = $record->worked_on->format('Y-m-d');
            if ($body === null) {
                // a record that cannot be read may have put anything there: unknown, which blocks (rulings J7)
                $out[] = ['patch' => $record->patch_id, 'day' => $day, 'load' => null];
                continue;
            }
            foreach (is_array($body['activesPerArea'] ?? null) ? $body['activesPerArea'] : [] as $put) {
                if (is_array($put) && ($put['active'] ?? null) === $active) {
                    $out[] = ['patch' => $record->patch_id, 'day' => $day, 'load' => Quantity::ofWire($put)];
                }
            }
        }

        return $out;
    }

    /** @return list<Load> by sheets that are out and whose work is not signed yet, those of this step left out */
    private function planned(string $crew, string $active, Step $step): array
    {
        $out = [];
        foreach ($this->sheets[$crew] ??= $this->readSheets($crew) as $sheet) {
            foreach ($sheet['step'] === $step->id ? [] : $sheet['puts'] as $put) {
                if (($put['active'] ?? null) === $active) {
                    $out[] = ['patch' => $sheet['patch'], 'day' => $sheet['day'], 'load' => Quantity::ofWire($put)];
                }
            }
        }

        return $out;
    }

    /** @return list<array{patch: string, day: string, step: string, puts: list<array<string, mixed>>}> */
    private function readSheets(string $crew): array
    {
        $out = [];
        $open = Sheet::query()
            ->where('crew_id', $crew)
            ->where('withdrawn_at', null)
            ->whereHas('steps', fn($steps) => $steps->whereDoesntHave('records'))
            ->with('steps.patch.ground')
            ->get();
        foreach ($open as $sheet) {
            $step = $sheet->steps->first();
            $puts = $sheet->snapshot['puts'] ?? [];
            if ($step !== null && is_array($puts)) {
                $out[] = [
                    'patch' => $step->patch_id,
                    'day' => is_string($day = $sheet->snapshot['day'] ?? null)
                        ? $day
                        : JobClock::dayOf($sheet->issued_at, $step->patch->ground->time_zone)->format('Y-m-d'),
                    'step' => $step->id,
                    'puts' => array_values(array_filter($puts, is_array(...))),
                ];
            }
        }

        return $out;
    }

    /** The outline of a patch as it was on a day: work lies where it was done, also after the patch was cut. */
    private function outlineOn(string $patch, string $day): ?Outline
    {
        $row =
            PatchOutline::query()
                ->where('patch_id', $patch)
                ->where('valid_from', '<=', $day)
                ->orderByDesc('valid_from')
                ->orderByDesc('id')
                ->first() ?? PatchOutline::query()->where('patch_id', $patch)->orderBy('valid_from')->first();

        return $row === null ? null : Outline::trusted($row->outline['coordinates']);
    }
}
