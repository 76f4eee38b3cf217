<?php

declare(strict_types=1);

namespace Thicket\Input;

use Thicket\Calendar\Day;
use Thicket\Calendar\Exception\UnreadableDate;
use Thicket\Measure\Dimension;
use Thicket\Measure\Exception\UnitMismatch;
use Thicket\Measure\Exception\UnreadableQuantity;
use Thicket\Measure\Gallon;
use Thicket\Measure\Quantity;
use Thicket\Measure\Reading;
use Thicket\Measure\Shown;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;

/**
 * Reads one JSON object from outside (API or console): every getter returns a value of the wanted kind or notes a
 * fault at the field's pointer and returns null. Unknown fields are faults too, so a misspelt one is never ignored.
 * Call {@see Faults::throwIfAny()} before using what was read.
 */
final class Fields
{
    private const LONGEST_TEXT = 5000;
    private const USUAL_TEXT = 200;

    /** Signs that no text of people holds: control characters, and such as turn the direction of what follows. */
    private const UNSEEN = '/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]|\xE2\x80[\xAA-\xAE]|\xE2\x81[\xA6-\xA9]/';

    /** What people call a field whose name says little. */
    private const CALLED = [
        'q' => 'The search',
        'to' => 'The borrower',
        'on' => 'The day',
        'at' => 'The time',
        'id' => 'The id',
        'as' => 'What it becomes',
        'from' => 'The lower limit',
        'below' => 'The upper limit',
        'how' => 'How it was made',
    ];

    /** @var array<string, true> */
    private array $seen = [];

    /** @param array<array-key, mixed> $data */
    private function __construct(
        private readonly array $data,
        public readonly string $pointer,
        public readonly Faults $faults,
        private readonly Gallon $gallon,
    ) {}

    public static function of(mixed $data, Faults $faults, Gallon $gallon = Gallon::Us, string $pointer = ''): self
    {
        if (!is_array($data) || ($data !== [] && array_is_list($data))) {
            $faults->add($pointer, 'Give an object with named fields.');
            $data = [];
        }

        return new self($data, $pointer, $faults, $gallon);
    }

    public function has(string $name): bool
    {
        return array_key_exists($name, $this->data) && $this->data[$name] !== null;
    }

    public function fault(string $name, string $message): null
    {
        $this->faults->add("{$this->pointer}/{$name}", $message);

        return null;
    }

    public function text(string $name, int $longest = self::USUAL_TEXT): ?string
    {
        return $this->written($name, $this->take($name), $longest);
    }

    /** A file that came as a text: only its size is looked at here. */
    public function document(string $name, int $mostBytes): ?string
    {
        $value = $this->take($name);
        if (!is_string($value) || trim($value) === '') {
            return $this->fault($name, 'Bring the file as a text.');
        }

        return strlen($value) <= $mostBytes
            ? $value
            : $this->fault($name, 'This file is larger than ' . $mostBytes / 1_000_000 . ' MB; split it.');
    }

    /** A password, as it was typed: nothing is cut off it. */
    public function secret(string $name, int $longest = 1000): ?string
    {
        $value = $this->take($name);

        return is_string($value) && $value !== '' && mb_check_encoding($value, 'UTF-8') && strlen($value) <= $longest
            ? $value
            : $this->fault(
                $name,
                $value === null || $value === ''
                    ? 'Give the password.'
                    : "Give the password as a text of at most {$longest} letters.",
            );
    }

    public function textOrNull(string $name, int $longest = self::USUAL_TEXT): ?string
    {
        return $this->has($name) && $this->data[$name] !== '' ? $this->text($name, $longest) : $this->absent($name);
    }

    /** @param list<string> $choices */
    public function choice(string $name, array $choices): ?string
    {
        $value = $this->take($name);
        if (!is_string($value) || !in_array($value, $choices, true)) {
            return $this->fault(
                $name,
                self::called($name) .
                    ($value === null ? ' is needed' : ' is not one of the choices') .
                    ': ' .
                    implode(', ', $choices) .
                    '.',
            );
        }

        return $value;
    }

    /** @param list<string> $choices */
    public function choiceOrNull(string $name, array $choices): ?string
    {
        return $this->has($name) ? $this->choice($name, $choices) : $this->absent($name);
    }

