<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Measure\Quantity;

/**
 * Which nozzles of a set are worn (rulings J32): above 110 % of the rated flow at the same pressure, or more than 5 %
 * off the mean of the set. Two or more worn: the whole set is replaced. Calibrate again after replacing.
 */
final readonly class NozzleCheck
{
    private const RATED_MOST = '1.10';
    private const OFF_MEAN = '0.05';

    /**
     * @param list<array{flow: Quantity, offMean: BigRational, ofRated: BigRational|null, worn: bool}> $nozzles in the
     *     order caught; offMean is a signed share
     * @param bool $replaceSet two or more worn
     */
    private function __construct(public array $nozzles, public Quantity $mean, public bool $replaceSet) {}

    /**
     * @param non-empty-list<Quantity> $flows caught from each nozzle in one time at one pressure, @param Quantity|null
     * $rated in the same time; null where it is not known
     */
    public static function of(array $flows, ?Quantity $rated = null): self
    {
        $mean = array_reduce(
            $flows,
            static fn(Quantity $all, Quantity $one): Quantity => $all->plus($one),
            Quantity::zero($flows[0]->unit),
        )->dividedBy(count($flows));
        $nozzles = array_map(static function (Quantity $flow) use ($mean, $rated): array {
            $off = $mean->isZero() ? BigRational::zero() : $flow->minus($mean->to($flow->unit))->per($mean);
            $of = $rated === null ? null : $flow->per($rated);

            return [
                'flow' => $flow,
                'offMean' => $off,
                'ofRated' => $of,
                'worn' =>
                    $off->abs()->isGreaterThan(self::OFF_MEAN) ||
                    ($of !== null && $of->isGreaterThan(self::RATED_MOST)),
            ];
        }, $flows);

        return new self($nozzles, $mean, count(array_filter(array_column($nozzles, 'worn'))) >= 2);
    }
}
