<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { countQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import { useSubmit } from '@/composables/useSubmit';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';
import CounterPad from './CounterPad.vue';
import CountSummary from './CountSummary.vue';
import PlotForm from './PlotForm.vue';
import TallyGrid from './TallyGrid.vue';
import { emptyRow, fromWire, toWire, type TallyRow } from './tally';

// the map comes only where plots are to be shown
const GroundMap = defineAsyncComponent(() => import('@/features/ground/GroundMap.vue'));

const props = defineProps<{ stand: Schemas['Stand'] }>();
const { t } = useI18n();
const { user, mayWrite, units } = useSession();
const { busy, refusal, run, at } = useSubmit();
const share = ref('0.2');
const { data: count, refetch } = useQuery(computed(() => countQuery(props.stand.id, share.value)));

const WAYS = ['grid', 'counter', 'plots', 'seedlings', 'cover'] as const;
const way = ref<(typeof WAYS)[number]>('grid');
const zoneId = ref('');
const measuredAt = ref<'' | 'base' | 'breast-height'>(
  (props.stand.tally?.diameterAt as 'base' | 'breast-height' | null) ?? '',
);
const girth = ref(false);
// the ground's own day: in the evening the day by Greenwich is already tomorrow, which the server refuses
const visitedOn = ref(props.stand.season.day);
const rows = ref<TallyRow[]>(fromWire(props.stand.tally?.rows ?? []));
const { restoredAt, drop } = useDraft(() => (user.value ? draftKey(user.value.id, 'tally', props.stand.id) : ''), rows);
const total = computed(() => rows.value.reduce((n, r) => n + (Number.parseInt(r.count, 10) || 0), 0));
const grid = ref<InstanceType<typeof TallyGrid> | null>(null);
const setGirth = (): void => rows.value.forEach((r) => r.from.trim() === '' && (r.girth = girth.value));
const add = (): void => {
  rows.value.push(emptyRow(girth.value));
  void grid.value?.focus(rows.value.length - 1, 0);
};

const zone = computed(() => (zoneId.value ? { zoneId: zoneId.value } : {}));
const put = async (body: Record<string, unknown>): Promise<boolean> => {
  const done = await run(() =>
    unwrap(
      api.PUT('/stands/{stand}/tally', {
        params: { path: { stand: props.stand.id } },
        body: { ...zone.value, ...(visitedOn.value ? { visitedOn: visitedOn.value } : {}), ...body },
      }),
    ),
  );
  return done !== null;
};
const save = async (): Promise<void> => {
  if (
    await put({ rows: toWire(rows.value, units.value), ...(measuredAt.value ? { diameterAt: measuredAt.value } : {}) })
  )
    await drop();
};
const csvFaults = ref<{ row: number; message: string }[]>([]);
const upload = async (e: Event): Promise<void> => {
  const input = e.target as HTMLInputElement;
  const file = input.files?.[0];
  if (!file) return;
  const text = await file.text();
  const read = await run(() =>
    unwrap(api.POST('/stands/{stand}/tally/csv', { params: { path: { stand: props.stand.id } }, body: { text } })),
  );
  input.value = '';
  if (!read) return;
  csvFaults.value = read.faults;
  rows.value = fromWire(read.rows as Record<string, unknown>[]);
};
const plan = computed(() =>
  way.value === 'plots' ? (count.value?.plans.find((p) => (p.zoneId ?? '') === zoneId.value) ?? null) : null,
);
</script>

<template>
  <section class="stack" aria-labelledby="tally-h">
    <h2 id="tally-h">{{ t('scout.howMuch') }}</h2>
    <div class="bench">
      <div class="stack">
        <div v-if="mayWrite" class="row ways" role="group" :aria-label="t('scout.ways')">
          <button
            v-for="w in WAYS"
            :key="w"
            type="button"
            class="btn small"
            :class="{ main: way === w }"
            :aria-pressed="way === w"
            @click="way = w"
          >
            {{ t(`scout.way.${w}`) }}
          </button>
        </div>
        <div class="row">
          <label v-if="count?.zones.length" class="label"
            >{{ t('scout.zone') }}
            <select v-model="zoneId" class="field">
              <option value="">{{ t('scout.sum.wholePatch') }}</option>
              <option v-for="z in count.zones" :key="z.id" :value="z.id">{{ z.name }}</option>
            </select>
          </label>
          <label v-if="mayWrite && way !== 'plots' && way !== 'seedlings'" class="label"
            >{{ t('scout.visitedOn')
            }}<input v-model="visitedOn" class="field" type="date" :aria-invalid="at('/visitedOn') !== null"
          /></label>
          <template v-if="way === 'grid' || way === 'counter'">
            <label class="label"
              >{{ t('scout.measured') }}
              <select v-model="measuredAt" class="field" :disabled="!mayWrite">
                <option value="">{{ t('scout.measuredAt.none') }}</option>
                <option value="base">{{ t('scout.measuredAt.base') }}</option>
                <option value="breast-height">{{ t('scout.measuredAt.breast-height') }}</option>
              </select>
            </label>
            <label v-if="mayWrite" class="small girth"
              ><input v-model="girth" type="checkbox" @change="setGirth" /> {{ t('scout.girth') }}</label
            >
          </template>
        </div>
        <template v-if="way === 'grid' || way === 'counter'">
          <p class="small soft">{{ t('scout.tallyHelp') }} {{ t('scout.diameterRule') }}</p>
          <p v-if="restoredAt" class="note small">
            {{ t('frame.restored', { when: restoredAt.toLocaleString('en-GB') }) }}
          </p>
          <TallyGrid v-if="way === 'grid'" ref="grid" v-model="rows" :disabled="!mayWrite" :girth="girth" :at="at" />
          <CounterPad v-else v-model="rows" />
          <p v-for="(_, i) in rows" :key="i" class="fault" :hidden="at(`/rows/${i}`) === null">
            {{ t('scout.rowFault', { n: i + 1 }) }} {{ at(`/rows/${i}`) }}
          </p>
          <p v-for="f in csvFaults" :key="f.row" class="fault">
            {{ t('scout.rowFault', { n: f.row }) }} {{ f.message }}
          </p>
          <div class="row">
            <span class="total"
              ><b>{{ total }}</b> {{ t('scout.stems') }}</span
            >
            <button v-if="mayWrite && way === 'grid'" class="btn small" type="button" @click="add">
              {{ t('scout.addRow') }}
            </button>
            <button v-if="mayWrite" class="btn main" type="button" :disabled="busy || rows.length === 0" @click="save">
              {{ t('scout.saveTally') }}
            </button>
            <span v-if="stand.tally" class="small soft">{{
              t('scout.counted', { day: dayText(stand.tally.visitedOn, true), n: stand.tally.stems })
            }}</span>
          </div>
          <div class="row small">
            <label v-if="mayWrite" class="label small"
              >{{ t('scout.csv.in') }}<input type="file" accept=".csv,text/csv" @change="upload"
            /></label>
            <a :href="`/api/v1/stands/${stand.id}/tally.csv`" download>{{ t('scout.csv.out') }}</a>
          </div>
        </template>
        <template v-if="way === 'plots' || way === 'seedlings'">
          <p class="small soft">{{ t(way === 'plots' ? 'scout.plots.help' : 'scout.plots.frameHelp') }}</p>
          <PlotForm
            :key="`${way}${zoneId}`"
            :stand="stand"
            :zone-id="zoneId"
            :plans="count?.plans ?? []"
            :seedlings="way === 'seedlings'"
            @planned="refetch()"
          />
          <GroundMap
            v-if="plan"
            :ground-id="stand.groundId"
            :chosen="stand.patchId"
            :shape="null"
            :drawing="null"
            :version="0"
            :plots="plan.plots.map((p) => p.position as [number, number])"
          />
        </template>
        <template v-if="way === 'cover'">
          <p class="small soft">{{ t('scout.cover.help') }}</p>
          <div class="row">
            <button
              v-for="c in count?.coverClasses ?? []"
              :key="c.id"
              type="button"
              class="btn"
              :disabled="busy"
              @click="put({ kind: 'cover', cover: c.id })"
            >
              {{ c.name }}&nbsp;<span class="small">{{ c.range }}</span>
            </button>
          </div>
        </template>
        <p
          v-if="refusal && !refusal.problem?.errors?.some((e) => e.pointer.startsWith('/rows/'))"
          class="fault"
          role="alert"
        >
          {{ refusal.problem?.errors?.[0]?.message ?? refusal.message }}
        </p>
      </div>
      <div class="why">
        <CountSummary
          v-if="count && (count.census || count.plots || count.seedlings || count.cover)"
          v-model:share="share"
          :count="count"
        />
        <p v-else class="soft">{{ t('scout.sum.nothing') }}</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.ways {
  gap: 4px;
}
.total {
  font-size: var(--size-l);
}
.girth {
  align-self: end;
  padding-bottom: 10px;
}
</style>
