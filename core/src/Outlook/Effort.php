<?php

declare(strict_types=1);

namespace Thicket\Outlook;

use Thicket\Economics\Labour;

/** What a pass over so many plants takes, scaled from the pass that is planned now. */
final readonly class Effort
{
    /**
     * More than six: what a pass is made of.
     *
     * @param float $plants that the figures are of
     * @param Span $hands minutes on one plant
     * @param float $walking minutes between all of them; grows with the root of their number (handbook 9)
     * @param Span $setUp minutes each crew-day
     * @param float|null $litres of finished mix on one plant, nought without product; null where it is not known
     * @param float|null $product money on one plant, nought without product; null where nobody gave a price
     * @param float|null $wage money an hour
     */
    public function __construct(
        public float $plants,
        public Span $hands,
        public float $walking,
        public Span $setUp,
        public ?float $litres,
        public ?float $product,
        public ?float $wage,
    ) {}

    /**
     * @param float $hands minutes on one plant, as this world has it
     * @param float $setUp minutes a day
     */
    public function hours(float $plants, float $hands, float $setUp): float
    {
        if ($plants < 1) {
            return 0.0;
        }
        $work = $plants * $hands + $this->walking * sqrt($plants / max(1.0, $this->plants));

        return ($work + $setUp * ceil($work / Labour::DAY_MINUTES)) / 60;
    }

    /** Null where it is not known how much one plant takes. */
    public function litres(float $plants): ?float
    {
        return $this->litres === null ? null : $plants * $this->litres;
    }

    /** Null where wage or price are not known. */
    public function money(float $plants, float $hours): ?float
    {
        return $this->wage === null || $this->product === null ? null : $hours * $this->wage + $plants * $this->product;
    }
}
