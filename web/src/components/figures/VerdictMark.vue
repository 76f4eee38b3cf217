<script setup lang="ts">
/** Our blazes: a verdict in one mark, readable in one colour, always with its word beside it (look.md). */
import type { OUTCOMES } from '@/api/vocabulary';

export type Outcome = (typeof OUTCOMES)[number];
withDefaults(
  defineProps<{
    outcome: Outcome;
    name: string;
    /** Only the mark is drawn large; the word is read out. */ large?: boolean;
  }>(),
  { large: false },
);
</script>

<template>
  <span class="verdict" :class="[outcome, { large }]">
    <svg viewBox="0 0 20 28" aria-hidden="true">
      <rect v-if="outcome === 'fits'" x="6" y="2" width="8" height="24" class="full" />
      <g v-else-if="outcome === 'withCare'">
        <rect x="6" y="2" width="8" height="24" class="full" />
        <path class="cut" d="M2 18 18 10" />
      </g>
      <g v-else-if="outcome === 'notNow'">
        <rect x="6" y="2" width="8" height="24" class="hollow" />
        <path class="line" d="M10 9v5h4" />
      </g>
      <rect v-else-if="outcome === 'cannotTell'" x="6" y="2" width="8" height="24" class="dotted" />
      <g v-else-if="outcome === 'doesNotSuit'">
        <rect x="6" y="2" width="8" height="24" class="hollow" />
        <path class="line" d="M1 25 19 3" />
      </g>
      <g v-else>
        <rect x="3" y="2" width="5" height="24" class="full" />
        <rect x="12" y="2" width="5" height="24" class="full" />
      </g>
    </svg>
    <span>{{ name }}</span>
  </span>
</template>

<style scoped>
.verdict {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  font-weight: 650;
  color: var(--tone);
  white-space: nowrap;
}
svg {
  width: 14px;
  height: 20px;
  flex: none;
}
.large svg {
  width: 24px;
  height: 34px;
}
.large {
  font-size: var(--size-l);
}
.full {
  fill: var(--tone);
}
.hollow,
.dotted {
  fill: none;
  stroke: var(--tone);
  stroke-width: 2;
}
.dotted {
  stroke-dasharray: 2 3;
}
.line {
  fill: none;
  stroke: var(--tone);
  stroke-width: 2.4;
}
.cut {
  stroke: var(--lichen);
  stroke-width: 4;
}
.fits {
  --tone: var(--moss);
}
.withCare {
  --tone: var(--gorse);
}
.notNow,
.cannotTell {
  --tone: var(--rime);
}
.doesNotSuit {
  --tone: var(--ink-soft);
}
.notAllowed {
  --tone: var(--haw);
}
</style>
