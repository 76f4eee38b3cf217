import Dexie, { type Table } from 'dexie';
import { useEventListener } from '@vueuse/core';
import { onScopeDispose, ref, watch, type Ref } from 'vue';

interface Draft {
  key: string;
  value: string;
  savedAt: number;
}
const KEPT_DAYS = 30;

class Drafts extends Dexie {
  drafts!: Table<Draft, string>;
  constructor() {
    super('thicket');
    this.version(1).stores({ drafts: 'key, savedAt' });
  }
}
let store: Drafts | null = null;
const drafts = () => (store ??= new Drafts());

/** Keys start with the user, so that one person's notes are never shown to another (B28). */
export const draftKey = (user: string, screen: string, entity: string): string => `${user}|${screen}|${entity}`;

/**
 * What was typed in the last moment before the page went: the browser ends writes to its database with the page, but
 * not these. Taken over into the database when the form is opened again.
 */
const LAST = 'thicket.draft:';
const lastOf = (key: string): Draft | null => {
  const kept = localStorage.getItem(LAST + key);
  return kept === null ? null : { key, ...(JSON.parse(kept) as Omit<Draft, 'key'>) };
};
const clearLast = (user: string): void => {
  for (const name of Object.keys(localStorage)) if (name.startsWith(`${LAST}${user}|`)) localStorage.removeItem(name);
};

/** All drafts of this device go; called when signing out after the person agreed. */
export const clearDrafts = (user: string): Promise<unknown> => {
  clearLast(user);
  return drafts().drafts.where('key').startsWith(`${user}|`).delete();
};
export const countDrafts = (user: string): Promise<number> =>
  drafts().drafts.where('key').startsWith(`${user}|`).count();

/**
 * Keeps a form over reloads: restored on start with its date, written 300 ms after each change and when the page or
 * panel goes, dropped on save.
 *
 * @param key getter of the draft's key; an empty key keeps nothing
 * @param value the form, plain data only, no passwords
 */
export function useDraft<T>(key: () => string, value: Ref<T>) {
  const restoredAt = ref<Date | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let quiet = true;
  let pending: Draft | null = null;
  /** What the form is while nobody typed. */
  const untouched = JSON.stringify(value.value);
  const forget = (): void => {
    clearTimeout(timer);
    pending = null;
  };

  /** Writes what waits to be written now: the page or the panel goes. */
  const flush = (): void => {
    clearTimeout(timer);
    // typed away again, or emptied after it was saved: nothing to pick up later
    if (pending)
      void (pending.value === untouched ? drafts().drafts.delete(pending.key) : drafts().drafts.put(pending));
    pending = null;
  };
  const keep = (): void => {
    if (key() === '') return;
    forget();
    pending = { key: key(), value: JSON.stringify(value.value), savedAt: Date.now() };
    timer = setTimeout(flush, 300);
  };
  const restore = async (): Promise<void> => {
    quiet = true;
    // a form that was just emptied for this key must not be kept as its draft
    forget();
    restoredAt.value = null;
    const of = key();
    const before = JSON.stringify(value.value);
    if (of !== '') {
      await drafts()
        .drafts.where('savedAt')
        .below(Date.now() - KEPT_DAYS * 86_400_000)
        .delete();
      const last = lastOf(of);
      if (last) {
        await drafts().drafts.put(last);
        localStorage.removeItem(LAST + of);
      }
      const kept = await drafts().drafts.get(of);
      // on a slow device somebody may have typed by now: that wins
      if (kept && key() === of && JSON.stringify(value.value) === before) {
        value.value = JSON.parse(kept.value) as T;
        restoredAt.value = new Date(kept.savedAt);
      }
    }
    setTimeout(() => {
      quiet = false;
      // typed while this was looked up
      if (restoredAt.value === null && JSON.stringify(value.value) !== before) keep();
    });
  };
  const drop = async (): Promise<void> => {
    forget();
    restoredAt.value = null;
    if (key() === '') return;
    localStorage.removeItem(LAST + key());
    await drafts().drafts.delete(key());
  };
  watch(key, restore, { immediate: true });
  watch(
    value,
    () => {
      if (!quiet) keep();
    },
    { deep: true },
  );
  const onHide = (): void => {
    if (pending && pending.value !== untouched)
      localStorage.setItem(LAST + pending.key, JSON.stringify({ value: pending.value, savedAt: pending.savedAt }));
  };
  useEventListener(window, 'pagehide', onHide);
  onScopeDispose(flush);
  return { restoredAt, drop };
}
