<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { useEventListener } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { boardQuery, boardRowQuery, handbookQuery, shedQuery } from '@/api/queries';
import { FAMILIES, OUTCOMES } from '@/api/vocabulary';
import VerdictMark, { type Outcome } from '@/components/figures/VerdictMark.vue';
import HintTip from '@/components/feedback/HintTip.vue';
import PhoneFold from '@/components/PhoneFold.vue';
import ViewTabs from '@/components/ViewTabs.vue';
import LoadFault from '@/components/feedback/LoadFault.vue';
import { useSubmit } from '@/composables/useSubmit';
import { useDesk } from '@/composables/useDesk';
import { useOnward } from '@/composables/useOnward';
import { useSession } from '@/composables/useSession';
import { useStand } from '@/composables/useStand';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import BoardRow from './BoardRow.vue';
import ComparePanel from './ComparePanel.vue';
import CostPanel from './CostPanel.vue';
import ProgrammesPanel from './ProgrammesPanel.vue';
import RowPanel from './RowPanel.vue';
import WeighPanel from './WeighPanel.vue';

const props = defineProps<{ stand: string }>();
const { t } = useI18n();
const { user, mayWrite } = useSession();
const { stand, ifMatch } = useStand(() => props.stand);
const { busy, refusal, run } = useSubmit();
const onward = useOnward();

const schools = ref<Record<string, string>>({});
/** Weights tried on here; all nought orders nothing, so the last one stays. */
const tried = ref<Record<string, number> | null>(null);
const tryOn = (wishes: Record<string, number>): void => {
  if (Object.values(wishes).some((w) => w > 0)) tried.value = wishes;
};
const { data: board, error } = useQuery(
  computed(() => ({
    ...boardQuery(props.stand, schools.value, tried.value),
    placeholderData: (old: Schemas['Board'] | undefined) => old,
  })),
);
const { data: book } = useQuery(handbookQuery());
const { data: shed } = useQuery(shedQuery());
const BEST_FIRST: readonly Outcome[] = [...OUTCOMES].reverse();
const filter = ref<Outcome | null>(null);
const family = ref('');
const CLOSED: readonly Outcome[] = ['doesNotSuit', 'notAllowed'];
const rows = computed(
  () =>
    board.value?.rows.filter(
      (r) =>
        (filter.value === null || r.outcome === filter.value) &&
        (family.value === '' || r.method.family === family.value),
    ) ?? [],
);
/** The sensible few stand open; what is shut is one tap away, unless it is asked for or is all there is. */
const FEW = 9;
const open = computed(() => {
  if (filter.value !== null) return rows.value;
  const sensible = rows.value.filter((r) => !CLOSED.includes(r.outcome));
  return sensible.length === 0 ? rows.value : sensible.slice(0, FEW);
});
const folded = computed(() => rows.value.filter((r) => !open.value.includes(r)));
const VIEWS = ['board', 'programmes', 'compare', 'cost'] as const;
const view = ref<(typeof VIEWS)[number]>('board');
const MOST_COMPARED = 4;
const compared = ref<string[]>([]);
const toggle = (id: string): void => {
  compared.value = compared.value.includes(id)
    ? compared.value.filter((c) => c !== id)
    : [...compared.value, id].slice(0, MOST_COMPARED);
};
const pickedId = ref<string | null>(null);
const desk = useDesk();
/** Whether the reasons stand over the board, on a phone. */
const over = ref(false);
const pick = (id: string): void => {
  pickedId.value = id;
  over.value = true;
};
const panel = (row: Schemas['BoardRow']) => ({
  picked: row,
  opened: opened.value,
  openError: openError.value,
  stand: props.stand,
  species: stand.value?.species ?? null,
  mayWrite: mayWrite.value,
  busy: busy.value,
  refusal: refusal.value,
});
const narrowed = computed(() =>
  [
    filter.value ? t(`outcome.${filter.value}`) : '',
    FAMILIES.filter((f) => f === family.value).map((f) => t(`methods.family.${f}`))[0] ?? '',
  ]
    .filter(Boolean)
    .join(', '),
);
const look = (id: string): void => {
  pickedId.value = id;
  view.value = 'board';
};
/** A typical row whose card was entered meanwhile stays picked: its id only grew by the card. */
const picked = computed(
  () =>
    rows.value.find((r) => r.id === pickedId.value) ??
    rows.value.find((r) => pickedId.value !== null && r.id.startsWith(`${pickedId.value}/`)) ??
    rows.value.find((r) => r.id === stand.value?.step?.rowId) ??
    rows.value[0] ??
    null,
);
/** The reasons of the row that is open. */
const { data: opened, error: openError } = useQuery(
  computed(() => ({
    ...boardRowQuery(props.stand, picked.value?.id ?? '', schools.value, tried.value),
    enabled: picked.value !== null,
    // while weights or schools are tried on, the reasons of the same row stay in sight
    placeholderData: (old: Schemas['Row'] | undefined) => (old?.id === picked.value?.id ? old : undefined),
  })),
);
const shown = (row: Schemas['BoardRow']) => ({
  row,
  picked: row.id === picked.value?.id,
  compared: compared.value.includes(row.id),
  full: compared.value.length >= MOST_COMPARED,
});
const keepWeights = async (): Promise<void> => {
  const weights = tried.value;
  if (!weights || !shed.value) return;
  const done = await run(() =>
    unwrap(
      api.PATCH('/shed/choices', {
        params: { header: { 'If-Match': `"${shed.value?.revision ?? 0}"` } },
        body: { weights },
      }),
    ),
  );
  if (!done) return;
  tried.value = null;
};
const weighPlan = async (weights: Record<string, number> | null): Promise<void> => {
  const done = await run(() =>
    unwrap(
      api.PUT('/stands/{stand}/weights', {
        params: { path: { stand: props.stand }, header: { 'If-Match': ifMatch.value } },
        body: { weights },
      }),
    ),
  );
  if (!done) return;
  tried.value = null;
};
const count = (o: Outcome): number => board.value?.rows.filter((r) => r.outcome === o).length ?? 0;

