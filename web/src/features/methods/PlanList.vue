<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';

/** The jobs of the programme a stand follows: done, in hand, later. */
defineProps<{ steps: Schemas['Plan']['steps'] }>();
const { t } = useI18n();
</script>

<template>
  <ol class="plan">
    <li
      v-for="s in steps"
      :key="s.id"
      :class="s.state"
      :aria-current="s.state === 'next' || s.state === 'issued' ? 'step' : undefined"
    >
      <span class="state small">{{ t(`plan.state.${s.state}`) }}</span>
      <span class="small">{{ s.when }}</span>
      <span
        ><b>{{ s.method.name }}</b
        ><span v-if="s.active" class="soft">, {{ s.active }}</span> <span class="small soft">{{ s.note }}</span></span
      >
    </li>
  </ol>
</template>

<style scoped>
.plan {
  list-style: none;
  padding: 0;
  border-bottom: 1px solid var(--rule);
}
li {
  display: grid;
  grid-template-columns: 4.5em 12.5em minmax(0, 1fr);
  gap: 0 12px;
  padding: 7px 10px;
  border-top: 1px solid var(--rule);
}
.next,
.issued {
  background: var(--sloe-pale);
  box-shadow: inset 4px 0 0 var(--sloe);
}
.done {
  color: var(--bark);
}
.state {
  font-weight: 700;
}
@media (max-width: 640px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
