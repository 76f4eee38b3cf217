import { liveQuery } from 'dexie';
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import { jobNow } from '@/api/client';
import { useSession } from '@/composables/useSession';
import {
  addNote,
  addPhoto,
  dropPhoto,
  dayKey,
  field,
  type FieldNote,
  type KeptDay,
  type KeptNote,
  type KeptPhoto,
} from './fieldStore';
import { inOrder } from './fieldLog';
import { fetchTheirs, recount, sendNow, sendSoon } from './fieldSync';
import { shrunk } from './shrink';
import { takeAlong } from './takeAlong';

/** Looks for what others noted, while the screen is open. */
const OTHERS_MS = 30_000;

/** One field day on this device: its sheet, its notes, and what is noted next. */
export function useFieldDay(sheetId: () => string) {
  const { user } = useSession();
  const day = shallowRef<KeptDay | null>(null);
  const kept = shallowRef<KeptNote[]>([]);
  /** Pictures of this device that are not with the server yet. */
  const pictures = shallowRef<KeptPhoto[]>([]);
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
        liveQuery(() => field().photos.where('[user+sheetId]').equals([me.id, id]).toArray()).subscribe(
          (all) => (pictures.value = all),
        ),
      ];
      missing.value = (await takeAlong(me.id, id)) ?? '';
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
  /** A picture is kept here till it can be sent, small enough to wait. */
  const addPicture = async (file: File, text: string): Promise<boolean> => {
    const me = user.value;
    if (!me) return false;
    try {
      await addPhoto(me.id, sheetId(), by.value, jobNow(), await shrunk(file), text);
      full.value = false;
      await recount();
      sendSoon();
      return true;
    } catch {
      full.value = true;
      return false;
    }
  };
  const dropPicture = async (note: string, photo: string): Promise<void> => {
    if (user.value && (await add('undo', { of: note }))) await dropPhoto(user.value.id, photo);
    await recount();
  };
  /** A note that the server refused is looked at and put away by a person. */
  const putAway = async (key: string): Promise<void> => {
    await field().notes.delete(key);
    await recount();
  };
  return { day, notes, pictures, refused, missing, by, full, add, addPicture, dropPicture, putAway };
}
