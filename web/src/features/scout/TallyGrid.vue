<script setup lang="ts">
import { nextTick, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useSession } from '@/composables/useSession';
import { emptyRow, SIZE_UNITS, type TallyRow } from './tally';

const rows = defineModel<TallyRow[]>({ required: true });
defineProps<{ disabled: boolean; girth: boolean; at: (pointer: string) => string | null }>();
const { t } = useI18n();
const { units } = useSession();
const unitOf = (column: string): string =>
  column === 'height'
    ? SIZE_UNITS[units.value].height
    : column === 'from' || column === 'below'
      ? SIZE_UNITS[units.value].size
      : '';
const grid = ref<HTMLElement | null>(null);
const COLUMNS = ['from', 'below', 'count', 'perClump', 'height'] as const;

const focus = async (row: number, column: number): Promise<void> => {
  await nextTick();
  grid.value?.querySelector<HTMLInputElement>(`[data-cell="${row}-${column}"]`)?.focus();
};
/** Arrows walk the grid, Enter goes down and opens a new row at the end. */
const onKey = (e: KeyboardEvent, row: number, column: number, girth: boolean): void => {
  if (e.key === 'ArrowUp' && row > 0) void focus(row - 1, column);
  else if (e.key === 'ArrowDown' && row < rows.value.length - 1) void focus(row + 1, column);
  else if (e.key === 'Enter') {
    e.preventDefault();
    if (row === rows.value.length - 1) rows.value.push(emptyRow(girth));
    void focus(row + 1, 0);
  }
};
defineExpose({ focus });
</script>

<template>
  <div ref="grid" class="table-wrap">
    <table class="grid">
      <thead>
        <tr>
          <th v-for="c in COLUMNS" :key="c">
            {{ t(girth && c === 'from' ? 'scout.column.girth' : `scout.column.${c}`)
            }}<span v-if="unitOf(c)" class="soft">, {{ unitOf(c) }}</span>
          </th>
          <th>{{ t('scout.column.bark') }}</th>
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
              :class="{ narrow: c === 'count' || c === 'perClump' }"
              :disabled="disabled || (row.girth && c === 'below')"
              :data-cell="`${i}-${j}`"
              :aria-label="`${t(row.girth && c === 'from' ? 'scout.column.girth' : `scout.column.${c}`)} ${i + 1}`"
              :inputmode="c === 'count' || c === 'perClump' ? 'numeric' : 'text'"
              :aria-invalid="at(`/rows/${i}`) !== null"
              @keydown="onKey($event, i, j, row.girth)"
            />
          </td>
          <td>
            <select
              v-model="row.bark"
              class="field cell bark"
              :disabled="disabled"
              :aria-label="`${t('scout.column.bark')} ${i + 1}`"
            >
              <option value="">—</option>
              <option value="smooth">{{ t('value.smooth') }}</option>
              <option value="rough">{{ t('value.rough') }}</option>
            </select>
          </td>
          <td>
            <input
              v-model="row.estimated"
              type="checkbox"
              class="tick"
              :disabled="disabled"
              :aria-label="`${t('scout.column.estimated')} ${i + 1}`"
            />
          </td>
          <td>
            <button
              v-if="!disabled"
              class="btn small quiet"
              type="button"
              :aria-label="`${t('scout.removeRow')} ${i + 1}`"
              @click="rows.splice(i, 1)"
            >
              ×
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.cell {
  width: 5.2em;
  min-height: 32px;
  padding: 3px 6px;
}
.narrow {
  width: 4em;
}
.bark {
  width: auto;
}
.grid td {
  padding: 3px 6px 3px 0;
  border: 0;
}
.grid th {
  padding-right: 8px;
  vertical-align: bottom;
}
.tick {
  width: 24px;
  height: 24px;
}
@media (max-width: 860px) {
  .cell {
    min-height: 48px;
  }
}
</style>
