<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import TextField from '@/components/form/TextField.vue';
import TickField from '@/components/form/TickField.vue';
import { blankLimit, type SiteLimit } from './cardFields';

/** Limits of a label that hold on some sites only: how much once, in a year, how often, how far apart. */
defineProps<{
  /** Of the card; where there are several a limit may be for one of them. */
  actives: readonly { id: string; name: string }[];
  sites: readonly { id: string; name: string }[];
  /** What the server found wrong with a line. */
  fault: (line: number) => string | null;
}>();
const limits = defineModel<SiteLimit[]>({ required: true });
const { t } = useI18n();
const YEARS = ['calendar-year', 'season', '365-days'] as const;
const TEXTS = [
  { key: 'perYear', sample: '2 kg ae/ha', width: '8em' },
  { key: 'perApplication', sample: '1 kg ae/ha', width: '8em' },
  { key: 'applications', sample: '2', width: '5em' },
  { key: 'intervalDays', sample: '30', width: '5em' },
] as const;
</script>

<template>
  <fieldset class="bare stack">
    <legend class="label">{{ t('shed.siteLimits') }}</legend>
    <p class="small soft">{{ t('shed.siteLimitsHelp') }}</p>
    <div v-for="(l, n) in limits" :key="n" class="stack under line">
      <fieldset class="bare row">
        <legend class="visually-hidden">{{ t('shed.sites') }}</legend>
        <TickField v-for="x in sites" :key="x.id" v-model="l.sites" :value="x.id">{{ x.name }}</TickField>
      </fieldset>
      <div class="row">
        <TextField
          v-for="a in TEXTS"
          :key="a.key"
          v-model="l[a.key]"
          :label="t(`shed.siteLimit.${a.key}`)"
          :aria-invalid="fault(n) ? true : undefined"
          :width="a.width"
          :placeholder="a.sample"
        />
        <ChoiceField
          v-model="l.yearCounted"
          :label="t('shed.siteLimit.yearCounted')"
          :options="[
            { value: '', label: t('shed.notRead') },
            ...YEARS.map((y) => ({ value: y, label: t(`shed.word.${y}`) })),
          ]"
        />
        <ChoiceField
          v-if="actives.length > 1"
          v-model="l.active"
          :label="t('shed.siteLimit.active')"
          :options="[
            { value: '', label: t('shed.siteLimit.each') },
            ...actives.map((a) => ({ value: a.id, label: a.name })),
          ]"
        />
        <ActButton quiet small @click="limits.splice(n, 1)">{{ t('shed.lessSites') }}</ActButton>
      </div>
      <span v-if="fault(n)" class="fault">{{ fault(n) }}</span>
    </div>
    <ActButton quiet small class="start" @click="limits.push(blankLimit())">{{ t('shed.moreSites') }}</ActButton>
  </fieldset>
</template>

<style scoped>
.line {
  gap: 4px;
}
</style>
