<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Survey\StemGroup;

/**
 * The stems of a tally that a way of working takes (rulings J56): within its reach, and not left out on purpose. Hours,
 * mix and money count these and no others; a class that a limit parts is counted whole until somebody splits it (B11).
 */
final readonly class ServedStems
{
    /**
     * @param list<StemGroup> $served
     * @param int $leftOut stems skipped on purpose, whose control is not known
     * @param int $beyond stems outside the reach of the method
     */
    private function __construct(public array $served, public int $leftOut, public int $beyond) {}

    public static function of(Situation $situation, Option $option): self
    {
        return $situation->once(
            'served ' . self::key($option),
            static fn(): self => self::workOut($situation, $option),
        );
    }

    public function count(): int
    {
        return array_sum(array_map(static fn(StemGroup $g): int => $g->count, $this->served));
    }

    /**
     * Thickest stem that the method takes, and whether one exactly so thick still fits; null where nothing limits it.
     */
    public static function most(Situation $situation, Option $option): ?Quantity
    {
        $most = $option->limit('stemMost');
        if ($most === null || !$option->how('lever')) {
            return $most;
        }
        $jaw = $option->shed->leverJaw;
        $reach = $jaw !== null && $jaw->isLessThan($most) ? $jaw : $most;
        $thumb =
            $situation->target?->isDeepRooted() === true
                ? $option->schools->values('deep-roots')->quantity('limit')
                : null;

        return $thumb !== null && $thumb->isLessThan($reach) ? $thumb : $reach;
    }

    public static function mostIsInclusive(Option $option): bool
    {
        return $option->goesOn('bark')
            ? $option->schools->choice('basal-size') === 'six-or-less'
            : $option->method->limitIsInclusive('stemMost');
    }

    /** Whether a stem is left out on purpose, to be reached by the roots it shares (handbook 8 clonal-share). */
    public static function isLeftOut(StemGroup $group, Situation $situation, Option $option): bool
    {
        if ($option->method->work() !== 'injection' || $situation->target?->isRootSuckering() !== true) {
            return false;
        }
        $from = $situation->quantity(FactName::TreatFrom);
        $below = $situation->quantity(FactName::TreatBelow);

        return match ($option->schools->choice('clonal-share')) {
            'only-larger' => $from !== null && $group->forSums()->isLessThan($from),
            'only-smaller' => $below !== null && !$group->forSums()->isLessThan($below),
            default => false,
        };
    }

    private static function workOut(Situation $situation, Option $option): self
    {
        $most = self::most($situation, $option);
        $least = $option->limit('stemLeast');
        $inclusive = self::mostIsInclusive($option);
        $served = [];
        $leftOut = $beyond = 0;
        foreach ($situation->stems as $group) {
            if (self::isLeftOut($group, $situation, $option)) {
                $leftOut += $group->count;
            } elseif (
                ($most !== null && $group->against($most, $inclusive) === 'beyond') ||
                ($least !== null && $group->forCeilings()->isLessThan($least))
            ) {
                $beyond += $group->count;
            } else {
                $served[] = $group;
            }
        }

        return new self($served, $leftOut, $beyond);
    }

    /** All that the answer hangs on besides the situation. */
    private static function key(Option $option): string
    {
        return implode(' ', [
            $option->method->id(),
            ...array_map($option->schools->choice(...), ['deep-roots', 'basal-size', 'clonal-share']),
            (string) $option->shed->leverJaw?->float(\Thicket\Measure\Unit::Metre),
        ]);
    }
}
