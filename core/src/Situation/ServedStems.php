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

    public static function of(Situation $situation, Candidate $candidate): self
    {
        return $situation->once(
            'served ' . self::key($candidate),
            static fn(): self => self::workOut($situation, $candidate),
        );
    }

    public function count(): int
    {
        return array_sum(array_map(static fn(StemGroup $g): int => $g->count, $this->served));
    }

    /**
     * Thickest stem that the method takes, and whether one exactly so thick still fits; null where nothing limits it.
     */
    public static function most(Situation $situation, Candidate $candidate): ?Quantity
    {
        $most = $candidate->limit('stemMost');
        if ($most === null || !$candidate->how('lever')) {
            return $most;
        }
        $jaw = $candidate->shed->leverJaw;
        $reach = $jaw !== null && $jaw->isLessThan($most) ? $jaw : $most;
        $thumb =
            $situation->target?->isDeepRooted() === true
                ? $candidate->schools->values('deep-roots')->quantity('limit')
                : null;

        return $thumb !== null && $thumb->isLessThan($reach) ? $thumb : $reach;
    }

    public static function mostIsInclusive(Candidate $candidate): bool
    {
        return $candidate->goesOn('bark')
            ? $candidate->schools->choice('basal-size') === 'six-or-less'
            : $candidate->method->limitIsInclusive('stemMost');
    }

    /** Whether a stem is left out on purpose, to be reached by the roots it shares (handbook 8 clonal-share). */
    public static function isLeftOut(StemGroup $group, Situation $situation, Candidate $candidate): bool
    {
        if ($candidate->method->work() !== 'injection' || $situation->target?->isRootSuckering() !== true) {
            return false;
        }
        $from = $situation->quantity(FactName::TreatFrom);
        $below = $situation->quantity(FactName::TreatBelow);

        return match ($candidate->schools->choice('clonal-share')) {
            'only-larger' => $from !== null && $group->forSums()->isLessThan($from),
            'only-smaller' => $below !== null && !$group->forSums()->isLessThan($below),
            default => false,
        };
    }

    private static function workOut(Situation $situation, Candidate $candidate): self
    {
        $most = self::most($situation, $candidate);
        $least = $candidate->limit('stemLeast');
        $inclusive = self::mostIsInclusive($candidate);
        $served = [];
        $leftOut = $beyond = 0;
        foreach ($situation->stems as $group) {
            if (self::isLeftOut($group, $situation, $candidate)) {
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
    private static function key(Candidate $candidate): string
    {
        return implode(' ', [
            $candidate->method->id(),
            ...array_map($candidate->schools->choice(...), ['deep-roots', 'basal-size', 'clonal-share']),
            (string) $candidate->shed->leverJaw?->float(\Thicket\Measure\Unit::Metre),
        ]);
    }
}
