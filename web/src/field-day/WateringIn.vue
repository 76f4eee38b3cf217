<script setup lang="ts">
import { useLocalStorage, useNow, useVibrate } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useAct } from '@/composables/useAct';
import { useSession } from '@/composables/useSession';

/** Watering in on the day: from when, until when, how long the tap runs by what it gives, and a clock that calls when it is enough. */
const props = defineProps<{ id: string; watering: NonNullable<Schemas['Recipe']['watering']> }>();
const { t } = useI18n();
const { say, user } = useSession();
const { busy, run, at } = useAct();
interface Clock {
  /** When the spraying ended and when the tap was opened, in milliseconds; 0 where not yet. */
  put: number;
  on: number;
  runMinutes: number;
  flow: string;
}
// a phone that is put away or reloaded must not lose it; no two people share one clock
const clock = useLocalStorage<Clock>(`watering:${user.value?.id ?? ''}:${props.id}`, { put: 0, on: 0, runMinutes: 0, flow: '' });
const now = useNow({ interval: 1000 });
const MINUTE = 60_000;
const minutes = (q: Schemas['Quantity'] | null): number | null => (q ? Number(q.value) * (q.unit === 'h' ? 60 : 1) : null);
const hour = (ms: number): string => new Date(ms).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
const from = computed(() => clock.value.put + (minutes(props.watering.earliest) ?? 0) * MINUTE);
const until = computed(() => (props.watering.latest ? clock.value.put + (minutes(props.watering.latest) ?? 0) * MINUTE : null));
const tooEarly = computed(() => clock.value.put > 0 && now.value.getTime() < from.value);
const tooLate = computed(() => clock.value.put > 0 && clock.value.on === 0 && until.value !== null && now.value.getTime() > until.value);
const left = computed(() => (clock.value.on === 0 ? null : clock.value.on + clock.value.runMinutes * MINUTE - now.value.getTime()));
const { vibrate } = useVibrate({ pattern: [400, 200, 400, 200, 800] });
watch(left, (is, was) => {
  if (is !== null && is <= 0 && was !== null && was !== undefined && was > 0) vibrate();
});
const runs = ref<Schemas['Quantity'] | null>(null);
const work = async (): Promise<void> => {
  const volume = props.watering.volume;
  if (!volume) return;
  const known = { volume: { value: volume.value, unit: volume.unit }, flow: clock.value.flow };
  const solved = await run(() => unwrap(api.POST('/mix/sums', { body: { sum: 'water-in', known } })));
  const found = solved?.values.find((v) => v.field === 'run')?.value ?? null;
  if (!found) return;
  runs.value = found;
  clock.value.runMinutes = found.unit === 'h' ? Number(found.value) * 60 : Number(found.value);
};
</script>

<template>
  <section class="stack" :aria-label="t('watering.title')">
    <h3>{{ t('watering.title') }}</h3>
    <p>
      <template v-if="watering.depth"
        ><b>{{ say(watering.depth) }}</b> {{ t('watering.deep') }}<template v-if="watering.volume">: {{ t('watering.volume', { volume: say(watering.volume) }) }}</template
        >.
      </template>
      <template v-if="watering.earliest && minutes(watering.earliest)"> {{ t('watering.from', { time: say(watering.earliest) }) }} </template>
      {{ watering.latest ? t('watering.until', { time: say(watering.latest) }) : t('watering.open') }}
    </p>
    <p v-if="watering.earliest === null" class="warn">{{ t('watering.unknown') }}</p>
    <template v-else>
      <p v-if="clock.put === 0">
        <button class="btn main" type="button" @click="clock.put = now.getTime()">{{ t('watering.put') }}</button>
      </p>
      <p v-else role="status" :class="tooLate ? 'warn' : 'note'">
        {{ t('watering.clock', { from: hour(from) }) }} <template v-if="until">{{ t('watering.clockUntil', { until: hour(until) }) }}</template>
        <b v-if="tooEarly"> {{ t('watering.tooEarly') }}</b>
        <b v-if="tooLate"> {{ t('watering.tooLate') }}</b>
        <button class="btn small quiet" type="button" @click="((clock.put = 0), (clock.on = 0))">{{ t('watering.again') }}</button>
      </p>
      <form v-if="watering.volume" class="row" novalidate @submit.prevent="work">
        <label class="label"
          >{{ t('watering.flow') }}<input v-model="clock.flow" class="field" placeholder="10 gal/min" :aria-invalid="at('/known/flow') !== null" /><span class="fault">{{
            at('/known/flow')
          }}</span></label
        >
        <button class="btn" type="submit" :disabled="busy || clock.flow.trim() === ''">{{ t('watering.work') }}</button>
      </form>
      <p class="small soft">{{ t('watering.bucket') }}</p>
      <template v-if="clock.runMinutes > 0">
        <p class="pour">{{ t('watering.runs', { time: runs ? say(runs) : t('watering.minutes', { n: Math.ceil(clock.runMinutes) }) }) }}</p>
        <p v-if="clock.on === 0">
          <button class="btn main" type="button" :disabled="clock.put === 0 || tooEarly" @click="clock.on = now.getTime()">{{ t('watering.on') }}</button>
        </p>
        <p v-else-if="left !== null && left > 0" role="timer">
          <b>{{ t('watering.left', { n: Math.ceil(left / MINUTE), at: hour(clock.on + clock.runMinutes * MINUTE) }) }}</b>
        </p>
        <p v-else class="warn" role="alert">{{ t('watering.off') }}</p>
      </template>
    </template>
  </section>
</template>
