<?php

declare(strict_types=1);

namespace Thicket\FieldDay;

use Thicket\Measure\Quantity;

/**
 * A field day as all of its notes tell it together, from however many devices (docs/field-day.md). Whatever order they
 * come in, and however often, the day is the same: a note is known by its id, put in its place by its time, and taken
 * back by another note. Counts add up; of a tick the last one holds; of what was said of one field all hold that nobody
 * has put something else in the place of, and where these differ a person decides.
 */
final readonly class FieldLog
{
    /**
     * @param list<FieldEvent> $events in order, what was taken back left out
     * @param list<FieldEvent> $undone what was taken back
     */
    private function __construct(public array $events, public array $undone) {}

    /** @param iterable<FieldEvent> $events in any order; one that comes again is the same one */
    public static function of(iterable $events): self
    {
        $all = [];
        foreach ($events as $event) {
            $all[$event->id] ??= $event;
        }
        $back = [];
        foreach ($all as $event) {
            $event->kind === EventKind::Undo && ($back[$event->text('of')] = true);
        }
        $stands = $undone = [];
        foreach (self::inOrder(array_values($all)) as $event) {
            if ($event->kind !== EventKind::Undo) {
                isset($back[$event->id]) ? ($undone[] = $event) : ($stands[] = $event);
            }
        }

        return new self($stands, $undone);
    }

    /**
     * By time. A device's own notes keep its own order: one made after its clock was put back counts as made when the
     * one before was.
     *
     * @param list<FieldEvent> $events
     *
     * @return list<FieldEvent>
     */
    private static function inOrder(array $events): array
    {
        usort(
            $events,
            // as texts: a name made of digits is no number
            static fn(FieldEvent $a, FieldEvent $b): int => strcmp($a->device, $b->device) ?:
            ($a->seq <=> $b->seq ?:
            strcmp($a->id, $b->id)),
        );
        $at = $latest = [];
        foreach ($events as $event) {
            $latest[$event->device] = max($latest[$event->device] ?? $event->at, $event->at);
            $at[$event->id] = $latest[$event->device];
        }
        // stable: of the same moment the order of devices stands
        usort($events, static fn(FieldEvent $a, FieldEvent $b): int => $at[$a->id] <=> $at[$b->id]);

        return $events;
    }

    /** @return list<FieldEvent> */
    public function kind(EventKind ...$kinds): array
    {
        return array_values(
            array_filter($this->events, static fn(FieldEvent $e): bool => in_array($e->kind, $kinds, true)),
        );
    }

    /** @return array<string, array{treated: int, left: int}> stems by size, in the order in which they came */
    public function stems(): array
    {
        $stems = [];
        foreach ($this->kind(EventKind::Count, EventKind::Skip) as $event) {
            $of = $stems[$event->text('group')] ?? ['treated' => 0, 'left' => 0];
            $of[$event->kind === EventKind::Count ? 'treated' : 'left'] += $event->number('n');
            $stems[$event->text('group')] = $of;
        }
        ksort($stems, SORT_STRING);

        return $stems;
    }

    public function treated(): int
    {
        return array_sum(array_column($this->stems(), 'treated'));
    }

    public function left(): int
    {
        return array_sum(array_column($this->stems(), 'left'));
    }

    /** @return array<string, int> stems treated by whose work it was */
    public function treatedBy(): array
    {
        $by = [];
        foreach ($this->kind(EventKind::Count) as $event) {
            $by[$event->by] = ($by[$event->by] ?? 0) + $event->number('n');
        }
        ksort($by, SORT_STRING);

        return $by;
    }

    /** @return array<string, FieldEvent> what is ticked now, by 'what' and who; the last tick holds */
    public function ticks(): array
    {
        $ticks = [];
        foreach ($this->kind(EventKind::Tick) as $event) {
            unset($ticks["{$event->text('what')} {$event->by}"]);
            if (($event->body['on'] ?? true) === true) {
                $ticks["{$event->text('what')} {$event->by}"] = $event;
            }
        }

        return $ticks;
    }

    /**
     * When each of them worked; open where nobody said that they stopped. A start while one goes on, or a stop while
     * none does, changes nothing.
     *
     * @return list<Spell> by their start
     */
    public function spells(): array
    {
        $spells = $open = [];
        foreach ($this->kind(EventKind::Work) as $event) {
            $starts = $event->text('what') === 'start';
            $at = $open[$event->by] ?? null;
            if ($starts && $at === null) {
                $open[$event->by] = count($spells);
                $spells[] = new Spell($event->by, $event->at, null);
            } elseif (!$starts && $at !== null) {
                $spells[$at] = new Spell($event->by, $spells[$at]->from, $event->at);
                unset($open[$event->by]);
            }
        }

        return array_values($spells);
    }

    public function started(): ?\DateTimeImmutable
    {
        $spells = $this->spells();

        return $spells === [] ? null : min(array_map(static fn(Spell $s): \DateTimeImmutable => $s->from, $spells));
    }

    /** Null while somebody works on, or nobody ever began. */
    public function stopped(): ?\DateTimeImmutable
    {
        $ends = array_map(static fn(Spell $s): ?\DateTimeImmutable => $s->to, $this->spells());

        return $ends === [] || in_array(null, $ends, true) ? null : max($ends);
    }

    /**
     * Minutes that so many people worked, all together: each who kept a clock by that, the others as long as anybody
     * did. Null where nobody kept one, or one still runs.
     */
    public function minutesWorked(int $people): ?int
    {
        $spells = $this->spells();
        if ($spells === [] || $this->stopped() === null) {
            return null;
        }
        $own = $anybody = $until = 0;
        foreach ($spells as $spell) {
            [$from, $to] = [$spell->from->getTimestamp(), $spell->to?->getTimestamp() ?? 0];
            $own += $to - $from;
            $anybody += max(0, $to - max($from, $until));
            $until = max($until, $to);
        }
        $kept = count(array_unique(array_map(static fn(Spell $s): string => $s->by, $spells)));

        return (int) round(($own + max(0, $people - $kept) * $anybody) / 60);
    }

    /** @return list<string> whose work it tells of */
    public function people(): array
    {
        $people = array_map(
            static fn(FieldEvent $e): string => $e->by,
            $this->kind(EventKind::Work, EventKind::Count, EventKind::Skip),
        );
        $people = array_values(array_unique($people));
        sort($people, SORT_STRING);

        return $people;
    }

    /** Mix that was filled; null where nobody filled any. */
    public function mixFilled(): ?Quantity
    {
        $sum = null;
        foreach ($this->kind(EventKind::Refill) as $event) {
            $amount = Quantity::ofWire($event->body['amount'] ?? null);
            $sum = $amount === null ? $sum : $sum?->plus($amount) ?? $amount;
        }

        return $sum;
    }

    /** @return list<FieldEvent> clocks that run, by 'clock' and what they are of; the last word holds */
    public function clocks(): array
    {
        $running = [];
        foreach ($this->kind(EventKind::Timer) as $event) {
            $key = "{$event->text('clock')} {$event->text('of')}";
            unset($running[$key]);
            if (($event->body['on'] ?? true) === true) {
                $running[$key] = $event;
            }
        }

        return array_values($running);
    }

    /**
     * Where each device went.
     *
     * @return list<list<array{float, float, int, float|null}>> longitude, latitude, seconds since 1970, metres of error
     */
    public function tracks(): array
    {
        $tracks = [];
        foreach ($this->kind(EventKind::Track) as $event) {
            foreach (is_array($event->body['points'] ?? null) ? $event->body['points'] : [] as $point) {
                [$longitude, $latitude, $at, $error] = array_pad(is_array($point) ? array_values($point) : [], 4, null);
                if (is_numeric($longitude) && is_numeric($latitude) && is_int($at)) {
                    $tracks[$event->device][] = [
                        (float) $longitude,
                        (float) $latitude,
                        $at,
                        is_numeric($error) ? (float) $error : null,
                    ];
                }
            }
        }

        return array_values($tracks);
    }

    /**
     * What is said of each field of the record: all that nobody has put another in the place of. More than one value
     * is a conflict that a person ends by saying it again over all of them.
     *
     * @return array<string, non-empty-list<FieldEvent>>
     */
    public function said(): array
    {
        $over = [];
        foreach ($this->kind(EventKind::Say) as $event) {
            foreach (is_array($event->body['over'] ?? null) ? $event->body['over'] : [] as $id) {
                is_string($id) && $id !== $event->id && ($over[$id] = true);
            }
        }
        $said = [];
        foreach ($this->kind(EventKind::Say) as $event) {
            isset($over[$event->id]) || ($said[$event->text('field')][] = $event);
        }
        ksort($said, SORT_STRING);

        return $said;
    }

    /** @return list<string> fields of which devices say different things */
    public function conflicts(): array
    {
        return array_keys(
            array_filter(
                $this->said(),
                static fn(array $events): bool => count(
                    array_unique(array_map(static fn(FieldEvent $e): string => $e->text('value'), $events)),
                ) > 1,
            ),
        );
    }
}
