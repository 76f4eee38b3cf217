import { useQuery, useQueryClient } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Schemas } from '@/api/client';
import { standQuery } from '@/api/queries';
import { useWritten } from '@/api/written';

/** The stand of a station's page, and how to refresh all that hangs on it after a write. */
export function useStand(id: () => string) {
  const client = useQueryClient();
  const written = useWritten();
  const query = useQuery(computed(() => standQuery(id())));
  const stand = computed<Schemas['Stand'] | null>(() => query.data.value ?? null);
  /** Takes the answer of a write as the new truth, and lets everything derived be asked again. */
  const applyUpdate = async (answer?: Schemas['Stand']): Promise<void> => {
    if (answer) client.setQueryData(standQuery(id()).queryKey, answer);
    await written('stand');
  };
  const ifMatch = computed(() => `"${stand.value?.revision ?? 0}"`);
  return { stand, applyUpdate, ifMatch, error: query.error };
}
