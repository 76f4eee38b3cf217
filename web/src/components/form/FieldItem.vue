<script setup lang="ts">
import { useId } from 'vue';
import type { FieldProps } from './fields';

/** One question of a form: its words above, the answer, what belongs to it, and the fault beside it. */
defineProps<Pick<FieldProps, 'label' | 'fault' | 'help' | 'bare' | 'width'>>();
const id = useId();
</script>

<template>
  <template v-if="bare">
    <slot :described="fault ? `${id}-fault` : undefined"></slot>
    <p v-if="fault" :id="`${id}-fault`" class="fault" role="alert">{{ fault }}</p>
  </template>
  <el-form-item v-else class="ask" :error="fault ?? ''" label-position="top" :style="width ? { width } : undefined">
    <template v-if="label || $slots.label" #label
      ><slot name="label">{{ label }}</slot></template
    >
    <slot :described="fault ? `${id}-fault` : help ? `${id}-help` : undefined"></slot>
    <slot name="under"></slot>
    <p v-if="help" :id="`${id}-help`" class="ask-help">{{ help }}</p>
    <template #error="{ error }"
      ><p :id="`${id}-fault`" class="fault" role="alert">{{ error }}</p></template
    >
  </el-form-item>
</template>
