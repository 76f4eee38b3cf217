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
 * Sums of the ground, the sprayer and the bag: leftover into a new mix, rings and strips, mulch and watering, fertiliser in a bag, calibration,
 * nozzles, girth, doses of trees, preventer calendar. One JSON document each, as the single sums of mixing are ({@see Sums}); exact but for the overlap of rings.
 *
 * @phpstan-type Values array<string, Quantity|int|bool|string|list<array<string, mixed>>>
 */
final readonly class FieldSums
{
    public const NAMES = ['leftover-into', 'rings', 'strip', 'mulch', 'water-in', 'bag', 'calibration', 'nozzles', 'girth', 'tree-dose', 'frill', 'preventer'];
    /** Phosphorus in P2O5 and potassium in K2O by weight: 61.9475 / 141.9445 and 78.1966 / 94.1960 (standard atomic weights). */
    private const PHOSPHORUS = '619475/1419445';
    private const POTASSIUM = '781966/941960';
    private const MOST_RINGS = 1_000_000;
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
            'rings' => $this->rings($in),
            'strip' => $this->strip($in),
            'mulch' => $this->mulch($in),
            'water-in' => $this->waterIn($in),
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
     * Mix of another strength goes into a new one: used is as much of it as room and strength allow; product = finished x strength - used x its own;
     * carrier tops up. 2 L at 1.5 % into 15 L at 2 %: 0.27 L of product and 12.73 L of carrier.
     *
     * @return Values
     */
    private function leftover(Fields $in): array
    {
        $left = $this->positive($in, 'leftover', Dimension::Volume);
        $leftStrength = $in->strength('leftoverStrength');
        $finished = $this->positive($in, 'finished', Dimension::Volume);
        $strength = $in->strength('strength');
        $most = $in->strengthOrNull('labelMost');
        if ($strength !== null && ($strength->share->isZero() || $strength->share->isEqualTo(1))) {
            $in->fault('strength', 'Give a strength above nought and below pure product.');
        }
        if ($strength !== null && $most !== null && $strength->share->isGreaterThan($most->share)) {
            $in->fault('strength', 'This is above the most on the label card.');
        }
        if ($left === null || $leftStrength === null || $finished === null || $strength === null || $in->faults->any()) {
            return [];
        }
        $room = $finished->to($left->unit);
        $used = $left->isGreaterThan($room) ? $room : $left;
        if ($leftStrength->share->isGreaterThan($strength->share)) {
            $fit = $room->times($strength->share->dividedBy($leftStrength->share));
            $used = $used->isGreaterThan($fit) ? $fit : $used;
        } elseif (!$leftStrength->share->isEqualTo($strength->share)) {
            // product takes room too: (finished - used) of it would already be all product
            $fit = $room->times(BigRational::one()->minus($strength->share)->dividedBy(BigRational::one()->minus($leftStrength->share)));
            $used = $used->isGreaterThan($fit) ? $fit : $used;
        }
        $product = $room->times($strength->share)->minus($used->times($leftStrength->share));

        return [
            'leftover-used' => $used, 'product' => $product, 'carrier' => $room->minus($used)->minus($product), 'leftover-kept' => $left->minus($used),
            'percent' => $strength->percent(),
        ];
    }

    /**
     * Circles round trees: n x pi/4 x d squared, less what neighbours in a row share, 2 r2 acos(s / 2r) - s/2 sqrt(4 r2 - s2) each (geometry, in floats).
     *
     * @return Values
     */
    private function rings(Fields $in): array
    {
        $count = $in->int('count', 1, self::MOST_RINGS);
        $across = $this->positive($in, 'across', Dimension::Length);
        $apart = $in->has('apart') ? $this->positive($in, 'apart', Dimension::Length) : $this->none($in, 'apart');
        $rows = $in->int('rows', 1, self::MOST_RINGS, 1);
        if ($count === null || $across === null || $rows === null || $in->faults->any()) {
            $this->rates($in);

            return [];
        }
        if ($rows > $count) {
            $in->fault('rows', 'There cannot be more rows than trees.');
        }
        $d = $across->in(Unit::Metre);
        $one = Quantity::of($d->multipliedBy($d)->dividedBy(4)->multipliedBy(Pi::value()), Unit::SquareMetre);
        $shared = Quantity::zero(Unit::SquareMetre);
        if ($apart !== null && $apart->isLessThan($across)) {
            [$r, $s] = [$across->float(Unit::Metre) / 2, $apart->float(Unit::Metre)];
            $lens = 2 * $r ** 2 * acos($s / (2 * $r)) - $s / 2 * sqrt(4 * $r ** 2 - $s ** 2);
            $shared = Quantity::of(number_format($lens, 9, '.', ''), Unit::SquareMetre)->times($count - $rows);
        }
        $area = $one->times($count)->minus($shared);

        return ['one' => $one, 'shared' => $shared, 'area' => $area] + $this->given($in, $area);
    }

    /** @return Values both sides of a row: length x 2 x side */
    private function strip(Fields $in): array
    {
        $length = $this->positive($in, 'length', Dimension::Length);
        $side = $this->positive($in, 'side', Dimension::Length);
        $sides = $in->int('sides', 1, 2, 2);
        if ($length === null || $side === null || $sides === null || $in->faults->any()) {
            $this->rates($in);

            return [];
        }
        $area = Quantity::of($length->in(Unit::Metre)->multipliedBy($side->in(Unit::Metre))->multipliedBy($sides), Unit::SquareMetre);

        return ['area' => $area] + $this->given($in, $area);
    }

    /** @return Values what lies so deep on an area, and how many bags that is */
    private function mulch(Fields $in): array
    {
        $volume = $this->layer($in);
        $bag = $in->has('bag') ? $this->positive($in, 'bag', Dimension::Volume) : $this->none($in, 'bag');

        return $volume === null || $in->faults->any() ? [] : ['volume' => $volume] + ($bag === null ? [] : ['bags' => $volume->per($bag)->toScale(0, RoundingMode::CEILING)->toInt()]);
    }

    /** @return Values watering in: depth x area, and how long the tap runs */
    private function waterIn(Fields $in): array
    {
        $volume = $this->layer($in);
        $flow = $in->has('flow') ? $this->positive($in, 'flow', Dimension::VolumePerTime) : $this->none($in, 'flow');

        return $volume === null || $in->faults->any() ? [] : ['volume' => $volume] + ($flow === null ? [] : ['run' => Quantity::of($volume->in(Unit::Litre)->dividedBy($flow->in(Unit::LitrePerMinute)), Unit::Minute)]);
    }

    private function layer(Fields $in): ?Quantity
    {
        $area = $this->positive($in, 'area', Dimension::Area);
        $depth = $this->positive($in, 'depth', Dimension::Length);

        return $area === null || $depth === null ? null : Layer::volume($area, $depth);
    }

    /** @return Values nutrients in a bag by its grade, percent of N, P2O5 and K2O by weight */
    private function bag(Fields $in): array
    {
        $weight = $this->positive($in, 'weight', Dimension::Mass);
        $grade = $in->text('grade', 20);
        if ($grade !== null && preg_match('/^(\d{1,2}(?:\.\d{1,2})?)-(\d{1,2}(?:\.\d{1,2})?)-(\d{1,2}(?:\.\d{1,2})?)$/D', $grade, $found) !== 1) {
            $grade = $in->fault('grade', 'Write the three figures of the bag, such as 5-10-10.');
        }
        if ($weight === null || $grade === null || $in->faults->any()) {
            return [];
        }
        [$n, $p, $k] = array_map(static fn (string $percent): Quantity => $weight->times(BigRational::of($percent)->dividedBy(100)), explode('-', $grade));
        $whole = $n->plus($p)->plus($k);
        if ($whole->isGreaterThan($weight)) {
            $in->fault('grade', 'The three figures come to more than the bag.');

            return [];
        }

        return ['n' => $n, 'p2o5' => $p, 'k2o' => $k, 'p' => $p->times(BigRational::of(self::PHOSPHORUS)), 'k' => $k->times(BigRational::of(self::POTASSIUM))];
    }

    /** @return Values what the sprayer gives, by one of four ways (rulings J31) */
    private function calibration(Fields $in): array
    {
        $way = $in->choice('way', Calibration::WAYS);
        $need = fn (string $name, Dimension $dimension): ?Quantity => $this->positive($in, $name, $dimension);
        switch ($way) {
            case 'course':
                $caught = $need('caught', Dimension::Volume);
                $given = $in->has('area') ? $need('area', Dimension::Area) : $this->none($in, 'area');
                $course = $in->has('area') ? $given : Calibration::course();

                return $caught === null || $course === null ? [] : ['gives' => Calibration::byCourse($caught, $course), 'course' => $course];
            case 'known-area':
                [$used, $area] = [$need('used', Dimension::Volume), $need('area', Dimension::Area)];

                return $used === null || $area === null ? [] : ['gives' => Calibration::knownArea($used, $area)];
            case 'moving':
                [$speed, $spacing] = [$need('speed', Dimension::Speed), $need('spacing', Dimension::Length)];
                if ($in->has('flow')) {
                    $flow = $need('flow', Dimension::VolumePerTime);
                    [$caught, $time] = $flow === null ? [null, null] : [Quantity::of($flow->in(Unit::LitrePerMinute), Unit::Litre), Quantity::of(1, Unit::Minute)];
                } else {
                    $this->none($in, 'flow');
                    [$caught, $time] = [$need('caught', Dimension::Volume), $need('time', Dimension::Duration)];
                }

                return $caught === null || $time === null || $speed === null || $spacing === null ? [] : ['gives' => Calibration::moving($caught, $time, $speed, $spacing)];
            case 'bottle':
                $caught = $need('caught', Dimension::Volume);
                $strokes = $in->int('strokes', 1, 100000);
                $perTree = $in->has('perTree') ? $need('perTree', Dimension::Volume) : $this->none($in, 'perTree');
                if ($caught === null || $strokes === null) {
                    return [];
                }
                $stroke = Calibration::bottle($caught, $strokes);

                return ['stroke' => $stroke] + ($perTree === null ? [] : ['strokes-per-tree' => Calibration::strokesFor($perTree, $stroke)]);
            default:
                return [];
        }
    }

    /** @return Values which nozzles of a set are worn (rulings J32) */
    private function nozzles(Fields $in): array
    {
        $flows = [];
        foreach ($in->objects('caught', self::MOST_NOZZLES, true) as $item) {
            $one = $this->positive($item, 'amount', Dimension::Volume);
            $item->noOthers();
            $one === null || $flows[] = $one;
        }
        $rated = $in->has('rated') ? $this->positive($in, 'rated', Dimension::Volume) : $this->none($in, 'rated');
        if ($flows === [] || $in->faults->any()) {
            return [];
        }
        $check = NozzleCheck::of($flows, $rated);
        $percent = static fn (BigRational $share): string => (string) $share->multipliedBy(100)->toScale(1, RoundingMode::HALF_UP);

        return [
            'mean' => $check->mean, 'replace-set' => $check->replaceSet,
            'nozzles' => array_map(static fn (array $n): array => ['caught' => $n['flow'], 'off-mean-percent' => $percent($n['offMean'])] + ($n['ofRated'] === null ? [] : ['of-rated-percent' => $percent($n['ofRated'])]) + ['worn' => $n['worn']], $check->nozzles),
        ];
    }

    /** @return Values what a tape read round a stem is across; of two readings of a tapered stem, or across a wide and a narrow side, the mean */
    private function girth(Fields $in): array
    {
        $girth = $this->positive($in, 'girth', Dimension::Length);
        $second = $in->has('second') ? $this->positive($in, 'second', Dimension::Length) : $this->none($in, 'second');
        if ($girth === null || $in->faults->any()) {
            return [];
        }
        $mean = $second === null ? $girth : $girth->plus($second)->dividedBy(2);

        return ['girth' => $mean, 'diameter' => $mean->dividedBy(Pi::value())];
    }

    /**
     * Cuts or strokes from the mL that a label gives a tree, rounded up as cuts are (handbook 3: 5 mL at 2 mL are 3), but never to more than the
     * label allows; with trees a day the mix and the bottles of it to carry.
     *
     * @return Values
     */
    private function treeDose(Fields $in): array
    {
        $perTree = $this->positive($in, 'perTree', Dimension::Volume);
        $each = $this->positive($in, 'each', Dimension::Volume);
        $most = $in->has('labelPerStem') ? $this->positive($in, 'labelPerStem', Dimension::Volume) : $this->none($in, 'labelPerStem');
        $diameter = $in->has('diameter') ? $this->positive($in, 'diameter', Dimension::Length) : $this->none($in, 'diameter');
        $trees = $in->has('trees') ? $in->int('trees', 1, self::MOST_TREES) : $this->none($in, 'trees');
        $bottle = $in->has('bottle') ? $this->positive($in, 'bottle', Dimension::Volume) : $this->none($in, 'bottle');
        if ($perTree === null || $each === null || $in->faults->any()) {
            return [];
        }
        $wrong = match (true) {
            $most !== null && $perTree->isGreaterThan($most) => ['perTree', 'This is above the most a tree on the label card.'],
            $most !== null && $each->isGreaterThan($most) => ['each', 'One of these is already more than the label allows a tree: take a finer nozzle or a smaller syringe.'],
            $perTree->per($each)->isGreaterThan(self::MOST_CUTS) => ['each', 'That would be more than 1,000 for one tree: look at the units.'],
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

        return ['times' => $times, 'given' => $given, 'short' => $given->isLessThan($perTree)]
            + ($diameter === null ? [] : ['round-spacing' => Injection::spacingRound($diameter, $times)])
            + self::carried($given, $trees, $bottle);
    }

    /**
     * A frill with bridges of bark: cuts of the blade's width over a share of the girth, half of it where nobody says otherwise (handbook 2, spacing
     * schools); rounding up never lifts the dose above the label's mL a tree.
     *
     * @return Values
     */
    private function frill(Fields $in): array
    {
        $diameter = $this->positive($in, 'diameter', Dimension::Length);
        $blade = $this->positive($in, 'blade', Dimension::Length);
        $perCut = $this->positive($in, 'perCut', Dimension::Volume);
        $percent = $in->int('cutPercent', 1, 99, 50);
        $most = $in->has('labelPerStem') ? $this->positive($in, 'labelPerStem', Dimension::Volume) : $this->none($in, 'labelPerStem');
        $trees = $in->has('trees') ? $in->int('trees', 1, self::MOST_TREES) : $this->none($in, 'trees');
        $bottle = $in->has('bottle') ? $this->positive($in, 'bottle', Dimension::Volume) : $this->none($in, 'bottle');
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
            $in->fault('blade', 'Cuts so wide meet all round and leave no bark between: take a narrower blade, or girdle.');

            return [];
        }
        $given = $perCut->times($cuts);
        $capped = $most !== null && $given->isGreaterThan($most);
        $given = $capped ? $most : $given;

        return ['girth' => $girth, 'cuts' => $cuts, 'bridge' => $bark->dividedBy($cuts), 'per-cut' => $given->dividedBy($cuts), 'given' => $given, 'capped-by-label' => $capped] + self::carried($given, $trees, $bottle);
    }

    /** @return Values mix for so many trees, and how many bottles that is */
    private static function carried(Quantity $perTree, ?int $trees, ?Quantity $bottle): array
    {
        if ($trees === null) {
            return [];
        }
        $mix = $perTree->times($trees);

        return ['mix' => $mix] + ($bottle === null ? [] : ['bottles' => $mix->per($bottle)->toScale(0, RoundingMode::CEILING)->toInt()]);
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
        $most = $in->has('applications') ? $in->int('applications', 1, 50) : $this->none($in, 'applications');
        $interval = $in->int('intervalDays', 0, 400, 0);
        if ($from !== null && $until !== null && ($until < $from || $from->diff($until)->days > 1100)) {
            $in->fault('until', 'Plan to a day after the first, three years at most.');
        }
        if ($flushes === [] || $lead === null || $lasting === null || $from === null || $until === null || $interval === null || $in->faults->any()) {
            return [];
        }
        usort($flushes, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);
        $calendar = PreventerCalendar::of($flushes, $lead, $lasting, $inside, $from, $until, $most, $interval);

        return [
            'layings' => array_map(static fn (Laying $l): array => ['kind' => $l->kind, 'earliest' => $l->earliest->format('Y-m-d'), 'latest' => $l->latest->format('Y-m-d'), 'works-from' => $l->worksFrom->format('Y-m-d'), 'covers-until' => $l->coversUntil->format('Y-m-d')], $calendar->layings),
            'unprotected' => array_map(static fn (array $gap): array => ['from' => $gap['from']->format('Y-m-d'), 'to' => $gap['to']->format('Y-m-d')], $calendar->unprotected),
        ];
    }

    /** @return array<string, Quantity> product and spray on an area, where a rate of either was given */
    private function given(Fields $in, Quantity $area): array
    {
        [$rate, $spray] = $this->rates($in);

        return ($rate === null ? [] : ['product' => AreaRate::over($rate, $area)]) + ($spray === null ? [] : ['spray' => AreaRate::over($spray, $area)]);
    }

    /** @return array{Quantity|null, Quantity|null} product an area, mix an area */
    private function rates(Fields $in): array
    {
        $rate = $in->has('rate') ? $in->reading('rate', null)?->quantity : $this->none($in, 'rate');
        if ($rate !== null && !in_array($rate->dimension(), [Dimension::VolumePerArea, Dimension::MassPerArea], true)) {
            $rate = $in->fault('rate', 'Give product an area, such as 2 qt/ac, 5 L/ha or 3 oz dry/ac.');
        }

        return [$rate, $in->has('sprayVolume') ? $this->positive($in, 'sprayVolume', Dimension::VolumePerArea) : $this->none($in, 'sprayVolume')];
    }

    private function positive(Fields $in, string $name, Dimension $dimension): ?Quantity
    {
        $quantity = $in->quantity($name, $dimension);

        return $quantity !== null && !$quantity->amount->isPositive() ? $in->fault($name, 'This must be above zero.') : $quantity;
    }

    /** Marks a field that was left out as read. */
    private function none(Fields $in, string $name): null
    {
        $in->raw($name);

        return null;
    }
}
