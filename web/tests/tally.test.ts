import { describe, expect, it } from 'vitest';
import { dayText, daysBetween, partOfYear } from '@/components/dates';
import { draftKey } from '@/composables/useDraft';
import { emptyRow, fromWire, toWire } from '@/scout/tally';

describe('the tally grid', () => {
  it('sends a class, single stems and clumps as they were typed', () => {
    expect(toWire([{ from: '1 in', below: '2 in', count: '22', perClump: '', estimated: false }, { from: '7 cm', below: '', count: '3', perClump: '4', estimated: true }, emptyRow()])).toEqual([
      { from: '1 in', below: '2 in', count: 22 },
      { diameter: '7 cm', count: 3, stemsPerClump: 4, estimated: true },
    ]);
  });
  it('never makes a number of what is none: the server names the row', () => {
    expect(toWire([{ from: '2 in', below: '', count: 'many', perClump: '', estimated: false }])[0]?.count).toBe(-1);
    expect(toWire([{ from: '2 in', below: '', count: '1.5', perClump: '', estimated: false }])[0]?.count).toBe(-1);
  });
  it('reads back every form of quantity, and gives an empty row for nothing', () => {
    expect(fromWire([{ diameter: { typed: '3 in' }, count: 2 }])[0]).toMatchObject({ from: '3 in', below: '', count: '2' });
    expect(fromWire([{ from: { value: '1', unit: 'in' }, below: '2 in', count: 5, estimated: true }])[0]).toMatchObject({ from: '1 in', below: '2 in', estimated: true });
    expect(fromWire([])).toEqual([emptyRow()]);
  });
});

describe('days', () => {
  it('reads a calendar day without any zone', () => {
    expect(dayText('2026-09-03')).toBe('Thu 3 Sep');
    expect(dayText('2026-01-01', true)).toBe('Thu 1 Jan 2026');
  });
  it('counts days over the turn of the year and a leap day', () => {
    expect(daysBetween('2026-12-31', '2027-01-01')).toBe(1);
    expect(daysBetween('2028-02-28', '2028-03-01')).toBe(2);
  });
  it('lays the year from 0 to just under 1', () => {
    expect(partOfYear('2026-01-01')).toBe(0);
    expect(partOfYear('2026-12-31')).toBeCloseTo(364 / 365, 6);
  });
});

it('keeps the drafts of two people apart', () => {
  expect(draftKey('ada', 'tally', '1')).not.toBe(draftKey('bram', 'tally', '1'));
});
