<script setup lang="ts">
import { computed } from 'vue';

/** A plain drawing of outlines at one scale: patches, the one in hand strong. North is up. */
const props = defineProps<{
  patches: readonly { id: string; name: string; outline: { coordinates: number[][][] } | null }[];
  /** Patch drawn strong; null draws all alike. */
  chosen?: string | null;
}>();
const emit = defineEmits<{ choose: [id: string] }>();

const WIDTH = 640;
const drawn = computed(() => {
  const shapes = props.patches.filter((p) => p.outline !== null);
  const all = shapes.flatMap((p) => p.outline!.coordinates[0] ?? []);
  if (all.length === 0) return null;
  const lons = all.map((c) => c[0]!);
  const lats = all.map((c) => c[1]!);
  const [west, east, south, north] = [Math.min(...lons), Math.max(...lons), Math.min(...lats), Math.max(...lats)];
  // a degree of longitude is shorter by the cosine of the latitude; good enough for a picture, never for a sum
  const squeeze = Math.cos((((north + south) / 2) * Math.PI) / 180);
  const scale = (WIDTH - 40) / Math.max((east - west) * squeeze, (north - south) * 1.6, 1e-6);
  const height = Math.max(120, (north - south) * scale + 60);
  const x = (lon: number): number => 20 + (lon - west) * squeeze * scale;
  const y = (lat: number): number => 20 + (north - lat) * scale;
  const metre = scale / 111_320;
  const bar = [10, 20, 50, 100, 200, 500, 1000].find((m) => m * metre > 70) ?? 1000;
  return {
    height,
    bar,
    barWidth: bar * metre,
    shapes: shapes.map((p) => {
      const ring = p.outline!.coordinates[0] ?? [];
      const points = ring.map((c) => [x(c[0]!), y(c[1]!)] as const);
      return {
        id: p.id,
        name: p.name,
        path: p.outline!.coordinates.map((r) => `M${r.map((c) => `${x(c[0]!).toFixed(1)} ${y(c[1]!).toFixed(1)}`).join('L')}Z`).join(''),
        at: [points.reduce((s, q) => s + q[0], 0) / points.length, points.reduce((s, q) => s + q[1], 0) / points.length] as const,
      };
    }),
  };
});
</script>

<template>
  <svg v-if="drawn" class="outline" :viewBox="`0 0 ${WIDTH} ${drawn.height}`" role="img" :aria-label="patches.map((p) => p.name).join(', ')">
    <g v-for="shape in drawn.shapes" :key="shape.id" class="patch" :class="{ chosen: shape.id === chosen }" @click="emit('choose', shape.id)">
      <path :d="shape.path" fill-rule="evenodd" />
      <text :x="shape.at[0]" :y="shape.at[1]" text-anchor="middle">{{ shape.name }}</text>
    </g>
    <g :transform="`translate(20 ${drawn.height - 14})`">
      <path class="bar" :d="`M0 -5v5h${drawn.barWidth}v-5`" />
      <text :x="drawn.barWidth + 8" y="2">{{ drawn.bar }} m</text>
    </g>
    <path class="north" :transform="`translate(${WIDTH - 24} 34)`" d="M0 0V-22M-5 -14 0 -22 5 -14" />
  </svg>
</template>

<style scoped>
.outline {
  width: 100%;
  height: auto;
  background: var(--paper);
  border: 1px solid var(--rule);
}
.patch {
  cursor: pointer;
}
.patch path {
  fill: var(--lichen-deep);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.patch.chosen path {
  fill: var(--sloe-pale);
  stroke: var(--sloe);
  stroke-width: 3;
}
text {
  font: 600 14px var(--font);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.bar,
.north {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
