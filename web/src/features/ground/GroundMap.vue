<script setup lang="ts">
import 'ol/ol.css';
import { watchDebounced } from '@vueuse/core';
import { easeOut } from 'ol/easing';
import { createEmpty, extend, isEmpty } from 'ol/extent';
import Feature from 'ol/Feature';
import GeoJSON from 'ol/format/GeoJSON';
import type { Geometry } from 'ol/geom';
import { Draw, Modify, Snap } from 'ol/interaction';
import { defaults as controls, ScaleLine } from 'ol/control';
import Graticule from 'ol/layer/Graticule';
import VectorLayer from 'ol/layer/Vector';
import OlMap from 'ol/Map';
import { fromLonLat, toLonLat, transformExtent } from 'ol/proj';
import VectorSource from 'ol/source/Vector';
import { Fill, Stroke } from 'ol/style';
import Text from 'ol/style/Text';
import View from 'ol/View';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import MapLegend from './MapLegend.vue';
import { drawnStyle, forgetInks, inkOf, labelFill, patchStyle, plotStyle, workStyle } from './mapStyles';
import type { Position, Shape } from './shapes';

const props = defineProps<{
  groundId: string;
  /** Patch in hand. */
  chosen: string | null;
  /** Shape in work; null while nothing is drawn or changed. */
  shape: Shape | null;
  /** What a click draws; null while nothing is to be drawn. */
  drawing: Shape['type'] | null;
  plots?: Position[];
  here?: Position | null;
  walked?: Position[];
  ghost?: Shape | null;
  /** Changes whenever the shapes should be asked again. */
  version: number;
}>();
const emit = defineEmits<{
  choose: [patch: string];
  keeper: [id: string];
  drawn: [shape: Shape];
  moved: [shape: Shape];
  loaded: [map: Schemas['GroundMap']];
}>();
const { t } = useI18n();
const { user } = useSession();

const format = new GeoJSON({ featureProjection: 'EPSG:3857' });
const geometryOf = (shape: unknown): Geometry =>
  format.readGeometry(shape, { dataProjection: 'EPSG:4326', featureProjection: 'EPSG:3857' }) as Geometry;
const shapeOf = (geometry: Geometry): Shape =>
  format.writeGeometryObject(geometry, {
    dataProjection: 'EPSG:4326',
    featureProjection: 'EPSG:3857',
    decimals: 8,
    rightHanded: true,
  });

/** So few patches in the picture come with all their corners (MapWire). */
const MOST_FULL = 250;
const sources = {
  far: new VectorSource(),
  patches: new VectorSource(),
  zones: new VectorSource(),
  keepers: new VectorSource(),
  plots: new VectorSource(),
  work: new VectorSource(),
};
const seen = ref<Schemas['GroundMap'] | null>(null);
const kinds = computed(() => [...new Set(seen.value?.keepers.map((k) => k.kind) ?? [])].sort());
const el = ref<HTMLElement | null>(null);
let map: OlMap | null = null;
let draw: Draw | null = null;
let modify: Modify | null = null;
let snap: Snap[] = [];
let graticule: Graticule | null = null;

const layer = (
  source: VectorSource,
  style: Parameters<VectorLayer['setStyle']>[0],
  zIndex: number,
  declutter = false,
) => new VectorLayer({ source, style, zIndex, declutter, updateWhileAnimating: false, updateWhileInteracting: false });
const layers = {
  far: layer(sources.far, (f) => patchStyle(f as Feature, f.getId() === props.chosen, 'coarse'), 4, true),
  patches: layer(sources.patches, (f) => patchStyle(f as Feature, f.getId() === props.chosen, 'full'), 4, true),
  zones: layer(sources.zones, (f) => drawnStyle(f as Feature, 'zone'), 3, true),
  keepers: layer(sources.keepers, (f) => drawnStyle(f as Feature, String(f.get('kind'))), 2, true),
  plots: layer(sources.plots, (f) => plotStyle(f as Feature), 5, true),
  work: layer(sources.work, (f) => workStyle(f as Feature), 6),
};

/*
 * Shapes: the whole ground first; where that comes with few corners, whatever is in the picture again with all of them.
 */
