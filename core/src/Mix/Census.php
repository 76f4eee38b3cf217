<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Catalogue\Catalogue;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Schools;
use Thicket\Survey\StemGroup;

/**
 * What follows from a tally alone (handbook 6 "Measuring the job"): stems per area, sum of diameters, bark band to wet,
 * cuts and stump surface by the crew's schools. Sums use the middle of a size class, cuts its upper bound (rulings
 * B11).
 */
final readonly class Census
{
    /**
     * More than six: the figures that follow from a tally, one by one.
     *
     * @param list<array{school: string, choice: string, cuts: int}> $cuts injection cuts by each way of spacing them
     */
    private function __construct(
        public int $stems,
        public int $clumps,
        public ?Quantity $perArea,
        /** Our word for how thick it stands; null without an area. */
        public ?string $density,
        public Quantity $sumOfDiameters,
        public Quantity $band,
        public Quantity $bandArea,
        public Quantity $stumpFaces,
        /** Faces and sides down to the ground, as oil mixes take them (rulings J21). */
        public Quantity $stumpFacesAndSides,
        public array $cuts,
    ) {}

    /** @param list<StemGroup> $stems */
    public static function of(array $stems, ?Quantity $area, Schools $schools, Catalogue $catalogue): self
    {
        $count = 0;
        $clumps = 0;
        $diameters = BigRational::zero();
        foreach ($stems as $group) {
            $count += $group->count;
            $clumps += BigRational::of($group->count)
                ->dividedBy($group->stemsPerClump)
                ->toScale(0, RoundingMode::UP)
                ->toInt();
            $diameters = $diameters->plus($group->forSums()->in(Unit::Metre)->multipliedBy($group->count));
        }
        $perArea =
            $area === null || $area->isZero()
                ? null
                : Quantity::of(
                    BigRational::of($count)->dividedBy($area->in(Unit::SquareMetre)),
                    Unit::OnePerSquareMetre,
                );
        $band =
            $schools->values('basal-band')->quantity('band') ?? throw new \LogicException('basal-band has no band.');
        ['from' => $from, 'width' => $width] = $catalogue->coefficients()->stumpRing();

        return new self(
            $count,
            $clumps,
            $perArea,
            $perArea === null ? null : self::densityWord($perArea, $catalogue),
            Quantity::of($diameters, Unit::Metre),
            $band,
            StemBand::of($stems, $band)->area,
            StumpFace::total($stems, $from, $width),
            StumpFace::total($stems, $from, $width, StumpFace::usualSides()),
            self::cuts($stems, $catalogue),
        );
    }

    /** Classes are [from, next from). */
    private static function densityWord(Quantity $perArea, Catalogue $catalogue): string
    {
        $word = 'scattered';
        foreach ($catalogue->coefficients()->densities() as $class) {
            if (!$perArea->isLessThan($class['from'])) {
                $word = $class['word'];
            }
        }

        return $word;
    }

    /**
     * @param list<StemGroup> $stems
     *
     * @return list<array{school: string, choice: string, cuts: int}>
     */
    private static function cuts(array $stems, Catalogue $catalogue): array
    {
        $school = $catalogue->school('injection-spacing');
        $perCut = $catalogue->coefficients()->perCut();
        $out = [];
        foreach ($school->choices() as $choice) {
            $spacing = $school->choice($choice)->quantity('spacing');
            // 'by active' has no spacing of its own: it is one of the others once a product is chosen
            if ($spacing !== null) {
                $out[] = [
                    'school' => 'injection-spacing',
                    'choice' => $choice,
                    'cuts' => Injection::of(
                        $stems,
                        new CutSpacing($spacing, $school->choice($choice)->string('per')),
                        $perCut,
                    )->cuts,
                ];
            }
        }

        return $out;
    }
}
