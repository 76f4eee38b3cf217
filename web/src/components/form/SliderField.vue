<script setup lang="ts">
/** A figure between two ends, moved by hand or with the arrow keys; says `change` when it was let go. */
const model = defineModel<number>();
defineProps<{ label: string; min?: number; max?: number; step?: number; said?: (value: number) => string }>();
defineEmits<{ change: [value: number] }>();
</script>

<template>
  <el-slider
    v-model="model"
    :min="min ?? 0"
    :max="max ?? 100"
    :step="step ?? 1"
    :show-tooltip="false"
    :aria-label="label"
    :format-value-text="said"
    @change="$emit('change', $event as number)"
  />
</template>
