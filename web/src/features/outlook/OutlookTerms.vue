<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import { useSubmit } from '@/composables/useSubmit';

/** All that an outlook assumes, with who says so; any of it may be said otherwise. */
const props = defineProps<{
  stand: string;
  revision: number;
  outlook: Schemas['Outlook'];
  mayWrite: boolean;
}>();
const { t } = useI18n();
const { busy, refusal, run, at } = useSubmit();
const PARTS = ['low', 'use', 'high'] as const;

const years = ref('');
const threshold = ref('');
const figures = ref<Record<string, Record<(typeof PARTS)[number], string>>>({});
watch(
  () => props.outlook,
  (o) => {
    years.value = String(o.years ?? 10);
    threshold.value = String(o.threshold ?? 1);
    figures.value = Object.fromEntries(o.assumptions.map((a) => [a.name, { low: a.low, use: a.use, high: a.high }]));
  },
  { immediate: true },
);
const isChanged = (a: Schemas['Outlook']['assumptions'][number]): boolean => {
  const f = figures.value[a.name];
  return f !== undefined && PARTS.some((p) => f[p].trim() !== a[p]);
};
/** What somebody said before, and what is said now. */
const given = computed(() => props.outlook.assumptions.filter((a) => a.source === 'given' || isChanged(a)));
const whole = (text: string): number => (/^\d+$/.test(text.trim()) ? Number(text) : 0);
const keep = (asShipped: boolean): Promise<unknown> =>
  run(() =>
    unwrap(
      api.PUT('/stands/{stand}/outlook', {
        params: { path: { stand: props.stand }, header: { 'If-Match': `"${props.revision}"` } },
        body: asShipped
          ? {}
          : {
              years: whole(years.value),
              threshold: whole(threshold.value),
              assumptions: given.value.map((a) => ({
                name: a.name,
                low: figures.value[a.name]?.low.trim() ?? a.low,
                use: figures.value[a.name]?.use.trim() ?? a.use,
                high: figures.value[a.name]?.high.trim() ?? a.high,
              })),
            },
      }),
    ),
  );
/** Faults are told by the place of the figure in what was sent. */
const faultOf = (name: string, part: string): string | null => {
  const i = given.value.findIndex((a) => a.name === name);
  return i < 0 ? null : (at(`/assumptions/${i}/${part}`) ?? null);
};
</script>

<template>
  <details class="terms">
    <summary class="label">{{ t('outlook.terms') }}</summary>
    <form class="stack" novalidate @submit.prevent="keep(false)">
      <div class="row">
        <TextField v-model="years" :label="t('outlook.howFar')" :fault="at('/years')" width="7em" inputmode="numeric" />
        <TextField
          v-model="threshold"
          :label="t(outlook.unit === 'stems' ? 'outlook.doneBelow' : 'outlook.doneBelowCover')"
          :fault="at('/threshold')"
          width="10em"
          inputmode="numeric"
        />
      </div>
      <div class="table-wrap" tabindex="0" role="group" :aria-label="t('outlook.terms')">
        <table>
          <thead>
            <tr>
              <th>{{ t('outlook.assumed') }}</th>
              <th v-for="p in PARTS" :key="p">{{ t(`outlook.${p}`) }}</th>
              <th>{{ t('outlook.saysWho') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="a in outlook.assumptions" :key="a.name">
              <td>{{ a.label }}</td>
              <td v-for="p in PARTS" :key="p">
                <TextField
                  v-if="figures[a.name]"
                  v-model="figures[a.name]![p]"
                  bare
                  :label="`${a.label}: ${t(`outlook.${p}`)}`"
                  :fault="faultOf(a.name, p)"
                  :disabled="!mayWrite"
                  width="6em"
                  inputmode="decimal"
                />
              </td>
              <td>
                {{ a.sourceText }}<template v-if="a.jobs"> {{ t('outlook.jobs', { n: a.jobs }, a.jobs) }}</template>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div v-if="mayWrite" class="row">
        <ActButton main type="submit" :busy="busy">{{ t('outlook.keep') }}</ActButton>
        <ActButton quiet :disabled="busy" @click="keep(true)">{{ t('outlook.asShipped') }}</ActButton>
      </div>
      <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
    </form>
  </details>
</template>
