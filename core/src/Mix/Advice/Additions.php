<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

use Thicket\Mix\Component;

/** What goes in besides product and carrier. */
final readonly class Additions
{
    /**
     * @param list<Component> $extras
     * @param bool|null $forWater whether it is permitted for water; null where nobody read it
     */
    public function __construct(public array $extras = [], public ?bool $forWater = null) {}
}
