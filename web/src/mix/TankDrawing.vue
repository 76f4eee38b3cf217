<script setup lang="ts">
import type { Schemas } from '@/api/client';

/** A tank in loading order: fill lines to scale, first at the bottom. */
defineProps<{ load: Schemas['Load']; say: (q: Schemas['Quantity'] | null) => string }>();
const top = (share: string): number => 186 - Number(share) * 160;
</script>

<template>
  <svg viewBox="0 0 110 200" role="img" :aria-label="load.steps.map((s) => `${s.name} ${say(s.mark)}`).join(', ')">
    <rect x="6" :y="26" width="62" height="160" class="liquid" />
    <path d="M6 14V186H68V14" class="wall" />
    <g v-for="(s, i) in load.steps" :key="s.what">
      <path class="mark" :d="`M6 ${top(s.markShare)}H74`" />
      <text x="80" :y="Math.min(196, top(s.markShare) + 5)">{{ i + 1 }}</text>
    </g>
  </svg>
</template>

<style scoped>
.liquid {
  fill: var(--water-fill);
}
.wall {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
}
.mark {
  stroke: var(--ink);
  stroke-width: 1.6;
}
text {
  font: 700 14px var(--font);
  fill: var(--ink);
}
</style>
