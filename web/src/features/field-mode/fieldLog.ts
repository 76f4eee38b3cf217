import { formats } from '@/app/language';
import type { Schemas } from '@/api/client';
import type { FieldNote } from './fieldStore';

/*
 * What the notes of a field day show on this screen before the server has them all. The same as
 * core/src/FieldDay/FieldLog, whose fixture both are tested with (tests/Core/fixtures/field-day.json); the record is
 * made from that one alone.
 */

/** What was taken back left out; by time, a device's own notes in its own order whatever its clock did. */
export function inOrder(notes: readonly FieldNote[]): FieldNote[] {
  const all = [...new Map(notes.map((n) => [n.id, n])).values()];
  const back = new Set(all.filter((n) => n.kind === 'undo').map((n) => n.of));
  all.sort((a, b) => compare(a.device, b.device) || a.seq - b.seq || compare(a.id, b.id));
  const at = new Map<string, number>();
  const latest = new Map<string, number>();
  for (const n of all) {
    const time = Math.max(latest.get(n.device) ?? -Infinity, Date.parse(n.at));
    latest.set(n.device, time);
    at.set(n.id, time);
  }
  return all
    .filter((n) => n.kind !== 'undo' && !back.has(n.id))
    .sort((a, b) => (at.get(a.id) ?? 0) - (at.get(b.id) ?? 0));
}
const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** Stems treated and left on purpose, by size. */
export function stemsOf(notes: readonly FieldNote[]): Record<string, { treated: number; left: number }> {
  const stems: Record<string, { treated: number; left: number }> = {};
  for (const n of notes) {
    if (n.kind !== 'count' && n.kind !== 'skip') continue;
    const of = (stems[String(n.group)] ??= { treated: 0, left: 0 });
    of[n.kind === 'count' ? 'treated' : 'left'] += Number(n.n);
  }
  return stems;
}

/** Ticks that hold, as 'what|who'. */
export function ticksOf(notes: readonly FieldNote[]): Set<string> {
  const ticks = new Set<string>();
  for (const n of notes) {
    if (n.kind !== 'tick') continue;
    const key = `${String(n.what)}|${n.by}`;
    if (n.on === false) ticks.delete(key);
    else ticks.add(key);
  }
  return ticks;
}

/** Who works now. */
export function workingOf(notes: readonly FieldNote[]): Set<string> {
  const working = new Set<string>();
  for (const n of notes) {
    if (n.kind !== 'work') continue;
    if (n.what === 'start') working.add(n.by);
    else working.delete(n.by);
  }
  return working;
}

/** Clocks that run, the note that started each. */
export function clocksOf(notes: readonly FieldNote[]): FieldNote[] {
  const running = new Map<string, FieldNote>();
  for (const n of notes) {
    if (n.kind !== 'timer') continue;
    const key = `${String(n.clock)}|${typeof n.of === 'string' ? n.of : ''}`;
    running.delete(key);
    if (n.on !== false) running.set(key, n);
  }
  return [...running.values()];
}

/** What is said of a field of the record and stands; two that differ want a person. */
export function saidOf(notes: readonly FieldNote[], name: string): FieldNote[] {
  const over = new Set(
    notes.flatMap((n) =>
      n.kind === 'say' && Array.isArray(n.over) ? (n.over as unknown[]).filter((o) => o !== n.id) : [],
    ),
  );
  return notes.filter((n) => n.kind === 'say' && n.field === name && !over.has(n.id));
}

type Clock = NonNullable<Schemas['SheetSnapshot']['field']>['clocks'][number];
const MINUTE = 60_000;

/**
 * A running clock at a moment: minutes gone, the alarm that comes next, and how many have sounded. One that repeats
 * begins anew after its last alarm.
 */
export function clockAt(clock: Clock, startedAt: number, now: number) {
  const gone = Math.max(0, (now - startedAt) / MINUTE);
  const last = clock.alarms[clock.alarms.length - 1] ?? 0;
  if (clock.repeats && last > 0) {
    const rounds = Math.floor(gone / last);
    return { gone, next: last - (gone - rounds * last), sounded: rounds, over: false };
  }
  const sounded = clock.alarms.filter((a) => gone >= a).length;
  const next = clock.alarms[sounded];
  return { gone, next: next === undefined ? null : next - gone, sounded, over: sounded === clock.alarms.length };
}

