<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;

/**
 * How long work takes (handbook 9): low, use and high of each figure, as they stand in the table or as the crew has
 * them.
 *
 * @phpstan-type Three array{string, string, string}
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

    /** @return Three|null minutes of one stem of a size; null where no class reaches so far */
    public function perStem(string $name, Quantity $size): ?array
    {
        foreach ($this->hasPerStem($name) ? $this->data->node('minutesPerStem')->nodes($name) : [] as $row) {
            $below = $row->quantity('below')?->mustMatch(Dimension::Length);
            if ($below !== null && $size->isLessThan($below)) {
                return self::three($row->strings('minutes'));
            }
        }

        return null;
    }

    /** @return Three|null */
    public function perSeedling(string $name): ?array
    {
        return $this->of('seedlingMinutes', $name);
    }

    /** @return Three|null of each stem of a clump after the first */
    public function perFurtherStem(string $name): ?array
    {
        return $this->of('furtherStemMinutes', $name);
    }

    /** @return Three|null of one planted tree */
    public function perTree(Method $method): ?array
    {
        return $this->of('minutesPerTree', $method->id());
    }

    /** @return array{tree: string, cut: Three} minutes of a tree, and of each cut in it */
    public function perCut(Method $method): array
    {
        $rows = $this->data->node('minutesPerCut');
        // a way of injecting without a figure of its own goes as the first of the table
        $row = $rows->node($rows->has($method->id()) ? $method->id() : (string) array_key_first($rows->data));

        return ['tree' => $row->string('perTree'), 'cut' => self::three($row->strings('perCut'))];
    }

    /** @return Three|null minutes of a covered square metre */
    public function perSquareMetre(Method $method): ?array
    {
        return $this->of('minutesPerSquareMetre', $method->id());
    }

    /** @return Three|null */
    public function perHectare(Method $method): ?array
    {
        return $this->of('minutesPerHectare', $method->id());
    }

    /** @return Three|null slow, use, fast */
    public function hectaresPerHour(Method $method): ?array
    {
        return $this->of('hectaresPerHour', $method->id());
    }

    /** @return Three each crew-day */
    public function setUp(): array
    {
        return self::three($this->data->strings('setUpMinutes'));
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
    public function kilometresPerHour(string $where): string
    {
        return $this->data->node('walking')->node('kilometresPerHour')->string($where);
    }

    /** @return Three|null */
    private function of(string $group, string $name): ?array
    {
        $found = $this->data->nodeOrEmpty($group)->stringsOrEmpty($name);

        return $found === [] ? null : self::three($found);
    }

    /**
     * @param list<string> $figures
     *
     * @return Three
     */
    private static function three(array $figures): array
    {
        return count($figures) === 3
            ? [$figures[0], $figures[1], $figures[2]]
            : throw new \LogicException('low, use, high');
    }
}
