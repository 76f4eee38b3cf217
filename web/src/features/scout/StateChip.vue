<script setup lang="ts">
import { computed } from 'vue';
import { drawingOf } from './drawings';

const props = defineProps<{ character: string; state: string; name: string; /** Answered so. */ on: boolean }>();
defineEmits<{ toggle: [] }>();
const drawing = computed(() => drawingOf(props.character, props.state));
</script>

<template>
  <label class="chip" :class="{ on, plain: !drawing }">
    <input type="checkbox" class="visually-hidden" :checked="on" @change="$emit('toggle')" />
    <!-- eslint-disable-next-line vue/no-v-html -- a file of ours, built in -->
    <span v-if="drawing" class="drawing" v-html="drawing"></span>
    <span>{{ name }}</span>
  </label>
</template>

<style scoped>
.chip {
  position: relative;
  width: 104px;
  min-height: 84px;
  padding: 6px 4px;
  border: 1px solid var(--rule);
  border-radius: var(--corner);
  cursor: pointer;
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: flex-start;
  gap: 2px;
  font-size: var(--size-s);
  line-height: 1.2;
  text-align: center;
}
.chip.plain {
  width: auto;
  min-height: var(--touch);
  padding: 4px 14px;
  justify-content: center;
}
.chip.on {
  border: 3px solid var(--sloe);
  padding: 4px 2px;
  background: var(--sloe-pale);
  font-weight: 650;
}
.chip.plain.on {
  padding: 2px 12px;
}
.chip:focus-within {
  outline: 3px solid var(--sloe);
  outline-offset: 2px;
}
.drawing {
  width: 48px;
  height: 48px;
}
.drawing :deep(svg) {
  display: block;
  width: 48px;
  height: 48px;
}
</style>
