<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\Record;
use App\Models\Stand;
use App\Models\Step;
use Thicket\Catalogue\Catalogue;

/**
 * Where a stand is on its trail (rulings B1): predicates derived from what exists, first unmet is the next act. Only
 * the closing of a stand is stored.
 */
final readonly class Workflow
{
    public const PREDICATES = ['named', 'counted', 'chosen', 'mixed', 'issued', 'done', 'judged'];
    private const STATIONS = [
        'named' => 'scout',
        'counted' => 'scout',
        'chosen' => 'methods',
        'mixed' => 'mix',
        'issued' => 'field-day',
        'done' => 'field-day',
        'judged' => 'look-back',
    ];

    /** @param array<string, bool> $met */
    private function __construct(public array $met, public ?Step $step, public ?Record $record, public ?string $next) {}

    /** @param bool $recipeFresh whether the step's saved recipe still stands; the caller knows (it costs a solve) */
    public static function of(Stand $stand, Catalogue $catalogue, bool $recipeFresh = true): self
    {
        $step = self::current($stand);
        $record = $step?->records->first();
        $usesProduct = $step !== null && $step->active !== null;
        $met = [
            'named' => ($stand->species !== null && $stand->sighting?->confirmed_by !== null) || $stand->marked_unknown,
            'counted' =>
                $stand->tally !== null || ($stand->patch->outline !== null && !self::isWoody($stand, $catalogue)),
            'chosen' => $step !== null,
            'mixed' => $step !== null && (!$usesProduct || ($step->recipe !== null && $recipeFresh)),
            'issued' => $step?->issuedSheet() !== null,
            'done' => $record !== null,
            'judged' => $step !== null && self::isJudged($step),
        ];
        // later changes never move a step back past 'issued' (rulings B1)
        if ($met['issued']) {
            $met = ['named' => true, 'counted' => true, 'chosen' => true, 'mixed' => true] + $met;
        }
        $next = null;
        foreach (self::PREDICATES as $predicate) {
            if (!$met[$predicate]) {
                $next = $predicate;
                break;
            }
        }

        return new self($met, $step, $record, $next);
    }

    /**
     * The job in hand: the earliest that is not finished. A pass done within a programme does not hold its next one
     * back (rulings J22); the last of it is judged as any other.
     */
    public static function current(Stand $stand): ?Step
    {
        $after = fn(Step $s): bool => $s->run !== null &&
            $s->records->isNotEmpty() &&
            $stand->steps->contains(
                fn(Step $later): bool => $later->run === $s->run && $later->position > $s->position,
            );

        $open = $stand->steps->first(fn(Step $s): bool => !self::isJudged($s) && !$after($s));
        $last = $stand->steps->last();

        return $open ?? ($last !== null && self::isCountedSince($stand, $last) ? null : $last);
    }

    /** The last work on a stand, whatever is next there. */
    public static function lastRecord(Stand $stand): ?Record
    {
        return $stand->steps->last(static fn(Step $s): bool => $s->records->isNotEmpty())?->records->first();
    }

    /** What came back was counted since the last score: another round begins (handbook 7). */
    private static function isCountedSince(Stand $stand, Step $judged): bool
    {
        $scored = $judged->records->first()?->scored();

        return $scored !== null &&
            $stand->tally !== null &&
            $stand->tally->visited_on->greaterThanOrEqualTo($scored->looked_on) &&
            $stand->tally->created_at->greaterThanOrEqualTo($scored->created_at);
    }

    public function nextStation(): ?string
    {
        return $this->next === null ? null : self::STATIONS[$this->next];
    }

    private static function isJudged(Step $step): bool
    {
        return $step->records->first()?->scored() !== null;
    }

    private static function isWoody(Stand $stand, Catalogue $catalogue): bool
    {
        return $stand->species !== null && $catalogue->species($stand->species)->isWoody();
    }
}
