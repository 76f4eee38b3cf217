<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { LOCALES, nameOf } from '@/app/language';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import TextField from '@/components/form/TextField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';

/** What the crew sets once for all its work: each with what it changes and who changed it. */
const props = defineProps<{ crew: Schemas['Crew'] }>();
const { t } = useI18n();
const { isLead } = useSession();
const { busy, refusal, run, at } = useSubmit();
/** Settings that are one of a few; all others are written. */
const CHOICES = computed<Record<string, { value: string; label: string }[]>>(() => ({
  units: [
    { value: 'us', label: t('frame.us') },
    { value: 'metric', label: t('frame.metric') },
  ],
  locale: LOCALES.map((l) => ({ value: l, label: nameOf(l) })),
  stance: ['any', 'least-hazard', 'none'].map((s) => ({ value: s, label: t(`crew.stance.${s}`) })),
  fuelOil: yesNo.value,
  oneAlone: yesNo.value,
}));
const yesNo = computed(() => ['no', 'yes'].map((v) => ({ value: v, label: t(`crew.${v}`) })));
const values = ref<Record<string, string>>({});
watch(
  () => props.crew,
  (c) => (values.value = Object.fromEntries(c.settings.map((s) => [s.name, s.value ?? '']))),
  { immediate: true },
);
const changed = computed(() => props.crew.settings.filter((s) => values.value[s.name] !== (s.value ?? '')));
/** As the field is called where the server reads it. */
const pointer = (name: string): string =>
  ({ stemLeast: '/stemLimits/least', stemMost: '/stemLimits/most' })[name] ?? `/${name}`;
const keep = async (): Promise<void> => {
  const v = values.value;
  const given = new Set(changed.value.map((s) => s.name));
  const text = (name: string) => (given.has(name) ? { [name]: v[name] } : {});
  const flag = (name: string) => (given.has(name) ? { [name]: v[name] === 'yes' } : {});
  const limits = given.has('stemLeast') || given.has('stemMost');
  const limit = (name: string, as: string) => (v[name]?.trim() ? { [as]: { typed: v[name] } } : {});
  await run(
    () =>
      unwrap(
        api.PATCH('/crew', {
          params: { header: { 'If-Match': `"${props.crew.revision}"` } },
          body: {
            ...text('name'),
            ...text('units'),
            ...text('locale'),
            ...text('jurisdiction'),
            ...text('poisonCentre'),
            ...text('currency'),
            ...text('stance'),
            ...text('doneBelow'),
            ...flag('fuelOil'),
            ...flag('oneAlone'),
            ...(given.has('keepYears') ? { keepYears: /^\d+$/.test(v.keepYears ?? '') ? Number(v.keepYears) : 0 } : {}),
            ...(limits ? { stemLimits: { ...limit('stemLeast', 'least'), ...limit('stemMost', 'most') } } : {}),
          },
        }),
      ),
    t('crew.settingsKept'),
  );
};
</script>

<template>
  <section class="stack" aria-labelledby="settings-h">
    <h2 id="settings-h">{{ t('crew.settings') }}</h2>
    <p class="small soft">
      {{ t('crew.settingsHelp') }}
      <RouterLink :to="{ name: 'shed', query: { view: 'ways' } }">{{ t('crew.toWays') }}</RouterLink>
      <RouterLink :to="{ name: 'shed', query: { view: 'figures' } }">{{ t('crew.toFigures') }}</RouterLink>
    </p>
    <form class="stack" novalidate @submit.prevent="keep">
      <div v-for="s in crew.settings" :key="s.name" class="setting">
        <ChoiceField
          v-if="CHOICES[s.name]"
          v-model="values[s.name]"
          :label="s.label"
          :fault="at(pointer(s.name))"
          :disabled="!isLead"
          width="100%"
          :options="CHOICES[s.name] ?? []"
        />
        <TextField
          v-else
          v-model="values[s.name]"
          :label="s.label"
          :fault="at(pointer(s.name))"
          :disabled="!isLead"
          :type="s.name === 'jurisdiction' ? 'textarea' : 'text'"
          :rows="2"
        />
        <p class="small soft">
          {{ s.does }}
          <span v-if="s.by && s.at" class="by">{{
            t('crew.changedBy', { name: s.by, day: dayText(s.at.slice(0, 10), true) })
          }}</span>
        </p>
      </div>
      <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
      <div v-if="isLead" class="row">
        <ActButton main type="submit" :busy="busy" :disabled="!changed.length">{{ t('crew.keepSettings') }}</ActButton>
        <span v-if="changed.length" class="small">{{ t('crew.notKept', { n: changed.length }, changed.length) }}</span>
      </div>
    </form>
  </section>
</template>

<style scoped>
.setting {
  display: grid;
  grid-template-columns: minmax(0, 22em) minmax(0, 1fr);
  gap: 4px 28px;
  align-items: end;
  padding-bottom: 10px;
  border-bottom: 1px solid var(--rule);
}
.setting p {
  margin: 0;
  max-width: 34em;
}
.by {
  display: block;
}
@media (max-width: 700px) {
  .setting {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
