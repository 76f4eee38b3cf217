<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** How plants of each kind live and multiply (core/data/life.yaml): low, use and high of every figure. */
final readonly class LifeTable
{
    /** @internal made by the catalogue */
    public function __construct(private Node $data) {}

    /** Which kind of the table a species is: by its life, and how it grows. */
    public static function kindOf(Species $species): string
    {
        return match (true) {
            $species->isWoody() && str_ends_with($species->habit(), 'vine') => 'vine',
            $species->isWoody() && $species->habit() === 'tree' => 'tree',
            $species->isWoody() => 'shrub',
            $species->lifeCycle() === 'biennial' => 'biennial',
            $species->lifeCycle() === 'creeping-perennial' => 'creeping',
            $species->isPerennial() => 'perennial',
            default => 'annual',
        };
    }

    /** @return array<string, array{float, float, float}> by name: low, use, high */
    public function kind(string $kind): array
    {
        return self::figures($this->data->node('kinds')->node($kind));
    }

    /** @return array<string, array{float, float, float}> for all kinds */
    public function all(): array
    {
        return self::figures($this->data->node('all'));
    }

    /** @return array<string, array{float, float, float}> of what is kept or planted among them */
    public function kept(): array
    {
        return self::figures($this->data->node('kept'));
    }

    /**
     * @internal read by the catalogue
     *
     * @return array<string, array{float, float, float}>
     */
    public static function figures(Node $node): array
    {
        $out = [];
        foreach (array_keys(array_diff_key($node->data, ['basis' => true])) as $name) {
            [$low, $use, $high] = $node->strings((string) $name);
            $out[(string) $name] = [(float) $low, (float) $use, (float) $high];
        }

        return $out;
    }
}
