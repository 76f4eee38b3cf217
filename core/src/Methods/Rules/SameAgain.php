<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** What was done here before: the same mode of action again breeds resistance, and what failed is not repeated (handbook 7). */
final readonly class SameAgain implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $findings = [];
        $group = $candidate->active?->group();
        $times = 0;
        foreach ($situation->history as $past) {
            $same = $past->method === $candidate->method->id() && $past->active === $candidate->active?->id();
            if ($same && $past->failed) {
                $findings[] = Finding::doesNotSuit('again.failed-here', 'handbook-7', ['on' => $past->on], 'change.other-way', Certainty::Observed);
            }
            $times += $group !== null && $group !== 'none' && $past->group === $group ? 1 : 0;
        }
        if ($times > 0 && $group !== null) {
            $findings[] = Finding::withCare('again.same-group', 'handbook-7', ['group' => $group, 'times' => $times], 'change.rotate', Certainty::Observed);
        }

        return $findings;
    }
}
