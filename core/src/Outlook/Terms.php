<?php

declare(strict_types=1);

namespace Thicket\Outlook;

use Thicket\Input\Fields;

/** How an outlook is asked for: how far, against what, with which figures instead of ours. */
final readonly class Terms
{
    public const YEARS = 10;
    public const MOST_YEARS = 25;
    /** A stand counts as done below this share of what stood there (our guess). */
    public const DONE_BELOW = 0.01;
    private const MOST_GIVEN = 60;
    private const LEAST_RUNS = 100;
    private const MOST_RUNS = 5000;

    /**
     * @param float|null $threshold plants below which it counts as done; null: by the share
     * @param float $doneBelow share of what stood there, where no number of plants is given
     * @param array<string, array{float, float, float}> $given figures instead of ours, by name
     */
    public function __construct(
        public int $years = self::YEARS,
        public ?float $threshold = null,
        public array $given = [],
        public int $seed = 1,
        public int $runs = Projection::RUNS,
        public float $doneBelow = self::DONE_BELOW,
    ) {}

    public static function read(Fields $in, float $doneBelow = self::DONE_BELOW): self
    {
        $years = $in->int('years', 1, self::MOST_YEARS, self::YEARS);
        $threshold = $in->intOrNull('threshold', 1, 10_000_000);
        $seed = $in->int('seed', 0, 2_000_000_000, 1);
        $runs = $in->int('runs', self::LEAST_RUNS, self::MOST_RUNS, Projection::RUNS);
        $given = [];
        foreach ($in->objects('assumptions', self::MOST_GIVEN) as $one) {
            $name = $one->choice('name', Assumptions::NAMES);
            $most = Assumptions::mostOf((string) $name);
            $three = array_map(static fn(string $part): ?string => $one->decimal($part, '0', (string) (int) $most), [
                'low',
                'use',
                'high',
            ]);
            $one->noOthers();
            [$low, $use, $high] = array_map(floatval(...), $three);
            ($low <= $use && $use <= $high) || $one->fault('use', 'Low, use and high have to rise in that order.');
            $name === null || ($given[$name] = [$low, $use, $high]);
        }

        return new self($years ?? self::YEARS, $threshold, $given, $seed ?? 1, $runs ?? Projection::RUNS, $doneBelow);
    }

    /** @return array<string, mixed> as it is read again; empty where all is as shipped */
    public function told(): array
    {
        $lines = [];
        foreach ($this->given as $name => $three) {
            [$low, $use, $high] = array_map(static fn(float $n): string => (string) round($n, 6), $three);
            $lines[] = ['name' => $name, 'low' => $low, 'use' => $use, 'high' => $high];
        }

        return array_filter([
            'years' => $this->years === self::YEARS ? null : $this->years,
            'threshold' => $this->threshold === null ? null : (int) $this->threshold,
            'assumptions' => $lines,
        ]);
    }
}
