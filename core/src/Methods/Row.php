<?php

declare(strict_types=1);

namespace Thicket\Methods;

/** One judged row of the board. */
final readonly class Row
{
    public Outcome $outcome;

    /** Latest opening date of what closes it; null where it is open or nobody can know. */
    public ?\DateTimeImmutable $opens;

    /** @param list<Finding> $findings worst first; all are kept, also those that do not decide */
    public function __construct(public Candidate $candidate, public array $findings, public Measures $measures)
    {
        $worst = Outcome::Fits;
        $opens = null;
        foreach ($findings as $finding) {
            $worst = $finding->outcome->isWorseThan($worst) ? $finding->outcome : $worst;
            if ($finding->outcome === Outcome::NotNow) {
                $opens = $finding->opens !== null && ($opens === null || $finding->opens > $opens) ? $finding->opens : $opens;
            }
        }
        $this->outcome = $worst;
        // a row closed by weather too still shows the season's date: it cannot open earlier
        $this->opens = $opens;
    }

    /** @return list<string> facts that would have to be told */
    public function missing(): array
    {
        return array_values(array_unique(array_filter(array_map(static fn (Finding $f): ?string => $f->outcome === Outcome::CannotTell ? $f->missing : null, $this->findings))));
    }

    /** @return array{int, int, int, string} sort key: outcome, expected control (greater first), harm, name */
    public function order(): array
    {
        return [-$this->outcome->rank(), -($this->measures->controlLow ?? 0), $this->measures->harm, $this->candidate->id()];
    }
}
