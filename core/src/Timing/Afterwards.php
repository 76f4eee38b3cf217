<?php

declare(strict_types=1);

namespace Thicket\Timing;

use Thicket\Catalogue\FactName;
use Thicket\Label\LabelCard;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * What a job, done on the day asked about, shuts afterwards and till when: people, stock, hay, straw, what is sown
 * next, the same product again, the score. By the strictest card of the tank; where a card is silent on what matters on
 * this ground that is said, for silence is no leave (rulings J40).
 */
final readonly class Afterwards
{
    /** Days of a card by what they are counted to. */
    private const BY_DAYS = ['grazing', 'hay', 'dairy', 'slaughter', 'straw', 'replant'];

    private function __construct() {}

    /**
     * @param list<LabelCard> $cards of the tank; empty where it is done without product
     *
     * @return list<Finding> the soonest over first; those without a day at their end
     */
    public static function of(Situation $situation, Option $option, array $cards): array
    {
        $day = $situation->day;
        $out = [];
        foreach (self::hours($cards) as $code => $hours) {
            $out[] = Finding::fits("after.{$code}", 'label-card', ['hours' => $hours]);
        }
        foreach (self::BY_DAYS as $what) {
            $known = array_filter(
                array_map(static fn(LabelCard $c): ?int => self::days($c, $what), $cards),
                is_int(...),
            );
            if ($known !== [] && !self::isIdle($what, max($known), $situation)) {
                $out[] = Finding::fits("after.{$what}", 'label-card', self::until($day, max($known)));
            }
        }
        foreach (self::silent($situation, $cards) as $fact) {
            $out[] = Finding::unknown($fact, 'label-card', false);
        }
        $again = self::again($situation, $cards);
        $again === null || ($out[] = Finding::fits('after.again', 'label-card', self::until($day, $again)));
        $lasting = array_filter(array_map(static fn(LabelCard $c): ?int => $c->intervals->lastingDays, $cards));
        $lasting === [] || ($out[] = Finding::fits('after.lasting', 'label-card', self::until($day, min($lasting))));
        if ($situation->target !== null && !$option->method->removesNothing()) {
            $out[] = Finding::fits('after.judge', 'rulings-J22', [
                'until' => EvaluationDate::day(
                    $situation->target,
                    $day,
                    $situation->shift,
                    $option->method->showsLateOn($situation->target),
                ),
            ]);
        }
        usort($out, static fn(Finding $a, Finding $b): int => self::order($a) <=> self::order($b));

        return $out;
    }

    /**
     * What a card does not say though it matters here.
     *
     * @param list<LabelCard> $cards
     *
     * @return list<string> facts
     */
    private static function silent(Situation $situation, array $cards): array
    {
        $asked = [
            'card-reentry-hours' => static fn(LabelCard $c): bool => $c->protection->reentryHours === null,
            'card-interval-days' => static fn(LabelCard $c): bool => self::waits($situation, $c) === [],
        ];
        if ($situation->isGrazed() === true) {
            $asked['card-grazing-days'] = static fn(LabelCard $c): bool => $c->intervals->grazingDays === null;
        }
        if ($situation->dayOf(FactName::HayOn) !== null) {
            $asked['card-hay-days'] = static fn(LabelCard $c): bool => $c->intervals->hayDays === null;
        }

        return array_keys(
            array_filter($asked, static fn(\Closure $isSilent): bool => array_filter($cards, $isSilent) !== []),
        );
    }

    /**
     * @param list<LabelCard> $cards
     *
     * @return array<string, int> hours by what they are counted to
     */
    private static function hours(array $cards): array
    {
        $all = [
            'reentry' => array_map(static fn(LabelCard $c): ?int => $c->protection->reentryHours, $cards),
            'rainfast' => array_map(static fn(LabelCard $c): ?int => $c->start->rainfastHours, $cards),
            'water' => array_map(
                static fn(LabelCard $c): ?int => $c->details->numbers['irrigationResumeHours'] ?? null,
                $cards,
            ),
        ];
        $known = array_filter(array_map(static fn(array $h): array => array_filter($h, is_int(...)), $all));

        return array_filter(array_map(static fn(array $h): int => $h === [] ? 0 : max($h), $known));
    }

    private static function days(LabelCard $card, string $what): ?int
    {
        return match ($what) {
            'grazing' => $card->intervals->grazingDays,
            'hay' => $card->intervals->hayDays,
            default => $card->details->numbers["{$what}Days"] ?? null,
        };
    }

    /** What is neither kept nor made on this ground is not told: a garden has no dairy. */
    private static function isIdle(string $what, int $days, Situation $situation): bool
    {
        return match ($what) {
            'grazing' => $situation->isGrazed() !== true,
            'dairy', 'slaughter' => $situation->isGrazed() !== true || $days === 0,
            'hay', 'straw' => $days === 0 ||
                ($situation->dayOf(FactName::HayOn) === null && $situation->isGrazed() !== true),
            default => $days === 0,
        };
    }

    /**
     * The longest wait before the same product may be put there again; null where no card names one.
     *
     * @param list<LabelCard> $cards
     */
    private static function again(Situation $situation, array $cards): ?int
    {
        $waits = array_merge([], ...array_map(static fn(LabelCard $c): array => self::waits($situation, $c), $cards));

        return $waits === [] || max($waits) === 0 ? null : max($waits);
    }

    /** @return list<int> days that a card names between two applications on this ground */
    private static function waits(Situation $situation, LabelCard $card): array
    {
        $waits = [];
        foreach ($card->contents->actives as $active) {
            foreach ($card->limits($situation->word(FactName::Setting), $active['active']) as $limit) {
                $limit->intervalDays === null || ($waits[] = $limit->intervalDays);
            }
        }

        return $waits;
    }

    /** @return array<string, \DateTimeImmutable|int> */
    private static function until(\DateTimeImmutable $day, int $days): array
    {
        return ['days' => $days, 'until' => $day->modify("+{$days} days")];
    }

    /** @return array{int, int} hours, then days, then what cannot be told */
    private static function order(Finding $finding): array
    {
        $until = $finding->values['until'] ?? null;
        $hours = $finding->values['hours'] ?? 0;

        return match (true) {
            $finding->missing !== null => [2, 0],
            $until instanceof \DateTimeImmutable => [1, $until->getTimestamp()],
            default => [0, is_int($hours) ? $hours : 0],
        };
    }
}
