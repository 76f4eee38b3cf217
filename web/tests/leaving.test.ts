import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { entered, whoIsHere } from '@/features/session/leaving';

const ADA = { user: { id: 'a', name: 'Ada' }, crew: null, demo: true, setupNeeded: false } as never;

describe('who is here without signal', () => {
  beforeEach(() => {
    const kept = new Map<string, string>();
    vi.stubGlobal('localStorage', {
      getItem: (k: string) => kept.get(k) ?? null,
      setItem: (k: string, v: string) => kept.set(k, v),
      removeItem: (k: string) => kept.delete(k),
    });
    vi.stubGlobal('document', { cookie: '' });
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no signal')));
  });
  afterEach(() => vi.unstubAllGlobals());

  it('is who signed in last, though the page was never loaded since', async () => {
    entered(ADA);
    await expect(whoIsHere()).resolves.toEqual(ADA);
  });

  it('is nobody that this device knows where nobody signed in', async () => {
    await expect(whoIsHere()).rejects.toMatchObject({ status: 0 });
  });
});
