<script setup lang="ts" generic="T extends string">
import FieldItem from './FieldItem.vue';
import type { FieldProps } from './fields';

/** One of a few that all stay in sight. */
const model = defineModel<T | null>();
defineProps<FieldProps & { options: readonly { value: T; label: string; disabled?: boolean }[] }>();
defineEmits<{ change: [value: T] }>();
</script>

<template>
  <FieldItem :label="label" :fault="fault" :help="help">
    <el-radio-group v-model="model" class="kit-picks" :disabled="disabled" @change="$emit('change', $event as T)">
      <el-radio v-for="o in options" :key="o.value" :value="o.value" :disabled="o.disabled" class="kit-pick">{{
        o.label
      }}</el-radio>
    </el-radio-group>
  </FieldItem>
</template>
