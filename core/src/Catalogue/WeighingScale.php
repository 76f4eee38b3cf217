<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Brick\Math\BigRational;

/** The fixed scale of one of the six measures (rulings B26): where a figure is as bad, and as good, as it can count. */
final readonly class WeighingScale
{
    public string $measure;
    private BigRational $bad;
    /** Good less bad; negative where less is better. */
    private BigRational $span;
    private float $aboutBad;
    private float $aboutSpan;

    public function __construct(Node $data)
    {
        $this->measure = $data->string('id');
        $this->bad = BigRational::of($data->string('bad'));
        $this->span = BigRational::of($data->string('good'))->minus($this->bad);
        $this->aboutBad = $this->bad->toFloat();
        $this->aboutSpan = $this->span->toFloat();
    }

    /** As {@see goodness()}, to the precision of a float. */
    public function about(?float $figure): float
    {
        return $figure === null ? 0.0 : max(0.0, min(1.0, ($figure - $this->aboutBad) / $this->aboutSpan));
    }

    /** 0 at the bad end and beyond, and where nobody knows; 1 at the good end and beyond. */
    public function goodness(?BigRational $figure): BigRational
    {
        if ($figure === null) {
            return BigRational::zero();
        }
        $part = $figure->minus($this->bad)->dividedBy($this->span);

        return match (true) {
            $part->isNegative() => BigRational::zero(),
            $part->getNumerator()->isGreaterThan($part->getDenominator()) => BigRational::one(),
            default => $part->simplified(),
        };
    }
}
