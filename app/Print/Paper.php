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

    /** The rules of an A4 page: our face, and a foot with these words and the number of the page. */
    public static function page(string $foot): string
    {
        $small = 'font: 8pt Hyper; color: #44524a;';

        return self::face() .
            "\n@page {\n    size: A4;\n    margin: 14mm 14mm 16mm;\n" .
            '    @bottom-left { content: ' .
            self::cssText($foot) .
            "; {$small} }\n" .
            "    @bottom-right { content: counter(page) \" / \" counter(pages); {$small} }\n}";
    }

    /** How the texts and tables of a report look. */
    public static function report(): string
    {
        return (string) file_get_contents(resource_path('report.css'));
    }

    /** A text within a rule: nothing of it ends the text, the rule or the sheet of rules. */
    private static function cssText(string $text): string
    {
        return '"' .
            preg_replace_callback(
                '/[^\p{L}\p{N} .,;:·()-]/u',
                static fn(array $m): string => sprintf('\\%X ', mb_ord($m[0])),
                $text,
            ) .
            '"';
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
