<?php

declare(strict_types=1);

namespace Thicket\Mix;

use Thicket\Catalogue\Method;
use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;

/**
 * What the cards of one tank ask together: of several products the strictest holds, and a card that is silent is not
 * taken for leave (rulings J7, J10, J16).
 */
final readonly class TankTerms
{
    /** Days in which earlier work makes a card's silence about waiting matter (rulings J7). */
    private const WITHIN_DAYS = 365;

    /** What several products may be put on together: rulings J16 and the mixes of handbook 3 are sprays. */
    private const MIXED_ON = ['leaf', 'soil'];

    /** @param list<LabelCard> $cards of the products, each once */
    public function __construct(private array $cards) {}

    /** Whether work of this kind takes more than one product in its tank. */
    public static function mayMix(Method $method): bool
    {
        return in_array($method->onto(), self::MIXED_ON, true);
    }

    /** Longest time that people stay out, in hours; null where a card is silent. */
    public function reentryHours(): ?int
    {
        return self::longest(
            array_map(static fn(LabelCard $card): ?int => $card->protection->reentryHours, $this->cards),
        );
    }

    /** Longest time without rain, in hours; null where a card is silent. */
    public function rainfastHours(): ?int
    {
        return self::longest(array_map(static fn(LabelCard $card): ?int => $card->start->rainfastHours, $this->cards));
    }

    /**
     * Shortest time that the finished mix may stand, in hours; null where a card is silent: then it is used up on the
     * same day.
     */
    public function holdingHours(): ?int
    {
        $hours = array_map(static fn(LabelCard $card): ?int => $card->details->holdingHours(), $this->cards);

        return $hours === [] || in_array(null, $hours, true) ? null : min($hours);
    }

    /** Widest strip kept clear at water; null where no card names one. */
    public function waterBuffer(): ?Quantity
    {
        return array_reduce(
            $this->cards,
            static fn(?Quantity $widest, LabelCard $card): ?Quantity => $card->start->waterBuffer !== null &&
            ($widest === null || $card->start->waterBuffer->isGreaterThan($widest))
                ? $card->start->waterBuffer
                : $widest,
        );
    }

    public function licensedOnly(): bool
    {
        return array_filter($this->cards, static fn(LabelCard $card): bool => $card->protection->licensedOnly) !== [];
    }

    /**
     * The longest wait that any limit of any card asks for since its active was last put there.
     *
     * @param array<string, \DateTimeImmutable> $last day of the last application on this ground, by active id
     * @param string|null $site word of the site where the job is
     *
     * @return array{opens: \DateTimeImmutable|null, silent: LabelCard|null, since: \DateTimeImmutable|null} opens: the
     *     first day it may be done again, null where today will do;
     *                                                                                                   silent: a card
     *                                                                                                   that names no
     *                                                                                                   wait though its
     *                                                                                                   active was put
     *                                                                                                   there within
     *                                                                                                   the year, which
     *                                                                                                   cannot be told
     */
    public function wait(array $last, ?string $site, \DateTimeImmutable $today): array
    {
        $opens = null;
        foreach ($this->cards as $card) {
            foreach (
                array_intersect_key($last, array_flip(array_column($card->contents->actives, 'active')))
                as $active => $day
            ) {
                foreach ($card->limits($site, $active) as $limit) {
                    if ($limit->intervalDays === null && $day > $today->modify('-' . self::WITHIN_DAYS . ' days')) {
                        return ['opens' => null, 'silent' => $card, 'since' => $day];
                    }
                    $again = $day->add(new \DateInterval('P' . ($limit->intervalDays ?? 0) . 'D'));
                    $opens = $again > $today && ($opens === null || $again > $opens) ? $again : $opens;
                }
            }
        }

        return ['opens' => $opens, 'silent' => null, 'since' => null];
    }

    /** @param list<int|null> $hours */
    private static function longest(array $hours): ?int
    {
        return $hours === [] || in_array(null, $hours, true) ? null : max($hours);
    }
}
