import { describe, expect, it } from 'vitest';
import { daylight, hoursShown, momentText, neighbour, type HourDay } from '@/features/when/hours';

const day = (date: string, hours: number[], rise: string, set: string): HourDay => ({
  day: date,
  sunrise: `${date}T${rise}:00-05:00`,
  sunset: `${date}T${set}:00-05:00`,
  hours: hours.map((h) => ({
    at: `${date}T${String(h).padStart(2, '0')}:00:00-05:00`,
    outcome: 'fits',
    deciding: null,
    surety: 'sure',
  })),
});
const all = Array.from({ length: 24 }, (_, i) => i);
// from nine on the first day, all of the second
const days = [day('2026-09-03', all.slice(9), '05:26', '18:24'), day('2026-09-04', all, '05:27', '18:22')];

describe('the hours of the coming days', () => {
  it('shows the light hours alone', () => {
    expect(daylight(days)).toEqual({ first: 5, last: 18 });
    expect(hoursShown(days).map((h) => h.at.slice(8, 13))).toEqual([
      ...all.slice(9, 19).map((h) => `03T${String(h).padStart(2, '0')}`),
      ...all.slice(5, 19).map((h) => `04T${String(h).padStart(2, '0')}`),
    ]);
  });
  it('goes by arrow keys over the night to the next morning, and up and down by days', () => {
    const at = (d: number, h: number): string => `2026-09-0${d}T${String(h).padStart(2, '0')}:00:00-05:00`;
    expect(neighbour(days, at(3, 18), 'ArrowRight')).toBe(at(4, 5));
    expect(neighbour(days, at(4, 9), 'ArrowUp')).toBe(at(3, 9));
    // that hour of the first day has passed
    expect([neighbour(days, at(4, 8), 'ArrowUp'), neighbour(days, at(3, 9), 'ArrowLeft')]).toEqual([null, null]);
    expect(neighbour(days, at(4, 9), 'Enter')).toBeNull();
  });
  it('says the time of the ground, and the day where it is another', () => {
    expect(momentText('2026-09-03T12:00:00-05:00', '2026-09-03T09:10:00-05:00')).toBe('12:00');
    expect(momentText('2026-09-05T05:00:00-05:00', '2026-09-03T09:10:00-05:00')).toBe('Sat 5 Sep 05:00');
  });
});
