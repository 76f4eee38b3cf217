<script setup lang="ts">
import { nextTick, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import TextField from '@/components/form/TextField.vue';
import TickField from '@/components/form/TickField.vue';
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
            <TextField
              v-model="row[c]"
              :label="`${t(row.girth && c === 'from' ? 'scout.column.girth' : `scout.column.${c}`)} ${i + 1}`"
              bare
              :aria-invalid="at(`/rows/${i}`) !== null || undefined"
              :width="c === 'count' || c === 'perClump' ? '4em' : '5.2em'"
              :disabled="disabled || (row.girth && c === 'below')"
              :data-cell="`${i}-${j}`"
              :inputmode="c === 'count' || c === 'perClump' ? 'numeric' : 'text'"
              @keydown="onKey($event, i, j, row.girth)"
            />
          </td>
          <td>
            <ChoiceField
              v-model="row.bark"
              :label="`${t('scout.column.bark')} ${i + 1}`"
              bare
              width="6.5em"
              :disabled="disabled"
              :options="[
                { value: '', label: '—' },
                { value: 'smooth', label: t('value.smooth') },
                { value: 'rough', label: t('value.rough') },
              ]"
            />
          </td>
          <td>
            <TickField
              v-model="row.estimated"
              :disabled="disabled"
              bare
              :label="`${t('scout.column.estimated')} ${i + 1}`"
            />
          </td>
          <td>
            <ActButton
              v-if="!disabled"
              quiet
              small
              :aria-label="`${t('scout.removeRow')} ${i + 1}`"
              @click="rows.splice(i, 1)"
            >
              ×</ActButton
            >
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.grid td {
  padding: 3px 6px 3px 0;
  border: 0;
}
.grid th {
  padding-right: 8px;
  vertical-align: bottom;
}
</style>
