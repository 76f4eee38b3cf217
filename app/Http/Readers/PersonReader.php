<?php

declare(strict_types=1);

namespace App\Http\Readers;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;

/** Somebody of the crew, with licence and clearances, to be kept. */
final readonly class PersonReader
{
    public function __construct(private Catalogue $catalogue) {}

    /** @return array<string, mixed> */
    public function read(Fields $in): array
    {
        $licence = $in->textOrNull('licence', 60);
        $until = $in->dayOrNull('licenceUntil');
        if ($licence !== null && $until === null) {
            $in->fault('licenceUntil', 'Until which day does the licence hold?');
        }

        return [
            'name' => $in->text('name', 120),
            'licence' => $licence,
            'licence_class' => $in->textOrNull('licenceClass', 80),
            'licence_until' => $until?->format('Y-m-d'),
            'clearances' => $in->strings('clearances', $this->catalogue->clearances()),
        ];
    }
}
