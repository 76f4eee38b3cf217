<?php

declare(strict_types=1);

namespace Thicket\Review;

use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\School;
use Thicket\Situation\Schools;

/**
 * What is to be done with what survived (handbook 7): who did badly for a cause does it again without it, who did badly
 * without one takes another way; the mode of action is rotated, and few that are left are taken out by hand.
 */
final readonly class Retreat
{
    /** So few are dug or levered out sooner than a tank is mixed for them (our guess). */
    private const FEW = 10;

    private function __construct() {}

    /**
     * @param int $survivors of all that stood there, as far as those that were counted tell
     * @param bool $hasCause the record itself gives a cause
     * @param string|null $group mode of action that was used
     *
     * @return list<array{code: string, values: array<string, int|string>}> in their order
     */
    public static function of(Result $result, int $survivors, bool $hasCause, ?string $group, bool $isWoody): array
    {
        if ($survivors < 1) {
            return [['code' => 'retreat.none-left', 'values' => []]];
        }
        $said = [['code' => 'retreat.left', 'values' => ['n' => $survivors]]];
        $worse = $result->against === Result::WORSE;
        $worse && ($said[] = ['code' => $hasCause ? 'retreat.mend-cause' : 'retreat.other-way', 'values' => []]);
        $group !== null &&
            $group !== 'none' &&
            ($said[] = ['code' => 'retreat.rotate', 'values' => ['group' => $group]]);
        $survivors <= self::FEW && ($said[] = ['code' => 'retreat.by-hand', 'values' => []]);
        // leaf sprays wait for 2 ft of regrowth, and 12 weeks after a cut (rulings J64)
        $isWoody && ($said[] = ['code' => 'retreat.regrowth', 'values' => []]);

        return $said;
    }

    /**
     * Schools of which another choice than the one taken leaves fewer alive: what to change where the same way is taken
     * again. The label's figures go before any of them.
     *
     * @return list<array{code: string, values: array<string, int|string>}>
     */
    public static function schools(Catalogue $catalogue, Schools $schools, string $method, ?string $active): array
    {
        $said = [];
        foreach ($catalogue->schoolsOfMethod($method) as $school) {
            $surest = $school->surest($active);
            $taken = $schools->choice($school->id());
            $same = $surest === null || in_array($surest, [$taken, self::inForce($school, $taken, $active)], true);
            $same ||
                ($said[] = [
                    'code' => 'retreat.school',
                    'values' => [
                        'school' => $school->id(),
                        'choice' => "{$school->id()}.{$taken}",
                        'other' => "{$school->id()}.{$surest}",
                    ],
                ]);
        }

        return $said;
    }

    /** The choice that a choice by active comes to. */
    private static function inForce(School $school, string $taken, ?string $active): string
    {
        return $taken === $school->default() && $active !== null ? $school->choiceFor($active) ?? $taken : $taken;
    }

    /** Share of those counted that a look found not dead; all where nothing was counted. */
    public static function alive(int $dead, int $counted): float
    {
        return $counted < 1 ? 1.0 : max(0.0, 1 - $dead / $counted);
    }

    /** How many of those treated live, where they fared as those counted: one at least where any did. */
    public static function survivors(int $treated, int $dead, int $counted): int
    {
        $stood = $treated > 0 ? $treated : $counted;

        return $dead >= $counted ? 0 : max(1, (int) round($stood * self::alive($dead, $counted)));
    }

    /**
     * How many of each size are left, where they fared alike: the counts scaled, their rest given to the largest
     * remainders so that the sum is right.
     *
     * @param list<int> $counts
     *
     * @return list<int>
     */
    public static function left(array $counts, int $dead, int $counted): array
    {
        $share = self::alive($dead, $counted);
        $exact = array_map(static fn(int $n): float => $n * $share, $counts);
        $whole = array_map(static fn(float $n): int => (int) floor($n), $exact);
        $rest = (int) round(array_sum($exact)) - array_sum($whole);
        $order = array_keys($exact);
        usort(
            $order,
            static fn(int $a, int $b): int => $exact[$b] - $whole[$b] <=> $exact[$a] - $whole[$a] ?: $a <=> $b,
        );
        foreach (array_slice($order, 0, max(0, $rest)) as $i) {
            ++$whole[$i];
        }

        return array_values($whole);
    }
}
