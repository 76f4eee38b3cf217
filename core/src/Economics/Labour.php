<?php

declare(strict_types=1);

namespace Thicket\Economics;

use Brick\Math\RoundingMode;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\LabourFigure;
use Thicket\Catalogue\LabourTable;
use Thicket\Catalogue\Method;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\CutSpacing;
use Thicket\Mix\MixNeed;
use Thicket\Mix\TreatedArea;
use Thicket\Situation\Option;
use Thicket\Situation\ServedStems;
use Thicket\Situation\Situation;
use Thicket\Situation\ToolsAtHand;

/**
 * Hours of one pass from the tally (handbook 9): hands on the plants by method and size, or hectares an hour; walking
 * between n stems over an area A, 0.7124 sqrt(A n) x 1.3 (a float: geometry); setting up each crew-day of 6 h. Low, use
 * and high; our guesses until records say otherwise.
 */
final readonly class Labour
{
    /** Working day net of breaks (handbook 9). */
    public const DAY_MINUTES = 360;
    private const SEEDLINGS = ['cotyledon', 'seedling'];

    /** Crew-days of the middle figure; none where nothing is known. */
    public int $days;
    private ?Quantity $total;

    /**
     * @param array{Quantity, Quantity, Quantity}|null $hands minutes: low, use, high; null where neither stems nor a
     *     rate are known
     * @param Quantity|null $walking minutes; null where the area is not known, and nought where the rate of an area
     *     holds it
     * @param list<Quantity> $setUp minutes each crew-day: low, use, high
     * @param array<string, array{string, Quantity}> $restsOn path in the table => the middle figure there, and the
     *     minutes that come of it
     */
    private function __construct(
        public ?array $hands,
        public ?Quantity $walking,
        public array $setUp,
        public array $restsOn,
    ) {
        $this->days = $hands === null ? 0 : $this->crewDays(1);
        $this->total = $hands === null ? null : $this->hours(1);
    }

    public static function of(Situation $situation, Option $option): self
    {
        // rows of one method differ in their hours only where the active says how many cuts are made
        $key = implode(' ', [
            'labour',
            $option->method->id(),
            $option->method->work() === 'injection' ? (string) $option->active?->id() : '',
            spl_object_id($option->schools),
            spl_object_id($option->shed),
        ]);

        // the objects are kept with it, so that no other ever has their numbers
        return $situation->once(
            $key,
            static fn(): array => [self::workOut($situation, $option), $option->schools, $option->shed],
        )[0];
    }

    private static function workOut(Situation $situation, Option $option): self
    {
        $table = $option->coefficients()->labour();
        $trees = self::trees($situation, $option, $table);
        $perTree = $trees === null ? null : $table->perTree($option->method);
        $hands = $perTree === null ? self::byStems($situation, $option, $table) : Hands::of([[$perTree, (int) $trees]]);
        $walking = $hands === null ? null : self::walking($situation, $table, $trees ?? $situation->stemCount());
        $restsOn = $walking === null ? [] : [$walking[0]->path => [$walking[0]->use, $walking[1]]];
        $walked = $walking[1] ?? null;
        if ($hands === null) {
            $hands = self::byArea($situation, $option, $table);
            $walked = $hands === null ? null : Quantity::zero(Unit::Minute);
        }

        return $hands === null
            ? new self(null, null, [], [])
            : new self(
                $hands->minutes,
                $walked,
                array_map(
                    static fn(string $minutes): Quantity => Quantity::of($minutes, Unit::Minute),
                    $table->setUp()->three(),
                ),
                $hands->restsOn + $restsOn,
            );
    }

    /** Hours of the whole pass, the middle figure. */
    public function total(): ?Quantity
    {
        return $this->total;
    }

    /** @return array{Quantity, Quantity, Quantity}|null hours: low, use, high */
    public function range(): ?array
    {
        return $this->total === null ? null : [$this->hours(0), $this->total, $this->hours(2)];
    }

    /** Hours with walking and setting up: low (0), use (1) or high (2). */
    private function hours(int $i): Quantity
    {
        return $this->work($i)
            ->plus($this->setUp[$i]->times($this->crewDays($i)))
            ->to(Unit::Hour);
    }

    private function work(int $i): Quantity
    {
        $hands = $this->hands[$i] ?? throw new \LogicException('No hours without a figure for the hands.');

        return $this->walking === null ? $hands : $hands->plus($this->walking);
    }

    private function crewDays(int $i): int
    {
        return max(
            1,
            $this->work($i)->amount->dividedBy(self::DAY_MINUTES)->toScale(0, RoundingMode::CEILING)->toInt(),
        );
    }

    private static function byStems(Situation $situation, Option $option, LabourTable $table): ?Hands
    {
        if ($situation->stems === [] || ($situation->target !== null && !$option->method->isFor($situation->target))) {
            return null;
        }
        if ($option->method->work() === 'injection') {
            return self::byCuts($situation, $option, $table);
        }
        $method = $table->hasPerStem($option->method->id()) ? $option->method->id() : $option->method->like();
        if ($option->how('dig')) {
            $method = match (true) {
                $situation->target?->isWoody() === true => '',
                $situation->target?->habit() === 'cactus' => "{$method}-cactus",
                default => $method,
            };
        }
        if ($option->isLeafSpray() && !$option->method->isOfArea()) {
            return self::byPlants($situation, $table, $method);
        }
        if (!$table->hasPerStem($method)) {
            return null;
        }
        $seedlings = in_array($situation->stageSeen(), self::SEEDLINGS, true) ? $table->perSeedling($method) : null;
        $further = $table->perFurtherStem($method);
        $parts = [];
        foreach (ServedStems::of($situation, $option)->served as $group) {
            $minutes = $seedlings ?? $table->perStem($method, $group->forSums());
            if ($minutes === null) {
                return null;
            }
            // a clump is gripped anew for each further stem
            $clumps = $further === null ? $group->count : (int) ceil($group->count / $group->stemsPerClump);
            $parts[] = [$minutes, $clumps];
            $parts[] = [$further ?? $minutes, $group->count - $clumps];
        }

        return Hands::of($parts, self::longer($situation, $option, $table));
    }

    /** What makes the hands slower (handbook 9). */
    private static function longer(Situation $situation, Option $option, LabourTable $by): string
    {
        return match (true) {
            $option->how('pull') && $situation->word(FactName::SoilMoisture) === 'dry' => $by->longer('dryPull'),
            $option->how('lever') && $situation->target?->isDeepRooted() === true => $by->longer('deepLever'),
            $option->how('girdle') && ToolsAtHand::onlyWithoutClearance($option) => $by->longer('handRing'),
            default => '1',
        };
    }

    /**
     * Work that goes from one planted tree to the next is counted by those trees, where somebody told how many there
     * are; null by other ways.
     */
    private static function trees(Situation $situation, Option $option, LabourTable $table): ?int
    {
        $trees = $situation->quantity(FactName::PlantedTrees);

        return $trees === null || $table->perTree($option->method) === null
            ? null
            : $trees->in(Unit::One)->toScale(0, RoundingMode::CEILING)->toInt();
    }

    /** A leaf spray goes by plants and their height, however many stems each has (rulings J59). */
    private static function byPlants(Situation $situation, LabourTable $table, string $method): ?Hands
    {
        $parts = [];
        foreach ($situation->stems as $group) {
            $height =
                $group->height ?? ($situation->quantity(FactName::Height) ?? $situation->target?->greatestHeight());
            $minutes = $height === null ? null : $table->perStem($method, $height);
            if ($minutes === null) {
                return null;
            }
            $parts[] = [$minutes, (int) ceil($group->count / $group->stemsPerClump)];
        }

        return Hands::of($parts);
    }

    /** So much a tree and so much a cut; thick bark takes half as long again. */
    private static function byCuts(Situation $situation, Option $option, LabourTable $table): Hands
    {
        ['tree' => $perTree, 'cut' => $perCut] = $table->perCut($option->method);
        [$spacing, $per] = MixNeed::spacing($option);
        $cuts = 0;
        $served = ServedStems::of($situation, $option);
        foreach ($served->served as $group) {
            $cuts += $group->count * (new CutSpacing($spacing, $per))->cutsOn($group->forCeilings());
        }
        $bark = $situation->word(FactName::BarkThickness) ?? $situation->target?->barkThickness();
        $more = in_array($bark, ['thick', 'corky'], true) ? '3/2' : '1';

        return Hands::of(
            [[$perCut, $cuts]],
            $more,
            Quantity::of($perTree, Unit::Minute)->times($served->count())->times($more),
        );
    }

    /** The fast rate makes the low figure. */
    private static function byArea(Situation $situation, Option $option, LabourTable $table): ?Hands
    {
        $byCover = $table->perSquareMetre($option->method);
        $covered =
            $byCover !== null && $situation->target?->isWoody() !== true
                ? TreatedArea::covered($situation, $option, $situation->area)
                : null;
        if ($covered !== null && $byCover !== null) {
            return Hands::over($byCover, $covered->in(Unit::SquareMetre));
        }
        $perHectare = $table->perHectare($option->method);
        if ($perHectare !== null && $situation->area !== null) {
            return Hands::over($perHectare, $situation->area->in(Unit::Hectare));
        }
        $rates = $table->hectaresPerHour($option->method);
        $area = TreatedArea::of($situation, $option, $situation->area);

        return $rates === null || $area === null ? null : Hands::atRate($rates, $area->in(Unit::Hectare));
    }

    /** @return array{LabourFigure, Quantity}|null the pace, and the minutes that it means */
    private static function walking(Situation $situation, LabourTable $table, int $stops): ?array
    {
        if ($situation->area === null) {
            return null;
        }
        $walk = $table->walking();
        $perHectare = $stops / max(0.0001, $situation->area->float(Unit::Hectare));
        $pace = match (true) {
            $perHectare >= $walk['thicketFromPerHectare'] => $table->kilometresPerHour('thicket'),
            $situation->word(FactName::Setting) === 'woods' => $table->kilometresPerHour('wood'),
            default => $table->kilometresPerHour('open'),
        };
        $metres =
            (float) $walk['tour'] *
            sqrt($situation->area->float(Unit::SquareMetre) * $stops) *
            (float) $walk['sweeping'];

        return [
            $pace,
            Quantity::of(number_format(($metres / 1000 / (float) $pace->use) * 60, 1, '.', ''), Unit::Minute),
        ];
    }
}
