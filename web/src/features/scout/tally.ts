import type { Schemas } from '@/api/client';

/** One line of the tally grid, as typed. `below` empty means single stems of exactly `from`. */
export interface TallyRow {
  from: string;
  below: string;
  count: string;
  perClump: string;
  bark: '' | 'smooth' | 'rough';
  height: string;
  /** `from` is what a tape round the stem read. */
  girth: boolean;
  estimated: boolean;
}

export const emptyRow = (girth = false): TallyRow => ({
  from: '',
  below: '',
  count: '',
  perClump: '',
  bark: '',
  height: '',
  girth,
  estimated: false,
});

/** What a stored row reads as in the grid; quantities may be typed strings or value and unit. */
export function fromWire(rows: readonly Record<string, unknown>[]): TallyRow[] {
  const text = (q: unknown): string => {
    if (typeof q === 'string') return q;
    if (q && typeof q === 'object') {
      const { typed, value, unit } = q as { typed?: string; value?: string; unit?: string };
      return typed ?? `${value ?? ''} ${unit ?? ''}`.trim();
    }
    return '';
  };
  const number = (n: unknown): string => (typeof n === 'number' || typeof n === 'string' ? String(n) : '');
  const read = rows.map((r): TallyRow => ({
    from: text(r.girth ?? r.diameter ?? r.from),
    below: text(r.below),
    count: number(r.count),
    perClump: number(r.stemsPerClump),
    bark: r.bark === 'smooth' || r.bark === 'rough' ? r.bark : '',
    height: text(r.height),
    girth: r.girth !== undefined,
    estimated: r.estimated === true,
  }));
  return read.length > 0 ? read : [emptyRow()];
}

/** Units a size and a height are taken in where only a number is typed: they stand beside the field. */
export const SIZE_UNITS = { us: { size: 'in', height: 'ft' }, metric: { size: 'cm', height: 'm' } } as const;
/** A number typed alone gets the unit that the form prints beside it; anything else goes as typed. */
export const sized = (text: string, unit: string): string =>
  /^[\d\s.,/½¼¾⅓⅔⅛⅜⅝⅞]+$/.test(text) && text.trim() !== '' ? `${text.trim()} ${unit}` : text;

/** What the server reads; a number that is none goes as it was typed, so that the refusal names the row. */
export function toWire(rows: readonly TallyRow[], units: 'us' | 'metric' = 'us'): Schemas['GivenStems'][] {
  const { size, height } = SIZE_UNITS[units];
  const whole = (text: string): number => (/^\d+$/.test(text.trim()) ? Number(text) : -1);
  return rows
    .filter((r) => `${r.from}${r.below}${r.count}`.trim() !== '')
    .map((r) => ({
      ...(r.girth
        ? { girth: sized(r.from, size) }
        : r.below.trim() === ''
          ? { diameter: sized(r.from, size) }
          : { from: sized(r.from, size), below: sized(r.below, size) }),
      count: whole(r.count),
      ...(r.perClump.trim() === '' ? {} : { stemsPerClump: whole(r.perClump) }),
      ...(r.bark === '' ? {} : { bark: r.bark }),
      ...(r.height.trim() === '' ? {} : { height: sized(r.height, height) }),
      ...(r.estimated ? { estimated: true } : {}),
    }));
}

/** A count gone up or down by one; never below nought. */
export const stepped = (count: string, by: 1 | -1): string =>
  String(Math.max(0, (Number.parseInt(count, 10) || 0) + by));
/** How a class is called on a button. */
export const className = (r: TallyRow): string => (r.below.trim() ? `${r.from}–${r.below}` : r.from) || '?';
