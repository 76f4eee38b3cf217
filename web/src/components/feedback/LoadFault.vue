<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { Refusal } from '@/api/client';
import ActButton from '@/components/form/ActButton.vue';

/** What could not be fetched, and the way to ask again where another try may help. */
const props = defineProps<{ of: Error | null | undefined }>();
const { t } = useI18n();
const client = useQueryClient();
const FROM_SERVER = 500;
const mayHelp = computed(
  () => !(props.of instanceof Refusal) || props.of.status === 0 || props.of.status >= FROM_SERVER,
);
const again = (): Promise<void> =>
  client.refetchQueries({ type: 'active', predicate: (query) => query.state.status === 'error' });
</script>

<template>
  <div v-if="of" class="row" role="alert">
    <span class="fault">{{ of.message }}</span>
    <ActButton v-if="mayHelp" small @click="again">{{ t('frame.again') }}</ActButton>
  </div>
</template>
