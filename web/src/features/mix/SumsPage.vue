<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import SumsPanel from './SumsPanel.vue';

/** The sums by themselves, for somebody with a tank and no stand in hand. */
const { t } = useI18n();
</script>

<template>
  <div class="stack">
    <h1>{{ t('sums.title') }}</h1>
    <SumsPanel />
  </div>
</template>
