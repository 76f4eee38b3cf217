<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * What was done here before: what failed is not repeated (handbook 7); the same mode of action again breeds resistance,
 * of a tank when no group that controls the target is new to this ground (rulings J41).
 */
final readonly class SameAgain implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $findings = [];
        $used = [];
        foreach ($situation->history as $past) {
            if ($past->method === $option->method->id() && $past->active === $option->active?->id() && $past->failed) {
                $findings[] = Finding::doesNotSuit(
                    'again.failed-here',
                    'handbook-7',
                    ['on' => $past->on],
                    'change.other-way',
                    Certainty::Observed,
                );
            }
            if ($past->group !== null && $past->group !== 'none') {
                $used[$past->group] = ($used[$past->group] ?? 0) + 1;
            }
        }
        $working = $this->workingGroups($situation, $option);
        $again = array_intersect_key($used, array_flip($working));
        if ($again !== [] && count($again) === count($working)) {
            $findings[] = Finding::withCare(
                'again.same-group',
                'handbook-7',
                ['group' => implode(', ', array_map(strval(...), array_keys($again))), 'times' => max($again)],
                'change.rotate',
                Certainty::Observed,
            );
        }

        return $findings;
    }

    /**
     * @return list<string> groups of the tank that are known to do something to the target; all of them where nothing
     * is known
     */
    private function workingGroups(Situation $situation, Option $option): array
    {
        $groups = $working = [];
        foreach ($option->actives() as $active) {
            if ($active->group() === 'none') {
                continue;
            }
            $groups[] = $active->group();
            in_array($situation->target?->responseTo($active->id()), ['controls', 'suppresses', 'disputed'], true) &&
                ($working[] = $active->group());
        }

        return array_values(array_unique($working !== [] ? $working : $groups));
    }
}
