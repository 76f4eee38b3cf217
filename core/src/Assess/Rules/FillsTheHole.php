<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\ChangesWithSeason;
use Thicket\Calendar\Day;
use Thicket\Catalogue\FactName;
use Thicket\Economics\CoverSeed;
use Thicket\Season\LocalSpans;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Finding;

/**
 * A cover crop or reseeding follows a removal; it must not stand where bare ground is wanted, nor in the reach of what
 * was sprayed (handbook 2). Each kind has its month and its seed; one kept into summer stands against bare strips, and
 * a good stand may need water.
 */
final readonly class FillsTheHole implements ChangesWithSeason
{
    private const SOURCE = 'handbook-2-cover-crop';
    /** From here strips are held bare in most schools (handbook 2). */
    private const STRIPS_BARE_FROM = '04-01';

    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->method->followsRemoval()) {
            return [];
        }
        $orchard = $situation->word(FactName::Setting) === 'orchard';
        $cover = CoverSeed::of($situation, $option);
        $kind = $cover?->kind;
        $findings = [Finding::withCare('cover.after-removal', self::SOURCE, [], 'change.remove-first')];
        if ($cover === null) {
            $findings[] = Finding::unknown(FactName::CoverKind->value, self::SOURCE, false);
        } else {
            $findings[] = $this->month($situation, $cover);
            in_array('roll', $cover->kind->ends(), true) &&
                ($findings[] = Finding::fits('cover.roll-it', self::SOURCE));
        }
        if ($orchard) {
            $until = $kind?->standsUntil();
            $findings[] =
                $until !== null && (string) $until > self::STRIPS_BARE_FROM
                    ? Finding::withCare(
                        'cover.stands-into-strips',
                        self::SOURCE,
                        ['until' => $situation->shift->local($until, Day::year($situation->day))],
                        null,
                    )
                    : Finding::withCare('cover.out-of-strip', self::SOURCE, [], null);
            $watered = $situation->isYes(FactName::Irrigated);
            $watered === true ||
                ($findings[] =
                    $watered === null
                        ? Finding::unknown(FactName::Irrigated->value, self::SOURCE, false)
                        : Finding::withCare('cover.may-fail-dry', self::SOURCE));
        }

        return $findings;
    }

    public function turns(Situation $situation, Option $option, int $year): array
    {
        $kind = CoverSeed::of($situation, $option)?->kind;
        $days = [];
        foreach ($kind === null ? [] : $kind->sown() as $span) {
            foreach (LocalSpans::within($situation->shift, $span, $year) as $local) {
                $days = [...$days, $local['first'], $local['last']->modify('+1 day')];
            }
        }

        return $days;
    }

    private function month(Situation $situation, CoverSeed $cover): Finding
    {
        $kind = $cover->kind;
        $values =
            ['cover' => $kind->id(), 'rate' => $cover->rate] +
            ($cover->amount === null ? [] : ['seed' => $cover->amount]);
        $code = $cover->amount === null ? 'cover.its-month' : 'cover.its-month-seed';
        $next = null;
        foreach ([Day::year($situation->day), Day::year($situation->day) + 1] as $year) {
            foreach ($kind->sown() as $span) {
                foreach (LocalSpans::within($situation->shift, $span, $year) as $local) {
                    if ($situation->day >= $local['first'] && $situation->day <= $local['last']) {
                        return Finding::fits(
                            $code,
                            self::SOURCE,
                            $values + ['until' => $local['last']],
                            Certainty::Typical,
                        );
                    }
                    $local['first'] > $situation->day &&
                        ($next === null || $local['first'] < $next) &&
                        ($next = $local['first']);
                }
            }
        }

        return Finding::notNow(
            'cover.not-its-month',
            self::SOURCE,
            $values + ($next === null ? [] : ['opens' => $next]),
            $next,
            'change.other-cover',
        );
    }
}
