import type { Schemas } from '@/api/client';

/** "Full load, 2 times", "Last part-load", or "Part-load, 2 times" where several people each take a part. */
export const loadName = (
  t: (key: string, values: { n: number }, plural: number) => string,
  load: Schemas['Load'],
): string =>
  t(load.part ? (load.times > 1 ? 'mix.partLoads' : 'mix.partLoad') : 'mix.fullLoads', { n: load.times }, load.times);
