<?php

declare(strict_types=1);

namespace Thicket\Measure;

/** What kind of thing a quantity measures. Two quantities compare or add only within one dimension. */
enum Dimension: string
{
    case Length = 'length';
    case Area = 'area';
    case Volume = 'volume';
    case Mass = 'mass';
    case Temperature = 'temperature';
    case Speed = 'speed';
    case Duration = 'duration';
    case Pressure = 'pressure';
    /** Flow of a nozzle or a tap. */
    case VolumePerTime = 'volume-per-time';
    case VolumePerArea = 'volume-per-area';
    case MassPerArea = 'mass-per-area';
    /** Acid equivalent per area: never compared with product mass per area. */
    case EquivalentPerArea = 'equivalent-per-area';
    /** Active ingredient per area: another basis than acid equivalent, never mixed up with it. */
    case IngredientPerArea = 'ingredient-per-area';
    case MassPerVolume = 'mass-per-volume';
    /** Acid equivalent per litre of product or mix. */
    case EquivalentPerVolume = 'equivalent-per-volume';
    /** Active ingredient per litre of product or mix. */
    case IngredientPerVolume = 'ingredient-per-volume';
    /** Product volume in finished mix volume. */
    case ProductShare = 'product-share';
    /** Volume of pure active in finished mix volume: another basis, never mixed up with ProductShare. */
    case ActiveShare = 'active-share';
    /** Mass share of a label, only nominal by volume unless density is known (handbook 3). */
    case MassShare = 'mass-share';
    case Count = 'count';
    /** Stems, seedlings or plots per area. */
    case CountPerArea = 'count-per-area';
}
