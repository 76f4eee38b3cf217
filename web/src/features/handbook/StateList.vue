<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import { drawingOf } from '@/features/scout/drawings';

defineProps<{ character: string; states: { id: string; name: string; frequency: 'always' | 'often' | 'rarely' }[] }>();
const { t } = useI18n();
</script>

<template>
  <span class="states">
    <span v-for="s in states" :key="s.id" class="state" :class="s.frequency">
      <!-- eslint-disable-next-line vue/no-v-html -- a file of ours, built in -->
      <span class="drawing" v-html="drawingOf(character, s.id)"></span>
      <span
        >{{ s.name
        }}<template v-if="s.frequency !== 'always'">, {{ t(`handbook.frequency.${s.frequency}`) }}</template></span
      >
    </span>
  </span>
</template>

<style scoped>
.states {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
}
.state {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.state.rarely {
  color: var(--ink-soft);
}
.drawing {
  width: 32px;
  height: 32px;
  flex: none;
}
.drawing :deep(svg) {
  width: 32px;
  height: 32px;
}
</style>
