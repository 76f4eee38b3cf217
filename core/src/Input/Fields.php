<?php

declare(strict_types=1);

namespace Thicket\Input;

use Thicket\Measure\Dimension;
use Thicket\Measure\Exception\UnitMismatch;
use Thicket\Measure\Exception\UnreadableQuantity;
use Thicket\Measure\Gallon;
use Thicket\Measure\Quantity;
use Thicket\Measure\Reading;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
use Thicket\Timing\Day;
use Thicket\Timing\Exception\UnreadableDate;

/**
 * Reads one JSON object from outside (API or console): every getter returns a value of the wanted kind or notes a
 * fault at the field's pointer and returns null. Unknown fields are faults too, so a misspelt one is never ignored.
 * Call {@see Faults::throwIfAny()} before using what was read.
 */
final class Fields
{
    private const LONGEST_TEXT = 5000;

    /** @var array<string, true> */
    private array $seen = [];

    /** @param array<array-key, mixed> $data */
    private function __construct(private readonly array $data, public readonly string $pointer, public readonly Faults $faults, private readonly Gallon $gallon)
    {
    }

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

    public function text(string $name, int $longest = 200): ?string
    {
        $value = $this->take($name);
        if ($value === null) {
            return $this->fault($name, 'This is needed.');
        }
        if (!is_string($value) || trim($value) === '' || !mb_check_encoding($value, 'UTF-8') || preg_match('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/', $value) === 1) {
            return $this->fault($name, 'Write a text.');
        }

        return mb_strlen($value) <= min($longest, self::LONGEST_TEXT) ? trim($value) : $this->fault($name, "Keep it to {$longest} letters.");
    }

    /** A password, as it was typed: nothing is cut off it. */
    public function secret(string $name, int $longest = 1000): ?string
    {
        $value = $this->take($name);

        return is_string($value) && $value !== '' && mb_check_encoding($value, 'UTF-8') && strlen($value) <= $longest ? $value : $this->fault($name, $value === null || $value === '' ? 'Give the password.' : "Give the password as a text of at most {$longest} letters.");
    }

    public function textOrNull(string $name, int $longest = 200): ?string
    {
        return $this->has($name) && $this->data[$name] !== '' ? $this->text($name, $longest) : $this->absent($name);
    }

    /** @param list<string> $choices */
    public function choice(string $name, array $choices): ?string
    {
        $value = $this->take($name);
        if (!is_string($value) || !in_array($value, $choices, true)) {
            return $this->fault($name, ($value === null ? 'This is needed' : 'This is not one of the choices') . ': ' . implode(', ', $choices) . '.');
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
            $this->fault($name, 'Say true or false.');

            return $default;
        }

        return $value;
    }

    public function int(string $name, int $least, int $most, ?int $default = null): ?int
    {
        $value = $this->take($name) ?? $default;
        if (is_string($value) && preg_match('/^\d{1,9}$/', $value) === 1) {
            $value = (int) $value;
        }

        return is_int($value) && $value >= $least && $value <= $most ? $value : $this->fault($name, "Give a whole number from {$least} to {$most}.");
    }

    public function uuid(string $name): ?string
    {
        $value = $this->take($name);

        return is_string($value) && preg_match('/^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/', $value) === 1
            ? $value : $this->fault($name, 'Give an id such as 0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c31.');
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
        if (!is_string($value) || preg_match('/^-?\d{1,12}(\.\d{1,12})?$/', $value) !== 1) {
            return $this->fault($name, 'Give a decimal as a quoted text, such as "44.1".');
        }

        return (float) $value >= (float) $least && (float) $value <= (float) $most ? $value : $this->fault($name, "Give a number from {$least} to {$most}.");
    }

    public function day(string $name): ?\DateTimeImmutable
    {
        $value = $this->take($name);
        try {
            return is_string($value) ? Day::parse($value) : throw UnreadableDate::day('');
        } catch (UnreadableDate $e) {
            return $this->fault($name, $e->getMessage());
        }
    }

