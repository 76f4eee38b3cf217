<script lang="ts">
import type { LOOK_INJURIES, LOOK_MEASURES } from '@/api/vocabulary';

/** What else is counted in a look-back, as it is typed. */
export interface More {
  plots: { counted: string; dead: string; resprouted: string }[];
  topDead: string;
  shoots: string;
  seedlings: string;
  seedlingArea: string;
  injury: '' | (typeof LOOK_INJURIES)[number];
  injured: string;
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
defineProps<{ at: (pointer: string) => string | null | undefined }>();
const { t } = useI18n();
const PLOT = ['counted', 'dead', 'resprouted'] as const;
const hurt = computed(() => more.value.injury !== '' && more.value.injury !== 'none');
/** Counts in whole numbers; how many are hurt is asked where some are. */
const counts = computed(
  () => ['topDead', 'shoots', ...(hurt.value ? (['injured'] as const) : []), 'seedlings'] as const,
);
</script>

<template>
  <details>
    <summary class="label">{{ t('look.more') }}</summary>
    <div class="stack">
      <p class="small soft">{{ t('look.plotsHelp') }}</p>
      <div v-for="(plot, i) in more.plots" :key="i" class="row">
        <b>{{ t('look.plot', { n: i + 1 }) }}</b>
        <TextField
          v-for="p in PLOT"
          :key="p"
          v-model="plot[p]"
          :label="t(`look.${p}`)"
          :fault="at(`/plots/${i}/${p}`) ?? null"
          width="7em"
          inputmode="numeric"
        />
        <ActButton quiet small @click="more.plots.splice(i, 1)">{{ t('look.plotOut') }}</ActButton>
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
