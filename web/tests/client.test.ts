import { afterEach, describe, expect, it, vi } from 'vitest';
import { Refusal, unwrap } from '@/api/client';

const answer = (status: number, data?: unknown, error?: unknown) =>
  Promise.resolve({ data, error, response: new Response(null, { status: status === 200 ? 200 : status }) });

describe('the answer of the server', () => {
  it('is handed on when all is well', async () => {
    await expect(unwrap(answer(200, { status: 'ok' }))).resolves.toEqual({ status: 'ok' });
  });
  it('becomes a refusal with the fields at fault', async () => {
    const problem = {
      type: 'about:blank',
      title: 'Some of this has to be put right.',
      status: 422,
      errors: [{ pointer: '/rows/1/diameter', message: 'Give a length.' }],
    };
    const refusal = await unwrap(answer(422, undefined, problem)).catch((e: unknown) => e);
    expect(refusal).toBeInstanceOf(Refusal);
    expect((refusal as Refusal).at('/rows/1')).toBe('Give a length.');
    expect((refusal as Refusal).at('/rows/1/diameter')).toBe('Give a length.');
    expect((refusal as Refusal).at('/rows')).toBe('Give a length.');
    expect((refusal as Refusal).at('/rows/10')).toBeNull();
    expect((refusal as Refusal).message).toBe('Give a length.');
  });
  it('says the detail first, then the title', () => {
    expect(
      new Refusal(409, {
        type: '',
        title: 'This cannot be done now.',
        status: 409,
        detail: 'It cannot be judged before 2027-09-03.',
      }).message,
    ).toBe('It cannot be judged before 2027-09-03.');
    expect(new Refusal(404, { type: '', title: 'There is nothing here.', status: 404 }).message).toBe(
      'There is nothing here.',
    );
    expect(new Refusal(502, null).message).toBe('No answer from the server.');
  });
  it('is a plain word when the signal is gone, and says that nothing is lost', async () => {
    const lost = await unwrap(Promise.reject(new TypeError('Failed to fetch'))).catch((e: unknown) => e);
    expect((lost as Refusal).status).toBe(0);
    expect((lost as Refusal).message).toContain('What you typed is kept here.');
  });
});

describe('an answer that still holds', () => {
  afterEach(() => vi.unstubAllGlobals());
  it('is asked for by its tag, and given again on 304', async () => {
    const asked: (string | null)[] = [];
    const answers = [
      new Response('{"lines":1}', { status: 200, headers: { 'Content-Type': 'application/json', ETag: 'W/"a1"' } }),
      new Response(null, { status: 304, headers: { ETag: 'W/"a1"' } }),
      new Response('{"lines":2}', { status: 200, headers: { 'Content-Type': 'application/json', ETag: 'W/"a2"' } }),
    ];
    vi.stubGlobal('document', { cookie: '' });
    const fetched = (request: Request): Promise<Response> => {
      asked.push(request.headers.get('If-None-Match'));
      return Promise.resolve(answers.shift() ?? new Response(null, { status: 500 }));
    };
    const { api, forgetAnswers } = await import('@/api/client');
    const read = async () => (await api.GET('/today', { baseUrl: 'http://thicket.test/api/v1', fetch: fetched })).data;
    expect([await read(), await read(), await read()]).toEqual([{ lines: 1 }, { lines: 1 }, { lines: 2 }]);
    expect(asked).toEqual([null, 'W/"a1"', 'W/"a1"']);
    // whoever signs out takes them along
    forgetAnswers();
    await read().catch(() => null);
    expect(asked[3]).toBeNull();
  });
});

describe('the job clock', () => {
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });
  it.each([
    ['is this device’s clock until the server has spoken', null, '2026-01-01T00:00:00.000Z'],
    ['runs ahead as far as when the server was last heard, without signal', '3600000', '2026-01-01T01:00:00.000Z'],
  ])('%s', async (_, ahead, now) => {
    vi.stubGlobal('localStorage', { getItem: () => ahead, setItem: () => undefined });
    vi.useFakeTimers({ now: new Date('2026-01-01T00:00:00Z') });
    vi.resetModules();
    const { jobNow } = await import('@/api/client');
    expect(jobNow().toISOString()).toBe(now);
  });
});
