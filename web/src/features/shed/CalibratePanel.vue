<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import TextField from '@/components/form/TextField.vue';

/**
 * Measuring what a sprayer gives, a step at a time: the course walked against a stopwatch, the nozzle caught for just
 * as long.
 */
const props = defineProps<{ sprayer: Schemas['ShedSprayer'] }>();
const emit = defineEmits<{ close: [] }>();
const { t, tm } = useI18n();
const { format, units } = useSession();
const { busy, refusal, run, at } = useSubmit();
const WAYS = ['course', 'moving', 'known-area', 'bottle'] as const;
type Way = (typeof WAYS)[number];
const way = ref<Way>(
  props.sprayer.kind === 'squirt-bottle' ? 'bottle' : props.sprayer.kind === 'boom' ? 'moving' : 'course',
);
const course = ref(units.value === 'us' ? '' : '100 m2');
const form = ref<Record<string, string>>({});
const FIELDS: Record<Way, readonly string[]> = {
  course: ['caught'],
  moving: ['caught', 'time', 'speed', 'spacing'],
  'known-area': ['used', 'area'],
  bottle: ['caught', 'strokes'],
};
const SAMPLES: Record<string, string> = {
  caught: '24 fl oz',
  time: '60 s',
  speed: '3 mph',
  spacing: '20 in',
  used: '3 gal',
  area: '5000 sq ft',
  strokes: '40',
};
const flows = ref('');
const steps = computed(() => tm(`calibrate.steps.${way.value}`) as string[]);

/** The stopwatch of the walk; the catch is timed against it, counting down. */
const elapsed = ref(0);
const walked = ref<number | null>(null);
const mode = ref<'idle' | 'walk' | 'catch'>('idle');
let began = 0;
const tick = (): void => {
  elapsed.value = (performance.now() - began) / 1000;
  if (mode.value === 'catch' && walked.value !== null && elapsed.value >= walked.value) stop();
};
const ticking = useIntervalFn(tick, 100, { immediate: false });
const start = (what: 'walk' | 'catch'): void => {
  began = performance.now();
  elapsed.value = 0;
  mode.value = what;
  ticking.resume();
};
function stop(): void {
  ticking.pause();
  if (mode.value === 'walk') {
    walked.value = elapsed.value;
    form.value.time = `${elapsed.value.toFixed(1)} s`;
  }
  mode.value = 'idle';
}
const clock = computed(() => {
  const s =
    mode.value === 'catch' && walked.value !== null
      ? Math.max(0, walked.value - elapsed.value)
      : mode.value === 'walk'
        ? elapsed.value
        : (walked.value ?? 0);
  return `${s.toFixed(1)} s`;
});

const found = ref<Schemas['Calibrated'] | null>(null);
const kept = ref(false);
const ask = async (trying: boolean): Promise<void> => {
  const f = form.value;
  const body: Record<string, unknown> = { way: way.value, try: trying };
  for (const name of FIELDS[way.value]) if (f[name]) body[name] = name === 'strokes' ? Number(f[name]) : f[name];
  if (way.value === 'course' && course.value) body.area = course.value;
  const list = flows.value
    .split(/[,\n;]+/)
    .map((n) => n.trim())
    .filter(Boolean);
  if (list.length) body.nozzles = list;
  const done = await run(() =>
    unwrap(
      api.POST('/shed/sprayers/{sprayer}/calibrations', {
        params: { path: { sprayer: props.sprayer.id } },
        body: body as { way: string },
      }),
    ),
  );
  if (!done) return;
  found.value = done;
  kept.value = !trying;
};
</script>

<template>
  <form class="stack" novalidate @submit.prevent="ask(true)">
    <h2>{{ t('calibrate.title', { name: sprayer.name }) }}</h2>
    <ChoiceField
      v-model="way"
      :label="t('calibrate.way')"
      :options="WAYS.map((w) => ({ value: w, label: t(`calibrate.ways.${w}`) }))"
    />
    <ol class="steps">
      <li v-for="s in steps" :key="s">{{ s }}</li>
    </ol>
    <div v-if="way === 'course' || way === 'moving'" class="watch">
      <span class="clock" role="timer">{{ clock }}</span>
      <ActButton v-if="mode === 'idle'" @click="start('walk')">{{ t('calibrate.startWalk') }}</ActButton>
      <ActButton v-if="mode === 'idle' && walked !== null && way === 'course'" @click="start('catch')">{{
        t('calibrate.startCatch')
      }}</ActButton>
      <ActButton v-if="mode !== 'idle'" main @click="stop">{{ t('calibrate.stop') }}</ActButton>
    </div>
    <div class="row">
      <ChoiceField
        v-if="way === 'course'"
        v-model="course"
        :label="t('calibrate.course')"
        :options="[
          { value: '', label: t('calibrate.courseAcre') },
          { value: '100 m2', label: t('calibrate.courseAre') },
        ]"
      />
      <TextField
        v-for="name in FIELDS[way]"
        :key="`${way}-${name}`"
        v-model="form[name]"
        :label="t(`calibrate.field.${name}`)"
        :fault="at(`/${name}`)"
        width="8em"
        :placeholder="SAMPLES[name]"
      />
    </div>
    <details>
      <summary>{{ t('calibrate.nozzles') }}</summary>
      <TextField
        v-model="flows"
        :label="t('calibrate.nozzlesHelp')"
        :fault="at('/nozzles')"
        placeholder="0.80 L, 0.79 L, 0.86 L"
        width="100%"
      />
      <p class="fault">{{ at('/nozzles') }}</p>
    </details>
    <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
    <div class="row">
      <ActButton type="submit" :busy="busy">{{ t('calibrate.work') }}</ActButton>
      <ActButton quiet @click="emit('close')">{{ t('frame.back') }}</ActButton>
    </div>
    <template v-if="found">
      <p class="pour">{{ format(found.gives) }}</p>
      <p v-if="sprayer.gives && !kept && sprayer.gives.unit === found.gives.unit" class="small">
        {{ t('calibrate.before', { gives: format(sprayer.gives) }) }}
      </p>
      <template v-if="found.nozzles">
        <ul class="plain ruled">
          <li v-for="(n, i) in found.nozzles.each" :key="i">
            <b>{{ t('calibrate.nozzle', { n: i + 1 }) }}</b> {{ format(n.flow) }}
            <span class="small soft"
              >{{ t('calibrate.off', { n: n.offMean })
              }}<template v-if="n.ofRated">, {{ t('calibrate.ofRated', { n: n.ofRated }) }}</template></span
            >
            <b v-if="n.worn" class="fault"> {{ t('calibrate.worn') }}</b>
          </li>
        </ul>
        <p v-if="found.nozzles.replaceSet" class="warn">{{ t('calibrate.replaceSet') }}</p>
      </template>
      <p v-if="kept" role="status">
        <b>{{ t('calibrate.kept') }}</b>
      </p>
      <ActButton v-else main :disabled="busy" @click="ask(false)">{{ t('calibrate.keep') }}</ActButton>
      <div v-if="found.changed.length" class="note">
        <p>{{ t('calibrate.changes') }}</p>
        <p v-for="c in found.changed" :key="c.standId">
          <RouterLink :to="{ name: 'mix', params: { stand: c.standId } }">{{ c.name }}</RouterLink>
        </p>
      </div>
    </template>
  </form>
</template>

<style scoped>
.watch {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 20px;
  align-items: center;
}
.clock {
  font-size: var(--size-xl);
  font-weight: 700;
  font-variant-numeric: tabular-nums;
  min-width: 5em;
}
.steps {
  padding-left: 20px;
}
</style>
