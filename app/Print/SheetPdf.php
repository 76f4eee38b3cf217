<?php

declare(strict_types=1);

namespace App\Print;

use App\Models\Sheet;
use App\Text\Sentences;
use Illuminate\Support\Facades\View;
use Thicket\Measure\System;

/** The job sheet on paper, from one HTML template. The snapshot alone is printed. */
final readonly class SheetPdf
{
    public function __construct(private Sentences $sentences) {}

    public function html(Sheet $sheet, string $units): string
    {
        $told = $sheet->told($this->sentences->locale());

        return View::file(resource_path('sheet.blade.php'), [
            'sheet' => $sheet,
            's' => $told,
            'units' => $units,
            'map' => self::map($told, $units),
        ])->render();
    }

    /** @param array<string, mixed> $snapshot older sheets have no map */
    private static function map(array $snapshot, string $units): ?string
    {
        $map = $snapshot['map'] ?? null;
        if (!is_array($map) || !is_array($map['patch'] ?? null) || !is_array($map['near'] ?? null)) {
            return null;
        }
        /**
         * @var array{
         *     patch: array{name: string, shape: array{type: string, coordinates: list<list<array{float, float}>>}},
         *     near: list<array{name: string, kind: string, shape: array{type: string, coordinates: list<mixed>}}>,
         * } $drawn as IssueSheet wrote it
         */
        $drawn = ['patch' => $map['patch'], 'near' => $map['near']];

        return SheetMap::svg($drawn, $units === 'metric' ? System::Metric : System::Us);
    }
}
