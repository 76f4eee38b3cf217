<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';

/** The measuring tool with the fill line of the last cup, to scale; full cups before it are counted. */
const props = defineProps<{ cup: Schemas['Measure'] }>();
const { t } = useI18n();
const fill = computed(() => 170 - Number(props.cup.lastShare) * 150);
const ticks = computed(() => {
  const every = Math.ceil(props.cup.marks / 20);
  return Array.from({ length: Math.floor(props.cup.marks / every) }, (_, i) => 170 - (((i + 1) * every) / props.cup.marks) * 150);
});
</script>

<template>
  <div class="cup">
    <svg viewBox="0 0 150 184" role="img" :aria-label="t('mix.cupLabel', { full: cup.fullCups, last: cup.lastFill, tool: cup.tool })">
      <path :d="`M${30 - (170 - fill) * 0.06} ${fill}H${110 + (170 - fill) * 0.06}L110 170H30Z`" class="liquid" />
      <path d="M20 14 30 170H110L120 14" class="wall" />
      <path v-for="y in ticks" :key="y" :d="`M${110 + (170 - y) * 0.064} ${y}h-14`" class="tick" />
      <path :d="`M14 ${fill}H126`" class="line" />
      <text x="70" :y="Math.max(14, fill - 6)" text-anchor="middle">{{ cup.lastFill }}</text>
    </svg>
    <div>
      <p v-if="cup.fullCups > 0">{{ t('mix.fullCups', { n: cup.fullCups, holds: cup.holds }) }}</p>
      <p>
        <b class="amount">{{ cup.lastFill }}</b>
      </p>
      <p class="small soft">{{ t(cup.under ? 'mix.under' : 'mix.over', { graduation: cup.graduation, error: cup.errorPercent }) }}</p>
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
</style>
