<?php

declare(strict_types=1);

namespace App\Print;

use App\Models\Record;
use App\Models\Stand;
use App\Models\User;
use App\Repositories\CrewRows;
use App\Resources\AccountResource;
use App\Resources\ResultResource;
use App\Support\JobClock;
use App\Text\Sentences;
use App\Workflow\AccountDesk;
use App\Workflow\PatrolDesk;
use App\Workflow\Workflow;
use Illuminate\Support\Facades\View;
use Thicket\Measure\System;

/** Two papers of a year: what it cost and brought, for who pays; what was done and comes next, for who lives there. */
final readonly class ReportPdf
{
    /** More than six: services that are handed in: a report gathers from all of them. */
    public function __construct(
        private AccountDesk $desk,
        private AccountResource $accounts,
        private ResultResource $results,
        private PatrolDesk $patrols,
        private Sentences $sentences,
        private JobClock $clock,
    ) {}

    /** What a grant asks for: hours, money, ground and plants by patch, method and year, kilograms of active. */
    public function accounts(User $user, int $year): string
    {
        $jobs = $this->desk->jobs($user->crew, CrewRows::recordsOf($user, $year));
        $currency = $user->crew->currency();

        return View::file(
            resource_path('accounts.blade.php'),
            $this->head($user, $year) + ['told' => $this->accounts->of($jobs, $year, $currency)],
        )->render();
    }

    /** What a landowner hands to a neighbour: ground by ground what was done, how it went, and what comes. */
    public function review(User $user, int $year): string
    {
        $records = CrewRows::recordsOf($user, $year);
        $stands = Stand::query()
            ->whereHas('steps', static fn($steps) => $steps->whereKey($records->pluck('step_id')))
            ->withTrail()
            ->get();
        $grounds = [];
        foreach ($records as $record) {
            $stand = $stands->first(static fn(Stand $s): bool => $s->steps->contains('id', $record->step_id));
            $grounds[$record->patch->ground->name][] = $this->line($record, $stand);
        }
        ksort($grounds);

        return View::file(
            resource_path('review.blade.php'),
            $this->head($user, $year) + ['grounds' => $grounds],
        )->render();
    }

    /** @return array{crew: string, year: int, day: string, style: string} */
    private function head(User $user, int $year): array
    {
        return [
            'crew' => $user->crew->name,
            'year' => $year,
            'day' => $this->clock->today($user->crew->timeZone())->format('Y-m-d'),
            'style' => Paper::report(),
        ];
    }

    /** @return array{title: string, done: string, result: string, next: string} */
    private function line(Record $record, ?Stand $stand): array
    {
        $snapshot = $record->sheet->told($this->sentences->locale());
        $scored = $record->scored();
        $body = $record->content() ?? [];
        $word = static fn(mixed $text): string => is_scalar($text) ? (string) $text : '';
        $result =
            $scored === null
                ? $this->sentences->name('review.not-judged')
                : $this->sentences->in(
                    'review.judged',
                    [
                        'day' => $this->sentences->day($scored->looked_on->toDateTimeImmutable()),
                        'dead' => (int) $scored->body['dead'],
                        'counted' => (int) $scored->body['counted'],
                        'text' => $this->results->of($record, $scored)['text'] ?? '',
                    ],
                    System::Us,
                );

        return [
            'title' => "{$word($snapshot['target']['name'] ?? '')}, {$record->patch->name}",
            'done' => $this->sentences->in(
                'review.done',
                [
                    'day' => $this->sentences->day($record->worked_on->toDateTimeImmutable()),
                    'method' => $word($snapshot['method']['name'] ?? ''),
                    'product' => $word($snapshot['product']['name'] ?? ''),
                    'with' => is_array($snapshot['product'] ?? null) ? 'yes' : 'no',
                    'n' => is_int($body['treated'] ?? null) ? $body['treated'] : 0,
                ],
                System::Us,
            ),
            'result' => $result,
            'next' => $this->next($record, $stand),
        ];
    }

    private function next(Record $record, ?Stand $stand): string
    {
        $judged = $record->scored() !== null;
        $patrols = $stand === null || !$judged ? null : $this->patrols->of($stand);

        return match (true) {
            $stand?->closed_at !== null => $this->sentences->name('review.closed'),
            !$judged => $this->sentences->in(
                'review.look',
                ['day' => $this->sentences->day($record->judge_after->toDateTimeImmutable())],
                System::Us,
            ),
            $stand !== null && Workflow::current($stand) === null => $this->sentences->name('review.round'),
            $patrols !== null => $this->sentences->in(
                'review.patrol',
                [
                    'day' => $this->sentences->day($patrols->next),
                    'until' => $this->sentences->day($patrols->until),
                    'good' => $patrols->forGood ? 'yes' : 'no',
                ],
                System::Us,
            ),
            default => '',
        };
    }
}
