<?php

declare(strict_types=1);

namespace App\Text;

use App\Http\Stopped;
use App\Models\Sheet;
use Illuminate\Support\Facades\View;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;
use Thicket\Measure\System;

/** The job sheet on paper, by WeasyPrint from one HTML template. The snapshot alone is printed. */
final readonly class SheetPdf
{
    private const TIME_LIMIT_SECONDS = 40;

    public function render(Sheet $sheet, string $units): string
    {
        $html = View::file(resource_path('sheet.blade.php'), ['sheet' => $sheet, 's' => $sheet->snapshot, 'units' => $units, 'map' => self::map($sheet->snapshot, $units), 'fonts' => base_path('node_modules/@fontsource-variable/atkinson-hyperlegible-next/files')])->render();
        $process = new Process(['weasyprint', '--encoding', 'utf-8', '-', '-'], null, ['HOME' => sys_get_temp_dir()], $html, self::TIME_LIMIT_SECONDS);
        try {
            $process->run();
        } catch (ProcessTimedOutException) {
            throw new Stopped(503, 'The PDF took too long; try again.');
        }
        if (!$process->isSuccessful() || !str_starts_with($process->getOutput(), '%PDF')) {
            report(new \RuntimeException('WeasyPrint: ' . mb_substr($process->getErrorOutput(), 0, 500)));
            throw new Stopped(503, 'The PDF could not be made; the sheet on the screen is complete.');
        }

        return $process->getOutput();
    }

    /** @param array<string, mixed> $snapshot older sheets have no map */
    private static function map(array $snapshot, string $units): ?string
    {
        $map = $snapshot['map'] ?? null;

        return is_array($map) && is_array($map['patch'] ?? null) && is_array($map['near'] ?? null) ? SheetMap::svg(['patch' => $map['patch'], 'near' => $map['near']], $units === 'metric' ? System::Metric : System::Us) : null;
    }
}
