<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** What the species file says this active does to it. Not known stays not known (rulings B10). */
final readonly class Response implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if ($situation->target === null || $candidate->active === null) {
            return [];
        }
        $values = ['active' => $candidate->active->name()];

        return [match ($situation->target->responseTo($candidate->active->id())) {
            'controls' => Finding::fits('response.controls', 'species', $values, Certainty::Typical),
            'suppresses' => Finding::withCare('response.suppresses', 'species', $values, 'change.other-active', Certainty::Typical),
            'misses' => Finding::doesNotSuit('response.misses', 'species', $values, 'change.other-active', Certainty::Typical),
            'disputed' => Finding::withCare('response.disputed', 'species', $values, null, Certainty::Typical),
            default => Finding::withCare('response.not-known', 'species', $values, 'change.other-active', Certainty::Unknown),
        }];
    }
}