let boxed: string | null = null;
let asking = 0;
const farView = (isFar: boolean): void => {
  layers.far.setVisible(isFar);
  layers.patches.setVisible(!isFar);
};
const load = async (box: string | null): Promise<void> => {
  const mine = ++asking;
  const answer = await unwrap(
    api.GET('/grounds/{ground}/map', { params: { path: { ground: props.groundId }, query: box ? { box } : {} } }),
  );
  if (mine !== asking) return;
  boxed = box;
  // what may fall is told on the map until it is down
  const named = (thing: { name: string; standing?: number }): string =>
    thing.standing ? `${thing.name} ⚠ ${t('ground.standing', { n: thing.standing }, thing.standing)}` : thing.name;
  const features = (
    things: { id: string; name: string; shape: unknown; kind?: string; standing?: number }[],
  ): Feature[] =>
    things.map((thing) => {
      const feature = new Feature({ geometry: geometryOf(thing.shape), name: named(thing), kind: thing.kind });
      feature.setId(thing.id);
      return feature;
    });
  const show = (source: VectorSource, things: Feature[]): void => {
    source.clear(true);
    source.addFeatures(things);
  };
  const first = seen.value === null;
  if (box === null) seen.value = answer;
  const isFar = answer.detail === 'coarse';
  show(isFar ? sources.far : sources.patches, features(answer.patches));
  if (box === null && !isFar) sources.far.clear(true);
  farView(isFar);
  show(sources.zones, features(answer.zones));
  show(sources.keepers, features(answer.keepers));
  emit('loaded', answer);
  if (box === null) whole.value = !isFar;
  if (first) toAll(0);
  // plots are walked one patch at a time
  if (first && props.plots && props.chosen) look(props.chosen);
};
/** Brings a patch into the picture. */
const look = (patch: string): void => {
  const geometry = (sources.patches.getFeatureById(patch) ?? sources.far.getFeatureById(patch))?.getGeometry();
  if (geometry) map?.getView().fit(geometry.getExtent(), { padding: [60, 60, 70, 60], maxZoom: 20.5, duration: 250 });
};
const whole = ref(true);
const toAll = (duration = 250): void => {
  const view = map?.getView();
  if (!view || !seen.value) return;
  // patches that are not in the picture yet are in the extent the server gave
  const all = createEmpty();
  if (seen.value.extent) extend(all, transformExtent(seen.value.extent, 'EPSG:4326', 'EPSG:3857'));
  if (!sources.keepers.isEmpty()) extend(all, sources.keepers.getExtent()!);
  if (!isEmpty(all)) view.fit(all, { padding: [44, 44, 56, 44], maxZoom: 20, duration, easing: easeOut });
  else view.setCenter(fromLonLat(seen.value.centre));
};
const onMove = (): void => {
  if (whole.value || !map) return;
  const extent = map.getView().calculateExtent(map.getSize());
  // the far-off shapes are all here: only what is close is asked again, with all its corners
  if (sources.far.getFeaturesInExtent(extent).length > MOST_FULL) return farView(true);
  const [w, s, e, n] = transformExtent(extent, 'EPSG:3857', 'EPSG:4326') as [number, number, number, number];
  const box = [w, s, e, n].map((v) => v.toFixed(6)).join(',');
  if (box !== boxed) void load(box);
  else farView(false);
};

/* Drawing, and moving corners of what is drawn; both snap to what is there. */
const arm = (): void => {
  if (!map) return;
  [draw, modify, ...snap].forEach((i) => i && map!.removeInteraction(i));
  draw = modify = null;
  snap = [];
  if (props.drawing && !props.shape) {
    draw = new Draw({
      source: sources.work,
      type: props.drawing,
      style: (f) => workStyle(f as Feature),
      stopClick: true,
    });
    draw.on('drawend', (e) => emit('drawn', shapeOf(e.feature.getGeometry()!)));
    map.addInteraction(draw);
  } else if (props.drawing && props.shape) {
    modify = new Modify({ source: sources.work, pixelTolerance: 14 });
    modify.on('modifyend', (e) => {
      const geometry = e.features.item(0).getGeometry();
      if (geometry) emit('moved', shapeOf(geometry));
    });
    map.addInteraction(modify);
  }
  if (draw || modify) {
    // the last to be added acts first, so snapping comes last
    snap = [sources.patches, sources.keepers, sources.work].map((source) => new Snap({ source, pixelTolerance: 12 }));
    snap.forEach((s) => map!.addInteraction(s));
  }
};
const showWork = (): void => {
  sources.work.clear(true);
  if (props.shape) sources.work.addFeature(new Feature({ geometry: geometryOf(props.shape) }));
  if (props.ghost) sources.work.addFeature(new Feature({ geometry: geometryOf(props.ghost), ghost: true }));
  if (props.walked && props.walked.length > 1)
    sources.work.addFeature(
      new Feature({ geometry: geometryOf({ type: 'LineString', coordinates: props.walked }), way: true }),
    );
  if (props.here)
    sources.work.addFeature(
      new Feature({ geometry: geometryOf({ type: 'Point', coordinates: props.here }), here: true }),
    );
};
const showPlots = (): void => {
  sources.plots.clear(true);
  sources.plots.addFeatures(
    (props.plots ?? []).map(
      (at, i) => new Feature({ geometry: geometryOf({ type: 'Point', coordinates: at }), name: String(i + 1) }),
    ),
  );
};
const restyle = (): void => {
  forgetInks();
  Object.values(layers).forEach((l) => l.changed());
  if (graticule) map?.removeLayer(graticule);
  const line = new Stroke({ color: inkOf('rule'), width: 0.6 });
  const label = (align: CanvasTextAlign) =>
    new Text({
      font: '12px "Atkinson Hyperlegible Mono Variable", monospace',
      fill: new Fill({ color: inkOf('ink-soft') }),
      stroke: labelFill(),
      textAlign: align,
      textBaseline: align === 'end' ? 'bottom' : 'top',
    });
  graticule = new Graticule({
    strokeStyle: line,
    showLabels: true,
    wrapX: false,
    zIndex: 1,
    intervals: [10, 5, 1, 0.5, 0.1, 0.05, 0.02, 0.01, 0.005, 0.002, 0.001, 0.0005, 0.0002],
    targetSize: 160,
    lonLabelStyle: label('center'),
    latLabelStyle: label('end'),
    lonLabelPosition: 0,
    latLabelPosition: 0.985,
    lonLabelFormatter: (v) => `${Math.abs(v).toFixed(4)}° ${v < 0 ? 'W' : 'E'}`,
    latLabelFormatter: (v) => `${Math.abs(v).toFixed(4)}° ${v < 0 ? 'S' : 'N'}`,
  });
  map?.addLayer(graticule);
};

