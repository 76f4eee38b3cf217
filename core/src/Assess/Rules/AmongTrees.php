<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Catalogue\FactName;
use Thicket\Label\AllowedPlant;
use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Trees, shrubs and plantings that stand in the strip, ring or bed a soil-applied product is laid on are judged by the
 * card (rulings J47): named and old enough fits, a list that does not name them is not allowed, no list is cannot tell.
 * Age is time in the ground here.
 */
final readonly class AmongTrees implements ChangesWithSeason
{
    private const SOURCE = 'rulings-J47';
    /** A trunk of so much counts as three years in the ground. */
    private const TRUNK_INCHES = 3;
    private const TRUNK_YEARS = 3;

    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->goesOn('soil') && !($option->method->isInRows() && $option->isSoilActive())) {
            return [];
        }
        $findings = [];
        foreach ($this->standing($situation) as [$kind, $species, $name]) {
            foreach ($option->cards() === [] ? [null] : $option->cards() as $card) {
                $findings[] =
                    $card === null
                        ? Finding::unknown('card-plants', self::SOURCE, true, ['keeper' => $name])
                        : $this->judge($situation, $card, $kind, $species, $name);
            }
        }

        return $findings;
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $planted = $situation->dayOf(FactName::PlantedOn);
        if ($planted === null) {
            return [];
        }
        $turns = [];
        foreach ($option->cards() as $card) {
            foreach ($card->directions->plants->among as $line) {
                $turns[] = $planted->modify("+{$line->years} years");
            }
        }

        return $turns;
    }

    /** @return list<array{string, string|null, string}> kind, species and name of what stands on the very ground */
    private function standing(Situation $situation): array
    {
        $out = [];
        foreach ($situation->keepers as $keeper) {
            if (in_array($keeper->kind, ['tree', 'shrub', 'planting'], true) && $keeper->isAmongTargets()) {
                $out[] = [$keeper->kind, $keeper->speciesId, $keeper->name];
            }
        }
        // an orchard has its trees, whether somebody drew them or not
        $orchard = $situation->word(FactName::Setting) === 'orchard';

        return $out === [] && $orchard ? [['tree', null, 'tree']] : $out;
    }

    private function judge(Situation $situation, LabelCard $card, string $kind, ?string $species, string $name): Finding
    {
        $values = ['keeper' => $name, 'product' => $card->product];
        $plants = $card->directions->plants->among;
        if ($plants === []) {
            return Finding::unknown('card-plants', self::SOURCE, true, $values);
        }
        $lines = array_filter($plants, static fn(AllowedPlant $line): bool => $line->names($kind, $species));
        if ($lines === []) {
            return Finding::notAllowed('among.not-named', 'label-card', $values, 'change.other-card');
        }
        $years = min(array_map(static fn(AllowedPlant $line): int => $line->years, $lines));
        if ($years === 0) {
            return Finding::fits('among.named', 'label-card', $values);
        }
        $planted = $situation->dayOf(FactName::PlantedOn);
        $trunk = $situation->quantity(FactName::TrunkDiameter);
        if ($planted === null) {
            $thick = $trunk !== null && !$trunk->isLessThan(Quantity::of(self::TRUNK_INCHES, Unit::Inch));

            return match (true) {
                !$thick => Finding::unknown('planted-on', self::SOURCE, true, $values),
                $years <= self::TRUNK_YEARS => Finding::withCare(
                    'among.by-trunk',
                    self::SOURCE,
                    $values + ['trunk' => $trunk, 'years' => $years],
                ),
                default => Finding::unknown('planted-on', self::SOURCE, true, $values),
            };
        }
        $from = $planted->modify("+{$years} years");
        $values += ['planted' => $planted, 'years' => $years, 'from' => $from];

        return $situation->day >= $from
            ? Finding::fits('among.old-enough', 'label-card', $values, Certainty::Observed)
            : Finding::notAllowed('among.too-young', 'label-card', $values, 'change.gentler-preventer');
    }
}
