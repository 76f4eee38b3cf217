<script setup lang="ts">
import { useLocalStorage, useNow, useVibrate } from '@vueuse/core';
import { computed, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import { minutesOf, wateringAt, type WateringClock } from './wateringClock';

/**
 * Watering in on the day: from when, until when, how long the tap runs by what it gives, and a clock that calls when it
 * is enough.
 */
const props = defineProps<{ id: string; watering: NonNullable<Schemas['Recipe']['watering']> }>();
const { t } = useI18n();
const { format, user } = useSession();
const { busy, run, at } = useSubmit();
// a phone that is put away or reloaded must not lose it; no two people share one clock
const clock = useLocalStorage<WateringClock & { flow: string }>(`watering:${user.value?.id ?? ''}:${props.id}`, {
  put: 0,
  on: 0,
  runMinutes: 0,
  flow: '',
});
const now = useNow({ interval: 1000 });
/** The hour, with its day where that is not today. */
const hour = (ms: number): string => {
  const day = new Date(ms);
  const other = day.toDateString() !== new Date(now.value).toDateString();
  return day.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', ...(other ? { weekday: 'long' } : {}) });
};
const state = computed(() => wateringAt(clock.value, props.watering, now.value.getTime()));
const { vibrate } = useVibrate({ pattern: [400, 200, 400, 200, 800] });
watch(
  () => state.value.left,
  (left, was) => {
    if (left === 0 && was) vibrate();
  },
);
const work = async (): Promise<void> => {
  const volume = props.watering.volume;
  if (!volume) return;
  const known = { volume: { value: volume.value, unit: volume.unit }, flow: clock.value.flow };
  const solved = await run(() => unwrap(api.POST('/mix/sums', { body: { sum: 'water-in', known } })));
  const found = solved?.values.find((v) => v.field === 'run')?.value ?? null;
  if (!found) return;
  clock.value.runMinutes = minutesOf(found);
};
</script>

<template>
  <section class="stack" :aria-label="t('watering.title')">
    <h3>{{ t('watering.title') }}</h3>
    <p>
      <template v-if="watering.depth"
        ><b>{{ format(watering.depth) }}</b> {{ t('watering.deep')
        }}<template v-if="watering.volume">: {{ t('watering.volume', { volume: format(watering.volume) }) }}</template
        >.
      </template>
      <template v-if="watering.earliest && minutesOf(watering.earliest) > 0">
        {{ t('watering.from', { time: format(watering.earliest) }) }}
      </template>
      {{ watering.latest ? t('watering.until', { time: format(watering.latest) }) : t('watering.open') }}
    </p>
    <p v-if="watering.earliest === null" class="warn">{{ t('watering.unknown') }}</p>
    <template v-else>
      <p v-if="clock.put === 0">
        <ActButton main @click="clock.put = now.getTime()">{{ t('watering.put') }}</ActButton>
      </p>
      <p v-else role="status" :class="state.tooLate ? 'warn' : 'note'">
        {{ t('watering.clock', { from: hour(state.from) }) }}
        <template v-if="state.until !== null">{{ t('watering.clockUntil', { until: hour(state.until) }) }}</template>
        <b v-if="state.tooEarly"> {{ t('watering.tooEarly') }}</b>
        <b v-if="state.tooLate"> {{ t('watering.tooLate') }}</b>
        <ActButton quiet small @click="((clock.put = 0), (clock.on = 0))">{{ t('watering.again') }}</ActButton>
      </p>
      <form v-if="watering.volume" class="row" novalidate @submit.prevent="work">
        <QuantityField
          v-model="clock.flow"
          :label="t('watering.flow')"
          :fault="at('/known/flow')"
          sample="10 gal/min"
        />
        <ActButton type="submit" :disabled="busy || clock.flow.trim() === ''">{{ t('watering.work') }}</ActButton>
      </form>
      <p class="small soft">{{ t('watering.bucket') }}</p>
      <template v-if="clock.runMinutes > 0">
        <p class="pour">
          {{ t('watering.runs', { time: t('watering.minutes', { n: Math.ceil(clock.runMinutes) }) }) }}
        </p>
        <p v-if="clock.on === 0">
          <ActButton main :disabled="clock.put === 0 || state.tooEarly" @click="clock.on = now.getTime()">{{
            t('watering.on')
          }}</ActButton>
        </p>
        <p v-else-if="state.left" role="timer">
          <b>{{ t('watering.left', { n: state.left, at: hour(state.off) }) }}</b>
        </p>
        <p v-else class="warn" role="alert">{{ t('watering.off') }}</p>
      </template>
    </template>
  </section>
</template>
