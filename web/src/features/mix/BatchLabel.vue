<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';

/** What stands on the bottle: to be printed, or written on tape by hand. */
defineProps<{ batch: Schemas['Batch'] }>();
const { t } = useI18n();
const { units } = useSession();
/** Only the label goes on paper. */
const print = (): void => {
  document.documentElement.classList.add('print-label');
  window.print();
  document.documentElement.classList.remove('print-label');
};
</script>

<template>
  <article class="label-card" :aria-label="batch.label.title">
    <h3>{{ batch.label.title }}: {{ batch.label.amount?.[units] }}</h3>
    <p>
      <b>{{ batch.label.contents }}</b>
    </p>
    <p>{{ batch.label.strength?.[units] }} · {{ batch.label.registration }}</p>
    <p>
      {{ batch.label.mixed }}. <b>{{ batch.label.useBy }}</b>
    </p>
    <ul v-if="batch.label.hazards.length" class="small">
      <li v-for="h in batch.label.hazards" :key="h">{{ h }}</li>
    </ul>
    <p v-if="batch.label.wearing" class="small">{{ batch.label.wearing }}</p>
    <p v-if="batch.label.firstAid" class="small">{{ batch.label.firstAid }}</p>
    <p class="small">{{ batch.label.keep }}</p>
    <ActButton small class="no-print" @click="print">{{ t('mixing.print') }}</ActButton>
  </article>
</template>

<style scoped>
.label-card {
  border: 3px solid var(--ink);
  padding: 12px 16px;
  background: var(--paper);
  max-width: 460px;
}
@media print {
  .no-print {
    display: none;
  }
}
</style>

<style>
@media print {
  .print-label body * {
    visibility: hidden;
  }
  .print-label .label-card,
  .print-label .label-card * {
    visibility: visible;
  }
  .print-label .label-card {
    position: fixed;
    inset: 0 auto auto 0;
  }
}
</style>
