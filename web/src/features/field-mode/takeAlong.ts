import { api, Refusal, unwrap } from '@/api/client';
import { dayKey, field } from './fieldStore';
import { fetchTheirs } from './fieldSync';

/** What is younger is not fetched again. */
const FRESH_MS = 15 * 60_000;
/** A day that is signed for is not needed longer than this. */
const KEPT_MS = 14 * 86_400_000;

/**
 * Brings the sheet onto this device, or its newest state; what is here stays where there is no signal.
 *
 * @returns why it is not here, where it is not
 */
export async function takeAlong(me: string, id: string): Promise<string | null> {
  const key = dayKey(me, id);
  try {
    const sheet = await unwrap(api.GET('/sheets/{sheet}', { params: { path: { sheet: id } } }));
    const stand = await unwrap(api.GET('/stands/{stand}', { params: { path: { stand: sheet.snapshot.standId } } }));
    const before = await field().days.get(key);
    await field().days.put({
      key,
      user: me,
      sheet,
      timeZone: stand.season.timeZone,
      people: stand.crew.map((p) => p.name),
      seen: before?.seen ?? 0,
      withdrawn: sheet.withdrawn,
      signed: before?.signed ?? false,
      keptAt: Date.now(),
    });
    await fetchTheirs(me, id);
    // asked for once something is kept that must not go
    void navigator.storage?.persist?.();
    return null;
  } catch (e) {
    if (!(e instanceof Refusal)) throw e;
    return (await field().days.get(key)) === undefined ? e.message : null;
  }
}

/** Takes along all sheets that are out, one after the other; what was signed for long ago makes room. */
export async function takeAllAlong(me: string, ids: readonly string[]): Promise<void> {
  const kept = await field().days.where('user').equals(me).toArray();
  const age = (id: string): number => Date.now() - (kept.find((d) => d.sheet.id === id)?.keptAt ?? 0);
  for (const id of ids) if (age(id) > FRESH_MS) await takeAlong(me, id);
  const old = kept.filter((d) => d.signed && !ids.includes(d.sheet.id) && Date.now() - d.keptAt > KEPT_MS);
  for (const day of old) {
    const notes = await field().notes.where('[user+sheetId]').equals([me, day.sheet.id]).toArray();
    // what is not sent is never put away
    if (notes.some((n) => n.state === 'waiting' || n.state === 'refused')) continue;
    await field().notes.bulkDelete(notes.map((n) => n.key));
    await field().days.delete(day.key);
  }
}
