<script setup lang="ts" generic="Row extends object">
import { useLocalStorage } from '@vueuse/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import ActButton from '@/components/form/ActButton.vue';

/**
 * A list as a table: sorted by its heads, columns as the person wants them, the head in sight, pages of the server.
 * A cell is a slot by the name of its column; without one it is the text of the row's field.
 */
export interface Column {
  key: string;
  label: string;
  sorts?: boolean;
  width?: number;
  /** May be put away; the first column never. */
  may?: boolean;
  right?: boolean;
}
const props = defineProps<{
  /** Under this name the choice of columns is kept on this device. */
  id: string;
  columns: readonly Column[];
  rows: readonly Row[];
  rowKey: keyof Row & string;
  /** Marks the row in hand. */
  chosen?: string | null;
  sort?: { by: string; order: 'asc' | 'desc' };
  page?: number;
  pages?: number;
  empty: string;
  /** The head stays while the rows move below it. */
  height?: string;
}>();
const emit = defineEmits<{ sort: [by: string]; page: [page: number] }>();
const { t } = useI18n();
const away = useLocalStorage<string[]>(`thicket.columns:${props.id}`, []);
const shown = computed(() => props.columns.filter((c) => !away.value.includes(c.key)));
const choosable = computed(() => props.columns.filter((c) => c.may));
const turn = (key: string): void => {
  away.value = away.value.includes(key) ? away.value.filter((k) => k !== key) : [...away.value, key];
};
/** The library hands its rows on as anything. */
const asRow = (row: unknown): Row => row as Row;
const textOf = (row: Row, key: string): string => String(row[key as keyof Row] ?? '');
const sorted = (c: Column): 'ascending' | 'descending' | undefined =>
  props.sort?.by === c.key ? (props.sort.order === 'asc' ? 'ascending' : 'descending') : undefined;
</script>

<template>
  <div class="list">
    <el-table
      :data="[...rows]"
      :row-key="rowKey"
      :row-class-name="({ row }: { row: Row }) => (chosen && row[rowKey] === chosen ? 'chosen' : '')"
      :max-height="height"
      :empty-text="empty"
      scrollbar-tabindex="0"
    >
      <el-table-column
        v-for="c in shown"
        :key="c.key"
        :prop="c.key"
        :min-width="c.width ?? 120"
        :align="c.right ? 'right' : 'left'"
      >
        <template #header>
          <button
            v-if="c.sorts"
            type="button"
            class="sorter"
            :aria-pressed="sorted(c) !== undefined"
            @click="emit('sort', c.key)"
          >
            {{ c.label }}<span v-if="sorted(c)" aria-hidden="true">{{ sorted(c) === 'ascending' ? ' ↑' : ' ↓' }}</span>
            <span v-if="sorted(c)" class="visually-hidden">, {{ t(`list.${sorted(c)}`) }}</span>
          </button>
          <template v-else>{{ c.label }}</template>
        </template>
        <!-- the library tries a column out on an empty row first, which no cell of ours can show -->
        <template #default="{ row, $index }"
          ><slot v-if="$index >= 0" :name="c.key" :row="asRow(row)">{{ textOf(row, c.key) }}</slot></template
        >
      </el-table-column>
    </el-table>
    <div class="row under-list">
      <el-popover v-if="choosable.length" trigger="click" :show-arrow="false" :width="220" :teleported="false">
        <template #reference
          ><ActButton quiet small>{{ t('list.columns') }}</ActButton></template
        >
        <el-checkbox
          v-for="c in choosable"
          :key="c.key"
          :model-value="!away.includes(c.key)"
          class="kit-tick"
          @change="turn(c.key)"
          >{{ c.label }}</el-checkbox
        >
      </el-popover>
      <el-pagination
        v-if="(pages ?? 1) > 1"
        layout="prev, pager, next"
        :current-page="page"
        :page-count="pages"
        :pager-count="5"
        :aria-label="t('list.pages')"
        @current-change="emit('page', $event)"
      />
    </div>
  </div>
</template>

<style scoped>
.list {
  min-width: 0;
}
.sorter {
  border: 0;
  background: none;
  padding: 0;
  font: inherit;
  font-weight: 650;
  color: inherit;
  cursor: pointer;
  min-height: 28px;
  text-align: inherit;
}
.under-list {
  padding-top: 8px;
  justify-content: space-between;
}
</style>
