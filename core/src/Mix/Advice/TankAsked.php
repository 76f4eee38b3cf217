<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** What it is made in: null where nobody looked. */
final readonly class TankAsked
{
    /**
     * @param string|null $material one of {@see MixPlan::MATERIALS}
     * @param bool|null $solventProof whether its seals stand oil
     * @param string|null $water one of {@see MixPlan::WATERS}
     */
    public function __construct(
        public ?string $material = null,
        public ?bool $solventProof = null,
        public ?string $water = null,
    ) {}
}
