<?php

declare(strict_types=1);

namespace App\Http\Readers;

use Thicket\Input\Fields;
use Thicket\Safety\DutyKind;
use Thicket\Safety\Settled;

/** What was settled with others before a job, to be kept. */
final readonly class DutyReader
{
    /**
     * @return array{kind: DutyKind|null, state: string, keeper: string|null, who: string|null, number: string|null,
     *     boundary_checked: bool, on: string|null, until: string|null, text: string|null, wholeGround: bool}
     */
    public function read(Fields $in, \DateTimeImmutable $today): array
    {
        $kind = DutyKind::tryFrom((string) $in->choice('kind', array_column(DutyKind::cases(), 'value')));
        $state = (string) $in->choice('state', Settled::STATES);
        $done = $state === Settled::DONE;
        $number = $in->textOrNull('number', 80);
        $boundary = $in->bool('boundaryChecked', false) === true;
        $on = $state === Settled::UNDER_WAY ? $in->day('on') : $in->pastDay('on', $today);
        $until = $in->dayOrNull('until');
        if ($done && $kind?->hasNumber() === true && $number === null) {
            $in->fault('number', 'Write down its number: the step goes by it.');
        }
        if ($done && $kind?->needsEnd() === true && $until === null) {
            $in->fault('until', 'Till which day does it hold?');
        }
        if ($until !== null && $on !== null && $until < $on) {
            $in->fault('until', 'It would end before it begins.');
        }
        if ($state !== Settled::UNDER_WAY && $kind?->needsBoundary() === true && !$boundary) {
            $in->fault('boundaryChecked', 'Walk the boundary first, and say that it was checked.');
        }

        return [
            'kind' => $kind,
            'state' => $state,
            'keeper' => $in->textOrNull('keeper', 80),
            'who' => $in->text('who', 120),
            'number' => $number,
            'boundary_checked' => $boundary,
            'on' => $on?->format('Y-m-d'),
            'until' => $until?->format('Y-m-d'),
            'text' => $in->textOrNull('text', 1000),
            'wholeGround' => $in->bool('wholeGround', false) === true,
        ];
    }
}
