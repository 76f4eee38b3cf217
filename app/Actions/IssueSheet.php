<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Stopped;
use App\Models\Sealed;
use App\Models\Sheet;
use App\Models\Stand;
use App\Models\Step;
use App\Models\User;
use App\Seal\Chain;
use App\Support\JobClock;
use App\Support\Wording;
use App\Text\Languages;
use App\Text\Sentences;
use App\Workflow\Gates;
use App\Workflow\Workflow;
use Illuminate\Support\Facades\DB;

/**
 * Issues a job sheet: all gates open, or the passable ones passed by a lead with a reason; then a snapshot for good.
 */
final readonly class IssueSheet
{
    public function __construct(
        private Gates $gates,
        private DraftSheet $draft,
        private JobClock $clock,
        private Chain $chain,
        private Sentences $sentences,
    ) {}

    /**
     * @param array<string, string> $passes gate code => written reason
     *
     * @throws Stopped 409 with the gates that are shut
     */
    public function __invoke(Stand $stand, User $lead, array $passes, ?string $id): Sheet
    {
        return DB::transaction(function () use ($stand, $lead, $passes, $id): Sheet {
            $step = Workflow::current($stand);
            // the step is held before anything of it is looked at: of two who issue at once the second finds the sheet
            // of the first
            $step !== null && Step::held($step->id);
            $stand = Stand::query()->withTrail()->findOrFail($stand->id);
            $step = Workflow::current($stand);
            $gates = $this->gates->of($stand, $step);
            $shut = array_values(
                array_filter($gates, static fn(array $g): bool => !$g['passable'] || !isset($passes[$g['code']])),
            );
            if ($step?->issuedSheet() !== null) {
                throw new Stopped(409, 'This step has its sheet already.', ['gates' => $shut]);
            }
            if ($shut !== [] || $step === null) {
                throw new Stopped(409, 'The sheet cannot be issued yet.', ['gates' => $shut]);
            }
            $snapshot = $this->inAllLanguages(function () use ($stand, $step, $lead, $passes): array {
                $used = array_map(
                    static fn(array $g): array => [
                        'gate' => $g['code'],
                        'text' => $g['text']['us'],
                        'reason' => $passes[$g['code']] ?? '',
                    ],
                    $this->gates->of($stand, $step),
                );

                return ($this->draft)($stand, $step, $lead, $used);
            });
            $crewId = $stand->patch->ground->crew_id;
            $number = 1 + (int) Sheet::query()->where('crew_id', $crewId)->lockForUpdate()->max('number');
            $sheet = Sheet::create(
                array_filter(['id' => $id]) + [
                    'crew_id' => $crewId,
                    'number' => $number,
                    'snapshot' => $snapshot,
                    'issued_by' => $lead->id,
                    'issued_at' => $this->clock->now(),
                ],
            );
            $sheet->steps()->attach($step->id);
            $this->chain->add($crewId, Sealed::Sheet, $sheet->id);

            return $sheet->load('steps');
        });
    }

    /**
     * The sheet as its lead reads it, with what other languages say otherwise: whoever works by it reads it in theirs,
     * and in each it is what was issued.
     *
     * @param \Closure(): array<string, mixed> $draft
     *
     * @return array<string, mixed>
     */
    private function inAllLanguages(\Closure $draft): array
    {
        $first = $draft();
        $others = [];
        foreach (array_diff(Languages::all(), [$this->sentences->locale()]) as $locale) {
            $others[$locale] = Wording::differing($first, $this->sentences->inLocale($locale, $draft));
        }

        return $first + ['otherLanguages' => $others];
    }
}
