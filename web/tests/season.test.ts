import { describe, expect, it } from 'vitest';
import {
  along,
  byDay,
  dayAt,
  inOrder,
  isOpenOn,
  monthsWithin,
  otherMonth,
  weeksOf,
  type CalendarEntry,
  type Season,
  type SeasonJob,
} from '@/features/season/season';

const job = (id: string, open: [string, string][] = []): SeasonJob => ({
  id,
  standId: id,
  standRevision: 1,
  name: id,
  patch: '',
  ground: '',
  hours: null,
  hoursTold: false,
  revision: 1,
  open: open.map(([first, last]) => ({ first, last, withCare: false })),
  shut: null,
  worth: [],
  spreads: false,
  promisedBy: null,
  after: null,
  pinned: false,
});

describe('a season along a line', () => {
  it('puts each day where it begins, and finds it there again', () => {
    expect(along('2026-09-03', '2026-09-03', '2026-09-12')).toBe(0);
    expect(along('2026-09-08', '2026-09-03', '2026-09-12')).toBe(0.5);
    expect(along('2026-09-13', '2026-09-03', '2026-09-12')).toBe(1);
    expect(along('2027-01-01', '2026-09-03', '2026-09-12')).toBe(1);
    for (const day of ['2026-09-03', '2026-10-25', '2027-02-28', '2027-09-02'])
      expect(dayAt(along(day, '2026-09-03', '2027-09-02') + 1e-9, '2026-09-03', '2027-09-02')).toBe(day);
    expect([dayAt(-1, '2026-09-03', '2026-09-12'), dayAt(2, '2026-09-03', '2026-09-12')]).toEqual([
      '2026-09-03',
      '2026-09-12',
    ]);
  });
  it('rules off the months over the new year', () => {
    expect(monthsWithin('2026-11-30', '2027-02-01')).toEqual(['2026-12-01', '2027-01-01', '2027-02-01']);
    expect(monthsWithin('2026-11-01', '2026-11-30')).toEqual([]);
  });
  it('has whole weeks from Monday for each month, also one of four', () => {
    expect(weeksOf('2026-09').map((w) => [w[0], w[6]])).toEqual([
      ['2026-08-31', '2026-09-06'],
      ['2026-09-07', '2026-09-13'],
      ['2026-09-14', '2026-09-20'],
      ['2026-09-21', '2026-09-27'],
      ['2026-09-28', '2026-10-04'],
    ]);
    expect(weeksOf('2027-02')).toHaveLength(4);
    expect(weeksOf('2026-12').at(-1)?.[6]).toBe('2027-01-03');
    expect([otherMonth('2026-12', 1), otherMonth('2027-01', -1)]).toEqual(['2027-01', '2026-12']);
  });
  it('orders jobs by their days, those without one last, and knows when each is open', () => {
    const season = {
      jobs: [job('none'), job('late'), job('soon', [['2026-09-03', '2026-09-05']])],
      plan: {
        placed: [
          { job: 'late', parts: [{ day: '2026-10-01', people: [], minutes: 1 }], why: [] },
          { job: 'soon', parts: [{ day: '2026-09-04', people: [], minutes: 1 }], why: [] },
        ],
      },
    } as unknown as Season;
    expect(inOrder(season).map((r) => r.job.id)).toEqual(['soon', 'late', 'none']);
    const soon = season.jobs[2]!;
    expect(['2026-09-02', '2026-09-03', '2026-09-05', '2026-09-06'].map((d) => isOpenOn(soon, d))).toEqual([
      false,
      true,
      true,
      false,
    ]);
    const entry = (day: string, id: string): CalendarEntry => ({
      id,
      kind: 'planned',
      day,
      title: '',
      where: '',
      path: '',
      job: null,
    });
    const days = byDay([entry('2026-09-05', 'b'), entry('2026-09-03', 'a'), entry('2026-09-05', 'c')]);
    expect(days.map((d) => [d.day, d.entries.map((e) => e.id)])).toEqual([
      ['2026-09-03', ['a']],
      ['2026-09-05', ['b', 'c']],
    ]);
  });
});
