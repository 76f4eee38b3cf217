<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * What a method's own page says it is made for: settings, ways of life, growth stages, plants that stay down once cut
 * (handbook 2, 6).
 */
final readonly class MadeFor implements ChangesWithSeason
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $target = $situation->target;
        $method = $option->method;
        if ($target === null || !$method->isFor($target)) {
            return [];
        }
        $fits = $method->fits();
        $source = $method->source();
        $findings = [];
        $setting = $situation->word(FactName::Setting);
        if ($fits->settings !== null) {
            $findings[] = match (true) {
                $setting === null => Finding::unknown('setting', 'handbook-6', true),
                in_array($setting, $fits->settings, true) => Finding::fits('fit.setting-yes', 'handbook-6', [
                    'site' => $setting,
                ]),
                default => Finding::doesNotSuit(
                    'fit.setting',
                    'handbook-6',
                    ['site' => $setting],
                    'change.other-helpers',
                ),
            };
        }
        if (!$fits->isForKind($target)) {
            return [...$findings, Finding::doesNotSuit('fit.made-for', $source, [], 'change.other-helpers')];
        }
        if ($fits->asksResprouts) {
            $findings[] = match ($target->resprouts()) {
                true => Finding::doesNotSuit(
                    'fit.resprouts',
                    $source,
                    [],
                    'change.repeat-or-treat',
                    Certainty::Typical,
                ),
                false => Finding::fits('fit.stays-down', $source, [], Certainty::Typical),
                null => Finding::unknown('resprouts', $source, true),
            };
        }

        return [...$findings, ...$this->stage($situation, $option)];
    }

    /** @return list<Finding> */
    private function stage(Situation $situation, Option $option): array
    {
        $wanted = $option->method->stages();
        if ($wanted === null) {
            return [];
        }
        $stage = $situation->stage();
        if ($stage === null) {
            return [Finding::unknown('stage', $option->method->source(), true)];
        }

        if (in_array($stage[0], $wanted, true)) {
            return [Finding::fits('fit.stage', $option->method->source(), ['stage' => $stage[0]], $stage[1])];
        }

        // the calendar alone closes nothing (rulings J43)
        return [
            $stage[1] === Certainty::Estimated
                ? Finding::withCare(
                    'fit.stage-look',
                    'rulings-J43',
                    ['stage' => $stage[0]],
                    'change.look-at-stage',
                    $stage[1],
                )
                : Finding::notNow(
                    'fit.stage-not',
                    $option->method->source(),
                    ['stage' => $stage[0]],
                    null,
                    'change.at-stage',
                    $stage[1],
                ),
        ];
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        if ($option->method->stages() === null) {
            return [];
        }

        return $situation->phenology()?->turns($year) ?? [];
    }
}
