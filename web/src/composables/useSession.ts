import { useQuery, useQueryClient } from '@tanstack/vue-query';
import { computed } from 'vue';
import { api, forgetAnswers, jobDay, unwrap, type Schemas } from '@/api/client';
import { sessionQuery } from '@/api/queries';

export type Units = 'us' | 'metric';
export type Shown = { us: string; metric: string };

let changes = 0;
let lastChange: Promise<unknown> = Promise.resolve();

/** Who is signed in, their units and light; all screens read figures through `format`. */
export function useSession() {
  const client = useQueryClient();
  const { data } = useQuery(sessionQuery());
  const user = computed(() => data.value?.user ?? null);
  const units = computed<Units>(() => user.value?.units ?? 'us');

  /** The string of a quantity or sentence in the user's units; an em dash where there is none. */
  const format = (shown: Shown | { shown: Shown } | null | undefined): string => {
    if (!shown) return '—';
    return 'shown' in shown ? shown.shown[units.value] : shown[units.value];
  };

  const set = (session: Schemas['Session']) => client.setQueryData(sessionQuery().queryKey, session);
  const change = async (body: { units?: Units; light?: 'day' | 'sun' | 'dusk'; locale?: string }) => {
    // shown at once: both strings are here already (B4), so the switch works without signal
    const now = data.value;
    if (now?.user) set({ ...now, user: { ...now.user, ...body } });
    // one after the other, and only the last answer counts: two quick switches may not overtake each other
    const mine = ++changes;
    const sent = lastChange.then(() => unwrap(api.PATCH('/session', { body })));
    lastChange = sent.catch(() => undefined);
    const answer = await sent;
    if (mine === changes) set(answer);
    // sentences come from the server: all of them are asked again in the new language
    if (body.locale) {
      forgetAnswers();
      await client.invalidateQueries();
    }
  };
  /** Today where the Shed is. */
  const today = (): string => jobDay(data.value?.crew?.timeZone ?? 'UTC');
  return {
    session: data,
    today,
    user,
    units,
    format,
    set,
    change,
    mayWrite: computed(() => user.value?.mayWrite ?? false),
    isLead: computed(() => user.value?.isLead ?? false),
  };
}
