<script setup lang="ts">
import { useI18n } from 'vue-i18n';
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
        <label v-for="x in sites" :key="x.id" class="ticked"
          ><input v-model="l.sites" type="checkbox" :value="x.id" /> {{ x.name }}</label
        >
      </fieldset>
      <div class="row">
        <label v-for="a in TEXTS" :key="a.key" class="label"
          >{{ t(`shed.siteLimit.${a.key}`)
          }}<input
            v-model="l[a.key]"
            class="field"
            :style="{ width: a.width }"
            :placeholder="a.sample"
            :aria-invalid="fault(n) !== null"
        /></label>
        <label class="label"
          >{{ t('shed.siteLimit.yearCounted') }}
          <select v-model="l.yearCounted" class="field">
            <option value="">{{ t('shed.notRead') }}</option>
            <option v-for="y in YEARS" :key="y" :value="y">{{ t(`shed.word.${y}`) }}</option>
          </select></label
        >
        <label v-if="actives.length > 1" class="label"
          >{{ t('shed.siteLimit.active') }}
          <select v-model="l.active" class="field">
            <option value="">{{ t('shed.siteLimit.each') }}</option>
            <option v-for="a in actives" :key="a.id" :value="a.id">{{ a.name }}</option>
          </select></label
        >
        <button class="btn small quiet" type="button" @click="limits.splice(n, 1)">{{ t('shed.lessSites') }}</button>
      </div>
      <span v-if="fault(n)" class="fault">{{ fault(n) }}</span>
    </div>
    <button class="btn small quiet start" type="button" @click="limits.push(blankLimit())">
      {{ t('shed.moreSites') }}
    </button>
  </fieldset>
</template>

<style scoped>
.line {
  gap: 4px;
}
</style>
