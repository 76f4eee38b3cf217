<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;

/**
 * How long work takes (handbook 9): low, use and high of each figure, as they stand in the table or as the crew has
 * them.

 */
final readonly class LabourTable
{
    private const BY_METHOD = [
        'minutesPerStem',
        'minutesPerTree',
        'minutesPerCut',
        'minutesPerHectare',
        'minutesPerSquareMetre',
        'hectaresPerHour',
    ];

    public function __construct(private Node $data) {}

    /** Whether there is a figure for this method, or for the one that it is a form of. */
    public function knows(Method $method): bool
    {
        foreach (self::BY_METHOD as $name) {
            $rows = $this->data->nodeOrEmpty($name);
            if ($rows->has($method->id()) || $rows->has($method->like())) {
                return true;
            }
        }

        // a way of injecting without a figure of its own goes as the first of the table
        return $method->work() === 'injection';
    }

    public function hasPerStem(string $name): bool
    {
        return $this->data->node('minutesPerStem')->has($name);
    }

    /** Minutes of one stem of a size; null where no class reaches so far. */
    public function perStem(string $name, Quantity $size): ?LabourFigure
    {
        $rows = $this->hasPerStem($name) ? $this->data->node('minutesPerStem')->nodes($name) : [];
        foreach (array_values($rows) as $i => $row) {
            $below = $row->quantity('below')?->mustMatch(Dimension::Length);
            if ($below !== null && $size->isLessThan($below)) {
                return LabourFigure::of("minutesPerStem/{$name}/{$i}", $row->strings('minutes'));
            }
        }

        return null;
    }

    public function perSeedling(string $name): ?LabourFigure
    {
        return $this->of('seedlingMinutes', $name);
    }

    /** Of each stem of a clump after the first. */
    public function perFurtherStem(string $name): ?LabourFigure
    {
        return $this->of('furtherStemMinutes', $name);
    }

    /** Of one planted tree. */
    public function perTree(Method $method): ?LabourFigure
    {
        return $this->of('minutesPerTree', $method->id());
    }

    /** @return array{tree: string, cut: LabourFigure} minutes of a tree, and of each cut in it */
    public function perCut(Method $method): array
    {
        $rows = $this->data->node('minutesPerCut');
        // a way of injecting without a figure of its own goes as the first of the table
        $name = $rows->has($method->id()) ? $method->id() : (string) array_key_first($rows->data);
        $row = $rows->node($name);

        return [
            'tree' => $row->string('perTree'),
            'cut' => LabourFigure::of("minutesPerCut/{$name}", $row->strings('perCut')),
        ];
    }

    /** Minutes of a covered square metre. */
    public function perSquareMetre(Method $method): ?LabourFigure
    {
        return $this->of('minutesPerSquareMetre', $method->id());
    }

    public function perHectare(Method $method): ?LabourFigure
    {
        return $this->of('minutesPerHectare', $method->id());
    }

    /** Slow, use, fast. */
    public function hectaresPerHour(Method $method): ?LabourFigure
    {
        return $this->of('hectaresPerHour', $method->id());
    }

    /** Minutes each crew-day. */
    public function setUp(): LabourFigure
    {
        return LabourFigure::of('setUpMinutes', $this->data->strings('setUpMinutes'));
    }

    /** @param string $why dryPull, deepLever, handRing: what makes the hands slower, as a factor */
    public function longer(string $why): string
    {
        return $this->data->node('longer')->string($why);
    }

    /** @return array{tour: string, sweeping: string, thicketFromPerHectare: int} of the shortest tour */
    public function walking(): array
    {
        $walk = $this->data->node('walking');

        return [
            'tour' => $walk->string('tour'),
            'sweeping' => $walk->string('sweeping'),
            'thicketFromPerHectare' => $walk->int('thicketFromPerHectare'),
        ];
    }

    /** @param string $where thicket, wood or open */
    public function kilometresPerHour(string $where): LabourFigure
    {
        return LabourFigure::of("kilometresPerHour/{$where}", $this->data->node('kilometresPerHour')->strings($where));
    }

    private function of(string $group, string $name): ?LabourFigure
    {
        $found = $this->data->nodeOrEmpty($group)->stringsOrEmpty($name);

        return $found === [] ? null : LabourFigure::of("{$group}/{$name}", $found);
    }
}
