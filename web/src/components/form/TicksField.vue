<script setup lang="ts" generic="T extends string">
import FieldItem from './FieldItem.vue';
import type { FieldProps } from './fields';

/** Any of a few that all stay in sight. */
const model = defineModel<T[]>();
defineProps<FieldProps & { options: readonly { value: T; label: string; disabled?: boolean }[] }>();
</script>

<template>
  <FieldItem :label="label" :fault="fault" :help="help">
    <el-checkbox-group v-model="model" class="kit-picks" :disabled="disabled">
      <el-checkbox v-for="o in options" :key="o.value" :value="o.value" :disabled="o.disabled" class="kit-tick">{{
        o.label
      }}</el-checkbox>
    </el-checkbox-group>
  </FieldItem>
</template>
