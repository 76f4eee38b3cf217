<script setup lang="ts">
import { computed, ref, watchEffect } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';

/** Coefficients: as they ship, as records draw them, and as somebody put them in; only what differs is kept. */
const props = defineProps<{ shed: Schemas['Shed']; mayChange: boolean }>();
const { t } = useI18n();
const { format } = useSession();
const { busy, refusal, run, at } = useSubmit();
type Figure = Schemas['Figure'];
const GROUPS: readonly { key: string; of: readonly string[] }[] = [
  {
    key: 'hands',
    of: [
      'minutesPerStem',
      'minutesPerCut',
      'seedlingMinutes',
      'furtherStemMinutes',
      'minutesPerTree',
      'minutesPerSquareMetre',
    ],
  },
  { key: 'area', of: ['hectaresPerHour', 'minutesPerHectare', 'kilometresPerHour', 'setUpMinutes'] },
  { key: 'volumes', of: ['cut', 'kerfPerTenCentimetres', 'wick', 'film', 'foliar', 'crown'] },
];
const inGroup = (of: readonly string[]): Figure[] => props.shed.figures.filter((f) => of.includes(f.group));
/** What holds where nobody puts anything in. */
const usual = (f: Figure): string[] => f.drawn?.figures ?? f.shipped;
const typed = ref<Record<string, string[]>>({});
watchEffect(() => {
  typed.value = Object.fromEntries(props.shed.figures.map((f) => [f.path, [...(f.own ?? usual(f))]]));
});
const differs = (f: Figure): boolean => (typed.value[f.path] ?? []).some((v, i) => v.trim() !== usual(f)[i]);
const own = computed(() =>
  Object.fromEntries(
    props.shed.figures.filter(differs).map((f) => [f.path, (typed.value[f.path] ?? []).map((v) => v.trim())]),
  ),
);
const changed = computed(
  () =>
    JSON.stringify(own.value) !==
    JSON.stringify(Object.fromEntries(props.shed.figures.filter((f) => f.own).map((f) => [f.path, f.own]))),
);
const faultAt = (path: string): boolean => at(`/figures/${path}`) !== null;
const save = async (): Promise<void> => {
  await run(
    () =>
      unwrap(
        api.PATCH('/shed/choices', {
          params: { header: { 'If-Match': `"${props.shed.revision}"` } },
          body: { figures: own.value },
        }),
      ),
    t('form.kept'),
  );
};
const PLACES = ['low', 'use', 'high'] as const;
</script>

<template>
  <form class="stack" novalidate aria-labelledby="figures-h" @submit.prevent="save">
    <h2 id="figures-h">{{ t('figures.heading') }}</h2>
    <p class="small soft">{{ t('figures.help') }}</p>
    <details v-for="g in GROUPS" :key="g.key">
      <summary>{{ t(`figures.${g.key}`) }}</summary>
      <div class="table-wrap">
        <table>
          <thead>
            <tr>
              <th>{{ t('figures.of') }}</th>
              <th v-for="p in PLACES" :key="p">{{ t(`figures.${p}`) }}</th>
              <th>{{ t('figures.unit') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="f in inGroup(g.of)" :key="f.path" :class="{ own: differs(f) }">
              <td>
                {{ f.name }}
                <span v-if="f.below" class="soft small">{{ t('figures.below', { size: format(f.below) }) }}</span><b
                  v-if="differs(f)"
                  class="small"
                >
                  {{ t('figures.ours', { n: f.shipped.join(' / ') }) }}</b
                ><span v-else-if="f.drawn" class="small">
                  {{
                    t('figures.drawn', { n: f.drawn.records, shipped: f.shipped.join(' / ') }, f.drawn.records)
                  }}</span
                >
              </td>
              <td v-for="(p, i) in PLACES" :key="p">
                <TextField
                  v-model="typed[f.path]![i]"
                  :label="`${f.name} ${f.below ? format(f.below) : ''} ${t(`figures.${p}`)}`"
                  bare
                  width="5.2em"
                  inputmode="decimal"
                  maxlength="10"
                  :readonly="!mayChange"
                  :aria-invalid="faultAt(f.path)"
                />
              </td>
              <td class="small">{{ f.unit }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </details>
    <ActButton v-if="mayChange" type="submit" :disabled="busy || !changed">{{ t('figures.keep') }}</ActButton>
    <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
  </form>
</template>

<style scoped>
.own {
  background: var(--sloe-pale);
}
summary {
  font-weight: 600;
}
</style>
