<script setup lang="ts">
/** An act. `main` is the one that leads on, `quiet` steps back; while `busy` it can not be pressed again. */
withDefaults(
  defineProps<{
    main?: boolean;
    quiet?: boolean;
    small?: boolean;
    /** For a wet glove. */
    big?: boolean;
    type?: 'button' | 'submit';
    busy?: boolean;
    disabled?: boolean;
  }>(),
  { type: 'button' },
);
</script>

<template>
  <el-button
    class="btn"
    :class="{ main, quiet, small, big }"
    :native-type="type"
    :loading="busy"
    :disabled="disabled"
    :auto-insert-space="false"
    ><slot></slot
  ></el-button>
</template>
