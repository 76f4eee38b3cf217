<?php

declare(strict_types=1);

namespace App\Text;

use App\Models\Stand;
use App\Models\Step;
use App\Trail\Assembler;
use Illuminate\Support\Facades\View;

/** The mixing card for the tailgate: a page a load, large enough to read at arm's length, with the fill lines drawn to scale. */
final readonly class MixingCardPdf
{
    public function __construct(private Paper $paper, private Assembler $assembler, private Sentences $sentences)
    {
    }

    /** @param array<string, mixed> $recipe as it crosses the wire, @param string $units us or metric */
    public function render(array $recipe, Stand $stand, Step $step, string $units): string
    {
        $card = $step->cardVersion === null ? null : $this->assembler->card($step->cardVersion);
        $cautions = $step->active === null ? [] : $this->assembler->candidate($step, $stand->patch->ground->crew)->active?->data->strings('cautions') ?? [];

        return $this->paper->pdf(View::file(resource_path('mixing-card.blade.php'), [
            'r' => $recipe, 'units' => $units, 'card' => $card, 'patch' => $stand->patch->name, 'ground' => $stand->patch->ground->name, 'fonts' => Paper::fonts(),
            'cautions' => array_map(fn (string $c): string => $this->sentences->name("caution.active-{$c}"), $cautions),
            'care' => $this->sentences->name('mix.care'), 'keep' => $this->sentences->name('batch.keep'),
        ])->render());
    }
}
