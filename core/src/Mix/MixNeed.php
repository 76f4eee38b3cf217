<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Label\CardUse;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\ServedStems;
use Thicket\Situation\Situation;
use Thicket\Survey\StemGroup;

/**
 * How much mix a way of working takes on a stand, before the allowance (handbook 2 "Consumes"): surface x film, cuts x
 * mL, girth or plants x mL, or area x mL.
 */
final readonly class MixNeed
{
    /** @param Quantity|null $area of the patch; a spray on leaves needs it */
    public function __construct(private Situation $situation, private Option $option, private ?Quantity $area) {}

    /** Every plan gets this much more (handbook 9), as a factor. */
    public static function withAllowance(Option $option): BigRational
    {
        return BigRational::of($option->coefficients()->allowancePercent())
            ->dividedBy(100)
            ->plus(1);
    }

    /**
     * @param array<string, Quantity|string|int> $working
     * @param list<string> $missing
     */
    public function mix(array &$working, array &$missing): ?Quantity
    {
        $stems = $this->treated();
        $perStem = $this->option->goesOn('bark', 'wood', 'stump') || $this->option->method->work() === 'wipe';
        if ($perStem && $this->situation->stems === []) {
            $missing[] = 'stem-diameter';

            return null;
        }

        return match ($this->restsOn()) {
            'film/basal' => $this->basalNeed($stems, $working),
            'film/stump' => $this->stumpNeed($stems, $working),
            'kerfPerTenCentimetres' => $this->kerfNeed($working),
            'cut' => $this->injectionNeed($stems, $working),
            'wick' => $this->wickNeed($working),
            null => null,
            default => $this->foliarNeed($working, $missing),
        };
    }

    /** Which figure of the table the need goes by, as its path there; null where nothing is put out by itself. */
    public function restsOn(): ?string
    {
        return match (true) {
            $this->option->goesOn('bark') => 'film/basal',
            $this->option->goesOn('stump') => 'film/stump',
            $this->option->how('girdle') => 'kerfPerTenCentimetres',
            $this->option->goesOn('wood') => 'cut',
            $this->option->method->work() === 'wipe' => 'wick',
            $this->option->goesOn('leaf') => 'foliar/' . TreatedArea::crownClass($this->situation),
            default => null,
        };
    }

    /**
     * Herbicide sprayed into a saw kerf all round: mL by girth (handbook 9), held under the label's mL per tree.
     *
     * @param array<string, Quantity|string|int> $working
     */
    private function kerfNeed(array &$working): Quantity
    {
        $perTenCentimetres = $this->option->coefficients()->perTenCentimetresOfKerf();
        $perStem = $this->line()?->perStem;
        $girth = Quantity::zero(Unit::Centimetre);
        $mix = Quantity::zero(Unit::Millilitre);
        $trees = $capped = 0;
        foreach ($this->treated() as $group) {
            $round = $group->forSums()->to(Unit::Centimetre)->times(\Thicket\Measure\Pi::value());
            $each = $perTenCentimetres->times($round->in(Unit::Centimetre)->dividedBy(10));
            $over = $perStem !== null && $each->isGreaterThan($perStem);
            $capped = $over ? 1 : $capped;
            $girth = $girth->plus($round->times($group->count));
            $mix = $mix->plus(($over ? $perStem : $each)->times($group->count));
            $trees += $group->count;
        }
        $working += [
            'girth' => $girth,
            'perTenCentimetres' => $perTenCentimetres,
            'treated' => $trees,
            'skipped' => $this->situation->stemCount() - $trees,
            'capped' => $capped,
        ];

        return $mix;
    }

    /** @param array<string, Quantity|string|int> $working */
    private function wickNeed(array &$working): Quantity
    {
        $perPlant = $this->option->coefficients()->perWipedPlant();
        $working += ['perPlant' => $perPlant, 'treated' => $this->served()->count(), 'skipped' => $this->skipped()];

        return $perPlant->times($this->served()->count());
    }

    /**
     * @param list<StemGroup> $stems
     * @param array<string, Quantity|string|int> $working
     */
    private function basalNeed(array $stems, array &$working): Quantity
    {
        $band =
            $this->option->schools->values('basal-band')->quantity('band') ??
            throw new \LogicException('basal-band has no band.');
        $limit = $this->option->limit('stemMost');
        $result = StemBand::of($stems, $band, $limit, $this->option->schools->choice('basal-size') === 'six-or-less');
        $film = $this->film('basal');
        $working += [
            'band' => $band,
            'surface' => $result->area,
            'film' => $film,
            'treated' => $result->treated,
            'skipped' => $this->skipped(),
        ];

        return StemBand::volume($result->area, $film);
    }

    /**
     * @param list<StemGroup> $stems
     * @param array<string, Quantity|string|int> $working
     */
    private function stumpNeed(array $stems, array &$working): Quantity
    {
        ['from' => $from, 'width' => $width] = $this->option->catalogue->coefficients()->stumpRing();
        $sides = $this->option->carrier() === 'oil' ? StumpFace::usualSides() : null;
        $area = StumpFace::total($stems, $from, $width, $sides);
        $film = $this->film('stump');
        $working +=
            [
                'ring' => $width,
                'surface' => $area,
                'film' => $film,
                'treated' => $this->served()->count(),
                'skipped' => $this->skipped(),
            ] + ($sides === null ? [] : ['sides' => $sides]);

        return StemBand::volume($area, $film);
    }

    /**
     * @param list<StemGroup> $stems
     * @param array<string, Quantity|string|int> $working
     */
    private function injectionNeed(array $stems, array &$working): Quantity
    {
        [$spacing, $per] = self::spacing($this->option);
        $perCut = $this->option->coefficients()->perCut();
        $result = Injection::of(
            $stems,
            new CutSpacing($spacing, $per),
            $perCut,
            $this->option->limit('stemMost'),
            $this->option->limit('stemLeast'),
            $this->line()?->perStem,
        );
        $working += [
            'spacing' => $spacing,
            'per' => $per,
            'cuts' => $result->cuts,
            'perCut' => $perCut,
            'treated' => $result->treated,
            'skipped' => $this->skipped(),
            'capped' => $result->cappedByLabel ? 1 : 0,
        ];

        return $result->mix;
    }

    /**
     * @param array<string, Quantity|string|int> $working
     * @param list<string> $missing
     */
    private function foliarNeed(array &$working, array &$missing): ?Quantity
    {
        $area = TreatedArea::of($this->situation, $this->option, $this->area);
        if ($area === null) {
            $missing[] = 'treated-area';

            return null;
        }
        $class = TreatedArea::crownClass($this->situation);
        $perArea = $this->option->coefficients()->foliar($class);
        $working += ['area' => $area, 'perArea' => $perArea];

        return AreaRate::over($perArea, $area);
    }

    /** Whether any stem takes more mix than the card's line allows for one; cuts and kerfs are held to it already. */
    public function passesMostPerStem(): bool
    {
        $most = $this->line()?->perStem;
        if ($most === null) {
            return false;
        }
        foreach ($this->treated() as $group) {
            $working = $missing = [];
            $mix = (new self($this->situation->withStems([$group]), $this->option, null))->mix($working, $missing);
            if ($mix?->dividedBy($group->count)->isGreaterThan($most) === true) {
                return true;
            }
        }

        return false;
    }

    /**
     * @return list<StemGroup> without those beyond the reach of the method or left out on purpose; they neither set the
     * strength nor the drawing
     */
    public function treated(): array
    {
        return $this->served()->served;
    }

    private function served(): ServedStems
    {
        return ServedStems::of($this->situation, $this->option);
    }

    private function skipped(): int
    {
        return $this->served()->leftOut + $this->served()->beyond;
    }

    /**
     * Spacing of cuts for the active at hand (handbook 8 injection-spacing).
     *
     * @return array{Quantity, string}
     */
    public static function spacing(Option $option): array
    {
        $school = $option->catalogue->school('injection-spacing');
        $choice = $option->schools->choice('injection-spacing');
        if ($choice === 'by-active') {
            $choice = $school->choiceFor($option->active?->id() ?? '') ?? 'per-inch-of-diameter';
        }
        $values = $school->choice($choice);

        return [$values->quantity('spacing') ?? throw new \LogicException('no spacing.'), $values->string('per')];
    }

    private function film(string $use): Quantity
    {
        return $this->option->coefficients()->film($use);
    }

    private function line(): ?CardUse
    {
        return $this->option->lineOfCard($this->situation);
    }
}
