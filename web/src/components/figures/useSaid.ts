import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { useSession } from '@/composables/useSession';

/** An amount within a sentence, as people say it: rounded, where the server rounds it. */
export function useSaid() {
  const { t } = useI18n();
  const { format, units } = useSession();
  /** As it is looked for on a wall or a jug: the figure alone. */
  const mark = (of: Schemas['Quantity'] | null | undefined): string => of?.told?.[units.value] ?? format(of);
  const said = (of: Schemas['Quantity'] | null | undefined): string =>
    mark(of) === format(of) ? format(of) : t('said.about', { amount: mark(of) });
  return { said, mark };
}
