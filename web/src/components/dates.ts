import { formats } from '@/app/language';

/** "Thu 3 Sep", with the year where asked; a calendar day has no zone. */
export function dayText(day: string, year = false): string {
  return new Intl.DateTimeFormat(formats(), {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    ...(year ? { year: 'numeric' } : {}),
    timeZone: 'UTC',
  })
    .format(new Date(`${day}T00:00:00Z`))
    .replace(',', '')
    .replace('Sept', 'Sep');
}

/** "25 Apr" of a catalogue day MM-DD. */
export function monthDayText(monthDay: string): string {
  return new Intl.DateTimeFormat(formats(), { day: 'numeric', month: 'short', timeZone: 'UTC' })
    .format(new Date(`2000-${monthDay}T00:00:00Z`))
    .replace('Sept', 'Sep');
}

/** Whole days from one day to another; negative when the second is earlier. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);
}

/** Some days on, back where negative. */
export const plusDays = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);

/** Where a day lies in its year, 0 to 1, for drawing on a strip. */
export function partOfYear(day: string): number {
  const year = day.slice(0, 4);
  return daysBetween(`${year}-01-01`, day) / (daysBetween(`${year}-01-01`, `${year}-12-31`) + 1);
}
