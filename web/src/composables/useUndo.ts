import { onScopeDispose, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/**
 * Lets something go with the way back in sight, instead of asking whether it is meant. What waits to go is hidden by
 * its id meanwhile, and goes for good when the time is up or the panel is left.
 */
export function useUndo() {
  const { t } = useI18n();
  const going = ref<string[]>([]);
  const open = new Set<() => void>();
  const letGo = async (id: string, text: string, act: () => Promise<unknown>): Promise<void> => {
    going.value = [...going.value, id];
    const { undoable } = await import('@/components/feedback/notice');
    const back = (): void => void (going.value = going.value.filter((one) => one !== id));
    const now = undoable(text, t('form.undo'), back, () => {
      open.delete(now);
      // what went stays hidden until the list is here without it; what was refused comes back
      void act().then((done) => done === null && back(), back);
    });
    open.add(now);
  };
  onScopeDispose(() => [...open].forEach((now) => now()));
  return { letGo, isGoing: (id: string): boolean => going.value.includes(id) };
}
