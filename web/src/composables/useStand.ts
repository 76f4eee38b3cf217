import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Schemas } from '@/api/client';
import { standQuery } from '@/api/queries';

/** The stand of a station's page, and the revision that its next write is held against. */
export function useStand(id: () => string) {
  const query = useQuery(computed(() => standQuery(id())));
  const stand = computed<Schemas['Stand'] | null>(() => query.data.value ?? null);
  const ifMatch = computed(() => `"${stand.value?.revision ?? 0}"`);
  return { stand, ifMatch, error: query.error };
}
