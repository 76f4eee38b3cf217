<?php

declare(strict_types=1);

namespace App\Print;

use App\Exceptions\Stopped;
use App\Models\Crew;
use App\Models\Sheet;
use App\Text\Languages;
use App\Text\Sentences;
use Illuminate\Support\Facades\View;

/**
 * What is hung up at every way in (rulings J9, J19). Before the record is signed nobody knows when the work ends: the
 * time is left to be written in.
 */
final readonly class ReentrySignPdf
{
    public function __construct(private Sentences $sentences) {}

    /** @throws Stopped 409 where nothing is put out */
    public function html(Sheet $sheet, Crew $crew): string
    {
        $s = $sheet->told($this->sentences->locale());
        if (($s['product'] ?? null) === null) {
            throw new Stopped(409, 'This sheet puts no product out: there is nothing to keep out of.');
        }
        $hours = ($s['strictest'] ?? $s['product'])['reentryHours'] ?? null;

        return View::file(resource_path('re-entry-sign.blade.php'), [
            'sheet' => $sheet,
            's' => $s,
            'products' => array_values(array_filter([$s['product'], ...$s['partners'] ?? []])),
            'hours' => is_int($hours) ? $hours : null,
            'until' => is_int($hours) ? $this->until($sheet, $hours) : null,
            'crew' => $crew->name,
            'others' => $this->inOtherLanguages(),
            'face' => Paper::face(),
        ])->render();
    }

    /**
     * Whoever comes to the way in may read another language than whoever printed the sign.
     *
     * @return list<array{keepOut: string, why: string}>
     */
    private function inOtherLanguages(): array
    {
        return array_map(
            fn(string $locale): array => $this->sentences->inLocale(
                $locale,
                fn(): array => [
                    'keepOut' => $this->sentences->name('paper.keep-out'),
                    'why' => $this->sentences->name('paper.keep-out-why'),
                ],
            ),
            array_values(array_diff(Languages::all(), [$this->sentences->locale()])),
        );
    }

    private function until(Sheet $sheet, int $hours): ?string
    {
        $step = $sheet->steps->first();
        $record = $step?->records->firstWhere('sheet_id', $sheet->id);
        $stop = $record?->content()['stop'] ?? null;
        if ($step === null || $record === null || !is_string($stop)) {
            return null;
        }
        // by the clock of the place, over its own change of hours
        $end = (new \DateTimeImmutable(
            "{$record->worked_on->format('Y-m-d')} {$stop}",
            new \DateTimeZone($step->patch->ground->time_zone),
        ))->modify("+{$hours} hours");

        return "{$this->sentences->day($end)}, {$end->format('H:i')}";
    }
}