    public function bool(string $name, bool $default): bool
    {
        $value = $this->take($name) ?? $default;
        if (!is_bool($value)) {
            $this->fault($name, self::called($name) . ': say true or false.');

            return $default;
        }

        return $value;
    }

    public function int(string $name, int $least, int $most, ?int $default = null): ?int
    {
        $value = $this->take($name) ?? $default;
        if (is_string($value) && preg_match('/^\d{1,9}$/D', $value) === 1) {
            $value = (int) $value;
        }

        return is_int($value) && $value >= $least && $value <= $most
            ? $value
            : $this->fault($name, self::called($name) . ": give a whole number from {$least} to {$most}.");
    }

    public function intOrNull(string $name, int $least, int $most): ?int
    {
        return $this->has($name) ? $this->int($name, $least, $most) : $this->absent($name);
    }

    public function uuid(string $name): ?string
    {
        $value = $this->take($name);

        // of versions from 8 on the database refuses some
        return is_string($value) &&
            preg_match('/^[0-9a-f]{8}-[0-9a-f]{4}-[0-7][0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}$/D', $value) === 1
            ? $value
            : $this->fault($name, self::called($name) . ': give an id such as 0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c31.');
    }

    public function uuidOrNull(string $name): ?string
    {
        return $this->has($name) ? $this->uuid($name) : $this->absent($name);
    }

    /** A decimal as a string or whole number; a bare number with a fraction is refused (rulings B5). */
    public function decimal(string $name, string $least, string $most): ?string
    {
        $value = $this->take($name);
        $value = is_int($value) ? (string) $value : $value;
        if (!is_string($value) || preg_match('/^-?\d{1,12}(\.\d{1,12})?$/D', $value) !== 1) {
            return $this->fault($name, self::called($name) . ': give a decimal as a quoted text, such as "44.1".');
        }

        return (float) $value >= (float) $least && (float) $value <= (float) $most
            ? $value
            : $this->fault($name, self::called($name) . ": give a number from {$least} to {$most}.");
    }

    public function day(string $name): ?\DateTimeImmutable
    {
        $value = $this->take($name);
        try {
            return is_string($value) ? Day::parse($value) : throw UnreadableDate::day('');
        } catch (UnreadableDate $e) {
            return $this->fault(
                $name,
                ($value === null ? self::called($name) . ' is needed. ' : '') . $e->getMessage(),
            );
        }
    }

    /** A day that is over or goes on: what people say was done, seen or bought. */
    public function pastDay(string $name, \DateTimeImmutable $today): ?\DateTimeImmutable
    {
        $day = $this->day($name);

        return $day !== null && $day > $today
            ? $this->fault($name, 'This day is still to come; give one up to ' . $today->format('Y-m-d') . '.')
            : $day;
    }

    public function pastDayOrNull(string $name, \DateTimeImmutable $today): ?\DateTimeImmutable
    {
        return $this->has($name) ? $this->pastDay($name, $today) : $this->absent($name);
    }

    public function dayOrNull(string $name): ?\DateTimeImmutable
    {
        return $this->has($name) ? $this->day($name) : $this->absent($name);
    }

    /** A moment with its offset from UTC (RFC 3339). */
    public function moment(string $name): ?\DateTimeImmutable
    {
        $value = $this->take($name);
        $ok =
            is_string($value) &&
            preg_match('/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d{1,6})?)?(Z|[+-]\d{2}:\d{2})$/D', $value) === 1;
        $moment = $ok && is_string($value) ? date_create_immutable($value) : false;

        return $moment !== false
            ? $moment
            : $this->fault($name, UnreadableDate::time(is_string($value) ? $value : '')->getMessage());
    }

    public function momentOrNull(string $name): ?\DateTimeImmutable
    {
        return $this->has($name) ? $this->moment($name) : $this->absent($name);
    }

    /** Either {"value": "1.5", "unit": "in"} or {"typed": "1 1/2 in"} or the bare typed string (rulings B4). */
    public function quantity(string $name, Dimension $dimension, ?Unit $bareUnit = null): ?Quantity
    {
        return $this->reading($name, $dimension, $bareUnit)?->quantity;
    }

    public function quantityOrNull(string $name, Dimension $dimension, ?Unit $bareUnit = null): ?Quantity
    {
        return $this->has($name) ? $this->quantity($name, $dimension, $bareUnit) : $this->absent($name);
    }

