<script setup lang="ts">
import { formats } from '@/app/language';
import { useQuery } from '@tanstack/vue-query';
import { useEventListener } from '@vueuse/core';
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { api, unwrap } from '@/api/client';
import { groundsQuery, keepersQuery, patchQuery } from '@/api/queries';
import LoadFault from '@/components/feedback/LoadFault.vue';
import { useSubmit } from '@/composables/useSubmit';
import { draftKey, useDraft } from '@/composables/useDraft';
import SaidAmount from '@/components/figures/SaidAmount.vue';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import GroundMap from './GroundMap.vue';
import ImportPanel from './ImportPanel.vue';
import NewGround from './NewGround.vue';
import PatchList from './PatchList.vue';
import PatchPanel from './PatchPanel.vue';
import SaveForm, { type Form, type Task } from './SaveForm.vue';
import ShapeTools from './ShapeTools.vue';
import { zoneChoices } from './zones';
import { through, type Position, type Shape } from './shapes';
import { useShapeEditor } from './useShapeEditor';

const { t } = useI18n();
const { format, user, mayWrite } = useSession();
const { data, isPending, error } = useQuery(groundsQuery());
const route = useRoute();
const router = useRouter();
/** In the address, so that a reload, a bookmark and the way back stand on the same ground. */
const groundId = computed<string | null>({
  get: () => (typeof route.query.ground === 'string' ? route.query.ground : null),
  set: (id) => void router.replace({ query: { ...route.query, ground: id ?? undefined } }),
});
const ground = computed(() => data.value?.data.find((g) => g.id === groundId.value) ?? data.value?.data[0] ?? null);
const patchId = ref<string | null>(typeof route.query.patch === 'string' ? route.query.patch : null);
const { data: patch } = useQuery(
  computed(() => ({ ...patchQuery(patchId.value ?? ''), enabled: patchId.value !== null })),
);
const { data: keepers } = useQuery(
  computed(() => ({ ...keepersQuery(ground.value?.id ?? ''), enabled: ground.value !== null })),
);
const map = useTemplateRef<InstanceType<typeof GroundMap>>('map');
const tools = useTemplateRef<InstanceType<typeof ShapeTools>>('tools');
const version = ref(0);
const importing = ref(false);

const editor = useShapeEditor(() => ground.value?.id ?? null);
const task = ref<Task | null>(null);
const keeperId = ref<string | null>(null);
const keeper = computed(() => keepers.value?.data.find((k) => k.id === keeperId.value) ?? null);
const keeperType = ref<Shape['type']>('Point');
const type = computed<Shape['type']>(() =>
  task.value === 'split'
    ? 'LineString'
    : task.value === 'keeper'
      ? keeperType.value
      : task.value === 'editKeeper'
        ? (keeper.value?.shape?.type ?? 'Point')
        : 'Polygon',
);
const empty = (): Form => ({
  name: '',
  setting: 'woods',
  kind: 'tree',
  species: '',
  crownRadius: '',
  height: '',
  validFrom: '',
});
const form = ref<Form>(empty());
const here = ref<Position | null>(null);
/** An earlier outline of the patch in hand. */
const ghost = shallowRef<Shape | null>(null);
watch(patchId, () => (ghost.value = null));
const walked = shallowRef<Position[]>([]);

/* What is drawn and typed of a new patch or keeper survives a reload. */
const kept = computed({
  get: () => ({ form: form.value, shape: editor.shape.value, type: keeperType.value }),
  set: (v) => {
    form.value = { ...empty(), ...v.form };
    keeperType.value = v.type;
    editor.begin(v.shape);
  },
});
const { restoredAt, drop } = useDraft(
  () =>
    user.value && ground.value && (task.value === 'patch' || task.value === 'keeper')
      ? draftKey(user.value.id, `new-${task.value}`, ground.value.id)
      : '',
  kept,
);

