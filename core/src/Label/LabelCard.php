<?php

declare(strict_types=1);

namespace Thicket\Label;

use Thicket\Catalogue\Active;
use Thicket\Catalogue\Carrier;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\SoilTexture;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;

/**
 * One version of what the user copied from a product's label (handbook 3 "Label first"). Immutable; the law for its
 * product.
 */
final readonly class LabelCard
{
    public const FORMULATIONS = [
        'soluble-liquid',
        'emulsifiable',
        'oil-soluble-ester',
        'water-dispersible-granule',
        'granule',
        'ready-to-use',
    ];

    /* Asked for wherever a card is named. */
    public string $id;
    public string $product;
    public int $version;
    public bool $confirmed;

    /** More than six: the seven parts of a label are its own. */
    public function __construct(
        public Product $of,
        public Composition $contents,
        public Directions $directions,
        public StartConditions $start,
        public Intervals $intervals,
        public Protection $protection,
        public CardDetails $details,
    ) {
        $this->id = $of->id;
        $this->product = $of->name;
        $this->version = $of->version;
        $this->confirmed = $of->confirmed;
    }

    /** Reads a card from outside; faults are noted at their fields. Null when it cannot be used. */
    public static function read(Fields $in, Catalogue $catalogue): ?self
    {
        $before = $in->faults->any();
        $actives = self::actives($in, $catalogue);
        $uses = self::uses($in, $catalogue);
        $ceilings = [
            LabelLimit::limits($in, [], null, 'applicationMaximum', 'yearlyMaximum'),
            ...array_map(
                static fn(Fields $line): LabelLimit => LabelLimit::read($line, $catalogue),
                $in->objects('siteLimits', 20),
            ),
        ];
        $coldest = $in->quantityOrNull('coldest', Dimension::Temperature);
        $hottest = $in->quantityOrNull('hottest', Dimension::Temperature);
        if ($coldest !== null && $hottest !== null && $coldest->isGreaterThan($hottest)) {
            $in->fault('hottest', 'The highest temperature must not be below the lowest.');
        }
        $id = $in->textOrNull('id', 64) ?? '';
        $name = $in->text('product', 120);
        $registration = $in->text('registration', 60);
        $version = $in->int('version', 1, 9999, 1);
        $confirmed = $in->bool('confirmed', false);
        $formulation = $in->choice('formulation', self::FORMULATIONS);
        $carriers = $in->strings('carriers', Carrier::ALL);
        $sites = $in->strings('sites', $catalogue->sites());
        $count = static function (string $field, int $most) use ($in): ?int {
            $number = $in->has($field) ? $in->int($field, 0, $most) : null;
            $in->has($field) || $in->raw($field);

            return $number;
        };
        $aquatic = $in->bool('aquaticAllowed', false);
        $buffer = $in->quantityOrNull('waterBuffer', Dimension::Length);
        $start = new StartConditions(
            $coldest,
            $hottest,
            $in->quantityOrNull('windMost', Dimension::Speed),
            $count('rainfastHours', 240),
            $aquatic,
            $buffer,
        );
        $surfactant = $in->has('surfactantInside') ? $in->bool('surfactantInside', false) : null;
        $in->has('surfactantInside') || $in->raw('surfactantInside');
        $soilActive = $in->bool('soilActive', false);
        $protection = new Protection(
            $in->textOrNull('wearing', 1000) ?? '',
            $in->textOrNull('firstAid', 2000) ?? '',
            $in->bool('licensedOnly', false),
            $count('reentryHours', 2000),
            $in->quantityOrNull('exclusionDistance', Dimension::Length),
        );
        $intervals = new Intervals(
            $count('leadDays', 2000),
            $count('lastingDays', 2000),
            $count('grazingDays', 2000),
            $count('hayDays', 2000),
        );
        $formerNames = $in->strings('formerNames', null, 12);
        $plants = CardDetails::readPlants($in, $catalogue);
        $soil = CardDetails::readSoilWork($in);
        $density = CardDetails::readDensity($in);
        $fertiliser = CardDetails::readFertiliser($in);
        $details = CardDetails::read($in);
        $in->noOthers();
        if (
            ($in->faults->any() && !$before) ||
            $name === null ||
            $registration === null ||
            $version === null ||
            $formulation === null
        ) {
            return null;
        }

        return new self(
            new Product($id, $version, $confirmed, $name, $registration, $formerNames),
            new Composition($actives, $formulation, $surfactant, $soilActive, $density, $fertiliser),
            new Directions($uses, $sites, $carriers, $ceilings, $plants, $soil),
            $start,
            $intervals,
            $protection,
            $details,
        );
    }

    /** @return list<array{active: string, amount: Quantity}> */
    private static function actives(Fields $in, Catalogue $catalogue): array
    {
        $actives = [];
        foreach ($in->objects('actives', 6, true) as $item) {
            $id = $item->text('active');
            if ($id !== null && !$catalogue->hasActive($id)) {
                $item->fault(
                    'active',
                    'This active is not in the catalogue; use its common chemical name, such as glyphosate.',
                );
            }
            $reading = $item->reading('amount', null);
            if (
                $reading !== null &&
                !in_array(
                    $reading->quantity->dimension(),
                    [
                        Dimension::EquivalentPerVolume,
                        Dimension::IngredientPerVolume,
                        Dimension::MassPerVolume,
                        Dimension::MassShare,
                    ],
                    true,
                )
            ) {
                $item->fault(
                    'amount',
                    'Give the strength of the product as printed, such as 480 g ae/L, 4 lb ae/gal or 41 % w/w.',
                );
            } elseif ($reading !== null && $reading->quantity->isZero()) {
                $item->fault('amount', 'This must be above zero.');
            } elseif (
                $reading !== null &&
                $reading->quantity->dimension() === Dimension::MassShare &&
                $reading->quantity->compareTo(Quantity::of(100, Unit::PercentByWeight)) > 0
            ) {
                $item->fault('amount', 'A percentage cannot be above 100.');
            }
            $item->noOthers();
            if ($id !== null && $reading !== null) {
                $actives[] = ['active' => $id, 'amount' => $reading->quantity];
            }
        }

        return $actives;
    }

    /** @return list<CardUse> */
    private static function uses(Fields $in, Catalogue $catalogue): array
    {
        $uses = [];
        foreach ($in->objects('methods', 80, true) as $item) {
            $use = CardUse::read($item, $catalogue);
            $unparted = static fn(CardUse $other): bool => !$other->isParted() && $other->method === $use?->method;
            if ($use !== null && !$use->isParted() && array_filter($uses, $unparted) !== []) {
                $item->fault(
                    'method',
                    'This use stands here already; a second line of it needs the growth stages or the dates it ' .
                        'holds for.',
                );
            }
            $use === null || ($uses[] = $use);
        }

        return $uses;
    }

    public function holds(string $activeId): bool
    {
        return in_array($activeId, array_column($this->contents->actives, 'active'), true);
    }

    /**
     * The limits that hold for an active on a site: those of the site, completed by those for all, else those for all.
     *
     * @param string|null $site null where nobody said what the ground is
     *
     * @return non-empty-list<LabelLimit>
     */
    public function limits(?string $site, string $activeId): array
    {
        $all = $this->directions->ceilings[0];
        $own = array_filter(
            array_slice($this->directions->ceilings, 1),
            static fn(LabelLimit $c): bool => $c->holdsFor($site, $activeId),
        );

        return $own === []
            ? [$all]
            : array_values(array_map(static fn(LabelLimit $c): LabelLimit => $c->over($all), $own));
    }

    /**
     * Actives of the card that have limits of their own on a site, besides the one asked for.
     *
     * @return list<string>
     */
    public function limitedBesides(?string $site, string $activeId): array
    {
        $named = array_filter(
            array_slice($this->directions->ceilings, 1),
            static fn(LabelLimit $c): bool => $c->active !== null &&
                $c->active !== $activeId &&
                $c->holdsFor($site, $c->active),
        );

        return array_values(array_unique(array_map(static fn(LabelLimit $c): string => (string) $c->active, $named)));
    }

    /**
     * Active in a rate of product: grams of acid equivalent or of active ingredient per hectare, by what the label
     * prints.
     *
     * @return Quantity|null null where the card names no such basis; a weight share of a liquid wants its weight a
     *     litre too
     */
    public function activeIn(string $activeId, Quantity $rate): ?Quantity
    {
        $strength = array_column($this->contents->actives, 'amount', 'active')[$activeId] ?? null;
        if ($strength === null) {
            return null;
        }
        $kind = $strength->dimension();
        $share = $kind === Dimension::MassShare ? $strength->in(Unit::PercentByWeight)->dividedBy(100) : null;
        $density = $this->contents->density;

        return match (true) {
            $rate->dimension() === Dimension::MassPerArea => $share === null
                ? null
                : Quantity::of($rate->in(Unit::GramPerHectare)->multipliedBy($share), Unit::GramIngredientPerHectare),
            $rate->dimension() !== Dimension::VolumePerArea => null,
            $kind === Dimension::EquivalentPerVolume => Quantity::of(
                $rate->in(Unit::LitrePerHectare)->multipliedBy($strength->in(Unit::GramEquivalentPerLitre)),
                Unit::GramEquivalentPerHectare,
            ),
            $kind === Dimension::IngredientPerVolume => Quantity::of(
                $rate->in(Unit::LitrePerHectare)->multipliedBy($strength->in(Unit::GramIngredientPerLitre)),
                Unit::GramIngredientPerHectare,
            ),
            $share !== null && $density !== null => Quantity::of(
                $rate->in(Unit::LitrePerHectare)->multipliedBy($density->in(Unit::GramPerLitre))->multipliedBy($share),
                Unit::GramIngredientPerHectare,
            ),
            default => null,
        };
    }

    public function allowsMethod(string $methodId): bool
    {
        return $this->lines($methodId) !== [];
    }

    /** @return list<CardUse> every line of a use, whatever day it is */
    public function lines(string $methodId): array
    {
        return array_values(
            array_filter($this->directions->uses, static fn(CardUse $use): bool => $use->method === $methodId),
        );
    }

    /**
     * The line of a use that holds on a day: one for this very stage or season before one for all; where the stage is
     * not known, the strictest of those that may hold. Null where the card does not list the use, or not then.
     *
     * @param string|null $stage growth stage; null where nobody knows it
     */
    public function use(string $methodId, ?string $stage, \DateTimeImmutable $day, ?SoilTexture $soil = null): ?CardUse
    {
        $lines = $this->lines($methodId);
        $mayHold = array_filter($lines, static fn(CardUse $use): bool => $use->holds($stage, $day, $soil) !== false);
        $parted = array_filter($mayHold, static fn(CardUse $use): bool => $use->isParted());
        $unsure = array_filter($parted, static fn(CardUse $use): bool => $use->holds($stage, $day, $soil) === null);
        $strictest = null;
        foreach ($parted !== [] && $unsure === [] ? $parted : $mayHold as $use) {
            $strictest = $strictest === null || $use->isStricterThan($strictest) ? $use : $strictest;
        }

        return $strictest;
    }

    /** Granules and pellets strewn dry, by weight over an area; water-dispersible granules are mixed (rulings J63). */
    public function isSpreadDry(): bool
    {
        return $this->contents->formulation === 'granule';
    }

    public function isReadyToUse(): bool
    {
        return $this->contents->formulation === 'ready-to-use';
    }
}