    /** An amount that cannot be nought. */
    public function positive(string $name, Dimension $dimension, ?Unit $bareUnit = null): ?Quantity
    {
        $quantity = $this->quantity($name, $dimension, $bareUnit);

        return $quantity !== null && !$quantity->amount->isPositive()
            ? $this->fault($name, 'This must be above zero.')
            : $quantity;
    }

    public function positiveOrNull(string $name, Dimension $dimension, ?Unit $bareUnit = null): ?Quantity
    {
        return $this->has($name) ? $this->positive($name, $dimension, $bareUnit) : $this->absent($name);
    }

    /** As typed, or the working value where the field is left out. */
    public function positiveOr(string $name, Dimension $dimension, ?Quantity $working): ?Quantity
    {
        if ($this->has($name)) {
            return $this->positive($name, $dimension);
        }
        $this->absent($name);

        return $working;
    }

    public function reading(string $name, ?Dimension $dimension, ?Unit $bareUnit = null): ?Reading
    {
        $typed = $this->typed($name);
        if ($typed === null) {
            return null;
        }
        try {
            $reading = Reading::parse($typed, $dimension, $this->gallon, $bareUnit);
        } catch (UnreadableQuantity | UnitMismatch $e) {
            return $this->fault($name, $e->getMessage());
        }
        [$least, $most] = Bounds::of($name, $reading->quantity->dimension()) ?? [null, null];
        if (
            $least !== null &&
            $most !== null &&
            ($reading->quantity->isLessThan($least) || $reading->quantity->isGreaterThan($most))
        ) {
            [$low, $high] = [Shown::both($least), Shown::both($most)];

            return $this->fault(
                $name,
                self::called($name) .
                    " can be from {$low['metric']} to {$high['metric']} ({$low['us']} to {$high['us']}); look at " .
                    'the unit.',
            );
        }

        return $reading;
    }

    public function readingOrNull(string $name, ?Dimension $dimension, ?Unit $bareUnit = null): ?Reading
    {
        return $this->has($name) ? $this->reading($name, $dimension, $bareUnit) : $this->absent($name);
    }

    public function strength(string $name): ?Strength
    {
        $typed = $this->typed($name);
        if ($typed === null) {
            return null;
        }
        try {
            return Strength::parse($typed, $this->gallon);
        } catch (UnreadableQuantity | UnitMismatch $e) {
            return $this->fault($name, $e->getMessage());
        }
    }

    public function strengthOrNull(string $name): ?Strength
    {
        return $this->has($name) ? $this->strength($name) : $this->absent($name);
    }

    public function object(string $name): self
    {
        $value = $this->take($name);
        if ($value === null) {
            $this->fault($name, self::called($name) . ' is needed: an object with named fields.');
            $value = [];
        }

        return self::of($value, $this->faults, $this->gallon, "{$this->pointer}/{$name}");
    }

    /** @return list<self> */
    public function objects(string $name, int $most = 500, bool $needed = false): array
    {
        $out = [];
        foreach ($this->items($name, $most, $needed) as $i => $item) {
            $out[] = self::of($item, $this->faults, $this->gallon, "{$this->pointer}/{$name}/{$i}");
        }

        return $out;
    }

    /**
     * @param list<string>|null $choices
     * @param int $longest letters of one of them
     *
     * @return list<string>
     */
    public function strings(
        string $name,
        ?array $choices = null,
        int $most = 200,
        int $longest = self::USUAL_TEXT,
    ): array {
        $out = [];
        foreach ($this->items($name, $most, false) as $i => $item) {
            if ($choices === null) {
                $text = $this->written("{$name}/{$i}", $item, $longest);
                $text === null || ($out[] = $text);
            } elseif (is_string($item) && in_array($item, $choices, true)) {
                $out[] = $item;
            } else {
                $this->fault("{$name}/{$i}", 'This is not one of the choices: ' . implode(', ', $choices) . '.');
            }
        }

        return $out;
    }

