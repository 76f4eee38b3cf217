<?php

declare(strict_types=1);

namespace Thicket\Economics;

use Thicket\Catalogue\Coefficients;
use Thicket\Learning\Lesson;
use Thicket\Learning\PlannedFigure;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\Recipe;
use Thicket\Situation\Option;
use Thicket\Situation\ServedStems;
use Thicket\Situation\Situation;

/** What a sheet reckons with, kept in it so that its record can be held against it. */
final readonly class PlannedWork
{
    /**
     * @param float|null $litres of mix, without the allowance; null where none goes by a figure of the table
     * @param float|null $minutes of one person with hands on the plants and walking; null where nothing is known
     * @param int $plants that it is planned for; 0 where it goes by ground
     * @param list<PlannedFigure> $mix figures that the litres come of
     * @param list<PlannedFigure> $hands figures that the minutes come of
     */
    public function __construct(
        public ?float $litres,
        public ?float $minutes,
        public int $plants,
        public array $mix,
        public array $hands,
    ) {}

    public static function of(Situation $situation, Option $option, ?Recipe $recipe): self
    {
        $labour = Labour::of($situation, $option);
        $minutes = $labour->hands[1] ?? null;
        $minutes = $minutes === null ? null : $minutes->plus($labour->walking ?? Quantity::zero(Unit::Minute));
        $whole = $minutes?->float(Unit::Minute) ?? 0.0;
        $hands = [];
        foreach ($whole > 0 ? $labour->restsOn : [] as $path => [$figure, $part]) {
            $hands[] = new PlannedFigure($path, $figure, $part->float(Unit::Minute) / $whole);
        }
        $path = $recipe?->restsOn();
        $planned = $path === null ? null : $option->coefficients()->changeable()[$path] ?? null;
        $litres = $planned === null ? null : $recipe?->beforeAllowance()?->float(Unit::Litre);
        $treated = $recipe->working['treated'] ?? null;

        return new self(
            $litres,
            $minutes?->float(Unit::Minute),
            match (true) {
                is_int($treated) => $treated,
                $situation->stems === [] => 0,
                default => ServedStems::of($situation, $option)->count(),
            },
            $path === null || $planned === null || $litres === null
                ? []
                : [new PlannedFigure($path, $planned['figures'][1], 1.0)],
            $hands,
        );
    }

    /**
     * What a record of it says.
     *
     * @param int $treated plants, by the record
     * @param Quantity|null $used mix, by the record
     * @param int|null $minutes that its people worked, all together
     *
     * @return list<Lesson>
     */
    public function teaches(int $treated, ?Quantity $used, ?int $minutes, Coefficients $shipped): array
    {
        $done = $this->done($treated);
        $plants = $this->plants === 0 ? 0 : $treated;
        if ($done <= 0) {
            return [];
        }
        $lessons = [];
        foreach (
            [
                [Lesson::MIX, $this->mix, $used?->float(Unit::Litre), $this->litres],
                [Lesson::HANDS, $this->hands, $minutes, $this->minutes],
            ]
            as [$of, $figures, $took, $planned]
        ) {
            if ($took !== null && $planned > 0) {
                $lessons = [...$lessons, ...Lesson::of($of, $figures, $took / ($planned * $done), $plants, $shipped)];
            }
        }

        return $lessons;
    }

    /** Mix used to mix planned for as many plants; null where none was planned, or nothing was done. */
    public function dose(int $treated, Quantity $used): ?float
    {
        $done = $this->done($treated);

        return $this->litres > 0 && $done > 0 ? $used->float(Unit::Litre) / ($this->litres * $done) : null;
    }

    /** Share of the plan: of work that goes by ground the count says nothing of it, and it is taken as the whole. */
    private function done(int $treated): float
    {
        return $this->plants === 0 ? 1.0 : $treated / $this->plants;
    }

    /** @return array<string, mixed> to be kept with a sheet */
    public function told(): array
    {
        $figures = static fn(PlannedFigure $f): array => $f->told();
        $decimal = static fn(?float $n): ?string => $n === null ? null : number_format($n, 4, '.', '');

        return [
            'litres' => $decimal($this->litres),
            'minutes' => $decimal($this->minutes),
            'plants' => $this->plants,
            'mix' => array_map($figures, $this->mix),
            'hands' => array_map($figures, $this->hands),
        ];
    }

    /** As {@see self::told()} told it; null for a sheet of before there was any. */
    public static function kept(mixed $told): ?self
    {
        if (!is_array($told)) {
            return null;
        }
        $number = static fn(mixed $n): ?float => is_numeric($n) ? (float) $n : null;

        return new self(
            $number($told['litres'] ?? null),
            $number($told['minutes'] ?? null),
            is_int($told['plants'] ?? null) ? $told['plants'] : 0,
            PlannedFigure::kept($told['mix'] ?? null),
            PlannedFigure::kept($told['hands'] ?? null),
        );
    }
}
