import { useEventListener } from '@vueuse/core';
import { ref, type Ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { OF_STAND, STATIONS, type Station } from './router';

export interface UseKeysOptions {
  enabled: Readonly<Ref<boolean>>;
  stand: () => string | null;
  switchUnits: () => void;
}

/** Single keys of the frame; never inside a field (B36). `/` search, `[` and `]` stations, `u` units, `?` help. */
export function useKeys(options: UseKeysOptions) {
  const router = useRouter();
  const route = useRoute();
  const searching = ref(false);
  const helping = ref(false);

  const step = (by: 1 | -1): void => {
    const walk = STATIONS.filter((s) => options.stand() !== null || !OF_STAND.includes(s));
    const next = walk[(walk.indexOf(route.name as Station) + by + walk.length) % walk.length];
    if (next)
      void router.push(
        OF_STAND.includes(next) ? { name: next, params: { stand: options.stand() ?? '' } } : { name: next },
      );
  };
  const onKey = (e: KeyboardEvent): void => {
    const at = e.target as HTMLElement;
    if (
      !options.enabled.value ||
      e.ctrlKey ||
      e.metaKey ||
      e.altKey ||
      /^(INPUT|TEXTAREA|SELECT)$/.test(at.tagName) ||
      at.isContentEditable ||
      document.querySelector('.el-overlay-dialog')
    )
      return;
    if (e.key === '/') searching.value = true;
    else if (e.key === '?') helping.value = true;
    else if (e.key === '[') step(-1);
    else if (e.key === ']') step(1);
    else if (e.key === 'u') options.switchUnits();
    else return;
    e.preventDefault();
  };
  useEventListener(window, 'keydown', onKey);
  return { searching, helping };
}
