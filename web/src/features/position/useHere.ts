import { onScopeDispose, ref } from 'vue';
import { deviceSource, standInSource, type Fix } from './positionSource';

/** One look at where the person stands; the source is closed again once it told. */
export function useHere(demo: () => boolean) {
  const looking = ref(false);
  const failure = ref<string | null>(null);
  let stop: (() => void) | null = null;
  const end = (): void => {
    stop?.();
    stop = null;
    looking.value = false;
  };
  const look = (near: [number, number]): Promise<Fix | null> =>
    new Promise((resolve) => {
      end();
      failure.value = null;
      looking.value = true;
      const source = demo() ? standInSource(near) : deviceSource();
      stop = () => {
        source.stop();
        resolve(null);
      };
      source.start({
        fix: (fix) => {
          source.stop();
          stop = null;
          looking.value = false;
          resolve(fix);
        },
        lost: () => undefined,
        broken: () => undefined,
        failed: (why) => {
          failure.value = why;
          end();
        },
      });
    });
  onScopeDispose(end);
  return { looking, failure, look };
}
