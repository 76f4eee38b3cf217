import { useQueryClient } from '@tanstack/vue-query';
import { shedQuery } from '@/api/queries';
import { useWritten } from '@/api/written';
import type { Schemas } from '@/api/client';
import { useSubmit } from './useSubmit';

/** A write to the Shed: the whole Shed comes back, and whatever was reckoned from it is asked again. */
export function useShed() {
  const client = useQueryClient();
  const written = useWritten();
  const act = useSubmit();
  const keep = async (work: () => Promise<Schemas['Shed']>): Promise<boolean> => {
    const shed = await act.run(work);
    if (!shed) return false;
    client.setQueryData(shedQuery().queryKey, shed);
    await written('shed');
    return true;
  };
  return { ...act, keep };
}
