<?php

declare(strict_types=1);

namespace App\Text;

use Thicket\Calendar\MonthDay;
use Thicket\Catalogue\LookTest;
use Thicket\Measure\Quantity;
use Thicket\Measure\Shown;
use Thicket\Measure\System;
use Thicket\Measure\Unit;

/**
 * Turns codes and values into sentences (rulings B14): ICU messages in lang/LOCALE/*.json, read only here. A missing
 * sentence is a bug; tests find it before people do.
 */
final class Sentences
{
    /** Placeholders that hold the name of a plant or an active. */
    private const CALLED = ['active', 'by', 'could', 'id', 'other', 'plant', 'sighting', 'stand', 'step'];
    /** Placeholders that hold what was measured or estimated on the ground. */
    private const MEASURED = ['distance', 'height', 'area', 'reading', 'wind'];
    /** Placeholders that hold what a label, a rule or a school asks. */
    private const LIMITS = ['limit', 'buffer', 'least', 'most', 'depth', 'apart', 'care', 'reach'];

    /** @var array<string, array<string, string>> by locale */
    private array $messages = [];
    /** @var array<string, \MessageFormatter> by locale and code */
    private array $formatters = [];
    /** @var array<string, \IntlDateFormatter> by locale and code of their pattern */
    private array $dateFormatters = [];
    /** @var array<string, string> days written already, by locale, code of their pattern, and time */
    private array $dates = [];

    /**
     * @param string|null $compiled what {@see compile()} wrote, read in place of the files of words; %s for the locale
     * @param \Closure(string): void|null $missed told of a code without a sentence, which is then shown by its last
     *     part; without it, such a code stops the answer
     */
    public function __construct(
        private readonly string $directory,
        private string $locale,
        private readonly ?string $compiled = null,
        private readonly ?\Closure $missed = null,
    ) {}

    public function locale(): string
    {
        return $this->locale;
    }

    /** From now on in that language; in the first one where it is none of ours. */
    public function speak(string $locale): void
    {
        $this->locale = in_array($locale, Languages::all(), true) ? $locale : Languages::FIRST;
    }

    /**
     * Something said to somebody else, in their language.
     *
     * @template T
     *
     * @param \Closure(): T $say
     *
     * @return T
     */
    public function inLocale(string $locale, \Closure $say): mixed
    {
        $own = $this->locale;
        $this->speak($locale);
        try {
            return $say();
        } finally {
            $this->locale = $own;
        }
    }

    /** Writes all words of the locale as one PHP file, which the opcache keeps in memory. */
    public function compile(string $target): void
    {
        $temporary = tempnam(dirname($target), 'words') ?: throw new \RuntimeException("Cannot write {$target}.");
        file_put_contents($temporary, "<?php\n\nreturn " . var_export($this->messages($this->locale), true) . ";\n");
        chmod($temporary, 0o644);
        rename($temporary, $target);
    }

    public function has(string $code): bool
    {
        return $this->pattern($code) !== null;
    }

    /** A fixed name without values. */
    public function name(string $code): string
    {
        return $this->format($code, []);
    }

    /**
     * A sentence whose values are words and counts, with no figure in it that has two systems.
     *
     * @param array<string, int|string> $values
     */
    public function say(string $code, array $values): string
    {
        return $this->format($code, $values);
    }

    /**
     * A sentence of one plant (lang/LOCALE/species.json), or '' where nothing is written: origin, why, by-hand,
     * look-first, instead.
     */
    public function ofPlant(string $species, string $what): string
    {
        return $this->has("plant.{$species}.{$what}") ? $this->name("plant.{$species}.{$what}") : '';
    }

