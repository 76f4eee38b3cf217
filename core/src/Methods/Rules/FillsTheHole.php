<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** A cover crop or reseeding follows a removal; it must not stand where bare ground is wanted, nor in the reach of what was sprayed (handbook 2). */
final readonly class FillsTheHole implements Rule
{
    private const SOURCE = 'handbook-2-cover-crop';

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if ($candidate->method->data->stringOr('follows', '') !== 'removal') {
            return [];
        }
        $findings = [Finding::withCare('cover.after-removal', self::SOURCE, [], 'change.remove-first')];
        if ($situation->word(FactName::Setting) === 'orchard') {
            $findings[] = Finding::withCare('cover.out-of-strip', self::SOURCE, [], null);
        }

        return $findings;
    }
}