onMounted(() => {
  map = new OlMap({
    target: el.value!,
    controls: controls({
      attribution: false,
      rotate: false,
      zoomOptions: { zoomInTipLabel: t('ground.map.in'), zoomOutTipLabel: t('ground.map.out') },
    }).extend([new ScaleLine({ units: user.value?.units === 'metric' ? 'metric' : 'us' })]),
    layers: Object.values(layers),
    view: new View({
      center: [0, 0],
      zoom: 17,
      minZoom: 6,
      maxZoom: 23,
      enableRotation: false,
      constrainResolution: false,
    }),
  });
  map.on('moveend', onMove);
  map.on('singleclick', (e) => {
    if (props.drawing) return;
    const keeper = map!.forEachFeatureAtPixel(e.pixel, (f) => f, {
      layerFilter: (l) => l === layers.keepers,
      hitTolerance: 8,
    });
    if (keeper) return emit('keeper', String(keeper.getId()));
    const patch = map!.forEachFeatureAtPixel(e.pixel, (f) => f, {
      layerFilter: (l) => l === layers.patches || l === layers.far,
      hitTolerance: 4,
    });
    if (patch) emit('choose', String(patch.getId()));
  });
  restyle();
  void load(null);
  showWork();
  showPlots();
  arm();
});
onBeforeUnmount(() => map?.setTarget(undefined));
watch(() => [props.drawing, props.shape === null] as const, arm);
watch(() => [props.shape, props.here, props.walked, props.ghost], showWork);
watch(() => props.plots, showPlots);
watch(
  () => props.chosen,
  () => (layers.patches.changed(), layers.far.changed()),
);
watch(
  () => props.version,
  () => load(whole.value ? null : boxed),
);
watch(
  () => props.groundId,
  () => {
    seen.value = null;
    boxed = null;
    void load(null);
  },
);
watchDebounced(
  () => [user.value?.light, user.value?.units],
  () =>
    map &&
    (restyle(),
    map
      .getControls()
      .forEach((c) => c instanceof ScaleLine && c.setUnits(user.value?.units === 'metric' ? 'metric' : 'us'))),
  { debounce: 50 },
);

const centre = (): Position => (map ? (toLonLat(map.getView().getCenter() ?? [0, 0]) as Position) : [0, 0]);
const removeLast = (): boolean => {
  if (!draw) return false;
  draw.removeLastPoint();
  return true;
};
defineExpose({ centre, removeLast, look, toAll, olMap: () => map });
</script>

<template>
  <div class="map-frame">
    <div ref="el" class="map" tabindex="0" role="region" :aria-label="t('ground.map.label')"></div>
    <svg class="north" viewBox="0 0 28 44" aria-hidden="true">
      <path d="M14 42V4M7 14 14 3l7 11" />
      <text x="14" y="34" text-anchor="middle">N</text>
    </svg>
    <ActButton small class="all" @click="toAll()">{{ t('ground.map.all') }}</ActButton>
    <MapLegend :kinds="kinds" />
  </div>
</template>

<style scoped>
.map-frame {
  position: relative;
}
.map {
  height: clamp(320px, 56vh, 560px);
  background: var(--paper);
  border: 1px solid var(--rule);
}
.north {
  position: absolute;
  right: 10px;
  top: 10px;
  width: 26px;
  height: 42px;
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  pointer-events: none;
}
.north text {
  font: 700 12px var(--font);
  fill: var(--ink);
  stroke: var(--paper);
  stroke-width: 4px;
  paint-order: stroke;
}
.all {
  position: absolute;
  right: 44px;
  top: 10px;
  background: var(--paper);
}
.map :deep(.ol-zoom) {
  left: 10px;
  top: 10px;
  background: none;
  padding: 0;
}
.map :deep(.ol-zoom button) {
  width: 40px;
  height: 40px;
  margin: 0 0 4px;
  border: 1px solid var(--sloe);
  border-radius: var(--corner);
  background: var(--paper);
  color: var(--sloe);
  font: 600 22px var(--font);
}
.map :deep(.ol-scale-line) {
  left: 10px;
  bottom: 10px;
  background: var(--paper);
  border-radius: 0;
  padding: 2px 4px;
}
.map :deep(.ol-scale-line-inner) {
  border: 2px solid var(--ink);
  border-top: 0;
  color: var(--ink);
  font: 600 13px var(--font);
}
</style>
