<?php

declare(strict_types=1);

namespace Thicket\Hours;

use Thicket\Verdict\Outcome;

/** Hours one after the other in which the work may be done. */
final readonly class Opening
{
    /** @param non-empty-list<HourVerdict> $hours */
    public function __construct(public array $hours) {}

    public function from(): \DateTimeImmutable
    {
        return $this->hours[0]->at;
    }

    /** End of the last hour. */
    public function until(): \DateTimeImmutable
    {
        return $this->hours[count($this->hours) - 1]->at->modify('+1 hour');
    }

    /** The worst of its hours. */
    public function outcome(): Outcome
    {
        $worst = Outcome::Fits;
        foreach ($this->hours as $hour) {
            $worst = $hour->outcome->isWorseThan($worst) ? $hour->outcome : $worst;
        }

        return $worst;
    }
}
