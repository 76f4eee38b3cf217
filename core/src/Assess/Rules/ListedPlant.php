<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * What the crew has noted of its law on the target (rulings J20): protected plants are left alone, regulated ones bring
 * duties.
 */
final readonly class ListedPlant implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        $listing = $situation->target === null ? null : $situation->listed[$situation->target->id()] ?? null;

        return match ($listing) {
            'protected' => [Finding::notAllowed('listed.protected', 'rulings-J20', [], 'change.authority')],
            'regulated' => [Finding::withCare('listed.regulated', 'rulings-J20')],
            default => [],
        };
    }
}
