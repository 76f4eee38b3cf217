import { describe, expect, it } from 'vitest';
import { FACTS, KEEPER_KINDS, OUTCOMES } from '@/api/vocabulary';
import { KINDS } from '@/features/ground/marks';
import messages from '@/messages/en.json';

const sources = import.meta.glob<string>('../src/**/*.{vue,ts}', { query: '?raw', import: 'default', eager: true });
const has = (key: string): boolean =>
  typeof key.split('.').reduce<unknown>((o, part) => (o as Record<string, unknown> | undefined)?.[part], messages) ===
  'string';
/** Whole names in `t('…')`, and both of `t(… ? '…' : '…')`. */
const ASKED = [
  /\bt\(\s*'([a-z][\w-]*(?:\.[\w-]+)+)'/gi,
  /\bt\([^)'`]*\?\s*'([a-z][\w-]*(?:\.[\w-]+)+)'/gi,
  /\bt\([^)'`]*\?\s*'[^']+'\s*:\s*'([a-z][\w-]*(?:\.[\w-]+)+)'/gi,
];

describe('words of the interface', () => {
  it('has every word that a screen asks for by its whole name', () => {
    const asked = Object.values(sources).flatMap((text) =>
      ASKED.flatMap((pattern) => [...text.matchAll(pattern)].map((m) => m[1] ?? '')),
    );
    expect(asked.length).toBeGreaterThan(500);
    expect([...new Set(asked)].filter((key) => !has(key))).toEqual([]);
  });

  it('has a word for every word of the closed sets that people see, and a mark for every kind that is kept', () => {
    const asked = [
      ...OUTCOMES.map((o) => `outcome.${o}`),
      ...KEEPER_KINDS.map((k) => `keeper.${k}`),
      ...Object.keys(FACTS)
        // told where a ground, a count or a programme is
        .filter((f) => !['setting', 'diameter-at'].includes(f))
        .map((f) => `fact.${f}`),
      ...Object.entries(FACTS)
        .filter(([f, said]) => typeof said !== 'string' && !['setting', 'diameter-at'].includes(f))
        .flatMap(([, said]) => (said as readonly string[]).map((v) => `value.${v}`)),
    ];
    expect([...new Set(asked)].filter((key) => !has(key))).toEqual([]);
    expect([...KINDS].sort()).toEqual([...KEEPER_KINDS].sort());
  });
});
