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
    public function __construct(public Candidate $candidate, public array $findings, public Measures $measures, public Weighing $weighing)
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

    /** Before 0, after 0 or the same: the outcome first, then the weighed figures, then the name (rulings B26). */
    public function compareTo(self $other): int
    {
        return [$other->outcome->rank(), $other->weighing->total->compareTo($this->weighing->total), $this->candidate->id()]
            <=> [$this->outcome->rank(), 0, $other->candidate->id()];
    }
}
