<script setup lang="ts">
import { formats } from '@/app/language';
import { useScroll } from '@vueuse/core';
import { computed, onMounted, useTemplateRef } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { dayText, partOfYear } from '@/components/dates';

/** 52 weeks: stage, stream of sugar, sap flow, and the windows of each method to the day, with today's line. */
const props = defineProps<{ year: Schemas['Year'] }>();
const { t } = useI18n();
const LEFT = 178;
const WIDTH = 1040;
const x = (day: string): number => LEFT + partOfYear(day) * (WIDTH - LEFT);
const MONTHS = Array.from({ length: 12 }, (_, i) => i + 1);
const monthStart = (m: number): number => x(`${props.year.year}-${String(m).padStart(2, '0')}-01`);
const monthName = (m: number): string =>
  new Intl.DateTimeFormat(formats(), { month: 'short', timeZone: 'UTC' })
    .format(new Date(Date.UTC(2024, m - 1, 1)))
    .slice(0, 3);
const runs = computed(() => {
  const join = (key: (w: Schemas['Year']['weeks'][number]) => string) =>
    props.year.weeks.reduce<{ key: string; first: string; last: string; name: string }[]>((all, w) => {
      const k = key(w);
      const last = all.at(-1);
      if (last && last.key === k) last.last = w.last;
      else all.push({ key: k, first: w.first, last: w.last, name: k === '' ? '' : (w.stage?.name ?? '') });
      return all;
    }, []);
  return { stage: join((w) => w.stage?.code ?? ''), flow: join((w) => w.flow), sap: join((w) => (w.sap ? 'sap' : '')) };
});
/** Frost, nesting and soft growth: one line a name. */
const care = computed(() => {
  const lines = new Map<string, Schemas['Year']['care']>();
  for (const c of props.year.care) lines.set(c.name, [...(lines.get(c.name) ?? []), c]);
  return [...lines.entries()];
});
const careTop = (i: number): number => 116 + i * 22;
const laneTop = (i: number): number => 124 + care.value.length * 22 + i * 40;
/** Weeks of one verdict joined, so that a year is a few bars. */
const verdicts = (
  lane: Schemas['Year']['lanes'][number],
): { key: string; best: string; first: string; last: string; name: string }[] =>
  lane.weeks.reduce<{ key: string; best: string; first: string; last: string; name: string }[]>((all, w, i) => {
    const week = props.year.weeks[i];
    const last = all.at(-1);
    if (!week) return all;
    if (last && last.key === w.worst && last.best === w.best) last.last = week.last;
    else all.push({ key: w.worst, best: w.best, first: week.first, last: week.last, name: w.name });
    return all;
  }, []);
const height = computed(() => laneTop(props.year.lanes.length) + 16);
const end = (day: string): number => x(day) + (WIDTH - LEFT) / 366;
/** Where the strip is wider than the screen it opens on today. */
const strip = useTemplateRef('strip');
const { x: scrolled } = useScroll(strip);
const along = computed(() => (strip.value ? (scrolled.value / strip.value.scrollWidth) * WIDTH : 0));
onMounted(() => {
  const wide = strip.value;
  if (wide) wide.scrollLeft = (x(props.year.today) / WIDTH) * wide.scrollWidth - wide.clientWidth / 2;
});
</script>

