<?php

declare(strict_types=1);

namespace Thicket\Economics;

use Thicket\Situation\KeptPlant;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * Grazing that a row costs beyond the days of its card: weeks in which kept grass under the spray comes back from what
 * it does to it (rulings J45, handbook 2 "Pasture broadcast"). The weeks are our guess. The worst grass counts; with no
 * kept grass under it nothing is lost.
 */
final readonly class GrazingLost
{
    public const NONE = 'none';
    /** Gone until sown again. */
    public const LOST = 'lost';
    /** The form of the grass decides, and nobody told it. */
    public const BY_FORM = 'by-form';
    public const KINDS = [self::NONE, 'passing', self::BY_FORM, 'thinning', self::LOST];

    /**
     * @param string $kind one of KINDS
     * @param int|null $from weeks; null where nothing is lost, where all is, and where the form is not told
     */
    private function __construct(public string $kind, public ?int $from, public ?int $to) {}

    public static function of(Situation $situation, Option $option): self
    {
        $worst = self::NONE;
        $overAll = $option->isLeafSpray() && $option->method->coversGround();
        foreach ($overAll ? $situation->keepers : [] as $keeper) {
            $kept = $keeper->isAmongTargets() ? KeptPlant::of($keeper, $option->catalogue) : null;
            if ($kept === null || $kept->kind !== 'grass') {
                continue;
            }
            $injury = $kept->injuryHere($option->actives(), $situation);
            $kind = in_array($injury, ['taken', 'loss'], true) ? self::LOST : $injury;
            $worst = array_search($kind, self::KINDS, true) > array_search($worst, self::KINDS, true) ? $kind : $worst;
        }
        $weeks = $option->catalogue->coefficients()->grazingWeeksLost($worst);

        return new self($worst, $weeks['from'] ?? null, $weeks['to'] ?? null);
    }
}
