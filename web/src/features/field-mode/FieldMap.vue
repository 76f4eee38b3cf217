<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import type { Mark } from './marks';
import type { TrackPoint } from './useTrack';

/** The patch, what nobody enters, where one went and stands; from what the sheet carries, so without signal too. */
const props = defineProps<{
  map: NonNullable<Schemas['SheetSnapshot']['map']>;
  track: readonly (readonly TrackPoint[])[];
  here: TrackPoint | null;
  coverage: Schemas['Coverage'] | null;
  marks: readonly Mark[];
}>();
/** Where a mark is to be put; null while none is. */
const cross = defineModel<[number, number] | null>('cross', { required: true });
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
    /** The position under a point of the picture. */
    under: (x: number, y: number): [number, number] => [
      west + (x - MARGIN) / scale / narrow,
      north - (y - MARGIN) / scale,
    ],
  };
});
const picture = ref<SVGSVGElement | null>(null);
const STEP = 6;
const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};
const spotOf = (p: readonly (number | null)[]): [number, number] => {
  const [x, y] = frame.value
    .at(p as number[])
    .split(' ')
    .map(Number);
  return [x ?? 0, y ?? 0];
};
const put = (x: number, y: number): void => {
  const inside = (n: number, most: number): number => Math.min(most, Math.max(0, n));
  cross.value = frame.value.under(inside(x, WIDTH), inside(y, frame.value.height));
};
const tap = (event: MouseEvent): void => {
  const box = picture.value?.getBoundingClientRect();
  if (!cross.value || !box) return;
  put(((event.clientX - box.left) / box.width) * WIDTH, ((event.clientY - box.top) / box.height) * frame.value.height);
};
const move = (event: KeyboardEvent): void => {
  const by = STEPS[event.key];
  if (!cross.value || !by) return;
  event.preventDefault();
  const [x, y] = spotOf(cross.value);
  put(x + by[0], y + by[1]);
};
const path = (polygon: readonly (readonly (readonly number[])[])[]): string =>
  polygon.map((ring) => `M${ring.map((p) => frame.value.at(p)).join('L')}Z`).join('');
const line = (points: readonly (readonly (number | null)[])[]): string =>
  points.length < 2 ? '' : `M${points.map((p) => frame.value.at(p as number[])).join('L')}`;
const spot = computed(() => (props.here ? frame.value.at(props.here.slice(0, 2) as number[]).split(' ') : null));
</script>

<template>
  <svg
    ref="picture"
    class="map"
    :class="{ placing: cross }"
    :viewBox="`0 0 ${WIDTH} ${frame.height}`"
    :role="cross ? 'application' : 'img'"
    :tabindex="cross ? 0 : undefined"
    :aria-label="t(cross ? 'fieldMode.place' : 'fieldMode.map')"
    @click="tap"
    @keydown="move"
  >
    <path class="patch" :d="path(rings)" />
    <path v-for="(p, i) in coverage?.coveredShapes ?? []" :key="`c${i}`" class="covered" :d="path(p)" />
    <path v-for="(p, i) in coverage?.twiceShapes ?? []" :key="`t${i}`" class="twice" :d="path(p)" />
    <path v-for="(p, i) in coverage?.lines ?? []" :key="`l${i}`" class="along" :d="line(p)" />
    <template v-for="(z, i) in map.zones ?? []" :key="`z${i}`">
      <path v-for="(p, k) in z.polygons" :key="k" class="zone" :d="path(p)" />
    </template>
    <path class="edge" :d="path(rings)" />
    <path v-for="(one, i) in track" :key="`w${i}`" class="way" :d="line(one)" />
    <g
      v-for="m in marks"
      :key="m.id"
      :transform="`translate(${spotOf(m.position).join(' ')})`"
      :class="['mark', m.state]"
    >
      <circle v-if="m.state === 'treated'" r="5" />
      <rect v-else-if="m.state === 'left'" x="-5" y="-5" width="10" height="10" />
      <path v-else d="M-6-6L6 6M6-6L-6 6" />
    </g>
    <path v-if="cross" class="cross" :transform="`translate(${spotOf(cross).join(' ')})`" d="M-12 0H12M0-12V12" />
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
.placing {
  cursor: crosshair;
  outline-offset: 2px;
}
.mark.treated {
  fill: var(--moss);
}
.mark.left {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.mark.missed {
  fill: none;
  stroke: var(--haw);
  stroke-width: 3;
}
.cross {
  stroke: var(--sloe);
  stroke-width: 3;
}
.here {
  fill: var(--sloe);
  stroke: var(--paper);
  stroke-width: 2;
}
</style>