/** The owner's stance is the owner's, set in the Shed; it is no school to try on. */
/** Only the schools that a row of this very board rests on. */
const resting = computed(() => new Set(board.value?.schools ?? []));
const switchable = computed(() =>
  (book.value?.schools ?? []).filter(
    (s) => s.id !== 'herbicide-stance' && (resting.value.has(s.id) || schools.value[s.id] !== undefined),
  ),
);
/** Why this way, in the crew's own words: kept with the step and printed on its sheet. */
const why = ref('');
watch(
  () => [stand.value?.step?.rowId, pickedId.value] as const,
  () => (why.value = picked.value?.id === stand.value?.step?.rowId ? (stand.value?.step?.why ?? '') : ''),
  { immediate: true },
);
const choose = async (row: Schemas['BoardRow']): Promise<void> => {
  const go = onward();
  const done = await run(() =>
    unwrap(
      api.PUT('/stands/{stand}/step', {
        params: { path: { stand: props.stand }, header: { 'If-Match': ifMatch.value } },
        body: {
          method: row.method.id,
          schools: schools.value,
          ...(why.value.trim() ? { why: why.value.trim() } : {}),
          ...(row.active ? { active: row.active.id } : {}),
          ...(row.card ? { cardVersionId: row.card.versionId } : {}),
        },
      }),
    ),
  );
  if (!done) return;
  await go({ name: row.active ? 'mix' : 'when', params: { stand: props.stand } });
};
const onKey = (e: KeyboardEvent): void => {
  const o = BEST_FIRST[Number(e.key) - 1];
  if (!o || /^(INPUT|SELECT|TEXTAREA)$/.test((e.target as HTMLElement).tagName)) return;
  filter.value = filter.value === o ? null : o;
};
useEventListener(window, 'keydown', onKey);
</script>

