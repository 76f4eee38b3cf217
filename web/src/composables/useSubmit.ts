import { ref } from 'vue';
import { Refusal } from '@/api/client';
import { askPassword } from '@/features/session/password';

/** Runs a write: one at a time, its refusal kept for the fields, the password asked again where the server wants it. */
export function useSubmit() {
  const busy = ref(false);
  const refusal = ref<Refusal | null>(null);

  /** @param said what is told for a moment when it is done, where the screen itself does not show it */
  const run = async <T>(work: () => Promise<T>, said = ''): Promise<T | null> => {
    if (busy.value) return null;
    busy.value = true;
    refusal.value = null;
    try {
      const done = await work();
      if (said) void import('@/components/feedback/notice').then((notice) => notice.say(said));
      return done;
    } catch (e) {
      if (e instanceof Refusal && e.problem?.needs === 'password') {
        if (await askPassword()) {
          busy.value = false;
          return run(work, said);
        }
        return null;
      }
      refusal.value = e instanceof Refusal ? e : new Refusal(0, null);
      if (!(e instanceof Refusal)) throw e;
      return null;
    } finally {
      busy.value = false;
    }
  };
  return { busy, refusal, run, at: (pointer: string): string | null => refusal.value?.at(pointer) ?? null };
}
