<?php

declare(strict_types=1);

namespace Thicket\Safety;

use Thicket\Methods\Candidate;
use Thicket\Methods\Situation;

/**
 * What to wear and to mind for one row, as codes of the message files (handbook 5, rulings J6, J16-J17, J36, J38).
 * Never less than the protective floor; the card's own words are added, never replaced.
 */
final readonly class Cautions
{
    /**
     * @param list<string> $wearing
     * @param list<string> $cautions
     * @param list<string> $kit what must stand ready before the start (rulings J38)
     */
    private function __construct(public array $wearing, public array $cautions, public array $kit)
    {
    }

    /**
     * All that any product of a tank asks for (rulings J16).
     *
     * @param non-empty-list<Candidate> $products
     */
    public static function ofTank(Situation $situation, array $products): self
    {
        $wearing = $cautions = $kit = [];
        foreach ($products as $one) {
            $own = self::for($situation, $one);
            [$wearing, $cautions, $kit] = [[...$wearing, ...$own->wearing], [...$cautions, ...$own->cautions], [...$kit, ...$own->kit]];
        }

        return new self(array_values(array_unique($wearing)), array_values(array_unique($cautions)), array_values(array_unique($kit)));
    }

    public static function for(Situation $situation, Candidate $candidate): self
    {
        $target = $situation->target;
        $wearing = ['long-clothes', 'closed-shoes'];
        $cautions = ['label-and-law', 'licensed-work'];
        $kit = ['first-aid', 'phone-coverage'];
        if ($candidate->method->usesProduct()) {
            $wearing = [...$wearing, 'chemical-gloves', 'eye-protection'];
            $cautions = [...$cautions, 'neat-product-worst', 'mix-outdoors', 'keep-out-till-dry', 'no-drift', 'no-saturated-soil', 'triple-rinse', 'no-food-containers'];
            $kit = [...$kit, 'clean-water-10L', 'eyewash', 'soap-and-towels', 'spill-kit', 'label-on-site', 'spare-clothes'];
            foreach ($candidate->active?->data->strings('cautions') ?? [] as $caution) {
                $cautions[] = 'active-' . $caution;
            }
            $candidate->carrier() === 'oil' && $cautions[] = 'oil-no-flame';
        } else {
            $wearing[] = 'work-gloves';
        }
        match ($candidate->method->clearance()) {
            'saw' => [$wearing, $cautions] = [[...$wearing, 'hard-hat', 'chaps', 'ear-and-eye'], [...$cautions, 'look-up', 'chain-brake', 'trained-only', 'never-alone']],
            'axe' => [$wearing, $cautions] = [[...$wearing, 'hard-hat', 'shin-guard'], [...$cautions, 'look-up', 'sharp-blade-covered']],
            'flame' => [$wearing, $cautions] = [[...$wearing, 'ear-and-eye'], [...$cautions, 'flame-work', 'bystanders-clear']],
            'tractor' => [$wearing, $cautions] = [[...$wearing, 'ear-and-eye'], [...$cautions, 'tractor-work', 'bystanders-clear', 'locate-utilities', 'never-alone']],
            'mower' => [$wearing, $cautions] = [[...$wearing, 'ear-and-eye'], [...$cautions, 'bystanders-clear']],
            default => null,
        };
        if ($candidate->is('girdle', 'double-girdle', 'girdle-spray')) {
            $cautions[] = 'standing-dead';
        }
        if ($candidate->method->work() === 'animals') {
            $cautions[] = 'stock-and-poison';
        }
        if ($candidate->is('dig')) {
            $cautions[] = 'locate-utilities';
        }
        foreach ($target?->hazards() ?? ['unnamed'] as $hazard) {
            $cautions[] = 'plant-' . $hazard;
            in_array($hazard, ['poisonous', 'skin-burning-sap', 'irritant-oil', 'unnamed'], true) && $wearing = [...$wearing, 'waterproof-gloves', 'eye-protection', 'all-skin-covered'];
            in_array($hazard, ['thorns', 'spines'], true) && $wearing[] = 'tough-gloves';
        }

        if ($target?->fragmentsRegrow() === true) {
            $cautions[] = 'plant-fragments-root';
        }
        if ($target?->seedsRipenAfterCutting() === true) {
            $cautions[] = 'plant-seeds-ripen';
        }

        return new self(array_values(array_unique($wearing)), array_values(array_unique($cautions)), array_values(array_unique($kit)));
    }
}
