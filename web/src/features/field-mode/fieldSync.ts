import { api, Refusal, unwrap, type Schemas } from '@/api/client';
import { countUnsent, dayKey, field, noteKey, type KeptNote, type KeptPhoto } from './fieldStore';
import { sendingState as state, unsentNotes as unsent } from './sending';

const AT_ONCE = 200;
/** Soon at first: signal flickers when it comes back. */
const AGAIN_MS = 3_000;
const MOST_WAIT_MS = 300_000;

let user: string | null = null;
let timer: ReturnType<typeof setTimeout> | undefined;
let wait = AGAIN_MS;
let running: Promise<void> | null = null;
let asked = false;

/** Whose notes are sent from now on: never anybody else's (B15). */
export function sendFor(id: string | null): void {
  user = id;
  state.value = 'idle';
  void recount();
  if (id) void sendNow();
}

export async function recount(): Promise<void> {
  unsent.value = user ? await countUnsent(user) : 0;
}

/**
 * Sends what waits, the oldest first; one at a time. Whoever asks while something is sent is heard afterwards: a note
 * made meanwhile goes too, and signal that came back is tried at once.
 */
export function sendNow(): Promise<void> {
  asked = true;
  running ??= sendWhileAsked().finally(() => (running = null));
  return running;
}

/** In a moment, with what is noted till then: a tap a second is not a write a second. */
const SOON_MS = 1_500;
let soon: ReturnType<typeof setTimeout> | undefined;
export function sendSoon(): void {
  soon ??= setTimeout(() => {
    soon = undefined;
    void sendNow();
  }, SOON_MS);
}

async function sendWhileAsked(): Promise<void> {
  while (asked) {
    asked = false;
    await send();
  }
}

async function send(): Promise<void> {
  clearTimeout(timer);
  const me = user;
  if (!me) return;
  const waiting = await field().notes.where('[user+state]').equals([me, 'waiting']).toArray();
  const pictures = await field().photos.where('[user+state]').equals([me, 'waiting']).toArray();
  await recount();
  if (waiting.length === 0 && pictures.length === 0) {
    if (state.value === 'sending' || state.value === 'away') state.value = 'idle';
    return;
  }
  state.value = 'sending';
  try {
    for (const sheet of new Set(waiting.map((w) => w.sheetId))) {
      const notes = waiting.filter((w) => w.sheetId === sheet).sort((a, b) => a.note.seq - b.note.seq);
      for (let i = 0; i < notes.length; i += AT_ONCE) await sendSome(me, sheet, notes.slice(i, i + AT_ONCE));
    }
    // after the notes that name them; one at a time, so that what went through is not sent again
    for (const picture of pictures) await sendPicture(picture);
    wait = AGAIN_MS;
    state.value = 'idle';
  } catch (e) {
    const status = e instanceof Refusal ? e.status : 0;
    state.value = status === 401 || status === 419 ? 'signed-out' : status === 0 || status >= 500 ? 'away' : 'refused';
    // what is not sent stays on this device; it is tried again, less and less often
    timer = setTimeout(() => {
      wait = Math.min(wait * 2, MOST_WAIT_MS);
      void sendNow();
    }, wait);
  }
  await recount();
}

async function sendSome(me: string, sheet: string, some: KeptNote[]): Promise<void> {
  const day = await field().days.get(dayKey(me, sheet));
  let answer;
  try {
    answer = await unwrap(
      api.POST('/sheets/{sheet}/notes', {
        params: { path: { sheet } },
        body: { notes: some.map((s) => s.note), after: day?.seen ?? 0 },
      }),
    );
  } catch (e) {
    // none of them can be taken: each waits for a person, and holds up no other
    if (!(e instanceof Refusal) || e.status !== 422) throw e;
    for (const [i, one] of some.entries())
      await field().notes.update(one.key, { state: 'refused', why: e.at(`/notes/${i}`) ?? e.message });
    return;
  }
  const refused = new Map(answer.refused.map((r) => [r.id, r.message]));
  await field().transaction('rw', field().notes, field().days, async () => {
    for (const one of some) {
      const why = refused.get(one.id);
      await field().notes.update(one.key, why === undefined ? { state: 'sent' } : { state: 'refused', why });
    }
    await keepTheirs(me, sheet, answer);
  });
}

async function sendPicture(one: KeptPhoto): Promise<void> {
  const body = new FormData();
  body.append('id', one.id);
  body.append('photo', one.file, 'picture.jpg');
  try {
    await unwrap(
      api.POST('/sheets/{sheet}/photos', {
        params: { path: { sheet: one.sheetId } },
        body: body as unknown as { id: string; photo: string },
        bodySerializer: (b) => b as unknown as FormData,
      }),
    );
    // from now on it is the server's
    await field().photos.delete(one.key);
  } catch (e) {
    if (!(e instanceof Refusal) || (e.status !== 422 && e.status !== 413)) throw e;
    await field().photos.update(one.key, { state: 'refused', why: e.message });
  }
}

/** Takes over what other devices noted on the same sheet. */
async function keepTheirs(me: string, sheet: string, answer: Schemas['FieldDay']): Promise<void> {
  for (const { note } of answer.notes) {
    const key = noteKey(me, note.id);
    if ((await field().notes.get(key)) === undefined)
      await field().notes.add({ key, id: note.id, user: me, sheetId: sheet, note, state: 'theirs' });
  }
  await field().days.update(dayKey(me, sheet), {
    seen: answer.last,
    withdrawn: answer.withdrawn,
    signed: answer.signed,
  });
}

/** Looks for what others noted; quiet where there is no signal. */
export async function fetchTheirs(me: string, sheet: string): Promise<void> {
  const day = await field().days.get(dayKey(me, sheet));
  try {
    const answer = await unwrap(
      api.GET('/sheets/{sheet}/notes', { params: { path: { sheet }, query: { after: day?.seen ?? 0 } } }),
    );
    await field().transaction('rw', field().notes, field().days, () => keepTheirs(me, sheet, answer));
  } catch (e) {
    if (!(e instanceof Refusal)) throw e;
  }
}

if (typeof window !== 'undefined')
  window.addEventListener('online', () => {
    wait = AGAIN_MS;
    void sendNow();
  });
