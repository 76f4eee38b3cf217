<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

/** What this crew has done before, and what its law allows. */
final readonly class CrewPractice
{
    /**
     * @param bool $firstTime no signed work with this product yet
     * @param bool $firstTogether these products were not mixed together yet
     * @param bool $fuelOilLawful it has noted that fuel oil may be a carrier here (rulings J18)
     */
    public function __construct(
        public bool $firstTime = false,
        public bool $firstTogether = false,
        public bool $fuelOilLawful = false,
    ) {}
}