/** Minutes and seconds as they are read at arm's length: 7:05, 2 h 10. */
export function minutesText(minutes: number): string {
  const seconds = Math.ceil(minutes * 60);
  if (seconds >= 7200) {
    const whole = Math.ceil(minutes);
    return `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`;
  }
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

type Limit = Schemas['SheetSnapshot']['startOnlyIf'][number];
type Figure = { value: string; unit: string };
const OF: Record<string, 'wind' | 'air'> = { 'wind-speed': 'wind', 'air-temperature': 'air' };

/** Limits of the sheet that a reading does not keep; the limit itself is still allowed. Figures as they were typed. */
export function outside(limits: readonly Limit[], reading: { wind?: Figure; air?: Figure }): Limit[] {
  return limits.filter((limit) => {
    const read = reading[OF[limit.fact] ?? 'wind'];
    const held = Object.values(limit.typed ?? {}).find((one) => one.unit === read?.unit);
    if (!OF[limit.fact] || !read) return false;
    // a figure that cannot be held against the limit does not keep it
    if (!held) return true;
    return limit.comparator === 'least'
      ? Number(read.value) < Number(held.value)
      : Number(read.value) > Number(held.value);
  });
}

type Tick = NonNullable<Schemas['SheetSnapshot']['field']>['briefing'][number];
/** Once for the day by whomever, or by each for themselves. */
export const isTicked = (ticks: ReadonlySet<string>, one: Tick, by: string): boolean =>
  one.each ? ticks.has(`${one.code}|${by}`) : [...ticks].some((key) => key.startsWith(`${one.code}|`));

/**
 * What somebody still lacks before they may begin: ticks, a reading of each fact that a limit of the sheet is of, and
 * limits that the newest reading does not keep. None of it can be passed: it is the label's and the law's (B2, J38).
 */
export function beforeStart(snapshot: Schemas['SheetSnapshot'], notes: readonly FieldNote[], by: string, day: string) {
  const ticks = ticksOf(notes);
  const latest: { wind?: Figure; air?: Figure } = {};
  for (const n of notes) {
    if (n.kind !== 'reading') continue;
    if (n.wind) latest.wind = n.wind as Figure;
    if (n.air) latest.air = n.air as Figure;
  }
  return {
    ticks: (snapshot.field?.briefing ?? []).filter((one) => !isTicked(ticks, one, by)).length,
    unread: snapshot.startOnlyIf.filter((l) => OF[l.fact] && !latest[OF[l.fact] ?? 'wind']).length > 0,
    outside: outside(snapshot.startOnlyIf, latest),
    /** Papers that have run out since the sheet was issued. */
    over: (snapshot.duties ?? []).filter((d) => d.settled?.until != null && d.settled.until < day),
  };
}

const clockOf = (at: string, timeZone: string): string =>
  new Date(at).toLocaleTimeString(formats(), { hour: '2-digit', minute: '2-digit', timeZone });
/** As a field of amounts reads it again. */
const typedOf = (figure: Figure | undefined): string =>
  figure ? `${figure.value} ${figure.unit.replace('deg', '')}` : '';

/**
 * What the notes of a day give for its record, as far as they tell it: the same fields from the server's notes as from
 * this phone's. Mix is summed up by the server alone, in units.
 */
export function recordOf(notes: readonly FieldNote[], timeZone: string) {
  const stems = Object.values(stemsOf(notes));
  const sum = (of: 'treated' | 'left'): number => stems.reduce((all, one) => all + one[of], 0);
  const times = notes.filter((n) => n.kind === 'work');
  const ends = workingOf(notes).size > 0 ? [] : times.filter((n) => n.what !== 'start');
  const readings = notes.filter((n) => n.kind === 'reading');
  const told = (name: string) => readings.findLast((n) => n[name])?.[name];
  const said = (name: string): string => [...new Set(saidOf(notes, name).map((n) => String(n.value)))].join(' / ');
  const words = notes
    .filter((n) => n.kind === 'note' || n.kind === 'incident' || (n.kind === 'mark' && n.why))
    .map((n) => String(n.kind === 'mark' ? n.why : n.text));
  const start = times.find((n) => n.what === 'start');
  const sky = told('sky');
  const all = {
    start: start ? clockOf(start.at, timeZone) : '',
    stop: ends.length ? clockOf(ends[ends.length - 1]?.at ?? '', timeZone) : '',
    people: [...new Set(times.map((n) => n.by))].join(', '),
    treated: sum('treated') ? String(sum('treated')) : '',
    skipped: sum('left') ? String(sum('left')) : '',
    wind: typedOf(told('wind') as Figure | undefined),
    temperature: typedOf(told('air') as Figure | undefined),
    equipment: said('equipment'),
    nozzle: said('nozzle'),
    leftovers: said('leftover'),
    remarks: [said('remarks'), ...words].filter(Boolean).join(' '),
  };
  return {
    ...(Object.fromEntries(Object.entries(all).filter(([, text]) => text !== '')) as Partial<typeof all>),
    ...(typeof sky === 'string' ? { sky } : {}),
    ...(notes.some((n) => n.kind === 'incident') ? { incident: true } : {}),
    conflicts: ['equipment', 'nozzle', 'leftover', 'remarks'].some(
      (name) => new Set(saidOf(notes, name).map((n) => n.value)).size > 1,
    ),
  };
}
