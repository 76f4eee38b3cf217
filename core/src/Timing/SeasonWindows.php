<?php

declare(strict_types=1);

namespace Thicket\Timing;

use Thicket\Calendar\Day;
use Thicket\Calendar\MonthDay;
use Thicket\Catalogue\Species;
use Thicket\Catalogue\Window;
use Thicket\Catalogue\WindowGrade;
use Thicket\Catalogue\WindowSpec;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * The windows of one row (method x species) around one year, read from windows.yaml, moved by the season shift.
 * Day-of-year ranges repeat every year; the years around it are laid out too (southern ones lie six months on), so that
 * 'opens' can look ahead.
 */
final readonly class SeasonWindows
{
    /** @param list<Window> $windows in order of first day */
    private function __construct(public array $windows, public string $source, public bool $keepDown = false) {}

    /** Null where the method has no season or no row fits the plant. */
    public static function for(Situation $situation, Option $option): ?self
    {
        // nothing else of the row bears on its windows
        $key = implode(' ', [
            'windows',
            $option->method->season(),
            $option->schools->choice('basal-spring'),
            $option->schools->choice('injection-winter'),
            $option->schools->choice('basal-suckerer-season'),
            $option->schools->choice('evergreen-vine-season'),
        ]);

        return $situation->once($key, static fn(): ?self => self::workOut($situation, $option));
    }

    private static function workOut(Situation $situation, Option $option): ?self
    {
        $target = $situation->target;
        if ($target === null) {
            return null;
        }
        foreach ($option->catalogue->windowRows() as $row) {
            if (
                $row->season() !== $option->method->season() ||
                ($row->isForSuckering() && (!$target->isRootSuckering() || self::takesAnyTime($option, $target))) ||
                !$row->isForClass($target->treatmentClass())
            ) {
                continue;
            }
            $windows = [];
            $year = Day::year($situation->day);
            foreach ([$year - 2, $year - 1, $year, $year + 1] as $of) {
                foreach ($row->windows() as $spec) {
                    if ($spec->ifMissing() !== null && $target->dayOf($spec->ifMissing()) !== null) {
                        continue;
                    }
                    $window = self::window($situation, $option, $spec, $of, $row->source());
                    if ($window !== null) {
                        $windows[] = $window;
                    }
                }
            }
            usort($windows, static fn(Window $a, Window $b): int => $a->first <=> $b->first);

            return new self(self::joined($windows), $row->source(), $row->keepsDown());
        }

        return null;
    }

    /** Which school the season of this row hangs on. */
    public static function schoolFor(Option $option, ?Species $target): ?string
    {
        if ($target === null) {
            return null;
        }
        if ($target->isRootSuckering()) {
            return $target->mayCutFirst() && $option->method->season() === 'basal' ? 'basal-suckerer-season' : null;
        }

        return match ($option->method->season()) {
            'basal' => 'basal-spring',
            'cut-stem' => 'injection-winter',
            'foliar' => $target->treatmentClass() === 'evergreen-vine' ? 'evergreen-vine-season' : null,
            default => null,
        };
    }

    /** Beech at any time bar snow, says one school (handbook 8 basal-suckerer-season). */
    private static function takesAnyTime(Option $option, Species $target): bool
    {
        return $target->mayCutFirst() &&
            $option->method->season() === 'basal' &&
            $option->schools->choice('basal-suckerer-season') === 'beech-any-time';
    }

    public function on(\DateTimeImmutable $day): ?Window
    {
        foreach ($this->windows as $window) {
            if ($window->holds($day)) {
                return $window;
            }
        }

        return null;
    }

    /** The next window that is not to be avoided, after the day; one that kills tops only is no opening. */
    public function opensAfter(\DateTimeImmutable $day): ?Window
    {
        return $this->next($day, static fn(Window $w): bool => $w->grade !== WindowGrade::Avoid && !$w->topKill);
    }

    /** The next best one, which may lie behind a poorer one. */
    public function bestAfter(\DateTimeImmutable $day): ?Window
    {
        return $this->next($day, static fn(Window $w): bool => $w->grade === WindowGrade::Best);
    }

    /** A stretch before the opening in which tops burn and roots live. */
    public function topKillBefore(\DateTimeImmutable $day, \DateTimeImmutable $opening): ?Window
    {
        $window = $this->next($day, static fn(Window $w): bool => $w->topKill);

        return $window !== null && $window->first < $opening ? $window : null;
    }

    /** A window that a stage seen opens, whatever the calendar says (rulings J43). */
    public function openedBy(string $stage): ?Window
    {
        foreach ($this->windows as $window) {
            if (in_array($stage, $window->opensAt, true)) {
                return $window;
            }
        }

        return null;
    }

    /** @param \Closure(Window): bool $wanted */
    private function next(\DateTimeImmutable $day, \Closure $wanted): ?Window
    {
        foreach ($this->windows as $window) {
            if ($window->first > $day && $wanted($window)) {
                return $window;
            }
        }

        return null;
    }

    private static function window(
        Situation $situation,
        Option $option,
        WindowSpec $spec,
        int $year,
        string $source,
    ): ?Window {
        $first = self::day($situation, $spec->begins(), $year);
        // a window over the turn of the year ends in the next one; told by the catalogue days, before any shift
        $last = self::day($situation, $spec->ends(), $year + (self::runsOverNewYear($situation, $spec) ? 1 : 0));
        if ($first === null || $last === null) {
            return null;
        }
        // a window named by two events ends the day before the second begins the next one
        if (!self::isMonthDay($spec->ends()[0]) && $spec->ends()[0] !== 'firstColour') {
            $last = $last->modify('-1 day');
        }
        $last = $last->modify("+{$spec->plusDays()} days");
        if ($last < $first) {
            return null;
        }

        return new Window(
            $first,
            $last,
            self::bySchool($spec->grade(), $spec->reason(), $option),
            $spec->reason(),
            $source,
            $spec->opensAt(),
            $spec->closedBy(),
            $spec->isTopKill(),
        );
    }

    private static function bySchool(WindowGrade $grade, string $reason, Option $option): WindowGrade
    {
        if ($reason === 'basal-spring' && $option->schools->choice('basal-spring') === 'avoid') {
            return WindowGrade::Avoid;
        }
        $vine = $option->schools->choice('evergreen-vine-season');
        if ($reason === 'vine-growing' && $vine !== 'while-growing') {
            return WindowGrade::Avoid;
        }
        if ($reason === 'natives-leafless' && $vine === 'late-summer') {
            return WindowGrade::Avoid;
        }
        if ($reason === 'late-summer' && $vine === 'late-summer') {
            return WindowGrade::Best;
        }
        $winter = $option->schools->choice('injection-winter');
        if ($option->method->season() === 'cut-stem') {
            if ($reason === 'early-winter' && $winter === 'not-leafless') {
                return WindowGrade::Avoid;
            }
            if ($reason === 'sap-rise' && $winter === 'all-winter') {
                return WindowGrade::WithCare;
            }
        }

        return $grade;
    }

    /** @param list<string> $names the first that is known counts */
    private static function day(Situation $situation, array $names, int $year): ?\DateTimeImmutable
    {
        foreach ($names as $text) {
            $event = self::isMonthDay($text) ? MonthDay::parse($text) : self::eventDay($situation, $text);
            $day = $event === null ? null : $situation->shift->local($event, $year);
            if ($day !== null) {
                return $day;
            }
        }

        return null;
    }

    /**
     * By the catalogue days, before any shift: a window between two events runs over the turn of the year as one
     * between two days does.
     */
    private static function runsOverNewYear(Situation $situation, WindowSpec $spec): bool
    {
        $from = self::catalogueDay($situation, $spec->begins());
        $to = self::catalogueDay($situation, $spec->ends());

        // a window of an event with itself and some days more does not
        return $from !== null && $to !== null && $to < $from;
    }

    /** @param list<string> $names the first that is known counts */
    private static function catalogueDay(Situation $situation, array $names): ?string
    {
        foreach ($names as $text) {
            $day = self::isMonthDay($text) ? $text : self::eventDay($situation, $text)?->__toString();
            if ($day !== null) {
                return $day;
            }
        }

        return null;
    }

    private static function eventDay(Situation $situation, string $event): ?MonthDay
    {
        return $event === 'greenLeafEnd' ? $situation->target?->greenLeafEnd() : $situation->target?->dayOf($event);
    }

    private static function isMonthDay(string $text): bool
    {
        return preg_match('/^\d\d-\d\d$/', $text) === 1;
    }

    /**
     * Windows of one grade that touch (31 December, 1 January) become one, so that 'opens' names the true first day.
     *
     * @param list<Window> $windows
     *
     * @return list<Window>
     */
    private static function joined(array $windows): array
    {
        /** @var list<Window> $out */
        $out = [];
        foreach ($windows as $window) {
            $previous = array_pop($out);
            if (
                $previous !== null &&
                $previous->grade === $window->grade &&
                $previous->reason === $window->reason &&
                $previous->last->modify('+1 day') >= $window->first
            ) {
                $out[] = $previous->over($previous->first, max($previous->last, $window->last));
                continue;
            }
            if ($previous !== null) {
                // two catalogue days may fall on one local day; the later window has it
                $last = min($previous->last, $window->first->modify('-1 day'));
                if ($last >= $previous->first) {
                    $out[] = $previous->over($previous->first, $last);
                }
            }
            $out[] = $window;
        }

        return $out;
    }
}
