import { QueryClient, QueryObserver } from '@tanstack/vue-query';
import { describe, expect, it, vi } from 'vitest';
import { afterWrite, ANSWERS_ARE, HANGS_ON, MUTATIONS, STANDS_STILL } from '@/api/mutations';

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

  it('lets no screen see to it by hand', () => {
    const byHand = Object.entries(sources).filter(
      ([file, text]) => !file.includes('/api/') && /invalidateQueries|setQueryData/.test(text),
    );
    // who is here is no page of a station: it is shown at once, before the server has heard of it
    expect(byHand.map(([file]) => file)).toEqual(['../src/composables/useSession.ts']);
  });

  it('takes the answer at once and asks what hangs on it again, and nothing else', async () => {
    const client = new QueryClient();
    const asked = vi.spyOn(client, 'invalidateQueries').mockResolvedValue();
    client.setQueryData(['stand', 'one'], { id: 'one', revision: 1 });
    client.setQueryData(['handbook'], {});
    const after = (method: string, schemaPath: string, status: number, body: unknown) =>
      afterWrite(client).onResponse?.({
        request: new Request('http://here/', { method }),
        response: new Response(JSON.stringify(body), { status }),
        schemaPath,
      } as never);
    await after('PUT', '/stands/{stand}/step', 409, { id: 'one', revision: 9 });
    await after('GET', '/stands/{stand}', 200, { id: 'one', revision: 9 });
    await after('POST', '/mix/sums', 200, {});
    expect(asked).not.toHaveBeenCalled();
    expect(client.getQueryData(['stand', 'one'])).toEqual({ id: 'one', revision: 1 });

    await after('PUT', '/stands/{stand}/step', 200, { id: 'one', revision: 2 });
    expect(client.getQueryData(['stand', 'one'])).toEqual({ id: 'one', revision: 2 });
    const filters = asked.mock.calls[0]?.[0];
    const hangs = typeof filters === 'object' ? filters.predicate : undefined;
    const touched = client
      .getQueryCache()
      .getAll()
      .filter((query) => hangs?.(query));
    expect(touched.map((query) => query.queryKey)).toEqual([['stand', 'one']]);
  });

  it('asks again what was being asked for the first time while the write went through', async () => {
    const client = new QueryClient();
    const answers: ((value: string) => void)[] = [];
    const watched = new QueryObserver(client, {
      queryKey: ['stand', 'one', 'hours'],
      queryFn: () => new Promise<string>((answer) => answers.push(answer)),
    });
    const stop = watched.subscribe(() => {});
    const after = afterWrite(client).onResponse?.({
      request: new Request('http://here/', { method: 'PUT' }),
      response: new Response('{"day":"outage"}', { status: 200 }),
      schemaPath: '/stand-ins/weather',
    } as never);
    await vi.waitFor(() => expect(answers).toHaveLength(1));
    answers[0]?.('as before the write');
    await vi.waitFor(() => expect(answers).toHaveLength(2));
    answers[1]?.('as after it');
    await after;
    expect(client.getQueryData(['stand', 'one', 'hours'])).toBe('as after it');
    stop();
  });

  it('takes an answer only of a write that makes stale what it answers', () => {
    for (const write of Object.keys(ANSWERS_ARE) as (keyof typeof MUTATIONS)[]) {
      const key = ANSWERS_ARE[write]?.({ id: 'x', stepId: 'x' } as never)[0];
      expect(HANGS_ON[MUTATIONS[write]], write).toContain(key);
    }
  });

  it('has the revision asked again that the next write of the same page is held against', () => {
    // of the crew, which the Shed shows and the law of a species is kept with
    for (const of of [HANGS_ON.shed, HANGS_ON.listing]) expect(of).toContain('shed');
  });

  it('has a job judged again by whatever it hangs on', () => {
    // a note of a field day is judged by nothing
    for (const of of Object.entries(HANGS_ON)
      .flatMap(([name, all]) => (['field', 'me', 'people'].includes(name) ? [] : [all]))
      .filter((all) => all.length > 0))
      expect(of).toEqual(expect.arrayContaining(['stand', 'recipe', 'today']));
  });
});
