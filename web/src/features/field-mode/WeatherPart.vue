<script setup lang="ts">
import { formats } from '@/app/language';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { COMPASS, SKIES } from '@/api/vocabulary';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import TextField from '@/components/form/TextField.vue';
import { useSession } from '@/composables/useSession';
import { outside } from './fieldLog';
import type { FieldNote } from './fieldStore';

/** What is measured on the spot, held against the limits that the sheet carries. */
const props = defineProps<{
  limits: Schemas['SheetSnapshot']['startOnlyIf'];
  notes: FieldNote[];
  timeZone: string;
}>();
const emit = defineEmits<{ note: [kind: FieldNote['kind'], body: Record<string, unknown>] }>();
const { t } = useI18n();
const { units, format } = useSession();
const UNITS = { us: { wind: 'mph', air: '°F' }, metric: { wind: 'm/s', air: '°C' } };
const CODES = { us: { wind: 'mph', air: 'degF' }, metric: { wind: 'm/s', air: 'degC' } };
const typed = ref({ wind: '', air: '' });
const windFrom = ref<(typeof COMPASS)[number] | ''>('');
const sky = ref<(typeof SKIES)[number] | ''>('');
const isFigure = (text: string): boolean => /^-?\d+([.]\d+)?$/.test(text.trim());
const faults = computed(() => ({
  wind: typed.value.wind.trim() !== '' && (!isFigure(typed.value.wind) || Number(typed.value.wind) < 0),
  air: typed.value.air.trim() !== '' && !isFigure(typed.value.air),
}));
/** As it is typed now. */
const reading = computed(() => {
  const of = (name: 'wind' | 'air') =>
    isFigure(typed.value[name]) ? { [name]: { value: typed.value[name].trim(), unit: CODES[units.value][name] } } : {};
  return { ...of('wind'), ...of('air') };
});
const broken = computed(() => outside(props.limits, reading.value));
const told = computed(() => typed.value.wind.trim() !== '' || typed.value.air.trim() !== '' || sky.value !== '');
const readings = computed(() => props.notes.filter((n) => n.kind === 'reading'));
const keep = (): void => {
  emit('note', 'reading', {
    ...reading.value,
    ...(windFrom.value ? { windFrom: windFrom.value } : {}),
    ...(sky.value ? { sky: sky.value } : {}),
  });
  typed.value = { wind: '', air: '' };
  windFrom.value = '';
  sky.value = '';
};
const clock = (at: string): string =>
  new Date(at).toLocaleTimeString(formats(), { hour: '2-digit', minute: '2-digit', timeZone: props.timeZone });
const figure = (wire: unknown): string => {
  const q = wire as { value: string; unit: string } | { typed: string };
  return 'value' in q ? `${q.value} ${q.unit.replace('deg', '°')}` : q.typed;
};
const said = (r: FieldNote): string =>
  [
    r.wind ? figure(r.wind) : '',
    typeof r.windFrom === 'string' ? t('fieldMode.from', { side: t(`value.${r.windFrom}`) }) : '',
    r.air ? figure(r.air) : '',
    typeof r.sky === 'string' ? t(`fieldMode.skies.${r.sky}`) : '',
  ]
    .filter(Boolean)
    .join(', ');
</script>

<template>
  <section class="stack" aria-labelledby="weather-h">
    <h2 id="weather-h">{{ t(readings.length ? 'fieldMode.weatherAgain' : 'fieldMode.weather') }}</h2>
    <ul v-if="limits.length" class="small soft">
      <li v-for="l in limits" :key="l.fact + l.comparator">{{ format(l.text) }}</li>
    </ul>
    <div class="figures">
      <TextField
        v-model="typed.wind"
        :label="`${t('record.wind')}, ${UNITS[units].wind}`"
        inputmode="decimal"
        :fault="faults.wind ? t('fieldMode.figure') : null"
      />
      <TextField
        v-model="typed.air"
        :label="`${t('record.temperature')}, ${UNITS[units].air}`"
        inputmode="decimal"
        :fault="faults.air ? t('fieldMode.figure') : null"
      />
      <ChoiceField
        v-model="windFrom"
        :label="t('fieldMode.windFrom')"
        :options="COMPASS.map((s) => ({ value: s, label: t(`value.${s}`) }))"
      />
      <ChoiceField
        v-model="sky"
        :label="t('fieldMode.sky')"
        :options="SKIES.map((s) => ({ value: s, label: t(`fieldMode.skies.${s}`) }))"
      />
    </div>
    <p v-for="l in broken" :key="l.fact + l.comparator" class="warn" role="alert">
      <b>{{ t('fieldMode.stopNow') }}</b> {{ format(l.text) }}
    </p>
    <ActButton class="start" :disabled="!told || faults.wind || faults.air" @click="keep">{{
      t('fieldMode.keepReading')
    }}</ActButton>
    <ul v-if="readings.length" class="plain small">
      <li v-for="r in readings" :key="r.id">{{ clock(r.at) }}: {{ said(r) }}</li>
    </ul>
  </section>
</template>

<style scoped>
.figures {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 10px;
}
</style>
