<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, onMounted, ref, useTemplateRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { handbookQuery } from '@/api/queries';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import ProgressLine from '@/components/feedback/ProgressLine.vue';
import VerdictMark from '@/components/figures/VerdictMark.vue';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import TextField from '@/components/form/TextField.vue';
import FilesField from '@/components/form/FilesField.vue';
import { KINDS } from './marks';
import { useImportProgress } from './useImportProgress';

const props = defineProps<{
  groundId: string;
  /** A file that was given before. */
  given?: { name: string; text: string } | null;
}>();
const emit = defineEmits<{ done: [] }>();
const { t } = useI18n();
const { format } = useSession();
const { data: book } = useQuery(handbookQuery());
const { busy, refusal, run } = useSubmit();
const { progress, follow, stop } = useImportProgress();

const AS = { patch: 'asPatch', keeper: 'asKeeper', leave: 'asLeave' } as const;
const mayBe = (r: Row) =>
  (['patch', 'keeper', 'leave'] as const)
    .filter((as) => as !== 'patch' || r.type !== 'Point')
    .map((as) => ({ value: as, label: t(`ground.import.${AS[as]}`) }));
const MOST_BYTES = 12_000_000;
const FIELDS = ['name', 'longitude', 'latitude', 'geometry', 'corner'] as const;
const text = ref('');
const fileName = ref('');
/** It opens below the map: whoever asked for it is taken there. */
const panel = useTemplateRef<HTMLElement>('panel');
onMounted(() => {
  if (props.given) {
    [fileName.value, text.value] = [props.given.name, props.given.text];
    void look();
  } else panel.value?.scrollIntoView({ block: 'start' });
});
const columns = ref<Record<string, string>>({});
const preview = ref<Schemas['ImportPreview'] | null>(null);
type Row = Schemas['ImportPreview']['rows'][number];
const rows = ref<Row[]>([]);
const tooLarge = ref(false);
const done = ref<{ patches: number; keepers: number; left: number } | null>(null);
const STAGES = ['file', 'look', 'kept'] as const;
const step = computed(() => (done.value ? STAGES.length : preview.value ? 1 : 0));
const setting = ref('woods');
const kind = ref('');

const look = async (): Promise<void> => {
  const given = Object.fromEntries(Object.entries(columns.value).filter(([, v]) => v !== ''));
  const answer = await run(() =>
    unwrap(
      api.POST('/grounds/{ground}/imports/preview', {
        params: { path: { ground: props.groundId } },
        body: { text: text.value, ...(Object.keys(given).length ? { columns: given } : {}) },
      }),
    ),
  );
  if (!answer) return;
  preview.value = answer;
  columns.value = { ...answer.columns };
  rows.value = answer.rows.map((r) => ({ ...r }));
  page.value = 1;
  order.value = rows.value.map((_, i) => i).sort((a, b) => Number(asks(rows.value[b]!)) - Number(asks(rows.value[a]!)));
};
const upload = async ([file]: File[]): Promise<void> => {
  done.value = null;
  preview.value = null;
  tooLarge.value = (file?.size ?? 0) > MOST_BYTES;
  if (!file || tooLarge.value) return;
  fileName.value = file.name;
  columns.value = {};
  text.value = await file.text();
  await look();
};
/** A page at a time: a file has thousands of rows, and each is three fields. What is bad or unfinished comes first. */
const ROWS_A_PAGE = 20;
const page = ref(1);
const asks = (r: Row): boolean =>
  r.fault !== null || (r.as !== 'leave' && (r.name.trim() === '' || (r.as === 'keeper' && !r.kind)));
