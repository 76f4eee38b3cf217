<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { until } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, jobDay, unwrap, type Schemas } from '@/api/client';
import { recordQuery, sightingQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import SaidAmount from '@/components/figures/SaidAmount.vue';
import PaperButton from '@/components/feedback/PaperButton.vue';
import EmptyState from '@/components/feedback/EmptyState.vue';
import LoadFault from '@/components/feedback/LoadFault.vue';
import { useSubmit } from '@/composables/useSubmit';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';
import { useStand } from '@/composables/useStand';
import AmendmentList from './AmendmentList.vue';
import GapPart from './GapPart.vue';
import MoreCounts, { type More } from './MoreCounts.vue';
import PatrolPart from './PatrolPart.vue';
import PhotoOverlay from './PhotoOverlay.vue';
import RetreatPart from './RetreatPart.vue';
import StandingTrees from './StandingTrees.vue';
import PhotoStrip from '@/features/scout/PhotoStrip.vue';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import DayField from '@/components/form/DayField.vue';

const props = defineProps<{ stand: string }>();
const { t } = useI18n();
const { format, user, mayWrite } = useSession();
const { stand } = useStand(() => props.stand);
const { busy, refusal, run, at } = useSubmit();
const { data: record, error } = useQuery(
  computed(() => ({ ...recordQuery(stand.value?.recordId ?? ''), enabled: stand.value?.recordId != null })),
);

/** What the plant looked like then, where somebody kept a picture. */
const { data: sighting } = useQuery(
  computed(() => ({ ...sightingQuery(stand.value?.sightingId ?? ''), enabled: stand.value?.sightingId != null })),
);

type Body = {
  treated?: number;
  skipped?: number;
  people?: string[];
  weather?: string;
  signedBy?: string;
  remarks?: string | null;
  field?: { photos?: { id: string; by: string; text: string | null }[] } | null;
  batches?: { number: number; finished: Schemas['Quantity'] | null; drawn: { amount: string; lot: string | null }[] }[];
};
const body = computed(() => (record.value?.body ?? {}) as Body);
const pictures = computed(() => body.value.field?.photos ?? []);
const form = ref({
  lookedOn: stand.value ? jobDay(stand.value.season.timeZone) : '',
  counted: '',
  dead: '',
  resprouted: '0',
  remarks: '',
  more: {
    plots: [],
    topDead: '',
    shoots: '',
    seedlings: '',
    seedlingArea: '',
    injury: '',
    injured: '',
    released: '',
    measured: {},
  } as More,
});
/** Plot by plot: what was counted in all is their sum. */
const byPlots = computed(() => form.value.more.plots.length > 0);
void until(stand)
  .not.toBeNull()
  .then((s) => (form.value.lookedOn ||= jobDay(s.season.timeZone)));
const { drop } = useDraft(
  () => (user.value && record.value ? draftKey(user.value.id, 'look', record.value.id) : ''),
  form,
);
/** What was expected of the way when the sheet was issued, and the newest of what was seen. */
const expected = computed(() => {
  const e = record.value?.expected;
  return e ? t('look.expectedShare', e) : '—';
});
/** They come newest first. */
const scored = computed(() => record.value?.lookBacks.find((l) => l.scored) ?? null);
/** What was when, and the day from which it can be judged, where that is still ahead. */
const course = computed(() => {
  const r = record.value;
  if (!r) return [];
  return [
    { day: r.workedOn, said: t('look.worked', { n: r.seq }), ahead: false },
    ...r.lookBacks.map((l) => ({
      day: l.lookedOn,
      said: l.scored ? t('look.judged', { dead: l.dead, counted: l.counted }) : t('look.signKept'),
      ahead: false,
    })),
    ...(scored.value ? [] : [{ day: r.judgeAfter, said: t('look.judgeFrom'), ahead: !r.mayScore }]),
  ].sort((a, b) => a.day.localeCompare(b.day));
});
/** Whose season is printed and told as a table. */
const year = computed(() => Number(record.value?.workedOn.slice(0, 4) ?? 0));
const COUNTS = ['counted', 'dead', 'resprouted'] as const;
const number = (text: string): number => (/^\d+$/.test(text.trim()) ? Number(text) : -1);
const keep = async (scored: boolean): Promise<void> => {
  const id = record.value?.id;
  if (!id) return;
  const { lookedOn, counted, dead, resprouted, remarks, more } = form.value;
  const whole = (name: 'topDead' | 'shoots' | 'seedlings' | 'injured' | 'released') =>
    more[name].trim() ? { [name]: number(more[name]) } : {};
  const measured = Object.entries(more.measured).flatMap(([what, value]) =>
    value?.trim() ? [{ what: what as keyof More['measured'], value }] : [],
  );
  const done = await run(() =>
    unwrap(
      api.POST('/records/{record}/look-backs', {
        params: { path: { record: id } },
        body: {
          lookedOn,
          scored,
          ...(byPlots.value
            ? {
                plots: more.plots.map((p) => ({
                  counted: number(p.counted),
                  dead: number(p.dead),
                  resprouted: number(p.resprouted || '0'),
                  ...(p.spot ? { position: p.spot } : {}),
                })),
              }
            : { counted: number(counted), dead: number(dead), resprouted: number(resprouted) }),
          ...whole('topDead'),
          ...whole('shoots'),
          ...whole('seedlings'),
          ...whole('injured'),
          ...whole('released'),
          ...(more.seedlingArea.trim() ? { seedlingArea: { typed: more.seedlingArea } } : {}),
          ...(more.injury ? { injury: more.injury } : {}),
          ...(measured.length ? { measured } : {}),
          ...(remarks ? { remarks } : {}),
        },
      }),
    ),
  );
  if (done) {
    await drop();
  }
};
</script>

<template>
  <div class="stack">
    <EmptyState v-if="stand && !stand.recordId" :said="t('look.nothing')">
      <RouterLink class="btn main" :to="{ name: 'field-day', params: { stand: props.stand } }">{{
        t('station.field-day')
      }}</RouterLink>
    </EmptyState>
    <LoadFault :of="error" />
    <div v-if="record" class="bench">
      <section class="stack" aria-labelledby="judge-h">
        <h2 id="judge-h">
          {{
            scored
              ? t('look.judgedOn', { day: dayText(scored.lookedOn, true) })
              : record.mayScore
                ? t('look.may')
                : t('look.notBefore', { day: dayText(record.judgeAfter, true) })
          }}
        </h2>
        <p class="soft">{{ t('look.why') }}</p>
        <template v-if="record.signs.length && !scored">
          <h3>{{ t('look.signs') }}</h3>
          <ul>
            <li v-for="s in record.signs" :key="s.code">{{ s.text }}</li>
          </ul>
        </template>
        <template v-if="scored?.result?.text">
          <p class="note" :class="scored.result.against">
            <b>{{ scored.result.text }}</b>
          </p>
          <template v-if="record.causes.length">
            <h3>{{ t('look.causes') }}</h3>
            <ul>
              <li v-for="(c, i) in record.causes" :key="i">{{ format(c) }}</li>
            </ul>
          </template>
        </template>
        <RetreatPart v-if="stand" :record="record" :stand="stand" />
        <PatrolPart v-if="stand" :stand="stand" />
        <details class="write" :open="!scored">
          <summary class="label">{{ t('look.write') }}</summary>
          <div class="then">
            <form v-if="mayWrite" class="stack" novalidate @submit.prevent="keep(record.mayScore)">
              <DayField
                v-model="form.lookedOn"
                :label="t('look.lookedOn')"
                :fault="at('/lookedOn')"
                :from="record.workedOn"
              />
              <div v-if="!byPlots" class="row counts">
                <TextField
                  v-for="f in COUNTS"
                  :key="f"
                  v-model="form[f]"
                  :label="t(`look.${f}`)"
                  :fault="at(`/${f}`)"
                  width="7.5em"
                  inputmode="numeric"
                />
              </div>
              <MoreCounts v-model="form.more" :at="at" :spots="record.plots" />
              <TextField
                v-model="form.remarks"
                :label="t('look.remarks')"
                :fault="at('/remarks')"
                type="textarea"
                :rows="2"
              />
              <ActButton main type="submit" :busy="busy">{{
                record.mayScore ? t('look.score') : t('look.sign')
              }}</ActButton>
              <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
            </form>
            <figure v-if="sighting" class="stack picture">
              <img
                v-if="sighting.photos[0]"
                :src="`/api/v1/photos/${sighting.photos[0].id}/full`"
                :alt="t('sighting.photoOf', { name: sighting.name, n: 1 })"
                :width="sighting.photos[0].width"
                :height="sighting.photos[0].height"
              />
              <figcaption class="small soft">
                {{
                  sighting.photos[0]
                    ? t('look.picture', { day: dayText(sighting.at.slice(0, 10), true) })
                    : t('look.noPicture')
                }}
              </figcaption>
              <PhotoOverlay :photos="sighting.photos" />
              <PhotoStrip :sighting="sighting" adding />
            </figure>
          </div>
        </details>
        <template v-if="record.lookBacks.length">
          <h3>{{ t('look.done') }}</h3>
          <div class="table-wrap">
            <table>
              <thead>
                <tr>
                  <th>{{ t('look.lookedOn') }}</th>
                  <th>{{ t('look.kind') }}</th>
                  <th>{{ t('look.counted') }}</th>
                  <th>{{ t('look.dead') }}</th>
                  <th>{{ t('look.resprouted') }}</th>
                  <th>{{ t('look.expected') }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="l in record.lookBacks" :key="l.id">
                  <td>{{ dayText(l.lookedOn, true) }}</td>
                  <td>{{ l.scored ? t('look.scored') : t('look.onlySign') }}</td>
                  <td>{{ l.counted }}</td>
                  <td>
                    {{ l.dead }}<span v-if="l.deadPercent !== null" class="soft small"> ({{ l.deadPercent }} %)</span>
                    <div v-if="l.result" class="small">{{ t('look.between', l.result) }}</div>
                  </td>
                  <td>
                    {{ l.resprouted }}
                    <div v-if="l.shoots && l.resprouted" class="small">
                      {{ t('look.shootsEach', { n: (l.shoots / l.resprouted).toFixed(1) }) }}
                    </div>
                  </td>
                  <td>{{ expected }}</td>
                </tr>
              </tbody>
            </table>
          </div>
        </template>
      </section>
      <section class="stack why" aria-labelledby="rec-h">
        <h2 id="rec-h">{{ t('look.record', { n: record.seq }) }}</h2>
        <p class="small">
          {{ record.method }}<template v-if="record.method">, </template>{{ dayText(record.workedOn, true) }} ·
          {{ t('look.who') }} {{ body.people?.join(', ') }}
        </p>
        <el-timeline class="course" :aria-label="t('look.course')">
          <el-timeline-item
            v-for="(c, i) in course"
            :key="i"
            :timestamp="dayText(c.day, true)"
            placement="top"
            :hollow="c.ahead"
            >{{ c.said }}</el-timeline-item
          >
        </el-timeline>
        <div class="table-wrap">
          <table>
            <thead>
              <tr>
                <td></td>
                <th>{{ t('look.planned') }}</th>
                <th>{{ t('look.wasDone') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr>
                <td>{{ t('look.stems') }}</td>
                <td>{{ record.stemsCounted ?? '—' }}</td>
                <td>
                  {{ body.treated }}
                  <span class="soft small">({{ t('record.skipped') }} {{ body.skipped }})</span>
                </td>
              </tr>
              <tr v-for="a in record.amounts" :key="a.product ?? ''">
                <td>{{ a.product === null ? t('look.mix') : a.product || t('look.product') }}</td>
                <td><SaidAmount :of="a.planned" /></td>
                <td><SaidAmount :of="a.used" /></td>
              </tr>
              <tr>
                <td>{{ t('look.killed') }}</td>
                <td>{{ expected }}</td>
                <td>{{ scored && scored.deadPercent !== null ? `${scored.deadPercent} %` : t('look.notJudged') }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <p v-for="b in body.batches ?? []" :key="b.number" class="small">
          {{ t('look.batch', { n: b.number, amount: format(b.finished) }) }}
          <span v-for="(d, i) in b.drawn" :key="i" class="soft"
            >{{ t('look.drawn', { amount: d.amount, lot: d.lot ?? '–' }) }}
          </span>
        </p>
        <p class="small">{{ t('record.weather') }}: {{ body.weather }}</p>
        <p v-if="body.remarks" class="small">{{ t('record.remarks') }}: {{ body.remarks }}</p>
        <p class="small">{{ t('look.signedBy') }} {{ body.signedBy }}</p>
        <template v-if="pictures.length">
          <h3>{{ t('look.pictures') }}</h3>
          <ul class="plain shots">
            <li v-for="p in pictures" :key="p.id">
              <a :href="`/api/v1/photos/${p.id}/full`" target="_blank" rel="noopener"
                ><img
                  :src="`/api/v1/photos/${p.id}/thumb`"
                  :alt="p.text || t('fieldMode.pictureBy', { name: p.by })"
                  width="104"
                  height="104"
              /></a>
              <span class="small">{{ p.text }}</span>
            </li>
          </ul>
        </template>
        <GapPart :gap="record.gap" />
        <StandingTrees v-if="record.standing" :trees="record.standing" />
        <AmendmentList :record="record" />
        <p v-if="record.seal.state !== 'whole'" class="fault" role="alert">{{ t(`look.${record.seal.state}`) }}</p>
        <p class="small soft hash">
          {{ t('look.seal', { n: record.seal.seq ?? '—' }) }} {{ record.seal.hash?.slice(0, 16) ?? '' }}…
        </p>
        <PaperButton kind="season" :year="year" :label="t('look.season', { year })" />
        <p>
          <RouterLink :to="{ name: 'accounts' }">{{ t('accounts.link') }}</RouterLink>
        </p>
        <p class="small soft">
          <a :href="`/api/v1/records.csv?year=${year}`" download>{{ t('look.table', { year }) }}</a> ·
          <a href="/api/v1/seal" download="seal-head.json">{{ t('look.head') }}</a> {{ t('look.headHelp') }}
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
/* a label of two lines beside those of one: the boxes stand in line */
.counts :deep(.el-form-item__label) {
  min-height: 2lh;
  align-content: end;
}
.shots {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.shots img {
  object-fit: cover;
}
.hash {
  font-family: var(--font-amount);
}
.then {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr);
  gap: 24px;
  align-items: start;
}
.picture {
  margin: 0;
}
.picture img {
  width: 100%;
  height: auto;
  border: 1px solid var(--rule);
}
@media (max-width: 600px) {
  .then {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
