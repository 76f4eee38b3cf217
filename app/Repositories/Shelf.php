<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Container;
use App\Models\Crew;
use App\Support\JobClock;
use Thicket\Measure\Quantity;

/** What stands on the shelf. */
final class Shelf
{
    /**
     * @var \WeakMap<Crew, \Illuminate\Database\Eloquent\Collection<int, Container>> a request asks for several products
     */
    private \WeakMap $containers;

    public function __construct(private readonly JobClock $clock)
    {
        $this->containers = new \WeakMap();
    }

    /** What is left of a product that is not past its date, of the kind of an amount: poured or weighed. */
    public function left(Crew $crew, string $labelCardId, Quantity $like): Quantity
    {
        $sum = Quantity::zero($like->unit);
        $today = $this->clock->today($crew->timeZone())->format('Y-m-d');
        foreach (
            ($this->containers[$crew] ??= $crew->containers()->get())->where('label_card_id', $labelCardId)
            as $container
        ) {
            $expired = $container->expires_on !== null && $container->expires_on->format('Y-m-d') < $today;
            if (!$expired && $container->size()->dimension() === $like->dimension()) {
                $sum = $sum->plus($container->left()->to($like->unit));
            }
        }

        return $sum;
    }
}
