import { describe, expect, it } from 'vitest';
import {
  beforeStart,
  clockAt,
  clocksOf,
  inOrder,
  minutesText,
  outside,
  recordOf,
  saidOf,
  stemsOf,
  ticksOf,
  workingOf,
} from '@/features/field-mode/fieldLog';
import type { FieldNote } from '@/features/field-mode/fieldStore';
import type { Schemas } from '@/api/client';
import given from '../../tests/Core/fixtures/field-day.json';

const fixture = given as unknown as { notes: FieldNote[]; expected: Record<string, unknown> };
const ids = (notes: FieldNote[]): string[] => notes.map((n) => n.id);

describe('the notes of a field day', () => {
  it('are read as the server reads them, in whatever order they come', () => {
    for (const notes of [fixture.notes, [...fixture.notes, ...fixture.notes].reverse()]) {
      const day = inOrder(notes);
      expect({
        order: ids(day),
        stems: stemsOf(day),
        ticks: [...ticksOf(day)].sort(),
        working: [...workingOf(day)].sort(),
        clocks: ids(clocksOf(day)),
        said: ids(saidOf(day, 'equipment')),
      }).toEqual(fixture.expected);
    }
  });
});

describe('a clock', () => {
  const stump = { code: 'stump', name: '', alarms: [15, 30], repeats: false, perBatch: true, source: '' };
  const shake = { ...stump, alarms: [15], repeats: true };
  const at = (clock: typeof stump, minutes: number) => clockAt(clock, 0, minutes * 60_000);

  it('sounds at its limit, again where it is cut again, and is over then', () => {
    expect(at(stump, 14.99)).toMatchObject({ sounded: 0, over: false });
    expect(at(stump, 15)).toMatchObject({ sounded: 1, next: 15, over: false });
    expect(at(stump, 30)).toMatchObject({ sounded: 2, next: null, over: true });
  });
  it('begins anew where it repeats', () => {
    expect(at(shake, 15)).toMatchObject({ sounded: 1, next: 15, over: false });
    expect(at(shake, 44)).toMatchObject({ sounded: 2, next: 1 });
  });
  it('counts nothing before it was started', () => {
    expect(clockAt(stump, 60_000, 0)).toMatchObject({ gone: 0, sounded: 0, next: 15 });
  });
  it('is read at arm’s length', () => {
    expect([minutesText(7 + 5 / 60), minutesText(59.99), minutesText(720)]).toEqual(['7:05', '60:00', '12 h 00']);
  });
});

describe('the start', () => {
  const both = (us: string) => ({ us, metric: us });
  const most = {
    fact: 'air-temperature',
    comparator: 'most',
    limit: { value: '85', unit: 'degF', shown: both('85 °F') },
    text: both('Air at most 85 °F'),
    source: 'label-card',
    typed: { us: { value: '85', unit: 'degF' }, metric: { value: '29.44', unit: 'degC' } },
  } as Schemas['SheetSnapshot']['startOnlyIf'][number];
  const least = {
    ...most,
    comparator: 'least',
    typed: { us: { value: '41', unit: 'degF' }, metric: { value: '5', unit: 'degC' } },
  } as typeof most;

  it('keeps to a limit in the unit that was typed, the limit itself still allowed', () => {
    const air = (value: string, unit: string) => outside([most, least], { air: { value, unit } }).length;
    expect([air('85', 'degF'), air('85.1', 'degF'), air('29.44', 'degC'), air('29.5', 'degC')]).toEqual([0, 1, 0, 1]);
    expect([air('41', 'degF'), air('40.9', 'degF')]).toEqual([0, 1]);
    expect(outside([most], { wind: { value: '99', unit: 'mph' } })).toEqual([]);
    // in a unit that the sheet does not carry it cannot be held against the limit
    expect(outside([most], { air: { value: '290', unit: 'K' } })).toEqual([most]);
  });

  it('waits for what everybody ticks, and for the weather on the spot', () => {
    const snapshot = {
      startOnlyIf: [most],
      field: {
        briefing: [
          { code: 'kit.eyewash', name: '', each: false },
          { code: 'brief.card-read', name: '', each: true },
        ],
        clocks: [],
        groups: [],
      },
    } as unknown as Schemas['SheetSnapshot'];
    const note = (kind: string, by: string, more: object): FieldNote =>
      ({ id: `${kind}${by}`, kind, at: '2026-09-03T14:00:00Z', device: 'a', seq: 1, by, ...more }) as FieldNote;
    const eyewash = note('tick', 'Bram', { what: 'kit.eyewash', on: true });
    const read = note('tick', 'Ada', { what: 'brief.card-read', on: true });
    expect(beforeStart(snapshot, [], 'Ada', '2026-09-03')).toEqual({ ticks: 2, unread: true, outside: [], over: [] });
    // once for all, the other for each
    expect(beforeStart(snapshot, [eyewash, read], 'Ada', '2026-09-03').ticks).toBe(0);
    expect(beforeStart(snapshot, [eyewash, read], 'Bram', '2026-09-03').ticks).toBe(1);
    const hot = note('reading', 'Ada', { air: { value: '90', unit: 'degF' } });
    expect(beforeStart(snapshot, [hot], 'Ada', '2026-09-03')).toMatchObject({ unread: false, outside: [most] });
  });
});

describe('the record of a day', () => {
  let seq = 0;
  const note = (kind: string, at: string, by: string, more: object): FieldNote =>
    ({ id: `n${++seq}`, kind, at: `2026-09-03T${at}:00Z`, device: by, seq, by, ...more }) as FieldNote;
  const say = (value: string, by: string) => note('say', '15:00', by, { field: 'equipment', value, over: [] });
  const day = [
    note('work', '14:00', 'Ada', { what: 'start' }),
    note('work', '14:10', 'Bram', { what: 'start' }),
    note('reading', '14:15', 'Ada', { wind: { value: '4', unit: 'mph' }, sky: 'clear' }),
    note('count', '14:20', 'Ada', { group: 'a', n: 3 }),
    note('skip', '14:21', 'Bram', { group: 'b', n: 2 }),
    note('reading', '14:30', 'Ada', { air: { value: '64', unit: 'degF' } }),
    say('blue sprayer', 'Ada'),
    note('work', '16:00', 'Ada', { what: 'stop' }),
  ];

  it('is taken over as far as the notes tell it, and has no end while somebody works on', () => {
    expect(recordOf(day, 'Etc/GMT+5')).toEqual({
      start: '09:00',
      people: 'Ada, Bram',
      treated: '3',
      skipped: '2',
      wind: '4 mph',
      temperature: '64 F',
      equipment: 'blue sprayer',
      sky: 'clear',
      conflicts: false,
    });
    const over = [...day, note('work', '16:30', 'Bram', { what: 'stop' })];
    expect(recordOf(over, 'Etc/GMT+5').stop).toBe('11:30');
  });

  it('shows both where they differ, and says that something happened', () => {
    const told = recordOf(
      [...day, say('red sprayer', 'Bram'), note('incident', '15:30', 'Ada', { what: 'spill', text: 'a cup on soil' })],
      'UTC',
    );
    expect([told.equipment, told.conflicts, told.incident, told.remarks]).toEqual([
      'blue sprayer / red sprayer',
      true,
      true,
      'a cup on soil',
    ]);
  });
});
