<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import { monthDayText } from '@/components/dates';
import { STAGES } from '@/api/vocabulary';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import TickField from '@/components/form/TickField.vue';
import { blankLine, blankUse, type Use, type UseLine } from './cardFields';

/**
 * The uses that a label lists, each with its amounts; where the label parts one by growth stage or dates, each part is
 * a line of its own.
 */
const props = defineProps<{
  methods: readonly { id: string; name: string; product: string }[];
  /** What the server found wrong with a line. */
  fault: (method: string, line: number) => string | null;
}>();
const uses = defineModel<Record<string, Use>>({ required: true });
const { t } = useI18n();
const use = (id: string): Use => uses.value[id] ?? blankUse();
const AMOUNTS = {
  strength: [
    { key: 'min', label: 'shed.least', sample: '10%', width: '6em' },
    { key: 'max', label: 'shed.most', sample: '30%', width: '6em' },
    { key: 'perStem', label: 'shed.perStem', sample: '10 mL', width: '6em' },
  ],
  rate: [
    { key: 'rateLeast', label: 'shed.rateLeast', sample: '1 qt/ac', width: '8em' },
    { key: 'rateMost', label: 'shed.rateMost', sample: '2 qt/ac', width: '8em' },
    { key: 'spray', label: 'shed.spray', sample: '20 gal/ac', width: '8em' },
  ],
} as const;
const amounts = (product: string): (typeof AMOUNTS)[keyof typeof AMOUNTS] =>
  product === 'strength' ? AMOUNTS.strength : AMOUNTS.rate;
/** The stages and days that a line is for, in words; empty where it holds always. */
const holdsFor = (line: UseLine): string =>
  [
    line.stages.map((s) => t(`value.${s}`)).join(', '),
    line.from && line.to ? t('shed.lineDays', { from: dayOf(line.from), to: dayOf(line.to) }) : '',
  ]
    .filter(Boolean)
    .join('; ');
const dayOf = (monthDay: string): string => (/^\d\d-\d\d$/.test(monthDay) ? monthDayText(monthDay) : monthDay);
const held = (method: string, n: number): string => props.fault(method, n) ?? '';
const parts = (method: string, n: number): boolean => {
  const line = use(method).lines[n];
  return n > 0 || use(method).lines.length > 1 || (line !== undefined && (line.stages.length > 0 || line.from !== ''));
};
</script>

<template>
  <fieldset class="bare stack uses">
    <legend class="label">{{ t('shed.uses') }}</legend>
    <div v-for="m in methods" :key="m.id" class="stack use">
      <TickField v-model="use(m.id).on">{{ m.name }}</TickField>
      <template v-if="use(m.id).on">
        <div v-for="(line, n) in use(m.id).lines" :key="n" class="stack under line">
          <div class="row">
            <TextField
              v-for="a in amounts(m.product)"
              :key="a.key"
              v-model="line[a.key]"
              :label="t(a.label)"
              :width="a.width"
              :placeholder="a.sample"
              :aria-invalid="held(m.id, n) !== ''"
            />
            <TickField v-if="m.product === 'strength' && /\//.test(line.min + line.max)" v-model="line.toWater">{{
              t('shed.toWater')
            }}</TickField>
          </div>
          <details v-if="parts(m.id, n)" :open="holdsFor(line) === '' && n > 0">
            <summary>
              {{ holdsFor(line) === '' ? t('shed.holdsAlways') : t('shed.holdsFor', { when: holdsFor(line) }) }}
            </summary>
            <fieldset class="bare row stages">
              <legend class="label">{{ t('shed.lineStages') }}</legend>
              <TickField v-for="s in STAGES" :key="s" v-model="line.stages" :value="s">{{ t(`value.${s}`) }}</TickField>
            </fieldset>
            <div class="row">
              <TextField v-model="line.from" :label="t('shed.lineFrom')" width="6em" placeholder="03-01" />
              <TextField v-model="line.to" :label="t('shed.lineTo')" width="6em" placeholder="05-31" />
            </div>
          </details>
          <ActButton v-if="n > 0" quiet small class="start" @click="use(m.id).lines.splice(n, 1)">{{
            t('shed.lessLine')
          }}</ActButton>
          <span v-if="held(m.id, n)" class="fault">{{ held(m.id, n) }}</span>
        </div>
        <ActButton quiet small class="start" @click="use(m.id).lines.push(blankLine())">{{
          t('shed.moreLine')
        }}</ActButton>
      </template>
    </div>
  </fieldset>
</template>

<style scoped>
.uses,
.use,
.line {
  gap: 4px;
}
.line + .line {
  margin-top: 12px;
}
details > summary {
  min-height: 32px;
  cursor: pointer;
}
.stages {
  gap: 0 14px;
}
</style>
