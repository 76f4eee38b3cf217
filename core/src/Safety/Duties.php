<?php

declare(strict_types=1);

namespace Thicket\Safety;

use Thicket\Assess\Rules\Downwind;
use Thicket\Assess\Rules\WaterEdge;
use Thicket\Catalogue\FactName;
use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\ProtectedFeature;
use Thicket\Situation\Situation;

/**
 * What has to be settled with others before a job: the right to treat (rulings J20), permits that gate the step (J15,
 * handbook 5), notices to bee keepers, growers, neighbours, people on paths, schools (J19, J39).
 */
final class Duties
{
    /** Days before the work by which people are told, where no local rule asks for more (our guess). */
    private const TELL_DAYS_BEFORE = 2;
    /** How near makes it due; houses as far as the widest ground that nobody enters. */
    private const NEAR_METRES = [
        'hive' => Downwind::HIVE_METRES,
        'organic' => Downwind::CROP_METRES,
        'crop' => Downwind::CROP_METRES,
        'building' => Downwind::NEAR_METRES,
    ];
    private const TOLD = [
        'hive' => DutyKind::BeeKeeper,
        'organic' => DutyKind::Grower,
        'crop' => DutyKind::Grower,
        'building' => DutyKind::Neighbour,
    ];

    private function __construct() {}

    /**
     * @param non-empty-list<Option> $tank the product of the step and its partners
     *
     * @return list<Duty> papers first
     */
    public static function of(Situation $situation, array $tank): array
    {
        return [...self::papers($situation, $tank), ...self::notices($situation, $tank)];
    }

    /** The day by which people are told of work on a day. */
    public static function tellBy(\DateTimeImmutable $work): \DateTimeImmutable
    {
        return $work->modify('-' . self::TELL_DAYS_BEFORE . ' days');
    }

    /**
     * @param non-empty-list<Option> $tank
     *
     * @return list<Duty>
     */
    private static function papers(Situation $situation, array $tank): array
    {
        $method = $tank[0]->method;
        $cards = array_merge([], ...array_map(static fn(Option $one): array => $one->cards(), $tank));
        $water = $situation->isYes(FactName::Floods) === true ? null : $situation->waterDistance();
        $kept = array_values(
            array_filter($situation->keepers, static fn(ProtectedFeature $k): bool => $k->kind === 'habitat'),
        );
        $due = [new Duty(DutyKind::Owner)];
        array_filter($tank, static fn(Option $one): bool => WaterEdge::wantsPermit($situation, $one)) !== [] &&
            ($due[] = new Duty(DutyKind::WaterPermit, null, $water));
        $method->work() === 'fire' && ($due[] = new Duty(DutyKind::FirePermit));
        $method->usesProduct() &&
            $situation->word(FactName::Setting) === 'roadside-trail' &&
            ($due[] = new Duty(DutyKind::RoadPermit));
        if ($kept !== []) {
            $due[] = new Duty(DutyKind::ProtectedLife, $kept[0]->name, $kept[0]->distance);
        } elseif (array_filter($cards, static fn(LabelCard $c): bool => $c->details->protectedLifeCheck()) !== []) {
            $due[] = new Duty(DutyKind::ProtectedLife);
        }

        return $due;
    }

    /**
     * @param non-empty-list<Option> $tank
     *
     * @return list<Duty>
     */
    private static function notices(Situation $situation, array $tank): array
    {
        $option = $tank[0];
        $product = $option->method->usesProduct();
        $due = [];
        foreach ($option->isLeafSpray() ? $situation->keepers : [] as $keeper) {
            $kind = self::TOLD[$keeper->kind] ?? null;
            $near =
                $keeper->distance === null ||
                !$keeper->distance->isGreaterThan(Quantity::of(self::NEAR_METRES[$keeper->kind] ?? 0, Unit::Metre));
            // what stands among the targets is the crew's own crop
            $kind !== null &&
                $near &&
                !($keeper->kind === 'crop' && $keeper->isAmongTargets()) &&
                ($due[] = new Duty($kind, $keeper->name, $keeper->distance));
        }
        $drawn = array_filter($due, static fn(Duty $one): bool => $one->kind === DutyKind::BeeKeeper) !== [];
        $option->isLeafSpray() &&
            !$drawn &&
            $situation->isYes(FactName::HivesNear) === true &&
            ($due[] = new Duty(DutyKind::BeeKeeper));
        ($product || $option->method->work() === 'fire') &&
            $situation->isYes(FactName::PublicWay) === true &&
            ($due[] = new Duty(DutyKind::PathUsers));
        $product && $situation->isYes(FactName::SchoolGround) === true && ($due[] = new Duty(DutyKind::School));

        return $due;
    }
}
