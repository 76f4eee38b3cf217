import { describe, expect, it } from 'vitest';
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
});
