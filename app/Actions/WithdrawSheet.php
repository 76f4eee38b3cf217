<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Stopped;
use App\Models\Sealed;
use App\Models\Sheet;
use App\Models\Step;
use App\Models\User;
use App\Seal\Chain;
use App\Support\JobClock;
use Illuminate\Support\Facades\DB;

/** Calls a sheet back, with the reason; its step waits for another. A sheet that was signed for stays. */
final readonly class WithdrawSheet
{
    public function __construct(private JobClock $clock, private Chain $chain) {}

    /** @throws Stopped 409 where it is withdrawn or signed already */
    public function __invoke(Sheet $sheet, User $lead, string $reason): Sheet
    {
        return DB::transaction(function () use ($sheet, $lead, $reason): Sheet {
            $signed = $sheet->steps
                ->sortBy('id')
                ->contains(
                    static fn(Step $step): bool => Step::held($step->id)->records->contains('sheet_id', $sheet->id),
                );
            $sheet->refresh();
            if ($sheet->withdrawn_at !== null || $signed) {
                throw new Stopped(409, 'This sheet is withdrawn or signed already.');
            }
            $sheet->update([
                'withdrawn_at' => $this->clock->now(),
                'withdrawn_by' => $lead->name,
                'withdrawn_why' => $reason,
            ]);
            $this->chain->add($sheet->crew_id, Sealed::Withdrawal, $sheet->id);

            return $sheet;
        });
    }
}