    /**
     * A plant or an active in the language spoken, or several of them, by their first names in the catalogue; those
     * names where the language has none (lang/LOCALE/called.json).
     */
    public function called(string $name): string
    {
        $parts = preg_split('/(, | \+ )/', $name, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [$name];

        return implode('', array_map(fn(string $one): string => $this->own("called.{$one}") ?? $one, $parts));
    }

    /** What the language spoken itself says under a code, as it is written; null where it says nothing. */
    public function own(string $code): ?string
    {
        return $this->messages($this->locale)[$code] ?? null;
    }

    /** @return array<string, string> all that the language spoken says under that beginning, by the rest of the code */
    public function ownUnder(string $beginning): array
    {
        $under = [];
        foreach ($this->messages($this->locale) as $code => $said) {
            str_starts_with($code, $beginning) && ($under[substr($code, strlen($beginning))] = $said);
        }

        return $under;
    }

    /**
     * Rows by their names as the language orders them: an "Á" stands with the "A".
     *
     * @template T of array{name: string, ...}
     *
     * @param array<T> $rows
     *
     * @return list<T>
     */
    public function inOrder(array $rows): array
    {
        $order = new \Collator($this->region());
        usort($rows, static fn(array $a, array $b): int => (int) $order->compare($a['name'], $b['name']));

        return $rows;
    }

    /** A unit as people write it; the table of coefficients has some that nothing is measured in. */
    public function unit(string $code): string
    {
        return Unit::tryFrom($code)?->label() ?? $code;
    }

    /** A figure of the table of coefficients, by its path there. */
    public function coefficient(string $path): string
    {
        [$group, $of] = [...explode('/', $path), ''];

        return match (true) {
            in_array($group, ['minutesPerStem', 'minutesPerCut'], true) => $this->name("method.{$of}"),
            $this->has("figure.by.{$group}") => $this->both("figure.by.{$group}", [
                'method' => $this->name("method.{$of}"),
            ])['us'],
            default => $this->name('figure.' . str_replace('/', '.', $path)),
        };
    }

    /** The question of a test that parts two look-alikes (lang/LOCALE/lookalikes.json). */
    public function lookTest(LookTest $test): string
    {
        return $this->name("look.{$test->key()}");
    }

    /**
     * @param array<string, Quantity|MonthDay|\DateTimeImmutable|int|string> $values
     *
     * @return array{us: string, metric: string}
     */
    public function both(string $code, array $values = []): array
    {
        return ['us' => $this->in($code, $values, System::Us), 'metric' => $this->in($code, $values, System::Metric)];
    }

    /**
     * Like both(), for a sentence that may begin with a value: its first letter is a capital.
     *
     * @param array<string, Quantity|MonthDay|\DateTimeImmutable|int|string> $values
     *
     * @return array{us: string, metric: string}
     */
    public function sentence(string $code, array $values): array
    {
        return array_map(
            static fn(string $text): string => mb_strtoupper(mb_substr($text, 0, 1)) . mb_substr($text, 1),
            $this->both($code, $values),
        );
    }

    /** @param array<string, Quantity|MonthDay|\DateTimeImmutable|int|string> $values */
    public function in(string $code, array $values, System $system): string
    {
        $shown = [];
        $limits = array_values(
            array_filter(
                array_intersect_key($values, array_flip(self::LIMITS)),
                static fn(mixed $value): bool => $value instanceof Quantity,
            ),
        );
        foreach ($values as $name => $value) {
            $shown[$name] = match (true) {
                $value instanceof Quantity => $this->figure($name, $value, $system, $limits),
                $value instanceof \DateTimeImmutable => $this->day($value),
                $value instanceof MonthDay => $this->date('language.month-day', $value->inYear(2000)),
                is_string($value) => $this->word($name, $value),
                default => $value,
            };
        }

        return $this->format($code, $shown);
    }

    /**
     * What was measured is told as people say it; a limit keeps the unit that it was written in beside it.
     *
     * @param list<Quantity> $limits of the same sentence
     */
    private function figure(string $name, Quantity $value, System $system, array $limits): string
    {
        if (in_array($name, self::LIMITS, true)) {
            return Shown::asWritten($value, $system);
        }
        $told = in_array($name, self::MEASURED, true) ? Shown::told($value, $system, $limits) : null;

        return match (true) {
            $told === null => Shown::in($value, $system),
            $told['about'] => $this->format('told.about', ['figure' => $told['text']]),
            default => $told['text'],
        };
    }

    /** Name of where a sentence rests: "Handbook 3", "house rule", "your label card". */
    public function source(string $source): string
    {
        $first = explode('-', explode(',', $source)[0]);
        $name = $this->name('source.' . ($first[0] === 'label' ? 'label-card' : $first[0]));

        return $first[0] === 'handbook' ? $name . ' ' . ($first[1] ?? '') : $name;
    }

    /** "Thu 3 Sep", with the year when it is not the one given. */
    public function day(\DateTimeImmutable $day): string
    {
        return $this->date('language.day', $day);
    }

    private function date(string $code, \DateTimeImmutable $day): string
    {
        $kind = "{$this->locale} {$code}";
        $this->dateFormatters[$kind] ??= new \IntlDateFormatter(
            $this->region(),
            timezone: 'UTC',
            pattern: $this->pattern($code) ?? $this->instead($code),
        );

        return $this->dates["{$kind} {$day->getTimestamp()}"] ??= (string) $this->dateFormatters[$kind]->format($day);
    }

    /** Whose figures and days the language takes: Spanish writes 2.5 as its readers here do. */
    private function region(): string
    {
        return $this->own('language.region') ?? $this->locale;
    }

    /** Values that are codes (a habit, a bark, a tool) read as words; names of people and plants stay as they are. */
    private function word(string $name, string $value): string
    {
        $kind =
            [
                'habit' => 'habit',
                'stage' => 'stage',
                'bark' => 'bark',
                'root' => 'root',
                'why' => 'why',
                'tool' => 'tool',
                'site' => 'site',
                'carrier' => 'carrier',
                'moisture' => 'moisture',
                'fact' => 'fact',
                'school' => 'school',
                'choice' => 'choice',
                'other' => 'choice',
                'crop' => 'crop',
                'cover' => 'cover-kind',
            ][$name] ?? null;

        $word = $kind === null ? null : $this->pattern("{$kind}.{$value}");

        return $word ?? (in_array($name, self::CALLED, true) ? $this->called($value) : $value);
    }

    /** @param array<string, mixed> $values */
    private function format(string $code, array $values): string
    {
        $pattern = $this->pattern($code) ?? $this->instead($code);
        if (strpbrk($pattern, "{'") === false) {
            return $pattern;
        }
        $this->formatters["{$this->locale} {$code}"] ??= new \MessageFormatter($this->region(), $pattern);
        $text = $this->formatters["{$this->locale} {$code}"]->format($values);
        if ($text === false) {
            throw new \LogicException(
                "lang/{$this->locale}: '{$code}' cannot be formatted: " . intl_get_error_message(),
            );
        }

        // a fact may name a keeper inside its own sentence
        return str_contains($text, '{')
            ? (string) preg_replace_callback(
                '/\{(\w+)\}/',
                static fn(array $m): string => is_string($values[$m[1]] ?? null) ? $values[$m[1]] : $m[0],
                $text,
            )
            : $text;
    }

    /** In the language spoken; what is not said there yet, in the first one. */
    private function pattern(string $code): ?string
    {
        return $this->messages($this->locale)[$code] ?? ($this->messages(Languages::FIRST)[$code] ?? null);
    }

    /** One sentence that nobody wrote must not take the rest of a page with it. */
    private function instead(string $code): string
    {
        $fault = "lang/{$this->locale} has no sentence for '{$code}'.";
        if ($this->missed === null) {
            throw new \LogicException($fault);
        }
        ($this->missed)($fault);

        return strtr(substr((string) strrchr(".{$code}", '.'), 1), '-', ' ');
    }

    /** @return array<string, string> */
    private function messages(string $locale): array
    {
        return $this->messages[$locale] ??= $this->read($locale);
    }

    /** @return array<string, string> */
    private function read(string $locale): array
    {
        $compiled = $this->compiled === null ? null : sprintf($this->compiled, $locale);
        if ($compiled !== null && is_file($compiled)) {
            /** @var array<string, string> */
            return require $compiled;
        }
        $messages = [];
        foreach (glob("{$this->directory}/{$locale}/*.json") ?: [] as $file) {
            /** @var array<string, string> $read */
            $read = json_decode((string) file_get_contents($file), true, 8, JSON_THROW_ON_ERROR);
            $messages += $read;
        }

        return $messages;
    }
}
