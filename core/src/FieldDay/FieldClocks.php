<?php

declare(strict_types=1);

namespace Thicket\FieldDay;

use Thicket\Label\LabelCard;
use Thicket\Measure\Unit;
use Thicket\Mix\TankTerms;
use Thicket\Situation\Option;
use Thicket\Timing\StumpClock;

/** The clocks that a job needs, by what it is done with and by its cards (handbook 4). */
final class FieldClocks
{
    /** Girdle with herbicide: sap closes the cut (handbook 4). */
    private const GIRDLE_MINUTES = [15, 30];
    /** Fire is watched so long after the last flame (rulings J35). */
    private const FIRE_WATCH_MINUTES = 60;
    /** What does not stay mixed by itself is shaken again (our guess). */
    private const SHAKE_MINUTES = 15;
    /** Somebody who waits hears from whoever works alone (rulings J34; how often is our guess). */
    private const CHECK_IN_MINUTES = 60;
    private const SETTLES = ['emulsifiable', 'water-dispersible-granule'];

    private function __construct() {}

    /**
     * @param non-empty-list<Option> $tank the product of the step and its partners
     *
     * @return list<FieldClock>
     */
    public static function of(array $tank): array
    {
        $option = $tank[0];
        $cards = array_values(array_filter(array_map(static fn(Option $o): ?LabelCard => $o->card, $tank)));
        $clocks = [];
        if ($option->goesOn('stump') && $option->carrier() === 'water') {
            $limit = $option->schools->values('stump-delay')->quantity('limit');
            $minutes = $limit?->in(Unit::Minute)->toInt() ?? throw new \LogicException('stump-delay has no limit.');
            $again = StumpClock::cutAgainFrom()->in(Unit::Minute)->toInt();
            $clocks[] = new FieldClock('stump', [$minutes, $again], 'rulings-J21', perBatch: true);
        }
        if ($option->how('girdle') && $option->method->usesProduct()) {
            $clocks[] = new FieldClock('girdle', self::GIRDLE_MINUTES, 'handbook-4', perBatch: true);
        }
        if (self::settles($option, $cards)) {
            $clocks[] = new FieldClock('shake', [self::SHAKE_MINUTES], 'handbook-3', repeats: true);
        }
        if ($option->method->work() === 'fire') {
            $clocks[] = new FieldClock('fire-watch', [self::FIRE_WATCH_MINUTES], 'rulings-J35');
        }
        // no clock where a card is silent: one that ran out would be taken for leave
        $terms = new TankTerms($cards);
        foreach (['rainfast' => $terms->rainfastHours(), 'reentry' => $terms->reentryHours()] as $code => $hours) {
            $hours === null || $hours === 0 || ($clocks[] = new FieldClock($code, [60 * $hours], 'label-card'));
        }
        $clocks[] = new FieldClock('check-in', [self::CHECK_IN_MINUTES], 'rulings-J34', repeats: true);

        return $clocks;
    }

    /** @param list<LabelCard> $cards */
    private static function settles(Option $option, array $cards): bool
    {
        $kinds = array_map(static fn(LabelCard $c): string => $c->contents->formulation, $cards);

        return $option->carrier() === 'water' && array_intersect($kinds, self::SETTLES) !== [];
    }
}
