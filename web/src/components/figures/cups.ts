import type { Schemas } from '@/api/client';

type Measured = Pick<Schemas['Load'], 'measure'>;
export type Cup = NonNullable<Schemas['Load']['measure']>[number];

/** What each product of a load is in the crew's own tools, in one system of units. */
export const cupsOf = (load: Measured | null, units: Cup['system']): Cup[] =>
  (load?.measure ?? []).filter((m) => m.system === units);

export const cupOf = (load: Measured | null, what: string, units: Cup['system']): Cup | undefined =>
  cupsOf(load, units).find((m) => m.what === what);
