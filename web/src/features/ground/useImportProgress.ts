import { ref } from 'vue';
import { api, type Schemas } from '@/api/client';

const EVERY_MS = 500;

/** How far the import is that goes by this key, asked while it runs, and the way to stop it. */
export function useImportProgress() {
  const progress = ref<Schemas['ImportProgress'] | null>(null);
  let key = '';
  const where = () => ({ params: { path: { import: key } } });

  const follow = async <T>(asked: string, work: () => Promise<T>): Promise<T> => {
    key = asked;
    progress.value = null;
    const clock = setInterval(() => {
      void api
        .GET('/imports/{import}', where())
        .then(({ data }) => (progress.value = data ?? progress.value))
        // a lost question is asked again half a second later
        .catch(() => undefined);
    }, EVERY_MS);
    try {
      return await work();
    } finally {
      clearInterval(clock);
      progress.value = null;
    }
  };
  const stop = async (): Promise<void> => void (await api.DELETE('/imports/{import}', where()));
  return { progress, follow, stop };
}
