<?php

declare(strict_types=1);

namespace Thicket\Hours;

use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/** One hour, judged. */
final readonly class HourVerdict
{
    public Outcome $outcome;

    /**
     * @param array<string, Finding> $findings by condition
     * @param string $surety sure, fair or rough
     */
    public function __construct(public \DateTimeImmutable $at, public array $findings, public string $surety)
    {
        $worst = Outcome::Fits;
        foreach ($findings as $finding) {
            $worst = $finding->outcome->isWorseThan($worst) ? $finding->outcome : $worst;
        }
        $this->outcome = $worst;
    }

    public function isOpen(): bool
    {
        return !$this->outcome->isWorseThan(Outcome::WithCare);
    }

    /** The condition that decides; the first of them in the order in which people look. */
    public function deciding(): ?Condition
    {
        foreach (Condition::cases() as $condition) {
            if (($this->findings[$condition->value]->outcome ?? null) === $this->outcome) {
                return $condition;
            }
        }

        return null;
    }
}
