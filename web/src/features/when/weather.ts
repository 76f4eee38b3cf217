/** Stretches of a day as the radio tells them. */
export const STRETCHES = [
  { from: 6, hours: 4 },
  { from: 10, hours: 4 },
  { from: 14, hours: 4 },
  { from: 18, hours: 4 },
] as const;

export interface TypedRow {
  air: string;
  wind: string;
  gust: string;
  rain: string;
  cloud: string;
}
export const typedRows = (): TypedRow[] => STRETCHES.map(() => ({ air: '', wind: '', gust: '', rain: '', cloud: '' }));

const UNITS = {
  us: { air: 'degF', wind: 'mph', gust: 'mph', rain: 'in' },
  metric: { air: 'degC', wind: 'km/h', gust: 'km/h', rain: 'mm' },
} as const;

/** A figure with the unit of its column, where somebody typed none. */
const withUnit = (typed: string, unit: string): string => (/[a-z]/i.test(typed) ? typed : `${typed} ${unit}`);

const FIGURES = ['air', 'wind', 'gust', 'rain', 'cloud'] as const;
const saysSomething = (row: TypedRow): boolean => FIGURES.some((f) => row[f].trim() !== '');

/** Where a row stands among those that are sent: a fault names it by that. */
export const sentAt = (rows: TypedRow[], i: number): number => rows.slice(0, i).filter(saysSomething).length;

/** What is sent of the rows that say something; a row left empty is nobody's word. */
export const blocksOf = (
  rows: TypedRow[],
  day: string,
  units: 'us' | 'metric',
): {
  day: string;
  from: number;
  hours: number;
  air?: string;
  wind?: string;
  gust?: string;
  rain?: string;
  cloud?: string;
}[] =>
  rows.flatMap((row, i) => {
    const stretch = STRETCHES[i];
    const said = (['air', 'wind', 'gust', 'rain'] as const).filter((f) => row[f].trim() !== '');
    const cloud = row.cloud.trim();
    if (!stretch || !saysSomething(row)) return [];
    return [
      {
        day,
        ...stretch,
        ...Object.fromEntries(said.map((f) => [f, withUnit(row[f].trim(), UNITS[units][f])])),
        ...(cloud === '' ? {} : { cloud }),
      },
    ];
  });
