import { describe, expect, it } from 'vitest';
import { HANGS_ON, STANDS_STILL } from '@/api/written';

const sources = import.meta.glob<string>('../src/**/*.{vue,ts}', { query: '?raw', import: 'default', eager: true });

describe('what is asked again after a write', () => {
  it('names every kind of query, either as hanging on a write or as standing still', () => {
    const asked = Object.values(sources).flatMap((text) =>
      [...text.matchAll(/queryKey: \[\s*'([a-z-]+)'/g)].map((m) => m[1] ?? ''),
    );
    const told = [...Object.values(HANGS_ON).flat(), ...STANDS_STILL] as string[];
    expect(asked.length).toBeGreaterThan(25);
    expect([...new Set(asked)].filter((key) => !told.includes(key))).toEqual([]);
    expect([...new Set(told)].filter((key) => !asked.includes(key))).toEqual([]);
  });

  it('lets no screen have everything asked again', () => {
    const blanket = Object.entries(sources).filter(([, text]) => /invalidateQueries\(\s*\)/.test(text));
    expect(blanket.map(([file]) => file)).toEqual([]);
  });

  it('has the revision asked again that the next write of the same page is held against', () => {
    // of the crew, which the Shed shows and the law of a species is kept with
    for (const of of [HANGS_ON.shed, HANGS_ON.listing]) expect(of).toContain('shed');
  });

  it('has a job judged again by whatever it hangs on', () => {
    for (const of of Object.values(HANGS_ON)) expect(of).toEqual(expect.arrayContaining(['stand', 'recipe', 'today']));
  });
});
