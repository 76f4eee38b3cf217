import { liveQuery } from 'dexie';
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import { api, jobNow, Refusal, unwrap } from '@/api/client';
import { useSession } from '@/composables/useSession';
import { addNote, dayKey, field, type FieldNote, type KeptDay, type KeptNote } from './fieldStore';
import { inOrder } from './fieldLog';
import { fetchTheirs, recount, sendNow, sendSoon } from './fieldSync';

/** Looks for what others noted, while the screen is open. */
const OTHERS_MS = 30_000;

/** One field day on this device: its sheet, its notes, and what is noted next. */
export function useFieldDay(sheetId: () => string) {
  const { user } = useSession();
  const day = shallowRef<KeptDay | null>(null);
  const kept = shallowRef<KeptNote[]>([]);
  const missing = ref('');
  /** Whose work the next note tells of. */
  const by = ref('');
  const full = ref(false);

  let subscriptions: { unsubscribe: () => void }[] = [];
  const stop = (): void => {
    subscriptions.forEach((s) => s.unsubscribe());
    subscriptions = [];
  };
  watch(
    [user, sheetId],
    async ([me, id]) => {
      stop();
      if (!me) return;
      by.value ||= me.name;
      const key = dayKey(me.id, id);
      subscriptions = [
        liveQuery(() => field().days.get(key)).subscribe((found) => (day.value = found ?? null)),
        liveQuery(() => field().notes.where('[user+sheetId]').equals([me.id, id]).toArray()).subscribe(
          (all) => (kept.value = all),
        ),
      ];
      await takeAlong(me.id, id, missing);
      void sendNow();
    },
    { immediate: true },
  );
  const timer = setInterval(() => user.value && void fetchTheirs(user.value.id, sheetId()), OTHERS_MS);
  onScopeDispose(() => {
    stop();
    clearInterval(timer);
  });

  const notes = computed(() => inOrder(kept.value.filter((k) => k.state !== 'refused').map((k) => k.note)));
  const refused = computed(() => kept.value.filter((k) => k.state === 'refused'));

  /** Notes something: on this device at once, with the server when there is signal. */
  const add = async (
    kind: FieldNote['kind'],
    body: Record<string, unknown>,
    of = by.value,
  ): Promise<FieldNote | null> => {
    const me = user.value;
    if (!me) return null;
    try {
      const note = await addNote(me.id, sheetId(), of, jobNow(), kind, body);
      full.value = false;
      await recount();
      sendSoon();
      return note;
    } catch {
      // the device has no room left: nothing is dropped in silence
      full.value = true;
      return null;
    }
  };
  /** A note that the server refused is looked at and put away by a person. */
  const putAway = async (key: string): Promise<void> => {
    await field().notes.delete(key);
    await recount();
  };
  return { day, notes, refused, missing, by, full, add, putAway };
}

/** Brings the sheet onto this device, or its newest state; what is here stays where there is no signal. */
async function takeAlong(me: string, id: string, missing: { value: string }): Promise<void> {
  missing.value = '';
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
  } catch (e) {
    if (!(e instanceof Refusal)) throw e;
    if ((await field().days.get(key)) === undefined) missing.value = e.message;
  }
}
