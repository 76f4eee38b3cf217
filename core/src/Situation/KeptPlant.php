<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Catalogue\Active;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\Species;

/** A plant that is kept, by its species where that is known, else by the kind it was noted as (rulings J46). */
final readonly class KeptPlant
{
    private const BY_NOTE = [
        'grass' => 'grass',
        'forbs' => 'broadleaf',
        'tree' => 'broadleaf',
        'shrub' => 'broadleaf',
        'crop' => 'crop',
        'planting' => '',
    ];
    /**
     * Worst last; 'taken' is by class alone, where nobody wrote down how far it goes; 'by-form' stands where the form
     * decides and nobody told it.
     */
    private const INJURIES = ['none', 'passing', 'by-form', 'thinning', 'taken', 'loss'];

    /** @param string $kind grass, sedge, rush, broadleaf, fern, conifer or crop; empty where nobody knows */
    private function __construct(public ProtectedFeature $keeper, public string $kind, public ?Species $species) {}

    /** Null for what is no plant. */
    public static function of(ProtectedFeature $keeper, Catalogue $catalogue): ?self
    {
        if (!isset(self::BY_NOTE[$keeper->kind])) {
            return null;
        }
        $species = $keeper->speciesId === null ? null : $catalogue->species($keeper->speciesId);

        return new self(
            $keeper,
            $species === null
                ? self::BY_NOTE[$keeper->kind]
                : ($keeper->kind === 'crop'
                    ? 'crop'
                    : $species->plantKind()),
            $species,
        );
    }

    /**
     * Whether the tank takes it; false where all its actives are expected to spare it, null where nobody knows.
     *
     * @param list<Active> $actives
     */
    public function isTakenBy(array $actives): ?bool
    {
        $answers = array_map($this->isTakenByOne(...), $actives);

        return match (true) {
            in_array(true, $answers, true) => true,
            in_array(null, $answers, true) => null,
            default => false,
        };
    }

    private function isTakenByOne(Active $active): ?bool
    {
        $injury = $this->species?->injuryBy($active->id());
        if ($injury !== null) {
            return $injury !== 'none';
        }
        $known = $this->species?->responseTo($active->id());
        if ($known !== null && $known !== 'disputed') {
            return $known !== 'misses';
        }
        $by = $active->selectivity();

        return match ($this->kind) {
            'grass' => in_array($by, ['non-selective', 'grass'], true)
                ? true
                : ($active->injuresGrasses()
                    ? null
                    : false),
            'sedge' => $by === 'non-selective' ? true : $active->takesSedges(),
            'rush', 'fern' => $by === 'non-selective' ? true : null,
            'broadleaf', 'conifer' => in_array($by, ['non-selective', 'broadleaf'], true),
            // never told safe
            'crop' => true,
            default => $by === 'non-selective' ? true : null,
        };
    }

    /**
     * How a spray over it hurts it: none, passing, thinning, taken, loss, or by-form (rulings J45); the worst active
     * counts.
     *
     * @param list<Active> $actives
     * @param string|null $form broad or narrow, of a grass that comes in both; null where nobody told
     */
    private function injury(array $actives, ?string $form): string
    {
        $worst = 'none';
        foreach ($actives as $active) {
            $injury = $this->species?->injuryBy($active->id());
            $own = match (true) {
                $injury === null => match (true) {
                    $this->isTakenByOne($active) === false => 'none',
                    $this->species?->responseTo($active->id()) !== null => 'loss',
                    default => 'taken',
                },
                is_string($injury) => $injury,
                $form === null => 'by-form',
                default => $injury[$form] ??
                    throw new \LogicException(
                        "{$this->species?->id()}: no injury by {$active->id()} of form {$form}.",
                    ),
            };
            $worst =
                array_search($own, self::INJURIES, true) > array_search($worst, self::INJURIES, true) ? $own : $worst;
        }

        return $worst;
    }

    /**
     * The same on this ground: by the form noted, and all of it where it stands in its first season (rulings J14, J45).
     *
     * @param list<Active> $actives
     */
    public function injuryHere(array $actives, Situation $situation): string
    {
        $injury = $this->injury($actives, $situation->word(FactName::GrassForm));

        return $this->isYoungGrass($situation) || ($injury !== 'none' && $this->isYoung($situation)) ? 'loss' : $injury;
    }

    /**
     * A sod sown this season takes any leaf spray ill, whatever a grown one stands, unless the card allows it (rulings
     * J45).
     */
    public function isYoungGrass(Situation $situation): bool
    {
        return $this->kind === 'grass' && $this->isYoung($situation);
    }

    /** In its first season here: seedlings are taken as sensitive (rulings J14, J45). */
    private function isYoung(Situation $situation): bool
    {
        $planted = $situation->dayOf(FactName::PlantedOn);

        return $planted !== null &&
            $this->keeper->isAmongTargets() &&
            $situation->day >= $planted &&
            $situation->day < $situation->firstSeasonOver();
    }
}
