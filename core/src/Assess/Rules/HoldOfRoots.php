<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * What the root leaves behind when it is pulled, levered or dug (handbook 2); a root seen on the spot overrides the
 * catalogue.
 */
final readonly class HoldOfRoots implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        if (
            !$option->how('pull', 'lever', 'dig', 'hoe') ||
            $situation->target === null ||
            !$option->method->isFor($situation->target)
        ) {
            return [];
        }
        $seen = $situation->word(FactName::RootForm);
        $form = $seen ?? $situation->target->rootForm();
        $rest = $seen !== null ? Certainty::Observed : Certainty::Typical;
        $source = $option->method->source();
        $findings = $option->how('hoe')
            ? []
            : match (true) {
                $option->how('pull') && in_array($form, ['rhizome', 'creeping-root', 'bulblet', 'tuber'], true) => [
                    Finding::doesNotSuit('roots.pieces-regrow', $source, ['root' => $form], 'change.dig-or-top', $rest),
                ],
                $option->how('pull') && $form === 'suckering-root' => [
                    Finding::doesNotSuit(
                        'roots.suckers-return',
                        $source,
                        ['root' => $form],
                        'change.treat-standing',
                        $rest,
                    ),
                ],
                $option->how('lever') && $form === 'suckering-root' => [
                    Finding::doesNotSuit(
                        'roots.suckers-return',
                        $source,
                        ['root' => $form],
                        'change.treat-standing',
                        $rest,
                    ),
                ],
                $option->how('pull') && $situation->target->breaksWhenPulled() => [
                    Finding::withCare('roots.break-easily', $source, ['root' => $form], 'change.ease-up', $rest),
                ],
                $form === 'taproot' => [
                    Finding::withCare('roots.taproot-whole', $source, ['root' => $form], null, $rest),
                ],
                $option->how('dig') &&
                    in_array($form, ['rhizome', 'creeping-root', 'bulblet', 'tuber', 'suckering-root'], true)
                    => [Finding::withCare('roots.every-piece', $source, ['root' => $form], null, $rest)],
                default => [Finding::fits('roots.come-whole', $source, ['root' => $form], $rest)],
            };
        $moisture = $situation->word(FactName::SoilMoisture);
        if ($option->method->soilWanted() === 'dry') {
            $findings[] = match ($moisture) {
                null => Finding::unknown('soil-moisture', $source, false),
                'dry' => Finding::fits('soil.dry-slices', $source, [], Certainty::Observed),
                default => Finding::withCare(
                    'soil.damp-roots-again',
                    $source,
                    [],
                    'change.pull-now',
                    Certainty::Observed,
                ),
            };
        }
        if ($option->method->soilWanted() === 'moist') {
            $findings[] = match ($moisture) {
                null => Finding::unknown('soil-moisture', $source, false),
                'dry' => Finding::withCare(
                    'soil.dry-holds',
                    $source,
                    [],
                    $situation->target->isWoody() ? 'change.after-rain' : 'change.hoe-now',
                    Certainty::Observed,
                ),
                default => Finding::fits('soil.moist', $source, ['moisture' => $moisture], Certainty::Observed),
            };
        }

        return $findings;
    }
}
