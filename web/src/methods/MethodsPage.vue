<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { api, unwrap, type Schemas } from '@/api/client';
import { boardQuery, handbookQuery } from '@/api/queries';
import VerdictMark, { type Outcome } from '@/components/VerdictMark.vue';
import { useAct } from '@/composables/useAct';
import { useSession } from '@/composables/useSession';
import { useStand } from '@/composables/useStand';
import RowReasons from './RowReasons.vue';

const props = defineProps<{ stand: string }>();
const { t } = useI18n();
const { say, mayWrite } = useSession();
const { stand, took, ifMatch } = useStand(() => props.stand);
const { busy, refusal, run } = useAct();
const router = useRouter();

const schools = ref<Record<string, string>>({});
const { data: board, error } = useQuery(computed(() => ({ ...boardQuery(props.stand, schools.value), placeholderData: (old: Schemas['Board'] | undefined) => old })));
const { data: book } = useQuery(handbookQuery());
const OUTCOMES: readonly Outcome[] = ['fits', 'withCare', 'notNow', 'cannotTell', 'doesNotSuit', 'notAllowed'];
const filter = ref<Outcome | null>(null);
const rows = computed(() => board.value?.rows.filter((r) => filter.value === null || r.outcome === filter.value) ?? []);
const pickedId = ref<string | null>(null);
/** A typical row whose card was entered meanwhile stays picked: its id only grew by the card. */
const picked = computed(
  () =>
    rows.value.find((r) => r.id === pickedId.value) ??
    rows.value.find((r) => pickedId.value !== null && r.id.startsWith(`${pickedId.value}/`)) ??
    rows.value.find((r) => r.id === stand.value?.step?.rowId) ??
    rows.value[0] ??
    null,
);
const count = (o: Outcome): number => board.value?.rows.filter((r) => r.outcome === o).length ?? 0;

/** The owner's stance is the owner's, set in the Shed; it is no school to try on. */
const switchable = computed(() => (book.value?.schools ?? []).filter((s) => s.id !== 'herbicide-stance'));
const choose = async (row: Schemas['Row']): Promise<void> => {
  const done = await run(() =>
    unwrap(
      api.PUT('/stands/{stand}/step', {
        params: { path: { stand: props.stand }, header: { 'If-Match': ifMatch.value } },
        body: { method: row.method.id, schools: schools.value, ...(row.active ? { active: row.active.id } : {}), ...(row.card ? { cardVersionId: row.card.versionId } : {}) },
      }),
    ),
  );
  if (!done) return;
  await took(done);
  await router.push({ name: row.active ? 'mix' : 'when', params: { stand: props.stand } });
};
const onKey = (e: KeyboardEvent): void => {
  const o = OUTCOMES[Number(e.key) - 1];
  if (!o || /^(INPUT|SELECT|TEXTAREA)$/.test((e.target as HTMLElement).tagName)) return;
  filter.value = filter.value === o ? null : o;
};
onMounted(() => window.addEventListener('keydown', onKey));
onBeforeUnmount(() => window.removeEventListener('keydown', onKey));
</script>

