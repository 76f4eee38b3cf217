<?php

declare(strict_types=1);

namespace Thicket\Safety;

use Thicket\Catalogue\FactName;
use Thicket\Catalogue\Species;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * What becomes of what was pulled, dug or cut: by the plant and its state, never one sentence for all (rulings J61,
 * handbook 5). Codes of steps; the sentences stand in lang/.
 */
final readonly class Debris
{
    private const SEEDING = ['seed', 'seed-set', 'fruit', 'after-fruit'];
    private const POISONS = [
        'poisonous',
        'skin-burning-sap',
        'irritant-oil',
        'poisonous-when-dry',
        'toxic-to-stock',
        'toxic-when-wilted',
        'toxic-when-eaten',
        'cyanide-former',
        'nitrate-former',
    ];
    private const NEVER_LIES = ['poisonous', 'skin-burning-sap', 'irritant-oil'];

    /** @return list<string> codes, the one for the pieces first */
    public static function of(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if ($target === null) {
            return ['bag-unnamed'];
        }
        $codes = match (true) {
            $target->habit() === 'cactus' => ['bag-pads'],
            $target->fragmentsRegrow() === true => ['bag-or-dry-pieces'],
            $target->isWoody() => $target->hasHazard(...self::POISONS) ? ['stack-out-of-reach'] : [],
            $target->hasHazard(...self::NEVER_LIES) => ['bag-poisonous'],
            default => [],
        };
        if (self::bearsSeed($situation, $target)) {
            $codes[] = $target->isWoody() ? 'berries-off-first' : 'bag-seed-heads';
        }
        if ($codes !== []) {
            return $codes;
        }

        return [
            match (true) {
                $target->isWoody() => $option->schools->choice('leave-or-bag') === 'haul-away'
                    ? 'haul-away'
                    : 'hang-roots-up',
                $target->hasHazard(...self::POISONS) => 'herbs-out-of-stock',
                default => $option->schools->choice('pulled-herbs') === 'lay-as-mulch'
                    ? 'lay-herbs-as-mulch'
                    : 'bag-or-dry-herbs',
            },
        ];
    }

    private static function bearsSeed(Situation $situation, Species $target): bool
    {
        $fruiting = $situation->isYes(FactName::Fruiting);

        return $fruiting ??
            in_array($situation->stage()[0] ?? '', self::SEEDING, true) ||
                ($target->isWoody() && $situation->phenology()?->mayFruitOn($situation->day) === true);
    }
}
