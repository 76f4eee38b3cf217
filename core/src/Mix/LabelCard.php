<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Input\Fields;
use Thicket\Knowledge\Catalogue;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;

/** One version of what the user copied from a product's label (handbook 3 "Label first"). Immutable; the law for its product. */
final readonly class LabelCard
{
    public const FORMULATIONS = ['soluble-liquid', 'emulsifiable', 'oil-soluble-ester', 'water-dispersible-granule', 'granule', 'ready-to-use'];

    /**
     * @param list<array{active: string, amount: Quantity}> $actives
     * @param list<string> $carriers water, oil
     * @param list<string> $sites
     * @param array<string, array{min: ?Strength, max: ?Strength, perStem: ?Quantity, rateLeast: ?Quantity, rateMost: ?Quantity, spray: ?Quantity}> $methods by method id; rate is product and spray is mix per treated area
     */
    public function __construct(
        public string $id,
        public string $product,
        public string $registration,
        public int $version,
        public bool $confirmed,
        public array $actives,
        public string $formulation,
        public array $carriers,
        public array $sites,
        public array $methods,
        public bool $aquaticAllowed,
        public ?Quantity $waterBuffer,
        public ?Quantity $yearlyMaximum,
        public ?int $intervalDays,
        public ?int $rainfastHours,
        public ?Quantity $coldest,
        public ?Quantity $hottest,
        public ?Quantity $windMost,
        public ?int $reentryHours,
        public bool $licensedOnly,
        public ?bool $surfactantInside,
        public bool $soilActive,
        public string $wearing,
        public string $firstAid,
        /** Days a preventer needs before it works; null where the card says nothing (handbook 8 preventer-lead). */
        public ?int $leadDays = null,
        public ?int $lastingDays = null,
        /** Days before stock may graze, and before hay may be cut; missing is not the same as none (rulings J40). */
        public ?int $grazingDays = null,
        public ?int $hayDays = null,
        public ?CardDetails $details = null,
    ) {
    }

    /** Reads a card from outside; faults are noted at their fields. Null when it cannot be used. */
    public static function read(Fields $in, Catalogue $catalogue): ?self
    {
        $before = $in->faults->any();
        $actives = [];
        foreach ($in->objects('actives', 6, true) as $item) {
            $id = $item->text('active');
            if ($id !== null && !$catalogue->hasActive($id)) {
                $item->fault('active', 'This active is not in the catalogue; use its common chemical name, such as glyphosate.');
            }
            $reading = $item->reading('amount', null);
            if ($reading !== null && !in_array($reading->quantity->dimension(), [Dimension::EquivalentPerVolume, Dimension::IngredientPerVolume, Dimension::MassPerVolume, Dimension::MassShare], true)) {
                $item->fault('amount', 'Give the strength of the product as printed, such as 480 g ae/L, 4 lb ae/gal or 41 % w/w.');
            } elseif ($reading !== null && $reading->quantity->isZero()) {
                $item->fault('amount', 'This must be above zero.');
            } elseif ($reading !== null && $reading->quantity->dimension() === Dimension::MassShare && $reading->quantity->compareTo(Quantity::of(100, Unit::PercentByWeight)) > 0) {
                $item->fault('amount', 'A percentage cannot be above 100.');
            }
            $item->noOthers();
            if ($id !== null && $reading !== null) {
                $actives[] = ['active' => $id, 'amount' => $reading->quantity];
            }
        }
        $methods = [];
        foreach ($in->objects('methods', 40, true) as $item) {
            $id = $item->text('method');
            if ($id !== null && !$catalogue->hasMethod($id)) {
                $item->fault('method', 'This method is not in the catalogue.');
            }
            $min = $item->strengthOrNull('min');
            $max = $item->strengthOrNull('max');
            if ($min !== null && $max !== null && $min->share->isGreaterThan($max->share)) {
                $item->fault('max', 'The most must not be below the least.');
            }
            $perStem = $item->quantityOrNull('perStem', Dimension::Volume);
            $rates = self::rates($item);
            $item->noOthers();
            if ($id !== null) {
                $methods[$id] = ['min' => $min, 'max' => $max, 'perStem' => $perStem] + $rates;
            }
        }
        $yearly = $in->has('yearlyMaximum') ? $in->reading('yearlyMaximum', null)?->quantity : $in->quantityOrNull('yearlyMaximum', Dimension::EquivalentPerArea);
        if ($yearly !== null && !in_array($yearly->dimension(), [Dimension::EquivalentPerArea, Dimension::VolumePerArea, Dimension::MassPerArea], true)) {
            $in->fault('yearlyMaximum', 'Give an amount per area, such as 8 kg ae/ha or 2 gal/ac.');
        }
        $coldest = $in->quantityOrNull('coldest', Dimension::Temperature);
        $hottest = $in->quantityOrNull('hottest', Dimension::Temperature);
        if ($coldest !== null && $hottest !== null && $coldest->isGreaterThan($hottest)) {
            $in->fault('hottest', 'The highest temperature must not be below the lowest.');
        }
        $card = [
            'id' => $in->textOrNull('id', 64) ?? '',
            'product' => $in->text('product', 120),
            'registration' => $in->text('registration', 60),
            'version' => $in->int('version', 1, 9999, 1),
            'confirmed' => $in->bool('confirmed', false),
            'formulation' => $in->choice('formulation', self::FORMULATIONS),
            'carriers' => $in->strings('carriers', ['water', 'oil']),
            'sites' => $in->strings('sites', $catalogue->sites()),
            'aquatic' => $in->bool('aquaticAllowed', false),
            'buffer' => $in->quantityOrNull('waterBuffer', Dimension::Length),
            'interval' => $in->has('intervalDays') ? $in->int('intervalDays', 0, 1000) : null,
            'rainfast' => $in->has('rainfastHours') ? $in->int('rainfastHours', 0, 240) : null,
            'wind' => $in->quantityOrNull('windMost', Dimension::Speed),
            'reentry' => $in->has('reentryHours') ? $in->int('reentryHours', 0, 2000) : null,
            'licensed' => $in->bool('licensedOnly', false),
            'surfactant' => $in->has('surfactantInside') ? $in->bool('surfactantInside', false) : null,
            'soil' => $in->bool('soilActive', false),
            'wearing' => $in->textOrNull('wearing', 1000) ?? '',
            'firstAid' => $in->textOrNull('firstAid', 2000) ?? '',
        ];
        $days = [];
        foreach (['leadDays', 'lastingDays', 'grazingDays', 'hayDays'] as $name) {
            $days[$name] = $in->has($name) ? $in->int($name, 0, 2000) : null;
        }
        foreach (['intervalDays', 'rainfastHours', 'reentryHours', 'surfactantInside', 'leadDays', 'lastingDays', 'grazingDays', 'hayDays'] as $optional) {
            $in->has($optional) || $in->raw($optional);
        }
        $details = CardDetails::read($in);
        $in->noOthers();
        if ($in->faults->any() && !$before || $card['product'] === null || $card['registration'] === null || $card['version'] === null || $card['formulation'] === null) {
            return null;
        }

        return new self(
            $card['id'],
            $card['product'],
            $card['registration'],
            $card['version'],
            $card['confirmed'],
            $actives,
            $card['formulation'],
            $card['carriers'],
            $card['sites'],
            $methods,
            $card['aquatic'],
            $card['buffer'],
            $yearly,
            $card['interval'],
            $card['rainfast'],
            $coldest,
            $hottest,
            $card['wind'],
            $card['reentry'],
            $card['licensed'],
            $card['surfactant'],
            $card['soil'],
            $card['wearing'],
            $card['firstAid'],
            $days['leadDays'],
            $days['lastingDays'],
            $days['grazingDays'],
            $days['hayDays'],
            $details,
        );
    }

    /** @return array{rateLeast: ?Quantity, rateMost: ?Quantity, spray: ?Quantity} of one use; liquid or dry product per area */
    private static function rates(Fields $item): array
    {
        $rates = [];
        foreach (['rateLeast', 'rateMost', 'spray'] as $name) {
            $rate = $item->has($name) ? $item->reading($name, null)?->quantity : null;
            $item->has($name) || $item->raw($name);
            $dry = $name !== 'spray' && $rate?->dimension() === Dimension::MassPerArea;
            if ($rate !== null && ($rate->isZero() || (!$dry && $rate->dimension() !== Dimension::VolumePerArea))) {
                $item->fault($name, $name === 'spray' ? 'Give the mix per area, such as 20 gal/ac or 200 L/ha.' : 'Give an amount per area, such as 2 qt/ac, 3 L/ha or 1 oz/ac of a dry product.');
                $rate = null;
            }
            $rates[$name] = $rate;
        }
        [$least, $most] = [$rates['rateLeast'], $rates['rateMost']];
        if ($least !== null && $most !== null && ($least->dimension() !== $most->dimension() || $least->isGreaterThan($most))) {
            $item->fault('rateMost', 'The most must be of the same kind as the least, and not below it.');
        }

        return ['rateLeast' => $rates['rateLeast'], 'rateMost' => $rates['rateMost'], 'spray' => $rates['spray']];
    }

    public function holds(string $activeId): bool
    {
        return in_array($activeId, array_column($this->actives, 'active'), true);
    }

    public function allowsMethod(string $methodId): bool
    {
        return isset($this->methods[$methodId]);
    }

    public function most(string $methodId): ?Strength
    {
        return $this->methods[$methodId]['max'] ?? null;
    }

    public function least(string $methodId): ?Strength
    {
        return $this->methods[$methodId]['min'] ?? null;
    }

    /** mL or fl oz of mix that the label allows per stem. */
    public function perStem(string $methodId): ?Quantity
    {
        return $this->methods[$methodId]['perStem'] ?? null;
    }

    /** Most product per treated area in one application. */
    public function rateMost(string $methodId): ?Quantity
    {
        return $this->methods[$methodId]['rateMost'] ?? null;
    }

    public function rateLeast(string $methodId): ?Quantity
    {
        return $this->methods[$methodId]['rateLeast'] ?? null;
    }

    /** Mix per treated area, as the label asks. */
    public function spray(string $methodId): ?Quantity
    {
        return $this->methods[$methodId]['spray'] ?? null;
    }

    public function isReadyToUse(): bool
    {
        return $this->formulation === 'ready-to-use';
    }
}
