<?php

declare(strict_types=1);

namespace Thicket\Identify;

use Thicket\Calendar\Day;
use Thicket\Calendar\MonthDay;
use Thicket\Calendar\SeasonShift;
use Thicket\Input\Fields;

/**
 * Whether leaf, flower or fruit of a plant show on one day at one ground: its catalogue days moved by the season shift,
 * with a fortnight's grace on both sides. One object serves a whole ranking and remembers the days it has moved.
 */
final class SeasonalVisibility
{
    public const GRACE_DAYS = 14;
    private const YEAR_DAYS = 366;

    private readonly int $today;

    /** @var array<string, int> catalogue day => day of the year at this ground */
    private array $moved = [];

    /** @var array<string, bool> window => whether it holds today */
    private array $known = [];

    public function __construct(
        private readonly SeasonShift $shift,
        private readonly \DateTimeImmutable $day,
        private readonly int $graceDays = self::GRACE_DAYS,
        private readonly ?int $zone = null,
    ) {
        $this->today = self::number($day);
    }

    /** Hardiness zone of a place, 1 to 13, as typed; null where it is left out. Faults are noted at hardinessZone. */
    public static function readZone(Fields $in): ?int
    {
        $zone = $in->has('hardinessZone') ? $in->decimal('hardinessZone', '1', '13') : $in->raw('hardinessZone');
        if (is_string($zone) && !ctype_digit($zone)) {
            $in->fault('hardinessZone', 'Give a whole number from 1 to 13.');
        }

        return is_string($zone) ? (int) $zone : null;
    }

    /**
     * Whether a plant is hardy at this ground; where nobody told the zone, any is.
     *
     * @param array{int, int}|null $zones hardiness zones it lives in; null where nobody knows
     */
    public function isHardy(?array $zones): bool
    {
        return $this->zone === null || $zones === null || ($this->zone >= $zones[0] && $this->zone <= $zones[1]);
    }

    /**
     * @param array{string, string}|null $window catalogue days from and until, over the turn of the year too; null
     * shows all year
     */
    public function shows(?array $window): bool
    {
        return $window === null || ($this->known["{$window[0]}/{$window[1]}"] ??= $this->within($window));
    }

    /** @param array{string, string} $window */
    private function within(array $window): bool
    {
        $from = $this->local($window[0]) - $this->graceDays;
        $length =
            (((($this->local($window[1]) - $from) % self::YEAR_DAYS) + self::YEAR_DAYS) % self::YEAR_DAYS) +
            $this->graceDays;
        $since = ((($this->today - $from) % self::YEAR_DAYS) + self::YEAR_DAYS) % self::YEAR_DAYS;

        return $since <= $length;
    }

    private function local(string $monthDay): int
    {
        return $this->moved[$monthDay] ??= self::number(
            $this->shift->local(MonthDay::parse($monthDay), Day::year($this->day)),
        );
    }

    private static function number(\DateTimeImmutable $day): int
    {
        return (int) $day->format('z');
    }
}
