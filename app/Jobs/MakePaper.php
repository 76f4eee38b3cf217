<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Paper as Row;
use App\Print\Paper;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/** Makes one PDF. As many are made at once as there are workers of the queue: one, unless somebody starts more. */
final class MakePaper implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 2;

    /** Seconds; WeasyPrint itself is stopped before. */
    public int $timeout = 60;

    public function __construct(public readonly string $paperId) {}

    public function handle(Paper $paper): void
    {
        $row = Row::query()->find($this->paperId);
        if ($row === null || !in_array($row->state, Row::OPEN, true)) {
            return;
        }
        $row->update(['state' => 'making']);
        $pdf = $paper->pdf((string) file_get_contents($row->file('html')));
        $part = $row->file('part');
        if (file_put_contents($part, $pdf) !== strlen($pdf) || !rename($part, $row->file('pdf'))) {
            throw new \RuntimeException('The PDF could not be written.');
        }
        $row->update(['state' => 'ready']);
    }

    public function failed(): void
    {
        Row::query()
            ->whereKey($this->paperId)
            ->update(['state' => 'failed']);
    }
}