<template>
  <div ref="strip" class="table-wrap" tabindex="0" role="group" :aria-label="t('when.strip')">
    <svg
      :viewBox="`0 0 ${WIDTH} ${height}`"
      role="img"
      :aria-label="t('when.stripLabel', { year: year.year, today: dayText(year.today) })"
    >
      <defs>
        <pattern id="care" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="8" height="8" class="care-bg" />
          <path d="M0 0V8" class="care-line" />
        </pattern>
      </defs>
      <g v-for="m in MONTHS" :key="m">
        <path class="month" :d="`M${monthStart(m)} 20V${height - 12}`" />
        <text class="small" :x="monthStart(m) + 4" y="14">{{ monthName(m) }}</text>
      </g>
      <g v-for="r in runs.stage" :key="`s${r.first}`">
        <rect :x="x(r.first)" y="26" :width="Math.max(0, end(r.last) - x(r.first) - 1)" height="24" class="stage" />
        <text v-if="end(r.last) - x(r.first) > 62" class="small" :x="x(r.first) + 4" y="43">{{ r.name }}</text>
        <title>{{ r.name }}</title>
      </g>
      <g v-for="r in runs.flow" :key="`f${r.first}`">
        <rect
          :x="x(r.first)"
          y="58"
          :width="Math.max(0, end(r.last) - x(r.first) - 1)"
          height="24"
          :class="`flow ${r.key}`"
        />
        <text v-if="end(r.last) - x(r.first) > 62" class="small" :x="x(r.first) + 4" y="75">
          {{ r.key === 'up' ? '↑' : r.key === 'down' ? '↓' : '' }} {{ t(`when.flow.${r.key}`) }}
        </text>
      </g>
      <rect
        v-for="r in runs.sap.filter((s) => s.key)"
        :key="`p${r.first}`"
        :x="x(r.first)"
        y="92"
        :width="end(r.last) - x(r.first)"
        height="14"
        class="sap"
      />
      <g v-for="([name, spans], i) in care" :key="name">
        <g v-for="s in spans" :key="s.first">
          <rect
            :x="x(s.first)"
            :y="careTop(i) + 2"
            :width="Math.max(3, end(s.last) - x(s.first))"
            height="12"
            :class="`care ${s.kind}`"
          />
          <title>{{ name }}: {{ s.text }}</title>
        </g>
      </g>
      <g v-for="(lane, i) in year.lanes" :key="lane.method.id">
        <g v-for="v in verdicts(lane)" :key="`v${v.first}`">
          <rect
            :x="x(v.first)"
            :y="laneTop(i) + 24"
            :width="Math.max(0, end(v.last) - x(v.first))"
            height="7"
            :class="`v ${v.key}`"
          />
          <title>{{ v.name }}</title>
        </g>
        <path class="base" :d="`M${LEFT} ${laneTop(i) + 12}H${WIDTH}`" />
        <g v-for="w in lane.windows" :key="w.first">
          <rect
            :x="x(w.first)"
            :y="laneTop(i) + 2"
            :width="Math.max(3, end(w.last) - x(w.first))"
            height="20"
            :class="`win ${w.grade}`"
          />
          <title>{{ w.text }}: {{ w.why }}</title>
        </g>
      </g>
      <path class="today" :d="`M${x(year.today)} 18V${height - 10}`" />
      <text class="small today-t" :x="x(year.today) + 4" :y="height - 2">{{ dayText(year.today) }}</text>
      <!-- the names go along where the strip is scrolled, so that no bar stands without its own -->
      <g class="names" :transform="`translate(${along} 0)`">
        <text x="0" y="42">{{ t('when.stage') }}</text>
        <text x="0" y="74">{{ t('when.stream') }}</text>
        <text x="0" y="105">{{ t('when.sap') }}</text>
        <text v-for="([name], i) in care" :key="name" class="small" x="0" :y="careTop(i) + 12">{{ name }}</text>
        <text
          v-for="(lane, i) in year.lanes"
          :key="lane.method.id"
          x="0"
          :y="laneTop(i) + 17"
          :class="{ chosen: lane.chosen }"
        >
          {{ lane.method.name }}
        </text>
      </g>
    </svg>
  </div>
  <p class="legend small">
    <span class="soft">{{ t('when.carehint') }} {{ t('when.above') }}</span>
    <span class="pair"><span class="key best"></span>{{ t('when.grades.best') }}</span>
    <span class="pair"><span class="key workable"></span>{{ t('when.grades.workable') }}</span>
    <span class="pair"><span class="key with-care"></span>{{ t('when.grades.with-care') }}</span>
    <span class="soft">{{ t('when.below') }}</span>
    <span class="pair"><span class="key v fits"></span>{{ t('outcome.fits') }}</span>
    <span class="pair"><span class="key v withCare"></span>{{ t('outcome.withCare') }}</span>
    <span class="pair"><span class="key v notNow"></span>{{ t('outcome.notNow') }}</span>
    <span class="pair"><span class="key v cannotTell"></span>{{ t('outcome.cannotTell') }}</span>
    <span class="key v doesNotSuit"></span>{{ t('outcome.doesNotSuit') }}
  </p>
</template>

<style scoped>
svg {
  min-width: 760px;
  width: 100%;
}
text {
  font: 600 15px var(--font);
  fill: var(--ink);
}
text.small {
  font-size: 12.5px;
  font-weight: 500;
}
.names text {
  stroke: var(--lichen);
  stroke-width: 4px;
  paint-order: stroke;
}
text.chosen {
  fill: var(--sloe);
  font-weight: 750;
}
.month {
  stroke: var(--rule);
}
.stage {
  fill: var(--lichen-deep);
  stroke: var(--rule);
}
.flow.up {
  fill: var(--gorse-fill);
}
.flow.down {
  fill: var(--moss-fill);
}
.flow.still {
  fill: var(--rime-fill);
}
.sap {
  fill: var(--bark);
}
.base {
  stroke: var(--rule);
}
.win {
  stroke: var(--ink);
  stroke-width: 1.4;
}
.win.best {
  fill: var(--moss);
}
.win.workable {
  fill: var(--moss-fill);
}
.win.with-care {
  fill: url(#care);
}
.care-bg {
  fill: var(--gorse-fill);
}
.care-line {
  stroke: var(--gorse);
  stroke-width: 3;
}
.care.frost {
  fill: var(--rime-fill);
  stroke: var(--rime);
}
.care.nesting {
  fill: var(--gorse-fill);
  stroke: var(--gorse);
}
.care.keeper {
  fill: var(--moss-fill);
  stroke: var(--moss);
}
.v {
  stroke: var(--ink);
  stroke-width: 0.5;
}
.v.fits {
  fill: var(--v-fits);
  background: var(--v-fits);
}
.v.withCare {
  fill: var(--v-care);
  background: var(--v-care);
}
.v.notNow {
  fill: var(--v-later);
  background: var(--v-later);
}
.v.cannotTell {
  fill: var(--v-unknown);
  background: var(--v-unknown);
}
.v.doesNotSuit,
.v.notAllowed {
  fill: var(--v-shut);
  background: var(--v-shut);
}
.today {
  stroke: var(--sloe);
  stroke-width: 3;
}
.today-t {
  fill: var(--sloe);
  font-weight: 700;
}
.legend {
  display: flex;
  gap: 6px 10px;
  flex-wrap: wrap;
  align-items: center;
}
.pair {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  white-space: nowrap;
}
.key {
  width: 26px;
  height: 14px;
  border: 1px solid var(--ink);
}
.key.best {
  background: var(--moss);
}
.key.workable {
  background: var(--moss-fill);
}
.key.with-care {
  background: repeating-linear-gradient(45deg, var(--gorse) 0 2px, var(--gorse-fill) 2px 6px);
}
</style>
