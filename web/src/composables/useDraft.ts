import Dexie, { type Table } from 'dexie';
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

/** All drafts of this device go; called when signing out after the person agreed. */
export const clearDrafts = (user: string): Promise<unknown> => drafts().drafts.where('key').startsWith(`${user}|`).delete();
export const countDrafts = (user: string): Promise<number> => drafts().drafts.where('key').startsWith(`${user}|`).count();

/**
 * Keeps a form over reloads: restored on start with its date, written 300 ms after each change, dropped on save.
 *
 * @param key getter of the draft's key; an empty key keeps nothing
 * @param value the form, plain data only, no passwords
 */
export function useDraft<T>(key: () => string, value: Ref<T>) {
  const restoredAt = ref<Date | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let quiet = true;

  const restore = async (): Promise<void> => {
    quiet = true;
    // a form that was just emptied for this key must not be kept as its draft
    clearTimeout(timer);
    restoredAt.value = null;
    const of = key();
    const before = JSON.stringify(value.value);
    if (of !== '') {
      await drafts()
        .drafts.where('savedAt')
        .below(Date.now() - KEPT_DAYS * 86_400_000)
        .delete();
      const kept = await drafts().drafts.get(of);
      // on a slow device somebody may have typed by now: that wins
      if (kept && key() === of && JSON.stringify(value.value) === before) {
        value.value = JSON.parse(kept.value) as T;
        restoredAt.value = new Date(kept.savedAt);
      }
    }
    setTimeout(() => (quiet = false));
  };
  const drop = async (): Promise<void> => {
    clearTimeout(timer);
    restoredAt.value = null;
    if (key() !== '') await drafts().drafts.delete(key());
  };
  watch(key, restore, { immediate: true });
  watch(
    value,
    () => {
      if (quiet || key() === '') return;
      clearTimeout(timer);
      const row = { key: key(), value: JSON.stringify(value.value), savedAt: Date.now() };
      timer = setTimeout(() => void drafts().drafts.put(row), 300);
    },
    { deep: true },
  );
  onScopeDispose(() => clearTimeout(timer));
  return { restoredAt, drop };
}
