<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\Species;
use Thicket\Situation\Option;
use Thicket\Situation\ServedStems;
use Thicket\Situation\Situation;
use Thicket\Survey\StemGroup;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * Basal bark goes through thin bark only (handbook 2). Thickness follows the size of the stem where the species file
 * says so; bark seen on the stem beats it (rulings J58). Whether it lets oil through and whether it turns a blade are
 * two facts; a vine is peeled off its host first.
 */
final readonly class Bark implements Rule
{
    private const SOURCE = 'rulings-J58';

    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        if ($target === null || !$option->method->isFor($target)) {
            return [];
        }
        if ($option->how('notch') && $target->isHardToNotch()) {
            return [
                Finding::withCare('bark.blade-bounces', self::SOURCE, [], 'change.drill-instead', Certainty::Typical),
            ];
        }
        if (!$option->goesOn('bark')) {
            return [];
        }
        $findings = [$this->thickness($situation, $option, $target)];
        if (
            ($situation->barkTexture() ?? $target->barkTexture()) === 'rough' &&
            !$findings[0]->outcome->isWorseThan(\Thicket\Verdict\Outcome::WithCare)
        ) {
            $findings[] = Finding::withCare('bark.rough-harder', self::SOURCE, [], null, Certainty::Typical);
        }
        if ($target->habit() === 'woody-vine') {
            $findings[] = Finding::withCare(
                'bark.peel-vine',
                self::SOURCE,
                [],
                'change.cut-stump-if-grown-in',
                Certainty::Typical,
            );
        }

        return $findings;
    }

    private function thickness(Situation $situation, Option $option, Species $target): Finding
    {
        $seen = $situation->fact(FactName::BarkThickness);
        if (is_string($seen?->value)) {
            return $this->of($seen->value, $seen->certainty);
        }
        // smooth bark lets oil through, whatever it does to a blade
        if ($target->barkThickness() === null && $situation->barkTexture() === 'smooth') {
            return Finding::fits('bark.smooth-passes-oil', self::SOURCE, [], Certainty::Observed);
        }
        $thickFrom = $target->barkThickensAt();
        if ($thickFrom === null) {
            return $target->barkThickness() === null
                ? Finding::unknown('bark-thickness', self::SOURCE, true)
                : $this->of($target->barkThickness(), Certainty::Typical);
        }
        $stems = ServedStems::of($situation, $option)->served;
        if ($stems === []) {
            return $situation->stems === []
                ? Finding::unknown('stem-diameter', self::SOURCE, true)
                : $this->of('thin', Certainty::Typical);
        }
        $thick = array_sum(
            array_map(static fn(StemGroup $g): int => $g->forSums()->isLessThan($thickFrom) ? 0 : $g->count, $stems),
        );
        $all = array_sum(array_map(static fn(StemGroup $g): int => $g->count, $stems));
        $values = ['from' => $thickFrom, 'thick' => $thick, 'all' => $all];

        return match (true) {
            $thick === 0 => Finding::fits('bark.still-thin', self::SOURCE, $values, Certainty::Typical),
            $thick === $all => Finding::doesNotSuit(
                'bark.thick-at-this-size',
                self::SOURCE,
                $values,
                'change.hack-or-stump',
                Certainty::Typical,
            ),
            default => Finding::withCare(
                'bark.some-thick',
                self::SOURCE,
                $values,
                'change.look-at-bark',
                Certainty::Typical,
            ),
        };
    }

    private function of(string $thickness, Certainty $rest): Finding
    {
        return $thickness === 'thin'
            ? Finding::fits('bark.is-thin', 'handbook-2-basal-bark', [], $rest)
            : Finding::doesNotSuit(
                'bark.too-thick',
                'handbook-2-basal-bark',
                ['bark' => $thickness],
                'change.hack-or-stump',
                $rest,
            );
    }
}
