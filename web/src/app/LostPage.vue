<script setup lang="ts">
import { useI18n } from 'vue-i18n';
const { t } = useI18n();
</script>

<template>
  <div class="stack">
    <h1>{{ t('lost.title') }}</h1>
    <p>
      <RouterLink :to="{ name: 'today' }">{{ t('lost.back') }}</RouterLink>
    </p>
  </div>
</template>
