<script setup lang="ts">
/** A button for wet gloves: what is counted, how many so far, and each tap one more. A short buzz is felt through. */
withDefaults(defineProps<{ label: string; n: number | string; hint?: string; dashed?: boolean }>(), { hint: '' });
const emit = defineEmits<{ tap: [] }>();
const tap = (): void => {
  navigator.vibrate?.(15);
  emit('tap');
};
</script>

<template>
  <button type="button" class="pad" :class="{ dashed }" @click="tap">
    <span class="class">{{ label }}</span>
    <span class="n">{{ n }}</span>
    <span v-if="hint" class="small soft">{{ hint }}</span>
  </button>
</template>

<style scoped>
.pad {
  min-height: 112px;
  border: 3px solid var(--sloe);
  border-radius: var(--corner);
  background: var(--paper);
  color: var(--ink);
  display: grid;
  align-content: center;
  justify-items: center;
  cursor: pointer;
  touch-action: manipulation;
}
.pad.dashed {
  border-style: dashed;
  border-color: var(--gorse);
}
.pad:active {
  background: var(--sloe-pale);
}
.class {
  font-weight: 650;
}
.n {
  font-size: var(--size-pour);
  font-weight: 700;
  line-height: 1.1;
}
</style>
