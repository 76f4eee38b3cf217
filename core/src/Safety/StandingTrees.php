<?php

declare(strict_types=1);

namespace Thicket\Safety;

use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Situation\Option;
use Thicket\Situation\ServedStems;
use Thicket\Situation\Situation;
use Thicket\Situation\TallStems;

/** Trees that a job leaves dying on their feet: each is marked until it is down (rulings J34, J57). */
final readonly class StandingTrees
{
    /**
     * @param Quantity|null $reach two heights, within which nobody lingers; null where no height is known
     * @param bool $snags they are left on purpose
     */
    private function __construct(public int $count, public ?Quantity $reach, public bool $snags) {}

    /** Null where none does: it takes them down, or they are too small to hurt. */
    public static function of(Situation $situation, Option $option): ?self
    {
        $target = $situation->target;
        if ($target === null || !in_array($target->habit(), ['tree', 'shrub'], true) || !$option->leavesStanding()) {
            return null;
        }
        $served = ServedStems::of($situation, $option)->served;
        $stems = TallStems::areTall(TallStems::height($situation)) ? $served : TallStems::thick($served);
        $count = array_sum(array_map(static fn($group): int => $group->count, $stems));

        return $count === 0
            ? null
            : new self($count, TallStems::reach($situation), $situation->isYes(FactName::KeptAsSnags) === true);
    }
}
