import type { Schemas } from '@/api/client';

/** One line of the tally grid, as typed. `below` empty means single stems of exactly `from`. */
export interface TallyRow {
  from: string;
  below: string;
  count: string;
  perClump: string;
  estimated: boolean;
}

export const emptyRow = (): TallyRow => ({ from: '', below: '', count: '', perClump: '', estimated: false });

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
  const read = rows.map((r) => ({
    from: text(r.diameter ?? r.from),
    below: text(r.below),
    count: String(r.count ?? ''),
    perClump: r.stemsPerClump === undefined ? '' : String(r.stemsPerClump),
    estimated: r.estimated === true,
  }));
  return read.length > 0 ? read : [emptyRow()];
}

/** What the server reads; a number that is none goes as it was typed, so that the refusal names the row. */
export function toWire(rows: readonly TallyRow[]): Schemas['GivenStems'][] {
  const whole = (text: string): number => (/^\d+$/.test(text.trim()) ? Number(text) : -1);
  return rows
    .filter((r) => `${r.from}${r.below}${r.count}`.trim() !== '')
    .map((r) => ({
      ...(r.below.trim() === '' ? { diameter: r.from } : { from: r.from, below: r.below }),
      count: whole(r.count),
      ...(r.perClump.trim() === '' ? {} : { stemsPerClump: whole(r.perClump) }),
      ...(r.estimated ? { estimated: true } : {}),
    }));
}
