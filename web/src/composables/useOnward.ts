import { useRouter, type RouteLocationRaw } from 'vue-router';
import { departures } from '@/app/departures';

/**
 * Goes on to where an act leads, unless the person has gone elsewhere meanwhile: a late answer moves nobody.
 *
 * const onward = useOnward();
 * const go = onward(); // when the act begins
 * await go({ name: 'mix' }); // when it is done
 */
export function useOnward(): () => (to: RouteLocationRaw) => Promise<void> {
  const router = useRouter();
  return () => {
    const begun = departures();
    return async (to) => {
      if (departures() === begun) await router.push(to);
    };
  };
}
