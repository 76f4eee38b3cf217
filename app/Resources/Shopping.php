<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Crew;
use App\Models\LabelCard;
use App\Models\Stand;
use App\Repositories\Shelf;
use App\Support\Format;
use App\Support\JobClock;
use App\Workflow\RecipeDesk;
use Brick\Math\BigRational;
use Thicket\Measure\Quantity;
use Thicket\Measure\Reading;
use Thicket\Measure\Shown;
use Thicket\Measure\System;
use Thicket\Mix\Exception\Unmixable;
use Thicket\Mix\Purchase;
use Thicket\Situation\Prices;
use Thicket\Survey\Exchange\CsvFile;

/**
 * What the saved recipes of all open work need, less what is on the shelf: bought the cheapest way, with the kit beside
 * it.
 */
final readonly class Shopping
{
    public function __construct(
        private RecipeDesk $desk,
        private JobClock $clock,
        private MixResource $resource,
        private Shelf $shelf,
    ) {}

    /** @return array<string, mixed> */
    public function list(Crew $crew): array
    {
        $today = $this->clock->today($crew->timeZone());
        $total = BigRational::zero();
        $lines = [];
        foreach ($this->needs($crew) as ['card' => $card, 'need' => $need, 'jobs' => $jobs]) {
            $shelf = $this->shelf->left($crew, $card->id, $need);
            $packs = array_map(
                static fn(array $p): array => [
                    'size' => Reading::parse($p['size'], null)->quantity,
                    'price' => BigRational::of($p['price']),
                ],
                $card->packs ?? [],
            );
            try {
                $purchase = Purchase::of($need, $shelf, $packs);
                $total = $total->plus($purchase->cost);
            } catch (Unmixable) {
                $purchase = null;
            }
            $lines[] = [
                'cardId' => $card->id,
                'product' => $card->product,
                'jobs' => $jobs,
                'need' => Format::quantity($need),
                'onShelf' => Format::quantity($shelf),
                'purchase' => $purchase === null ? null : $this->resource->purchase($purchase),
                'stale' => $purchase !== null && self::isStale($purchase, $card, $today),
            ];
        }
        $kit = array_map(
            static fn(array $k): array => $k + [
                'stale' => Prices::isStale($k['on'] === null ? null : new \DateTimeImmutable($k['on']), $today),
            ],
            $crew->settings['kit'] ?? [],
        );
        $kitCost = array_reduce(
            $crew->settings['kit'] ?? [],
            static fn(BigRational $sum, array $k): BigRational => $sum->plus($k['amount']),
            BigRational::zero(),
        );
        $currency = $crew->currency() ?? 'USD';

        return [
            'currency' => $currency,
            'lines' => $lines,
            'cost' => Format::money($total),
            'kit' => $kit,
            'kitCost' => Format::money($kitCost),
        ];
    }

    /** The list with a row a container size; units in the header (rulings B37). */
    public function csv(Crew $crew): string
    {
        $list = $this->list($crew);
        $rows = [
            [
                'item',
                'needed',
                'on_shelf',
                'buy_count',
                'size',
                "price_{$list['currency']}",
                "cost_{$list['currency']}",
                'price_is_stale',
            ],
        ];
        foreach ($list['lines'] as $line) {
            $row = [$line['product'], self::plain($line['need']), self::plain($line['onShelf'])];
            $bought = $line['purchase']['bought'] ?? null;
            if ($bought === null) {
                $rows[] = [...$row, '', '', '', '', 'no size known'];
            }
            foreach ($bought ?? [] as $pack) {
                $rows[] = [
                    ...$row,
                    $pack['count'],
                    self::plain($pack['size']),
                    $pack['price'],
                    Format::money(BigRational::of($pack['price'])->multipliedBy($pack['count'])),
                    $line['stale'] ? 'yes' : 'no',
                ];
            }
        }
        foreach ($list['kit'] as $item) {
            $rows[] = [$item['item'], '', '', 1, '', $item['amount'], $item['amount'], $item['stale'] ? 'yes' : 'no'];
        }

        return CsvFile::written($rows);
    }

    /** @return list<array{card: LabelCard, need: Quantity, jobs: int}> by card, in order of product */
    private function needs(Crew $crew): array
    {
        $needs = [];
        $stands = Stand::query()
            ->where('closed_at', null)
            ->whereHas('patch.ground', fn($ground) => $ground->where('crew_id', $crew->id))
            ->whereHas('steps', fn($steps) => $steps->where('recipe_basis', '!=', null)->whereDoesntHave('records'))
            ->withTrail()
            ->get();
        foreach ($stands as $stand) {
            foreach ($stand->steps as $step) {
                if ($step->recipe_basis === null || $step->cardVersion === null || $step->records->isNotEmpty()) {
                    continue;
                }
                $recipe = $this->desk->solve($stand, $step);
                foreach ($step->cardVersions() as $n => $version) {
                    $product = $n === 0 ? $recipe->product() : $recipe->products[$n]->amount ?? null;
                    if ($product !== null) {
                        $key = $version->label_card_id . $product->dimension()->value;
                        $needs[$key] = [
                            'card' => $version->card,
                            'need' => isset($needs[$key]) ? $needs[$key]['need']->plus($product) : $product,
                            'jobs' => ($needs[$key]['jobs'] ?? 0) + 1,
                        ];
                    }
                }
            }
        }
        usort($needs, static fn(array $a, array $b): int => $a['card']->product <=> $b['card']->product);

        return $needs;
    }

    /** Whether a size that is bought has an old price. */
    private static function isStale(Purchase $purchase, LabelCard $card, \DateTimeImmutable $today): bool
    {
        foreach ($purchase->bought as $bought) {
            foreach ($card->packs ?? [] as $pack) {
                if (
                    Reading::parse($pack['size'], null)->quantity->equals($bought['size']) &&
                    Prices::isStale($pack['on'] === null ? null : new \DateTimeImmutable($pack['on']), $today)
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param array<string, mixed>|null $quantity as it crosses the wire */
    private static function plain(?array $quantity): string
    {
        return $quantity === null || !is_string($quantity['value'])
            ? ''
            : Shown::in(
                Quantity::of(
                    $quantity['value'],
                    \Thicket\Measure\Unit::from(is_string($quantity['unit']) ? $quantity['unit'] : ''),
                ),
                System::Metric,
            );
    }
}
