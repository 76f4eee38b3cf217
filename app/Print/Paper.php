<?php

declare(strict_types=1);

namespace App\Print;

use App\Exceptions\Stopped;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/** HTML of our own templates to PDF, by WeasyPrint. */
final readonly class Paper
{
    private const TIME_LIMIT_SECONDS = 40;

    public static function fonts(): string
    {
        return base_path('node_modules/@fontsource-variable/atkinson-hyperlegible-next/files');
    }

    /**
     * An amount on paper: as the crew reads it, the other system in brackets.
     *
     * @param array<string, mixed>|null $quantity as it stands in a snapshot, with shown
     */
    public static function both(?array $quantity, string $units, string $none = ''): string
    {
        $shown = $quantity['shown'] ?? null;
        if (!is_array($shown) || !is_string($shown[$units] ?? null)) {
            return $none;
        }
        $other = $shown[$units === 'metric' ? 'us' : 'metric'] ?? '';

        return $shown[$units] . (is_string($other) && $other !== '' && $other !== $shown[$units] ? " ({$other})" : '');
    }

    /** @throws Stopped 503 where it cannot be made; what is on the screen is complete */
    public function pdf(string $html): string
    {
        $process = new Process(
            ['weasyprint', '--encoding', 'utf-8', '-', '-'],
            null,
            ['HOME' => sys_get_temp_dir()],
            $html,
            self::TIME_LIMIT_SECONDS,
        );
        try {
            $process->run();
        } catch (ProcessTimedOutException) {
            throw new Stopped(503, 'The PDF took too long; try again.');
        }
        if (!$process->isSuccessful() || !str_starts_with($process->getOutput(), '%PDF')) {
            report(new \RuntimeException('WeasyPrint: ' . mb_substr($process->getErrorOutput(), 0, 500)));
            throw new Stopped(503, 'The PDF could not be made; what is on the screen is complete.');
        }

        return $process->getOutput();
    }
}
