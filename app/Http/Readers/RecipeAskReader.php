<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\LabelCardVersion;
use App\Models\Sprayer;
use App\Models\Step;
use App\Models\User;
use App\Workflow\RecipeDesk;
use Thicket\Catalogue\Carrier;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Reading;
use Thicket\Measure\Strength;
use Thicket\Mix\Advice\MixPlan;
use Thicket\Mix\TankTerms;

/** What is wished for a recipe beyond what is kept with its step. */
final readonly class RecipeAskReader
{
    public function __construct(private Catalogue $catalogue) {}

    /**
     * Sprayer, additives, water, leftover and helpers as asked, on the step in memory only; what is not said stays as
     * it was kept.
     */
    public function read(Fields $in, User $user, Step $step): void
    {
        $sprayerId = $in->uuidOrNull('sprayerId');
        $asked = [];
        foreach (RecipeDesk::EXTRAS as $role) {
            // an empty text takes the additive out again
            $asked[$role] = $in->has($role) ? trim((string) $in->textOrNull($role, 40)) : $step->recipe[$role] ?? null;
            $in->has($role) || $in->raw($role);
            if ($asked[$role] === '' || $asked[$role] === null) {
                $asked[$role] = null;
                continue;
            }
            try {
                Strength::parse((string) $asked[$role]);
            } catch (\Thicket\ThicketRefusal $e) {
                $in->fault($role, $e->getMessage());
            }
        }
        $asked['water'] = $in->has('water') ? $in->choice('water', MixPlan::WATERS) : $step->recipe['water'] ?? null;
        $asked['carrier'] = $in->has('carrier')
            ? $in->choice('carrier', Carrier::ALL)
            : $step->recipe['carrier'] ?? null;
        $leftover = $in->has('leftover')
            ? trim((string) $in->textOrNull('leftover', 40))
            : $step->recipe['leftover'] ?? null;
        if (is_string($leftover) && $leftover !== '') {
            try {
                $amount = Reading::parse($leftover, Dimension::Volume)->quantity;
                $amount->isNegative() && $in->fault('leftover', 'This cannot be below nought.');
            } catch (\Thicket\ThicketRefusal $e) {
                $in->fault('leftover', $e->getMessage());
            }
        }
        $asked['leftover'] = $leftover === '' ? null : $leftover;
        $asked['leftoverFrom'] = $in->has('leftoverFrom')
            ? $in->uuid('leftoverFrom')
            : $step->recipe['leftoverFrom'] ?? null;
        $asked['people'] = $in->has('people') ? $in->int('people', 1, 20) : $step->recipe['people'] ?? 1;
        $answer = $in->has('additivesForWater') ? $in->choice('additivesForWater', ['yes', 'no']) : null;
        $asked['additivesForWater'] = $answer === null ? $step->recipe['additivesForWater'] ?? null : $answer === 'yes';
        $this->partners($in, $user, $step, $asked);
        foreach (
            ['water', 'additivesForWater', 'carrier', 'leftover', 'leftoverFrom', 'people', ...Step::PARTNERS]
            as $name
        ) {
            $in->has($name) || $in->raw($name);
        }
        if ($sprayerId !== null) {
            $sprayer = Sprayer::query()->where('crew_id', $user->crew_id)->find($sprayerId);
            $sprayer === null
                ? $in->fault('sprayerId', 'There is no such sprayer in your Shed.')
                : $step->sprayer()->associate($sprayer);
        }
        $step->recipe = $asked;
    }

    /**
     * A second and a third product of the tank, by the version of their card; an empty text takes one out again.
     *
     * @param array<string, mixed> $asked
     */
    private function partners(Fields $in, User $user, Step $step, array &$asked): void
    {
        $taken = array_filter([$step->cardVersion?->label_card_id]);
        foreach (Step::PARTNERS as $name) {
            $id = $in->has($name) ? trim((string) $in->textOrNull($name, 40)) : $step->recipe[$name] ?? null;
            $asked[$name] = $id === '' ? null : $id;
            if (!is_string($asked[$name])) {
                continue;
            }
            $version = LabelCardVersion::query()
                ->whereHas('card', fn($card) => $card->where('crew_id', $user->crew_id))
                ->find($asked[$name]);
            match (true) {
                $version === null => $in->fault($name, 'There is no such label card in your Shed.'),
                !TankTerms::mayMix($this->catalogue->method($step->method)) => $in->fault(
                    $name,
                    'Only sprays on leaf or soil take a second product.',
                ),
                in_array($version->label_card_id, $taken, true) => $in->fault(
                    $name,
                    'This product is in the tank already.',
                ),
                default => ($taken[] = $version->label_card_id),
            };
        }
    }
}
