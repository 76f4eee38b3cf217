<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\LookBack;
use App\Models\Patrol;
use App\Models\Stand;
use App\Repositories\SituationRepository;
use App\Support\Format;
use App\Support\JobClock;
use App\Text\Sentences;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\FactName;
use Thicket\Review\Patrols;
use Thicket\Timing\EvaluationDate;

/** Looks at cleared ground for as long as seed lasts in it: when next, till when, and whether it may be closed. */
final readonly class PatrolDesk
{
    public function __construct(
        private Catalogue $catalogue,
        private SituationRepository $situations,
        private Sentences $sentences,
        private JobClock $clock,
    ) {}

    /** @return array<string, mixed>|null openapi Stand/patrols; null before anything was done there */
    public function told(Stand $stand): ?array
    {
        $patrols =
            Workflow::lastRecord($stand) === null
                ? null
                : $this->of($stand, $this->situations->situation($stand)->isYes(FactName::FirstFound) === true);
        if ($patrols === null) {
            return null;
        }
        $today = $this->clock->today($stand->patch->ground->time_zone);

        return [
            'until' => Format::day($patrols->until),
            'forGood' => $patrols->forGood,
            'next' => Format::day($patrols->next),
            'due' => $patrols->next <= $today,
            'judgeAgain' => Format::day($this->again($stand)),
            'mayClose' => $patrols->mayClose && $stand->closed_at === null,
            'text' => $this->sentences->both(
                match (true) {
                    $patrols->forGood => 'patrol.for-good',
                    $patrols->isFirstFind => 'patrol.first-find',
                    default => 'patrol.until',
                },
                ['until' => $this->sentences->day($patrols->until), 'years' => $patrols->years],
            ),
            'looks' => array_values(
                $stand->patrols
                    ->map(
                        static fn(Patrol $one): array => [
                            'id' => $one->id,
                            'lookedOn' => Format::day($one->looked_on),
                            'found' => $one->found,
                            'count' => $one->count,
                            'text' => $one->text,
                            'by' => $one->maker->name,
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /** The day of a second score, where the plant wants one and nobody has given it yet. */
    public function again(Stand $stand): ?\DateTimeImmutable
    {
        $record = Workflow::lastRecord($stand);
        $day =
            $record === null || $stand->species === null
                ? null
                : EvaluationDate::again(
                    $this->catalogue->species($stand->species),
                    $record->worked_on->toDateTimeImmutable(),
                );
        $given = $record?->lookBacks->contains(
            static fn(LookBack $l): bool => $l->scored && $l->looked_on->toDateTimeImmutable() >= $day,
        );

        return $day === null || $given === true ? null : $day;
    }

    /** Null before anything was done there, and while its work is not judged: the look-back comes first. */
    public function of(Stand $stand, bool $isFirstFind = false): ?Patrols
    {
        $record = Workflow::lastRecord($stand);
        $scored = $record?->scored();
        if ($record === null || $scored === null || $stand->species === null) {
            return null;
        }

        return Patrols::of(
            $this->catalogue->species($stand->species),
            $record->worked_on->toDateTimeImmutable(),
            $scored->looked_on->toDateTimeImmutable(),
            (int) $scored->body['dead'] < (int) $scored->body['counted'],
            array_values(
                $stand->patrols
                    ->map(
                        static fn(Patrol $p): array => [
                            'on' => $p->looked_on->toDateTimeImmutable(),
                            'found' => $p->found,
                        ],
                    )
                    ->all(),
            ),
            $isFirstFind,
            $this->clock->today($stand->patch->ground->time_zone),
        );
    }
}
