<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Brick\Math\BigRational;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\SoilTexture;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Shown;
use Thicket\Measure\Unit;
use Thicket\Mix\Exception\Unmixable;
use Thicket\Situation\SituationReader;

/**
 * The single sums of handbook 3 by name, from one JSON document to named figures (docs/schemas/mix.schema.json).
 * Each takes only its own fields; a figure nobody gave stays missing and is named.
 */
final readonly class Sums
{
    /** Loads, fillings or cuts a stem beyond this are a unit mixed up (our guess, wide). */
    private const MOST_TIMES = 100_000;
    /** Names of figures in the answer of a finished mix. */
    private const RESERVED = [
        'finished',
        'carrier',
        'carrier-first',
        'order',
        'loads',
        'whole-loads',
        'last-part',
        'fills',
    ];

    public const NAMES = [
        'finished-mix',
        'equal-active',
        'area-rate',
        'texture-rate',
        'injection',
        'basal-band',
        'stump-face',
        'basal-strength',
        'loads',
        'measure',
    ];

    public function __construct(private Catalogue $catalogue) {}

    /**
     * @return array{values: array<string, Quantity|int|bool|string|list<array<string, mixed>>>, missing: list<string>}
     *
     * @throws \Thicket\Input\Refused
     */
    public function solve(Fields $in): array
    {
        $sum = $in->choice('sum', [...self::NAMES, ...FieldSums::NAMES, ...GroundSums::NAMES]);
        $result = ['values' => [], 'missing' => []];
        try {
            $result = match ($sum) {
                'finished-mix' => $this->finishedMix($in),
                'equal-active' => $this->equalActive($in),
                'area-rate' => $this->areaRate($in),
                'texture-rate' => $this->textureRate($in),
                'injection' => $this->injection($in),
                'basal-band' => $this->basalBand($in),
                'stump-face' => $this->stumpFace($in),
                'basal-strength' => $this->basalStrength($in),
                'loads' => $this->loads($in),
                'measure' => $this->measure($in),
                null => $result,
                default => in_array($sum, GroundSums::NAMES, true)
                    ? (new GroundSums($this->catalogue))->solve($sum, $in)
                    : (new FieldSums())->solve($sum, $in),
            };
        } catch (Unmixable $e) {
            $in->faults->add('', $e->getMessage());
        }
        if ($sum !== null) {
            $in->noOthers();
        }
        $in->faults->throwIfAny();

        return $result;
    }

    /**
     * @return array{values: array<string, Quantity|int|bool|string|list<array<string, mixed>>>, missing: list<string>}
     */
    private function finishedMix(Fields $in): array
    {
        $finished = $in->positive('finished', Dimension::Volume);
        $carrier = $in->choice('carrier', ['water', 'oil']);
        $tank = $in->positiveOrNull('tank', Dimension::Volume);
        $components = [];
        foreach ($in->objects('components', 12, true) as $item) {
            $name = $item->text('name', 60);
            $role = $item->choice('role', Component::ROLES);
            $strength = $item->strengthOrNull('strength');
            $most = $item->strengthOrNull('labelMost');
            if ($strength !== null && $most !== null && $strength->share->isGreaterThan($most->share)) {
                $item->fault('strength', 'This is above the most on the label card.');
            }
            $taken = in_array($name, [...self::RESERVED, (string) $carrier], true);
            if ($taken || in_array($name, array_map(static fn(Component $c): string => $c->name, $components), true)) {
                $name = $item->fault(
                    'name',
                    $taken
                        ? 'This name is taken by a figure of the answer: call the component otherwise.'
                        : 'Two components cannot have one name.',
                );
            }
            $item->noOthers();
            if ($name !== null && $role !== null) {
                $components[] = new Component($name, $role, $strength);
            }
        }
        if ($finished === null || $carrier === null || $in->faults->any()) {
            return ['values' => [], 'missing' => []];
        }
        $mix = FinishedMix::of($finished, $carrier, $components);
        $values = ['finished' => $finished];
        foreach ($mix->parts as $part) {
            if ($part['amount'] !== null) {
                $values[$part['component']->name] = $part['amount'];
            }
            if ($part['component']->role !== 'dye' && $part['component']->strength !== null) {
                $values[$part['component']->name . '-percent'] = $part['component']->strength->percent();
            }
        }
        if ($mix->carrierAmount !== null) {
            $values['carrier'] = $mix->carrierAmount;
        }
        if ($tank !== null && self::tooMany($in, 'tank', $finished->per($tank))) {
            return ['values' => [], 'missing' => []];
        }
        $plan = $tank === null ? null : TankPlan::of($finished, $tank);
        if ($plan === null || $plan->count() === 1) {
            $values['carrier-first'] = $mix->carrierFirst;
            $values['order'] = self::order($mix);
        }
        if ($plan !== null) {
            // one tank at a time: what goes into a full one, and into the last
            $values['fills'] = array_map(
                static fn(array $fill): array => [
                    'times' => $fill['times'],
                    'finished' => $fill['finished'],
                    'order' => self::order($mix->inVolume($fill['finished'])),
                ],
                $plan->fills(),
            );
            $values = [...$values, ...$this->loadValues($plan)];
        }

        return [
            'values' => $values,
            'missing' => array_map(static fn(string $name): string => "strength of {$name}", $mix->missing),
        ];
    }

    /**
     * @return array{values: array<string, Quantity|int|bool|string|list<array<string, mixed>>>, missing: list<string>}
     */
    private function equalActive(Fields $in): array
    {
        $used = $in->strength('used');
        $first = $in->reading('strengthOfUsed', null)?->quantity;
        $second = $in->reading('strengthOfOther', null)?->quantity;
        foreach (['strengthOfUsed' => $first, 'strengthOfOther' => $second] as $field => $value) {
            if ($value !== null && $value->dimension() === Dimension::ProductShare) {
                $in->fault($field, 'Say the basis as printed: 41 % w/w, 480 g ae/L or 4 lb ae/gal.');
            }
        }
        if ($in->bool('otherIsReadyToUse', false)) {
            throw Unmixable::readyToUse();
        }
        if ($used === null || $first === null || $second === null || $in->faults->any()) {
            return ['values' => [], 'missing' => []];
        }
        $equal = EqualActive::of($used, $first, $second);

        return ['values' => ['percent' => $equal->percent, 'nominal' => $equal->nominal], 'missing' => []];
    }

    /**
     * @return array{values: array<string, Quantity|int|bool|string|list<array<string, mixed>>>, missing: list<string>}
     */
    private function areaRate(Fields $in): array
    {
        $rate =
            $in->has('rate') && $this->looksDry($in)
                ? $in->quantity('rate', Dimension::MassPerArea)
                : $in->quantity('rate', Dimension::VolumePerArea);
        $area = $in->positive('area', Dimension::Area);
        $spray = $in->positiveOrNull('sprayVolume', Dimension::VolumePerArea);
        $tank = $in->positiveOrNull('tank', Dimension::Volume);
        $passes = $in->int('passes', 1, 20, 1);
        if ($rate === null || $area === null || $passes === null || $in->faults->any()) {
            return ['values' => [], 'missing' => []];
        }
        if (
            $spray !== null &&
            $tank !== null &&
            self::tooMany($in, 'tank', AreaRate::over($spray, $area)->times($passes)->per($tank))
        ) {
            return ['values' => [], 'missing' => []];
        }
        $result = AreaRate::of($rate, $area, $spray, $tank, $passes);
        $values = ['product' => $result->product, 'per-pass' => $result->product->dividedBy($passes)];
        if ($result->spray !== null) {
            $values['spray'] = $result->spray;
        }
        if ($result->loads !== null && $result->productPerLoad !== null) {
            $values = [...$values, 'product-per-load' => $result->productPerLoad, ...$this->loadValues($result->loads)];
            $values['fills'] = array_map(
                static fn(array $fill): array => [
                    'times' => $fill['times'],
                    'finished' => $fill['finished'],
                    'product' => $result->productPerLoad->times($fill['finished']->per($result->loads->tank)),
                ],
                $result->loads->fills(),
            );
        }

        return ['values' => $values, 'missing' => $tank !== null && $spray === null ? ['sprayVolume'] : []];
    }

    /**
     * @return array{values: array<string, Quantity|int|bool|string|list<array<string, mixed>>>, missing: list<string>}
     */
    private function textureRate(Fields $in): array
    {
        $soil = $in->choice('soil', ['coarse', 'medium', 'fine', ...SoilTexture::names()]);
        $finished = $in->positive('finished', Dimension::Volume);
        $rates = $in->object('rates');
        $byClass = [
            'coarse' => $rates->strength('coarse'),
            'medium' => $rates->strength('medium'),
            'fine' => $rates->strength('fine'),
        ];
        $rates->noOthers();
        if ($soil === null || $finished === null || $in->faults->any()) {
            return ['values' => [], 'missing' => []];
        }
        $class = SoilTexture::tryFrom($soil) ?? SoilTexture::ofSoil($soil);
        if ($class === null) {
            return ['values' => [], 'missing' => ["texture class of {$soil}: the card must say"]];
        }
        $strength = $byClass[$class->value];

        return [
            'values' =>
                $strength === null ? [] : ['class' => $class->value, 'product' => $strength->productIn($finished)],
            'missing' => [],
        ];
    }

    /**
     * @return array{values: array<string, Quantity|int|bool|string|list<array<string, mixed>>>, missing: list<string>}
     */
    private function injection(Fields $in): array
    {
        $reader = new SituationReader($this->catalogue);
        $stems = array_values(array_filter(array_map($reader->stems(...), $in->objects('stems', 200, true))));
        $spacing = $in->positive('spacing', Dimension::Length);
        $per = $in->choice('per', ['diameter', 'girth']);
        $perCut = $this->positiveOr(
            $in,
            'perCut',
            Dimension::Volume,
            $this->catalogue->coefficients()->node('cut')->quantity('use'),
        );
        $most = $in->quantityOrNull('mostDiameter', Dimension::Length);
        $least = $in->quantityOrNull('leastDiameter', Dimension::Length);
        $label = $in->quantityOrNull('labelPerStem', Dimension::Volume);
        if ($spacing === null || $per === null || $perCut === null || $in->faults->any()) {
            return ['values' => [], 'missing' => []];
        }
        foreach ($stems as $group) {
            if (self::tooMany($in, 'spacing', Injection::girth($group->forCeilings())->per($spacing))) {
                return ['values' => [], 'missing' => []];
            }
        }
        $result = Injection::of($stems, $spacing, $per, $perCut, $most, $least, $label);
        $values = [
            'cuts' => $result->cuts,
            'treated' => $result->treated,
            'skipped' => $result->skipped,
            'mix' => $result->mix,
            'capped-by-label' => $result->cappedByLabel,
        ];
        if ($result->unclear > 0) {
            // both counts, till somebody parts the class
            $values += [
                'unclear' => $result->unclear,
                'treated-at-least' => $result->treated - $result->unclear,
                'mix-at-least' => $result->mixLeast,
            ];
        }
        if (count($stems) === 1) {
            $diameter = $stems[0]->forCeilings();
            $cuts = Injection::cutsPerTree($diameter, $spacing, $per);
            $values += [
                'girth' => Injection::girth($diameter),
                'cuts-per-stem' => $cuts,
                'round-spacing' => Injection::spacingRound($diameter, $cuts),
            ];
        }

        return [
            'values' => $values,
            'missing' => $result->unclear > 0 ? ['stems sorted at the limit: a class lies on both sides of it'] : [],
        ];
    }

    /**
     * @return array{values: array<string, Quantity|int|bool|string|list<array<string, mixed>>>, missing: list<string>}
     */
    private function basalBand(Fields $in): array
    {
        $reader = new SituationReader($this->catalogue);
        $stems = array_values(array_filter(array_map($reader->stems(...), $in->objects('stems', 200, true))));
        $schools = $reader->schools($in);
        $band = $this->positiveOr($in, 'band', Dimension::Length, $schools->values('basal-band')->quantity('band'));
        $film = $this->positiveOr(
            $in,
            'film',
            Dimension::VolumePerArea,
            $this->catalogue->coefficients()->node('film')->node('basal')->quantity('use'),
        );
        if ($band === null || $film === null || $in->faults->any()) {
            return ['values' => [], 'missing' => []];
        }
        $result = StemBand::of($stems, $band);

        return [
            'values' => [
                'band-area' => $result->area,
                'band' => $band,
                'film' => $film,
                'mix' => StemBand::volume($result->area, $film),
                'treated' => $result->treated,
            ],
            'missing' => [],
        ];
    }

    /**
     * @return array{values: array<string, Quantity|int|bool|string|list<array<string, mixed>>>, missing: list<string>}
     */
    private function stumpFace(Fields $in): array
    {
        $reader = new SituationReader($this->catalogue);
        $stems = array_values(array_filter(array_map($reader->stems(...), $in->objects('stems', 200, true))));
        $ring = $this->catalogue->coefficients()->node('stumpRing');
        $from = $ring->quantity('from');
        $width = $this->positiveOr($in, 'ringWidth', Dimension::Length, $ring->quantity('width'));
        $carrier = $in->choiceOrNull('carrier', ['water', 'oil']) ?? 'water';
        $height = $in->quantityOrNull('stumpHeight', Dimension::Length) ?? Quantity::of(4, Unit::Inch);
        $film = $this->positiveOr(
            $in,
            'film',
            Dimension::VolumePerArea,
            $this->catalogue->coefficients()->node('film')->node('stump')->quantity('use'),
        );
        if ($from === null || $width === null || $film === null || $in->faults->any()) {
            return ['values' => [], 'missing' => []];
        }
        $area = StumpFace::total($stems, $from, $width, $carrier === 'oil' ? $height : null);
        $values = ['treated-area' => $area, 'mix' => StemBand::volume($area, $film), 'film' => $film];
        if (count($stems) === 1) {
            $values['whole'] = StumpFace::ofOne($stems[0]->forSums(), $from, $width)->whole;
        }

        return ['values' => $values, 'missing' => []];
    }

    /**
     * @return array{values: array<string, Quantity|int|bool|string|list<array<string, mixed>>>, missing: list<string>}
     */
    private function basalStrength(Fields $in): array
    {
        $diameter = $in->positive('diameter', Dimension::Length);
        $texture = $in->choiceOrNull('texture', ['smooth', 'rough']);
        $schools = (new SituationReader($this->catalogue))->schools($in);
        if ($diameter === null || $in->faults->any()) {
            return ['values' => [], 'missing' => []];
        }
        $percent = BasalStrength::for($diameter, $texture, $schools);

        return $percent === null
            ? ['values' => [], 'missing' => ['bark-texture']]
            : ['values' => ['percent' => $percent], 'missing' => []];
    }

    /**
     * @return array{values: array<string, Quantity|int|bool|string|list<array<string, mixed>>>, missing: list<string>}
     */
    private function loads(Fields $in): array
    {
        $total = $in->positive('total', Dimension::Volume);
        $tank = $in->positive('tank', Dimension::Volume);

        return [
            'values' =>
                $total === null || $tank === null || self::tooMany($in, 'tank', $total->per($tank))
                    ? []
                    : $this->loadValues(TankPlan::of($total, $tank)),
            'missing' => [],
        ];
    }

    /**
     * @return array{values: array<string, Quantity|int|bool|string|list<array<string, mixed>>>, missing: list<string>}
     */
    private function measure(Fields $in): array
    {
        $amount = $in->positive('amount', Dimension::Volume);
        $graduation = $in->positive('graduation', Dimension::Volume);
        $holds = $in->positive('holds', Dimension::Volume);
        $most = $in->quantityOrNull('labelMost', Dimension::Volume);
        if ($amount === null || $graduation === null || $holds === null || $in->faults->any()) {
            return ['values' => [], 'missing' => []];
        }
        $tool = new MeasuringTool('tool', $graduation, $holds);
        [$above, $tooSmall, $tooCoarse] = [
            $most !== null && $amount->isGreaterThan($most),
            $graduation->isGreaterThan($holds),
            !$tool->reads($amount, $most),
        ];
        $above && $in->fault('amount', 'This is above the most on the label card, ' . self::said($most) . '.');
        $tooSmall && $in->fault('graduation', 'One mark cannot be more than the tool holds.');
        $tooCoarse &&
            !$above &&
            !$tooSmall &&
            $in->fault(
                'graduation',
                'This tool cannot read so little: take one with marks of ' .
                    self::said($amount) .
                    ' or finer, or make a larger batch.',
            );
        if (
            $above ||
            $tooSmall ||
            $tooCoarse ||
            self::tooMany($in, 'holds', $amount->per($holds)) ||
            self::tooMany($in, 'graduation', $amount->per($graduation)->dividedBy(1000))
        ) {
            return ['values' => [], 'missing' => []];
        }
        $read = $tool->measure($amount, $most);

        return [
            'values' => [
                'measured' => $read['measured'],
                'fillings' => $read['fillings'],
                'error-percent' => Quantity::of($read['errorPercent'], Unit::One),
            ],
            'missing' => [],
        ];
    }

    /** In both systems, for a sentence of a fault. */
    private static function said(?Quantity $quantity): string
    {
        $both = $quantity === null ? ['us' => '', 'metric' => ''] : Shown::both($quantity);

        return "{$both['us']} ({$both['metric']})";
    }

    /** @return list<array{what: string, amount?: Quantity}> */
    private static function order(FinishedMix $mix): array
    {
        return array_map(
            static fn(array $step): array => ['what' => $step['what']] +
                ($step['amount'] === null ? [] : ['amount' => $step['amount']]),
            $mix->loadingOrder(),
        );
    }

    /** So many of anything that somebody mixed up the units. */
    private static function tooMany(Fields $in, string $field, BigRational $times): bool
    {
        if (!$times->isGreaterThan(self::MOST_TIMES)) {
            return false;
        }
        $in->fault($field, 'That would be more than ' . number_format(self::MOST_TIMES) . ' times: look at the units.');

        return true;
    }

    /** @return array<string, Quantity|int> */
    private function loadValues(TankPlan $plan): array
    {
        return ['loads' => $plan->count(), 'whole-loads' => $plan->whole()] +
            ($plan->lastPart() === null ? [] : ['last-part' => $plan->lastPart()]);
    }

    /** As typed, or our working value where the field is left out. */
    private function positiveOr(Fields $in, string $name, Dimension $dimension, ?Quantity $working): ?Quantity
    {
        if (!$in->has($name)) {
            $in->raw($name);

            return $working;
        }

        return $in->positive($name, $dimension);
    }

    private function looksDry(Fields $in): bool
    {
        $value = $in->raw('rate');
        $text = is_array($value)
            ? (is_string($value['typed'] ?? null)
                ? $value['typed']
                : (is_string($value['unit'] ?? null)
                    ? $value['unit']
                    : ''))
            : (is_string($value)
                ? $value
                : '');

        return preg_match('/dry|oz_wt|\b(g|kg|lb)\b/i', $text) === 1;
    }
}