<template>
  <div class="stack">
    <h1>
      {{ t('station.methods') }}<template v-if="stand">: {{ stand.name }}</template>
    </h1>
    <p v-if="error" class="fault" role="alert">{{ error.message }}</p>
    <template v-if="board">
      <p v-if="board.stage" class="soft">
        {{ t('methods.stage') }} <b>{{ board.stage.name }}</b> ({{ t(`certainty.${board.stage.certainty}`) }}) · {{ board.flow?.name }}
      </p>
      <div class="row" role="group" :aria-label="t('methods.filter')">
        <button
          v-for="(o, i) in OUTCOMES"
          :key="o"
          type="button"
          class="btn small quiet"
          :aria-pressed="filter === o"
          :class="{ pressed: filter === o }"
          :title="t('methods.key', { key: i + 1 })"
          @click="filter = filter === o ? null : o"
        >
          <VerdictMark :outcome="o" :name="`${t(`outcome.${o}`)} ${count(o)}`" />
        </button>
      </div>
      <div class="bench">
        <section class="stack" :aria-label="t('methods.board')">
          <div class="rows">
            <button v-for="row in rows" :key="row.id" type="button" class="brow" :class="{ picked: row.id === picked?.id }" :aria-pressed="row.id === picked?.id" @click="pickedId = row.id">
              <span class="what"
                ><b>{{ row.method.name }}</b> {{ ' ' }}<span v-if="row.active" class="soft small act-name">{{ row.active.name }}{{ row.typical ? ` · ${t('methods.typical')}` : '' }}</span></span
              >
              <span class="verd"
                ><VerdictMark :outcome="row.outcome" :name="row.outcomeName" /><span v-if="row.opens" class="small soft"> {{ t('methods.opens', { day: row.opens.text }) }}</span></span
              >
              <span class="lead small">{{ say(row.findings[0]?.text) }}</span>
              <span class="figs small soft">
                <span v-if="row.measures.control">{{ t('methods.control', row.measures.control) }}</span><span v-if="row.measures.minutes">
                  · {{ t('methods.hands', { time: say(row.measures.minutes) }) }}</span
                ><span> · {{ t('methods.harm', { n: row.measures.harm }) }}</span>
              </span>
            </button>
            <p v-if="rows.length === 0" class="soft">{{ t('methods.noneSo') }}</p>
          </div>
          <p class="small soft">{{ t('methods.order') }}</p>
          <details>
            <summary>{{ t('methods.schools') }}</summary>
            <div class="stack" style="padding-top: 8px">
              <p class="small soft">{{ t('methods.schoolsHelp') }}</p>
              <label v-for="s in switchable" :key="s.id" class="label"
                >{{ s.name }}
                <select class="field" :value="schools[s.id] ?? ''" @change="schools = { ...schools, [s.id]: ($event.target as HTMLSelectElement).value }">
                  <option value="" disabled>{{ t('methods.asSet') }}</option>
                  <option v-for="c in s.choices" :key="c.id" :value="c.id">{{ c.name }}{{ c.default ? ` (${t('methods.ours')})` : '' }}</option>
                </select>
              </label>
            </div>
          </details>
        </section>
        <section v-if="picked" class="stack why stays" tabindex="0" aria-live="polite" :aria-label="t('methods.reasons')">
          <h2>
            {{ picked.method.name }}<span v-if="picked.active" class="soft">, {{ picked.active.name }}</span>
          </h2>
          <VerdictMark :outcome="picked.outcome" :name="picked.outcomeName" large />
          <p v-if="picked.card" class="small">{{ picked.card.product }}</p>
          <RowReasons :row="picked" :stand-id="props.stand" :species="stand?.species ?? null" />
          <p class="small soft">{{ t('methods.care') }}</p>
          <button v-if="mayWrite" class="btn main" type="button" :disabled="busy || picked.outcome === 'notAllowed'" @click="choose(picked)">
            {{ t('methods.choose', { name: picked.method.name }) }}
          </button>
          <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped>
.pressed {
  border-color: var(--sloe);
  border-width: 2px;
}
.brow {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 16px;
  width: 100%;
  text-align: left;
  background: none;
  border: 0;
  border-top: 1px solid var(--rule);
  padding: 9px 10px;
  cursor: pointer;
}
.rows {
  border-bottom: 1px solid var(--rule);
}
.brow:hover {
  background: var(--lichen-deep);
}
.brow.picked {
  background: var(--sloe-pale);
  box-shadow: inset 4px 0 0 var(--sloe);
}
.verd {
  text-align: right;
}
.act-name {
  margin-left: 8px;
}
.lead,
.figs {
  grid-column: 1 / 3;
}
</style>
