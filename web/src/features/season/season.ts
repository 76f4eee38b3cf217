import { daysBetween, plusDays } from '@/components/dates';
import type { Schemas } from '@/api/client';

export type Season = Schemas['Season'];
export type SeasonJob = Season['jobs'][number];
export type Placed = Schemas['Proposal']['placed'][number];
export type CalendarEntry = Schemas['CalendarDays']['entries'][number];

/** How far along a season a day begins, 0 to 1; before and after it held to its ends. */
export const along = (day: string, first: string, last: string): number =>
  Math.min(1, Math.max(0, daysBetween(first, day) / (daysBetween(first, last) + 1)));

/** The day at a place along a season. */
export const dayAt = (part: number, first: string, last: string): string => {
  const days = daysBetween(first, last) + 1;
  return plusDays(first, Math.min(days - 1, Math.max(0, Math.floor(part * days))));
};

/** First days of the months within a season, its own first day left out. */
export const monthsWithin = (first: string, last: string): string[] => {
  const months: string[] = [];
  let [year, month] = [Number(first.slice(0, 4)), Number(first.slice(5, 7))];
  for (;;) {
    [year, month] = month === 12 ? [year + 1, 1] : [year, month + 1];
    const day = `${year}-${String(month).padStart(2, '0')}-01`;
    if (day > last) return months;
    months.push(day);
  }
};

/** Whole weeks from Monday that hold a month. */
export const weeksOf = (month: string): string[][] => {
  const first = `${month}-01`;
  const monday = plusDays(first, -((new Date(`${first}T00:00:00Z`).getUTCDay() + 6) % 7));
  const weeks: string[][] = [];
  for (let day = monday; day.slice(0, 7) <= month || weeks.length === 0; day = plusDays(day, 7))
    weeks.push(Array.from({ length: 7 }, (_, i) => plusDays(day, i)));
  return weeks;
};

/** The month before or after. */
export const otherMonth = (month: string, by: 1 | -1): string => {
  const [year, m] = [Number(month.slice(0, 4)), Number(month.slice(5, 7)) - 1 + by];
  return new Date(Date.UTC(year, m, 1)).toISOString().slice(0, 7);
};

/** Jobs in the order of their first day, then those without a day; each with where it stands. */
export const inOrder = (season: Season): { job: SeasonJob; placed: Placed | null }[] => {
  const placed = new Map(season.plan.placed.map((p) => [p.job, p]));
  const at = (job: SeasonJob): string => placed.get(job.id)?.parts[0]?.day ?? '9999';
  return [...season.jobs]
    .sort((a, b) => at(a).localeCompare(at(b)) || a.name.localeCompare(b.name))
    .map((job) => ({ job, placed: placed.get(job.id) ?? null }));
};

/** Whether a job is open on a day, as far as the season goes. */
export const isOpenOn = (job: SeasonJob, day: string): boolean =>
  job.open.some((span) => span.first <= day && day <= span.last);

/** Entries by day, days in order. */
export const byDay = (entries: CalendarEntry[]): { day: string; entries: CalendarEntry[] }[] => {
  const days = new Map<string, CalendarEntry[]>();
  for (const entry of [...entries].sort((a, b) => a.day.localeCompare(b.day)))
    days.set(entry.day, [...(days.get(entry.day) ?? []), entry]);
  return [...days].map(([day, of]) => ({ day, entries: of }));
};
