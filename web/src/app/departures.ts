import type { Router } from 'vue-router';

let count = 0;

/**
 * How often somebody has set out for another page since the application began; counted when they set out, not when they
 * arrive.
 */
export const departures = (): number => count;

/** Counts the departures of a router. */
export function countDepartures(router: Router): void {
  router.beforeEach((to, from) => {
    if (to.path !== from.path) count += 1;
  });
}
