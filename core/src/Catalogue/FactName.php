<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Measure\Dimension;

/** The closed list of facts the rules read, with the kind of value and how long an observation holds (rulings B24). */
enum FactName: string
{
    case Setting = 'setting';
    case Stage = 'stage';
    case BarkTexture = 'bark-texture';
    case BarkThickness = 'bark-thickness';
    case Height = 'height';
    case BarkWetness = 'bark-wetness';
    case LeafWetness = 'leaf-wetness';
    case SnowAtBase = 'snow-at-base';
    case SiltOnBark = 'silt-on-bark';
    case Drought = 'drought';
    case LeafDamage = 'leaf-damage';
    case FreshFlush = 'fresh-flush';
    case LastMown = 'last-mown';
    case SoilMoisture = 'soil-moisture';
    case SoilTemperature = 'soil-temperature-30cm';
    case GrassAtBase = 'grass-at-base';
    case WaterDistance = 'water-distance';
    case WindSpeed = 'wind-speed';
    case AirTemperature = 'air-temperature';
    case Fruiting = 'fruiting';
    case BeesFlying = 'bees-flying';
    case FoodTaken = 'food-taken';
    case RootForm = 'root-form';
    case LeafOut = 'leaf-out';
    case WindFrom = 'wind-from';
    case DiameterAt = 'diameter-at';
    case TreatedArea = 'treated-area';
    case RowSpacing = 'row-spacing';
    case StripSide = 'strip-side';
    case PlantedOn = 'planted-on';
    case TrunkGuards = 'trunk-guards';
    case GreenBark = 'green-bark';
    case SoilTexture = 'soil-texture';
    case WeedsUp = 'weeds-up';
    case SelfSownKept = 'self-sown-kept';
    case SownNext = 'sown-next';
    case AboveKeepers = 'above-keepers';
    case PublicWay = 'public-way';
    case ChildrenPets = 'children-pets';
    case SchoolGround = 'school-ground';
    case LocalRule = 'local-rule';
    case Volunteers = 'volunteers';
    case Slope = 'slope';
    case ShallowGroundwater = 'shallow-groundwater';
    case GrazedFrom = 'grazed-from';
    case HayOn = 'hay-on';
    case HoursAtHand = 'hours-at-hand';
    case StockKind = 'stock-kind';
    case Litter = 'litter';
    case Cover = 'cover';
    case Purpose = 'purpose';
    case GreenLeaf = 'green-leaf';
    case GrassForm = 'grass-form';
    case SownCrop = 'sown-crop';
    case TargetCover = 'target-cover';
    case HivesNear = 'hives-near';
    case SprayedLately = 'sprayed-lately';
    case LeavesLimp = 'leaves-limp';
    case Shade = 'shade';
    case Floods = 'floods';
    case ThornsKept = 'thorns-kept';
    case CropUp = 'crop-up';
    case FlowersAround = 'flowers-around';
    case FellingPlanned = 'felling-planned';
    case DebrisGone = 'debris-gone';
    case FreezeOn = 'freeze-on';
    case WorkingDepth = 'working-depth';
    case TrunkDiameter = 'trunk-diameter';
    case TreatFrom = 'treat-from';
    case TreatBelow = 'treat-below';
    case RemovalFor = 'removal-for';
    case KeptAsSnags = 'kept-as-snags';
    case BarkDiseased = 'bark-diseased';
    case FirstFound = 'first-found';
    case AlsoStage = 'also-stage';
    case LeafCount = 'leaf-count';
    case Floor = 'floor';
    case Irrigated = 'irrigated';
    case SoilWorkable = 'soil-workable';
    case CoverKind = 'cover-kind';
    case PlantedTrees = 'planted-trees';

    /** Growth stages in the order in which a year shows them: of herbs and grasses, then of wood. */
    private const STAGES = [
        ...['cotyledon', 'seedling', 'rosette', 'vegetative', 'growing', 'tillering', 'shoot-emergence', 'bolting'],
        ...['boot', 'heading', 'bud', 'flower', 'full-flower', 'seed-set', 'seed', 'dead'],
        ...['sap-rise', 'leaf-out', 'new-soft-flush', 'full-leaf', 'fruit', 'after-fruit', 'colour-change'],
        ...['leaf-fall', 'autumn-regrowth', 'dormant'],
    ];

    /** Eight winds, an eighth of the circle each, from north by east. */
    public const COMPASS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'];

