<?php

declare(strict_types=1);

namespace Thicket\Programmes;

use Thicket\Catalogue\FactName;
use Thicket\Catalogue\Programme;
use Thicket\Catalogue\Species;
use Thicket\Situation\Situation;

/** Whether a programme is for a plant on its ground, and whether it stands before the others there. */
final readonly class ProgrammeFit
{
    private const YOUNG_YEARS = 3;

    public function __construct(private Programme $programme) {}

    /** Whether it is listed before the others here: the greatest single factor, or what no other may come before. */
    public function standsFirst(Situation $situation): bool
    {
        $settings = $this->programme->standsFirstIn();

        return $settings !== null &&
            ($settings === [] || in_array($situation->word(FactName::Setting), $settings, true));
    }

    /** before-planting, young (under three years) or established; null where nobody told the planting day. */
    private function treeAge(Situation $situation): ?string
    {
        $planted = $situation->dayOf(FactName::PlantedOn);

        return match (true) {
            $planted === null => null,
            $planted > $situation->day => 'before-planting',
            $planted->modify('+' . self::YOUNG_YEARS . ' years') > $situation->day => 'young',
            default => 'established',
        };
    }

    /** Whether it is made for this plant on this ground; a setting nobody noted shuts nothing. */
    public function isFor(Species $target, Situation $situation): bool
    {
        $fits = $this->programme->fits();
        $setting = $situation->word(FactName::Setting);

        return $fits->isForKind($target) &&
            ($fits->settings === null || $setting === null || in_array($setting, $fits->settings, true)) &&
            ($fits->treeAge === null || in_array($this->treeAge($situation), [null, $fits->treeAge], true)) &&
            ($fits->suckering === null ||
                $fits->suckering === ($target->isRootSuckering() && !$target->mayCutFirst())) &&
            ($fits->conifer === null || $fits->conifer === ($target->isConifer() && $target->resprouts() === false));
    }
}
