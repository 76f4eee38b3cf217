<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Thicket\Catalogue\Species;
use Thicket\Economics\GrazingLost;
use Thicket\Mix\Recipe;
use Thicket\Mix\RecipeSolver;
use Thicket\Situation\Situation;
use Thicket\Timing\EvaluationDate;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/**
 * One column of a comparison: a row of the board with what else a choice turns on (handbook 2 "Pasture broadcast",
 * handbook 3 bramble table).
 */
final readonly class SideBySide
{
    /** Areas of findings that tell of harm to plants, water, people, stock and ground. */
    private const HARMS = [
        'keep',
        'roots',
        'drift',
        'carry',
        'people',
        'graze',
        'hay',
        'water',
        'hazard',
        'food',
        'bees',
        'ground',
        'nest',
        'slope',
        'dead',
        'poison',
        'trunk',
        'grass',
        'among',
        'till',
    ];

    /**
     * More than six: one column of the comparison, line by line.
     *
     * @param list<Finding> $harms reasons for care or refusal that tell of harm
     * @param array<string, string|null> $others what the product does to each other weed here: controls, suppresses,
     *     misses, disputed; null where nobody knows
     */
    private function __construct(
        public Row $row,
        public ?Recipe $recipe,
        public int $passes,
        public ?\DateTimeImmutable $judgeAfter,
        public array $harms,
        public array $others,
        public ?int $grazingDays,
        public GrazingLost $grazingLost,
    ) {}

    /** @param list<Species> $others that stand here too */
    public static function of(Situation $situation, Row $row, array $others): self
    {
        $option = $row->option;
        $active = $option->active;

        return new self(
            $row,
            $active === null ? null : RecipeSolver::plain($situation, $option)->solve(null),
            $row->measures->passes->count,
            $situation->target === null
                ? null
                : EvaluationDate::day(
                    $situation->target,
                    $situation->day,
                    $situation->shift,
                    $option->method->showsLateOn($situation->target),
                ),
            array_values(
                array_filter(
                    $row->findings,
                    static fn(Finding $f): bool => $f->outcome !== Outcome::Fits &&
                        in_array(strstr($f->code, '.', true), self::HARMS, true),
                ),
            ),
            $active === null
                ? []
                : array_combine(
                    array_map(static fn(Species $s): string => $s->id(), $others),
                    array_map(static fn(Species $s): ?string => $s->responseTo($active->id()), $others),
                ),
            $option->card?->intervals->grazingDays,
            GrazingLost::of($situation, $option),
        );
    }
}
