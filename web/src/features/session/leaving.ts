import { api, forgetAnswers, Refusal, unwrap, type Schemas } from '@/api/client';

/** Set while the server has not been told yet that somebody left here; it is told before it is asked anything else. */
const MARK = 'thicket.leaving';

const NOBODY: Schemas['Session'] = { user: null, crew: null, demo: false, setupNeeded: false };

/**
 * Ends the session. Whatever the server answers, or if it cannot be reached, nobody is signed in on this screen
 * afterwards.
 */
export async function leave(): Promise<Schemas['Session']> {
  localStorage.setItem(MARK, '1');
  forgetAnswers();
  try {
    const out = await unwrap(api.DELETE('/session'));
    localStorage.removeItem(MARK);
    return out;
  } catch (e) {
    // no such session any more: that is what was wanted
    if (e instanceof Refusal && e.status === 401) localStorage.removeItem(MARK);
    return NOBODY;
  }
}

/** Who is here; first ends a session whose end the server has not heard of. */
export async function whoIsHere(): Promise<Schemas['Session']> {
  if (localStorage.getItem(MARK) !== null) {
    const out = await leave();
    if (localStorage.getItem(MARK) !== null) return out;
  }
  return unwrap(api.GET('/session'));
}

/** Somebody signed in: the server forgets by itself whoever was here before. */
export const entered = (): void => localStorage.removeItem(MARK);
