<?php

declare(strict_types=1);

namespace App\Print;

use App\Models\Stand;
use App\Models\Step;
use App\Repositories\SituationRepository;
use App\Text\Sentences;
use Illuminate\Support\Facades\View;
use Thicket\Label\LabelCard;
use Thicket\Safety\Cautions;
use Thicket\Situation\Option;

/**
 * The mixing card for the tailgate: a page a load, large enough to read at arm's length, with the fill lines drawn to
 * scale.
 */
final readonly class MixingCardPdf
{
    public function __construct(private SituationRepository $situations, private Sentences $sentences) {}

    /** @param array<string, mixed> $recipe as it crosses the wire, @param string $units us or metric */
    public function html(array $recipe, Stand $stand, Step $step, string $units): string
    {
        $crew = $stand->patch->ground->crew;
        $products = [$this->situations->option($step, $crew), ...$this->situations->partners($step, $crew)];

        return View::file(resource_path('mixing-card.blade.php'), [
            'r' => $recipe,
            'units' => $units,
            'cards' => array_values(
                array_filter(array_map(static fn(Option $one): ?LabelCard => $one->card, $products)),
            ),
            'patch' => $stand->patch->name,
            'ground' => $stand->patch->ground->name,
            'face' => Paper::face(),
            'cautions' => array_map(
                fn(string $c): string => $this->sentences->name("caution.{$c}"),
                Cautions::ofJug($products),
            ),
            'care' => $this->sentences->name('mix.care'),
            'keep' => $this->sentences->name('batch.keep'),
        ])->render();
    }
}
