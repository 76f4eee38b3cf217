<?php

declare(strict_types=1);

namespace Thicket\SeasonPlan;

/**
 * Minutes between the Shed and the patches. A day's way goes from the Shed to the nearest of its patches, on to the
 * nearest of those left, and home.
 */
final class Travel
{
    /** The Shed's own name in the table. */
    public const SHED = '';
    /** Roads are longer than the straight line (as the 1.3 of handbook 9 for walking). */
    private const DETOUR = 1.3;
    private const KILOMETRES_AN_HOUR = 40;
    /** Parking, unloading and walking in; between two patches of one ground there is only this. */
    private const STOP_MINUTES = 5;

    /** @var array<string, int> by the patches of a day in order of name */
    private array $known = [];

    /** @param array<string, array<string, int>> $minutes from => to => whole minutes */
    public function __construct(private readonly array $minutes) {}

    /**
     * @param array<string, array{float, float}> $places easting and northing in metres, the Shed under its own name
     */
    public static function byDistance(array $places): self
    {
        $minutes = [];
        foreach ($places as $from => [$x, $y]) {
            foreach ($places as $to => [$u, $v]) {
                $metres = hypot($u - $x, $v - $y) * self::DETOUR;
                $minutes[$from][$to] =
                    $from === $to ? 0 : self::STOP_MINUTES + (int) ceil(($metres * 0.06) / self::KILOMETRES_AN_HOUR);
            }
        }

        return new self($minutes);
    }

    public function between(string $from, string $to): int
    {
        return $from === $to ? 0 : $this->minutes[$from][$to] ?? 0;
    }

    /** @param list<string> $patches of one day, each once */
    public function route(array $patches): int
    {
        if ($patches === []) {
            return 0;
        }
        sort($patches);

        return $this->known[implode("\n", $patches)] ??= $this->walk($patches);
    }

    /**
     * The least way of any day that reaches one of these patches: there by the shortest, back by the shortest.
     *
     * @param non-empty-list<string> $patches
     */
    public function leastRound(array $patches): int
    {
        return min(array_map(fn(string $p): int => $this->between(self::SHED, $p), $patches)) +
            min(array_map(fn(string $p): int => $this->between($p, self::SHED), $patches));
    }

    /** @param list<string> $left */
    private function walk(array $left): int
    {
        $at = self::SHED;
        $sum = 0;
        while ($left !== []) {
            $best = 0;
            foreach ($left as $i => $patch) {
                if ($this->between($at, $patch) < $this->between($at, $left[$best])) {
                    $best = $i;
                }
            }
            $sum += $this->between($at, $left[$best]);
            $at = $left[$best];
            array_splice($left, $best, 1);
        }

        return $sum + $this->between($at, self::SHED);
    }
}
