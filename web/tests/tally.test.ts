import { describe, expect, it } from 'vitest';
import { dayText, daysBetween, partOfYear } from '@/components/dates';
import { draftKey } from '@/composables/useDraft';
import { className, emptyRow, fromWire, stepped, toWire, type TallyRow } from '@/features/scout/tally';
import { corners, through } from '@/features/ground/shapes';

const row = (of: Partial<TallyRow>): TallyRow => ({ ...emptyRow(), ...of });

describe('the tally grid', () => {
  it('sends a class, single stems and clumps as they were typed', () => {
    expect(
      toWire([
        row({ from: '1 in', below: '2 in', count: '22' }),
        row({ from: '7 cm', count: '3', perClump: '4', estimated: true, bark: 'rough', height: '12 ft' }),
        row({ from: '40 cm', count: '1', girth: true }),
        emptyRow(),
      ]),
    ).toEqual([
      { from: '1 in', below: '2 in', count: 22 },
      { diameter: '7 cm', count: 3, stemsPerClump: 4, estimated: true, bark: 'rough', height: '12 ft' },
      { girth: '40 cm', count: 1 },
    ]);
  });
  it('gives a number alone the unit that stands over its column', () => {
    expect(toWire([row({ from: '1', below: '2 1/2', count: '3', height: '12' })])).toEqual([
      { from: '1 in', below: '2 1/2 in', count: 3, height: '12 ft' },
    ]);
    expect(
      toWire([row({ from: '2,5', count: '3' }), row({ from: '40 cm', count: '1', girth: true })], 'metric'),
    ).toEqual([
      { diameter: '2,5 cm', count: 3 },
      { girth: '40 cm', count: 1 },
    ]);
  });
  it('never makes a number of what is none: the server names the row', () => {
    expect(toWire([row({ from: '2 in', count: 'many' })])[0]?.count).toBe(-1);
    expect(toWire([row({ from: '2 in', count: '1.5' })])[0]?.count).toBe(-1);
  });
  it('reads back every form of quantity, and gives an empty row for nothing', () => {
    expect(fromWire([{ diameter: { typed: '3 in' }, count: 2 }])[0]).toMatchObject({
      from: '3 in',
      below: '',
      count: '2',
    });
    expect(fromWire([{ from: { value: '1', unit: 'in' }, below: '2 in', count: 5, estimated: true }])[0]).toMatchObject(
      { from: '1 in', below: '2 in', estimated: true },
    );
    expect(fromWire([])).toEqual([emptyRow()]);
  });
});

describe('the counter', () => {
  it('goes up and down by one, and never below nought', () => {
    expect([stepped('', 1), stepped('9', 1), stepped('1', -1), stepped('0', -1), stepped('few', 1)]).toEqual([
      '1',
      '10',
      '0',
      '0',
      '1',
    ]);
  });
  it('calls a class as it was typed, and takes a girth back as a girth', () => {
    expect([
      className(row({ from: '1 in', below: '2 in' })),
      className(row({ from: '7 cm' })),
      className(emptyRow()),
    ]).toEqual(['1 in–2 in', '7 cm', '?']);
    expect(fromWire([{ girth: '40 cm', count: 1 }])[0]).toMatchObject({ from: '40 cm', girth: true });
  });
});

describe('shapes in work', () => {
  const three: [number, number][] = [
    [1, 2],
    [3, 4],
    [5, 2],
  ];
  it('closes an outline and opens it again for the table', () => {
    const shape = through('Polygon', three);
    expect(shape?.coordinates).toEqual([[...three, [1, 2]]]);
    expect(corners(shape)).toEqual(three);
    expect(corners(through('LineString', three))).toEqual(three);
    expect(corners(through('Point', three))).toEqual([[1, 2]]);
  });
  it('is nothing while there are too few positions', () => {
    expect([
      through('Polygon', three.slice(0, 2)),
      through('LineString', three.slice(0, 1)),
      through('Point', []),
    ]).toEqual([null, null, null]);
    expect(corners(null)).toEqual([]);
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
