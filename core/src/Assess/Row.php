<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Thicket\Situation\Option;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/** One judged row of the board. */
final readonly class Row
{
    private const INJURIES = ['keep.passing-injury', 'keep.thinned', 'keep.injury-by-form'];

    public Outcome $outcome;

    /** Latest opening date of what closes it; null where it is open or nobody can know. */
    public ?\DateTimeImmutable $opens;

    /** By outcome; what removes nothing of itself stands behind all that may, before what is refused. */
    private int $place;

    /**
     * Of one outcome, what spares the kept grass stands before what injures it; in a solid thicket little is left to
     * spare (rulings J45).
     */
    private bool $injuresWhatIsKept;

    /** @param list<Finding> $findings worst first; all are kept, also those that do not decide */
    public function __construct(
        public Option $option,
        public array $findings,
        public Criteria $measures,
        public Weighing $weighing,
    ) {
        $worst = Outcome::Fits;
        $opens = null;
        foreach ($findings as $finding) {
            $worst = $finding->outcome->isWorseThan($worst) ? $finding->outcome : $worst;
            if ($finding->outcome === Outcome::NotNow) {
                $opens =
                    $finding->opens !== null && ($opens === null || $finding->opens > $opens)
                        ? $finding->opens
                        : $opens;
            }
        }
        $this->outcome = $worst;
        // a row closed by weather too still shows the season's date: it cannot open earlier
        $this->opens = $opens;
        $rank = 2 * $worst->rank();
        $this->place = $option->method->removesNothing() ? min($rank, 2 * Outcome::CannotTell->rank() - 1) : $rank;
        $this->injuresWhatIsKept = array_intersect(array_column($findings, 'code'), self::INJURIES) !== [];
    }

    /** @return list<string> facts that would have to be told */
    public function missing(): array
    {
        return array_values(
            array_unique(
                array_filter(
                    array_map(
                        static fn(Finding $f): ?string => $f->outcome === Outcome::CannotTell ? $f->missing : null,
                        $this->findings,
                    ),
                ),
            ),
        );
    }

    /** Before 0, after 0 or the same: the outcome first, then the weighed figures, then the name (rulings B26). */
    public function compareTo(self $other): int
    {
        return $other->place <=> $this->place ?:
            $this->injuresWhatIsKept <=> $other->injuresWhatIsKept ?:
            $other->weighing->compareTo($this->weighing) ?:
            $this->option->id() <=> $other->option->id();
    }
}
