import createClient, { type Middleware } from 'openapi-fetch';
import { say, spoken } from '@/app/language';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type Problem = Schemas['Problem'];

/** A refusal by the server, with the fields at fault. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem | null,
  ) {
    super(problem?.detail ?? problem?.errors?.[0]?.message ?? problem?.title ?? say('frame.noAnswer'));
  }

  /** Sentence for the field at this JSON pointer, or for anything below it. */
  at(pointer: string): string | null {
    return (
      this.problem?.errors?.find((e) => e.pointer === pointer || e.pointer.startsWith(`${pointer}/`))?.message ?? null
    );
  }
}

const readCookie = (name: string): string | null => {
  const found = document.cookie.split('; ').find((c) => c.startsWith(`${name}=`));
  return found ? decodeURIComponent(found.slice(name.length + 1)) : null;
};

/** Milliseconds that the job clock runs ahead of this device (B6); counted on by performance.now(). */
let jobAtLoad: { job: number; at: number } | null = null;
export const jobNow = (): Date =>
  new Date(jobAtLoad ? jobAtLoad.job + (performance.now() - jobAtLoad.at) : Date.now() + clockAhead());
/** How far the job clock ran ahead when the server was last heard, for a start without signal. */
const AHEAD = 'thicket.clockAhead';
const clockAhead = (): number => Number(localStorage.getItem(AHEAD) ?? '0');

/** Today at a place, by the job clock (YYYY-MM-DD): the ground's day, never this device's. */
export const jobDay = (timeZone: string): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(jobNow());

/** The last answers that may still hold, by address: a weak tag marks them, and 304 says that they do. */
const held = new Map<string, { tag: string; body: string }>();
const MOST_HELD = 30;
/** Whoever comes next finds nothing of who was here. */
export const forgetAnswers = (): void => held.clear();

const guard: Middleware = {
  async onRequest({ request }) {
    request.headers.set('Accept', 'application/json');
    request.headers.set('Accept-Language', spoken());
    const known = request.method === 'GET' ? held.get(request.url) : undefined;
    if (known) request.headers.set('If-None-Match', known.tag);
    if (request.method !== 'GET') {
      if (readCookie('XSRF-TOKEN') === null) await fetch('/sanctum/csrf-cookie', { credentials: 'same-origin' });
      request.headers.set('X-XSRF-TOKEN', readCookie('XSRF-TOKEN') ?? '');
      if (!request.headers.has('Idempotency-Key')) request.headers.set('Idempotency-Key', crypto.randomUUID());
    }
    return request;
  },
  async onResponse({ request, response }) {
    const now = response.headers.get('X-Job-Now');
    if (now) {
      jobAtLoad = { job: Date.parse(now), at: performance.now() };
      localStorage.setItem(AHEAD, String(jobAtLoad.job - Date.now()));
    }
    if (request.method !== 'GET') return response;
    const known = held.get(request.url);
    if (response.status === 304 && known)
      return new Response(known.body, { status: 200, headers: { 'Content-Type': 'application/json' } });
    const tag = response.headers.get('ETag');
    if (response.status === 200 && tag?.startsWith('W/') && request.headers.get('Accept') === 'application/json') {
      held.delete(request.url);
      held.set(request.url, { tag, body: await response.clone().text() });
      for (const oldest of [...held.keys()].slice(0, -MOST_HELD)) held.delete(oldest);
    }
    return response;
  },
};

export const api = createClient<paths>({ baseUrl: '/api/v1', credentials: 'same-origin' });
api.use(guard);

/** Unwraps an answer or throws a Refusal; a lost line is a Refusal with status 0. */
export async function unwrap<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let answer;
  try {
    answer = await call;
  } catch {
    throw new Refusal(0, {
      type: 'about:blank',
      title: say('frame.noSignal'),
      status: 0,
    });
  }
  if (!answer.response.ok || answer.data === undefined) {
    throw new Refusal(answer.response.status, (answer.error as Problem | undefined) ?? null);
  }
  return answer.data;
}
