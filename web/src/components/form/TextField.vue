<script setup lang="ts">
import FieldItem from './FieldItem.vue';
import type { FieldProps } from './fields';

/** A line or several of free text; in a table with `bare`. What is not named here goes to the input. */
defineOptions({ inheritAttrs: false });
const model = defineModel<string | null>();
withDefaults(
  defineProps<FieldProps & { type?: 'text' | 'search' | 'password' | 'email' | 'textarea'; rows?: number }>(),
  { type: 'text', rows: 3 },
);
</script>

<template>
  <FieldItem v-slot="{ described }" :label="label" :fault="fault" :help="help" :bare="bare" :width="width">
    <el-input
      v-model="model"
      :type="type"
      :rows="rows"
      :show-password="type === 'password'"
      :readonly="readonly"
      :disabled="disabled"
      :style="bare && width ? { width } : undefined"
      :aria-label="bare ? label : undefined"
      :aria-invalid="fault ? true : undefined"
      :aria-describedby="described"
      v-bind="$attrs"
    />
  </FieldItem>
</template>
