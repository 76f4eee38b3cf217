import { api, forgetAnswers, Refusal, unwrap, type Schemas } from '@/api/client';

/** Set while the server has not been told yet that somebody left here; it is told before it is asked anything else. */
const MARK = 'thicket.leaving';

/** Who was here last, for a start without signal: name, role, units, and nothing that opens a door. */
const LAST = 'thicket.lastHere';

const NOBODY: Schemas['Session'] = { user: null, crew: null, demo: false, setupNeeded: false };

/**
 * Ends the session. Whatever the server answers, or if it cannot be reached, nobody is signed in on this screen
 * afterwards.
 */
export async function leave(): Promise<Schemas['Session']> {
  localStorage.setItem(MARK, '1');
  localStorage.removeItem(LAST);
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

function keep(here: Schemas['Session']): void {
  if (here.user) localStorage.setItem(LAST, JSON.stringify(here));
  else localStorage.removeItem(LAST);
}

/** Who is here; first ends a session whose end the server has not heard of. Without signal, who was here last. */
export async function whoIsHere(): Promise<Schemas['Session']> {
  if (localStorage.getItem(MARK) !== null) {
    const out = await leave();
    if (localStorage.getItem(MARK) !== null) return out;
  }
  try {
    const here = await unwrap(api.GET('/session'));
    keep(here);
    return here;
  } catch (e) {
    const last = localStorage.getItem(LAST);
    if (last !== null && e instanceof Refusal && (e.status === 0 || e.status >= 500))
      return JSON.parse(last) as Schemas['Session'];
    throw e;
  }
}

/** Somebody signed in, and is known from now on without signal; the server forgets by itself who was here before. */
export function entered(here: Schemas['Session']): void {
  localStorage.removeItem(MARK);
  keep(here);
}
