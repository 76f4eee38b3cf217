<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Catalogue\Active;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\Method;
use Thicket\Catalogue\Species;
use Thicket\Label\CardUse;
use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;

/** One row of the board before it is judged: a method, with product where it uses one, as this crew would do it. */
final readonly class Option
{
    /** Step of a poisonous product left to licensed users (handbook 9). */
    private const HARM_LICENSED = 5;
    /** What an active does to a plant, best first. */
    public const EFFECTS = ['controls', 'suppresses', 'disputed', 'misses'];

    /** @var list<Active> */
    private array $actives;

    /**
     * More than six: what is done, with what, by whom and by which schools: each is changed apart from the others.
     *
     * @param Active|null $active the one the row is chosen for: of a card with several, the one that does most to the
     *     target
     * @param list<self> $partners further products of the same tank; a jug is judged whole (rulings J41)
     */
    public function __construct(
        public Method $method,
        public ?Active $active,
        public ?LabelCard $card,
        public Schools $schools,
        public Shed $shed,
        public Catalogue $catalogue,
        public array $partners = [],
        /** Strength of this product in a mixture that practice gives so; null where it stands for itself. */
        private ?Quantity $inMixture = null,
    ) {
        $ids = array_merge(
            $active === null ? [] : [$active->id()],
            array_column($card->contents->actives ?? [], 'active'),
        );
        foreach ($partners as $partner) {
            $ids = [...$ids, ...array_map(static fn(Active $a): string => $a->id(), $partner->actives())];
        }
        $this->actives = array_map($catalogue->active(...), array_values(array_unique($ids)));
    }

    /** @return list<Active> all that is in the tank, the leading one first, each once (rulings J41) */
    public function actives(): array
    {
        return $this->actives;
    }

    /**
     * @return array{string|null, Active|null} the best known effect on a plant of any active of the tank, and whose it
     * is; never a sum (rulings J41)
     */
    public function bestResponse(Species $target): array
    {
        $best = [null, null];
        foreach ($this->actives() as $active) {
            $effect = $target->responseTo($active->id());
            if (
                $effect !== null &&
                ($best[0] === null ||
                    array_search($effect, self::EFFECTS, true) < array_search($best[0], self::EFFECTS, true))
            ) {
                $best = [$effect, $active];
            }
        }

        return $best;
    }

    /** The names of all that is in the tank. */
    public function activeNames(): string
    {
        return implode(' + ', array_map(static fn(Active $a): string => $a->name(), $this->actives()));
    }

    /**
     * Whether any active of the tank has a property: harm takes the worst (rulings J41).
     *
     * @param \Closure(Active): bool $property
     */
    public function anyActive(\Closure $property): bool
    {
        foreach ($this->actives as $active) {
            if ($property($active)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<LabelCard> of all products of the tank */
    public function cards(): array
    {
        return array_values(
            array_filter([
                $this->card,
                ...array_merge([], ...array_map(static fn(self $p): array => $p->cards(), $this->partners)),
            ]),
        );
    }

    public function id(): string
    {
        $typical =
            $this->card === null && $this->partners !== []
                ? '+' .
                    implode('+', array_map(static fn(self $p): string => (string) $p->active?->id(), $this->partners))
                : '';

        return implode(
            '/',
            array_filter([
                $this->method->id(),
                $this->active === null ? null : $this->active->id() . $typical,
                $this->card?->id,
            ]),
        );
    }

    /** Whether the work is one of these, by {@see Method::how()}. */
    public function how(string ...$ways): bool
    {
        return in_array($this->method->how(), $ways, true);
    }

    public function carrier(): ?string
    {
        return $this->active?->typicalCarrier($this->method->id()) ??
            $this->active?->typicalCarrier($this->method->like());
    }

    /** Whether the product is put on one of these: bark, wood, stump, leaf, soil. */
    public function goesOn(string ...$parts): bool
    {
        return in_array($this->method->onto(), $parts, true);
    }

    /** Drops in the air over leaves: what drifts, wants green dry leaves and mild weather. */
    public function isLeafSpray(): bool
    {
        return $this->goesOn('leaf') && $this->method->work() === 'spray';
    }

    /** A limit of the method, or the crew's own where the method leaves it to them. */
    public function limit(string $name): ?Quantity
    {
        return ($this->method->limitIsSetting($name) ? $this->shed->stemLimits[$name] ?? null : null) ??
            $this->method->limit($name);
    }

    /** The plant dies on its feet and stays standing. */
    public function leavesStanding(): bool
    {
        return $this->how('girdle') ||
            $this->method->work() === 'injection' ||
            $this->goesOn('bark') ||
            $this->isLeafSpray();
    }

    /** The use as the card lists it: by its own name, or by that of the method it is a form of. */
    public function cardUse(): string
    {
        $own = $this->method->id();

        return $this->card !== null &&
            !$this->card->allowsMethod($own) &&
            $this->card->allowsMethod($this->method->like())
            ? $this->method->like()
            : $own;
    }

    /**
     * The line of the card that holds for this use on the day. Only a stage that somebody saw picks one for a stage: an
     * estimate from the calendar must not open a more generous line. Null without a card, or where the card does not
     * list the use, or not then.
     */
    public function lineOfCard(Situation $situation): ?CardUse
    {
        return $this->card?->use($this->cardUse(), $situation->stageSeen(), $situation->day, $situation->soil());
    }

    public function typicalStrength(): ?Quantity
    {
        return $this->inMixture ??
            ($this->active?->typicalStrength($this->method->id()) ??
                $this->active?->typicalStrength($this->method->like()));
    }

    /**
     * 1 least to 5 most: the active's for this use or the use it is a form of, else the method's own, else the middle.
     */
    public function harm(): int
    {
        if ($this->anyActive(static fn(Active $a): bool => $a->isLicensedOnly())) {
            return self::HARM_LICENSED;
        }
        $steps = array_filter(
            array_map(
                fn(Active $a): ?int => $a->harm($this->method->id()) ?? $a->harm($this->method->like()),
                $this->actives(),
            ),
        );

        return $steps !== [] ? max($steps) : $this->method->ownHarm() ?? ($this->method->isOfArea() ? 4 : 3);
    }

    public function isSoilActive(): bool
    {
        return $this->anyActive(static fn(Active $a): bool => $a->isSoilActive()) ||
            array_filter($this->cards(), static fn(LabelCard $card): bool => $card->contents->soilActive) !== [];
    }

    /** The table of coefficients with the crew's own figures in it. */
    public function coefficients(): \Thicket\Catalogue\Coefficients
    {
        $shipped = $this->catalogue->coefficients();

        return $this->shed->figures === null ? $shipped : $shipped->with($this->shed->figures->inForce());
    }

    /**
     * With further products in the same tank.
     *
     * @param list<self> $partners
     */
    public function alongside(array $partners): self
    {
        return new self(
            $this->method,
            $this->active,
            $this->card,
            $this->schools,
            $this->shed,
            $this->catalogue,
            $partners,
            $this->inMixture,
        );
    }

    public function with(Schools $schools): self
    {
        return new self(
            $this->method,
            $this->active,
            $this->card,
            $schools,
            $this->shed,
            $this->catalogue,
            $this->partners,
            $this->inMixture,
        );
    }
}
