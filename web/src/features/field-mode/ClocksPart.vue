<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import ActButton from '@/components/form/ActButton.vue';
import { clockAt, clocksOf, minutesText } from './fieldLog';
import type { FieldNote } from './fieldStore';

/** Clocks of the job: of each batch from cut to treated, of the tank, of the ground; they run on over a reload. */
const props = defineProps<{
  clocks: NonNullable<Schemas['SheetSnapshot']['field']>['clocks'];
  notes: FieldNote[];
  now: number;
  /** Those that run, else those that can be started. */
  running?: boolean;
}>();
const emit = defineEmits<{ note: [kind: FieldNote['kind'], body: Record<string, unknown>] }>();
const { t } = useI18n();
const going = computed(() =>
  clocksOf(props.notes).flatMap((note) => {
    const clock = props.clocks.find((c) => c.code === note.clock);
    return clock ? [{ note, clock, at: clockAt(clock, Date.parse(note.at), props.now) }] : [];
  }),
);
/** Batches are numbered through the day, those that are over with them. */
const nextBatch = (code: string): number =>
  1 + new Set(props.notes.filter((n) => n.kind === 'timer' && n.clock === code).map((n) => n.of)).size;
const begin = (clock: { code: string; perBatch: boolean }): void =>
  emit('note', 'timer', {
    clock: clock.code,
    ...(clock.perBatch ? { of: t('fieldMode.batch', { n: nextBatch(clock.code) }) } : {}),
  });
const end = (note: FieldNote): void =>
  emit('note', 'timer', { clock: note.clock, ...(note.of ? { of: note.of } : {}), on: false });
const idle = computed(() =>
  props.clocks.filter((c) => c.perBatch || !going.value.some((r) => r.clock.code === c.code)),
);
</script>

<template>
  <section v-if="running && going.length" class="stack" :aria-label="t('fieldMode.running')">
    <div
      v-for="r in going"
      :key="r.note.id"
      class="clock"
      :class="{ late: r.at.sounded > 0 && !r.clock.repeats, over: r.at.over }"
      role="timer"
    >
      <p>
        <b>{{ r.clock.name }}</b><template v-if="r.note.of"> · {{ r.note.of }}</template>
        <span class="small soft"> {{ r.clock.source }}</span>
      </p>
      <p class="big">
        {{ r.at.next === null ? minutesText(r.at.gone) : minutesText(r.at.next) }}
        <span class="small">{{
          r.at.over
            ? t(r.clock.perBatch ? 'fieldMode.cutAgain' : 'fieldMode.over')
            : r.at.sounded > 0 && !r.clock.repeats
              ? t('fieldMode.lateTill')
              : t('fieldMode.toGo')
        }}</span>
      </p>
      <ActButton @click="end(r.note)">{{ t(r.clock.perBatch ? 'fieldMode.treated' : 'fieldMode.done') }}</ActButton>
    </div>
  </section>
  <section v-else-if="!running" class="stack" aria-labelledby="clocks-h">
    <h2 id="clocks-h">{{ t('fieldMode.clocks') }}</h2>
    <div class="row">
      <ActButton v-for="c in idle" :key="c.code" quiet @click="begin(c)">{{
        t('fieldMode.startClock', { name: c.name })
      }}</ActButton>
    </div>
  </section>
</template>

<style scoped>
.clock {
  border-left: 8px solid var(--moss);
  background: var(--paper);
  padding: 8px 12px;
  display: grid;
  gap: 4px;
}
.clock.late {
  border-color: var(--gorse);
  background: var(--gorse-fill);
}
.clock.over {
  border-color: var(--haw);
}
.big {
  font-size: var(--size-pour);
  font-weight: 700;
  line-height: 1.1;
}
</style>
