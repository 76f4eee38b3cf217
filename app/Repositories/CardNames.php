<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Crew;
use App\Models\LabelCard;
use App\Text\Sentences;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\NameSearch;

/** Label cards by any name they go or went by: product, former names, registration, actives. */
final readonly class CardNames
{
    public function __construct(private Catalogue $catalogue, private Sentences $sentences) {}

    /**
     * @return list<array{id: string, product: string, detail: string}> best first; detail: the name that fitted, where
     * it is not the product's
     */
    public function called(Crew $crew, string $typed): array
    {
        $found = [];
        foreach (LabelCard::query()->where('crew_id', $crew->id)->with('versions')->get() as $card) {
            $body = $card->versions->first()->body ?? [];
            $texts = static fn(mixed $of): array => array_values(
                array_filter(is_array($of) ? $of : [], is_string(...)),
            );
            $actives = array_filter(
                $texts(array_column(is_array($body['actives'] ?? null) ? $body['actives'] : [], 'active')),
                $this->catalogue->hasActive(...),
            );
            $first = array_map(fn(string $id): string => $this->catalogue->active($id)->name(), $actives);
            $names = array_map($this->sentences->called(...), $first);
            $registration = $texts([$body['registration'] ?? null]);
            $best = NameSearch::closest($typed, [
                $card->product,
                ...$texts($body['formerNames'] ?? []),
                ...$registration,
                ...$names,
                ...$first,
            ]);
            if ($best !== null) {
                $said = $best['name'] === $card->product ? $names : [$best['name']];
                $found[] = [
                    'id' => $card->id,
                    'product' => $card->product,
                    'detail' => implode(', ', $said),
                    'closeness' => $best['closeness'],
                ];
            }
        }
        usort(
            $found,
            static fn(array $a, array $b): int => [$a['closeness'], $a['product']] <=> [$b['closeness'], $b['product']],
        );

        return array_map(
            static fn(array $one): array => [
                'id' => $one['id'],
                'product' => $one['product'],
                'detail' => $one['detail'],
            ],
            $found,
        );
    }
}
