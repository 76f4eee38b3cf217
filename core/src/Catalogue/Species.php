<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Calendar\MonthDay;
use Thicket\Measure\Quantity;

/** One species as the catalogue holds it. Facts not known are null or 'unknown', never filled in (rulings B10, B19). */
final readonly class Species
{
    private string $habit;
    private string $lifeCycle;
    private string $treatmentClass;
    /** @var array<string, array<string, string>> character => state => frequency */
    private array $characters;

    public function __construct(private Node $data)
    {
        $this->habit = $data->string('habit');
        $this->lifeCycle = $data->string('lifeCycle');
        $this->treatmentClass = $data->string('treatmentClass');
        $this->characters = $this->readCharacters();
    }

    public function id(): string
    {
        return $this->data->string('id');
    }

    public function commonName(): string
    {
        return $this->data->node('names')->strings('common')[0];
    }

    public function scientificName(): string
    {
        return $this->data->node('names')->string('scientific');
    }

    /** @return list<string> every name people search by */
    public function allNames(): array
    {
        $names = $this->data->node('names');

        return [...$names->strings('common'), $names->string('scientific'), ...$names->strings('synonyms')];
    }

    public function habit(): string
    {
        return $this->habit;
    }

    public function lifeCycle(): string
    {
        return $this->lifeCycle;
    }

    /** Which rows of core/data/windows.yaml apply. */
    public function treatmentClass(): string
    {
        return $this->treatmentClass;
    }

    /** native, crop, cover-crop, garden or forage where people keep it; null where it seldom is kept. */
    public function keptAs(): ?string
    {
        return $this->data->has('keptAs') ? $this->data->string('keptAs') : null;
    }

    /** @return list<string> kinds of planting (core/data/plantings.yaml) in which it fills a gap where it is native */
    public function plantedAs(): array
    {
        return $this->data->stringsOrEmpty('plantedAs');
    }

    /** Whether roots or a crown outlive the year, trees and shrubs too, so that a killed top is not a killed plant. */
    public function isPerennial(): bool
    {
        return in_array($this->lifeCycle(), ['simple-perennial', 'creeping-perennial', 'woody'], true);
    }

    public function isWoody(): bool
    {
        return in_array($this->habit(), ['tree', 'shrub', 'woody-vine'], true);
    }

    public function family(): string
    {
        return $this->data->string('family');
    }

    /** grass, sedge, rush, fern, conifer or broadleaf: what selective products tell apart (rulings J46). */
    public function plantKind(): string
    {
        return $this->data->stringOr(
            'plantKind',
            match (true) {
                in_array($this->habit(), ['grass', 'reed'], true) => 'grass',
                $this->habit() === 'sedge' => 'sedge',
                $this->isConifer() => 'conifer',
                default => 'broadleaf',
            },
        );
    }

    /**
     * Whether bees and their kin visit its flowers: not those of grasses, sedges, conifers and catkins, where the file
     * does not say.
     */
    public function isVisitedByInsects(): bool
    {
        $windborne =
            in_array($this->plantKind(), ['grass', 'sedge', 'rush', 'conifer', 'fern'], true) ||
            array_key_exists('catkin', $this->characters['flower-form'] ?? []);

        return $this->data->bool('insectFlowers', !$windborne);
    }

    /** Trails over the ground and roots as it goes, never climbing. */
    public function isTrailingMat(): bool
    {
        $forms = $this->characters['growth-form'] ?? [];

        return $this->isWoody() &&
            isset($forms['creeping-mat']) &&
            !in_array($forms['climbing'] ?? '', ['often', 'always'], true) &&
            !isset($forms['upright']);
    }

    public function isConifer(): bool
    {
        return $this->data->bool('conifer');
    }

    public function isEvergreen(): bool
    {
        return $this->data->bool('evergreen');
    }

    /** How tall it grows at most; null where nobody wrote it. */
    public function greatestHeight(): ?Quantity
    {
        return $this->data->quantity('greatestHeight');
    }

    /** @return list<string> ways by which it spreads: seed, rhizomes, layering ... */
    public function spread(): array
    {
        return $this->data->strings('spread');
    }

    /** @return list<string> parts that people eat */
    public function edibleParts(): array
    {
        return $this->data->strings('edible');
    }

    /** @return list<string> where it grows */
    public function settings(): array
    {
        return $this->data->strings('settings');
    }

    public function livesOnInShade(): bool
    {
        return $this->data->bool('livesOnInShade');
    }

    /** Wood from which a hatchet springs back. */
    public function isHardToNotch(): bool
    {
        return $this->data->bool('bladeBounces');
    }

    /** Roots break when it is pulled, and what stays in the ground grows again. */
    public function breaksWhenPulled(): bool
    {
        return $this->data->bool('rootsBreak');
    }

    /** Within what depth its feeder roots lie; null where nobody wrote it. */
    public function feederRoots(): ?Quantity
    {
        return $this->data->quantity('feederRoots');
    }

    /** deep, shallow, varies or unknown. */
    public function rootDepth(): string
    {
        return $this->data->node('root')->stringOr('depth', 'unknown');
    }

    /** How it stands shade: a code, or unknown. */
    public function standsShade(): string
    {
        return $this->data->stringOr('shade', 'unknown');
    }

    /** How it stands drought: a code, or unknown. */
    public function standsDrought(): string
    {
        return $this->data->stringOr('drought', 'unknown');
    }

    /** @return array{typical: int, most: int}|null stems of one plant */
    public function stemsPerClump(): ?array
    {
        $stems = $this->data->nodeOrEmpty('stemsPerClump');

        return $stems->has('typical') ? ['typical' => $stems->int('typical'), 'most' => $stems->int('most')] : null;
    }

    /**
     * How a spray of an active hurts it where it is kept (rulings J45).
     *
     * @return string|array<string, string>|null none, passing, thinning, taken or loss; by form where it comes in
     *     several; null where nobody wrote it
     */
    public function injuryBy(string $activeId): string|array|null
    {
        $injury = $this->data->nodeOrEmpty('injury');

        return match (true) {
            !$injury->has($activeId) => null,
            is_array($injury->data[$activeId]) => $injury->stringMap($activeId),
            default => $injury->string($activeId),
        };
    }

    /** @return array<string, string> event => catalogue day, MM-DD, of those that are known */
    public function events(): array
    {
        $out = [];
        foreach ($this->data->nodeOrEmpty('phenology')->data as $event => $day) {
            is_string($day) && $day !== 'unknown' && ($out[(string) $event] = $day);
        }

        return $out;
    }

    /** Yes, no, or null where nobody knows. */
    public function resprouts(): ?bool
    {
        return $this->yesNo('resproutsWhenCut');
    }

    /**
     * Woody plants that answer a cut with suckers: trees, shrubs and vines (rulings J42); brambles, which sucker too,
     * have a season of their own.
     */
    public function isRootSuckering(): bool
    {
        return $this->yesNo('rootSuckering') === true && $this->isWoody() && $this->treatmentClass() !== 'bramble';
    }

    /**
     * How long leaves still carry to the roots (rulings J42): the earlier of 31 October and its own last green, of
     * those that hold green late the later of the two.
     */
    public function greenLeafEnd(): MonthDay
    {
        $usual = MonthDay::parse('10-31');
        $own = $this->dayOf('greenLeafEnd') ?? ($this->dayOf('leafFall') ?? $usual);
        $later = $own->__toString() > $usual->__toString();

        return $this->data->bool('holdsGreenLate') === $later ? $own : $usual;
    }

    /** Shoots from its roots, whatever its habit. */
    public function suckers(): ?bool
    {
        return $this->yesNo('rootSuckering');
    }

    /** True for beech-like trees whose stumps are treated although they sucker (rulings J11). */
    public function mayCutFirst(): bool
    {
        return $this->data->bool('suckererMayBeCutFirst');
    }

    public function rootForm(): string
    {
        return $this->data->node('root')->string('form');
    }

    public function isDeepRooted(): ?bool
    {
        return match ($this->rootDepth()) {
            'deep' => true,
            'shallow' => false,
            default => null,
        };
    }

    public function hasWaxyLeaf(): ?bool
    {
        return $this->yesNo('waxyLeaf');
    }

    public function fragmentsRegrow(): ?bool
    {
        return $this->yesNo('regrowsFromFragments');
    }

    public function seedsRipenAfterCutting(): ?bool
    {
        return $this->yesNo('seedsRipenAfterCutting');
    }

    /** none, weak, strong or unknown. */
    public function sapFlow(): string
    {
        return $this->data->stringOr('sapFlow', 'unknown');
    }

    /** @return list<string> */
    public function hazards(): array
    {
        return $this->data->strings('hazards');
    }

    public function hasHazard(string ...$any): bool
    {
        return array_intersect($any, $this->hazards()) !== [];
    }

    /** Texture and thickness of the bark of young stems; 'unknown' where it varies. */
    public function barkTexture(): ?string
    {
        return $this->known($this->data->nodeOrEmpty('bark')->stringOr('texture', 'unknown'));
    }

    public function barkThickness(): ?string
    {
        return $this->known($this->data->nodeOrEmpty('bark')->stringOr('thickness', 'unknown'));
    }

    public function barkThickensAt(): ?Quantity
    {
        return $this->data->nodeOrEmpty('bark')->quantity('thickFrom');
    }

    /** Catalogue day of an event such as fullLeaf or firstColour; null where not recorded. */
    public function dayOf(string $event): ?MonthDay
    {
        $phenology = $this->data->nodeOrEmpty('phenology');

        return $phenology->has($event) && $phenology->string($event) !== 'unknown'
            ? MonthDay::parse($phenology->string($event))
            : null;
    }

    /**
     * @return list<array{MonthDay, MonthDay}>|null first and last catalogue day of each flush; null where seed sprouts
     * at any time; empty where nobody knows
     */
    public function germinations(): ?array
    {
        if (($this->data->data['germination'] ?? null) === 'any-time') {
            return null;
        }

        return array_map(
            static fn(Node $span): array => [
                MonthDay::parse($span->string('from')),
                MonthDay::parse($span->string('to')),
            ],
            array_values($this->data->nodes('germination')),
        );
    }

    /**
     * @return array{string, string}|null latitude and elevation in metres where its dates hold; null for 40 degrees and
     * 200 m (rulings J44)
     */
    public function datesHoldAt(): ?array
    {
        $at = $this->data->nodeOrEmpty('datesHoldAt');

        return $at->has('latitude') ? [$at->string('latitude'), $at->string('elevationMetres')] : null;
    }

    /** controls, suppresses, misses, disputed; null where not known. */
    public function responseTo(string $activeId): ?string
    {
        $responses = $this->data->nodeOrEmpty('responses');

        return $responses->has($activeId) ? $responses->node($activeId)->string('effect') : null;
    }

    /** The stage at which an active does most to it; null where nobody wrote it. */
    public function bestStageFor(string $activeId): ?string
    {
        $response = $this->data->nodeOrEmpty('responses')->nodeOrEmpty($activeId);

        return $response->has('bestStage') ? $response->string('bestStage') : null;
    }

    /** @return list<string> ids of actives with a recorded response */
    public function knownResponses(): array
    {
        return array_map(strval(...), array_keys($this->data->nodeOrEmpty('responses')->data));
    }

    /** @return array{min: int, typical: int, max: int}|null years that seed lasts in the soil */
    public function seedBankYears(): ?array
    {
        $seed = $this->data->nodeOrEmpty('seed');
        if (!is_array($seed->data['bankYears'] ?? null)) {
            return null;
        }
        $years = $seed->node('bankYears');

        return ['min' => $years->int('min'), 'typical' => $years->int('typical'), 'max' => $years->int('max')];
    }

    /**
     * Where this plant lives otherwise than its kind (core/data/life.yaml): our guess.
     *
     * @return array<string, array{float, float, float}> by name of the figure: low, use, high
     */
    public function life(): array
    {
        return LifeTable::figures($this->data->nodeOrEmpty('life'));
    }

    /** @return array<string, array<string, string>> character => state => frequency */
    public function characters(): array
    {
        return $this->characters;
    }

    /** @return array<string, array<string, string>> */
    private function readCharacters(): array
    {
        $out = [];
        foreach ($this->data->nodes('characters') as $name => $node) {
            $out[(string) $name] = array_map(
                static fn(mixed $v): string => is_string($v)
                    ? $v
                    : throw new \LogicException("{$node->where} holds no frequency."),
                self::keyed($node->data),
            );
        }

        return $out;
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return array<string, mixed>
     */
    private static function keyed(array $data): array
    {
        $out = [];
        foreach ($data as $key => $value) {
            $out[(string) $key] = $value;
        }

        return $out;
    }

    private function yesNo(string $key): ?bool
    {
        return match ($this->data->data[$key] ?? 'unknown') {
            true, 'yes' => true,
            false, 'no' => false,
            default => null,
        };
    }

    private function known(string $value): ?string
    {
        return $value === 'unknown' ? null : $value;
    }
}
