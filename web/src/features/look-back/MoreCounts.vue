<script lang="ts">
import type { Schemas } from '@/api/client';
import type { LOOK_INJURIES, LOOK_MEASURES } from '@/api/vocabulary';

/** What else is counted in a look-back, as it is typed. */
export interface More {
  plots: { counted: string; dead: string; resprouted: string; spot?: number[] }[];
  topDead: string;
  shoots: string;
  seedlings: string;
  seedlingArea: string;
  injury: '' | (typeof LOOK_INJURIES)[number];
  injured: string;
  released: string;
  measured: Partial<Record<(typeof LOOK_MEASURES)[number], string>>;
}
</script>

<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { LOOK_INJURIES as INJURIES, LOOK_MEASURES as MEASURES } from '@/api/vocabulary';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';

/** Plots at fixed spots, tops and roots apart, shoots, seedlings, injury to what is kept, other signs of success. */
const more = defineModel<More>({ required: true });
const { spots } = defineProps<{
  at: (pointer: string) => string | null | undefined;
  /** Where plots were placed, and what stood there. */
  spots: Schemas['Record']['plots'];
}>();
const { t } = useI18n();
const PLOT = ['counted', 'dead', 'resprouted'] as const;
const hurt = computed(() => more.value.injury !== '' && more.value.injury !== 'none');
/** The plots of the plan, each with what stood there before; what is typed already stays. */
const takeSpots = (): void => {
  more.value.plots = [
    ...more.value.plots.filter((p) => p.counted || p.dead),
    ...spots.map((s) => ({
      counted: s.stood === null ? '' : String(s.stood),
      dead: '',
      resprouted: '',
      spot: s.position,
    })),
  ];
};
const placed = computed(() => more.value.plots.some((p) => p.spot));
const where = (spot: number[]): string => `${spot[1]?.toFixed(5) ?? ''}, ${spot[0]?.toFixed(5) ?? ''}`;
/** Counts in whole numbers; how many are hurt is asked where some are. */
const counts = computed(
  () => ['topDead', 'shoots', ...(hurt.value ? (['injured'] as const) : []), 'released', 'seedlings'] as const,
);
</script>

<template>
  <details>
    <summary class="label">{{ t('look.more') }}</summary>
    <div class="stack">
      <p class="small soft">{{ t('look.plotsHelp') }}</p>
      <p v-if="spots.length && !placed">
        <ActButton small @click="takeSpots">{{ t('look.plotsOfPlan', { n: spots.length }, spots.length) }}</ActButton>
      </p>
      <div v-if="more.plots.length" class="table-wrap">
        <table>
          <thead>
            <tr>
              <th>{{ t('scout.plots.plot') }}</th>
              <th v-for="p in PLOT" :key="p">{{ t(`look.${p}`) }}</th>
              <td></td>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(plot, i) in more.plots" :key="i">
              <td>
                <b>{{ i + 1 }}</b>
                <div v-if="plot.spot" class="small soft">{{ where(plot.spot) }}</div>
              </td>
              <td v-for="p in PLOT" :key="p">
                <TextField
                  v-model="plot[p]"
                  :label="`${t('look.plot', { n: i + 1 })}: ${t(`look.${p}`)}`"
                  bare
                  :fault="at(`/plots/${i}/${p}`) ?? null"
                  width="4.6em"
                  inputmode="numeric"
                />
              </td>
              <td>
                <ActButton
                  quiet
                  small
                  :aria-label="`${t('look.plot', { n: i + 1 })}: ${t('look.plotOut')}`"
                  @click="more.plots.splice(i, 1)"
                >
                  ×</ActButton
                >
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <ActButton small class="start" @click="more.plots.push({ counted: '', dead: '', resprouted: '' })">{{
        t('look.plotAdd')
      }}</ActButton>
      <ChoiceField
        v-model="more.injury"
        :label="t('look.injury')"
        :fault="at('/injury') ?? null"
        width="14em"
        :options="[
          { value: '', label: t('look.notLooked') },
          ...INJURIES.map((k) => ({ value: k, label: t(`look.injuries.${k}`) })),
        ]"
      />
      <div class="row">
        <TextField
          v-for="c in counts"
          :key="c"
          v-model="more[c]"
          :label="t(`look.${c}`)"
          :fault="at(`/${c}`) ?? null"
          width="8em"
          inputmode="numeric"
        />
        <QuantityField
          v-model="more.seedlingArea"
          :label="t('look.seedlingArea')"
          :fault="at('/seedlingArea') ?? null"
          sample="100 sq ft"
        />
      </div>
      <p class="small soft">{{ t('look.measuredHelp') }}</p>
      <div class="row">
        <TextField
          v-for="m in MEASURES"
          :key="m"
          v-model="more.measured[m]"
          :label="t(`look.measure.${m}`)"
          maxlength="80"
          width="10em"
        />
      </div>
    </div>
  </details>
</template>

<style scoped>
td {
  border: 0;
  padding: 3px 8px 3px 0;
}
</style>
