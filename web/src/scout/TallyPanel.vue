<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import { useAct } from '@/composables/useAct';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';
import { emptyRow, fromWire, toWire, type TallyRow } from './tally';

const props = defineProps<{ stand: Schemas['Stand'] }>();
const emit = defineEmits<{ took: [stand: Schemas['Stand']] }>();
const { t } = useI18n();
const { user, mayWrite } = useSession();
const { busy, refusal, run, at } = useAct();

const rows = ref<TallyRow[]>(fromWire(props.stand.tally?.rows ?? []));
const { restoredAt, drop } = useDraft(() => (user.value ? draftKey(user.value.id, 'tally', props.stand.id) : ''), rows);
const total = computed(() => rows.value.reduce((n, r) => n + (Number.parseInt(r.count, 10) || 0), 0));
const grid = ref<HTMLElement | null>(null);
const COLUMNS = ['from', 'below', 'count', 'perClump'] as const;

const focus = async (row: number, column: number): Promise<void> => {
  await nextTick();
  grid.value?.querySelector<HTMLInputElement>(`[data-cell="${row}-${column}"]`)?.focus();
};
/** Arrows walk the grid, Enter goes down and opens a new row at the end. */
const onKey = (e: KeyboardEvent, row: number, column: number): void => {
  if (e.key === 'ArrowUp' && row > 0) void focus(row - 1, column);
  else if (e.key === 'ArrowDown' && row < rows.value.length - 1) void focus(row + 1, column);
  else if (e.key === 'Enter') {
    e.preventDefault();
    if (row === rows.value.length - 1) rows.value.push(emptyRow());
    void focus(row + 1, 0);
  }
};
const save = async (): Promise<void> => {
  const done = await run(() => unwrap(api.PUT('/stands/{stand}/tally', { params: { path: { stand: props.stand.id } }, body: { rows: toWire(rows.value) } })));
  if (done) {
    await drop();
    emit('took', done);
  }
};
</script>

<template>
  <section class="stack" aria-labelledby="tally-h">
    <h2 id="tally-h">{{ t('scout.howMuch') }}</h2>
    <p class="small soft">{{ t('scout.tallyHelp') }}</p>
    <p v-if="restoredAt" class="note small">{{ t('frame.restored', { when: restoredAt.toLocaleString('en-GB') }) }}</p>
    <div ref="grid" class="table-wrap">
      <table class="grid">
        <thead>
          <tr>
            <th v-for="c in COLUMNS" :key="c">{{ t(`scout.column.${c}`) }}</th>
            <th>{{ t('scout.column.estimated') }}</th>
            <th>
              <span class="visually-hidden">{{ t('scout.removeRow') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, i) in rows" :key="i">
            <td v-for="(c, j) in COLUMNS" :key="c">
              <input
                v-model="row[c]"
                class="field cell"
                :disabled="!mayWrite"
                :data-cell="`${i}-${j}`"
                :aria-label="`${t(`scout.column.${c}`)} ${i + 1}`"
                :inputmode="c === 'count' || c === 'perClump' ? 'numeric' : 'text'"
                :aria-invalid="at(`/rows/${i}`) !== null"
                @keydown="onKey($event, i, j)"
              />
            </td>
            <td><input v-model="row.estimated" type="checkbox" class="tick" :disabled="!mayWrite" :aria-label="`${t('scout.column.estimated')} ${i + 1}`" /></td>
            <td><button v-if="mayWrite" class="btn small quiet" type="button" :aria-label="`${t('scout.removeRow')} ${i + 1}`" @click="rows.splice(i, 1)">×</button></td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-for="(_, i) in rows" :key="i" class="fault" :hidden="at(`/rows/${i}`) === null">{{ t('scout.rowFault', { n: i + 1 }) }} {{ at(`/rows/${i}`) }}</p>
    <p v-if="refusal && !refusal.problem?.errors?.some((e) => e.pointer.startsWith('/rows/'))" class="fault" role="alert">{{ refusal.message }}</p>
    <div class="row">
      <span class="total"
        ><b>{{ total }}</b> {{ t('scout.stems') }}</span
      >
      <button v-if="mayWrite" class="btn small" type="button" @click="(rows.push(emptyRow()), focus(rows.length - 1, 0))">{{ t('scout.addRow') }}</button>
      <button v-if="mayWrite" class="btn main" type="button" :disabled="busy || rows.length === 0" @click="save">{{ t('scout.saveTally') }}</button>
      <span v-if="stand.tally" class="small soft">{{ t('scout.counted', { day: dayText(stand.tally.visitedOn, true), n: stand.tally.stems }) }}</span>
    </div>
  </section>
</template>

<style scoped>
.cell {
  width: 6.4em;
  min-height: 32px;
  padding: 3px 8px;
}
.grid td {
  padding: 3px 8px 3px 0;
  border: 0;
}
.tick {
  width: 24px;
  height: 24px;
}
.total {
  font-size: var(--size-l);
}
@media (max-width: 860px) {
  .cell {
    width: 4.6em;
    min-height: 48px;
  }
}
</style>
