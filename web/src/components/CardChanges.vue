<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';

/** What a newer version of a label card says otherwise, field by field. */
defineProps<{ changes: Schemas['CardChange'][] }>();
const { t, te } = useI18n();
const name = (field: string): string => (te(`shed.field.${field}`) ? t(`shed.field.${field}`) : field);
</script>

<template>
  <ul class="small">
    <li v-for="c in changes" :key="c.field">
      {{ t('shed.changed', { field: name(c.field), was: c.was || '–', now: c.now || '–' }) }}
    </li>
  </ul>
</template>
