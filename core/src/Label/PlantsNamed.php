<?php

declare(strict_types=1);

namespace Thicket\Label;

/** Plants that a label names; a list that is empty was not on it, or nobody read it. */
final readonly class PlantsNamed
{
    /**
     * @param list<AllowedPlant> $among what it may be laid among, with ages
     * @param list<string> $grassesTolerant species of grass the label calls tolerant
     * @param list<string> $grassesHarmed species of grass the label calls not tolerant
     */
    public function __construct(
        public array $among = [],
        public array $grassesTolerant = [],
        public array $grassesHarmed = [],
    ) {}
}