    public function dayOrNull(string $name): ?\DateTimeImmutable
    {
        return $this->has($name) ? $this->day($name) : $this->absent($name);
    }

    /** A moment with its offset from UTC (RFC 3339). */
    public function moment(string $name): ?\DateTimeImmutable
    {
        $value = $this->take($name);
        $ok = is_string($value) && preg_match('/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d{1,6})?)?(Z|[+-]\d{2}:\d{2})$/', $value) === 1;
        $moment = $ok && is_string($value) ? date_create_immutable($value) : false;

        return $moment !== false ? $moment : $this->fault($name, UnreadableDate::time(is_string($value) ? $value : '')->getMessage());
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

    public function reading(string $name, ?Dimension $dimension, ?Unit $bareUnit = null): ?Reading
    {
        $typed = $this->typed($name);
        if ($typed === null) {
            return null;
        }
        try {
            return Reading::parse($typed, $dimension, $this->gallon, $bareUnit);
        } catch (UnreadableQuantity|UnitMismatch $e) {
            return $this->fault($name, $e->getMessage());
        }
    }

    public function strength(string $name): ?Strength
    {
        $typed = $this->typed($name);
        if ($typed === null) {
            return null;
        }
        try {
            return Strength::parse($typed, $this->gallon);
        } catch (UnreadableQuantity|UnitMismatch $e) {
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
            $this->fault($name, 'This is needed.');
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
     *
     * @return list<string>
     */
    public function strings(string $name, ?array $choices = null, int $most = 200): array
    {
        $out = [];
        foreach ($this->items($name, $most, false) as $i => $item) {
            if (!is_string($item) || ($choices !== null && !in_array($item, $choices, true))) {
                $this->fault("{$name}/{$i}", $choices === null ? 'Write a text.' : 'This is not one of the choices: ' . implode(', ', $choices) . '.');
                continue;
            }
            $out[] = $item;
        }

        return $out;
    }

    /** @return array<string, string> */
    public function map(string $name): array
    {
        $value = $this->take($name) ?? [];
        $out = [];
        foreach (is_array($value) ? $value : [] as $key => $item) {
            is_string($item) ? $out[(string) $key] = $item : $this->fault("{$name}/{$key}", 'Write a text.');
        }
        if (!is_array($value) || ($value !== [] && array_is_list($value))) {
            $this->fault($name, 'Give an object with named fields.');
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

    private function typed(string $name): ?string
    {
        $value = $this->take($name);
        if (is_array($value) && is_string($value['typed'] ?? null) && (count($value) === 1)) {
            return $value['typed'];
        }
        if (is_array($value) && is_string($value['unit'] ?? null) && is_string($value['value'] ?? null) && count($value) === 2) {
            $unit = Unit::tryFrom($value['unit']);
            if ($unit === null) {
                $this->faults->add("{$this->pointer}/{$name}/unit", 'This unit code is not known.');

                return null;
            }
            if (preg_match('/^-?\d{1,15}(\.\d{1,9})?$/', $value['value']) !== 1) {
                $this->faults->add("{$this->pointer}/{$name}/value", 'Give a decimal as a quoted text, such as "1.5".');

                return null;
            }

            return "{$value['value']} {$unit->value}";
        }
        if (is_string($value)) {
            return $value;
        }

        return $this->fault($name, $value === null ? 'This is needed.' : 'Give {"typed": "2 qt/ac"} or {"value": "2", "unit": "qt_us/ac"}.');
    }

    /** @return list<mixed> */
    private function items(string $name, int $most, bool $needed): array
    {
        $value = $this->take($name);
        if ($value === null && !$needed) {
            return [];
        }
        if (!is_array($value) || !array_is_list($value) || ($needed && $value === [])) {
            $this->fault($name, 'Give a list' . ($needed ? ' of at least one.' : '.'));

            return [];
        }
        if (count($value) > $most) {
            $this->fault($name, "Give at most {$most}.");

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