<template>
  <div class="stack">
    <h1>
      {{ t('station.methods') }}<template v-if="stand">: {{ stand.name }}</template>
    </h1>
    <LoadFault :of="error" />
    <template v-if="board">
      <p v-if="board.stage" class="soft">
        {{ t('methods.stage') }} <b>{{ board.stage.name }}</b> ({{ t(`certainty.${board.stage.certainty}`) }}) ·
        {{ board.flow?.name }}
      </p>
      <ViewTabs
        v-model="view"
        :views="VIEWS.map((id) => ({ id, name: t(`methods.view.${id}`, { n: compared.length }) }))"
        :label="t('methods.views')"
      >
        <ProgrammesPanel v-if="view === 'programmes'" :stand="props.stand" />
        <ComparePanel
          v-else-if="view === 'compare'"
          :stand="props.stand"
          :rows="compared"
          @drop="toggle"
          @pick="look"
        />
        <CostPanel v-else-if="view === 'cost' && picked" :stand="props.stand" :row="picked" />
        <template v-else>
          <PhoneFold :label="t('list.narrow')" :now="narrowed">
            <div class="row" role="group" :aria-label="t('methods.filter')">
              <HintTip v-for="(o, i) in BEST_FIRST" :key="o" :hint="t('methods.key', { key: i + 1 })">
                <ActButton quiet small :aria-pressed="filter === o" @click="filter = filter === o ? null : o"
                  ><VerdictMark :outcome="o" :name="`${t(`outcome.${o}`)} ${count(o)}`"
                /></ActButton>
              </HintTip>
            </div>
            <div class="row" role="group" :aria-label="t('methods.families')">
              <ActButton quiet small :aria-pressed="family === ''" @click="family = ''">{{
                t('methods.allFamilies')
              }}</ActButton>
              <ActButton v-for="f in FAMILIES" :key="f" quiet small :aria-pressed="family === f" @click="family = f"
                >{{ t(`methods.family.${f}`) }}
                {{ board.rows.filter((r) => r.method.family === f && !CLOSED.includes(r.outcome)).length }}</ActButton
              >
            </div>
          </PhoneFold>
          <div class="bench">
            <section class="stack" :aria-label="t('methods.board')">
              <p class="small soft tickhint">{{ t('besides.tickHint') }}</p>
              <div class="rows">
                <BoardRow
                  v-for="row in open"
                  :key="row.id"
                  v-bind="shown(row)"
                  @pick="pick(row.id)"
                  @compare="toggle(row.id)"
                />
                <p v-if="rows.length === 0" class="soft">{{ t('methods.noneSo') }}</p>
              </div>
              <details v-if="folded.length">
                <summary>{{ t('methods.folded', { n: folded.length }, folded.length) }}</summary>
                <div class="rows">
                  <BoardRow
                    v-for="row in folded"
                    :key="row.id"
                    v-bind="shown(row)"
                    @pick="pick(row.id)"
                    @compare="toggle(row.id)"
                  />
                </div>
              </details>
              <WeighPanel
                :weights="board.weights"
                :row="opened ?? null"
                :tried="tried"
                :may-keep="user?.role === 'lead'"
                :may-plan="mayWrite"
                :of-plan="stand?.weights != null"
                :busy="busy"
                @try="tryOn"
                @drop="tried = null"
                @keep="keepWeights"
                @plan="weighPlan(tried)"
                @as-crew="weighPlan(null)"
              />
              <p v-for="n in board.notes" :key="n.code" class="small soft">{{ n.text }}</p>
              <details>
                <summary>{{ t('methods.schools') }}</summary>
                <div class="stack" style="padding-top: 8px">
                  <p class="small soft">{{ t('methods.schoolsHelp') }}</p>
                  <ChoiceField
                    v-for="s in switchable"
                    :key="s.id"
                    :label="s.name"
                    :model-value="schools[s.id] ?? ''"
                    @change="schools = { ...schools, [s.id]: $event }"
                    :options="[
                      { value: '', label: t('methods.asSet') },
                      ...s.choices.map((c) => ({
                        value: c.id,
                        label: `${c.name}${c.default ? ` (${t('methods.ours')})` : ''}`,
                      })),
                    ]"
                  />
                </div>
              </details>
            </section>
            <!-- on a phone the reasons come up over the board, and go again to where one was -->
            <el-drawer
              v-if="picked && !desk"
              v-model="over"
              direction="btt"
              size="88%"
              :title="t('methods.reasons')"
              class="sheet-drawer"
            >
              <div class="stack">
                <RowPanel v-model:why="why" v-bind="panel(picked)" @choose="choose(picked)" @cost="view = 'cost'" />
              </div>
            </el-drawer>
            <section
              v-else-if="picked"
              class="stack why stays"
              tabindex="0"
              aria-live="polite"
              :aria-label="t('methods.reasons')"
            >
              <RowPanel v-model:why="why" v-bind="panel(picked)" @choose="choose(picked)" @cost="view = 'cost'" />
            </section>
          </div>
        </template>
      </ViewTabs>
    </template>
  </div>
</template>

<style scoped>
.tickhint {
  text-align: right;
  margin: 0 4px -8px;
}
.rows {
  border-bottom: 1px solid var(--rule);
}
details > summary {
  min-height: 36px;
  cursor: pointer;
}
</style>
