<script setup lang="ts">
import { useDesk } from '@/composables/useDesk';

/** A word more on hover and focus: what a key does, why something is shut. Nothing that is needed stands only there. */
defineProps<{ hint?: string | undefined; place?: 'right' | 'bottom' | 'top' }>();
// a finger hovers over nothing
const desk = useDesk();
</script>

<template>
  <el-tooltip
    :content="hint ?? ''"
    :disabled="!hint || !desk"
    :placement="place ?? 'bottom'"
    effect="light"
    popper-class="hint"
    :show-after="300"
    :trigger="['hover', 'focus']"
    ><slot></slot
  ></el-tooltip>
</template>
