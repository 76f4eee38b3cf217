<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { api, unwrap, type Schemas } from '@/api/client';
import { handbookQuery } from '@/api/queries';
import CardChanges from '@/components/CardChanges.vue';
import { dayText, monthDayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import FilesField from '@/components/form/FilesField.vue';
import CardForm from './CardForm.vue';
import { isWord, SECTIONS, textOf } from './cardFields';
import { counterparts, findCards, formerNames, hasConcentrate } from './findCards';

/** Label cards: what each says, in the order of a label, who confirmed it, and what a new version changed. */
const props = defineProps<{ shed: Schemas['Shed'] }>();
const { t, te } = useI18n();
const { format, isLead, mayWrite } = useSession();
const { busy, refusal, run } = useSubmit();
const { data: book } = useQuery(handbookQuery());
type Card = Schemas['Shed']['cards'][number];
type Version = Card['versions'][number];
/** The card that is written on: a new one, a new version of one, or one taken in from a file. */
const writing = ref<{ cardId: string | null; body: Record<string, unknown> } | null>(null);
const fileFault = ref('');
const confirm = (version: string): Promise<unknown> =>
  run(() => unwrap(api.POST('/shed/card-versions/{version}/confirm', { params: { path: { version } }, body: {} })));
const handOn = async (card: Card): Promise<void> => {
  const document_ = await run(() =>
    unwrap(api.GET('/shed/cards/{card}/export', { params: { path: { card: card.id } } })),
  );
  if (!document_) return;
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([JSON.stringify(document_, null, 2)], { type: 'application/json' }));
  link.download = `${card.product.replace(/[^A-Za-z0-9]+/g, '-')}.json`;
  link.click();
  URL.revokeObjectURL(link.href);
};
const takeIn = async ([file]: File[]): Promise<void> => {
  fileFault.value = '';
  if (!file) return;
  try {
    const read = JSON.parse(await file.text()) as { format?: string; card?: Record<string, unknown> };
    if (read.format !== 'gallant-thicket-label-card' || typeof read.card !== 'object') throw new Error();
    writing.value = { cardId: null, body: read.card };
  } catch {
    fileFault.value = t('shed.notACard');
  }
};
const useName = (id: string): string => book.value?.methods.find((x) => x.id === id)?.name ?? id;
/** The stages or days that a line holds for, where the label parts a use. */
const lineWhen = (m: Version['methods'][number]): string =>
  [
    m.stages.map((s) => t(`value.${s}`)).join(', '),
    m.from && m.to ? t('shed.lineDays', { from: monthDayText(m.from), to: monthDayText(m.to) }) : '',
  ]
    .filter(Boolean)
    .join('; ');
const activeName = (id: string): string => book.value?.actives.find((a) => a.id === id)?.name ?? id;
const route = useRoute();
const sought = ref('');
// the search of the whole application leads here by name
watch(
  () => route.query.find,
  (find) => (sought.value = typeof find === 'string' ? find : sought.value),
  { immediate: true },
);
const shown = computed(() => findCards(props.shed.cards, sought.value, activeName));
const siteNames = (v: Version): string =>
  v.sites.map((s) => book.value?.settings.find((x) => x.id === s)?.name ?? s).join(', ');
const fieldName = (id: string): string => (te(`shed.field.${id}`) ? t(`shed.field.${id}`) : id);
/** Everything the card says beyond its uses, in label order, as typed. */
const lines = (v: Version): { name: string; value: string }[] =>
  SECTIONS.flatMap((s) => s.fields)
    .filter(
      (f) =>
        f.id in v.body && !['product', 'registration', 'formulation'].includes(f.id) && textOf(v.body[f.id]) !== '',
    )
    .map((f) => ({
      name: fieldName(f.id),
      value: isWord(f) ? t(`shed.word.${textOf(v.body[f.id])}`) : textOf(v.body[f.id]),
    }));
</script>

