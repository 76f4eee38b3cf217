<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import type { TrackPoint } from './useTrack';

/** The patch, what nobody enters, where one went and stands; from what the sheet carries, so without signal too. */
const props = defineProps<{
  map: NonNullable<Schemas['SheetSnapshot']['map']>;
  track: readonly (readonly TrackPoint[])[];
  here: TrackPoint | null;
  coverage: Schemas['Coverage'] | null;
}>();
const { t } = useI18n();
const WIDTH = 360;
const MARGIN = 14;

const rings = computed(() => props.map.patch.shape.coordinates as number[][][]);
/** A plane round the patch: near enough for a picture as wide as a hand. */
const frame = computed(() => {
  const corners = [...rings.value.flat(), ...(props.map.zones ?? []).flatMap((z) => z.polygons.flat(2))];
  const xs = corners.map((c) => c[0] ?? 0);
  const ys = corners.map((c) => c[1] ?? 0);
  const [west, east, south, north] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const narrow = Math.cos((((south + north) / 2) * Math.PI) / 180);
  const scale = (WIDTH - 2 * MARGIN) / Math.max((east - west) * narrow, (north - south) * 0.8, 1e-6);
  return {
    at: (p: readonly number[]): string => {
      const [x, y] = [((p[0] ?? 0) - west) * narrow, north - (p[1] ?? 0)];
      return `${(MARGIN + x * scale).toFixed(1)} ${(MARGIN + y * scale).toFixed(1)}`;
    },
    height: Math.round((north - south) * scale + 2 * MARGIN),
  };
});
const path = (polygon: readonly (readonly (readonly number[])[])[]): string =>
  polygon.map((ring) => `M${ring.map((p) => frame.value.at(p)).join('L')}Z`).join('');
const line = (points: readonly (readonly (number | null)[])[]): string =>
  points.length < 2 ? '' : `M${points.map((p) => frame.value.at(p as number[])).join('L')}`;
const spot = computed(() => (props.here ? frame.value.at(props.here.slice(0, 2) as number[]).split(' ') : null));
</script>

<template>
  <svg class="map" :viewBox="`0 0 ${WIDTH} ${frame.height}`" role="img" :aria-label="t('fieldMode.map')">
    <path class="patch" :d="path(rings)" />
    <path v-for="(p, i) in coverage?.coveredShapes ?? []" :key="`c${i}`" class="covered" :d="path(p)" />
    <path v-for="(p, i) in coverage?.twiceShapes ?? []" :key="`t${i}`" class="twice" :d="path(p)" />
    <path v-for="(p, i) in coverage?.lines ?? []" :key="`l${i}`" class="along" :d="line(p)" />
    <template v-for="(z, i) in map.zones ?? []" :key="`z${i}`">
      <path v-for="(p, k) in z.polygons" :key="k" class="zone" :d="path(p)" />
    </template>
    <path class="edge" :d="path(rings)" />
    <path v-for="(one, i) in track" :key="`w${i}`" class="way" :d="line(one)" />
    <circle v-if="spot" class="here" :cx="spot[0]" :cy="spot[1]" r="7" />
  </svg>
</template>

<style scoped>
.map {
  width: 100%;
  height: auto;
  background: var(--paper);
  border: 1px solid var(--rule);
}
.patch {
  fill: var(--lichen-deep);
}
.covered {
  fill: var(--moss);
  fill-opacity: 0.45;
}
.twice {
  fill: var(--gorse-fill);
  stroke: var(--gorse);
}
.zone {
  fill: none;
  stroke: var(--haw);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.along {
  fill: none;
  stroke: var(--rule);
  stroke-dasharray: 2 4;
}
.way {
  fill: none;
  stroke: var(--sloe);
  stroke-width: 2;
}
.here {
  fill: var(--sloe);
  stroke: var(--paper);
  stroke-width: 2;
}
</style>
