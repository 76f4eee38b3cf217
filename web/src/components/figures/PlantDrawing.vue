<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { HEIGHT, plant, WIDTH, type Part, type Time } from './plant';

/**
 * A plant put together from its characters. Parts that burn, poison or prick are drawn in haw; parts that show a
 * character of `differs` are drawn thick: they tell it from its look-alike.
 */
const props = withDefaults(
  defineProps<{
    drawing: Schemas['Drawing'];
    name: string;
    time?: Time;
    /** Characters that tell it apart. */
    differs?: readonly string[];
    /** Beside a word that says the same: no name of its own. */
    small?: boolean;
  }>(),
  { time: 'flower', differs: () => [] },
);
const { t } = useI18n();
/** Which part shows a character; sap and smell are on none. */
const PART: Readonly<Record<string, Part>> = {
  root: 'root',
  fruit: 'fruit',
  armature: 'thorn',
  'flower-form': 'flower',
  'flower-colour': 'flower',
  'grass-head': 'flower',
  'stem-marks': 'mark',
  bark: 'mark',
};
const shapes = computed(() => plant(props.drawing.looks, props.time));
const apart = computed(() => new Set(props.differs.map((c) => PART[c] ?? (c.startsWith('leaf') ? 'leaf' : null))));
const barbed = computed(() => ('stem' in props.drawing.marked ? shapes.value.filter((s) => s.part === 'stem') : []));
const label = computed(() =>
  [
    t('plant.drawn', { name: props.name, time: t(`plant.time.${props.time}`) }),
    ...Object.entries(props.drawing.marked).map(([part, how]) => t(`plant.${how}`, { part: t(`plant.part.${part}`) })),
  ].join(' '),
);
</script>

<template>
  <svg
    class="plant"
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    :role="small ? undefined : 'img'"
    :aria-hidden="small ? 'true' : undefined"
    :aria-label="small ? undefined : label"
  >
    <path class="earth" :d="`M0 188H${WIDTH}`" />
    <path
      v-for="(s, i) in shapes"
      :key="i"
      :d="s.d"
      :class="[
        s.part,
        s.tint && s.part !== 'stem' ? `of-${s.tint}` : '',
        { line: s.line, harm: s.part !== 'stem' && s.part in drawing.marked, apart: apart.has(s.part) },
      ]"
      :style="s.part === 'stem' && s.tint ? { strokeWidth: `${s.tint}px` } : undefined"
    />
    <!-- a stem keeps its own colour below the mark: it may be as thick as a trunk -->
    <path v-for="(s, i) in barbed" :key="`b${i}`" :d="s.d" class="barbed" />
  </svg>
</template>

<style scoped>
.plant {
  display: block;
  width: 100%;
  height: auto;
}
path {
  stroke: var(--ink);
  stroke-width: 1;
  stroke-linejoin: round;
  stroke-linecap: round;
  fill: none;
}
.earth {
  stroke: var(--bark);
  stroke-width: 2;
}
.stem {
  stroke: var(--moss);
  stroke-width: 2.5;
}
.stem:not(.line) {
  fill: var(--moss-fill);
}
.leaf {
  fill: var(--moss-fill);
  stroke: var(--moss);
}
.leaf.line {
  fill: none;
}
.root {
  stroke: var(--bark);
  stroke-width: 2;
}
.root:not(.line) {
  fill: var(--lichen-deep);
}
.thorn {
  fill: var(--ink);
}
.mark {
  stroke: var(--bark);
  stroke-dasharray: 3 3;
}
.mark.of-purple {
  stroke: none;
  fill: #6b2a6f;
}
.flower,
.fruit {
  stroke: var(--ink);
  fill: var(--paper);
}
.flower.line,
.fruit.line {
  fill: none;
  stroke-width: 1.6;
}
.of-white {
  fill: #fdfdf8;
}
.of-yellow {
  fill: #f0cf3a;
}
.of-purple {
  fill: #9a63b5;
}
.of-pink {
  fill: #e79ab4;
}
.of-red {
  fill: #c2352f;
}
.of-blue {
  fill: #5a7fc4;
}
.of-green {
  fill: #9bb972;
}
.of-black {
  fill: #23202a;
}
.of-orange {
  fill: #e38a2c;
}
.of-brown {
  fill: #96704c;
}
.of-straw {
  fill: #d9c38c;
}
.line.of-purple {
  stroke: #7b3f96;
}
.line.of-straw {
  stroke: #7c6630;
}
/* what burns, poisons or pricks is drawn in the colour of what is not allowed; the words beside say which parts */
.harm {
  stroke: var(--haw);
}
.barbed {
  stroke: var(--haw);
  stroke-width: 1.8;
  stroke-dasharray: 1 5;
}
.apart {
  stroke: var(--sloe);
  stroke-width: 3;
}
</style>
