<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Label\CardUse;
use Thicket\Measure\Quantity;
use Thicket\Measure\Strength;
use Thicket\Measure\Unit;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * What a product is dosed at: the school's working value or the typical one, held inside the card's range (rulings
 * B12); an empty intersection cannot be done with this card.
 */
final readonly class Dosing
{
    /** @param list<\Thicket\Survey\StemGroup> $treated stems that are treated: the strongest need of any decides */
    public function __construct(private Situation $situation, private Option $option, private array $treated) {}

    /** Share of the finished mix. */
    public function byStrength(): Dose
    {
        $missing = $blocks = [];
        [$strength, $why] = $this->strength($missing, $blocks);

        return new Dose($strength, $why, null, $missing, $blocks, $this->line()?->max);
    }

    /**
     * Product per area: the card's most, or the typical rate held below it.
     *
     * @param Quantity|null $spray mix per area: a card that names a most of the mix as well is held to both
     */
    public function byArea(?Quantity $spray): Dose
    {
        $missing = $blocks = [];
        $card = $this->option->card;
        $line = $this->line();
        if ($card !== null && $card->isReadyToUse()) {
            // sprayed as it is, by the card's amount over the area
            return new Dose(
                null,
                'strength.ready-to-use',
                $line?->rateMost,
                $line?->rateMost === null ? ['card-rate'] : [],
                $line === null ? ['card-no-line'] : [],
            );
        }
        $rate = $this->option->active?->typicalRate($this->option->cardUse());
        $why = 'strength.typical';
        $most = $line?->rateMost;
        // a card that names the use but no amount gives no leave to take a typical one
        if ($card !== null && $most === null) {
            $rate = null;
        }
        if (
            $most !== null &&
            ($rate === null || $rate->dimension() !== $most->dimension() || $rate->isGreaterThan($most))
        ) {
            [$rate, $why] = [$most, 'strength.card-most'];
        }
        $card !== null && $line === null && ($blocks[] = 'card-no-line');
        $least = $line?->rateLeast;
        if (
            $least !== null &&
            $rate !== null &&
            $rate->dimension() === $least->dimension() &&
            $rate->isLessThan($least)
        ) {
            [$rate, $why] = [$least, 'strength.card-least'];
        }
        $held =
            $spray === null || $line?->max === null
                ? null
                : Quantity::of(
                    $line->max->share->multipliedBy($spray->in(Unit::LitrePerHectare)),
                    Unit::LitrePerHectare,
                );
        if (
            $held !== null &&
            $rate !== null &&
            $rate->dimension() === $held->dimension() &&
            $rate->isGreaterThan($held)
        ) {
            [$rate, $why] = [$held, 'strength.card-most'];
            $least !== null && $rate->isLessThan($least) && ($blocks[] = 'card-spray-too-small');
        }
        $rate === null && ($missing[] = 'card-rate');

        return new Dose(null, $why, $rate, $missing, $blocks);
    }

    /**
     * @param list<string> $missing
     * @param list<string> $blocks
     *
     * @return array{Strength|null, string}
     */
    private function strength(array &$missing, array &$blocks): array
    {
        $card = $this->option->card;
        $line = $this->line();
        if ($card !== null && $line !== null && $card->isReadyToUse()) {
            // no mixing sum: it is put on as it is, and held to card and ceiling like any other (rulings J63)
            return [Strength::ofQuantity(Quantity::of(100, Unit::PercentProduct)), 'strength.ready-to-use'];
        }
        if ($card !== null && $line === null) {
            $blocks[] = 'card-no-line';

            return [null, 'strength.card'];
        }
        [$working, $why] = $this->workingStrength();
        $least = $line?->min;
        $most = $line?->max;
        // a school that asks for the bark is not answered by a card's range: unknown stays unknown
        if ($working === null && ($why === 'strength.texture' || ($most ?? $least) === null)) {
            $missing[] = $why === 'strength.texture' ? 'bark-texture' : 'card-strength';

            return [null, $why];
        }
        if ($working === null) {
            return [$most ?? $least, 'strength.card'];
        }
        // held inside the card's range; the label is never exceeded (rulings B12)
        if ($most !== null && $working->share->isGreaterThan($most->share)) {
            return [$most, 'strength.card-most'];
        }
        if ($least !== null && $working->share->isLessThan($least->share)) {
            return [$least, 'strength.card-least'];
        }

        return [$working, $why];
    }

    /** @return array{Strength|null, string} */
    private function workingStrength(): array
    {
        $schools = $this->option->schools;
        $carrier = $this->option->carrier();
        $value = null;
        $why = 'strength.typical';
        if ($this->option->goesOn('bark') && $schools->choice('basal-strength') === 'by-bark-and-diameter') {
            [$value, $why] = $this->basalStrength();
        } elseif ($this->option->goesOn('bark')) {
            return [$this->line()->max ?? $this->line()?->min, 'strength.card'];
        } elseif ($this->option->goesOn('stump') && $this->option->active?->hasOwnStumpStrength() !== true) {
            $value = $schools->values('stump-strength')->quantity($carrier === 'oil' ? 'oilBorne' : 'waterBorne');
            $why = 'strength.stump-school';
        } else {
            $value = $this->option->typicalStrength();
        }

        return [$value === null ? null : Strength::ofQuantity($value), $why];
    }

    /** @return array{Quantity|null, string} the strongest that any stem of the tally asks for: one tank serves all */
    private function basalStrength(): array
    {
        $texture = $this->situation->barkTexture() ?? $this->situation->target?->barkTexture();
        $strongest = null;
        foreach ($this->treated as $group) {
            $one = BasalStrength::for($group->forCeilings(), $texture, $this->option->schools);
            if ($one === null) {
                return [null, 'strength.texture'];
            }
            $strongest = $strongest === null || $one->isGreaterThan($strongest) ? $one : $strongest;
        }

        return [$strongest, 'strength.by-bark'];
    }

    private function line(): ?CardUse
    {
        return $this->option->lineOfCard($this->situation);
    }
}
