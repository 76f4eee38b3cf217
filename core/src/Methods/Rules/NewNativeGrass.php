<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Methods\Candidate;
use Thicket\Methods\Certainty;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Situation;
use Thicket\Methods\TurnsWithTheYear;
use Thicket\Timing\Day;
use Thicket\Timing\MonthDay;

/** Mowing new native grass: from 12 in of weed, never after 1 August (handbook 2, 4; both moved by the season shift). */
final readonly class NewNativeGrass implements TurnsWithTheYear
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if (!$candidate->is('mow') || $situation->word(FactName::Setting) !== 'new-native-grass') {
            return [];
        }
        $source = 'handbook-2-mow';
        $last = $situation->shift->local(MonthDay::parse('08-01'), Day::year($situation->day));
        if ($situation->day > $last) {
            return [Finding::notNow('grass.mowing-closed', $source, ['last' => $last], null, 'change.hand-work')];
        }
        $height = $situation->quantity(FactName::Height);
        $from = Quantity::of(12, Unit::Inch);
        if ($height === null) {
            return [Finding::unknown('height', $source, true)];
        }

        return [$height->isLessThan($from)
            ? Finding::notNow('grass.weeds-still-low', $source, ['height' => $height, 'limit' => $from], null, 'change.weeds-reach', Certainty::Observed)
            : Finding::fits('grass.mow-now', $source, ['height' => $height, 'limit' => $from, 'last' => $last], Certainty::Observed)];
    }

    public function turns(Situation $situation, Candidate $candidate, int $year): array
    {
        if (!$candidate->is('mow') || $situation->word(FactName::Setting) !== 'new-native-grass') {
            return [];
        }

        return [$situation->shift->local(MonthDay::parse('08-01'), $year)->modify('+1 day')];
    }
}