/** Fixed when the file is read, so that no row runs away while somebody types in it. */
const order = ref<number[]>([]);
const pages = computed(() => Math.ceil(rows.value.length / ROWS_A_PAGE));
const inPage = computed(() =>
  order.value.slice((page.value - 1) * ROWS_A_PAGE, page.value * ROWS_A_PAGE).map((i) => rows.value[i]!),
);
const taking = computed(() => rows.value.filter((r) => r.as !== 'leave'));
const missing = computed(
  () => taking.value.filter((r) => (r.as === 'keeper' && !r.kind) || r.name.trim() === '').length,
);
/** Faults of the last try, by entry. */
const faultOf = (entry: number): string | null => {
  const i = sent.value.indexOf(entry);
  return i < 0 ? null : (refusal.value?.at(`/rows/${i}`) ?? null);
};
const sent = ref<number[]>([]);
const take = async (): Promise<void> => {
  sent.value = rows.value.map((r) => r.entry);
  const body = {
    text: text.value,
    ...(Object.keys(columns.value).length ? { columns: columns.value } : {}),
    rows: rows.value.map((r) =>
      r.as === 'leave'
        ? { entry: r.entry, as: r.as }
        : {
            entry: r.entry,
            as: r.as,
            name: r.name,
            ...(r.as === 'patch' ? { setting: r.setting ?? setting.value } : { kind: r.kind ?? '' }),
          },
    ),
  };
  const key = crypto.randomUUID();
  const answer = await follow(key, () =>
    run(() =>
      unwrap(
        api.POST('/grounds/{ground}/imports', {
          params: { path: { ground: props.groundId }, header: { 'Idempotency-Key': key } },
          body,
        }),
      ),
    ),
  );
  if (!answer) return;
  done.value = answer;
  preview.value = null;
  emit('done');
};
</script>

