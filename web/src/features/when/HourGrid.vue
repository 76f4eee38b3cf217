<script setup lang="ts">
import { computed, nextTick, useTemplateRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { dayText } from '@/components/dates';
import type { Outcome } from '@/components/figures/VerdictMark.vue';
import { daylight, neighbour, timeOf, type HourDay } from './hours';

/** Ten days as rows, the light hours as columns: read in one look; one hour is chosen by tap or arrow keys. */
const props = defineProps<{ days: HourDay[]; now: string }>();
const at = defineModel<string>({ required: true });
const { t } = useI18n();
const OUTCOMES = ['fits', 'withCare', 'notNow', 'cannotTell', 'doesNotSuit'] as const;
const light = computed(() => daylight(props.days));
const columns = computed(() =>
  Array.from({ length: light.value.last - light.value.first + 1 }, (_, i) => light.value.first + i),
);
const root = useTemplateRef<HTMLElement>('root');
const cell = (day: HourDay, hour: number) => day.hours.find((h) => Number(h.at.slice(11, 13)) === hour);
const move = async (e: KeyboardEvent): Promise<void> => {
  const to = neighbour(props.days, at.value, e.key);
  if (!to) return;
  e.preventDefault();
  at.value = to;
  await nextTick();
  root.value?.querySelector<HTMLElement>('[aria-selected="true"]')?.focus();
};
const name = (outcome: string): string => t(`outcome.${outcome as Outcome}`);
</script>

<template>
  <div class="stack">
    <div
      ref="root"
      class="hours"
      role="grid"
      :aria-label="t('hours.grid')"
      :style="{ gridTemplateColumns: `5.2em repeat(${columns.length}, minmax(0, 1fr))` }"
      @keydown="move"
    >
      <div class="line" role="row">
        <span role="columnheader"
          ><span class="visually-hidden">{{ t('hours.day') }}</span></span
        >
        <span v-for="h in columns" :key="h" class="head" role="columnheader"
          >{{ h % 3 === 0 ? h : '' }}<span class="visually-hidden">{{ h }}:00</span></span
        >
      </div>
      <div v-for="day in days" :key="day.day" class="line" role="row">
        <span class="day" role="rowheader">{{ dayText(day.day) }}</span>
        <template v-for="h in columns" :key="h">
          <button
            v-if="cell(day, h)"
            type="button"
            role="gridcell"
            class="cell"
            :class="[cell(day, h)!.outcome, cell(day, h)!.surety]"
            :aria-selected="cell(day, h)!.at === at"
            :tabindex="cell(day, h)!.at === at ? 0 : -1"
            :aria-label="`${dayText(day.day)} ${timeOf(cell(day, h)!.at)}: ${name(cell(day, h)!.outcome)}`"
            @click="at = cell(day, h)!.at"
          ></button>
          <span v-else role="gridcell"></span>
        </template>
      </div>
    </div>
    <p class="legend small">
      <span v-for="o in OUTCOMES" :key="o" class="pair"><i class="key" :class="o"></i> {{ name(o) }}</span>
    </p>
  </div>
</template>

<style scoped>
.hours {
  display: grid;
  gap: 2px 1px;
}
.line {
  display: contents;
}
.head {
  font-size: 0.75rem;
  line-height: 1;
  padding-bottom: 2px;
}
.day {
  font-size: var(--size-s);
  white-space: nowrap;
  align-self: center;
}
.cell {
  height: 26px;
  padding: 0;
  border: 1px solid var(--ink);
  border-color: color-mix(in srgb, var(--ink) 35%, transparent);
  cursor: pointer;
}
.fits {
  background: var(--v-fits);
}
.withCare {
  background: var(--v-care);
}
.notNow {
  background: var(--v-later);
}
.cannotTell {
  background: var(--v-unknown);
}
.doesNotSuit,
.notAllowed {
  background: var(--v-shut);
}
/* far ahead nobody knows so well: the picture says it */
.rough {
  opacity: 0.72;
}
.cell[aria-selected='true'] {
  outline: 3px solid var(--sloe);
  outline-offset: 1px;
  opacity: 1;
}
.legend,
.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
}
.pair {
  gap: 6px;
}
.key {
  width: 20px;
  height: 14px;
  border: 1px solid var(--ink);
}
@media (max-width: 860px) {
  .cell {
    height: 34px;
  }
}
</style>
