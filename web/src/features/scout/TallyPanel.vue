<script setup lang="ts">
import { formats } from '@/app/language';
import { useQuery } from '@tanstack/vue-query';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { countQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import LoadFault from '@/components/feedback/LoadFault.vue';
import { useSubmit } from '@/composables/useSubmit';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import DayField from '@/components/form/DayField.vue';
import TickField from '@/components/form/TickField.vue';
import FilesField from '@/components/form/FilesField.vue';
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
const { data: count, error, refetch } = useQuery(computed(() => countQuery(props.stand.id, share.value)));

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
const upload = async ([file]: File[]): Promise<void> => {
  if (!file) return;
  const text = await file.text();
  const read = await run(() =>
    unwrap(api.POST('/stands/{stand}/tally/csv', { params: { path: { stand: props.stand.id } }, body: { text } })),
  );
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
    <LoadFault :of="error" />
    <div class="bench">
      <div class="stack">
        <div v-if="mayWrite" class="row ways" role="group" :aria-label="t('scout.ways')">
          <ActButton
            v-for="w in WAYS"
            :key="w"
            small
            :class="{ main: way === w }"
            :aria-pressed="way === w"
            @click="way = w"
            >{{ t(`scout.way.${w}`) }}</ActButton
          >
        </div>
        <div class="row">
          <ChoiceField
            v-if="count?.zones.length"
            v-model="zoneId"
            :label="t('scout.zone')"
            :options="[
              { value: '', label: t('scout.sum.wholePatch') },
              ...count.zones.map((z) => ({ value: z.id, label: z.name })),
            ]"
          />
          <DayField
            v-if="mayWrite && way !== 'plots' && way !== 'seedlings'"
            v-model="visitedOn"
            :label="t('scout.visitedOn')"
            :fault="at('/visitedOn')"
          />
          <template v-if="way === 'grid' || way === 'counter'">
            <ChoiceField
              v-model="measuredAt"
              :label="t('scout.measured')"
              :disabled="!mayWrite"
              :options="[
                { value: '', label: t('scout.measuredAt.none') },
                { value: 'base', label: t('scout.measuredAt.base') },
                { value: 'breast-height', label: t('scout.measuredAt.breast-height') },
              ]"
            />
            <TickField v-if="mayWrite" v-model="girth" @change="setGirth">{{ t('scout.girth') }}</TickField>
          </template>
        </div>
        <template v-if="way === 'grid' || way === 'counter'">
          <p class="small soft">{{ t('scout.tallyHelp') }} {{ t('scout.diameterRule') }}</p>
          <p v-if="restoredAt" class="note small">
            {{ t('frame.restored', { when: restoredAt.toLocaleString(formats()) }) }}
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
            <ActButton v-if="mayWrite && way === 'grid'" small @click="add">{{ t('scout.addRow') }}</ActButton>
            <ActButton v-if="mayWrite" main :disabled="busy || rows.length === 0" @click="save">{{
              t('scout.saveTally')
            }}</ActButton>
            <span v-if="stand.tally" class="small soft">{{
              t('scout.counted', { day: dayText(stand.tally.visitedOn, true), n: stand.tally.stems })
            }}</span>
          </div>
          <div class="row small">
            <FilesField v-if="mayWrite" :label="t('scout.csv.in')" accept=".csv,text/csv" @files="upload" />
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
            <ActButton
              v-for="c in count?.coverClasses ?? []"
              :key="c.id"
              :disabled="busy"
              @click="put({ kind: 'cover', cover: c.id })"
              >{{ c.name }}&nbsp;<span class="small">{{ c.range }}</span></ActButton
            >
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
        <p v-else-if="count" class="soft">{{ t('scout.sum.nothing') }}</p>
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
