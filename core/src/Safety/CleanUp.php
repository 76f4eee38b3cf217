<?php

declare(strict_types=1);

namespace Thicket\Safety;

use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * What is cleaned after the work, in its order: the sprayer first, then the person, then tools and boots of what would
 * travel (handbook 5 clean-up, rulings J24, J36). Codes; the sentences stand in lang/.
 */
final class CleanUp
{
    private const BURNS = ['skin-burning-sap', 'skin-irritant', 'irritant-oil', 'poisonous'];
    private const PRICKS = ['thorns', 'spines'];
    /** What is carried off on boots and tools. */
    private const SEEDING = ['seed', 'seed-set', 'fruit', 'ripe-fruit', 'full-flower', 'heading'];

    /** The line whose tick says that a sprayer is washed out. */
    public const RINSED = 'rinse-sprayer-thrice';

    private function __construct() {}

    /**
     * @param non-empty-list<Option> $tank the product of the step and its partners
     *
     * @return list<string>
     */
    public static function of(Situation $situation, array $tank): array
    {
        $option = $tank[0];
        $target = $situation->target;
        $burns = $target === null || $target->hasHazard(...self::BURNS);
        $product = $option->method->usesProduct();
        $travels =
            $target === null ||
            $target->fragmentsRegrow() !== false ||
            in_array($situation->stage()[0] ?? null, self::SEEDING, true);

        return array_keys(
            array_filter([
                self::RINSED => $product,
                'spray-rinsings-here' => $product,
                'wash-gloves-on' => $product,
                'peel-or-keep-gloves' => $product,
                'gloves-bagged' => !$product && $burns,
                'wash-hands-face' => true,
                'clothes-apart-hot' => $product || $burns,
                'run-machine-empty' => $product || $burns,
                'tools-before-others' => $burns,
                'rust-off-blades' =>
                    $product && $option->carrier() === 'water' && $option->method->work() === 'cutting',
                'brush-tools-boots' => $travels,
                'brush-jaws-mower' => $travels && $option->method->work() === 'machine',
                'look-for-thorns' => $target?->hasHazard(...self::PRICKS) === true,
                'look-for-ticks' => true,
            ]),
        );
    }
}