<template>
  <section ref="panel" class="stack sheetlike" aria-labelledby="import-h">
    <h2 id="import-h">{{ t('ground.import.title') }}</h2>
    <p class="small soft">{{ t('ground.import.help') }}</p>
    <el-steps :active="step" finish-status="success" class="stages" :aria-label="t('ground.import.stages')">
      <el-step v-for="s in STAGES" :key="s" :title="t(`ground.import.stage.${s}`)" />
    </el-steps>
    <FilesField
      v-if="!done"
      :label="t('ground.import.file')"
      accept=".geojson,.json,.gpx,.kml,.csv,.txt"
      :fault="tooLarge ? t('ground.import.tooLarge') : null"
      @files="upload"
    />
    <el-result v-if="done" class="done" :title="t('ground.import.done', done)" role="status">
      <template #icon><VerdictMark outcome="fits" :name="t('ground.import.stage.kept')" /></template>
      <template #extra
        ><ActButton @click="done = null">{{ t('ground.import.another') }}</ActButton></template
      >
    </el-result>
    <template v-if="preview">
      <div v-if="preview.headers.length" class="stack">
        <h3>{{ t('ground.import.columns') }}</h3>
        <div class="row">
          <ChoiceField
            v-for="f in FIELDS"
            :key="f"
            v-model="columns[f]"
            :label="t(`ground.import.column.${f}`)"
            @change="look"
            :options="[{ value: '', label: '—' }, ...preview.headers.map((h) => ({ value: h, label: h }))]"
          />
        </div>
        <p v-if="preview.needs" class="note">{{ preview.needs }}</p>
      </div>
      <template v-if="rows.length">
        <p role="status">
          <b>{{ fileName }}</b> ·
          {{ t('ground.import.found', { n: rows.length, format: preview.format.toUpperCase() }) }} ·
          <b :class="{ fault: preview.bad > 0 }">{{ t('ground.import.bad', { n: preview.bad }) }}</b>
        </p>
        <div class="row">
          <ChoiceField
            v-model="setting"
            :label="t('ground.import.settingForAll')"
            @change="rows.forEach((r) => r.as === 'patch' && (r.setting = setting))"
            :options="(book?.settings ?? []).map((s) => ({ value: s.id, label: s.name }))"
          />
          <ChoiceField
            v-model="kind"
            :label="t('ground.import.kindForAll')"
            @change="rows.forEach((r) => r.as === 'keeper' && (r.kind = kind))"
            :options="[{ value: '', label: '—' }, ...KINDS.map((k) => ({ value: k, label: t(`keeper.${k}`) }))]"
          />
        </div>
        <div class="table-wrap rows">
          <table>
            <thead>
              <tr>
                <th>{{ t('ground.import.row') }}</th>
                <th>{{ t('ground.import.name') }}</th>
                <th>{{ t('ground.import.shape') }}</th>
                <th>{{ t('ground.import.as') }}</th>
                <th>{{ t('ground.import.what') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="r in inPage" :key="r.entry" :class="{ bad: r.fault }">
                <td>{{ r.row }}</td>
                <td>
                  <TextField
                    v-if="!r.fault"
                    v-model="r.name"
                    :label="`${t('ground.import.name')} ${r.row}`"
                    bare
                    width="9em"
                    :aria-invalid="r.as !== 'leave' && r.name.trim() === ''"
                  /><template v-else>{{ r.name || '—' }}</template>
                  <span v-if="r.fault || faultOf(r.entry)" class="fault block">{{ r.fault ?? faultOf(r.entry) }}</span>
                  <span v-if="r.note" class="small soft block">{{ r.note }}</span>
                  <span v-if="r.same !== null" class="small soft block">{{
                    t('ground.import.same', { name: r.same || '—' })
                  }}</span>
                </td>
                <td>
                  <template v-if="r.type"
                    >{{ t(`ground.shape.${r.type}`) }}
                    <span class="small soft">{{ format(r.size) === '—' ? '' : format(r.size) }}</span></template
                  >
                </td>
                <td>
                  <ChoiceField
                    v-model="r.as"
                    :label="`${t('ground.import.as')} ${r.row}`"
                    bare
                    :disabled="r.fault !== null"
                    :options="mayBe(r)"
                  />
                </td>
                <td>
                  <ChoiceField
                    v-if="r.as === 'keeper'"
                    v-model="r.kind"
                    :label="`${t('ground.kind')} ${r.row}`"
                    bare
                    :aria-invalid="!r.kind"
                    :options="[...KINDS.map((k) => ({ value: k, label: t(`keeper.${k}`) }))]"
                  />
                  <ChoiceField
                    v-else-if="r.as === 'patch'"
                    :label="`${t('ground.setting')} ${r.row}`"
                    bare
                    :model-value="r.setting ?? setting"
                    @change="r.setting = $event"
                    :options="(book?.settings ?? []).map((s) => ({ value: s.id, label: s.name }))"
                  />
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <div v-if="pages > 1" class="row">
          <el-pagination
            v-model:current-page="page"
            layout="prev, pager, next"
            :page-count="pages"
            :pager-count="5"
            :aria-label="t('list.pages')"
          />
        </div>
        <p v-if="missing" class="note small">{{ t('ground.import.missing', { n: missing }, missing) }}</p>
        <ProgressLine
          v-if="busy && progress"
          :done="progress.done"
          :of="progress.of"
          :said="t('ground.import.at', progress)"
          cancellable
          @cancel="stop"
        />
        <div class="row">
          <ActButton main :disabled="busy || taking.length === 0 || missing > 0" @click="take">{{
            t('ground.import.take', { n: taking.length }, taking.length)
          }}</ActButton>
          <ActButton quiet @click="((preview = null), (text = ''))">{{ t('frame.back') }}</ActButton>
        </div>
      </template>
    </template>
    <p v-if="refusal && !preview" class="fault" role="alert">
      {{ refusal.problem?.errors?.[0]?.message ?? refusal.message }}
    </p>
    <p v-else-if="refusal" class="fault" role="alert">{{ t('ground.import.refused') }}</p>
  </section>
</template>

<style scoped>
.rows {
  max-height: 380px;
  overflow: auto;
}
.block {
  display: block;
}
.bad td {
  background: var(--lichen-deep);
}
</style>
