<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/**
 * A label card of a common generic product to begin with (core/data/card-templates.yaml): what is in it, and how it is
 * usually given. Everything that a label decides is left to the label.
 */
final readonly class CardTemplate
{
    public function __construct(private Node $data) {}

    public function product(): string
    {
        return $this->data->string('product');
    }

    /**
     * @param string $registration what stands where the number of a label is copied to
     *
     * @return array<string, mixed> as LabelCard reads it
     */
    public function body(string $registration): array
    {
        return [
            'product' => $this->product(),
            'registration' => $registration,
            'formulation' => $this->data->string('formulation'),
            'actives' => [['active' => $this->data->string('active'), 'amount' => $this->data->string('amount')]],
            'carriers' => $this->data->strings('carriers'),
            'methods' => array_map(
                static fn(string $method): array => ['method' => $method],
                $this->data->strings('methods'),
            ),
        ];
    }
}
