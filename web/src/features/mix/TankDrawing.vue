<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '@/api/client';

/** A tank in loading order: fill lines to scale, first at the bottom. */
const props = defineProps<{
  load: Schemas['Load'];
  format: (q: Schemas['Quantity'] | null) => string;
  large?: boolean;
}>();
/** Numbers of marks that lie close are set side by side, so that each can be read. */
const places = computed(() => {
  let last = Infinity;
  let aside = 0;
  return props.load.steps.map((s) => {
    const y = top(s.markShare);
    aside = last - y < 13 ? aside + 1 : 0;
    last = y;
    return { y, x: 78 + aside * 13 };
  });
});
const top = (share: string): number => 186 - Number(share) * 160;
</script>

<template>
  <svg
    viewBox="0 0 130 200"
    :class="{ large }"
    role="img"
    :aria-label="load.steps.map((s) => `${s.name} ${format(s.mark)}`).join(', ')"
  >
    <rect x="6" :y="26" width="62" height="160" class="liquid" />
    <path d="M6 14V186H68V14" class="wall" />
    <g v-for="(s, i) in load.steps" :key="s.what">
      <path class="mark" :d="`M6 ${top(s.markShare)}H74`" />
      <text :x="places[i]!.x" :y="Math.min(196, places[i]!.y + 5)">{{ i + 1 }}</text>
    </g>
  </svg>
</template>

<style scoped>
.large {
  max-width: 260px;
}
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
