import { dayText } from '@/components/dates';
import type { Schemas } from '@/api/client';

export type HourDay = Schemas['HourBoard']['days'][number];
export type Hour = HourDay['hours'][number];

/** The time of the day as it is on the ground, whatever this device's own zone. */
export const timeOf = (at: string): string => at.slice(11, 16);
const hourOf = (at: string): number => Number(at.slice(11, 13));

/** A moment as people say it from another one: the time alone where it is the same day. */
export const momentText = (at: string, from: string): string =>
  at.slice(0, 10) === from.slice(0, 10) ? timeOf(at) : `${dayText(at.slice(0, 10))} ${timeOf(at)}`;

/** First and last hour of the clock in which it is light on any of these days. */
export const daylight = (days: HourDay[]): { first: number; last: number } => ({
  first: Math.min(...days.map((d) => (d.sunrise ? hourOf(d.sunrise) : 0)), 23),
  last: Math.max(...days.map((d) => (d.sunset ? hourOf(d.sunset) : 23)), 0),
});

/** The hours that the picture shows, one after the other. */
export const hoursShown = (days: HourDay[]): Hour[] => {
  const { first, last } = daylight(days);
  return days.flatMap((d) => d.hours.filter((h) => hourOf(h.at) >= first && hourOf(h.at) <= last));
};

/** The hour that lies so many steps away in the grid, up and down by days, to the sides by hours; null at the edge. */
export const neighbour = (days: HourDay[], at: string, key: string): string | null => {
  const shown = hoursShown(days);
  const i = shown.findIndex((h) => h.at === at);
  if (key === 'ArrowLeft' || key === 'ArrowRight') return shown[i + (key === 'ArrowRight' ? 1 : -1)]?.at ?? null;
  if (key !== 'ArrowUp' && key !== 'ArrowDown') return null;
  const day = days[days.findIndex((d) => d.hours.some((h) => h.at === at)) + (key === 'ArrowDown' ? 1 : -1)];
  return day?.hours.find((h) => hourOf(h.at) === hourOf(at))?.at ?? null;
};
