<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\Crew;
use App\Models\Loan;
use App\Models\RecordLesson;
use App\Support\Format;
use App\Support\JobClock;
use App\Text\Sentences;
use Thicket\Measure\System;

/**
 * What in the Shed wants somebody: calibrations due, product past its date, tools not brought back, licences lapsed.
 */
final readonly class Reminders
{
    public function __construct(private JobClock $clock, private Sentences $sentences) {}

    /** @return list<array{code: string, text: string, view: string, day: string|null}> the longest due first */
    public function of(Crew $crew): array
    {
        $day = $this->clock->today($crew->timeZone());
        $today = $day->format('Y-m-d');
        $out = [];
        foreach ($crew->sprayers()->withLastUse()->get() as $sprayer) {
            $held = $sprayer->residue($crew->timeZone());
            if ($held !== null && $held->day->format('Y-m-d') < $today) {
                $out[] = $this->one('cleaning', $sprayer->name, 'sprayers', $held->day);
            }
            if ($sprayer->dueOn() === null || $sprayer->dueOn()->format('Y-m-d') < $today) {
                $out[] = $this->one('calibration', $sprayer->name, 'sprayers', $sprayer->dueOn());
            }
        }
        foreach ($crew->containers()->with('card')->get() as $container) {
            if ($container->expires_on !== null && $container->expires_on->format('Y-m-d') < $today) {
                $out[] = $this->one('expired', $container->card->product, 'stock', $container->expires_on);
            }
        }
        foreach (
            Loan::query()
                ->whereHas('tool', fn($tool) => $tool->where('crew_id', $crew->id))
                ->where('returned_on', null)
                ->where('due_on', '<', $today)
                ->with('tool')
                ->get()
            as $loan
        ) {
            $out[] = $this->one('loan', $loan->tool->name, 'tools', $loan->due_on);
        }
        foreach ($crew->people()->get() as $person) {
            if ($person->licence !== null && !$person->isLicensedOn($day)) {
                $out[] = $this->one('licence', $person->name, 'people', $person->licence_until);
            }
        }
        foreach (RecordLesson::query()->openByRecord($crew->id)->get() as $lesson) {
            $out[] = $this->one('lesson', $lesson->patch, 'figures', $lesson->worked_on);
        }
        usort($out, static fn(array $a, array $b): int => $a['day'] <=> $b['day']);

        return $out;
    }

    /** @return array{code: string, text: string, view: string, day: string|null} */
    private function one(string $code, string $name, string $view, ?\DateTimeInterface $day): array
    {
        return [
            'code' => $code,
            'text' => $this->sentences->in("reminder.{$code}", ['name' => $name], System::Us),
            'view' => $view,
            'day' => Format::day($day),
        ];
    }
}
