<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';

/** The measuring tool with its fill line to scale, in its own shape; full ones before it are counted. */
const props = defineProps<{ cup: Schemas['Measure'] }>();
const { t } = useI18n();
const TOP = 20;
const FLOOR = 170;
/**
 * Half the width at the foot and at the brim, by kind: a cup flares, a cylinder stands straight, a spoon is a shallow
 * bowl.
 */
const SHAPES: Record<string, { foot: number; brim: number }> = {
  cup: { foot: 40, brim: 50 },
  jug: { foot: 48, brim: 52 },
  cylinder: { foot: 22, brim: 22 },
  syringe: { foot: 14, brim: 14 },
  spoons: { foot: 30, brim: 62 },
};
const shape = computed(() => SHAPES[props.cup.kind] ?? SHAPES.cup!);
const half = (y: number): number =>
  shape.value.foot + ((FLOOR - y) / (FLOOR - TOP)) * (shape.value.brim - shape.value.foot);
const fill = computed(() => FLOOR - Number(props.cup.lastShare) * (FLOOR - TOP));
const MIDDLE = 75;
const left = computed(() => MIDDLE - shape.value.foot);
const right = computed(() => MIDDLE + shape.value.foot);
const ticks = computed(() => {
  const every = Math.ceil(props.cup.marks / 20);
  return Array.from(
    { length: Math.floor(props.cup.marks / every) },
    (_, i) => FLOOR - (((i + 1) * every) / props.cup.marks) * (FLOOR - TOP),
  );
});
</script>

<template>
  <div class="cup">
    <svg
      v-if="cup.kind === 'scale'"
      viewBox="0 0 150 184"
      role="img"
      :aria-label="t('mix.cupLabel', { full: cup.fullCups, last: cup.lastFill, tool: cup.tool })"
    >
      <path d="M20 96h110l-8 14H28Z" class="liquid" />
      <path d="M18 96h114M75 110v14M34 124h82l10 46H24Z" class="wall" />
      <rect x="42" y="136" width="66" height="24" class="face" />
      <text x="75" y="154" text-anchor="middle">{{ cup.lastFill }}</text>
    </svg>
    <svg
      v-else
      viewBox="0 0 150 184"
      role="img"
      :aria-label="t('mix.cupLabel', { full: cup.fullCups, last: cup.lastFill, tool: cup.tool })"
    >
      <path :d="`M${MIDDLE - half(fill)} ${fill}H${MIDDLE + half(fill)}L${right} ${FLOOR}H${left}Z`" class="liquid" />
      <path
        :d="`M${MIDDLE - shape.brim} ${TOP - 6}L${left} ${FLOOR}H${right}L${MIDDLE + shape.brim} ${TOP - 6}`"
        class="wall"
      />
      <path v-if="cup.kind === 'cylinder'" :d="`M${MIDDLE - 40} ${FLOOR + 6}h80`" class="wall" />
      <path v-if="cup.kind === 'syringe'" :d="`M${MIDDLE} ${FLOOR}v12`" class="wall" />
      <path v-for="y in ticks" :key="y" :d="`M${MIDDLE + half(y)} ${y}h-${Math.min(14, half(y))}`" class="tick" />
      <path :d="`M${MIDDLE - half(fill) - 14} ${fill}H${MIDDLE + half(fill) + 14}`" class="line" />
      <text
        :x="shape.brim < 30 ? 2 : MIDDLE"
        :y="Math.max(14, fill - 6)"
        :text-anchor="shape.brim < 30 ? 'start' : 'middle'"
      >
        {{ cup.lastFill }}
      </text>
    </svg>
    <div>
      <p v-if="cup.fullCups > 0">{{ t('mix.fullCups', { n: cup.fullCups, holds: cup.holds }) }}</p>
      <p>
        <b class="amount">{{ cup.lastFill }}</b>
      </p>
      <p class="small soft">
        {{ t(cup.under ? 'mix.under' : 'mix.over', { graduation: cup.graduation, error: cup.errorPercent }) }}
      </p>
      <p v-if="cup.actual" class="small soft">{{ t('mix.actual', { percent: cup.actual }) }}</p>
      <p v-if="!cup.own" class="small soft">{{ t('mix.notOwn') }}</p>
    </div>
  </div>
</template>

<style scoped>
.cup {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: 16px;
  align-items: center;
}
.amount {
  font-size: var(--size-xl);
}
.liquid {
  fill: var(--gorse-fill);
}
.wall {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
}
.face {
  fill: var(--paper);
  stroke: var(--ink);
}
.tick {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.line {
  stroke: var(--sloe);
  stroke-width: 3;
}
text {
  font: 700 14px var(--font);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--lichen);
  stroke-width: 4px;
}
.face + text {
  stroke: none;
  font-size: 12px;
}
</style>
