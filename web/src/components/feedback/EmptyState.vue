<script setup lang="ts">
/** Nothing is here yet: what would stand here, and the act that brings it. */
defineProps<{ said: string }>();
const BUDS = [
  [51, 22],
  [101, 53],
  [110, 10],
  [151, 34],
  [156, 14],
] as const;
</script>

<template>
  <el-empty class="bare-twig" :description="said">
    <template #image>
      <!-- a twig of the hedge in winter: buds, no leaf -->
      <svg viewBox="0 0 160 60" aria-hidden="true">
        <path d="M4 48C44 44 96 36 156 14M40 44l10-20M78 38l22 14M104 31l6-19M130 23l20 10" />
        <circle v-for="[x, y] in BUDS" :key="x" :cx="x" :cy="y" r="3.4" />
      </svg>
    </template>
    <slot></slot>
  </el-empty>
</template>
