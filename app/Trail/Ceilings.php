<?php

declare(strict_types=1);

namespace App\Trail;

use App\Models\Record;
use App\Models\Stand;
use App\Models\Step;
use App\Support\JobClock;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Timing\Day;

/** Active already put on a patch this calendar year, from its signed records (rulings J7). */
final readonly class Ceilings
{
    public function __construct(private JobClock $clock)
    {
    }

    /** Last day on which this active was put on the patch; null where no record says so. */
    public function lastDay(Stand $stand, Step $step): ?\DateTimeImmutable
    {
        $records = Record::query()->where('patch_id', $stand->patch_id)->orderByDesc('worked_on')->get();
        foreach ($records as $record) {
            $body = json_decode($record->body, true, 64, JSON_THROW_ON_ERROR);
            if (is_array($body) && ($body['sheet']['snapshot']['product']['active'] ?? null) === $step->active) {
                return Day::parse($record->worked_on->format('Y-m-d'));
            }
        }

        return null;
    }

    public function thisYear(Stand $stand, Step $step): ?Quantity
    {
        if ($step->active === null) {
            return null;
        }
        $year = $this->clock->today($stand->patch->ground->time_zone)->format('Y');
        $total = null;
        $records = Record::query()->where('patch_id', $stand->patch_id)->whereBetween('worked_on', ["{$year}-01-01", "{$year}-12-31"])->get();
        foreach ($records as $record) {
            $body = json_decode($record->body, true, 32, JSON_THROW_ON_ERROR);
            $put = is_array($body) ? ($body['activePerArea'] ?? null) : null;
            if (is_array($put) && ($put['active'] ?? null) === $step->active && is_string($put['value'] ?? null) && is_string($put['unit'] ?? null)) {
                $one = Quantity::of($put['value'], Unit::from($put['unit']));
                $total = $total === null ? $one : $total->plus($one);
            }
        }

        return $total;
    }
}
