<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { handbookQuery } from '@/api/queries';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import { KINDS } from './marks';

const props = defineProps<{ groundId: string }>();
const emit = defineEmits<{ done: [] }>();
const { t } = useI18n();
const { format } = useSession();
const { data: book } = useQuery(handbookQuery());
const { busy, refusal, run } = useSubmit();

const MOST_BYTES = 12_000_000;
const FIELDS = ['name', 'longitude', 'latitude', 'geometry', 'corner'] as const;
const text = ref('');
const fileName = ref('');
const columns = ref<Record<string, string>>({});
const preview = ref<Schemas['ImportPreview'] | null>(null);
type Row = Schemas['ImportPreview']['rows'][number];
const rows = ref<Row[]>([]);
const tooLarge = ref(false);
const done = ref<{ patches: number; keepers: number; left: number } | null>(null);
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
};
const upload = async (e: Event): Promise<void> => {
  const file = (e.target as HTMLInputElement).files?.[0];
  done.value = null;
  preview.value = null;
  tooLarge.value = (file?.size ?? 0) > MOST_BYTES;
  if (!file || tooLarge.value) return;
  fileName.value = file.name;
  columns.value = {};
  text.value = await file.text();
  await look();
};
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
  const answer = await run(() =>
    unwrap(api.POST('/grounds/{ground}/imports', { params: { path: { ground: props.groundId } }, body })),
  );
  if (!answer) return;
  done.value = answer;
  preview.value = null;
  emit('done');
};
</script>

<template>
  <section class="stack sheetlike" aria-labelledby="import-h">
    <h2 id="import-h">{{ t('ground.import.title') }}</h2>
    <p class="small soft">{{ t('ground.import.help') }}</p>
    <label class="label"
      >{{ t('ground.import.file') }}<input type="file" accept=".geojson,.json,.gpx,.kml,.csv,.txt" @change="upload"
    /></label>
    <p v-if="tooLarge" class="fault" role="alert">{{ t('ground.import.tooLarge') }}</p>
    <p v-if="done" class="good" role="status">{{ t('ground.import.done', done) }}</p>
    <template v-if="preview">
      <div v-if="preview.headers.length" class="stack">
        <h3>{{ t('ground.import.columns') }}</h3>
        <div class="row">
          <label v-for="f in FIELDS" :key="f" class="label"
            >{{ t(`ground.import.column.${f}`) }}
            <select v-model="columns[f]" class="field" @change="look">
              <option value="">—</option>
              <option v-for="h in preview.headers" :key="h" :value="h">{{ h }}</option>
            </select>
          </label>
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
          <label class="label"
            >{{ t('ground.import.settingForAll') }}
            <select
              v-model="setting"
              class="field"
              @change="rows.forEach((r) => r.as === 'patch' && (r.setting = setting))"
            >
              <option v-for="s in book?.settings ?? []" :key="s.id" :value="s.id">{{ s.name }}</option>
            </select>
          </label>
          <label class="label"
            >{{ t('ground.import.kindForAll') }}
            <select v-model="kind" class="field" @change="rows.forEach((r) => r.as === 'keeper' && (r.kind = kind))">
              <option value="">—</option>
              <option v-for="k in KINDS" :key="k" :value="k">{{ t(`keeper.${k}`) }}</option>
            </select>
          </label>
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
              <tr v-for="r in rows" :key="r.entry" :class="{ bad: r.fault }">
                <td>{{ r.row }}</td>
                <td>
                  <input
                    v-if="!r.fault"
                    v-model="r.name"
                    class="field name"
                    :aria-label="`${t('ground.import.name')} ${r.row}`"
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
                  <select
                    v-model="r.as"
                    class="field"
                    :disabled="r.fault !== null"
                    :aria-label="`${t('ground.import.as')} ${r.row}`"
                  >
                    <option v-if="r.type !== 'Point'" value="patch">{{ t('ground.import.asPatch') }}</option>
                    <option value="keeper">{{ t('ground.import.asKeeper') }}</option>
                    <option value="leave">{{ t('ground.import.asLeave') }}</option>
                  </select>
                </td>
                <td>
                  <select
                    v-if="r.as === 'keeper'"
                    v-model="r.kind"
                    class="field"
                    :aria-label="`${t('ground.kind')} ${r.row}`"
                    :aria-invalid="!r.kind"
                  >
                    <option :value="null" disabled>{{ t('ground.import.choose') }}</option>
                    <option v-for="k in KINDS" :key="k" :value="k">{{ t(`keeper.${k}`) }}</option>
                  </select>
                  <select
                    v-else-if="r.as === 'patch'"
                    class="field"
                    :value="r.setting ?? setting"
                    :aria-label="`${t('ground.setting')} ${r.row}`"
                    @change="r.setting = ($event.target as HTMLSelectElement).value"
                  >
                    <option v-for="s in book?.settings ?? []" :key="s.id" :value="s.id">{{ s.name }}</option>
                  </select>
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <p v-if="missing" class="note small">{{ t('ground.import.missing', { n: missing }, missing) }}</p>
        <div class="row">
          <button class="btn main" type="button" :disabled="busy || taking.length === 0 || missing > 0" @click="take">
            {{ t('ground.import.take', { n: taking.length }, taking.length) }}
          </button>
          <button class="btn quiet" type="button" @click="((preview = null), (text = ''))">
            {{ t('frame.back') }}
          </button>
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
.name {
  width: 12em;
  min-height: 34px;
}
.block {
  display: block;
}
.bad td {
  background: var(--lichen-deep);
}
.good {
  border-left: 6px solid var(--moss);
  padding: 6px 12px;
}
</style>
