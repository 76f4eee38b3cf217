<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { MARKS } from '@/api/vocabulary';
import { coverageQuery } from '@/api/queries';
import ActButton from '@/components/form/ActButton.vue';
import FilesField from '@/components/form/FilesField.vue';
import PickField from '@/components/form/PickField.vue';
import TextField from '@/components/form/TextField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import SaidAmount from '@/components/figures/SaidAmount.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import FieldMap from './FieldMap.vue';
import { marksOf } from './marks';
import type { FieldNote } from './fieldStore';
import { isWithin, useTrack, type TrackPoint } from './useTrack';

/** Where one goes: recorded on this phone, an alarm where the product must not come, and what was covered. */
const props = defineProps<{ sheet: string; snapshot: Schemas['SheetSnapshot']; notes: FieldNote[] }>();
const emit = defineEmits<{
  note: [kind: FieldNote['kind'], body: Record<string, unknown>];
  entered: [n: number];
  brought: [];
}>();
const { t } = useI18n();
const { session, format } = useSession();
const { recording, failure, lost, here, points, start, stop } = useTrack(
  (piece) => emit('note', 'track', { points: piece }),
  () => session.value?.demo ?? false,
);
const map = computed(() => props.snapshot.map);
/** Tracks that are written down, and the piece that is being walked. */
const tracks = computed<TrackPoint[][]>(() => {
  const of = new Map<string, TrackPoint[]>();
  for (const n of props.notes)
    if (n.kind === 'track') of.set(n.device, [...(of.get(n.device) ?? []), ...(n.points as TrackPoint[])]);
  return [...of.values(), points.value];
});
const entered = computed(() =>
  (map.value?.zones ?? []).filter((z) => {
    const at = here.value;
    return at !== null && z.polygons.some((p) => isWithin([at[0], at[1]], p));
  }),
);
watch(
  () => entered.value.length,
  (n) => emit('entered', n),
);
const begin = (): void => {
  const [longitude, latitude] = (map.value?.patch.shape.coordinates as number[][][] | undefined)?.[0]?.[0] ?? [0, 0];
  start([longitude ?? 0, latitude ?? 0]);
};
const marks = computed(() => marksOf(props.notes));
const cross = ref<[number, number] | null>(null);
const state = ref<(typeof MARKS)[number]>('left');
const why = ref('');
/** Where one stands, else in the middle of the patch: from there it is moved. */
const place = (): void => {
  const ring = (map.value?.patch.shape.coordinates as number[][][] | undefined)?.[0] ?? [];
  const middle = (i: 0 | 1): number => {
    const all = ring.map((c) => c[i] ?? 0);
    return (Math.min(...all) + Math.max(...all)) / 2;
  };
  cross.value = here.value ? [here.value[0], here.value[1]] : [middle(0), middle(1)];
};
const mark = (): void => {
  const at = cross.value?.map((n) => Math.round(n * 1e7) / 1e7);
  emit('note', 'mark', { state: state.value, position: at, ...(why.value.trim() ? { why: why.value.trim() } : {}) });
  cross.value = null;
  why.value = '';
};
const { busy, refusal, run } = useSubmit();
const readTrack = async (files: File[]): Promise<void> => {
  const gpx = await files[0]?.text();
  if (gpx === undefined) return;
  const done = await run(() =>
    unwrap(api.POST('/sheets/{sheet}/tracks', { params: { path: { sheet: props.sheet } }, body: { gpx } })),
  );
  if (done) emit('brought');
};
const width = ref('');
const asked = ref('');
const { data: coverage, error } = useQuery(
  computed(() => ({ ...coverageQuery(props.sheet, asked.value), enabled: asked.value !== '' })),
);
</script>

<template>
  <section v-if="map" class="stack" aria-labelledby="way-h">
    <h2 id="way-h">{{ t('fieldMode.way') }}</h2>
    <p v-for="z in entered" :key="z.name" class="warn" role="alert">
      <b>{{ t('fieldMode.zone', { name: z.name }) }}</b> {{ t('fieldMode.zoneHelp', { distance: format(z.distance) }) }}
    </p>
    <FieldMap
      v-model:cross="cross"
      :map="map"
      :track="tracks"
      :here="here"
      :coverage="coverage ?? null"
      :marks="marks"
    />
    <div v-if="!cross" class="row">
      <ActButton @click="place">{{ t('fieldMode.mark') }}</ActButton>
    </div>
    <form v-else class="stack" novalidate @submit.prevent="mark">
      <p class="small">{{ t('fieldMode.markHelp') }}</p>
      <PickField
        v-model="state"
        :label="t('fieldMode.markAs')"
        :options="MARKS.map((m) => ({ value: m, label: t(`fieldMode.marks.${m}`) }))"
      />
      <TextField v-model="why" :label="t('fieldMode.markWhy')" maxlength="200" />
      <div class="row">
        <ActButton main type="submit">{{ t('fieldMode.markPut') }}</ActButton>
        <ActButton quiet @click="cross = null">{{ t('fieldMode.leaveIt') }}</ActButton>
      </div>
    </form>
    <ul v-if="marks.length" class="plain ruled small">
      <li v-for="m in marks" :key="m.id" class="row spread">
        <span
          ><b>{{ t(`fieldMode.marks.${m.state}`) }}</b
          >{{ m.why ? `: ${m.why}` : '' }} <span class="soft">{{ m.by }}</span></span
        >
        <ActButton quiet small @click="emit('note', 'undo', { of: m.id })">{{ t('fieldMode.takeBack') }}</ActButton>
      </li>
    </ul>
    <p v-if="recording" class="small" role="status">
      {{
        lost
          ? t('fieldMode.noFix')
          : here?.[3]
            ? t('fieldMode.fixes', { n: points.length, metres: here[3] })
            : t('fieldMode.waiting')
      }}
    </p>
    <p v-if="failure" class="fault" role="alert">
      {{ t(failure === 'silent' ? 'fieldMode.stopped' : 'fieldMode.noPosition') }}
    </p>
    <div class="row">
      <ActButton v-if="!recording" @click="begin">{{ t('fieldMode.record') }}</ActButton>
      <ActButton v-else @click="stop">{{ t('fieldMode.recordStop') }}</ActButton>
    </div>
    <FilesField
      :label="t('fieldMode.gpx')"
      accept=".gpx,application/gpx+xml"
      :help="t('fieldMode.gpxHelp')"
      :fault="refusal ? (refusal.at('/gpx') ?? refusal.message) : null"
      :disabled="busy"
      @files="readTrack"
    />
    <form class="row" novalidate @submit.prevent="asked = width.trim()">
      <QuantityField v-model="width" :label="t('fieldMode.width')" sample="5 ft" width="8em" />
      <ActButton quiet type="submit" :disabled="!width.trim()">{{ t('fieldMode.cover') }}</ActButton>
    </form>
    <p v-if="error" class="fault" role="alert">{{ error.message }}</p>
    <ul v-if="coverage" class="plain ruled">
      <li>{{ t('fieldMode.covered') }} <SaidAmount :of="coverage.covered" /></li>
      <li class="small soft">{{ t('fieldMode.sure') }} <SaidAmount :of="coverage.sure" /></li>
      <li>{{ t('fieldMode.missed') }} <SaidAmount :of="coverage.missed" /></li>
      <li>{{ t('fieldMode.twice') }} <SaidAmount :of="coverage.twice" /></li>
      <li v-if="coverage.parted" class="warn">{{ t('fieldMode.parted', { n: coverage.parted }, coverage.parted) }}</li>
    </ul>
  </section>
</template>