const begin = (what: Task): void => {
  importing.value = false;
  editor.begin(what === 'outline' ? ((patch.value?.outline as Shape | null) ?? null) : null);
  form.value = {
    ...empty(),
    ...(what === 'outline' && patch.value ? { name: patch.value.name, setting: patch.value.setting.id } : {}),
  };
  task.value = what;
};
const editKeeper = (id: string): void => {
  if (!mayWrite.value) return;
  const k = keepers.value?.data.find((one) => one.id === id);
  if (!k) return;
  keeperId.value = id;
  const given = k.given as Record<string, string | { typed?: string } | undefined>;
  const typed = (v: string | { typed?: string } | undefined): string => (typeof v === 'string' ? v : (v?.typed ?? ''));
  form.value = {
    ...empty(),
    name: k.name,
    kind: k.kind,
    species: typed(given.species),
    crownRadius: typed(given.crownRadius),
    height: typed(given.height),
  };
  editor.begin(k.shape);
  task.value = 'editKeeper';
};
const end = (): void => {
  task.value = null;
  here.value = null;
  walked.value = [];
  editor.begin(null);
};
const saved = async (id: string | null): Promise<void> => {
  await drop();
  if (id && (task.value === 'patch' || patchId.value === null)) patchId.value = id;
  end();
  version.value++;
};
const choose = (id: string): void => {
  if (task.value) return;
  patchId.value = id;
  map.value?.look(id);
};
const how = computed(
  () =>
    (
      ({
        draw: 'drawn',
        table: 'pasted',
        paste: 'pasted',
        walk: 'walked',
        circle: 'measured',
        rectangle: 'measured',
        legs: 'measured',
      }) as const
    )[tools.value?.way ?? 'draw'],
);
watch(keeperType, () => task.value === 'keeper' && editor.shape.value?.type !== keeperType.value && editor.begin(null));
const undoPoint = (): void => void map.value?.removeLast();
const placeCentre = (): void => {
  // a point by keys: where the map is looking
  const at = map.value?.centre();
  if (at) editor.put(through('Point', [at.map((v) => Number(v.toFixed(8))) as Position]));
};
useEventListener('keydown', (e: KeyboardEvent) => {
  if (task.value === null || (e.target as HTMLElement).closest('input, textarea, select')) return;
  if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z') {
    e.preventDefault();
    if (e.shiftKey) editor.redo();
    else if (editor.shape.value === null) undoPoint();
    else editor.undo();
  }
});
const { busy: zoning, run, refusal: zoneRefusal } = useSubmit();
const setZone = async (zone: string): Promise<void> => {
  const g = ground.value;
  if (!g) return;
  await run(() =>
    unwrap(
      api.PATCH('/grounds/{ground}', {
        params: { path: { ground: g.id }, header: { 'If-Match': `"${g.revision}"` } },
        body: { hardinessZone: zone || null },
      }),
    ),
  );
};
const FORMATS = ['geojson', 'gpx', 'kml', 'csv'] as const;
</script>

