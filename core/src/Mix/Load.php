<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;

/** One kind of load of a recipe: what is carried in, what is mixed fresh, and the order in which it is filled. */
final readonly class Load
{
    /** All that is in it once it is filled. */
    public Quantity $finished;

    /**
     * @param FinishedMix $mix what is mixed fresh
     * @param int $times loads of this kind
     * @param bool $isPart whether it fills less than the tank
     * @param Quantity|null $carried mix of before that goes in first
     */
    public function __construct(
        public FinishedMix $mix,
        public int $times = 1,
        public bool $isPart = true,
        public ?Quantity $carried = null,
    ) {
        $this->finished = $carried === null ? $mix->finished : $mix->finished->plus($carried->to($mix->finished->unit));
    }

    /** @return list<self> each kind of load once, in the order in which they are filled */
    public static function ofPlan(FinishedMix $mix, ?TankPlan $plan): array
    {
        if ($plan === null) {
            return [new self($mix)];
        }
        $out = [];
        foreach ($plan->kinds() as $kind) {
            if (!$kind['fresh']->isZero()) {
                $out[] = new self(
                    $mix->inVolume($kind['fresh']),
                    $kind['times'],
                    $kind['finished']->isLessThan($plan->tank),
                    $kind['carried']->isZero() ? null : $kind['carried'],
                );
            }
        }

        return $out;
    }

    /** @return list<LoadStep> */
    public function steps(): array
    {
        $filled = Quantity::zero($this->mix->finished->unit);
        $steps = [];
        $order = $this->mix->loadingOrder();
        $this->carried === null || array_unshift($order, ['what' => 'leftover', 'amount' => $this->carried]);
        foreach ($order as $step) {
            // a dry product raises no level that anybody reckons
            if ($step['amount']?->dimension() === Dimension::Volume) {
                $filled = $filled->plus($step['amount']->to($filled->unit));
            }
            $steps[] = new LoadStep($step['what'], $step['amount'], $filled, $filled->per($this->finished));
        }

        return $steps;
    }
}
