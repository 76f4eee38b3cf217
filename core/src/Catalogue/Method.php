<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Measure\Quantity;

/** A way of working, as core/data/methods describes it. */
final readonly class Method
{
    public const FAMILIES = ['mechanical', 'cultural', 'biological', 'chemical'];

    private string $id;
    private string $work;
    private string $how;
    private string $onto;
    private string $like;
    private bool $isOfArea;
    private bool $usesProduct;
    /** @var list<string> */
    private array $actives;
    /** @var list<string> */
    private array $plants;

    public function __construct(private Node $data)
    {
        $this->id = $data->string('id');
        $this->work = $data->string('work');
        $this->how = $data->string('how');
        $this->onto = $data->stringOr('onto', '');
        $this->like = $data->stringOr('like', $this->id);
        $this->isOfArea = $data->stringOr('reach', 'plant') === 'area';
        $this->usesProduct = $data->bool('usesProduct');
        $this->actives = $data->strings('actives');
        $this->plants = $data->strings('plants');
    }

    public function id(): string
    {
        return $this->id;
    }

    /** mechanical, cultural, biological or chemical. */
    public function family(): string
    {
        return $this->data->string('family');
    }

    /** hand, cutting, machine, fire, spray, wipe, injection, animals or cover: what is done to the plant. */
    public function work(): string
    {
        return $this->work;
    }

    /** A wick for wiping, nothing that is filled for cuts, else whatever sprays. */
    public function isPutOutWith(SprayerKind $kind): bool
    {
        return match ($this->work) {
            'injection' => false,
            'wipe' => $kind === SprayerKind::Wick,
            default => !in_array($kind, [SprayerKind::Wick, SprayerKind::SquirtBottle], true),
        };
    }

    /** band, notch, drill, girdle, cut, top, pull, lever, dig, drag, mow, till, spray ...: finer than work. */
    public function how(): string
    {
        return $this->how;
    }

    /** Follows a removal, or leaves the plant alone. */
    public function removesNothing(): bool
    {
        return in_array($this->how(), ['sow', 'leave'], true);
    }

    /** Rings a stem and leaves it to die without product. */
    public function isGirdleAlone(): bool
    {
        return $this->how() === 'girdle' && !$this->usesProduct();
    }

    /** bark, wood, stump, leaf or soil: what a product is put on; empty without a product. */
    public function onto(): string
    {
        return $this->onto;
    }

    /** Worked as an area with a rate, not plant by plant. */
    public function isOfArea(): bool
    {
        return $this->isOfArea;
    }

    /** An amount of product to the area; a spray that wets leaves goes by strength though it covers an area. */
    public function goesByRate(): bool
    {
        return $this->isOfArea() && !$this->data->bool('wetsLeaves');
    }

    /** Strips along rows or rings round trees: the treated area is not the patch. */
    public function isInRows(): bool
    {
        return $this->data->bool('inRows');
    }

    /** Over all of the ground: it cannot be aimed away from what stands there. */
    public function coversGround(): bool
    {
        return $this->isOfArea() && !$this->isInRows();
    }

    /** shield, wick or class: what spares the plants kept; empty where nothing does. */
    public function guard(): string
    {
        return $this->data->stringOr('guard', '');
    }

    /**
     * The method whose typical strengths and label permission hold for this one too; its own id where it stands alone.
     */
    public function like(): string
    {
        return $this->like;
    }

    /** False for what is only ever a step of a programme. */
    public function isOnBoard(): bool
    {
        return $this->data->bool('onBoard', true);
    }

    public function usesProduct(): bool
    {
        return $this->usesProduct;
    }

    /** @return list<string> */
    public function actives(): array
    {
        return $this->actives;
    }

    /** Whom it is made for. */
    public function fits(): Fits
    {
        return new Fits($this->data->nodeOrEmpty('fits'));
    }

    /** @return list<string>|null growth stages it is made for; null where it asks for none */
    public function stages(): ?array
    {
        $stages = $this->data->nodeOrEmpty('stages');

        return $stages->has('fits') ? $stages->strings('fits') : null;
    }

    /** @return list<int> first and last week in which it shows, by its own word; empty where the active's days count */
    public function weeksToShow(): array
    {
        return array_map(intval(...), $this->data->strings('showWeeks'));
    }

    /** @return array<string, list<int>> percent of plants dead, low, use and high, by what {@see controlBy()} asks */
    public function control(): array
    {
        $table = $this->data->nodeOrEmpty('control');
        $out = [];
        foreach (array_keys($table->data) as $key) {
            $out[(string) $key] = array_map(intval(...), $table->strings((string) $key));
        }

        return $out;
    }

    /** active, bramble, class, flow, root, stage or hoeing; empty where one figure holds for all. */
    public function controlBy(): string
    {
        return $this->data->stringOr('controlBy', '');
    }

    /** Passes to be done; by active, kind of plant or way of life; null where it is not told. */
    public function passesOf(string $what): ?int
    {
        $passes = $this->data->nodeOrEmpty('passes');

        return $passes->has($what) ? $passes->int($what) : null;
    }

    /** Days from one pass to the next; null for the next season. */
    public function passEveryDays(): ?int
    {
        return $this->passesOf('everyDays');
    }

    /** How deep it works the soil; null where it does not. */
    public function depth(): ?Quantity
    {
        return $this->data->quantity('depth');
    }

    /** dry or moist; empty where any soil will do. */
    public function soilWanted(): string
    {
        return $this->data->stringOr('soilWanted', '');
    }

    /** base or breast-height; empty where it does not matter (handbook 6). */
    public function diameterAt(): string
    {
        return $this->data->stringOr('diameterAt', '');
    }

    /** 1 least to 5 most, of the method itself; null where none is told. */
    public function ownHarm(): ?int
    {
        return $this->data->has('harm') ? $this->data->int('harm') : null;
    }

    /** Nobody has told how long it takes. */
    public function isOfUnknownHours(): bool
    {
        return $this->data->bool('hoursUnknown');
    }

    /** @return list<string> codes of the steps, in order */
    public function steps(): array
    {
        return $this->data->strings('steps');
    }

    /** @return list<string> codes of what is often done wrong */
    public function mistakes(): array
    {
        return $this->data->strings('mistakes');
    }

    /** Season group of windows.yaml, or 'any' / 'mow'. */
    public function season(): string
    {
        return $this->data->string('season');
    }

    public function source(): string
    {
        return $this->data->string('source');
    }

    public function limit(string $name): ?Quantity
    {
        return $this->data->node('limits')->quantity($name);
    }

    /** True when a value exactly on the limit still fits (handbook 2 "Limits have a stated side"). */
    public function limitIsInclusive(string $name): bool
    {
        return $this->data->nodeOrEmpty('limits')->nodeOrEmpty($name)->bool('inclusive', true);
    }

    /** What shows late on a plant: a girdle alone, a product on cactus. */
    public function showsLateOn(Species $species): bool
    {
        return $this->isGirdleAlone() || ($this->usesProduct() && $species->habit() === 'cactus');
    }

    /** Done once something has been taken out: what is sown or planted in its place. */
    public function followsRemoval(): bool
    {
        return $this->data->stringOr('follows', '') === 'removal';
    }

    /** A limit that the crew may set for itself. */
    public function limitIsSetting(string $name): bool
    {
        return $this->data->nodeOrEmpty('limits')->nodeOrEmpty($name)->bool('setting');
    }

    /** Done with loppers or a hand saw as well as with a power blade. */
    public function worksByHand(): bool
    {
        return $this->data->bool('byHand');
    }

    /** An area that is walked with a hand wand, not driven with a boom. */
    public function goesByHand(): bool
    {
        return !$this->data->bool('boom');
    }

    /** @return list<string> */
    public function tools(): array
    {
        return $this->data->strings('tools');
    }

    public function clearance(): string
    {
        return $this->data->string('clearance');
    }

    /** Whether the method is made for such a plant at all. */
    public function isFor(Species $species): bool
    {
        $kinds = match ($species->habit()) {
            'cactus' => ['cactus'],
            'tree', 'shrub' => ['woody'],
            'woody-vine' => ['vine', 'woody-vine'],
            'herbaceous-vine' => ['vine'],
            default => ['herb'],
        };

        return array_intersect($kinds, $this->plants) !== [];
    }
}
