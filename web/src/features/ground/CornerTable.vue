<script setup lang="ts">
import { nextTick, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import type { ShapeEditor } from './useShapeEditor';
import { corners, through, type Position, type Shape } from './shapes';

const props = defineProps<{ editor: ShapeEditor; type: Shape['type'] }>();
const { t } = useI18n();
/** Corners as typed: everything the map does can be done here by keys. */
const rows = ref<{ lon: string; lat: string }[]>([]);
const grid = ref<HTMLElement | null>(null);
let mine = false;
const empty = () => ({ lon: '', lat: '' });
watch(
  () => props.editor.shape.value,
  (shape) => {
    if (mine) return;
    rows.value = corners(shape).map(([lon, lat]) => ({ lon: String(lon), lat: String(lat) }));
    while (rows.value.length < { Point: 1, LineString: 2, Polygon: 3 }[props.type]) rows.value.push(empty());
  },
  { immediate: true },
);
const read = (text: string): number | null => (/^-?\d{1,3}(\.\d+)?$/.test(text.trim()) ? Number(text) : null);
const fault = (row: { lon: string; lat: string }): boolean =>
  (row.lon + row.lat).trim() !== '' && (read(row.lon) === null || read(row.lat) === null);
const take = (): void => {
  const given = rows.value.filter((r) => (r.lon + r.lat).trim() !== '');
  if (given.some(fault)) return;
  const next = through(
    props.type,
    given.map((r) => [read(r.lon)!, read(r.lat)!] as Position),
  );
  mine = true;
  if (next) props.editor.put(next);
  void nextTick(() => (mine = false));
};
const focus = async (row: number, column: string): Promise<void> => {
  await nextTick();
  grid.value?.querySelector<HTMLInputElement>(`[data-cell="${row}-${column}"]`)?.focus();
};
const onKey = (e: KeyboardEvent, row: number, column: string): void => {
  if (e.key === 'ArrowUp' && row > 0) void focus(row - 1, column);
  else if (e.key === 'ArrowDown' && row < rows.value.length - 1) void focus(row + 1, column);
  else if (e.key === 'Enter') {
    e.preventDefault();
    if (row === rows.value.length - 1) rows.value.push(empty());
    void focus(row + 1, 'lon');
  }
};
/** Rows pasted from a table fill the rows below. */
const onPaste = (e: ClipboardEvent, row: number): void => {
  const lines = (e.clipboardData?.getData('text') ?? '').trim().split(/\r?\n/);
  if (lines.length < 2) return;
  e.preventDefault();
  rows.value.splice(
    row,
    lines.length,
    ...lines.slice(0, 5000).map((l) => ({ lon: l.split(/[\t,; ]+/)[0] ?? '', lat: l.split(/[\t,; ]+/)[1] ?? '' })),
  );
  take();
};
</script>

<template>
  <div class="stack">
    <p class="small soft">{{ t('ground.table.help') }}</p>
    <div ref="grid" class="table-wrap corners">
      <table>
        <thead>
          <tr>
            <th>#</th>
            <th>{{ t('ground.table.lon') }}</th>
            <th>{{ t('ground.table.lat') }}</th>
            <th>
              <span class="visually-hidden">{{ t('ground.table.remove') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, i) in rows" :key="i">
            <td>{{ i + 1 }}</td>
            <td v-for="c in ['lon', 'lat'] as const" :key="c">
              <TextField
                v-model="row[c]"
                :label="`${t(`ground.table.${c}`)} ${i + 1}`"
                bare
                width="9.5em"
                inputmode="decimal"
                :data-cell="`${i}-${c}`"
                :aria-invalid="fault(row)"
                @change="take"
                @keydown="onKey($event, i, c)"
                @paste="onPaste($event, i)"
              />
            </td>
            <td>
              <ActButton
                quiet
                small
                :aria-label="`${t('ground.table.remove')} ${i + 1}`"
                @click="(rows.splice(i, 1), take())"
              >
                ×</ActButton
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="rows.some(fault)" class="fault">{{ t('ground.table.fault') }}</p>
    <ActButton v-if="type !== 'Point'" small @click="(rows.push(empty()), focus(rows.length - 1, 'lon'))">{{
      t('ground.table.add')
    }}</ActButton>
  </div>
</template>

<style scoped>
.corners {
  max-height: 300px;
  overflow-y: auto;
}
td {
  border: 0;
  padding: 2px 8px 2px 0;
  vertical-align: middle;
}
</style>