<template>
  <div class="bench">
    <section class="stack" aria-labelledby="cards-h">
      <h2 id="cards-h" class="visually-hidden">{{ t('shed.cards') }}</h2>
      <p class="soft small">{{ t('shed.cardsHelp') }}</p>
      <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
      <TextField
        v-if="shed.cards.length > 1"
        v-model="sought"
        :label="t('shed.findCard')"
        type="search"
        :placeholder="t('shed.findCardHint')"
      />
      <article v-for="card in shown" :key="card.id" class="sheetlike stack" style="gap: 6px">
        <h3>{{ card.product }}</h3>
        <p v-if="formerNames(card).length" class="small soft">
          {{ t('shed.formerly', { names: formerNames(card).join(', ') }) }}
        </p>
        <p v-if="counterparts(shed.cards, card).length" class="small soft">
          {{
            t(card.versions[0]?.body.formulation === 'ready-to-use' ? 'shed.alsoConcentrate' : 'shed.alsoReady', {
              names: counterparts(shed.cards, card)
                .map((c) => c.product)
                .join(', '),
            })
          }}
        </p>
        <p v-else-if="hasConcentrate(card)" class="small soft">{{ t('shed.concentrateToBeHad') }}</p>
        <template v-for="(v, i) in card.versions" :key="v.id">
          <p class="small">
            {{ t('mix.version', { n: v.version }) }} · {{ v.registration }} ·
            {{ v.actives.map((a) => `${activeName(a.active)} ${format(a.amount)}`).join(', ') }}
          </p>
          <CardChanges v-if="v.changes.length && i === 0" :changes="v.changes" />
          <p v-if="v.confirmed" class="small">
            <b>{{
              t('shed.confirmed', { name: v.confirmedBy ?? '', day: v.confirmedOn ? dayText(v.confirmedOn, true) : '' })
            }}</b>
          </p>
          <p v-else-if="v.template" class="small">
            <b>{{ t('shed.template') }}</b>
          </p>
          <div v-else class="row">
            <span class="fault">{{ t('shed.unconfirmed', { name: v.enteredBy }) }}</span><ActButton
              v-if="isLead"
              small
              :disabled="busy"
              @click="confirm(v.id)"
              >{{ t('shed.confirm') }}</ActButton
            >
          </div>
          <div v-if="i === 0" class="table-wrap">
            <table>
              <thead>
                <tr>
                  <th>{{ t('shed.use') }}</th>
                  <th>{{ t('shed.least') }}</th>
                  <th>{{ t('shed.most') }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="(m, n) in v.methods" :key="n">
                  <td>
                    {{ useName(m.method) }}<span v-if="lineWhen(m)" class="small soft"><br />{{ lineWhen(m) }}</span>
                  </td>
                  <td>{{ format(m.min) }}</td>
                  <td>{{ m.rateMost ? `${format(m.rateMost)} (${format(m.spray)})` : format(m.max) }}</td>
                </tr>
              </tbody>
            </table>
          </div>
          <p v-if="i === 0" class="small soft">
            {{
              t('shed.limits', {
                buffer: format(v.waterBuffer) || '–',
                yearly: format(v.yearlyMaximum) || '–',
                sites: siteNames(v),
              })
            }}
          </p>
          <details v-if="i === 0">
            <summary>{{ t('shed.allOfIt') }}</summary>
            <table class="small">
              <tbody>
                <tr v-for="l in lines(v)" :key="l.name">
                  <td>{{ l.name }}</td>
                  <td>
                    <b>{{ l.value }}</b>
                  </td>
                </tr>
              </tbody>
            </table>
          </details>
        </template>
        <div class="row">
          <ActButton v-if="mayWrite" small @click="writing = { cardId: card.id, body: card.versions[0]?.body ?? {} }">{{
            t('shed.newVersion')
          }}</ActButton>
          <ActButton quiet small :disabled="busy" @click="handOn(card)">{{ t('shed.handOn') }}</ActButton>
        </div>
      </article>
      <p v-if="shed.cards.length === 0">{{ t('shed.noCards') }}</p>
      <p v-else-if="shown.length === 0" role="status">{{ t('shed.noCardFound', { typed: sought }) }}</p>
    </section>
    <section class="stack why" :aria-label="t('shed.writing')">
      <template v-if="!writing">
        <ActButton v-if="mayWrite" main @click="writing = { cardId: null, body: {} }">{{
          t('shed.newCard')
        }}</ActButton>
        <FilesField
          v-if="mayWrite"
          :label="t('shed.takeIn')"
          accept="application/json,.json"
          :help="t('shed.takeInHelp')"
          :fault="fileFault"
          @files="takeIn"
        />
      </template>
      <CardForm
        v-else
        :key="writing.cardId ?? 'new'"
        :card-id="writing.cardId"
        :body="writing.body"
        @close="writing = null"
      />
    </section>
  </div>
</template>

<style scoped>
details > summary {
  min-height: 32px;
  cursor: pointer;
}
</style>
