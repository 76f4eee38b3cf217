<?php

declare(strict_types=1);

namespace Thicket\Methods;

use Brick\Math\BigRational;
use Thicket\Measure\Unit;
use Thicket\Mix\RecipeSolver;

/** What one pass costs: hours at the crew's wage and product at its price. Nothing is guessed: a price nobody gave leaves the sum unknown. */
final readonly class Money
{
    /** @param list<string> $stale what was priced long ago or without a day: 'wage', or the active */
    private function __construct(public BigRational $wages, public BigRational $product, public ?BigRational $perHectare, public string $currency, public array $stale)
    {
    }

    public static function of(Situation $situation, Candidate $candidate, Labour $labour): ?self
    {
        $prices = $candidate->shed->prices;
        $hours = $labour->total();
        $wages = $hours === null ? null : $prices?->ofHours($hours);
        if ($prices === null || $wages === null) {
            return null;
        }
        $product = BigRational::zero();
        $stale = Prices::isStale($prices->wage['on'] ?? null, $situation->day) ? ['wage'] : [];
        if ($candidate->method->usesProduct()) {
            $active = $candidate->active?->id() ?? '';
            if (!isset($prices->products[$active])) {
                return null;
            }
            $amount = (new RecipeSolver($situation, $candidate, $situation->area))->solve(null)->product();
            $product = $amount === null ? null : $prices->ofProduct($active, $amount);
            if ($product === null) {
                return null;
            }
            Prices::isStale($prices->products[$active]['on'], $situation->day) && $stale[] = $active;
        }
        $hectares = $situation->area?->in(Unit::Hectare);

        return new self($wages, $product, $hectares === null || $hectares->isZero() ? null : $wages->plus($product)->dividedBy($hectares), $prices->currency, $stale);
    }

    public function total(): BigRational
    {
        return $this->wages->plus($this->product);
    }
}
