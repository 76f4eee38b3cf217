import type { Schemas } from '@/api/client';

/** When the spraying ended and when the tap was opened, in milliseconds; 0 where not yet. */
export interface WateringClock {
  put: number;
  on: number;
  runMinutes: number;
}
type Watering = NonNullable<Schemas['Recipe']['watering']>;

const MINUTE = 60_000;
const MINUTES: Record<string, number> = { s: 1 / 60, min: 1, h: 60, d: 1440 };

export const minutesOf = (q: { value: string; unit: string } | null): number =>
  q ? Number(q.value) * (MINUTES[q.unit] ?? 1) : 0;

/**
 * Where the watering stands at a moment: from when and until when, whether it is too early or too late, and how long
 * the tap still runs.
 */
export function wateringAt(clock: WateringClock, watering: Pick<Watering, 'earliest' | 'latest'>, now: number) {
  const from = clock.put + minutesOf(watering.earliest) * MINUTE;
  const until = watering.latest ? clock.put + minutesOf(watering.latest) * MINUTE : null;
  const off = clock.on + clock.runMinutes * MINUTE;
  return {
    from,
    until,
    off,
    tooEarly: clock.put > 0 && now < from,
    tooLate: clock.put > 0 && clock.on === 0 && until !== null && now > until,
    /** Whole minutes that it still runs; null where it is not on, 0 where it is enough. */
    left: clock.on === 0 ? null : Math.max(0, Math.ceil((off - now) / MINUTE)),
  };
}
