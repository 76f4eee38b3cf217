<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Pi;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Timing\Laying;
use Thicket\Timing\PreventerCalendar;

/**
 * Sums of the sprayer, the tree and the bag: leftover into a new mix, fertiliser in a bag, calibration, nozzles, girth,
 * doses of trees, preventer calendar. One JSON document each, as the single sums of mixing are ({@see Sums}); exact.
 * Those of the ground stand in {@see GroundSums}.
 *
 * @phpstan-type Values array<string, Quantity|int|bool|string|list<array<string, mixed>>>
 */
final readonly class FieldSums
{
    public const NAMES = ['leftover-into', 'bag', 'calibration', 'nozzles', 'girth', 'tree-dose', 'frill', 'preventer'];
    /**
     * Phosphorus in P2O5 and potassium in K2O by weight: 61.9475 / 141.9445 and 78.1966 / 94.1960 (standard atomic
     * weights).
     */
    private const PHOSPHORUS = '619475/1419445';
    private const POTASSIUM = '781966/941960';
    private const MOST_NOZZLES = 200;
    private const MOST_FLUSHES = 12;
    private const MOST_TREES = 1_000_000;
    private const MOST_CUTS = 1000;

    /**
     * @param Fields $in with sum, one of {@see self::NAMES}
     *
     * @return array{values: Values, missing: list<string>} faults are noted at their fields
     */
    public function solve(string $sum, Fields $in): array
    {
        $values = match ($sum) {
            'leftover-into' => $this->leftover($in),
            'bag' => $this->bag($in),
            'calibration' => $this->calibration($in),
            'nozzles' => $this->nozzles($in),
            'girth' => $this->girth($in),
            'tree-dose' => $this->treeDose($in),
            'frill' => $this->frill($in),
            'preventer' => $this->preventer($in),
            default => [],
        };

        return ['values' => $values, 'missing' => []];
    }

    /**
     * Mix of another strength goes into a new one: used is as much of it as room and strength allow; product = finished
     * x strength - used x its own; carrier tops up. 2 L at 1.5 % into 15 L at 2 %: 0.27 L of product and 12.73 L of
     * carrier.
     *
     * @return Values
     */
    private function leftover(Fields $in): array
    {
        $left = $in->positive('leftover', Dimension::Volume);
        $leftStrength = $in->strength('leftoverStrength');
        $finished = $in->positive('finished', Dimension::Volume);
        $strength = $in->strength('strength');
        $most = $in->strengthOrNull('labelMost');
        if ($strength !== null && ($strength->share->isZero() || $strength->share->isEqualTo(1))) {
            $in->fault('strength', 'Give a strength above nought and below pure product.');
        }
        if ($strength !== null && $most !== null && $strength->share->isGreaterThan($most->share)) {
            $in->fault('strength', 'This is above the most on the label card.');
        }
        if (
            $left === null ||
            $leftStrength === null ||
            $finished === null ||
            $strength === null ||
            $in->faults->any()
        ) {
            return [];
        }
        $room = $finished->to($left->unit);
        $used = $left->isGreaterThan($room) ? $room : $left;
        if ($leftStrength->share->isGreaterThan($strength->share)) {
            $fit = $room->times($strength->share->dividedBy($leftStrength->share));
            $used = $used->isGreaterThan($fit) ? $fit : $used;
        } elseif (!$leftStrength->share->isEqualTo($strength->share)) {
            // product takes room too: (finished - used) of it would already be all product
            $fit = $room->times(
                BigRational::one()
                    ->minus($strength->share)
                    ->dividedBy(BigRational::one()->minus($leftStrength->share)),
            );
            $used = $used->isGreaterThan($fit) ? $fit : $used;
        }
        $product = $room->times($strength->share)->minus($used->times($leftStrength->share));

        return [
            'leftover-used' => $used,
            'product' => $product,
            'carrier' => $room->minus($used)->minus($product),
            'leftover-kept' => $left->minus($used),
            'percent' => $strength->percent(),
        ];
    }

    /** @return Values nutrients in a bag by its grade, percent of N, P2O5 and K2O by weight */
    private function bag(Fields $in): array
    {
        $weight = $in->positive('weight', Dimension::Mass);
        $grade = $in->text('grade', 20);
        if (
            $grade !== null &&
            preg_match(
                '/^(\d{1,2}(?:\.\d{1,2})?)-(\d{1,2}(?:\.\d{1,2})?)-(\d{1,2}(?:\.\d{1,2})?)$/D',
                $grade,
                $found,
            ) !== 1
        ) {
            $grade = $in->fault('grade', 'Write the three figures of the bag, such as 5-10-10.');
        }
        if ($weight === null || $grade === null || $in->faults->any()) {
            return [];
        }
        [$n, $p, $k] = array_map(
            static fn(string $percent): Quantity => $weight->times(BigRational::of($percent)->dividedBy(100)),
            explode('-', $grade),
        );
        $whole = $n->plus($p)->plus($k);
        if ($whole->isGreaterThan($weight)) {
            $in->fault('grade', 'The three figures come to more than the bag.');

            return [];
        }

        return [
            'n' => $n,
            'p2o5' => $p,
            'k2o' => $k,
            'p' => $p->times(BigRational::of(self::PHOSPHORUS)),
            'k' => $k->times(BigRational::of(self::POTASSIUM)),
        ];
    }

    /** @return Values what the sprayer gives, by one of four ways (rulings J31) */
    private function calibration(Fields $in): array
    {
        $way = $in->choice('way', Calibration::WAYS);
        $need = fn(string $name, Dimension $dimension): ?Quantity => $in->positive($name, $dimension);
        switch ($way) {
            case 'course':
                $caught = $need('caught', Dimension::Volume);
                $given = $in->positiveOrNull('area', Dimension::Area);
                $course = $in->has('area') ? $given : Calibration::course();

                return $caught === null || $course === null
                    ? []
                    : ['gives' => Calibration::byCourse($caught, $course), 'course' => $course];
            case 'known-area':
                [$used, $area] = [$need('used', Dimension::Volume), $need('area', Dimension::Area)];

                return $used === null || $area === null ? [] : ['gives' => Calibration::knownArea($used, $area)];
            case 'moving':
                [$speed, $spacing] = [$need('speed', Dimension::Speed), $need('spacing', Dimension::Length)];
                if ($in->has('flow')) {
                    $flow = $need('flow', Dimension::VolumePerTime);
                    [$caught, $time] =
                        $flow === null
                            ? [null, null]
                            : [
                                Quantity::of($flow->in(Unit::LitrePerMinute), Unit::Litre),
                                Quantity::of(1, Unit::Minute),
                            ];
                } else {
                    $in->raw('flow');
                    [$caught, $time] = [$need('caught', Dimension::Volume), $need('time', Dimension::Duration)];
                }

                return $caught === null || $time === null || $speed === null || $spacing === null
                    ? []
                    : ['gives' => Calibration::moving($caught, $time, $speed, $spacing)];
            case 'bottle':
                $caught = $need('caught', Dimension::Volume);
                $strokes = $in->int('strokes', 1, 100000);
                $perTree = $in->positiveOrNull('perTree', Dimension::Volume);
                if ($caught === null || $strokes === null) {
                    return [];
                }
                $stroke = Calibration::bottle($caught, $strokes);

                return ['stroke' => $stroke] +
                    ($perTree === null ? [] : ['strokes-per-tree' => Calibration::strokesFor($perTree, $stroke)]);
            default:
                return [];
        }
    }

    /** @return Values which nozzles of a set are worn (rulings J32) */
    private function nozzles(Fields $in): array
    {
        $flows = [];
        foreach ($in->objects('caught', self::MOST_NOZZLES, true) as $item) {
            $one = $item->positive('amount', Dimension::Volume);
            $item->noOthers();
            $one === null || ($flows[] = $one);
        }
        $rated = $in->positiveOrNull('rated', Dimension::Volume);
        if ($flows === [] || $in->faults->any()) {
            return [];
        }
        $check = NozzleCheck::of($flows, $rated);
        $percent = static fn(BigRational $share): string => (string) $share
            ->multipliedBy(100)
            ->toScale(1, RoundingMode::HALF_UP);

        return [
            'mean' => $check->mean,
            'replace-set' => $check->replaceSet,
            'nozzles' => array_map(
                static fn(array $n): array => ['caught' => $n['flow'], 'off-mean-percent' => $percent($n['offMean'])] +
                    ($n['ofRated'] === null ? [] : ['of-rated-percent' => $percent($n['ofRated'])]) + [
                        'worn' => $n['worn'],
                    ],
                $check->nozzles,
            ),
        ];
    }

    /**
     * @return Values what a tape read round a stem is across; of two readings of a tapered stem, or across a wide and a
     * narrow side, the mean
     */
    private function girth(Fields $in): array
    {
        $girth = $in->positive('girth', Dimension::Length);
        $second = $in->positiveOrNull('second', Dimension::Length);
        if ($girth === null || $in->faults->any()) {
            return [];
        }
        $mean = $second === null ? $girth : $girth->plus($second)->dividedBy(2);

        return ['girth' => $mean, 'diameter' => $mean->dividedBy(Pi::value())];
    }

    /**
     * Cuts or strokes from the mL that a label gives a tree, rounded up as cuts are (handbook 3: 5 mL at 2 mL are 3),
     * but never to more than the label allows; with trees a day the mix and the bottles of it to carry.
     *
     * @return Values
     */
    private function treeDose(Fields $in): array
    {
        $perTree = $in->positive('perTree', Dimension::Volume);
        $each = $in->positive('each', Dimension::Volume);
        $most = $in->positiveOrNull('labelPerStem', Dimension::Volume);
        $diameter = $in->positiveOrNull('diameter', Dimension::Length);
        $trees = $in->intOrNull('trees', 1, self::MOST_TREES);
        $bottle = $in->positiveOrNull('bottle', Dimension::Volume);
        if ($perTree === null || $each === null || $in->faults->any()) {
            return [];
        }
        $wrong = match (true) {
            $most !== null && $perTree->isGreaterThan($most) => [
                'perTree',
                'This is above the most a tree on the label card.',
            ],
            $most !== null && $each->isGreaterThan($most) => [
                'each',
                'One of these is already more than the label allows a tree: take a finer nozzle or a smaller syringe.',
            ],
            $perTree->per($each)->isGreaterThan(self::MOST_CUTS) => [
                'each',
                'That would be more than 1,000 for one tree: look at the units.',
            ],
            default => null,
        };
        if ($wrong !== null) {
            $in->fault(...$wrong);

            return [];
        }
        $times = Calibration::strokesFor($perTree, $each);
        if ($most !== null && $each->times($times)->isGreaterThan($most)) {
            $times = $most->per($each)->toScale(0, RoundingMode::DOWN)->toInt();
        }
        $given = $each->times($times);

        return ['times' => $times, 'given' => $given, 'short' => $given->isLessThan($perTree)] +
            ($diameter === null ? [] : ['round-spacing' => Injection::spacingRound($diameter, $times)]) +
            self::carried($given, $trees, $bottle);
    }

    /**
     * A frill with bridges of bark: cuts of the blade's width over a share of the girth, half of it where nobody says
     * otherwise (handbook 2, spacing schools); rounding up never lifts the dose above the label's mL a tree.
     *
     * @return Values
     */
    private function frill(Fields $in): array
    {
        $diameter = $in->positive('diameter', Dimension::Length);
        $blade = $in->positive('blade', Dimension::Length);
        $perCut = $in->positive('perCut', Dimension::Volume);
        $percent = $in->int('cutPercent', 1, 99, 50);
        $most = $in->positiveOrNull('labelPerStem', Dimension::Volume);
        $trees = $in->intOrNull('trees', 1, self::MOST_TREES);
        $bottle = $in->positiveOrNull('bottle', Dimension::Volume);
        if ($diameter === null || $blade === null || $perCut === null || $in->faults->any()) {
            return [];
        }
        $girth = Injection::girth($diameter);
        $toCut = $girth->times(BigRational::of($percent ?? 50)->dividedBy(100));
        if ($toCut->per($blade)->isGreaterThan(self::MOST_CUTS)) {
            $in->fault('blade', 'That would be more than 1,000 cuts round one tree: look at the units.');

            return [];
        }
        $cuts = $toCut->per($blade)->toScale(0, RoundingMode::CEILING)->toInt();
        $bark = $girth->minus($blade->times($cuts)->to($girth->unit));
        if (!$bark->amount->isPositive()) {
            $in->fault(
                'blade',
                'Cuts so wide meet all round and leave no bark between: take a narrower blade, or girdle.',
            );

            return [];
        }
        $given = $perCut->times($cuts);
        $capped = $most !== null && $given->isGreaterThan($most);
        $given = $capped ? $most : $given;

        return [
            'girth' => $girth,
            'cuts' => $cuts,
            'bridge' => $bark->dividedBy($cuts),
            'per-cut' => $given->dividedBy($cuts),
            'given' => $given,
            'capped-by-label' => $capped,
        ] + self::carried($given, $trees, $bottle);
    }

    /** @return Values mix for so many trees, and how many bottles that is */
    private static function carried(Quantity $perTree, ?int $trees, ?Quantity $bottle): array
    {
        if ($trees === null) {
            return [];
        }
        $mix = $perTree->times($trees);

        return ['mix' => $mix] +
            ($bottle === null ? [] : ['bottles' => $mix->per($bottle)->toScale(0, RoundingMode::CEILING)->toInt()]);
    }

    /** @return Values every laying of a preventer and what nothing covers (rulings J48) */
    private function preventer(Fields $in): array
    {
        $flushes = [];
        foreach ($in->objects('flushes', self::MOST_FLUSHES, true) as $item) {
            [$from, $to] = [$item->day('from'), $item->day('to')];
            $item->noOthers();
            if ($from !== null && $to !== null && $to < $from) {
                $item->fault('to', 'A flush ends on or after the day it begins.');
            } elseif ($from !== null && $to !== null) {
                $flushes[] = ['from' => $from, 'to' => $to];
            }
        }
        $lead = $in->int('leadDays', 0, 400);
        $lasting = $in->int('lastingDays', 1, 1000);
        $inside = $in->bool('leadInside', false);
        [$from, $until] = [$in->day('from'), $in->day('until')];
        $most = $in->intOrNull('applications', 1, 50);
        $interval = $in->int('intervalDays', 0, 400, 0);
        if ($from !== null && $until !== null && ($until < $from || $from->diff($until)->days > 1100)) {
            $in->fault('until', 'Plan to a day after the first, three years at most.');
        }
        if (
            $flushes === [] ||
            $lead === null ||
            $lasting === null ||
            $from === null ||
            $until === null ||
            $interval === null ||
            $in->faults->any()
        ) {
            return [];
        }
        usort($flushes, static fn(array $a, array $b): int => $a['from'] <=> $b['from']);
        $calendar = PreventerCalendar::of($flushes, $lead, $lasting, $inside, $from, $until, $most, $interval);

        return [
            'layings' => array_map(
                static fn(Laying $l): array => [
                    'kind' => $l->kind,
                    'earliest' => $l->earliest->format('Y-m-d'),
                    'latest' => $l->latest->format('Y-m-d'),
                    'works-from' => $l->worksFrom->format('Y-m-d'),
                    'covers-until' => $l->coversUntil->format('Y-m-d'),
                ],
                $calendar->layings,
            ),
            'unprotected' => array_map(
                static fn(array $gap): array => [
                    'from' => $gap['from']->format('Y-m-d'),
                    'to' => $gap['to']->format('Y-m-d'),
                ],
                $calendar->unprotected,
            ),
        ];
    }
}
