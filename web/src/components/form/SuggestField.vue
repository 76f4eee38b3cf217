<script setup lang="ts">
import FieldItem from './FieldItem.vue';
import type { FieldProps } from './fields';

/** A line of free text with what it may well be offered while it is typed; with `several`, names parted by commas. */
defineOptions({ inheritAttrs: false });
const model = defineModel<string>({ required: true });
const props = defineProps<FieldProps & { suggestions: readonly string[]; several?: boolean }>();

const parts = (text: string): string[] => (props.several ? text.split(',') : [text]).map((p) => p.trim());
const find = (text: string, answer: (found: { value: string }[]) => void): void => {
  const named = parts(text);
  const last = named.pop()?.toLowerCase() ?? '';
  answer(
    props.suggestions
      .filter((s) => s.toLowerCase().includes(last) && s.toLowerCase() !== last && !named.includes(s))
      .map((s) => ({ value: [...named, s].join(', ') })),
  );
};
const lastOf = (text: string): string => parts(text).at(-1) ?? '';
</script>

<template>
  <FieldItem v-slot="{ described }" :label="label" :fault="fault" :help="help" :width="width">
    <el-autocomplete
      v-model="model"
      :fetch-suggestions="find"
      :debounce="0"
      :disabled="disabled"
      :readonly="readonly"
      fit-input-width
      popper-class="choices"
      :aria-label="label"
      :aria-invalid="fault ? true : undefined"
      :aria-describedby="described"
      v-bind="$attrs"
    >
      <template #default="{ item }">{{ lastOf((item as { value: string }).value) }}</template>
    </el-autocomplete>
  </FieldItem>
</template>
