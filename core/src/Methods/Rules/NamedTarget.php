<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** An unnamed plant is handled as the worst it could be (rulings J25): no product, no trimmer, hand work in full wearing only. */
final readonly class NamedTarget implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if ($situation->target !== null) {
            return [];
        }

        return match (true) {
            $candidate->method->usesProduct() => [Finding::unknown('target', 'rulings-J25', true)],
            $candidate->is('mow') => [Finding::doesNotSuit('unnamed.no-trimmer', 'rulings-J25', [], 'change.name-it')],
            default => [Finding::withCare('unnamed.full-wearing', 'rulings-J25', [], 'change.name-it')],
        };
    }
}
