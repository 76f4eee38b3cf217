<?php

declare(strict_types=1);

namespace Thicket\Safety;

/** What has to be settled with others before a job (rulings J15, J19, J20, handbook 5): papers held, people told. */
enum DutyKind: string
{
    /** The owner agrees in writing, and the boundary was checked. */
    case Owner = 'owner';
    case WaterPermit = 'water-permit';
    case FirePermit = 'fire-permit';
    case RoadPermit = 'road-permit';
    /** The official check for protected plants, animals, habitats. */
    case ProtectedLife = 'protected-life';
    case BeeKeeper = 'bee-keeper';
    case Grower = 'grower';
    case Neighbour = 'neighbour';
    case PathUsers = 'path-users';
    case School = 'school';

    /** Somebody else allows it; otherwise somebody is told. */
    public function isPaper(): bool
    {
        return in_array(
            $this,
            [self::Owner, self::WaterPermit, self::FirePermit, self::RoadPermit, self::ProtectedLife],
            true,
        );
    }

    /** Whether what is held goes by a number: "its number gates the step" (rulings J15). */
    public function hasNumber(): bool
    {
        return in_array($this, [self::WaterPermit, self::FirePermit, self::RoadPermit], true);
    }

    /** Whether it holds for a span and says until when: a check of protected life has "date and validity" (J20). */
    public function needsEnd(): bool
    {
        return $this === self::ProtectedLife;
    }

    /** Whether somebody has to have walked the boundary too (rulings J20). */
    public function needsBoundary(): bool
    {
        return $this === self::Owner;
    }
}
