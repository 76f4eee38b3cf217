<?php

declare(strict_types=1);

namespace Thicket\Safety;

use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\Species;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * What to wear and what to mind (handbook 5, rulings J6), never below the protective floor: by how the work is done, by
 * all that is in the tank (J41), by the plant. Codes; the sentences stand in lang/.
 */
final readonly class Cautions
{
    /** By the work itself, whatever clearance a method asks. */
    private const BY_WORK = [
        'fire' => [['ear-and-eye'], ['flame-work', 'bystanders-clear']],
        'machine' => [['ear-and-eye'], ['bystanders-clear']],
        'animals' => [[], ['stock-and-poison']],
        'injection' => [[], ['firm-stance']],
        'wipe' => [[], ['drip-free']],
    ];
    private const BY_CLEARANCE = [
        'saw' => [['hard-hat', 'chaps', 'ear-and-eye'], ['look-up', 'chain-brake', 'trained-only', 'never-alone']],
        'axe' => [['hard-hat', 'shin-guard'], ['look-up', 'sharp-blade-covered']],
        'tractor' => [['ear-and-eye'], ['tractor-work', 'bystanders-clear', 'locate-utilities', 'never-alone']],
    ];
    private const BURNS_OR_POISONS = ['poisonous', 'skin-burning-sap', 'irritant-oil', 'unnamed'];
    private const PRICKS = ['thorns', 'spines'];

    /**
     * @param list<string> $wearing
     * @param list<string> $cautions
     * @param list<string> $kit what must stand ready before the start (rulings J38)
     */
    private function __construct(public array $wearing, public array $cautions, public array $kit) {}

    /**
     * All that any product of a tank asks for (rulings J16).
     *
     * @param non-empty-list<Option> $products
     */
    public static function ofTank(Situation $situation, array $products): self
    {
        $wearing = $cautions = $kit = [];
        foreach ($products as $one) {
            $own = self::for($situation, $one);
            [$wearing, $cautions, $kit] = [
                [...$wearing, ...$own->wearing],
                [...$cautions, ...$own->cautions],
                [...$kit, ...$own->kit],
            ];
        }

        return new self(
            array_values(array_unique($wearing)),
            array_values(array_unique($cautions)),
            array_values(array_unique($kit)),
        );
    }

    public static function for(Situation $situation, Option $option): self
    {
        $wearing = ['long-clothes', 'closed-shoes'];
        $cautions = ['label-and-law', 'licensed-work'];
        $kit = ['first-aid', 'phone-coverage'];
        if ($option->method->usesProduct()) {
            $wearing = [...$wearing, 'chemical-gloves', 'eye-protection'];
            $cautions = [...$cautions, ...self::ofProducts($option)];
            $kit = [
                ...$kit,
                'clean-water-10L',
                'eyewash',
                'soap-and-towels',
                'spill-kit',
                'label-on-site',
                'spare-clothes',
            ];
        } else {
            $wearing[] = 'work-gloves';
        }
        foreach (
            [
                self::BY_WORK[$option->method->work()] ?? [[], []],
                self::BY_CLEARANCE[$option->method->clearance()] ?? [[], []],
            ]
            as [$wear, $mind]
        ) {
            [$wearing, $cautions] = [[...$wearing, ...$wear], [...$cautions, ...$mind]];
        }
        $cautions = [
            ...$cautions,
            ...self::ofWay($option),
            ...$situation->word(FactName::Setting) === 'bed-lawn-paving' ? ['check-bought-plants'] : [],
        ];
        [$wear, $mind] = self::ofPlant($situation->target);

        return new self(
            array_values(array_unique([...$wearing, ...$wear])),
            array_values(array_unique([...$cautions, ...$mind])),
            array_values(array_unique($kit)),
        );
    }

    /** @return list<string> of every active in the tank */
    private static function ofProducts(Option $option): array
    {
        $cautions = [
            'neat-product-worst',
            'mix-outdoors',
            'keep-out-till-dry',
            'no-drift',
            'no-saturated-soil',
            'triple-rinse',
            'no-food-containers',
            'torn-glove',
            'gloves-and-mask',
        ];
        foreach ($option->actives() as $active) {
            $cautions = [...$cautions, ...self::ofActive($active)];
        }
        $option->carrier() === 'oil' && ($cautions[] = 'oil-no-flame');

        return $cautions;
    }

    /** @return list<string> */
    private static function ofWay(Option $option): array
    {
        return array_keys(
            array_filter([
                'standing-dead' => $option->how('girdle') || $option->method->work() === 'injection',
                'locate-utilities' => $option->how('dig', 'drag'),
                'pair-work' => $option->goesOn('stump') || ($option->how('girdle') && $option->method->usesProduct()),
                'no-sideways-drops' => $option->method->isInRows(),
                'low-pressure' => $option->goesOn('bark'),
            ]),
        );
    }

    /** @return array{list<string>, list<string>} what to wear and what to mind */
    private static function ofPlant(?Species $target): array
    {
        $wearing = $cautions = [];
        foreach ($target?->hazards() ?? ['unnamed'] as $hazard) {
            $cautions[] = "plant-{$hazard}";
            in_array($hazard, self::BURNS_OR_POISONS, true) &&
                ($wearing = [...$wearing, 'waterproof-gloves', 'eye-protection', 'all-skin-covered']);
            in_array($hazard, self::PRICKS, true) && ($wearing = [...$wearing, 'tough-gloves', 'eye-cover']);
        }
        $target?->fragmentsRegrow() === true && ($cautions[] = 'plant-fragments-root');
        $target?->seedsRipenAfterCutting() === true && ($cautions[] = 'plant-seeds-ripen');

        return [$wearing, $cautions];
    }

    /**
     * What the actives of a tank ask to be minded, for a mixing card and a bottle.
     *
     * @param list<Option> $products
     *
     * @return list<string>
     */
    public static function ofJug(array $products): array
    {
        $actives = array_merge([], ...array_map(static fn(Option $one): array => $one->actives(), $products));

        return array_values(array_unique(array_merge([], ...array_map(self::ofActive(...), $actives))));
    }

    /** @return list<string> its own cautions, and what the neat liquid looks like where that is telling (handbook 3) */
    private static function ofActive(Active $active): array
    {
        $look = $active->neatLook();

        return [
            ...array_map(static fn(string $caution): string => "active-{$caution}", $active->cautions()),
            ...$look === '' ? [] : ["neat-{$look}"],
        ];
    }
}
