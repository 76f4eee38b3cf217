<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';

type Drawing = NonNullable<Schemas['Recipe']['drawing']>;
/** One stem to scale: band to wet, stump face or ring, or cuts with their number and bark bridges. */
const props = defineProps<{ drawing: Drawing; format: (q: Schemas['Quantity'] | null) => string }>();
const { t } = useI18n();

const d = computed(() => Number(props.drawing.diameterMm));
/** px a millimetre, so that stem and band fit 300 x 200. */
const band = computed(() => {
  const height = Number(props.drawing.bandMm ?? 0);
  const scale = Math.min(150 / Math.max(height, 1), 120 / d.value);
  return { width: d.value * scale, height: height * scale };
});
const ring = computed(() => 2 * 85 * (Number(props.drawing.ringMm ?? 0) / d.value));
const cuts = computed(() => {
  const n = props.drawing.cuts ?? 0;
  return Array.from({ length: n }, (_, i) => {
    const a = (i / n) * 2 * Math.PI - Math.PI / 2;
    const half = Math.min(0.22, Math.PI / n / 2);
    const p = (angle: number, r: number): string =>
      `${(100 + r * Math.cos(angle)).toFixed(1)} ${(100 + r * Math.sin(angle)).toFixed(1)}`;
    return `M${p(a - half, 85)}L${p(a, 66)}L${p(a + half, 85)}`;
  });
});
const words = computed(() =>
  props.drawing.kind === 'band'
    ? t('mix.band', { band: props.format(props.drawing.band) })
    : props.drawing.kind === 'disc'
      ? t('mix.disc')
      : props.drawing.kind === 'ring'
        ? t('mix.ring', { ring: props.format(props.drawing.ring) })
        : t('mix.cuts', {
            n: props.drawing.cuts ?? 0,
            each: props.format(props.drawing.perCut),
            apart: props.format(props.drawing.apart),
          }),
);
</script>

<template>
  <figure>
    <svg v-if="drawing.kind === 'band'" viewBox="0 0 300 200" role="img" :aria-label="words">
      <path :d="`M${150 - band.width / 2} 6V176H${150 + band.width / 2}V6`" class="stem" />
      <rect :x="150 - band.width / 2" :y="176 - band.height" :width="band.width" :height="band.height" class="wet" />
      <path d="M10 176H290" class="ground" />
      <path :d="`M${150 + band.width / 2 + 14} ${176 - band.height}V176m-5 0h10m-10 ${-band.height}h10`" class="dim" />
      <text :x="150 + band.width / 2 + 26" :y="180 - band.height / 2">{{ format(drawing.band) }}</text>
      <path :d="`M${150 - band.width / 2} 190H${150 + band.width / 2}`" class="dim" />
      <text :x="150 - band.width / 2 - 6" y="196" text-anchor="end">{{ format(drawing.diameter) }}</text>
    </svg>
    <svg v-else viewBox="0 0 200 200" role="img" :aria-label="words" style="max-width: 220px">
      <circle cx="100" cy="100" r="85" class="stem" :class="{ wet: drawing.kind === 'disc' }" />
      <circle
        v-if="drawing.kind === 'ring'"
        cx="100"
        cy="100"
        :r="85 - ring / 2"
        class="ring"
        :style="{ strokeWidth: `${ring}px` }"
      />
      <path v-for="cut in cuts" :key="cut" :d="cut" class="cut" />
      <text x="100" y="105" text-anchor="middle">{{ format(drawing.diameter) }}</text>
    </svg>
    <figcaption>{{ words }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  max-width: 340px;
}
.stem {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2.5;
}
.wet {
  fill: var(--gorse-fill);
  stroke: var(--ink);
  stroke-width: 2;
}
.ring {
  fill: none;
  stroke: var(--gorse-fill);
}
.cut {
  fill: var(--gorse-fill);
  stroke: var(--sloe);
  stroke-width: 2.5;
}
.ground {
  stroke: var(--bark);
  stroke-width: 4;
}
.dim {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.4;
}
text {
  font: 600 14px var(--font);
  fill: var(--ink);
}
</style>
