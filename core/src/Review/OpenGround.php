<?php

declare(strict_types=1);

namespace Thicket\Review;

use Thicket\Measure\Quantity;

/** The ground that lies open where plants were taken out. */
final readonly class OpenGround
{
    /**
     * @param Quantity|null $area null where nobody drew it
     * @param string $setting a word of core/data/sites.yaml
     * @param list<string> $targets species that are fought on it
     */
    public function __construct(public ?Quantity $area, public string $setting, public array $targets) {}
}