    /**
     * @return list<string>|null values a fact may take; null where it is measured, dated, yes/no or one of a list of
     * the catalogue
     */
    public function choices(): ?array
    {
        return match ($this) {
            self::Stage, self::AlsoStage => self::STAGES,
            self::RemovalFor => [
                'light',
                'access',
                'stock',
                'fire',
                'habitat',
                'planting',
                'harvest',
                'water',
                'safety',
                'looks',
            ],
            self::LeafCount => ['seed-leaves', 'two-to-four', 'five-or-more'],
            self::Floor => ['sod', 'clover', 'bare', 'mulch'],
            self::BarkTexture => ['smooth', 'rough'],
            self::BarkThickness => ['thin', 'thick', 'corky'],
            self::BarkWetness, self::LeafWetness => ['dry', 'wet'],
            self::SoilMoisture => ['dry', 'moist', 'wet'],
            self::WindFrom => self::COMPASS,
            self::DiameterAt => ['base', 'breast-height'],
            self::SoilTexture => [
                'sand',
                'loamy-sand',
                'sandy-loam',
                'silt',
                'loam',
                'silt-loam',
                'sandy-clay-loam',
                'sandy-clay',
                'clay',
                'clay-loam',
                'silty-clay-loam',
                'silty-clay',
            ],
            self::Slope => ['level', 'gentle', 'steep'],
            self::StockKind => ['none', 'milking-cows', 'dry-dairy', 'beef', 'sheep-goats', 'horses', 'other'],
            self::Litter => ['none', 'dry', 'wet'],
            self::Cover => ['solid-thicket', 'mixed', 'mostly-grass'],
            self::Purpose => ['keep-down', 'kill-root'],
            self::GreenLeaf => ['more-than-half', 'about-half', 'less-than-half', 'none'],
            self::GrassForm => ['broad', 'narrow'],
            self::SownCrop => ['grass', 'native-mix', 'legume', 'cucurbit', 'sweet-corn', 'other-broadleaf', 'trees'],
            self::TargetCover => ['trace', 'sparse', 'patchy', 'half', 'most', 'full'],
            self::RootForm => ['fibrous', 'taproot', 'creeping-root', 'rhizome', 'bulblet', 'tuber', 'suckering-root'],
            default => null,
        };
    }

    public function dimension(): ?Dimension
    {
        return match ($this) {
            self::Height,
            self::SnowAtBase,
            self::WaterDistance,
            self::RowSpacing,
            self::StripSide,
            self::WorkingDepth,
            self::TrunkDiameter,
            self::TreatFrom,
            self::TreatBelow
                => Dimension::Length,
            self::TreatedArea => Dimension::Area,
            self::PlantedTrees => Dimension::Count,
            self::HoursAtHand => Dimension::Duration,
            self::SoilTemperature, self::AirTemperature => Dimension::Temperature,
            self::WindSpeed => Dimension::Speed,
            default => null,
        };
    }

    public function isYesNo(): bool
    {
        return in_array(
            $this,
            [
                self::SiltOnBark,
                self::Drought,
                self::LeafDamage,
                self::FreshFlush,
                self::GrassAtBase,
                self::Fruiting,
                self::BeesFlying,
                self::FoodTaken,
                self::TrunkGuards,
                self::GreenBark,
                self::WeedsUp,
                self::SelfSownKept,
                self::AboveKeepers,
                self::PublicWay,
                self::ChildrenPets,
                self::SchoolGround,
                self::LocalRule,
                self::Volunteers,
                self::ShallowGroundwater,
                self::HivesNear,
                self::SprayedLately,
                self::LeavesLimp,
                self::Shade,
                self::Floods,
                self::ThornsKept,
                self::CropUp,
                self::FlowersAround,
                self::FellingPlanned,
                self::DebrisGone,
                self::KeptAsSnags,
                self::BarkDiseased,
                self::FirstFound,
                self::Irrigated,
                self::SoilWorkable,
            ],
            true,
        );
    }

    public function isDay(): bool
    {
        return in_array(
            $this,
            [
                self::LastMown,
                self::LeafOut,
                self::PlantedOn,
                self::SownNext,
                self::GrazedFrom,
                self::HayOn,
                self::FreezeOn,
            ],
            true,
        );
    }

    /** Hours an observation holds; null until another supersedes it. Growth stage of annuals: five days. */
    public function holdsHours(bool $annual = false): ?int
    {
        return match ($this) {
            self::BarkWetness, self::LeafWetness => 6,
            self::WindSpeed, self::WindFrom, self::AirTemperature => 1,
            self::SnowAtBase, self::SoilTemperature, self::Litter => 72,
            self::SoilMoisture => 120,
            self::Drought => 168,
            self::Stage, self::AlsoStage, self::LeafCount => $annual ? 120 : 240,
            self::SoilWorkable => 720,
            self::LeafDamage,
            self::FreshFlush,
            self::Fruiting,
            self::BeesFlying,
            self::WeedsUp,
            self::AboveKeepers,
            self::GreenLeaf,
            self::LeavesLimp,
            self::FlowersAround
                => 240,
            default => null,
        };
    }
}
