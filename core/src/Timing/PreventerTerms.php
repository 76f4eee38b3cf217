<?php

declare(strict_types=1);

namespace Thicket\Timing;

use Thicket\Label\LabelCard;

/** What a label says of a preventer's time: how soon it works, how long, how often it may be laid. */
final readonly class PreventerTerms
{
    /** Where no card says how long a preventer takes and lasts (handbook 8, 4: the granular kind). */
    private const USUAL_LEAD_DAYS = 30;
    private const USUAL_LASTING_DAYS = 90;

    /**
     * @param int $leadDays before it works
     * @param int $lastingDays it works, from the day it was laid where the lead counts inside, else from the day it
     *     works
     * @param int|null $applications a year by the card; null where it gives none
     * @param int $intervalDays least days between two layings by the card
     * @param bool $onlyIfNeeded whether the card wants a look before it is laid again
     */
    public function __construct(
        public int $leadDays,
        public int $lastingDays,
        public bool $leadInside,
        public ?int $applications = null,
        public int $intervalDays = 0,
        public bool $onlyIfNeeded = false,
    ) {}

    /** As the card says, else as usual; where it is silent the lead counts inside. */
    public static function of(?LabelCard $card): self
    {
        $ceiling = $card->directions->ceilings[0] ?? null;

        return new self(
            $card->intervals->leadDays ?? self::USUAL_LEAD_DAYS,
            $card->intervals->lastingDays ?? self::USUAL_LASTING_DAYS,
            $card->details->answers['leadInsideLasting'] ?? true,
            $ceiling?->applications,
            $ceiling->intervalDays ?? 0,
            $card->details->answers['repeatIfNeeded'] ?? false,
        );
    }

    /** Days that one laying really works. */
    public function works(): int
    {
        return $this->leadInside ? max(0, $this->lastingDays - $this->leadDays) : $this->lastingDays;
    }
}
