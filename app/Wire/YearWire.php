<?php

declare(strict_types=1);

namespace App\Wire;

use App\Models\Step;
use App\Text\Sentences;
use Thicket\Methods\Board;
use Thicket\Methods\Candidate;
use Thicket\Methods\Situation;
use Thicket\Timing\Window;
use Thicket\Timing\YearStrip;

/** The year strip: weeks with stage and stream, and the windows of each method to the day. */
final readonly class YearWire
{
    public function __construct(private Sentences $sentences)
    {
    }

    /**
     * @param list<Candidate> $candidates
     *
     * @return array<string, mixed>
     */
    public function year(Situation $situation, int $year, array $candidates, ?Step $chosen): array
    {
        // one lane a method: the windows of a method do not differ by product
        $byMethod = [];
        foreach ($candidates as $candidate) {
            $byMethod[$candidate->method->id()] ??= $candidate;
        }
        $strip = YearStrip::of($situation, $year, array_values($byMethod));
        $chosenRow = null;
        foreach ($candidates as $candidate) {
            if ($chosen !== null && $candidate->method->id() === $chosen->method && $candidate->active?->id() === $chosen->active && ($chosen->label_card_version_id === null || $candidate->card?->id === $chosen->label_card_version_id)) {
                $chosenRow = Board::judge($situation, $candidate);
            }
        }

        return [
            'year' => $year, 'today' => Wire::day($situation->day), 'shiftDays' => $situation->shift->springDays->toScale(0, \Brick\Math\RoundingMode::HALF_UP)->toInt(), 'trusted' => $situation->shift->isTrusted,
            'weeks' => array_map(fn (array $week): array => [
                'first' => Wire::day($week['first']), 'last' => Wire::day($week['last']), 'flow' => $week['flow'], 'sap' => $week['sap'],
                'stage' => $week['stage'] === null ? null : ['code' => $week['stage'], 'name' => $this->sentences->name("stage.{$week['stage']}")],
            ], $strip->weeks),
            'lanes' => array_values(array_filter(array_map(fn (array $lane): array => [
                'method' => ['id' => $lane['candidate']->method->id(), 'name' => $this->sentences->name("method.{$lane['candidate']->method->id()}")],
                'chosen' => $chosen !== null && $lane['candidate']->method->id() === $chosen->method,
                'windows' => array_map($this->window(...), $lane['windows']),
            ], $strip->lanes), static fn (array $lane): bool => $lane['windows'] !== [])),
            'chosen' => $chosen === null || $chosenRow === null ? null : [
                'name' => $this->sentences->name("method.{$chosen->method}"), 'outcome' => $chosenRow->outcome->value, 'outcomeName' => $this->sentences->name("outcome.{$chosenRow->outcome->value}"),
                'opens' => $chosenRow->opens === null ? null : ['date' => Wire::day($chosenRow->opens), 'text' => $this->sentences->day($chosenRow->opens), 'weeks' => intdiv(max(0, \Thicket\Timing\Day::between($situation->day, $chosenRow->opens)) + 6, 7)],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function window(Window $window): array
    {
        return ['first' => Wire::day($window->first), 'last' => Wire::day($window->last), 'grade' => $window->grade->value, 'why' => $this->sentences->name("why.{$window->reason}"), 'text' => $this->sentences->day($window->first) . ' – ' . $this->sentences->day($window->last)];
    }
}
