<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { until } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, jobDay, unwrap, type Schemas } from '@/api/client';
import { recordQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import { useSubmit } from '@/composables/useSubmit';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';
import { useStand } from '@/composables/useStand';

const props = defineProps<{ stand: string }>();
const { t } = useI18n();
const { format, user, mayWrite } = useSession();
const { stand } = useStand(() => props.stand);
const { busy, refusal, run, at } = useSubmit();
const { data: record } = useQuery(
  computed(() => ({ ...recordQuery(stand.value?.recordId ?? ''), enabled: stand.value?.recordId != null })),
);

type Body = {
  planned?: { mix?: Schemas['Quantity']; product?: Schemas['Quantity'] } | null;
  mixUsed?: Schemas['Quantity'] | null;
  productUsed?: Schemas['Quantity'] | null;
  treated?: number;
  skipped?: number;
  people?: string[];
  weather?: string;
  signedBy?: string;
  remarks?: string | null;
  productsUsed?: { product: string; used: Schemas['Quantity'] | null }[];
  batches?: { number: number; finished: Schemas['Quantity'] | null; drawn: { amount: string; lot: string | null }[] }[];
};
const body = computed(() => (record.value?.body ?? {}) as Body);
/** Where several products were in the tank each has its line. */
const severalUsed = computed(() => ((body.value.productsUsed?.length ?? 0) > 1 ? (body.value.productsUsed ?? []) : []));
const form = ref({
  lookedOn: stand.value ? jobDay(stand.value.season.timeZone) : '',
  counted: '',
  dead: '',
  resprouted: '0',
  remarks: '',
});
void until(stand)
  .not.toBeNull()
  .then((s) => (form.value.lookedOn ||= jobDay(s.season.timeZone)));
const { drop } = useDraft(
  () => (user.value && record.value ? draftKey(user.value.id, 'look', record.value.id) : ''),
  form,
);
const FIELDS = ['lookedOn', 'counted', 'dead', 'resprouted', 'remarks'] as const;
const number = (text: string): number => (/^\d+$/.test(text.trim()) ? Number(text) : -1);
const keep = async (scored: boolean): Promise<void> => {
  const id = record.value?.id;
  if (!id) return;
  const { lookedOn, counted, dead, resprouted, remarks } = form.value;
  const done = await run(() =>
    unwrap(
      api.POST('/records/{record}/look-backs', {
        params: { path: { record: id } },
        body: {
          lookedOn,
          scored,
          counted: number(counted),
          dead: number(dead),
          resprouted: number(resprouted),
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
    <h1>
      {{ t('station.look-back') }}<template v-if="stand">: {{ stand.name }}</template>
    </h1>
    <div v-if="stand && !stand.recordId" class="stack">
      <p>{{ t('look.nothing') }}</p>
      <p>
        <RouterLink class="btn main" :to="{ name: 'field-day', params: { stand: props.stand } }">{{
          t('station.field-day')
        }}</RouterLink>
      </p>
    </div>
    <div v-if="record" class="bench">
      <section class="stack" aria-labelledby="judge-h">
        <h2 id="judge-h">
          {{ record.mayScore ? t('look.may') : t('look.notBefore', { day: dayText(record.judgeAfter, true) }) }}
        </h2>
        <p class="soft">{{ t('look.why') }}</p>
        <form v-if="mayWrite" class="stack" novalidate style="max-width: 420px" @submit.prevent="keep(record.mayScore)">
          <label v-for="f in FIELDS" :key="f" class="label"
            >{{ t(`look.${f}`)
            }}<input
              v-model="form[f]"
              class="field"
              :type="f === 'lookedOn' ? 'date' : 'text'"
              :inputmode="f === 'remarks' || f === 'lookedOn' ? 'text' : 'numeric'"
              :aria-invalid="at(`/${f}`) !== null"
            /><span class="fault">{{ at(`/${f}`) }}</span></label
          >
          <button class="btn main" type="submit" :disabled="busy">
            {{ record.mayScore ? t('look.score') : t('look.sign') }}
          </button>
          <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
        </form>
        <h3 v-if="record.lookBacks.length">{{ t('look.done') }}</h3>
        <table v-if="record.lookBacks.length">
          <thead>
            <tr>
              <th>{{ t('look.lookedOn') }}</th>
              <th>{{ t('look.kind') }}</th>
              <th>{{ t('look.counted') }}</th>
              <th>{{ t('look.dead') }}</th>
              <th>{{ t('look.resprouted') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="l in record.lookBacks" :key="l.id">
              <td>{{ dayText(l.lookedOn, true) }}</td>
              <td>{{ l.scored ? t('look.scored') : t('look.onlySign') }}</td>
              <td>{{ l.counted }}</td>
              <td>{{ l.dead }}</td>
              <td>{{ l.resprouted }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section class="stack why" aria-labelledby="rec-h">
        <h2 id="rec-h">{{ t('look.record', { n: record.seq }) }}</h2>
        <table>
          <tbody>
            <tr>
              <td>{{ t('record.workedOn') }}</td>
              <td>{{ dayText(record.workedOn, true) }}</td>
            </tr>
            <tr>
              <td>{{ t('look.who') }}</td>
              <td>{{ body.people?.join(', ') }}</td>
            </tr>
            <tr>
              <td>{{ t('record.treated') }}</td>
              <td>{{ body.treated }} ({{ t('record.skipped') }} {{ body.skipped }})</td>
            </tr>
            <tr v-if="body.mixUsed">
              <td>{{ t('look.mix') }}</td>
              <td>{{ t('look.plannedUsed', { planned: format(body.planned?.mix), used: format(body.mixUsed) }) }}</td>
            </tr>
            <tr v-for="p in severalUsed" :key="p.product">
              <td>{{ p.product }}</td>
              <td>{{ format(p.used) }}</td>
            </tr>
            <tr v-if="body.productUsed && !severalUsed.length">
              <td>{{ t('look.product') }}</td>
              <td>
                {{ t('look.plannedUsed', { planned: format(body.planned?.product), used: format(body.productUsed) }) }}
              </td>
            </tr>
            <tr v-if="body.batches?.length">
              <td>{{ t('look.batches') }}</td>
              <td>
                <span v-for="b in body.batches" :key="b.number"
                  >{{ t('look.batch', { n: b.number, amount: format(b.finished) }) }}
                  <span v-for="(d, i) in b.drawn" :key="i" class="small soft"
                    >{{ t('look.drawn', { amount: d.amount, lot: d.lot ?? '–' }) }} </span><br
                /></span>
              </td>
            </tr>
            <tr>
              <td>{{ t('record.weather') }}</td>
              <td>{{ body.weather }}</td>
            </tr>
            <tr v-if="body.remarks">
              <td>{{ t('record.remarks') }}</td>
              <td>{{ body.remarks }}</td>
            </tr>
            <tr>
              <td>{{ t('look.signedBy') }}</td>
              <td>{{ body.signedBy }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="record.seal.state !== 'whole'" class="fault" role="alert">{{ t(`look.${record.seal.state}`) }}</p>
        <p class="small soft hash">
          {{ t('look.seal', { n: record.seal.seq ?? '—' }) }} {{ record.seal.hash?.slice(0, 16) ?? '' }}…
        </p>
        <p class="small soft">
          <a href="/api/v1/seal" download="seal-head.json">{{ t('look.head') }}</a> {{ t('look.headHelp') }}
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.hash {
  font-family: var(--font-amount);
}
</style>
