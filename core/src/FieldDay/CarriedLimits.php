<?php

declare(strict_types=1);

namespace Thicket\FieldDay;

use Thicket\Catalogue\FactName;
use Thicket\Measure\Quantity;
use Thicket\Timing\StartLimit;

/** The limits that an issued sheet carries, as it carries them, for readings taken on the spot (rulings B16). */
final readonly class CarriedLimits
{
    /** Where a note tells what a limit is of. */
    private const TOLD = ['wind-speed' => 'wind', 'air-temperature' => 'air'];

    /** @param list<array{StartLimit, array{us: string, metric: string}}> $limits with their sentences */
    private function __construct(private array $limits) {}

    /** @param mixed $carried startOnlyIf of a sheet's snapshot */
    public static function of(mixed $carried): self
    {
        $limits = [];
        foreach (is_array($carried) ? $carried : [] as $one) {
            $one = is_array($one) ? $one : [];
            $value = Quantity::ofWire($one['limit'] ?? null);
            $fact = is_string($one['fact'] ?? null) ? FactName::tryFrom($one['fact']) : null;
            $text = is_array($one['text'] ?? null) ? $one['text'] : [];
            [$us, $metric, $source] = [$text['us'] ?? '', $text['metric'] ?? '', $one['source'] ?? ''];
            if ($value !== null && $fact !== null && is_string($us) && is_string($metric) && is_string($source)) {
                $limits[] = [
                    new StartLimit($fact, ($one['comparator'] ?? '') === 'least', $value, $source),
                    ['us' => $us, 'metric' => $metric],
                ];
            }
        }

        return new self($limits);
    }

    /** @return list<array{us: string, metric: string}> limits that a reading of the day does not keep */
    public function outside(FieldEvent $reading): array
    {
        return $this->brokenBy(static fn(string $told): mixed => $reading->body[$told] ?? null);
    }

    /**
     * @param \Closure(string): mixed $of the amount on the wire by 'wind' and 'air'
     *
     * @return list<array{us: string, metric: string}>
     */
    public function brokenBy(\Closure $of): array
    {
        $out = [];
        foreach ($this->limits as [$limit, $text]) {
            $told = self::TOLD[$limit->fact->value] ?? null;
            $value = $told === null ? null : Quantity::ofWire($of($told));
            $value === null || $limit->allows($value) || ($out[] = $text);
        }

        return $out;
    }
}
