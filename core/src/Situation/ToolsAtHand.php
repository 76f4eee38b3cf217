<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Catalogue\ToolKind;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Survey\StemGroup;

/**
 * What of a method's tools the Shed holds, by whatever tool meets the need, and the clearance that nobody of the crew
 * has for any of them.
 */
final readonly class ToolsAtHand
{
    /** Loppers and hand saws cut no thicker stems (rulings J55). */
    private const BY_HAND_INCHES = 4;

    /**
     * @param list<string> $missing needs that no tool of the Shed meets
     * @param string|null $clearance what somebody would have to be cleared for; null where somebody is, or nobody needs
     *     to be
     */
    private function __construct(public array $missing, public ?string $clearance) {}

    /** @return list<string> needs of a method that a crew has only so many tools for */
    public static function counted(Option $option): array
    {
        return array_values(
            array_filter(
                $option->method->tools(),
                static fn(string $need): bool => array_filter(
                    $option->catalogue->toolsThatMeet($need),
                    static fn(ToolKind $kind): bool => $kind->isCommon(),
                ) === [],
            ),
        );
    }

    public static function of(Situation $situation, Option $option): self
    {
        $missing = [];
        $wanting =
            $option->method->tools() === [] && $option->method->clearance() !== 'none'
                ? self::uncleared([$option->method->clearance()], $option)
                : null;
        foreach (self::counted($option) as $need) {
            $kinds = $option->catalogue->toolsThatMeet($need);
            $held = array_filter(
                $kinds,
                static fn(ToolKind $kind): bool => $option->shed->tools === null ||
                    in_array($kind->id(), $option->shed->tools, true),
            );
            if ($held === []) {
                $missing[] = $need;
                continue;
            }
            $clearances = array_map(
                static fn(ToolKind $kind): ?string => $kind->clearance(),
                array_filter($held, static fn(ToolKind $kind): bool => self::reaches($kind, $situation, $option)),
            );
            $wanting ??= self::uncleared($clearances, $option);
        }

        return new self($missing, $wanting);
    }

    /**
     * The Shed holds tools for it, and none of those that need clearance may be used: the work goes by hand saw or hand
     * tool.
     */
    public static function onlyWithoutClearance(Option $option): bool
    {
        if ($option->shed->tools === null) {
            return false;
        }
        foreach ($option->method->tools() as $need) {
            $held = array_filter(
                $option->catalogue->toolsThatMeet($need),
                static fn(ToolKind $kind): bool => in_array($kind->id(), $option->shed->tools ?? [], true),
            );
            $powered = array_filter(
                $held,
                static fn(ToolKind $kind): bool => $kind->clearance() !== null &&
                    in_array($kind->clearance(), $option->shed->clearances, true),
            );
            if (
                $held !== [] &&
                $powered === [] &&
                array_filter($held, static fn(ToolKind $kind): bool => $kind->clearance() === null) !== []
            ) {
                return true;
            }
        }

        return false;
    }

    /** A tool without a blade that needs clearance cuts thin stems only; rings it cuts at any size. */
    private static function reaches(ToolKind $kind, Situation $situation, Option $option): bool
    {
        if ($kind->clearance() !== null || !$option->how('cut')) {
            return true;
        }
        $limit = Quantity::of(self::BY_HAND_INCHES, Unit::Inch);

        return $situation->stems !== [] &&
            array_filter($situation->stems, static fn(StemGroup $g): bool => !$g->forCeilings()->isLessThan($limit)) ===
                [];
    }

    /**
     * @param array<array-key, string|null> $clearances of the tools that would do; null needs none
     *
     * @return string|null the first that nobody has; null where one of the tools may be used
     */
    private static function uncleared(array $clearances, Option $option): ?string
    {
        foreach ($clearances as $clearance) {
            if ($clearance === null || in_array($clearance, $option->shed->clearances, true)) {
                return null;
            }
        }

        return $clearances === [] ? null : reset($clearances);
    }
}
