<script lang="ts">
/** What else is counted in a look-back, as it is typed. */
export interface More {
  plots: { counted: string; dead: string; resprouted: string }[];
  topDead: string;
  shoots: string;
  seedlings: string;
  seedlingArea: string;
  injury: '' | 'none' | 'passing' | 'lasting';
  injured: string;
  measured: Partial<Record<'cover' | 'yield' | 'growth' | 'sown-height' | 'light' | 'released', string>>;
}
</script>

<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';

/** Plots at fixed spots, tops and roots apart, shoots, seedlings, injury to what is kept, other signs of success. */
const more = defineModel<More>({ required: true });
defineProps<{ at: (pointer: string) => string | null | undefined }>();
const { t } = useI18n();
const PLOT = ['counted', 'dead', 'resprouted'] as const;
const MEASURED = ['cover', 'yield', 'growth', 'sown-height', 'light', 'released'] as const;
const INJURIES = ['none', 'passing', 'lasting'] as const;
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
      <div class="row">
        <TextField
          v-model="more.topDead"
          :label="t('look.topDead')"
          :fault="at('/topDead') ?? null"
          width="8em"
          inputmode="numeric"
        />
        <TextField
          v-model="more.shoots"
          :label="t('look.shoots')"
          :fault="at('/shoots') ?? null"
          width="8em"
          inputmode="numeric"
        />
      </div>
      <div class="row">
        <TextField
          v-model="more.seedlings"
          :label="t('look.seedlings')"
          :fault="at('/seedlings') ?? null"
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
      <div class="row">
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
        <TextField
          v-if="more.injury === 'passing' || more.injury === 'lasting'"
          v-model="more.injured"
          :label="t('look.injured')"
          :fault="at('/injured') ?? null"
          width="8em"
          inputmode="numeric"
        />
      </div>
      <p class="small soft">{{ t('look.measuredHelp') }}</p>
      <div class="row">
        <TextField
          v-for="m in MEASURED"
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
