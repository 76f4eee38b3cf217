<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;

/**
 * One sum of handbook 3 as data: its figures, how they hang together, and the stated directions it is solved in
 * (core/data/sums.yaml).
 */
final readonly class SumTable
{
    public function __construct(public Node $data) {}

    public function id(): string
    {
        return $this->data->string('id');
    }

    /** @return list<string> */
    public function fields(): array
    {
        return array_map(strval(...), array_keys($this->data->node('fields')->data));
    }

    public function has(string $field): bool
    {
        return $this->data->node('fields')->has($field);
    }

    /** @return list<Dimension> what a figure may be measured in */
    public function kinds(string $field): array
    {
        return array_map(Dimension::from(...), $this->field($field)->strings('kinds'));
    }

    /** Whether it is typed and told as the depth of an even layer: so much on each area. */
    public function isLayer(string $field): bool
    {
        return $this->field($field)->bool('layer');
    }

    /** Whether people type it: a derived figure is only ever told. */
    public function isDerived(string $field): bool
    {
        return $this->field($field)->bool('derived');
    }

    public function isWhole(string $field): bool
    {
        return $this->field($field)->stringOr('whole', '') === 'down';
    }

    /** A part of a sum that takes no room anybody reckons, told in another kind: a dry product in a tank. */
    public function takesNoRoom(string $field): bool
    {
        return $this->field($field)->bool('takesNoRoom');
    }

    /** The figure by which one kind of amount turns into another: what a litre of the product holds or weighs. */
    public function content(): string
    {
        return $this->data->stringOr('content', 'content');
    }

    /**
     * The figure that tells what a litre weighs, by which a share by weight is turned into what the sum goes by; null
     * where nothing does.
     */
    public function weightFor(string $field): ?string
    {
        $own = $this->field($field)->stringOr('byWeight', '');

        return $own !== '' ? $own : ($this->isStrength($field) && $this->has('mixWeighs') ? 'mixWeighs' : null);
    }

    /** Whether it only tells what a litre weighs. */
    public function isWeight(string $field): bool
    {
        return in_array($field, array_map($this->weightFor(...), $this->fields()), true);
    }

    /** How much product a mix holds, by volume or by weight a volume. */
    public function isStrength(string $field): bool
    {
        return array_intersect(['product-share', 'mass-per-volume'], $this->field($field)->strings('kinds')) === [
            'product-share',
            'mass-per-volume',
        ];
    }

    /** Whether nought means something here; else a nought is a slip. */
    public function mayBeNought(string $field): bool
    {
        return $this->field($field)->bool('nought');
    }

    /** Counted, never a part of one. */
    public function isCounted(string $field): bool
    {
        return $this->field($field)->bool('counted') || $this->isWhole($field);
    }

    /** @return list<list<string>> the first is the product of the rest */
    public function products(): array
    {
        return $this->lists('products');
    }

    /** @return list<list<string>> the first is the sum of the rest */
    public function sums(): array
    {
        return $this->lists('sums');
    }

    /** @return array<string, string> field => the field that caps it */
    public function most(): array
    {
        return $this->data->stringMap('most');
    }

    /** @return array<string, string> field => the field that it should not fall below */
    public function least(): array
    {
        return $this->data->has('least') ? $this->data->stringMap('least') : [];
    }

    /** @return list<array{known: list<string>, gives: list<string>}> */
    public function ways(): array
    {
        return array_values(
            array_map(
                static fn(Node $way): array => ['known' => $way->strings('known'), 'gives' => $way->strings('gives')],
                $this->data->nodes('ways'),
            ),
        );
    }

    /**
     * What is taken where nobody says otherwise.
     *
     * @param array<string, Quantity> $given
     */
    public function default(string $field, array $given): ?Quantity
    {
        $node = $this->field($field);
        $like = $given[$node->stringOr('defaultZeroOf', '')] ?? null;
        if ($like !== null) {
            return Quantity::zero($like->unit);
        }
        $unless = $node->has('defaultUnless') ? $node->strings('defaultUnless') : [];
        foreach ($given as $one) {
            if (in_array($one->dimension()->value, $unless, true)) {
                return null;
            }
        }

        return $node->quantity('default');
    }

    private function field(string $field): Node
    {
        return $this->data->node('fields')->node($field);
    }

    /** @return list<list<string>> */
    private function lists(string $key): array
    {
        $lists = [];
        foreach (is_array($this->data->data[$key] ?? null) ? $this->data->data[$key] : [] as $list) {
            $lists[] = array_values(array_filter(is_array($list) ? $list : [], is_string(...)));
        }

        return $lists;
    }
}
