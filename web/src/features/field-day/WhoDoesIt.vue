<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import ChoiceField from '@/components/form/ChoiceField.vue';

/** Who of the crew takes what is next here: Today lists it under that name. */
const props = defineProps<{ stand: Schemas['Stand'] }>();
const { t } = useI18n();
const { mayWrite } = useSession();
const { busy, refusal, run } = useSubmit();
const assign = async (person: string): Promise<void> =>
  void (await run(() =>
    unwrap(
      api.PUT('/stands/{stand}/assignee', {
        params: { path: { stand: props.stand.id }, header: { 'If-Match': `"${props.stand.revision}"` } },
        body: { person: person || null },
      }),
    ),
  ));
</script>

<template>
  <ChoiceField
    v-if="stand.crew.length"
    :label="t('field.assignee')"
    :model-value="stand.assignee?.id ?? ''"
    :disabled="busy || !mayWrite"
    :fault="refusal?.message ?? null"
    width="16em"
    :options="[{ value: '', label: t('field.nobodyYet') }, ...stand.crew.map((p) => ({ value: p.id, label: p.name }))]"
    @change="assign"
  />
</template>
