<?php

declare(strict_types=1);

namespace App\Print;

use App\Exceptions\Stopped;
use App\Text\Sentences;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/** HTML of our own templates to PDF, by WeasyPrint. */
final readonly class Paper
{
    private const TIME_LIMIT_SECONDS = 40;

    /** The rule by which every paper has our face; WeasyPrint reads it from the package itself. */
    public static function face(): string
    {
        $files = base_path('node_modules/@fontsource-variable/atkinson-hyperlegible-next/files');

        return "@font-face {\n    font-family: Hyper;\n" .
            "    src: url(\"file://{$files}/atkinson-hyperlegible-next-latin-wght-normal.woff2\");\n" .
            "    font-weight: 200 800;\n}";
    }

    /**
     * An amount on paper: as the crew reads it, the other system in brackets; rounded with an "about" where it is told
     * so.
     *
     * @param array<string, mixed>|null $quantity as it stands in a snapshot, with shown
     */
    public static function both(?array $quantity, string $units, string $none = ''): string
    {
        $told = self::told($quantity, $units);
        if ($told === null) {
            return $none;
        }
        $amount = self::inBoth($told, self::told($quantity, $units === 'metric' ? 'us' : 'metric'));

        return $told === ($quantity['shown'][$units] ?? null)
            ? $amount
            : app(Sentences::class)->say('told.about', ['figure' => $amount]);
    }

    /**
     * What something is filled to: the figure alone, as it is looked for on a wall.
     *
     * @param array<string, mixed>|null $quantity
     */
    public static function mark(?array $quantity, string $units): string
    {
        return self::inBoth(
            self::told($quantity, $units) ?? '?',
            self::told($quantity, $units === 'metric' ? 'us' : 'metric'),
        );
    }

    /** @param array<string, mixed>|null $quantity */
    private static function told(?array $quantity, string $units): ?string
    {
        $told = $quantity['told'][$units] ?? ($quantity['shown'][$units] ?? null);

        return is_string($told) && $told !== '' ? $told : null;
    }

    private static function inBoth(string $own, ?string $other): string
    {
        return $own . ($other === null || $other === $own ? '' : " ({$other})");
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
