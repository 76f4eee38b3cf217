<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref, watchEffect } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { handbookQuery } from '@/api/queries';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import ChoiceField from '@/components/form/ChoiceField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TickField from '@/components/form/TickField.vue';

/** How this crew works where practitioners differ, and how the owner stands to herbicide. */
const props = defineProps<{ shed: Schemas['Shed'] }>();
const { t } = useI18n();
const { isLead } = useSession();
const { refusal, run } = useSubmit();
const { data: book } = useQuery(handbookQuery());
const choose = (body: {
  schools?: Record<string, string>;
  stance?: 'any' | 'least-hazard' | 'none';
  fuelOil?: boolean;
  stemLimits?: { least?: string; most?: string };
}): Promise<unknown> =>
  run(() =>
    unwrap(api.PATCH('/shed/choices', { params: { header: { 'If-Match': `"${props.shed.revision}"` } }, body })),
  );
/** Thinnest and thickest stem that this crew injects; empty is the usual 1 and 10 in. */
const limits = ref({ least: '', most: '' });
watchEffect(
  () => (limits.value = { least: props.shed.stemLimits.least ?? '', most: props.shed.stemLimits.most ?? '' }),
);
const keepLimits = (): Promise<unknown> =>
  choose({
    stemLimits: {
      ...(limits.value.least ? { least: limits.value.least } : {}),
      ...(limits.value.most ? { most: limits.value.most } : {}),
    },
  });
/** Questions on which practitioners differ, by the work they bear on. */
const GROUPS: readonly { key: string; of: RegExp }[] = [
  { key: 'basal', of: /basal|beech/ },
  { key: 'cuts', of: /^injection|^clonal/ },
  { key: 'stump', of: /^stump/ },
  { key: 'girdle', of: /^girdle/ },
  { key: 'leaf', of: /^foliar|^mow-first|^single/ },
  { key: 'pull', of: /^deep|^leave|^pulled/ },
  { key: 'preventer', of: /^preventer/ },
  { key: 'after', of: /^refill|^bed-mulch/ },
  { key: 'people', of: /^glove|^own/ },
];
const schoolsOf = (of: RegExp) => (book.value?.schools ?? []).filter((s) => of.test(s.id));
const STANCES = ['any', 'least-hazard', 'none'] as const;
</script>

<template>
  <section class="stack narrow">
    <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
    <h2>{{ t('shed.choices') }}</h2>
    <ChoiceField
      :label="t('shed.stance')"
      :disabled="!isLead"
      :model-value="shed.stance"
      @change="choose({ stance: $event as 'any' })"
      :options="STANCES.map((s) => ({ value: s, label: t(`shed.stances.${s}`) }))"
    />
    <TickField :disabled="!isLead" :model-value="shed.fuelOil" @change="choose({ fuelOil: $event })">{{
      t('shed.fuelOil')
    }}</TickField>
    <fieldset class="row limits">
      <legend>{{ t('shed.stemLimits') }}</legend>
      <QuantityField
        v-model="limits.least"
        :label="t('shed.stemLeast')"
        width="6em"
        sample="1 in"
        :readonly="!isLead"
        @change="keepLimits"
      />
      <QuantityField
        v-model="limits.most"
        :label="t('shed.stemMost')"
        width="6em"
        sample="10 in"
        :readonly="!isLead"
        @change="keepLimits"
      />
    </fieldset>
    <details v-for="g in GROUPS" :key="g.key">
      <summary>{{ t(`shed.groups.${g.key}`) }}</summary>
      <div class="stack folded">
        <ChoiceField
          v-for="s in schoolsOf(g.of)"
          :key="s.id"
          :label="s.name"
          :help="s.reason"
          :disabled="!isLead"
          :model-value="shed.schools[s.id] ?? s.choices.find((c) => c.default)?.id"
          :options="s.choices.map((c) => ({ value: c.id, label: c.name }))"
          @change="choose({ schools: { [s.id]: $event } })"
        />
      </div>
    </details>
  </section>
</template>

<style scoped>
.limits {
  border: 0;
  padding: 0;
  margin: 0;
}
.limits legend {
  font-weight: 650;
  padding: 0;
}
.narrow {
  max-width: 760px;
}
summary {
  font-weight: 600;
}
.folded {
  padding: 4px 0 12px;
}
</style>