<template>
  <div class="stack">
    <h1>{{ t('station.ground') }}</h1>
    <p v-if="isPending" role="status">{{ t('frame.loading') }}</p>
    <LoadFault v-else-if="error && !data" :of="error" />
    <template v-else-if="data">
      <div v-if="data.data.length" class="row" role="group" :aria-label="t('ground.grounds')">
        <ActButton
          v-for="g in data.data"
          :key="g.id"
          small
          :class="{ main: g.id === ground?.id }"
          :aria-pressed="g.id === ground?.id"
          @click="(end(), (groundId = g.id), (patchId = null))"
          >{{ g.name }}</ActButton
        >
      </div>
      <NewGround v-if="mayWrite" :open="data.data.length === 0" @made="(id) => ((groundId = id), (patchId = null))" />
      <template v-if="ground">
        <p class="small soft">
          {{
            t('ground.facts', {
              lat: Number(ground.latitude).toFixed(2),
              elevation: format(ground.elevation),
              days: ground.shiftDays,
            })
          }}
          ·
          <i18n-t keypath="ground.total" scope="global" :plural="ground.patchCount">
            <template #n>{{ ground.patchCount }}</template>
            <template #area><SaidAmount :of="ground.area" /></template>
          </i18n-t>
          ·
          <span class="zone"
            >{{ t('ground.zone') }}
            <ChoiceField
              :label="t('ground.zone')"
              bare
              width="8em"
              :model-value="String(ground.hardinessZone ?? '')"
              :disabled="!mayWrite || zoning"
              :options="zoneChoices(t('ground.zoneUnknown'))"
              @change="setZone"
          /></span>
          <span v-if="zoneRefusal" class="fault" role="alert">{{ zoneRefusal.message }}</span>
        </p>
        <div class="bench">
          <div class="stack">
            <GroundMap
              ref="map"
              :ground-id="ground.id"
              :chosen="patchId"
              :shape="editor.shape.value"
              :drawing="task ? type : null"
              :here="here"
              :walked="walked"
              :ghost="ghost"
              :version="version"
              @choose="choose"
              @keeper="(id) => task === null && editKeeper(id)"
              @drawn="(s) => editor.put(s)"
              @moved="(s) => editor.put(s)"
            />
            <div v-if="mayWrite && task === null" class="row">
              <ActButton @click="begin('patch')">{{ t('ground.newPatch') }}</ActButton>
              <ActButton @click="begin('keeper')">{{ t('ground.newKeeper') }}</ActButton>
              <ActButton :aria-expanded="importing" @click="importing = !importing">{{
                t('ground.import.open')
              }}</ActButton>
              <span class="row exports small"
                >{{ t('ground.export') }}
                <a v-for="f in FORMATS" :key="f" :href="`/api/v1/grounds/${ground.id}/export?format=${f}`" download>{{
                  t(`ground.format.${f}`)
                }}</a></span
              >
            </div>
            <ImportPanel v-if="importing && task === null" :key="ground.id" :ground-id="ground.id" @done="version++" />
            <PatchList
              v-if="task === null"
              :ground-id="ground.id"
              :chosen="patchId"
              @choose="choose"
              @first="(id) => (patchId = id)"
            />
          </div>
          <div class="why stack">
            <section v-if="task" class="stack" aria-labelledby="task-h">
              <h2 id="task-h">{{ t(`ground.doing.${task}`, { name: patch?.name ?? '' }) }}</h2>
              <p v-if="restoredAt" class="note small">
                {{ t('frame.restored', { when: restoredAt.toLocaleString(formats()) }) }}
              </p>
              <div v-if="task === 'keeper'" class="row" role="group" :aria-label="t('ground.asA')">
                <ActButton
                  v-for="s in ['Point', 'LineString', 'Polygon'] as const"
                  :key="s"
                  small
                  :class="{ main: keeperType === s }"
                  :aria-pressed="keeperType === s"
                  @click="keeperType = s"
                  >{{ t(`ground.shape.${s}`) }}</ActButton
                >
                <ActButton v-if="keeperType === 'Point'" quiet small @click="placeCentre">{{
                  t('ground.atCentre')
                }}</ActButton>
              </div>
              <ShapeTools
                ref="tools"
                :editor="editor"
                :type="type"
                :centre="() => map?.centre() ?? [0, 0]"
                @here="(at, so) => ((here = at), (walked = so))"
                @undo-point="undoPoint"
              />
              <SaveForm
                v-model="form"
                :task="task"
                :ground-id="ground.id"
                :patch="patch ?? null"
                :keeper="keeper"
                :shape="editor.shape.value"
                :how="how"
                @saved="saved"
                @back="end"
              />
            </section>
            <PatchPanel
              v-else-if="patchId"
              :patch-id="patchId"
              @task="begin"
              @keeper="editKeeper"
              @changed="version++"
              @ghost="(s) => (ghost = s)"
            />
            <p v-else class="soft">{{ t('ground.pick') }}</p>
          </div>
        </div>
      </template>
    </template>
  </div>
</template>

<style scoped>
.zone {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
.exports {
  gap: 4px 10px;
}
</style>
