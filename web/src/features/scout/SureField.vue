<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import PickField from '@/components/form/PickField.vue';

/** How sure the person is of what was seen. */
const model = defineModel<string>({ required: true });
const { t } = useI18n();
const SURE: readonly string[] = ['certain', 'likely', 'guess'];
</script>

<template>
  <PickField
    v-model="model"
    :label="t('sighting.howSure')"
    :options="SURE.map((c) => ({ value: c, label: t(`sighting.confidence.${c}`) }))"
  />
</template>
