<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import { MARKS, THORN } from './marks';

defineProps<{ kinds: string[] }>();
const { t } = useI18n();
</script>

<template>
  <ul class="legend plain" :aria-label="t('ground.map.legend')">
    <li>
      <svg viewBox="-2 -2 20 20" aria-hidden="true"><path :d="THORN" class="sloe" /></svg>{{ t('ground.map.patch') }}
    </li>
    <li v-for="kind in kinds" :key="kind">
      <svg viewBox="-2 -2 20 20" aria-hidden="true"><path :d="MARKS[kind]?.glyph" :class="MARKS[kind]?.ink" /></svg
      >{{ t(`keeper.${kind}`) }}
    </li>
  </ul>
</template>

<style scoped>
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  padding: 4px 0;
  font-size: var(--size-s);
}
.legend li {
  display: inline-flex;
  align-items: center;
  gap: 4px;
}
svg {
  width: 20px;
  height: 20px;
  fill: none;
  stroke-width: 1.8;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.sloe {
  stroke: var(--sloe);
}
.moss {
  stroke: var(--moss);
}
.rime {
  stroke: var(--rime);
}
.bark {
  stroke: var(--bark);
}
.ink {
  stroke: var(--ink);
}
</style>