    /** @return array<string, string> */
    public function map(string $name): array
    {
        $value = $this->take($name) ?? [];
        $out = [];
        foreach (is_array($value) ? $value : [] as $key => $item) {
            // the key is part of the pointer: one that cannot be shown is not
            $at = mb_strimwidth(mb_scrub((string) $key), 0, 60);
            is_string($item) && strlen((string) $key) <= self::USUAL_TEXT && mb_strlen($item) <= self::USUAL_TEXT
                ? ($out[(string) $key] = $item)
                : $this->fault("{$name}/{$at}", 'Give a text of at most ' . self::USUAL_TEXT . ' letters.');
        }
        if (!is_array($value) || ($value !== [] && array_is_list($value))) {
            $this->fault($name, self::called($name) . ': give an object with named fields.');

            return [];
        }

        return $out;
    }

    /** The raw value, for what has its own reader (GeoJSON). */
    public function raw(string $name): mixed
    {
        return $this->take($name);
    }

    /** Call last: whatever nobody asked for is a misspelling. */
    public function noOthers(): void
    {
        foreach (array_keys($this->data) as $name) {
            if (!isset($this->seen[(string) $name])) {
                $this->fault(mb_strimwidth(mb_scrub((string) $name), 0, 60), 'There is no such field here.');
            }
        }
    }

    /** @param string $name may be a path within this object */
    private function written(string $name, mixed $value, int $longest): ?string
    {
        $longest = min($longest, self::LONGEST_TEXT);
        $called = self::called($name);
        if ($value === null || (is_string($value) && trim($value) === '')) {
            return $this->fault($name, "{$called} is needed: write 1 to {$longest} letters.");
        }
        if (!is_string($value)) {
            return $this->fault($name, "{$called} is a text: write 1 to {$longest} letters.");
        }
        if (!mb_check_encoding($value, 'UTF-8') || preg_match(self::UNSEEN, $value) === 1) {
            return $this->fault($name, "{$called} holds signs that cannot be shown; write letters, figures and marks.");
        }

        return mb_strlen($value) <= $longest
            ? trim($value)
            : $this->fault($name, "{$called} has " . mb_strlen($value) . " letters; keep it to {$longest}.");
    }

    /** The field as a person would call it: licenceUntil is "Licence until". */
    private static function called(string $name): string
    {
        $last = explode('/', $name)[0];

        return self::CALLED[$last] ?? ucfirst(strtolower((string) preg_replace('/(?<=[a-z])(?=[A-Z])/', ' ', $last)));
    }

    private function typed(string $name): ?string
    {
        $value = $this->take($name);
        if (is_array($value) && is_string($value['typed'] ?? null) && count($value) === 1) {
            return $value['typed'];
        }
        if (
            is_array($value) &&
            is_string($value['unit'] ?? null) &&
            is_string($value['value'] ?? null) &&
            count($value) === 2
        ) {
            $unit = Unit::tryFrom($value['unit']);
            if ($unit === null) {
                $this->faults->add("{$this->pointer}/{$name}/unit", 'This unit code is not known.');

                return null;
            }
            if (preg_match('/^-?\d{1,15}(\.\d{1,9})?$/D', $value['value']) !== 1) {
                $this->faults->add("{$this->pointer}/{$name}/value", 'Give a decimal as a quoted text, such as "1.5".');

                return null;
            }

            return "{$value['value']} {$unit->value}";
        }
        if (is_string($value)) {
            return $value;
        }

        return $this->fault(
            $name,
            $value === null
                ? self::called($name) .
                    ' is needed, with its unit: {"typed": "2 qt/ac"} or {"value": "2", "unit": "qt_us/ac"}.'
                : 'Give {"typed": "2 qt/ac"} or {"value": "2", "unit": "qt_us/ac"}.',
        );
    }

    /** @return list<mixed> */
    private function items(string $name, int $most, bool $needed): array
    {
        $value = $this->take($name);
        if ($value === null && !$needed) {
            return [];
        }
        if (!is_array($value) || !array_is_list($value) || ($needed && $value === [])) {
            $this->fault($name, self::called($name) . ': give a list' . ($needed ? ' of at least one.' : '.'));

            return [];
        }
        if (count($value) > $most) {
            $this->fault($name, self::called($name) . ": give at most {$most}.");

            return [];
        }

        return $value;
    }

    private function take(string $name): mixed
    {
        $this->seen[$name] = true;

        return $this->data[$name] ?? null;
    }

    private function absent(string $name): null
    {
        $this->seen[$name] = true;

        return null;
    }
}
