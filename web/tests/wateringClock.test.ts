import { describe, expect, it } from 'vitest';
import { minutesOf, wateringAt } from '@/features/field-day/wateringClock';

const MINUTE = 60_000;
const noon = 1_000_000 * MINUTE;
const watering = { earliest: { value: '60', unit: 'min' }, latest: { value: '2', unit: 'd' } } as unknown as Parameters<
  typeof wateringAt
>[1];

describe('watering in', () => {
  it('opens after the earliest and shuts after the latest, to the second', () => {
    const clock = { put: noon, on: 0, runMinutes: 0 };
    expect(wateringAt(clock, watering, noon + 60 * MINUTE - 1)).toMatchObject({
      tooEarly: true,
      tooLate: false,
      from: noon + 60 * MINUTE,
    });
    expect(wateringAt(clock, watering, noon + 60 * MINUTE).tooEarly).toBe(false);
    expect(wateringAt(clock, watering, noon + 2880 * MINUTE).tooLate).toBe(false);
    expect(wateringAt(clock, watering, noon + 2880 * MINUTE + 1).tooLate).toBe(true);
    // it is on in time: nobody is told that it is too late
    expect(wateringAt({ ...clock, on: noon + 2879 * MINUTE }, watering, noon + 2881 * MINUTE).tooLate).toBe(false);
  });

  it('counts down what the tap still runs, and knows no latest where the card names none', () => {
    const clock = { put: noon, on: noon + 70 * MINUTE, runMinutes: 31.2 };
    expect(wateringAt(clock, watering, noon + 70 * MINUTE).left).toBe(32);
    expect(wateringAt(clock, watering, noon + 101 * MINUTE).left).toBe(1);
    expect(wateringAt(clock, watering, noon + 102 * MINUTE).left).toBe(0);
    expect(wateringAt({ ...clock, on: 0 }, { ...watering, latest: null }, noon)).toMatchObject({
      left: null,
      until: null,
    });
  });

  it('reads any unit of time', () => {
    expect([minutesOf({ value: '90', unit: 's' }), minutesOf({ value: '1.5', unit: 'h' }), minutesOf(null)]).toEqual([
      1.5, 90, 0,
    ]);
  });
});
